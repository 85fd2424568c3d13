package outing

import (
	"errors"
	"math"

	"greypebble/core/ground"
)

// Run is how the boat went when something was told, while trolling.
type Run struct {
	CourseDeg float64 `json:"course_deg"`
	SpeedMS   float64 `json:"speed_ms"`
}

// fastest a boat trolls, m/s: 20 knots, beyond what any lure is pulled at.
const fastest = 10.3

func (r *Run) validate() error {
	if !(r.CourseDeg >= 0 && r.CourseDeg <= 360) || !(r.SpeedMS > 0 && r.SpeedMS <= fastest) {
		return errors.New("outing: a boat that trolls goes on a course of 0 to 360°, at up to 10.3 m/s (20 knots)")
	}
	return nil
}

// Hook is where a trolled lure was hooked: the lure, not the boat; and how it ran. Depth found is depth kept
// (common practice, no source).
type Hook struct {
	Lure ground.LatLon
	Run
	// LineM is out, DepthM the lure runs at; 0: not said.
	LineM, DepthM float64
}

// LastHook is the last fish that was hooked while trolling, where the device knew the place; false for none.
func (o *Outing) LastHook() (Hook, bool) {
	for i := len(o.told) - 1; i >= 0; i-- {
		t := &o.told[i]
		if t.Kind != On || t.Run == nil || t.At == nil {
			continue
		}
		h := Hook{Run: *t.Run}
		for k := i; k >= 0; k-- {
			if d := o.told[k].Doing; d != nil {
				h.LineM, h.DepthM = d.DistanceM, d.DepthM
				break
			}
		}
		h.Lure = ground.Toward(latLon(t.At), h.CourseDeg, -h.LineM)
		return h, true
	}
	return Hook{}, false
}

// leadLeast before the place, metres, and leadLines of line out: the line must be straight again and the lure
// at its depth before it comes there (common practice, no source).
const (
	leadLeast = 50.0
	leadLines = 2.0
)

// Pass over a place again, on the course and at the speed of before.
type Pass struct {
	// Start is where the run begins: so far and at such a bearing from the boat.
	Start      ground.LatLon
	ToStartM   float64
	BearingDeg float64
	CourseDeg  float64
	SpeedMS    float64
	LineM      float64
	DepthM     float64
	// HookM and HookBearing lead from the boat to where the lure was hooked.
	HookM, HookBearing float64
	// BoatOverS and LureOverS are how long after the start of the run the boat and the lure are there; RunM is
	// how far the boat goes until the lure is.
	BoatOverS, LureOverS, RunM float64
}

// Again plans the pass over where the lure was hooked, from where the boat is now.
func (h Hook) Again(boat ground.LatLon) Pass {
	lead := math.Max(leadLeast, leadLines*h.LineM)
	start := ground.Toward(h.Lure, h.CourseDeg, -lead)
	return Pass{Start: start, ToStartM: ground.Distance(boat, start), BearingDeg: ground.Bearing(boat, start), CourseDeg: h.CourseDeg,
		SpeedMS: h.SpeedMS, LineM: h.LineM, DepthM: h.DepthM, HookM: ground.Distance(boat, h.Lure),
		HookBearing: ground.Bearing(boat, h.Lure), BoatOverS: lead / h.SpeedMS, LureOverS: (lead + h.LineM) / h.SpeedMS,
		RunM: lead + h.LineM}
}
