package spot

import (
	"fmt"
	"time"

	"greypebble/core/ground"
	"greypebble/core/prose"
	"greypebble/core/quantity"
	"greypebble/core/tide"
	"greypebble/core/words"
)

// Soon is how near a closing must be to be a caution.
const Soon = 3 * time.Hour

// ClosesSoon says that the way is open and shuts within hours: time to mind it.
func ClosesSoon(open []ground.Window, t time.Time) bool {
	w, now := ground.NextClose(open, t)
	return now && !w.Closes.IsZero() && w.Closes.Sub(t) <= Soon
}

// WayCaution says that the way is shut, or how soon it will be; empty when there is no
// hurry.
func (m *Moment) WayCaution(c *tide.Curve) string {
	w, open := ground.NextClose(m.Spot.WayOpen(c), m.Time)
	if !open {
		return words.TheWayThereOrBackIs
	}
	left := w.Closes.Sub(m.Time).Round(time.Minute)
	if w.Closes.IsZero() || left > Soon {
		return ""
	}
	return fmt.Sprintf(words.TideCutOffInItIs2, prose.Lasting(left), w.ClosedBy)
}

// RipCaution belongs wherever cuts are spoken of (common public guidance).
const RipCaution = "Rip currents run out through the cuts and gaps in the white. If one takes you: float, signal, " +
	"and move along the shore, not against it. Never turn your back to the sea. Heed lifeguards."

// ZoneWarnings of the rules that hold at the spot at a time, for whatever fish; never nil.
func (s *Spot) ZoneWarnings(t time.Time, u quantity.Units) []string {
	out := []string{}
	touched, area := s.Touched()
	for i := range s.Zones {
		if z := &s.Zones[i]; z.HoldsOn(touched, area, s.local(t)) {
			out = append(out, z.Warning(t))
		}
	}
	for i := range s.Rules {
		if r := &s.Rules[i]; r.OfAny() && !r.Area.Everywhere() && r.Holds(s.local(t)) {
			out = append(out, r.Warning(t, u))
		}
	}
	return out
}
