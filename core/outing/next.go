package outing

import (
	"math"
	"time"
)

// Change is one thing that can be changed when nothing bites.
type Change string

// Changes in the order in which they are tried: one thing at a time (common practice, no source).
const (
	TheSpot   Change = "spot"
	TheDepth  Change = "depth"
	ThePace   Change = "pace"
	TheSize   Change = "size"
	TheColour Change = "colour"
)

// Changes in their order.
var Changes = []Change{TheSpot, TheDepth, ThePace, TheSize, TheColour}

// FairTrial is the effort after which a change has had its chance, rod-hours (common practice speaks of
// twenty minutes and of half an hour).
const FairTrial = 1.0 / 3

// Tried is how much effort each change has had since fish last showed.
type Tried struct {
	Change   Change
	RodHours float64
}

// Next is what to change when nothing bites: the first in the order that has not had a fair trial since
// the last sign of fish; when all have, it is the spot's turn again. What is being tried now is left
// its time: then there is none, and Left is what it still has.
type Next struct {
	Change Change
	Left   time.Duration
	// Tried since the last sign of fish, in the order of the changes.
	Tried []Tried
}

// NextOf an outing at a moment; false where nothing is fished.
func (o *Outing) NextOf(t time.Time) (Next, bool) {
	now := o.Now()
	if now == nil {
		return Next{}, false
	}
	first := len(o.Spells) - 1
	for first > 0 && o.Spells[first].LastSign().IsZero() && o.Spells[first-1].Target == now.Target {
		first--
	}
	effort := map[Change]float64{}
	for i := first; i < len(o.Spells); i++ {
		s := &o.Spells[i]
		spent := o.Effort(s, t)
		if sign := s.LastSign(); !sign.IsZero() {
			spent = math.Min(spent, float64(s.Rods)*t.Sub(sign).Hours())
		}
		// What it began with; the very first is a spot that is tried.
		changed := TheSpot
		if i > first {
			changed = changeOf(&o.Spells[i-1].Doing, &s.Doing)
		}
		if changed == TheSpot {
			// At another spot all else is to be tried anew.
			clear(effort)
		}
		effort[changed] += spent
		if i == len(o.Spells)-1 && effort[changed] < FairTrial {
			left := time.Duration((FairTrial - effort[changed]) / float64(s.Rods) * float64(time.Hour))
			return Next{Left: left, Tried: tried(effort)}, true
		}
	}
	out := Next{Change: TheSpot, Tried: tried(effort)}
	// The spot is had: what comes after it, in its order.
	for _, c := range Changes[1:] {
		if effort[c] < FairTrial {
			out.Change = c
			return out, true
		}
	}
	return out, true
}

func tried(effort map[Change]float64) (out []Tried) {
	for _, c := range Changes {
		if effort[c] > 0 {
			out = append(out, Tried{c, effort[c]})
		}
	}
	return out
}

// changeOf what one does: the first of the order that differs. Another offering is another size or colour,
// or another pace where it is moved otherwise.
func changeOf(a, b *Doing) Change {
	switch {
	case a.SpotID != b.SpotID || a.Mark != b.Mark:
		return TheSpot
	case a.DepthM != b.DepthM || a.WeightKg != b.WeightKg || a.RigID != b.RigID:
		return TheDepth
	case a.Style != b.Style:
		return ThePace
	case a.SizeM != b.SizeM || a.Approach != b.Approach || a.OfferingID != b.OfferingID || a.Offering != b.Offering:
		return TheSize
	}
	return TheColour
}
