package evidence

import (
	"fmt"
	"math"
	"slices"
	"sync"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/regress"
)

const (
	// own is the share of a rule's prior variance that is each target's own (the house's judgement: most of what moves
	// water moves it for all).
	own = 0.3
	// contact is what a fish lost or missed tells of where and when they feed, beside one that was landed (the house's
	// judgement: a bite may have been anything).
	contact = 0.5
)

// Evidence is the posterior of a log under a book.
type Evidence struct {
	book *playbook.Book
	// targets with a spell in the log, and places of what belongs to them among the coefficients.
	base map[string]int
	// lost are the places of how often one of a target bites and is not landed.
	lost  map[string]int
	spots map[[2]string]int
	rules map[int]int
	ours  map[ofTarget]int
	model regress.Model
	// bites are the rows of what was not landed; those of the model are catches until it is fitted.
	bites []regress.Row
	post  *regress.Posterior
	// only target whose spells a rule spoke in, where there is but one: its coefficient is then one number, and what it
	// says of other targets follows from the priors.
	only map[int]string
	// spells of a target a rule spoke in, and rod-hours and fish by target.
	spells map[ofTarget]int
	sums   map[string]*Sum
	// byTarget are the spells as they were told.
	byTarget map[string][]*Spell
	// Dispersion is how much more the counts scatter than chance has them do; 1 for none, and where nothing is known.
	Dispersion float64

	// views of targets, made when they are asked for.
	mu    sync.Mutex
	views map[string]*view
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
	e := &Evidence{book: book, base: map[string]int{}, lost: map[string]int{}, spots: map[[2]string]int{}, rules: map[int]int{},
		ours: map[ofTarget]int{},
		only: map[int]string{}, spells: map[ofTarget]int{}, sums: map[string]*Sum{}, views: map[string]*view{},
		byTarget:   map[string][]*Spell{},
		Dispersion: 1}
	e.speak(log)
	for i := range log {
		if err := log[i].validate(len(book.Rules)); err != nil {
			return nil, fmt.Errorf("evidence: spell %d: %w", i, err)
		}
		if err := e.add(&log[i]); err != nil {
			return nil, fmt.Errorf("evidence: spell %d: %w", i, err)
		}
	}
	catches := e.model
	e.model.Rows = slices.Concat(catches.Rows, e.bites)
	var err error
	if e.post, err = e.model.Fit(e.begin(from)); err != nil {
		return nil, fmt.Errorf("evidence: %w", err)
	}
	if len(log) > 0 {
		catches.Priors = e.model.Priors
		e.Dispersion = math.Max(1, catches.Dispersion(e.post))
	}
	return e, nil
}

// Book it was fitted under.
func (e *Evidence) Book() *playbook.Book { return e.book }

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

// placesOf a rule's coefficient for a target: what is common to all, and its own; of a rule that one target alone speaks to,
// one.
func (e *Evidence) placesOf(rule int, target string) []int {
	p := e.book.Rules[rule].Prior
	if e.only[rule] != "" {
		return []int{place(e, e.rules, rule, regress.Prior(p))}
	}
	return []int{place(e, e.rules, rule, regress.Prior{Mean: p.Mean, SD: p.SD * math.Sqrt(1-own)}),
		place(e, e.ours, ofTarget{rule, target}, regress.Prior{SD: p.SD * math.Sqrt(own)})}
}

// tell a rule to a row, at some coefficients.
func tell(row *regress.Row, k *Spoke, ats []int) {
	for _, at := range ats {
		if k.Either == nil {
			row.Terms = append(row.Terms, regress.Term{At: at, Value: k.More})
			continue
		}
		if row.Cases == nil {
			row.Cases = make([]regress.Case, conditions.Scenarios)
		}
		for c := range row.Cases {
			row.Cases[c].Terms = append(row.Cases[c].Terms, regress.Term{At: at, Value: k.Either[c]})
		}
	}
}

// tidy a row: scenarios that say the same are one case.
func tidy(row regress.Row) regress.Row {
	var out []regress.Case
	for _, c := range row.Cases {
		i := slices.IndexFunc(out, func(o regress.Case) bool { return slices.Equal(o.Terms, c.Terms) })
		if i < 0 {
			i, out = len(out), append(out, regress.Case{Terms: c.Terms})
		}
		out[i].Chance += 1.0 / conditions.Scenarios
	}
	row.Cases = out
	return row
}

// lostSD is the prior spread of how often one bites that is not landed.
var lostSD = math.Hypot(playbook.PlentySD, rate.SpotSD)

func (e *Evidence) add(s *Spell) error {
	t, err := e.book.Target(s.Target)
	if err != nil {
		return err
	}
	usual := math.Log(t.UsualCatch())
	row := regress.Row{Count: s.Fish, Effort: s.RodHours}
	row.Terms = append(row.Terms, regress.Term{At: place(e, e.base, s.Target, regress.Prior{Mean: usual, SD: playbook.PlentySD}), Value: 1})
	bites := regress.Row{Count: contact * s.Contacts, Effort: contact * s.RodHours}
	if s.Told {
		bites.Terms = append(bites.Terms, regress.Term{At: place(e, e.lost, s.Target, regress.Prior{Mean: usual, SD: lostSD}), Value: 1})
	}
	spot := regress.Term{At: place(e, e.spots, [2]string{s.Target, s.Spot}, regress.Prior{SD: rate.SpotSD}), Value: 1}
	row.Terms, bites.Terms = append(row.Terms, spot), append(bites.Terms, spot)
	for _, k := range s.Rules {
		e.spells[ofTarget{k.Rule, s.Target}]++
		ats := e.placesOf(k.Rule, s.Target)
		tell(&row, &k, ats)
		if e.book.Rules[k.Rule].Part != playbook.Taken {
			tell(&bites, &k, ats)
		}
	}
	if s.Told {
		e.bites = append(e.bites, tidy(bites))
	}
	e.model.Rows = append(e.model.Rows, tidy(row))
	e.byTarget[s.Target] = append(e.byTarget[s.Target], s)
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
	carry(out, e.lost, from, from.lost)
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
