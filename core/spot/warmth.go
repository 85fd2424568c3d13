package spot

import (
	"math"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// Warmth of the water over each of a spot's marks through a time, as a difference to the
// open water.
type Warmth struct {
	spot *Spot
	from time.Time
	step time.Duration
	// marks' differences in °C; NaN where one is dry.
	marks [][]float64
}

const (
	// runUp before the time asked for, so that the bed has forgotten where it
	// began.
	runUp    = 24 * time.Hour
	warmStep = 10 * time.Minute
)

// Warmth works out how much warmer the water is over every mark of the spot than the open
// water between two times: sun, air, bed, tide and what is exchanged change it (see
// [water.Warming]).
func (s *Spot) Warmth(from, to time.Time) (*Warmth, error) { return s.WarmthBy(from, to, warmStep) }

// coarseStep is good to a tenth of a degree.
const coarseStep = 30 * time.Minute

// WarmthBy steps of another length.
func (s *Spot) WarmthBy(from, to time.Time, step time.Duration) (*Warmth, error) {
	c, err := tide.Over(s.Tide, from.Truncate(time.Hour).Add(-runUp), to.Add(2*step))
	if err != nil {
		return nil, err
	}
	return s.warmthOn(c, from, to, from, step)
}

// WarmthOn a curve that begins [WarmthRunUp] before the time, in weather worked out before.
func (s *Spot) WarmthOn(c *tide.Curve, h Hours, from, to time.Time, step time.Duration) (*Warmth, error) {
	return s.warmthUnder(c, h, from, to, from, step)
}

// WarmthRunUp is how long before a time its warmth begins.
const WarmthRunUp = runUp + time.Hour

// warmthOn a curve, as it looks at a moment.
func (s *Spot) warmthOn(c *tide.Curve, from, to, now time.Time, step time.Duration) (*Warmth, error) {
	return s.warmthUnder(c, s.Hours(from, to, now), from, to, now, step)
}

func (s *Spot) warmthUnder(c *tide.Curve, h Hours, from, to, now time.Time, step time.Duration) (*Warmth, error) {
	begin := from.Truncate(time.Hour).Add(-runUp)
	k, err := water.Attenuation(s.Readings.Believe(now)[conditions.Clarity].Value)
	if err != nil {
		return nil, err
	}
	levels := make([]float64, int(to.Add(2*step).Sub(begin)/step)+2)
	c.Sampled(levels, make([]float64, len(levels)), begin, step)
	level := func(t time.Time) float64 { return levels[min(int(t.Sub(begin)/step), len(levels)-1)] }
	in := water.Surroundings{Weather: h.blended, Level: level, Around: h.around, Attenuation: k, FlushS: flushOf(s.Place)}
	w := &Warmth{spot: s, from: begin, step: step}
	for _, m := range s.Marks {
		if Mixed(s.Place) {
			w.marks = append(w.marks, w.openWater(m, c, to))
			continue
		}
		series, _, err := water.Warming(water.BedOf(m.Bottom, bedOf(m)), in, begin, to, step)
		if err != nil {
			return nil, err
		}
		over := make([]float64, len(series))
		for i := range series {
			over[i] = series[i].WaterC - h.around(series[i].Time)
		}
		w.marks = append(w.marks, over)
	}
	return w, nil
}

// bedOf a mark. Water does not stand still in the moving wash of a beach or
// beside a piling: those share the depth around them.
func bedOf(m ground.Mark) float64 {
	switch m.Kind {
	case ground.Swash, ground.Piling, ground.Slope:
		return math.Min(m.ElevationM, openBed)
	}
	return m.ElevationM
}

// openBed is the elevation of water that mixes with the open sea, metres.
const openBed = -4

// Mixed says that waves and run mix the water of a kind of place: over its marks it is the open
// water. Worked out, an exchange within twenty minutes leaves two tenths of a degree of the strongest
// sun.
func Mixed(place string) bool {
	switch place {
	case "surf beach", "pier", "jetty", "rocky shore", "reef", "ledge", "harbour mouth", "seawall":
		return true
	}
	return false
}

// openWater over a mark: no difference while it is wet.
func (w *Warmth) openWater(m ground.Mark, c *tide.Curve, to time.Time) []float64 {
	over := make([]float64, int(to.Sub(w.from)/w.step)+1)
	levels := make([]float64, len(over))
	c.Sampled(levels, make([]float64, len(over)), w.from, w.step)
	for i, l := range levels {
		if m.Depth(l) <= 0 {
			over[i] = math.NaN()
		}
	}
	return over
}

// Flushing of a metre of water elsewhere, seconds: hours on a flat, days in a lake behind a sill. The
// house's judgement.
const (
	flatFlush  = 8 * 3600
	creekFlush = 24 * 3600
	lakeFlush  = 7 * 24 * 3600
)

func flushOf(place string) float64 {
	switch place {
	case "timbered creek", "dug canal":
		return creekFlush
	case "back lake":
		return lakeFlush
	}
	return flatFlush
}

// Over is how much warmer in °C the water over a mark, by its index, is than the open water;
// false when it is dry or outside the time worked out.
func (w *Warmth) Over(mark int, t time.Time) (c float64, wet bool) {
	series := w.marks[mark]
	i := int(t.Sub(w.from).Round(w.step) / w.step)
	if i < 0 || i >= len(series) {
		return 0, false
	}
	c = series[i]
	return c, !math.IsNaN(c)
}

// At is the temperature in °C over a mark: what is believed of the water there, moved by how
// much warmer it is over the mark. So what was seen moves every mark.
func (w *Warmth) At(mark int, t time.Time) (c float64, wet bool) {
	over, wet := w.Over(mark, t)
	if !wet {
		return 0, false
	}
	return w.spot.Readings.Believe(t)[conditions.WaterTemp].Value + over, true
}

// Hours of weather and open water, blended in between; spots that share readings and sky share them.
type Hours struct {
	from    time.Time
	weather []water.Weather
	water   []float64
}

// Hours the warmth between two times wants, as they look at a moment: what the angler sees then of
// sky, wind and air stands for the hours before of which nobody knows better, and of the water for the
// whole course of its temperature. Air nobody has told is as warm as the open water.
func (s *Spot) Hours(from, to, now time.Time) Hours {
	from, to = from.Truncate(time.Hour).Add(-runUp), to.Add(2*time.Hour)
	h, observer := Hours{from: from}, s.Observer()
	believed := s.Readings.Believe(now)
	told := func(k conditions.Kind, t time.Time) conditions.Value {
		if v, _ := s.Readings.Background(k, t); v.Origin != conditions.Assumed {
			return v
		}
		return believed[k]
	}
	shift := believed[conditions.WaterTemp].Value - told(conditions.WaterTemp, now).Value
	for t := from; !t.After(to); t = t.Add(time.Hour) {
		sea, air := told(conditions.WaterTemp, t).Value+shift, told(conditions.AirTemp, t)
		if air.Origin == conditions.Assumed {
			air.Value = sea // a middling air would warm a winter's flat
		}
		h.weather = append(h.weather, water.Weather{AirC: air.Value, WindMS: told(conditions.WindSpeed, t).Value,
			Cloud: told(conditions.Cloud, t).Value, SunAltitude: observer.Sun(t).Altitude})
		h.water = append(h.water, sea)
	}
	return h
}

// at finds the hour before a time and the share of the way to the next.
func (h *Hours) at(t time.Time) (i int, share float64) {
	x := math.Min(math.Max(t.Sub(h.from).Hours(), 0), float64(len(h.water)-1)-1e-9)
	i = int(x)
	return i, x - float64(i)
}

func (h *Hours) blended(t time.Time) water.Weather {
	i, s := h.at(t)
	p, q := h.weather[i], h.weather[i+1]
	mix := func(x, y float64) float64 { return x + s*(y-x) }
	return water.Weather{AirC: mix(p.AirC, q.AirC), WindMS: mix(p.WindMS, q.WindMS), Cloud: mix(p.Cloud, q.Cloud),
		SunAltitude: mix(p.SunAltitude, q.SunAltitude)}
}

func (h *Hours) around(t time.Time) float64 {
	i, s := h.at(t)
	return h.water[i] + s*(h.water[i+1]-h.water[i])
}
