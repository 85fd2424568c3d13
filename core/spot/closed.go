package spot

import (
	"fmt"
	"time"

	"greypebble/core/ground"
	"greypebble/core/tide"
	"greypebble/core/words"
)

// Closing is the rule that closes the spot at a time: of a no-take or seasonal zone it lies
// in; nil where none does. A voluntary code warns and closes nothing.
func (s *Spot) Closing(t time.Time) *ground.Zone {
	for i := range s.Zones {
		if z := &s.Zones[i]; z.Kind != ground.Voluntary && z.InSeason(s.local(t)) {
			return z
		}
	}
	return nil
}

// local time of the spot, by whose days rules hold.
func (s *Spot) local(t time.Time) time.Time {
	if s.Clock == nil {
		return t.UTC()
	}
	return t.In(s.Clock)
}

// allowed are the times within an interval in which no rule closes the spot and its gate is open.
func (s *Spot) allowed(from, to time.Time) []ground.Window {
	out, open := []ground.Window{}, false // empty, not nil: closed throughout
	for day := from; day.Before(to); day = nextDay(s.local(day)) {
		z := s.Closing(day)
		switch {
		case z == nil && !open:
			w := ground.Window{}
			if day.After(from) {
				w.Opens = day.UTC()
			}
			out = append(out, w)
		case z != nil && open:
			w := &out[len(out)-1]
			w.Closes, w.ClosedBy = day.UTC(), fmt.Sprintf(words.ClosedBy, z.Name)
		}
		open = z == nil
	}
	if len(s.Timetable) == 0 {
		return out
	}
	return ground.Both(out, s.Timetable.Windows(from, to, s.local(from).Location(), words.PastItsHours))
}

// OpenToday says whether its gate stands open at a moment, whatever water and rules say.
func (s *Spot) OpenToday(t time.Time) bool { return s.Timetable.Open(s.local(t)) }

func nextDay(t time.Time) time.Time {
	return time.Date(t.Year(), t.Month(), t.Day()+1, 0, 0, 0, 0, t.Location())
}

// Open are the times within a curve's interval in which one can get in and back and no rule
// closes the spot.
func (s *Spot) Open(c *tide.Curve) []ground.Window {
	return ground.Both(s.Access.Open(c), s.allowed(c.Interval()))
}
