package spot

import (
	"fmt"
	"slices"
	"time"

	"greypebble/core/bylaw"
	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/tide"
	"greypebble/core/words"
)

// Closure is the rule that closes a spot: of a zone, or one entered as a bylaw.
type Closure struct {
	zone *ground.Zone
	rule *bylaw.Rule
}

// Name it goes by.
func (c *Closure) Name() string {
	if c.zone != nil {
		return c.zone.Name
	}
	return c.rule.Called()
}

// Season in words, in which it holds.
func (c *Closure) Season(u quantity.Units) string {
	if c.zone != nil {
		return c.zone.Season()
	}
	return c.rule.SaysWhen(u)
}

// Warning of it, with where it comes from and whether it is time to look it up again.
func (c *Closure) Warning(now time.Time, u quantity.Units) string {
	if c.zone != nil {
		return c.zone.Warning(now)
	}
	return c.rule.Warning(now, u)
}

// Closing is the rule that closes the spot at a time: of a no-take or seasonal zone it lies
// in, or a bylaw under which nothing may be fished for; nil where none does. A voluntary code
// warns and closes nothing.
func (s *Spot) Closing(t time.Time) *Closure {
	for i := range s.Zones {
		if z := &s.Zones[i]; z.Kind != ground.Voluntary && z.InSeason(s.local(t)) {
			return &Closure{zone: z}
		}
	}
	if len(s.Rules) == 0 {
		return nil
	}
	if r := bylaw.Shut(s.Rules, s.local(t)); r != nil {
		return &Closure{rule: r}
	}
	return nil
}

// Unsought is the rule under which a fish may not be fished for at a time; nil where there is
// none.
func (s *Spot) Unsought(fish bylaw.Species, t time.Time) *Closure {
	if len(s.Rules) == 0 {
		return nil
	}
	if r := bylaw.Unsought(s.Rules, fish, s.local(t)); r != nil {
		return &Closure{rule: r}
	}
	return nil
}

// ClosedBetween is the first rule that closes the spot within an interval; nil where none does.
func (s *Spot) ClosedBetween(from, to time.Time) *Closure { return first(s.turns(from, to), s.Closing) }

// UnsoughtBetween is the first rule within an interval under which a fish may not be fished for; nil where there is none.
func (s *Spot) UnsoughtBetween(fish bylaw.Species, from, to time.Time) *Closure {
	return first(s.turns(from, to), func(t time.Time) *Closure { return s.Unsought(fish, t) })
}

// first closure at some times, nil where there is none.
func first(times []time.Time, at func(time.Time) *Closure) *Closure {
	for _, t := range times {
		if c := at(t); c != nil {
			return c
		}
	}
	return nil
}

// ReleaseOnly is the rule under which a fish may be fished for and none kept at a time; nil where there is none.
func (s *Spot) ReleaseOnly(fish bylaw.Species, t time.Time) *Closure {
	if len(s.Rules) == 0 {
		return nil
	}
	if r := bylaw.Released(s.Rules, fish, s.local(t)); r != nil {
		return &Closure{rule: r}
	}
	return nil
}

// Ruled are the rules and codes in force at a time for a fish, each as a sentence with where it stands.
func (s *Spot) Ruled(fish bylaw.Species, t, now time.Time, u quantity.Units) (out []string) {
	for i := range s.Rules {
		if r := &s.Rules[i]; r.Of(fish) && r.Holds(s.local(t)) {
			out = append(out, r.Warning(now, u))
		}
	}
	return out
}

// Asks is what rules ask of what is tied on for a fish at a time.
func (s *Spot) Asks(fish bylaw.Species, t time.Time) bylaw.Asks {
	if len(s.Rules) == 0 {
		return bylaw.Asks{}
	}
	return bylaw.GearOf(s.Rules, fish, s.local(t))
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
	for _, day := range s.turns(from, to) {
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
			w.Closes, w.ClosedBy = day.UTC(), fmt.Sprintf(words.ClosedBy, z.Name())
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

// turns are the times within an interval at which a rule may begin or cease to close it: its beginning, each
// midnight, and the hours of bylaws.
func (s *Spot) turns(from, to time.Time) []time.Time {
	var out []time.Time
	for day := from; day.Before(to); day = nextDay(s.local(day)) {
		out = append(out, day)
	}
	if more := bylaw.Turns(s.Rules, from, to, s.local(from).Location()); len(more) > 0 {
		out = append(out, more...)
		slices.SortFunc(out, time.Time.Compare)
		out = slices.CompactFunc(out, time.Time.Equal)
	}
	return out
}

func nextDay(t time.Time) time.Time {
	return time.Date(t.Year(), t.Month(), t.Day()+1, 0, 0, 0, 0, t.Location())
}

// Open are the times within a curve's interval in which one can get in and back and no rule
// closes the spot.
func (s *Spot) Open(c *tide.Curve) []ground.Window {
	return ground.Both(s.Access.Open(c), s.allowed(c.Interval()))
}
