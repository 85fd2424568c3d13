package spot

import (
	"fmt"
	"math"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/sky"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// Moment is a spot at a time: the water, the sky and what is believed of the rest.
type Moment struct {
	Spot   *Spot
	Time   time.Time
	LevelM float64
	Stage  tide.Stage
	Sky
	Believed conditions.Believed
	// FishDepthsM are the levels at which fish show, metres below the surface, the first to be fished
	// first; none where nobody saw any.
	FishDepthsM []float64
	// Signs seen on the water now.
	Signs []string
	// Warmth over the marks, nil where it was not worked out.
	Warmth *Warmth
}

// Warmer is how much warmer in °C the water over a mark, by its index, is than the open water;
// false where it is dry or not worked out.
func (m *Moment) Warmer(mark int) (c float64, known bool) {
	if m.Warmth == nil {
		return 0, false
	}
	return m.Warmth.Over(mark, m.Time)
}

// Sky is where the sun and the moon stand.
type Sky struct {
	Sun, Moon sky.Position
	Phase     sky.Phase
	FromFull  float64 // days
}

// SkyAt looks up from a place.
func SkyAt(o sky.Observer, t time.Time) Sky {
	return Sky{o.Sun(t), o.Moon(t), sky.MoonPhase(t), sky.DaysFromFull(t)}
}

// At works out a moment on a prepared tide.
func (s *Spot) At(c *tide.Curve, t time.Time) (Moment, error) {
	return s.Under(SkyAt(s.Observer(), t), c, t)
}

// Under a sky that was worked out before: neighbouring spots share theirs.
func (s *Spot) Under(sky Sky, c *tide.Curve, t time.Time) (Moment, error) {
	stage, err := c.Stage(t)
	if err != nil {
		return Moment{}, fmt.Errorf("spot: %s: %w", s.Name, err)
	}
	return Moment{Spot: s, Time: t, LevelM: c.Level(t), Stage: stage, Sky: sky, Believed: s.Readings.Believe(t),
		FishDepthsM: s.Readings.Levels(conditions.FishDepth, t)}, nil
}

// SurfaceLight in lux under a cloud cover.
func (s *Sky) SurfaceLight(cloud float64) float64 {
	return water.Sky{SunAltitude: s.Sun.Altitude, MoonAltitude: s.Moon.Altitude,
		MoonIllumination: s.Phase.Illumination, Cloud: cloud}.Surface()
}

// Light class on the surface under the cloud believed in.
func (m *Moment) Light() water.Light {
	return water.Class(m.SurfaceLight(m.Believed[conditions.Cloud].Value))
}

// DarkBelow is the depth in metres below which it is dark, by the clarity and cloud
// believed in.
func (m *Moment) DarkBelow() float64 {
	k, err := water.Attenuation(m.Believed[conditions.Clarity].Value)
	if err != nil {
		return 0
	}
	return water.DarkBelow(m.SurfaceLight(m.Believed[conditions.Cloud].Value), k)
}

// LeastColumn of water in metres that is spoken of, where every mark is shallow: a flat
// that has just covered is not all there is.
const LeastColumn = 1.0

// DeepestM water over any of the spot's marks, at least [LeastColumn].
func (m *Moment) DeepestM() float64 {
	depth := LeastColumn
	for i := range m.Spot.Marks {
		depth = math.Max(depth, m.Spot.Marks[i].Depth(m.LevelM))
	}
	return depth
}

// Breakers on an open beach, from the swell believed in: their height in metres, zero
// elsewhere and where the sea is flat.
func (m *Moment) Breakers() float64 {
	if m.Spot.Place != "surf beach" {
		return 0
	}
	return m.Swell()
}

// Swell believed in, as it breaks on the shore: its height in metres, zero where the sea
// is flat.
func (m *Moment) Swell() float64 {
	h, err := water.BreakerHeight(m.Believed[conditions.SwellHeight].Value, m.Believed[conditions.SwellPeriod].Value)
	if err != nil {
		return 0
	}
	return h
}

// White says where waves break along the spot's section; nothing without a section.
func (m *Moment) White(section *ground.Section) []ground.Span {
	if section == nil {
		return nil
	}
	return ground.WhiteWater(section, m.LevelM, m.Breakers())
}

// FromNew is the time from the nearest new moon in days, negative before it.
func (m *Moment) FromNew() float64 { return sky.DaysFromNew(m.Time) }

// Strength of the tide: its range as a percentage of the mean spring range.
func (m *Moment) Strength() float64 {
	return tide.Strength(m.Stage.RangeM, m.Spot.Tide.MeanSpringRange())
}

// SurgeM is what is left of the surge seen, metres.
func (m *Moment) SurgeM() float64 { return m.Spot.SurgeAt(m.Time) }

// SurgeAt a time: what is left then of the surge seen, metres.
func (s *Spot) SurgeAt(t time.Time) float64 {
	if s.Surge == nil {
		return 0
	}
	left, _ := s.Surge.At(t)
	return left
}

// During a stretch of time: what was seen in it counts as seen at the moment, and what
// was said of it goes before what was seen beside it.
func (m *Moment) During(from, to time.Time, said []conditions.Reading) {
	m.Believed = m.Spot.Readings.BelieveDuring(from, to)
	for _, r := range said {
		m.Believed[r.Kind] = conditions.Value{Reading: r}
	}
}
