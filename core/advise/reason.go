package advise

import (
	"cmp"
	"math"
	"slices"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/springrun"
	"greypebble/core/words"
)

// Reason is one factor of an edge: what a family of rules says of one part of it, in the words of
// the rule that says most.
type Reason struct {
	Part, Family string
	// Rule that says most, and its sentence: of what is missing where an ordinary spell has it.
	Rule, Says string
	Factor     float64
	// Applies is how far that rule applies, 0…1, after sharing with its family; Ordinary, how far
	// in an ordinary spell, of what is taken by the best of the book.
	Applies, Ordinary float64
	// From the playbook; empty for what is left over.
	Idea, Origin, Effect, Certainty, School string
	// Rules of the family that have a say, largest first.
	Rules []RuleReason
}

// RuleReason is one rule's share of a reason.
type RuleReason struct {
	Rule, Says                string
	Factor, Applies, Ordinary float64
}

// Plus is a rule that speaks for what is offered, whatever else could be.
type Plus struct {
	Rule, Says string
	Factor     float64
}

// Names of the reasons that are no rule's.
const (
	// RestRule is all that is too little to be told apart.
	RestRule = "rest"
	// AbsentRule holds down what nothing makes up for.
	AbsentRule = "absent"
	// RunRule is where the school is in its run up the river.
	RunRule = "run"
)

// tells is the factor a reason must have to be told apart, either way.
var tells = math.Log(1.03)

// strength of a factor, to put the largest first, either way. What is the same but for the last bits, which
// differ from machine to machine, keeps its order.
func strength(factor float64) float64 { return math.Round(math.Abs(math.Log(factor)) / even) }

// reasons of a choice, largest first, what is left over last. Their product is the edge.
func (q *Question) reasons(o *rankedOption, c *Choice) []Reason {
	groups := map[string]*Reason{}
	var order []string
	w := q.weights(o)
	rest := 0.0
	for _, r := range q.Book.About(q.Target.ID) {
		log := q.Belief.Mean(r) * c.contrast.Rules[r]
		if log == 0 {
			continue
		}
		rule := &q.Book.Rules[r]
		key := rule.Part.String() + " " + rule.Family
		g := groups[key]
		if g == nil {
			g = &Reason{Part: rule.Part.String(), Family: rule.Family, Factor: 1}
			groups[key] = g
			order = append(order, key)
		}
		g.Factor *= math.Exp(log)
		says := rule.Says
		if ordinary := w[r] - c.contrast.Rules[r]; w[r] < ordinary {
			says = rule.Missing(o.on.facts[:])
			if w[r] > 0 && q.Belief.Mean(r)*(ordinary-q.alone(o, rule)) < tells {
				says = "" // it gave way to another of its family, and is not held against itself
			}
		}
		g.Rules = append(g.Rules, RuleReason{rule.ID, q.Units.Fill(says), math.Exp(log), w[r], w[r] - c.contrast.Rules[r]})
	}
	var out []Reason
	if c := o.on.run; math.Abs(math.Log(c)) >= tells {
		out = append(out, Reason{Part: playbook.There.String(), Family: "run", Rule: RunRule, Says: springrun.Says(c), Factor: c,
			Applies: 1})
	} else {
		rest += math.Log(c)
	}
	for _, key := range order {
		g := groups[key]
		if math.Abs(math.Log(g.Factor)) < tells || !q.lead(g) {
			rest += math.Log(g.Factor)
			continue
		}
		out = append(out, *g)
	}
	slices.SortStableFunc(out, func(a, b Reason) int { return cmp.Compare(strength(b.Factor), strength(a.Factor)) })
	if b := c.contrast.Bounded(); b != 1 {
		out = append(out, Reason{Part: playbook.There.String(), Rule: AbsentRule, Says: words.NothingMakesUpForFishThat,
			Factor: b, Applies: 1})
	}
	if rest != 0 {
		out = append(out, Reason{Rule: RestRule, Says: sayRest(rest), Factor: math.Exp(rest), Applies: 1})
	}
	return out
}

// sayRest of what is left over: what an ordinary spell has of other places and other days counts
// against this one, by name it would fill a page.
func sayRest(log float64) string {
	switch {
	case log < math.Log(0.9):
		return words.AllElseGoodThingsOfOther
	case log > math.Log(1.1):
		return words.AllElseBadThingsOfOther
	}
	return words.AllElseNearEnoughAsUsual
}

// lead finds the rule of a reason that says most, the way the reason goes; false where none of
// them has words for it.
func (q *Question) lead(g *Reason) bool {
	slices.SortStableFunc(g.Rules, func(a, b RuleReason) int {
		return cmp.Compare(strength(b.Factor), strength(a.Factor))
	})
	for i := range g.Rules {
		r := &g.Rules[i]
		if (r.Factor > 1) != (g.Factor > 1) || r.Says == "" {
			continue
		}
		rule, _ := q.Book.Rule(r.Rule)
		g.Rule, g.Says, g.Applies, g.Ordinary = r.Rule, r.Says, r.Applies, r.Ordinary
		g.Idea, g.Origin, g.Effect, g.Certainty = rule.Idea, rule.Origin, rule.Effect, rule.Certainty
		if rule.School != "" {
			g.School = q.Book.SaysPosition(rule.School)
		}
		return true
	}
	return false
}

// alone is how far a rule applies before it shares with its family, mean over the scenarios.
func (q *Question) alone(o *rankedOption, rule *playbook.Rule) float64 {
	var p playbook.Presented
	o.present(o.on, &p)
	sum := 0.0
	for k := range o.on.facts {
		f := p.Over(&o.on.facts[k], k)
		if w := rule.Weight(&f); w == w {
			sum += w / conditions.Scenarios
		}
	}
	return sum
}

// weights of all rules for a presentation, mean over the scenarios.
func (q *Question) weights(o *rankedOption) []float64 {
	out := make([]float64, len(q.Book.Rules))
	for i := range o.on.untaken {
		w := &o.on.untaken[i]
		out[w.Rule] = w.Mean(o.on.ordinary.Rules[w.Rule])
	}
	taken := (&weighing{q: q}).weigh(&o.presentation, o.on)
	for i := range taken {
		out[taken[i].Rule] = taken[i].Mean(0)
	}
	return out
}

// holds is how far a rule must apply to be said of an offering: less is neither the one nor the other.
const holds = 0.4

// forIt lists what of the offering holds here, strongest first.
func (q *Question) forIt(o *rankedOption) []Plus {
	taken := slices.Clone((&weighing{q: q}).weigh(&o.presentation, o.on))
	worth := func(w *playbook.Weighed) float64 { return q.Belief.Mean(w.Rule) * w.Mean(0) }
	slices.SortStableFunc(taken, func(a, b playbook.Weighed) int {
		return cmp.Compare(math.Round(worth(&b)/even), math.Round(worth(&a)/even))
	})
	var out []Plus
	for i := range taken {
		r := &q.Book.Rules[taken[i].Rule]
		if worth(&taken[i]) > tells && q.alone(o, r) > holds {
			out = append(out, Plus{r.ID, q.Units.Fill(r.Says), math.Exp(worth(&taken[i]))})
		}
	}
	return out
}
