package spot

import (
	"fmt"
	"time"

	"greypebble/core/ground"
	"greypebble/core/tide"
	"greypebble/core/words"
)

// Light one goes by.
type Light int

const (
	// AnyHour, the best by day.
	AnyHour Light = iota
	// ByDay only, between civil dawn and dusk.
	ByDay
	// NightToo: the best may lie in the dark.
	NightToo
)

// Visits to the spot within a curve's interval: when one can be there, when it is best
// and when to be out. margin is how long before the way shuts one wants to be out.
func (s *Spot) Visits(c *tide.Curve, margin time.Duration, light Light) []ground.Visit {
	from, to := c.Interval()
	plan := ground.Plan{Margin: margin, UncertainM: ground.Uncertainty(s.SurgeAt(from)), Allowed: s.allowed(from, to)}
	day := []ground.Window{}
	for _, w := range s.Observer().Twilit(from, to) {
		day = append(day, ground.Window{Opens: w.From, Closes: w.To})
	}
	switch light {
	case ByDay:
		plan.Light = day
	case AnyHour:
		plan.BestIn = day
	case NightToo:
	}
	if s.lowLedge() {
		plan.Behind = true
		if around := aroundLows(c); plan.BestIn == nil {
			plan.BestIn = around
		} else {
			plan.BestIn = ground.Both(plan.BestIn, around)
		}
	}
	return s.Access.Visits(c, s.Marks, plan)
}

// lowLedge says that one walks out on rock that low water opens.
func (s *Spot) lowLedge() bool {
	dry := s.Access.Manner == ground.OnFoot || s.Access.Manner == ground.Wading
	level, any := s.Access.Lowest()
	return dry && any && (s.Place == "rocky shore" || s.Place == "ledge" || s.Place == "reef") && level < s.Tide.MeanLevel()
}

// Around low water a ledge is fished: from an hour before it to half an hour after, the first of the
// flood, which comes in fast (common practice, no source).
const (
	beforeLow = time.Hour
	afterLow  = 30 * time.Minute
)

func aroundLows(c *tide.Curve) []ground.Window {
	out := []ground.Window{}
	for _, k := range c.Turns() {
		if k.Kind == tide.Low {
			out = append(out, ground.Window{Opens: k.Time.Add(-beforeLow), Closes: k.Time.Add(afterLow)})
		}
	}
	return out
}

// NoVisit says why there is no visit within a curve's interval under a plan that found none.
func (s *Spot) NoVisit(c *tide.Curve, margin time.Duration, light Light) string {
	daylight := light == ByDay
	from, to := c.Interval()
	switch {
	case len(s.allowed(from, to)) == 0:
		if z := s.Closing(from); z != nil {
			return fmt.Sprintf(words.ClosesItAllThatTime, z.Name())
		}
		return words.ItsHoursShutItAllThatTime
	case len(s.Open(c)) == 0:
		return words.ThereIsNoGettingInAnd
	case daylight && len(s.Visits(c, 0, ByDay)) == 0:
		return words.TheWayIsOpenOnlyIn
	case margin > 0 && daylight && len(s.Visits(c, margin, AnyHour)) > 0:
		return words.ByDayNoTimeIsLong
	}
	return words.NoTimeIsLongEnoughFor
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
