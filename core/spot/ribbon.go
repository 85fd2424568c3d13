package spot

import (
	"math"
	"sort"
	"time"

	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/tide"
)

// FrameStep is how far the ribbon moves at a time.
const FrameStep = 10 * time.Minute

// Frame is everything that is shown of a moment of the ribbon, so that moving it needs no
// arithmetic.
type Frame struct {
	Moment
	// Says how deep it is where it matters.
	Says string
	// Gate of the way.
	Open, Closing bool
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

// Frames of a curve's interval, every ten minutes and at each turn. open are the windows
// of the way.
func (s *Spot) Frames(c *tide.Curve, open []ground.Window, u quantity.Units) ([]Frame, error) {
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
	times := frameTimes(c)
	out := make([]Frame, len(times))
	for i, t := range times {
		m, err := s.At(c, t)
		if err != nil {
			return nil, err
		}
		gate := GateAt(open, t)
		f := &out[i]
		*f = Frame{Moment: m, Says: m.Headline(u), Open: gate.Open, Closing: gate.Closing, BreakerM: m.Breakers(), White: m.White(section),
			Breaks: make([]bool, len(s.Marks)), DepthsM: make([]float64, len(s.Marks)), TempsC: make([]float64, len(s.Marks)),
			Surface: m.Surface(), CurrentMS: math.NaN()}
		if u, known := m.Current(); known {
			f.CurrentMS = u
		}
		for j, k := range s.Marks {
			f.DepthsM[j], f.TempsC[j] = k.Depth(m.LevelM), math.NaN()
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
