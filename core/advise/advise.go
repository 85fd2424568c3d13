package advise

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/scene"
	"greypebble/core/spot"
	"greypebble/core/tide"
)

// Question is what is asked.
type Question struct {
	Book   *playbook.Book
	Belief rate.Belief
	Target *playbook.Target
	// Spots are all the angler's spots, for the blind pick; At is the index of
	// the one asked about.
	Spots []*spot.Spot
	At    int
	// Time of the question.
	Time time.Time
	// Baseline may hold the blind pick if it was worked out before.
	Baseline *rate.Baseline
	// Kit is what the angler has; KitOnly leaves out everything else.
	Kit     kit.Kit
	KitOnly bool
	// Signs seen on the water, of [playbook.Signs].
	Signs []string
	// Changes: say what would change the choice.
	Changes bool
	// Units the sentences are written in.
	Units quantity.Units
	// Most choices wanted; 0 means three.
	Most int
}

// Advice is ranked choices for a moment and what they rest on.
type Advice struct {
	Moment  spot.Moment
	Choices []Choice
	// Beyond is the best choice of what is not in the kit, where it is better than
	// anything that is.
	Beyond *Choice
	// RuledOut cannot work now.
	RuledOut []RuledOut
	// Changes of one reading that would change the first choice.
	Changes []Threshold
	// Way says that the way is shut or soon will be; empty when there is no hurry.
	Way string
	// Stay says when to move on.
	Stay string
	// Cautions of the place and moment, to be shown once.
	Cautions []string
	// Note says why there is no choice, where there is none.
	Note string
}

// Choice is a presentation with its edge and its reasons.
type Choice struct {
	Target   *playbook.Target
	Sentence string
	Card     Card
	// Retrieve says how to move it.
	Retrieve string
	DepthM   float64
	Edge     rate.Edge
	Reasons  []Reason
	Cautions []string
	// Arithmetic behind the numbers of the sentence.
	Arithmetic []Working
	// Uses lists what of the kit it takes, Lacks what is missing.
	Uses, Lacks []string
}

// Reason is one factor of an edge.
type Reason struct {
	Rule, Says string
	Factor     float64
	// Applies is how far the rule applies, 0…1, after sharing with its family.
	Applies float64
	// From the playbook; empty for the blind pick.
	Idea, Origin, Effect, Certainty, Family, School string
}

// BaselineRule is the name of the last reason: what a blind pick has already.
const BaselineRule = "blind-pick"

// reachAhead is how far ahead a way's closing is looked for.
const reachAhead = 14 * time.Hour

// Ask ranks what can be presented. A spot that is written of in words the playbook does not
// know is a [spot.FieldError].
func Ask(q Question) (Advice, error) {
	s := q.Spots[q.At]
	if err := s.CheckWords(); err != nil {
		return Advice{}, err
	}
	c, err := tide.Over(s.Tide, q.Time, q.Time.Add(reachAhead))
	if err != nil {
		return Advice{}, err
	}
	m, err := s.At(c, q.Time)
	if err != nil {
		return Advice{}, err
	}
	m.Signs = q.Signs
	a := Advice{Moment: m, Way: m.WayCaution(c), Cautions: m.Cautions(), Stay: stay(&q)}
	a.Cautions = append(a.Cautions, codes(s, q.Time)...)
	if says := noTake(s, q.Time); says != "" {
		a.Note = "No take here now. " + says
		return a, nil
	}
	ranked, err := q.rank(&m)
	if err != nil {
		return Advice{}, err
	}
	a.RuledOut = ranked.ruledOut
	if len(ranked.list) == 0 {
		a.Note = nothing(&q, &m)
		return a, nil
	}
	if ranked.baseline.Empty() {
		a.Note = "None of your spots can be reached in daylight in the next fourteen days, so there is nothing to compare with."
		return a, nil
	}
	if err := a.choose(&q, &m, ranked); err != nil {
		return Advice{}, err
	}
	if q.Changes {
		a.Changes, err = q.thresholds(&m, ranked)
	}
	return a, err
}

// choose the best few: of the kit first, where there is one.
func (a *Advice) choose(q *Question, m *spot.Moment, r ranking) error {
	list, beyond := r.list, []rankedOption(nil)
	if !q.Kit.Empty() {
		list, beyond = nil, nil
		for _, o := range r.list {
			if o.owned != nil {
				list = append(list, o)
			} else {
				beyond = append(beyond, o)
			}
		}
		if len(list) == 0 {
			list, beyond = beyond, nil
		}
	}
	describeOne := func(o *rankedOption) (Choice, error) {
		edge, err := r.baseline.Edge(q.At, &o.weights)
		if err != nil {
			return Choice{}, err
		}
		o.edge = edge
		return describe(q, m, o), nil
	}
	for i := range list[:min(q.most(), len(list))] {
		c, err := describeOne(&list[i])
		if err != nil {
			return err
		}
		a.Choices = append(a.Choices, c)
	}
	if len(beyond) > 0 && beyond[0].value > list[0].value {
		c, err := describeOne(&beyond[0])
		if err != nil {
			return err
		}
		a.Beyond = &c
	}
	return nil
}

func (q *Question) most() int {
	if q.Most <= 0 {
		return 3
	}
	return q.Most
}

// nothing says why there is no choice.
func nothing(q *Question, m *spot.Moment) string {
	for i := range m.Spot.Marks {
		if k := &m.Spot.Marks[i]; k.Fishable.Holds(k.Depth(m.LevelM)) {
			if q.KitOnly {
				return "Nothing in your kit can be fished for " + q.Target.Name +
					" here now. Allow what you do not own, or move the time along the ribbon."
			}
			return "Nothing the playbook has for " + q.Target.Name +
				" can be fished here now. Try another target, or move the time along the ribbon."
		}
	}
	if len(m.Spot.Marks) == 0 {
		return fmt.Sprintf("Nothing is known of the ground at %s: put a mark on it, with its depth, and it can be advised on.", m.Spot.Name)
	}
	return fmt.Sprintf("There is no fishable water on any mark of %s at this level of tide. Move the time along the ribbon.", m.Spot.Name)
}

type rankedOption struct {
	presentation
	weights rate.Weights
	// value is the logarithm of the edge.
	value float64
	edge  rate.Edge
}

// ranking of what can be presented, best first.
type ranking struct {
	list     []rankedOption
	ruledOut []RuledOut
	baseline *rate.Baseline
}

// key of what differs on the hook: the choices differ in it.
func (p *presentation) key() string {
	if p.owned != nil {
		return p.offering.ID + " " + p.owned.ID
	}
	return p.offering.ID
}

// rank orders by edge and keeps the best presentation of each offering, so that
// the choices differ in what is tied on.
func (q *Question) rank(m *spot.Moment) (ranking, error) {
	options, refused := possible(q, m)
	r := ranking{ruledOut: refused, baseline: q.Baseline}
	if len(options) == 0 {
		return r, nil
	}
	if r.baseline == nil {
		b, err := Baseline(q.Book, q.Belief, q.Target, q.Spots, q.Time)
		if err != nil {
			return r, err
		}
		r.baseline = b
	}
	if r.baseline.Empty() {
		r.list = make([]rankedOption, 1)
		return r, nil
	}
	base, err := scene.ScenariosOf(m)
	if err != nil {
		return r, err
	}
	best := make(map[string]*rankedOption)
	var facts [conditions.Scenarios]playbook.Facts
	var rules *playbook.Applicable
	var mark string
	w := rate.NewWeights(len(q.Book.Rules))
	for i := range options {
		p := &options[i]
		if rules == nil || mark != p.mark.ID {
			for k := range base {
				scene.FillMark(&base[k].Facts, p.mark, m.LevelM)
			}
			mark, rules = p.mark.ID, q.Book.Applicable(q.Target.ID, &base[0].Facts, playbook.Offered)
		}
		for k := range w {
			facts[k] = p.facts(&base[k])
		}
		rules.Weights(facts[:], w[:])
		v := r.baseline.Log(&w, rules.Live())
		if b, seen := best[p.key()]; !seen || v > b.value+1e-12 {
			best[p.key()] = &rankedOption{presentation: *p, weights: w, value: v}
			w = rate.NewWeights(len(q.Book.Rules))
		}
	}
	for _, o := range best {
		r.list = append(r.list, *o)
	}
	slices.SortFunc(r.list, func(a, b rankedOption) int {
		if c := cmp.Compare(b.value, a.value); c != 0 {
			return c
		}
		return cmp.Compare(a.key(), b.key())
	})
	return r, nil
}

// reasons lists every rule that has a say, largest first, and the blind pick
// last. Their product is the edge.
func reasons(book *playbook.Book, r *rankedOption) []Reason {
	var out []Reason
	for i, f := range r.edge.Factors {
		if f == 1 {
			continue
		}
		rule := &book.Rules[i]
		applies := 0.0
		for k := range r.weights {
			applies += r.weights[k][i] / conditions.Scenarios
		}
		school := ""
		if rule.School != "" {
			school = book.SaysPosition(rule.School)
		}
		out = append(out, Reason{rule.ID, rule.Says, f, applies, rule.Idea, rule.Origin, rule.Effect, rule.Certainty, rule.Family, school})
	}
	slices.SortStableFunc(out, func(a, b Reason) int { return cmp.Compare(math.Abs(math.Log(b.Factor)), math.Abs(math.Log(a.Factor))) })
	says := fmt.Sprintf("Turning up blind averages ×%.2f by the same rules", 1/r.edge.Baseline)
	return append(out, Reason{Rule: BaselineRule, Says: says, Factor: r.edge.Baseline, Applies: 1})
}
