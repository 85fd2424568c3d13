package plan

import (
	"math"
	"time"

	"greypebble/core/advise"
	"greypebble/core/kit"
)

// Peak of a leg: the step that is worth most for its target, and the middle of it where nothing is.
func (o *Outlook) Peak(l Leg) time.Time {
	best, at := math.Inf(-1), l.Arrive.Add(l.Leave.Sub(l.Arrive)/2).Truncate(Step)
	if l.Target < 0 {
		return at
	}
	edges := o.Edges[l.Target][l.Spot]
	for t := l.Arrive.Truncate(Step); t.Before(l.Leave); t = t.Add(Step) {
		i := int(t.Sub(o.From) / Step)
		if i < 0 || i >= len(edges) {
			continue
		}
		if e := float64(edges[i]); e > best {
			best, at = e, t
		}
	}
	return at
}

// Tied is what to tie on for a leg, at its peak.
func (o *Outlook) Tied(l Leg, has kit.Kit) (advise.Advice, error) {
	target := max(l.Target, 0)
	return advise.Ask(advise.Question{Book: o.Asked.Book, Belief: o.Asked.Belief, Target: o.Asked.Targets[target],
		Spot: o.Asked.Spots[l.Spot], Time: o.Peak(l), Limits: o.Asked.Limits, Units: o.Asked.Units, Kit: has, Most: 1})
}

// Range of a day's catch in which it lies four times in five: each leg's as wide as what is tied on
// there makes it. What makes one leg poor makes the others poor: they are added up as they stand.
func Range(legs []Leg, tied []advise.Advice) (low, high float64) {
	for i, l := range legs {
		if len(tied[i].Choices) == 0 || l.Target < 0 {
			continue
		}
		if c := tied[i].Choices[0].Catch; c.Median > 0 {
			low += l.Catch * c.Low / c.Median
			high += l.Catch * c.High / c.Median
		}
	}
	return low, high
}
