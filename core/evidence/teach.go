package evidence

import (
	"cmp"
	"math"
	"slices"
)

// Lesson is what a spell that is still to be fished would teach.
type Lesson struct {
	// Drop of the variance that is left of the rules' coefficients, as a share of it.
	Drop float64
	// Of these rules most of it, the most first.
	Of []int
	// Fish expected in the spell: what teaches next to nothing because nothing bites is no lesson.
	Expected float64
}

// mostOf rules a lesson names.
const mostOf = 3

// Lesson of a spell for the belief's target. A count of mean μ tells of xᵀβ as a reading of variance 1/μ does, so the
// covariance Σ of the coefficients falls by Σx·xᵀΣ·μ/(1 + μ·xᵀΣx) (Chaloner and Verdinelli 1995, Bayesian A-optimality).
func (b Belief) Lesson(s *Spell) Lesson {
	x := make([]float64, len(b.e.book.Rules))
	for _, k := range s.Rules {
		x[k.Rule] = k.More
	}
	level, variance := b.Expect(s.Spot, x)
	for r, v := range x {
		level += v * b.Mean(r)
	}
	out := Lesson{Expected: s.RodHours * math.Exp(level)}
	gain := out.Expected / (1 + out.Expected*variance)
	type fall struct {
		rule int
		by   float64
	}
	var falls []fall
	left, fallen := 0.0, 0.0
	for _, r := range b.e.book.About(b.target) {
		own := b.view.unknown[r]
		if at := b.view.at[r]; at >= 0 {
			own += b.view.covariance[at][at]
		}
		left += own
		// How the coefficient goes with xᵀβ.
		with := x[r] * b.view.unknown[r]
		if at := b.view.at[r]; at >= 0 {
			for k, v := range x {
				if other := b.view.at[k]; v != 0 && other >= 0 {
					with += v * b.view.covariance[at][other]
				}
			}
		}
		if by := gain * with * with; by > 0 {
			falls, fallen = append(falls, fall{r, by}), fallen+by
		}
	}
	if left > 0 {
		out.Drop = fallen / left
	}
	slices.SortStableFunc(falls, func(a, b fall) int { return cmp.Compare(b.by, a.by) })
	for _, f := range falls[:min(mostOf, len(falls))] {
		out.Of = append(out.Of, f.rule)
	}
	return out
}
