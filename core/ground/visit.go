package ground

import (
	"fmt"
	"sort"
	"strings"
	"time"

	"greypebble/core/quantity"
	"greypebble/core/tide"
	"greypebble/core/words"
)

// Visit is a time in which one can be at a spot.
type Visit struct {
	// Opens and Closes bound it as predicted; zero lies outside the interval.
	Window
	// BeOutBy is the close less the margin; zero when it does not close.
	BeOutBy time.Time
	// SureFrom and SureUntil hold even if the water stands off the prediction by
	// what is not known of it; both zero when no time is sure.
	SureFrom, SureUntil time.Time
	// BestFrom and BestUntil: most marks are worth a cast at once, at a time one goes for and that is
	// sure. Zero where that is the visit's own end, and both where no mark is.
	BestFrom, BestUntil time.Time
	// Marks worth a cast at best.
	Marks int
	// Behind: the flood comes in behind one.
	Behind bool
	// begins with the window, or with the interval that was asked about.
	begins time.Time
}

// Plan of a visit.
type Plan struct {
	// Margin to be out before the way shuts.
	Margin time.Duration
	// UncertainM is how far the water may stand off its prediction.
	UncertainM float64
	// Light, if not nil, are the times of daylight one wants to stay within.
	Light []Window
	// Allowed, if not nil, are the times no rule closes the spot.
	Allowed []Window
	// BestIn, if not nil, are the times one goes for: by day, around low water on a ledge.
	BestIn []Window
	// Behind says that the flood comes in behind one.
	Behind bool
}

// Usual uncertainties of a level, metres: weather moves the water by so much
// where nothing was seen; where a surge was seen, a third of what is left of it.
// The house's judgement.
const (
	usualUncertainty = 0.1
	surgeShare       = 0.3
)

// Uncertainty of a level whose surge, if one was seen, has so much left.
func Uncertainty(surgeLeftM float64) float64 {
	if surgeLeftM < 0 {
		surgeLeftM = -surgeLeftM
	}
	return max(usualUncertainty, surgeShare*surgeLeftM)
}

// nightfall names what ends a visit in the dark.
const nightfall = "dark"

// Visits to a spot within the curve's interval. One that the margin eats up is
// left out.
func (a Access) Visits(c *tide.Curve, marks []Mark, p Plan) []Visit {
	open := a.Open(c)
	sure := Both(a.wayWithin(c, a.In, "in", p.UncertainM), a.wayWithin(c, a.Out, "back", p.UncertainM))
	if p.Light != nil {
		light := make([]Window, len(p.Light))
		for i, w := range p.Light {
			light[i] = Window{w.Opens, w.Closes, nightfall}
		}
		open, sure = Both(open, light), Both(sure, light)
	}
	if p.Allowed != nil {
		open, sure = Both(open, p.Allowed), Both(sure, p.Allowed)
	}
	from, to := c.Interval()
	var out []Visit
	for _, w := range open {
		begin, end := latest(w.Opens, from), w.Closes
		v := Visit{Window: w, begins: begin, Behind: p.Behind && !w.Closes.IsZero() && c.Rate(w.Closes) > 0}
		if end.IsZero() {
			end = to
		} else {
			v.BeOutBy = end.Add(-p.Margin)
			if !v.BeOutBy.After(begin) {
				continue
			}
			end = v.BeOutBy
		}
		v.SureFrom, v.SureUntil = longest(sure, begin, end)
		if v.SureUntil.After(v.SureFrom) {
			v.best(c, marks, Window{Opens: v.SureFrom, Closes: v.SureUntil}, p.BestIn)
			v.forgetEdges(begin, end)
		}
		out = append(out, v)
	}
	return out
}

// longest part of the windows within an interval.
func longest(windows []Window, from, to time.Time) (a, b time.Time) {
	for _, w := range windows {
		s, e := latest(w.Opens, from), w.Closes
		if e.IsZero() || e.After(to) {
			e = to
		}
		if e.Sub(s) > b.Sub(a) {
			a, b = s, e
		}
	}
	return a, b
}

// best finds the longest time with most marks worth a cast, within a sure window and, where they are
// told, the times one goes for.
func (v *Visit) best(c *tide.Curve, marks []Mark, sure Window, in []Window) {
	within := []Window{sure}
	if in != nil {
		within = Both(within, in)
	}
	for _, w := range within {
		v.bestWithin(c, marks, w.Opens, w.Closes)
	}
}

func (v *Visit) bestWithin(c *tide.Curve, marks []Mark, from, to time.Time) {
	type change struct {
		at time.Time
		by int
	}
	changes := []change{{from, 0}, {to, 0}}
	for _, m := range marks {
		for _, w := range m.Windows(c) {
			s, e := latest(w.Opens, from), w.Closes
			if e.IsZero() || e.After(to) {
				e = to
			}
			if s.Before(e) {
				changes = append(changes, change{s, 1}, change{e, -1})
			}
		}
	}
	sort.SliceStable(changes, func(i, j int) bool { return changes[i].at.Before(changes[j].at) })
	n := 0
	for i := 0; i+1 < len(changes); i++ {
		n += changes[i].by
		a, b := changes[i].at, changes[i+1].at
		if !a.Before(b) {
			continue
		}
		switch {
		case n > v.Marks:
			v.Marks, v.BestFrom, v.BestUntil = n, a, b
		case n == v.Marks && n > 0 && a.Equal(v.BestUntil):
			v.BestUntil = b
		case n == v.Marks && n > 0 && b.Sub(a) > v.BestUntil.Sub(v.BestFrom):
			v.BestFrom, v.BestUntil = a, b
		}
	}
}

// forgetEdges of the best time that are only those of the visit, or of what was asked about:
// they say nothing of when it is best.
func (v *Visit) forgetEdges(begin, end time.Time) {
	if v.BestFrom.Equal(begin) {
		v.BestFrom = time.Time{}
	}
	if v.BestUntil.Equal(end) {
		v.BestUntil = time.Time{}
	}
}

// Says the visit in words, in the time of a place: "Opens 09:40, best
// 10:20–12:10, be out by 13:15: at 13:30 too deep at the gut on the way back."
func (v Visit) Says(zone *time.Location, u quantity.Units) string {
	day := v.begins.In(zone).Format(time.DateOnly)
	at := func(t time.Time) string {
		t = t.In(zone)
		if !v.begins.IsZero() && t.Format(time.DateOnly) != day {
			return t.Format("Mon ") + u.ShowClock(t) // another day names itself
		}
		return u.ShowClock(t)
	}
	var parts []string
	if !v.Opens.IsZero() {
		parts = append(parts, fmt.Sprintf(words.Opens, at(v.Opens)))
	}
	switch {
	case !v.BestFrom.IsZero() && !v.BestUntil.IsZero():
		parts = append(parts, fmt.Sprintf(words.Best, at(v.BestFrom), at(v.BestUntil)))
	case !v.BestFrom.IsZero():
		parts = append(parts, fmt.Sprintf(words.BestFrom, at(v.BestFrom)))
	case !v.BestUntil.IsZero():
		parts = append(parts, fmt.Sprintf(words.BestUntil, at(v.BestUntil)))
	}
	switch {
	case v.Opens.IsZero() && v.Closes.IsZero():
		parts = append(parts, "open throughout")
	case v.Closes.IsZero():
		parts = append(parts, words.StaysOpenAsFarAsWas)
	default:
		parts = append(parts, fmt.Sprintf(words.BeOutByAt, at(v.BeOutBy), at(v.Closes), v.ClosedBy))
		if v.Behind {
			parts = append(parts, words.AndTheFloodComesInBehind)
		}
	}
	s := strings.Join(parts, ", ") + "."
	return strings.ToUpper(s[:1]) + s[1:]
}
