package sky

import (
	"sort"
	"time"
)

// Span of time.
type Span struct{ From, To time.Time }

// Daylight are the times the sun is up within an interval.
func (o Observer) Daylight(from, to time.Time) []Span {
	rises, sets := crossings(o.limb(sunAt, sunRadiusKm), from, to, true)
	return spans(rises, sets, from, to, o.Sun(from).Altitude > SunUp)
}

// Twilit are the times from civil dawn to civil dusk within an interval: one can see
// without a lamp.
func (o Observer) Twilit(from, to time.Time) []Span {
	dawn, dusk := o.twilight(-CivilTwilight, from, to)
	return spans(dawn, dusk, from, to, o.Sun(from).Altitude > CivilTwilight)
}

// spans pairs rises with the sets that follow within an interval; up says that it begins
// in one.
func spans(rises, sets []time.Time, from, to time.Time, up bool) []Span {
	out := []Span{}
	if up {
		out = append(out, Span{From: from})
	}
	type event struct {
		at   time.Time
		rise bool
	}
	var events []event
	for _, t := range rises {
		events = append(events, event{t, true})
	}
	for _, t := range sets {
		events = append(events, event{t, false})
	}
	sort.Slice(events, func(i, j int) bool { return events[i].at.Before(events[j].at) })
	for _, e := range events {
		if e.rise {
			out = append(out, Span{From: e.at})
		} else if n := len(out); n > 0 {
			out[n-1].To = e.at
		}
	}
	if n := len(out); n > 0 && out[n-1].To.IsZero() {
		out[n-1].To = to
	}
	return out
}
