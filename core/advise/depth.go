package advise

import (
	"fmt"
	"math"

	"greypebble/core/tackle"
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

// fished is how deep the offering is, metres; why it cannot be.
func (o *options) fished(p *presentation, depthM float64) (float64, string) {
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
			return 0, fmt.Sprintf("it runs to %s and would plough the bottom in %s", o.q.Units.ShowDepth(runs), o.q.Units.ShowDepth(depthM))
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

// jigged is the depth a line is to hang straight to.
func (o *options) jigged(depthM float64) float64 { return depthM }
