package tackle

import (
	"fmt"
	"math"
)

// Plug is a lure that dives as it is drawn.
type Plug struct {
	// RatedM is the depth it is sold for, at a long cast on the line it was rated
	// with.
	RatedM float64
	// Floats: it floats up when it stops; a sinking one falls.
	Floats bool
}

// Conditions the ratings are taken to be made for (common practice, no source):
// a cast of 30 m on line 0.30 mm thick.
const (
	ratedCast = 30.0
	ratedLine = 0.0003
	// ratedDive is how far it must be drawn to come within a third of its depth,
	// in times that depth.
	ratedDive = 3.0
	// steepest the line may run from the rod tip to the lure near the end, as
	// depth over distance.
	steepest = 0.45
)

// PlugPoint of a retrieve: distance from the rod and the lure's depth, metres.
type PlugPoint struct{ DistanceM, DepthM float64 }

// Swim is a plug's way along a cast.
type Swim struct {
	Path []PlugPoint
	// TouchesM is the distance from the rod where it first strikes bottom; below 0,
	// it never does.
	TouchesM float64
	// InStripM is how far of the cast it swims within the depths asked for, off the
	// bottom by no more than nearM, and Seconds how long that takes.
	InStripM, Seconds float64
}

// nearM: a plug fishes the strip while it swims within so much of the bottom or
// strikes it.
const nearM = 0.6

// RunsTo is the deepest a plug gets on a cast (metres) with a line of a thickness
// (metres).
func (p Plug) RunsTo(castM, lineM float64) float64 { return p.deepest(castM, lineM) }

// deepest a plug gets on a line and a cast: drag on the line holds it up, in
// proportion to its thickness' square root; a short cast leaves no room to dive.
func (p Plug) deepest(castM, lineM float64) float64 {
	return p.RatedM * math.Sqrt(ratedLine/lineM) * (1 - math.Exp(-castM/ratedCast*1.6)) / (1 - math.Exp(-1.6))
}

// Swim of the plug from the end of a cast to the rod over ground whose depth at a
// distance from the rod is given (metres; NaN where not known). strip names the
// bottom depths to be fished. The rating, the cast and the line say how deep; the
// house's model, good to a third: time a bait by the depth where it first knocks.
func (p Plug) Swim(castM, lineDiameterM, paceMS float64, depth func(fromRodM float64) float64, stripMinM, stripMaxM float64) (Swim, error) {
	switch {
	case !(p.RatedM > 0 && p.RatedM < 15):
		return Swim{}, fmt.Errorf("tackle: the rated depth must be between 0 and 15 m, not %v", p.RatedM)
	case !(castM > 1 && castM < 200):
		return Swim{}, fmt.Errorf("tackle: the cast must be between 1 and 200 m, not %v", castM)
	case !(lineDiameterM > 0.00002 && lineDiameterM < 0.005):
		return Swim{}, fmt.Errorf("tackle: the line must be between 0.02 and 5 mm thick, not %v mm", lineDiameterM*1000)
	case !(paceMS > 0 && paceMS < 10):
		return Swim{}, fmt.Errorf("tackle: the pace must be between 0 and 10 m/s, not %v", paceMS)
	case !(stripMinM >= 0 && stripMaxM >= stripMinM):
		return Swim{}, fmt.Errorf("tackle: the strip must run from 0 or more to more, not %v to %v", stripMinM, stripMaxM)
	}
	deepest := p.deepest(castM, lineDiameterM)
	const step = 0.25
	out := Swim{TouchesM: -1}
	for d := castM; d >= 0; d -= step {
		swum := castM - d
		z := deepest * (1 - math.Exp(-swum/(ratedDive*p.RatedM)))
		z = math.Min(z, d*steepest)
		bottom := depth(d)
		if z >= bottom { // not where the bottom is not known
			if out.TouchesM < 0 && bottom >= 0 {
				out.TouchesM = d
			}
			z = math.Max(bottom, 0)
		}
		out.Path = append(out.Path, PlugPoint{d, z})
		if bottom >= stripMinM && bottom <= stripMaxM && bottom > 0 && bottom-z <= nearM {
			out.InStripM += step
		}
	}
	out.Seconds = out.InStripM / paceMS
	return out, nil
}
