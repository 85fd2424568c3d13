package advise

import (
	"fmt"
	"math"
	"sort"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/tide"
)

// Question is what is asked.
type Question struct {
	Book   *playbook.Book
	Belief rate.Belief
	Target *playbook.Target
	// Spots are all the angler's spots, for the blind pick; At is the index of
	// the one asked about.
	Spots []*Spot
	At    int
	// Time of the question.
	Time time.Time
	// Blind may hold the blind pick if it was worked out before.
	Blind *rate.Blind
	// System the sentences are written in.
	System quantity.System
	// Most choices wanted; 0 means three.
	Most int
}

// Advice is ranked choices for a moment and what they rest on.
type Advice struct {
	Moment  Moment
	Choices []Choice
	// Way says that the way is shut or soon will be; empty when there is no hurry.
	Way string
	// Cautions of the place and moment, to be shown once.
	Cautions []string
	// Note says why there is no choice, where there is none.
	Note string
}

// Choice is a presentation with its edge and its reasons.
type Choice struct {
	Sentence, Approach, Offering, Rig, Mark string
	Retrieve, Bite                          string
	DepthM                                  float64
	Edge                                    rate.Edge
	Reasons                                 []Reason
	Cautions                                []string
	Arithmetic                              []Working
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

// BlindRule is the name of the last reason: what a blind pick has already.
const BlindRule = "blind-pick"

// Ask ranks what can be presented.
func Ask(q Question) (Advice, error) {
	s := q.Spots[q.At]
	c, err := tide.Over(s.Tide, q.Time, q.Time.Add(reachAhead))
	if err != nil {
		return Advice{}, err
	}
	m, err := s.At(c, q.Time)
	if err != nil {
		return Advice{}, err
	}
	blind := q.Blind
	if blind == nil {
		if blind, err = Blind(q.Book, q.Belief, q.Target, q.Spots, q.Time); err != nil {
			return Advice{}, err
		}
	}
	a := Advice{Moment: m, Way: WayCaution(&m, c), Cautions: PlaceCautions(&m)}
	options := possible(q.Book, q.Target, &m)
	if len(options) == 0 {
		a.Note = fmt.Sprintf("There is no fishable water on any mark of %s at this level of tide. Move the time along the ribbon.", s.Name)
		return a, nil
	}
	if blind.Empty() {
		a.Note = "None of your spots can be reached in daylight in the next fourteen days, so there is nothing to compare with."
		return a, nil
	}
	ranked, err := rank(q, &m, blind, options)
	if err != nil {
		return Advice{}, err
	}
	for _, r := range ranked {
		a.Choices = append(a.Choices, describe(q, &m, &r))
	}
	return a, nil
}

// reachAhead is how far ahead a way's closing is looked for.
const reachAhead = 14 * time.Hour

type rankedOption struct {
	presentation
	weights rate.Weights
	edge    rate.Edge
}

// rank orders by edge and keeps the best presentation of each offering, so that
// the choices differ in what is tied on.
func rank(q Question, m *Moment, blind *rate.Blind, options []presentation) ([]rankedOption, error) {
	best := make(map[string]rankedOption)
	base, err := m.scenarios()
	if err != nil {
		return nil, err
	}
	var facts [conditions.Scenarios]playbook.Facts
	for _, p := range options {
		w := rate.NewWeights(len(q.Book.Rules))
		for k := range w {
			facts[k] = p.facts(m.LevelM, &base[k])
		}
		q.Book.WeightsAcross(q.Target.ID, facts[:], w[:])
		e, err := blind.Edge(q.At, &w)
		if err != nil {
			return nil, err
		}
		if b, seen := best[p.offering.ID]; !seen || e.Value > b.edge.Value*(1+1e-12) {
			best[p.offering.ID] = rankedOption{p, w, e}
		}
	}
	list := make([]rankedOption, 0, len(best))
	for _, r := range best {
		list = append(list, r)
	}
	sort.Slice(list, func(i, j int) bool {
		if list[i].edge.Value != list[j].edge.Value {
			return list[i].edge.Value > list[j].edge.Value
		}
		return list[i].offering.ID < list[j].offering.ID
	})
	most := q.Most
	if most <= 0 {
		most = 3
	}
	return list[:min(most, len(list))], nil
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
		out = append(out, Reason{rule.ID, rule.Says, f, applies, rule.Idea, rule.Origin, rule.Effect, rule.Certainty, rule.Family, rule.School})
	}
	sort.SliceStable(out, func(i, j int) bool { return math.Abs(math.Log(out[i].Factor)) > math.Abs(math.Log(out[j].Factor)) })
	says := fmt.Sprintf("Turning up blind averages ×%.2f by the same rules", 1/r.edge.Blind)
	return append(out, Reason{Rule: BlindRule, Says: says, Factor: r.edge.Blind, Applies: 1})
}
