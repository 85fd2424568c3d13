package playbook

import (
	"math"

	"greypebble/core/conditions"
)

// Weighed is how far one rule applies in each scenario of a moment's readings, once its
// family has shared; NaN where it looks at what is not known.
type Weighed struct {
	Rule int
	W    [conditions.Scenarios]float64
}

// Mean over the scenarios; an unknown weight stands for what an ordinary spell has.
func (w *Weighed) Mean(ordinary float64) float64 {
	sum := 0.0
	for _, v := range w.W {
		if v != v {
			v = ordinary
		}
		sum += v
	}
	return sum / conditions.Scenarios
}

// Settled is a rule whose settled words are forgotten: its place in the book, what it shares
// with, and what is left to ask.
type Settled struct {
	Rule int
	// Group shares; those of one group stand together, strongest first. Whole ones do not.
	Group int
	Whole bool
	When  When
	// Varies: it looks at an uncertain reading.
	Varies bool
}

// Applicable is what is left of some of a book's rules for a target once the words of a place
// are settled: the rules that can still apply, with fewer questions to ask.
type Applicable struct{ Rules []Settled }

// Plain leaves out everything that is said of an offering. Words that change with time stay
// open.
func Plain(w Word) bool { return w == Side || w == Sign || w.fades() }

// Offered leaves open what is said of an offering.
func Offered(w Word) bool { return factWords[w].offered }

// Applicable rules of some parts for a target: f settles the words that are not open.
func (b *Book) Applicable(target string, f *Facts, open func(Word) bool, of func(Part) bool) *Applicable {
	a := &Applicable{}
	for _, i := range b.about[target] {
		r := &b.Rules[i]
		if !of(r.Part) {
			continue
		}
		if left := r.when.within(f, open); len(left) > 0 {
			a.Rules = append(a.Rules, Settled{i, r.group, r.whole(), left, left.Reads(uncertain)})
		}
	}
	return a
}

// Untaken are the parts that nothing on the hook changes.
func Untaken(p Part) bool { return p != Taken }

// OnlyTaken is the part that is about what is on the hook.
func OnlyTaken(p Part) bool { return p == Taken }

// Weigh how far each rule applies in each scenario of a moment. What applies nowhere is left
// out. dst is written over.
func (a *Applicable) Weigh(facts *[conditions.Scenarios]Facts, dst []Weighed) []Weighed {
	dst = dst[:0]
	var left sharing
	for i := range a.Rules {
		r := &a.Rules[i]
		w := Weighed{Rule: r.Rule}
		if r.Varies {
			for k := range w.W {
				w.W[k] = r.When.weight(&facts[k])
			}
		} else {
			v := r.When.weight(&facts[0])
			for k := range w.W {
				w.W[k] = v
			}
		}
		if left.take(&w, r.Group, r.Whole) {
			dst = append(dst, w)
		}
	}
	return dst
}

// sharing of weights within a group, the strongest rule first: what is left for the next in
// each scenario.
type sharing struct {
	group int
	begun bool
	left  [conditions.Scenarios]float64
}

// take what is a rule's; false where it applies nowhere.
func (s *sharing) take(w *Weighed, group int, whole bool) bool {
	if !s.begun || s.group != group {
		s.group, s.begun = group, true
		for k := range s.left {
			s.left[k] = 1
		}
	}
	some := false
	for k, v := range w.W {
		if v == 0 {
			continue
		}
		some = true
		if v != v || whole {
			continue
		}
		w.W[k] = v * s.left[k]
		s.left[k] *= 1 - v/2
	}
	return some
}

// Here are the rules about what is offered, on a mark at a moment: all that does not depend
// on the offering is settled.
type Here struct{ rules []hereRule }

type hereRule struct {
	rule, group int
	whole       bool
	clauses     []hereClause
}

type hereClause struct {
	tests []Test
	// around is the least of what does not depend on the offering, by scenario.
	around [conditions.Scenarios]float64
	// lure are ramps on measures that only a presentation has.
	lure []Ramp
}

// Here settles the rules for the scenarios of a moment on a mark.
func (a *Applicable) Here(facts *[conditions.Scenarios]Facts) *Here {
	h := &Here{}
	for i := range a.Rules {
		r := &a.Rules[i]
		out := hereRule{rule: r.Rule, group: r.Group, whole: r.Whole}
		for j := range r.When {
			c := &r.When[j]
			var left hereClause
			around := Clause{}
			for _, t := range c.Tests {
				if Offered(t.Of) {
					left.tests = append(left.tests, t)
				} else {
					around.Tests = append(around.Tests, t)
				}
			}
			for _, p := range c.Ramps {
				if ofLure[p.Of] {
					left.lure = append(left.lure, p)
				} else {
					around.Ramps = append(around.Ramps, p)
				}
			}
			some := false
			for k := range left.around {
				left.around[k] = around.weight(&facts[k])
				some = some || left.around[k] != 0
			}
			if some {
				out.clauses = append(out.clauses, left)
			}
		}
		if len(out.clauses) > 0 {
			h.rules = append(h.rules, out)
		}
	}
	return h
}

// Presented is what the rules look at of a presentation.
type Presented struct {
	// Facts hold the words of the offering, its depth and its clearance.
	Facts
	// Light at the lure by scenario, lux.
	Light [conditions.Scenarios]float64
}

// Over the facts of a mark in one scenario, all that is known of the presentation there.
func (p *Presented) Over(f *Facts, scenario int) Facts {
	out := *f
	for w := range out.Word {
		if Offered(Word(w)) {
			out.Word[w] = p.Word[w]
		}
	}
	for m := range ofLure {
		out.Measure[m] = p.Measure[m]
	}
	out.Measure[LureLight] = p.Light[scenario]
	return out
}

// Weigh how far each rule applies to a presentation. dst is written over.
func (h *Here) Weigh(p *Presented, dst []Weighed) []Weighed {
	dst = dst[:0]
	var left sharing
	for i := range h.rules {
		r := &h.rules[i]
		w := Weighed{Rule: r.rule}
		some := false
		for j := range r.clauses {
			some = r.clauses[j].add(p, &w.W) || some
		}
		if some && left.take(&w, r.group, r.whole) {
			dst = append(dst, w)
		}
	}
	return dst
}

// add the clause to the greatest so far; false where it does not hold.
func (c *hereClause) add(p *Presented, best *[conditions.Scenarios]float64) bool {
	for i := range c.tests {
		if !c.tests[i].Holds(&p.Facts) {
			return false
		}
	}
	for k, w := range c.around {
		for i := range c.lure {
			r := &c.lure[i]
			x := p.Measure[r.Of]
			if r.Of == LureLight {
				x = p.Light[k]
			}
			switch v := r.weigh(x); {
			case v == 0:
				w = 0
			case v != v && w != 0:
				w = math.NaN()
			default:
				w = least(w, v)
			}
		}
		switch b := best[k]; {
		case w != w && b < 1, b != b && w == 1, w > b:
			best[k] = w
		}
	}
	return true
}
