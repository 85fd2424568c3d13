package spot

import (
	"time"

	"greypebble/core/ground"
	"greypebble/core/tide"
)

// Visits to the spot within a curve's interval: when one can be there, when it is best
// and when to be out. margin is how long before the way shuts one wants to be out;
// daylight keeps them between civil dawn and dusk.
func (s *Spot) Visits(c *tide.Curve, margin time.Duration, daylight bool) []ground.Visit {
	from, to := c.Interval()
	plan := ground.Plan{Margin: margin, UncertainM: ground.Uncertainty(s.SurgeAt(from)), Allowed: s.allowed(from, to)}
	if daylight {
		plan.Light = []ground.Window{}
		for _, w := range s.Observer().Twilit(from, to) {
			plan.Light = append(plan.Light, ground.Window{Opens: w.From, Closes: w.To})
		}
	}
	return s.Access.Visits(c, s.Marks, plan)
}

// NoVisit says why there is no visit within a curve's interval under a plan that found none.
func (s *Spot) NoVisit(c *tide.Curve, margin time.Duration, daylight bool) string {
	from, to := c.Interval()
	switch {
	case len(s.allowed(from, to)) == 0:
		return s.Closing(from).Name + " closes it all that time."
	case len(s.Open(c)) == 0:
		return "There is no getting in and back in all that time."
	case daylight && len(s.Visits(c, 0, true)) == 0:
		return "The way is open only in the dark."
	case margin > 0 && daylight && len(s.Visits(c, margin, false)) > 0:
		return "By day no time is long enough for that margin."
	}
	return "No time is long enough for that margin."
}

// Gate is whether one can get in and back at a moment, and when that changes.
type Gate struct {
	Open, Closing bool
	// Closes is when it shuts if it is open, Opens when it opens if it is shut; zero
	// where that lies beyond what was worked out.
	Closes, Opens time.Time
}

// GateAt a time in the windows the way is open.
func GateAt(open []ground.Window, t time.Time) Gate {
	w, isOpen := ground.NextClose(open, t)
	g := Gate{Open: isOpen, Closing: ClosesSoon(open, t)}
	if isOpen {
		g.Closes = w.Closes
		return g
	}
	for _, n := range open {
		if n.Opens.After(t) {
			g.Opens = n.Opens
			break
		}
	}
	return g
}

// Line across the ribbon where the tide meets something of the spot's own.
type Line struct {
	Says   string
	LevelM float64
	// Danger: being cut off.
	Danger bool
}

// Lines across the ribbon: the spot's own marks, and where its way shuts.
func (s *Spot) Lines() []Line {
	out := []Line{}
	cutOff := s.Access.Manner == ground.Wading || s.Access.Manner == ground.OnFoot
	for _, l := range s.Access.Limits() {
		out = append(out, Line{l.Says, l.LevelM, cutOff})
	}
	for _, m := range s.Marks {
		if m.Line != "" {
			out = append(out, Line{m.Line, m.ElevationM, false})
		}
	}
	return out
}
