package evidence

import (
	"fmt"
	"math"

	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/regress"
)

const (
	// own is the share of a rule's prior variance that is each target's own (the house's judgement: most of what moves
	// water moves it for all).
	own = 0.3
)

// Evidence is the posterior of a log under a book.
type Evidence struct {
	book *playbook.Book
	// targets with a spell in the log, and places of what belongs to them among the coefficients.
	base  map[string]int
	spots map[[2]string]int
	rules map[int]int
	ours  map[ofTarget]int
	model regress.Model
	post  *regress.Posterior
	// only target whose spells a rule spoke in, where there is but one: its coefficient is then one number, and what it
	// says of other targets follows from the priors.
	only map[int]string
	// spells of a target a rule spoke in, and rod-hours and fish by target.
	spells map[ofTarget]int
	sums   map[string]*Sum
	// Dispersion is how much more the counts scatter than chance has them do; 1 for none, and where nothing is known.
	Dispersion float64
}

type ofTarget struct {
	rule   int
	target string
}

// Sum of a target's spells.
type Sum struct {
	Spells         int
	RodHours, Fish float64
}

// Fit a log under a book. From another evidence of the same book, of all but the newest spells, it is quicker; nil
// for none.
func Fit(book *playbook.Book, log []Spell, from *Evidence) (*Evidence, error) {
	e := &Evidence{book: book, base: map[string]int{}, spots: map[[2]string]int{}, rules: map[int]int{}, ours: map[ofTarget]int{},
		only: map[int]string{}, spells: map[ofTarget]int{}, sums: map[string]*Sum{}, Dispersion: 1}
	e.speak(log)
	for i := range log {
		if err := log[i].validate(len(book.Rules)); err != nil {
			return nil, fmt.Errorf("evidence: spell %d: %w", i, err)
		}
		if err := e.add(&log[i]); err != nil {
			return nil, fmt.Errorf("evidence: spell %d: %w", i, err)
		}
	}
	var err error
	if e.post, err = e.model.Fit(e.begin(from)); err != nil {
		return nil, fmt.Errorf("evidence: %w", err)
	}
	if len(log) > 0 {
		e.Dispersion = math.Max(1, e.model.Dispersion(e.post))
	}
	return e, nil
}

// speak says which rules one target alone speaks to; those of several have no entry that is not empty.
func (e *Evidence) speak(log []Spell) {
	for i := range log {
		for _, k := range log[i].Rules {
			if t, spoke := e.only[k.Rule]; !spoke {
				e.only[k.Rule] = log[i].Target
			} else if t != log[i].Target {
				e.only[k.Rule] = ""
			}
		}
	}
}

// place of a coefficient, made with its prior where it is new.
func place[K comparable](e *Evidence, in map[K]int, k K, prior regress.Prior) int {
	at, there := in[k]
	if !there {
		at = len(e.model.Priors)
		in[k] = at
		e.model.Priors = append(e.model.Priors, prior)
	}
	return at
}

func (e *Evidence) add(s *Spell) error {
	t, err := e.book.Target(s.Target)
	if err != nil {
		return err
	}
	row := regress.Row{Count: s.Fish, Effort: s.RodHours}
	term := func(at int, value float64) { row.Terms = append(row.Terms, regress.Term{At: at, Value: value}) }
	term(place(e, e.base, s.Target, regress.Prior{Mean: math.Log(t.UsualCatch()), SD: playbook.PlentySD}), 1)
	term(place(e, e.spots, [2]string{s.Target, s.Spot}, regress.Prior{SD: rate.SpotSD}), 1)
	for _, k := range s.Rules {
		p := e.book.Rules[k.Rule].Prior
		e.spells[ofTarget{k.Rule, s.Target}]++
		if e.only[k.Rule] != "" {
			term(place(e, e.rules, k.Rule, regress.Prior(p)), k.More)
			continue
		}
		term(place(e, e.rules, k.Rule, regress.Prior{Mean: p.Mean, SD: p.SD * math.Sqrt(1-own)}), k.More)
		term(place(e, e.ours, ofTarget{k.Rule, s.Target}, regress.Prior{SD: p.SD * math.Sqrt(own)}), k.More)
	}
	e.model.Rows = append(e.model.Rows, row)
	sum := e.sums[s.Target]
	if sum == nil {
		sum = &Sum{}
		e.sums[s.Target] = sum
	}
	sum.Spells, sum.RodHours, sum.Fish = sum.Spells+1, sum.RodHours+s.RodHours, sum.Fish+s.Fish
	return nil
}

// begin where another evidence stood, what is new at its prior.
func (e *Evidence) begin(from *Evidence) []float64 {
	if from == nil || from.book != e.book {
		return nil
	}
	out := make([]float64, len(e.model.Priors))
	for i, p := range e.model.Priors {
		out[i] = p.Mean
	}
	carry(out, e.base, from, from.base)
	carry(out, e.spots, from, from.spots)
	carry(out, e.rules, from, from.rules)
	carry(out, e.ours, from, from.ours)
	return out
}

func carry[K comparable](out []float64, now map[K]int, from *Evidence, was map[K]int) {
	for k, at := range now {
		if old, there := was[k]; there {
			out[at] = from.post.Mode[old]
		}
	}
}
