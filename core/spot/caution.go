package spot

import (
	"fmt"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/prose"
	"greypebble/core/sky"
	"greypebble/core/tide"
)

// coldShock is the water temperature in °C below which a fall into it takes the breath
// away (common public guidance).
const coldShock = 15

// soon is how near a closing must be to be a caution.
const soon = 3 * time.Hour

// ClosesSoon says that the way is open and shuts within hours: time to mind it.
func ClosesSoon(open []ground.Window, t time.Time) bool {
	w, now := ground.NextClose(open, t)
	return now && !w.Closes.IsZero() && w.Closes.Sub(t) <= soon
}

// WayCaution says that the way is shut, or how soon it will be; empty when there is no
// hurry.
func (m *Moment) WayCaution(c *tide.Curve) string {
	w, open := ground.NextClose(m.Spot.Access.Open(c), m.Time)
	if !open {
		return "The way there or back is shut now."
	}
	left := w.Closes.Sub(m.Time).Round(time.Minute)
	if w.Closes.IsZero() || left > soon {
		return ""
	}
	return fmt.Sprintf("Tide cut-off: in %s it is %s. Be out before.", prose.Lasting(left), w.ClosedBy)
}

// RipCaution belongs wherever cuts are spoken of (common public guidance).
const RipCaution = "Rip currents run out through the cuts and gaps in the white. If one takes you: float, signal, " +
	"and move along the shore, not against it. Never turn your back to the sea. Heed lifeguards."

// thundery is the cloud cover from which thunder is spoken of.
const thundery = 0.8

// exposedTo the sky: where a rod is the tallest thing about.
var exposedTo = map[string]bool{"surf beach": true, "pier": true, "jetty": true, "rocky shore": true, "reef": true, "ledge": true,
	"grass flat": true, "mud flat": true, "oyster bar": true, "harbour mouth": true}

// placeCautions by kind of place: the usual ones.
var placeCautions = map[string]string{
	"surf beach": "Rip currents run out through the cuts. If caught, float, signal, and move along the shore, not against it. " +
		"Heed lifeguards.",
	"pier":           "Wet planks and rails are slippery; look behind you before you cast.",
	"jetty":          wetRock,
	"rocky shore":    wetRock,
	"timbered creek": softMud,
	"mud flat":       softMud,
	"back lake":      softMud,
	"overhung bank":  softMud,
	"reef":           smallBoat,
	"ledge":          smallBoat,
	"harbour mouth":  smallBoat,
	"seawall":        "Stand back from the edge when you lift a fish, and mind other people's lines.",
}

const (
	wetRock   = "Never turn your back to the sea; wet rock is slippery: studs and flotation, and not alone."
	softMud   = "Soft mud and hidden holes: test before you step. Heed what lives there, alligators and snakes included."
	smallBoat = "In a small boat one person stays at the controls with the engine running; kill-cord on, lights at dusk."
)

// Cautions of the place and moment, to be shown once. They are the usual ones; local
// rules, lifeguards and harbour masters come first.
func (m *Moment) Cautions() []string {
	var out []string
	if m.Spot.Access.Manner == ground.Wading {
		out = append(out, "Wade no deeper than the thigh, shuffle your feet for rays, and wear boots: shell and soft mud.")
	}
	if says, ok := placeCautions[m.Spot.Place]; ok {
		out = append(out, says)
	}
	if m.Believed[conditions.Cloud].Value >= thundery && m.Believed[conditions.AirTemp].Value >= 15 && exposedTo[m.Spot.Place] {
		out = append(out, "At the first thunder rods down and off the beach, pier and water; back half an hour after the last.")
	}
	if v := m.Believed[conditions.WaterTemp]; v.Value < coldShock {
		out = append(out, "Cold water takes the breath away: wear flotation, and do not fish alone.")
	}
	if m.Sun.Altitude < sky.CivilTwilight {
		out = append(out, "It is dark: carry two lights and know the way back.")
	}
	return out
}

// ZoneWarnings of the rules that hold at the spot at a time; never nil.
func (s *Spot) ZoneWarnings(t time.Time) []string {
	out := []string{}
	touched, area := s.Touched()
	for i := range s.Zones {
		if z := &s.Zones[i]; z.HoldsOn(touched, area, s.local(t)) {
			out = append(out, z.Warning(t))
		}
	}
	return out
}
