package advise

import (
	"fmt"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/tide"
)

// coldShock is the water temperature in °C below which a fall into it takes the
// breath away (common public guidance).
const coldShock = 15

// soon is how near a closing must be to be a caution.
const soon = 3 * time.Hour

// WayCaution says that the way is shut, or how soon it will be; empty when there
// is no hurry.
func WayCaution(m *Moment, c *tide.Curve) string {
	w, open := ground.NextClose(m.Spot.Access.Open(c), m.Time)
	if !open {
		return "The way there or back is shut now."
	}
	left := w.Closes.Sub(m.Time).Round(time.Minute)
	if w.Closes.IsZero() || left > soon {
		return ""
	}
	return fmt.Sprintf("Tide cut-off: in %d h %02d min it is %s. Be out before.", int(left.Hours()), int(left.Minutes())%60, w.ClosedBy)
}

// PlaceCautions are shown once, with the place and the moment. They are the
// usual ones; local rules, lifeguards and harbour masters come first.
func PlaceCautions(m *Moment) []string {
	var out []string
	if m.Spot.Access.Manner == ground.Wading {
		out = append(out, "Wade no deeper than the thigh, shuffle your feet for rays, and wear boots: shell and soft mud.")
	}
	switch m.Spot.Place {
	case "surf beach":
		out = append(out, "Rip currents run out through the cuts. If caught, float, signal, and move along the shore, not against it. Heed lifeguards.")
	case "pier":
		out = append(out, "Wet planks and rails are slippery; look behind you before you cast.")
	}
	if v := m.Believed[conditions.WaterTemp]; v.Value < coldShock {
		out = append(out, "Cold water takes the breath away: wear flotation, and do not fish alone.")
	}
	if m.Sun.Altitude < -6 {
		out = append(out, "It is dark: carry two lights and know the way back.")
	}
	return out
}

// choiceCautions belong to what is tied on and what it may catch.
func choiceCautions(q Question, r *rankedOption) []string {
	out := append([]string(nil), q.Target.Cautions...)
	if r.mark.Bottom == "shell" {
		out = append(out, "Shell cuts line: check the leader after every fish.")
	}
	if r.mark.Kind == ground.Piling {
		out = append(out, "Barnacles cut line: turn the fish away from the wood at once.")
	}
	return out
}
