package advise

import (
	"fmt"
	"math"

	"greypebble/core/playbook"
	"greypebble/core/spot"
	"greypebble/core/tackle"
	"greypebble/core/words"
)

// clearance a float or suspending lure keeps from the bottom, metres.
const clearance = 0.2

// usualCast of a plug in metres, and the line it is thrown on.
const (
	usualCast = 30.0
	plugLine  = 0.00028
	// knocksBy is how far past the bottom a plug may be made to dive over rock, which
	// it strikes and comes off; over anything else it ploughs.
	knocksBy = 1.5
)

// aboveFish is how far above fish that show a thing is held: they look up (common practice, no source).
const (
	aboveFishM     = 0.3
	aboveFishShare = 0.05
)

// held is the depth at which a thing is held for fish that show: a little above the first level there is
// water for; false where none show.
func held(m *spot.Moment, depthM float64) (at float64, shown bool) {
	for _, level := range m.FishDepthsM {
		if level <= depthM {
			return math.Max(level-math.Max(aboveFishM, level*aboveFishShare), 0), true
		}
	}
	return 0, false
}

// fished is how deep the offering is, metres; why it cannot be.
func (o *options) fished(p *presentation, depthM float64) (float64, string) {
	if at, shown := held(o.m, depthM); shown && p.rig.AnyDepth && (!p.rig.Vertical || o.stands[p.at].Over) {
		return at, ""
	}
	rated := p.offering.RatedM
	if p.owned != nil && p.owned.RatedM > 0 {
		rated = p.owned.RatedM
	}
	if rated > 0 {
		runs := tackle.Plug{RatedM: rated}.RunsTo(usualCast, plugLine)
		limit := depthM
		if p.mark.Bottom == "rock" {
			limit *= knocksBy
		}
		if runs > limit {
			return 0, fmt.Sprintf(words.ItRunsToAndWouldPlough, o.q.Units.ShowDepth(runs), o.q.Units.ShowDepth(depthM))
		}
		return math.Min(runs, depthM), ""
	}
	switch {
	case p.rig.FloatM > 0:
		return math.Min(p.rig.FloatM, depthM-clearance), ""
	case p.rig.Column == "bottom":
		return depthM, ""
	case p.rig.Column == "mid":
		return depthM / 2, ""
	}
	return 0, ""
}

// underFish is how far below the nearest level fish show at a thing is; NaN where none show.
func underFish(m *spot.Moment, atM float64) float64 {
	nearest := math.NaN()
	for _, level := range m.FishDepthsM {
		if by := atM - level; math.IsNaN(nearest) || math.Abs(by) < math.Abs(nearest) {
			nearest = by
		}
	}
	return nearest
}

// jigged is the depth to which a rig's line is to hang straight.
func (o *options) jigged(rig *playbook.Rig, depthM float64) float64 {
	if at, shown := held(o.m, depthM); shown && rig.AnyDepth {
		return at
	}
	return depthM
}
