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
	return fmt.Sprintf("Tide cut-off: in %s it is %s. Be out before.", lasting(left), w.ClosedBy)
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
	case "jetty", "rocky shore":
		out = append(out, "Never turn your back to the sea; wet rock is slippery: studs and flotation, and not alone.")
	case "timbered creek", "mud flat", "back lake", "overhung bank":
		out = append(out, "Soft mud and hidden holes: test before you step. Heed what lives there, alligators and snakes included.")
	case "reef", "ledge", "harbour mouth":
		out = append(out, "In a small boat one person stays at the controls with the engine running; kill-cord on, lights at dusk.")
	case "seawall":
		out = append(out, "Stand back from the edge when you lift a fish, and mind other people's lines.")
	}
	if m.Believed[conditions.Cloud].Value >= thundery && m.Believed[conditions.AirTemp].Value >= 15 && exposedTo[m.Spot.Place] {
		out = append(out, "At the first thunder rods down and off the beach, pier and water; back half an hour after the last.")
	}
	if v := m.Believed[conditions.WaterTemp]; v.Value < coldShock {
		out = append(out, "Cold water takes the breath away: wear flotation, and do not fish alone.")
	}
	if m.Sun.Altitude < -6 {
		out = append(out, "It is dark: carry two lights and know the way back.")
	}
	return out
}

// thundery is the cloud cover from which thunder is spoken of.
const thundery = 0.8

// exposedTo the sky: where a rod is the tallest thing about.
var exposedTo = map[string]bool{"surf beach": true, "pier": true, "jetty": true, "rocky shore": true, "reef": true, "ledge": true, "grass flat": true, "mud flat": true,
	"oyster bar": true, "harbour mouth": true}

// choiceCautions belong to what is tied on and what it may catch.
func choiceCautions(q *Question, r *rankedOption) []string {
	out := append([]string(nil), q.Target.Cautions...)
	if r.mark.Bottom == "shell" {
		out = append(out, "Shell cuts line: check the leader after every fish.")
	}
	if r.mark.Kind == ground.Piling {
		out = append(out, "Barnacles cut line: turn the fish away from the wood at once.")
	}
	if r.mark.Kind == ground.Cut {
		out = append(out, "The cut is where the rip runs: do not wade it.")
	}
	if r.offering.Approach == "lure" && r.rig.Head || r.rig.HookPattern == "treble" {
		out = append(out, "Glasses against a hook that comes flying back.")
	}
	return out
}
