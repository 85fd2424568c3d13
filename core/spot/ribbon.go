package spot

import (
	"fmt"
	"math"
	"sort"
	"strings"
	"time"

	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/tide"
	"greypebble/core/water"
	"greypebble/core/words"
)

// FrameStep is how far the ribbon moves at a time.
const FrameStep = 10 * time.Minute

// Frame is everything that is shown of a moment of the ribbon, so that moving it needs no
// arithmetic.
type Frame struct {
	Moment
	// Says how deep it is where it matters.
	Says string
	// Under says how high waves break and where it is dark under water; empty: nothing to say.
	Under string
	// Open and Closing tell of the way; WayTitle and Way say so, MarksSay when each mark is
	// worth a cast.
	Open, Closing bool
	WayTitle, Way string
	MarksSay      []string
	// BreakerM is the height of breakers, White where they break along the section, and
	// Breaks on which marks.
	BreakerM float64
	White    []ground.Span
	Breaks   []bool
	// DepthsM and TempsC of the water over each mark; NaN °C where it is dry.
	DepthsM, TempsC []float64
	Surface         Surface
	// CurrentMS on the flood, NaN where it is not known.
	CurrentMS float64
}

// Spoken is how what is shown is said: in which units, and in which time.
type Spoken struct {
	Units quantity.Units
	Zone  *time.Location
}

// Frames of a curve's interval, every ten minutes and at each turn.
func (s *Spot) Frames(c *tide.Curve, as Spoken) ([]Frame, error) {
	from, to := c.Interval()
	var section *ground.Section
	if len(s.Section) > 0 {
		var err error
		if section, err = ground.NewSection(s.Section); err != nil {
			return nil, err
		}
	}
	warmth, err := s.Warmth(from, to)
	if err != nil {
		return nil, err
	}
	open, marks := s.Open(c), make([][]ground.Window, len(s.Marks))
	for j, k := range s.Marks {
		marks[j] = k.Windows(c)
	}
	times := frameTimes(c)
	out := make([]Frame, len(times))
	for i, t := range times {
		m, err := s.At(c, t)
		if err != nil {
			return nil, err
		}
		gate := GateAt(open, t)
		f := &out[i]
		*f = Frame{Moment: m, Says: m.Headline(as.Units), Open: gate.Open, Closing: gate.Closing, BreakerM: m.Breakers(),
			White: m.White(section), Breaks: make([]bool, len(s.Marks)), DepthsM: make([]float64, len(s.Marks)),
			TempsC:  make([]float64, len(s.Marks)),
			Surface: m.Surface(), CurrentMS: math.NaN(), MarksSay: make([]string, len(s.Marks))}
		f.Under = f.sayUnder(as.Units, section)
		f.WayTitle, f.Way = s.SayWay(open, t, as)
		if u, known := m.Current(); known {
			f.CurrentMS = u
		}
		for j, k := range s.Marks {
			f.DepthsM[j], f.TempsC[j], f.MarksSay[j] = k.Depth(m.LevelM), math.NaN(), SayMark(marks[j], t, as)
			if c, wet := warmth.At(j, t); wet {
				f.TempsC[j] = c
			}
			for _, w := range f.White {
				f.Breaks[j] = f.Breaks[j] || w.Holds(k.DistanceM)
			}
		}
	}
	return out, nil
}

// frameTimes every step of the interval, and at each turn, where the ribbon stops too.
func frameTimes(c *tide.Curve) []time.Time {
	from, to := c.Interval()
	var times []time.Time
	for t := from; !t.After(to); t = t.Add(FrameStep) {
		times = append(times, t)
	}
	for _, k := range c.Turns() {
		times = append(times, k.Time.Truncate(time.Second))
	}
	sort.Slice(times, func(i, j int) bool { return times[i].Before(times[j]) })
	return times
}

// Run is a stretch of time in which the wind leaves the water alike.
type Run struct {
	From, To time.Time
	Surface  water.Surface
}

// flicker is how short a run is only the wind standing at a limit.
const flicker = 30 * time.Minute

// Runs of one surface over frames; flickers belong to what was before them.
func Runs(frames []Frame) []Run {
	out := []Run{}
	for i := range frames {
		f := &frames[i]
		n := len(out)
		if n > 0 {
			out[n-1].To = f.Time
		}
		if n > 0 && out[n-1].Surface == f.Surface.Surface {
			continue
		}
		if n > 1 && out[n-1].To.Sub(out[n-1].From) < flicker {
			out = out[:n-1]
			before := &out[n-2]
			before.To = f.Time
			if before.Surface == f.Surface.Surface {
				continue
			}
		}
		out = append(out, Run{f.Time, f.Time, f.Surface.Surface})
	}
	return out
}

// What is too little to be spoken of, metres.
const (
	leastBreaker = 0.1
	leastLit     = 0.05
)

// sayUnder says how high waves break, and where in the section it is dark, if anywhere.
func (f *Frame) sayUnder(u quantity.Units, section *ground.Section) string {
	var says []string
	if f.BreakerM >= leastBreaker {
		says = append(says, fmt.Sprintf(words.BreakersAbout, u.ShowHeight(f.BreakerM)))
	}
	switch dark := f.DarkBelow(); {
	case dark < leastLit:
		says = append(says, words.ItIsDarkUnderWater)
	case section != nil && f.LevelM-dark > section.Lowest():
		says = append(says, fmt.Sprintf(words.DarkBelow2, u.ShowHeight(dark)))
	}
	return strings.Join(says, " ")
}
