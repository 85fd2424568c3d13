package advise

import (
	"fmt"
	"math"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/sky"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// Spot is a place as advice needs it.
type Spot struct {
	ID, Name string
	// Place is one of [playbook.Places].
	Place    string
	Marks    []ground.Mark
	Access   ground.Access
	Tide     tide.Place
	Observer sky.Observer
	Readings conditions.Readings
	// Rose of fetches around it, nil where the water has no outline.
	Rose *water.Rose
	// Current is what makes the tide run there.
	Current water.Setting
}

// Moment is a spot at a time: the water, the sky and what is believed of the
// rest.
type Moment struct {
	Spot   *Spot
	Time   time.Time
	LevelM float64
	Stage  tide.Stage
	Sky
	Believed conditions.Believed
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
	return s.under(SkyAt(s.Observer, t), c, t)
}

func (s *Spot) under(sky Sky, c *tide.Curve, t time.Time) (Moment, error) {
	stage, err := c.Stage(t)
	if err != nil {
		return Moment{}, fmt.Errorf("advise: %s: %w", s.Name, err)
	}
	return Moment{Spot: s, Time: t, LevelM: c.Level(t), Stage: stage, Sky: sky, Believed: s.Readings.Believe(t)}, nil
}

// SurfaceLight in lux under a cloud cover.
func (m *Moment) SurfaceLight(cloud float64) float64 {
	return water.Sky{SunAltitude: m.Sun.Altitude, MoonAltitude: m.Moon.Altitude,
		MoonIllumination: m.Phase.Illumination, Cloud: cloud}.Surface()
}

// Light class on the surface under the cloud believed in.
func (m *Moment) Light() water.Light {
	return water.Class(m.SurfaceLight(m.Believed[conditions.Cloud].Value))
}

// DarkBelow is the depth in metres below which it is dark, by the clarity and
// cloud believed in.
func (m *Moment) DarkBelow() float64 {
	k, err := water.Attenuation(m.Believed[conditions.Clarity].Value)
	if err != nil {
		return 0
	}
	return water.DarkBelow(m.SurfaceLight(m.Believed[conditions.Cloud].Value), k)
}

// Breakers on an open beach, from the swell believed in: their height in metres,
// zero elsewhere and where the sea is flat.
func (m *Moment) Breakers() float64 {
	if m.Spot.Place != "surf beach" {
		return 0
	}
	h, err := water.BreakerHeight(m.Believed[conditions.SwellHeight].Value, m.Believed[conditions.SwellPeriod].Value)
	if err != nil {
		return 0
	}
	return h
}

// FromNew is the time from the nearest new moon in days, negative before it.
func (m *Moment) FromNew() float64 { return sky.DaysFromNew(m.Time) }

// crestElevation is the highest crest or bar of the spot.
func (s *Spot) crestElevation() (float64, bool) {
	e, found := math.Inf(-1), false
	for _, m := range s.Marks {
		if m.Kind == ground.Crest || m.Kind == ground.Bar {
			e, found = math.Max(e, m.ElevationM), true
		}
	}
	return e, found
}

// facts of the place and time in one scenario of the readings; a presentation
// fills in the rest.
func (m *Moment) facts(v conditions.Values) playbook.Facts {
	var f playbook.Facts
	f.Measure[playbook.Level] = m.LevelM
	f.Measure[playbook.RiseRate] = m.Stage.RateMPerH
	f.Measure[playbook.Flow] = math.Abs(m.Stage.RateMPerH)
	f.Measure[playbook.Elapsed] = m.Stage.Elapsed
	f.Measure[playbook.SunAltitude] = m.Sun.Altitude
	f.Measure[playbook.SurfaceLight] = m.SurfaceLight(v.Cloud)
	f.Measure[playbook.LureLight] = f.Measure[playbook.SurfaceLight]
	f.Measure[playbook.DaysFromFull] = math.Abs(m.FromFull) * 86400
	f.Measure[playbook.Secchi] = v.SecchiM
	f.Measure[playbook.WaterTemp] = v.WaterTempC
	f.Measure[playbook.WindSpeed] = v.WindSpeedMS
	f.Measure[playbook.CrestDepth] = math.Inf(1) // without a crest no rule about one applies
	if e, ok := m.Spot.crestElevation(); ok {
		f.Measure[playbook.CrestDepth] = m.LevelM - e
	}
	f.Word[playbook.Stage] = m.Stage.Direction.String()
	f.Word[playbook.Place] = m.Spot.Place
	return f
}

// scenarios are the facts of the place and time in every scenario of the
// readings, worked out once for all presentations.
type scenarios [conditions.Scenarios]scenario

type scenario struct {
	playbook.Facts
	attenuation float64
}

func (m *Moment) scenarios() (out scenarios, err error) {
	for k := range out {
		v := m.Believed.Scenario(k)
		if out[k].attenuation, err = water.Attenuation(v.SecchiM); err != nil {
			return out, err
		}
		out[k].Facts = m.facts(v)
	}
	return out, nil
}

// fillMark fills in a mark and the water over it.
func fillMark(f *playbook.Facts, k *ground.Mark, levelM float64) {
	f.Word[playbook.MarkKind] = string(k.Kind)
	f.Word[playbook.Bottom] = k.Bottom
	f.Measure[playbook.Depth] = k.Depth(levelM)
}
