package outing

import (
	"math"
	"slices"
)

// Level of a water column to fish at.
type Level struct {
	DepthM float64
	// Tried already; Next to try: the first that was not.
	Tried, Next bool
}

// shares of the depth in the order they are tried: half of it first, then up and down by halves (common
// practice, no source).
var shares = []float64{1.0 / 2, 1.0 / 4, 3.0 / 4, 1.0 / 8, 7.0 / 8, 3.0 / 8, 5.0 / 8}

// shallowest water that is searched level by level: less of it is one level, metres (the house's judgement).
const shallowest = 2.5

// sameShare of the depth are two levels that ask the same water.
const sameShare = 1.0 / 16

// Column of water of a depth, level by level in the order they are tried; those at which one fished are
// struck out. None where there is no depth to search.
func Column(deepM float64, tried []float64) []Level {
	if !(deepM >= shallowest) {
		return nil
	}
	out := make([]Level, len(shares))
	for i, share := range shares {
		out[i].DepthM = share * deepM
		for _, m := range tried {
			out[i].Tried = out[i].Tried || math.Abs(m-out[i].DepthM) <= sameShare*deepM
		}
	}
	return nextOf(out)
}

// nextOf the levels is the first that was not tried.
func nextOf(levels []Level) []Level {
	if i := slices.IndexFunc(levels, func(l Level) bool { return !l.Tried }); i >= 0 {
		levels[i].Next = true
	}
	return levels
}

// above is how far above a fish one stops: most look up (common practice, no source).
const above = 0.5

// AboveFish is where to stop for a fish that is seen or marked at a depth, never out of the water.
func AboveFish(fishM float64) float64 { return math.Max(fishM-above, math.Min(fishM, 0.1)) }

// sameStop are two levels a fish takes for one, metres (the house's judgement).
const sameStop = 0.3

// Marked are the levels to stop at for fish marked at depths, in the order they were marked; those at which one fished
// are struck out.
func Marked(fishM, tried []float64) []Level {
	out := make([]Level, 0, len(fishM))
	for _, m := range fishM {
		stop := Level{DepthM: AboveFish(m)}
		for _, t := range tried {
			stop.Tried = stop.Tried || math.Abs(t-stop.DepthM) <= sameStop
		}
		out = append(out, stop)
	}
	return nextOf(out)
}

// Depths fished at since one came to the spot, in metres below the surface.
func (o *Outing) Depths() (out []float64) {
	now := o.Now()
	if now == nil {
		return nil
	}
	for i := range o.Spells {
		if s := &o.Spells[i]; s.SpotID == now.SpotID && s.Mark == now.Mark && s.DepthM > 0 {
			out = append(out, s.DepthM)
		}
	}
	return out
}
