package spot

import (
	"math"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// Warmth of the water over each of a spot's marks through a time.
type Warmth struct {
	from  time.Time
	marks [][]water.Warm
}

const (
	// runUp before the time asked for, so that the bed has forgotten where it
	// began.
	runUp    = 36 * time.Hour
	warmStep = 10 * time.Minute
)

// Warmth works out how warm the water is over every mark of the spot between
// two times: the temperature believed in is that of the open water, and over
// each mark sun, air, bed and tide change it (see water.Warming).
func (s *Spot) Warmth(from, to time.Time) (*Warmth, error) {
	begin := from.Truncate(time.Hour).Add(-runUp)
	c, err := tide.Over(s.Tide, begin, to.Add(warmStep))
	if err != nil {
		return nil, err
	}
	h := hourly(s, begin, to.Add(2*time.Hour))
	k, err := water.Attenuation(s.Readings.Believe(from)[conditions.Clarity].Value)
	if err != nil {
		return nil, err
	}
	in := water.Surroundings{Weather: h.weather, Level: c.Level, Around: h.around, Attenuation: k}
	w := &Warmth{from: begin}
	for _, m := range s.Marks {
		series, _, err := water.Warming(water.BedOf(m.Bottom, bedOf(m)), in, begin, to, warmStep)
		if err != nil {
			return nil, err
		}
		w.marks = append(w.marks, series)
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

// At is the temperature in °C over a mark, by its index; false when it is dry or
// outside the time worked out.
func (w *Warmth) At(mark int, t time.Time) (c float64, wet bool) {
	series := w.marks[mark]
	i := int(t.Sub(w.from).Round(warmStep) / warmStep)
	if i < 0 || i >= len(series) {
		return 0, false
	}
	c = series[i].WaterC
	return c, !math.IsNaN(c)
}

// hours of weather, blended in between.
type hours struct {
	from    time.Time
	weather []water.Weather
	water   []float64
}

type blended struct{ hours }

func hourly(s *Spot, from, to time.Time) blended {
	h, observer := hours{from: from}, s.Observer()
	for t := from; !t.After(to); t = t.Add(time.Hour) {
		b := s.Readings.Believe(t)
		h.weather = append(h.weather, water.Weather{AirC: b[conditions.AirTemp].Value, WindMS: b[conditions.WindSpeed].Value,
			Cloud: b[conditions.Cloud].Value, SunAltitude: observer.Sun(t).Altitude})
		h.water = append(h.water, b[conditions.WaterTemp].Value)
	}
	return blended{h}
}

// at finds the hour before a time and the share of the way to the next.
func (h *hours) at(t time.Time) (i int, share float64) {
	x := math.Min(math.Max(t.Sub(h.from).Hours(), 0), float64(len(h.water)-1)-1e-9)
	i = int(x)
	return i, x - float64(i)
}

func (b blended) weather(t time.Time) water.Weather {
	i, s := b.at(t)
	p, q := b.hours.weather[i], b.hours.weather[i+1]
	mix := func(x, y float64) float64 { return x + s*(y-x) }
	return water.Weather{AirC: mix(p.AirC, q.AirC), WindMS: mix(p.WindMS, q.WindMS), Cloud: mix(p.Cloud, q.Cloud),
		SunAltitude: mix(p.SunAltitude, q.SunAltitude)}
}

func (b blended) around(t time.Time) float64 {
	i, s := b.at(t)
	return b.water[i] + s*(b.water[i+1]-b.water[i])
}
