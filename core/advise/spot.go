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
	// Zones of its water that it touches, whatever the season.
	Zones []ground.Zone
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
	// Signs seen on the water now.
	Signs []string
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
	return m.swell()
}

// swell as it breaks on the shore.
func (m *Moment) swell() float64 {
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

// weather is what readings say of the last day, and of what does not vary between the
// scenarios.
type weather struct{ warming, rainM float64 }

// weatherOf a moment; NaN where nothing is known.
func weatherOf(r conditions.Readings, t time.Time) weather {
	w := weather{math.NaN(), math.NaN()}
	if by, known := r.Change(conditions.WaterTemp, t, 24*time.Hour); known {
		w.warming = by
	}
	if mm, known := r.Total(conditions.Rain, t, 24*time.Hour); known {
		w.rainM = mm / 1000
	}
	return w
}

// facts of the place and time that are the same in every scenario of the readings.
func (m *Moment) facts() playbook.Facts {
	f := m.placeFacts(weatherOf(m.Spot.Readings, m.Time))
	tidesOf(m.Spot).fill(&f, m.LevelM, &m.Stage, &m.Sky)
	f.Say(playbook.Sign, m.Signs...)
	return f
}

// placeFacts change from hour to hour at most.
func (m *Moment) placeFacts(w weather) playbook.Facts {
	f := playbook.Nothing()
	f.Measure[playbook.Warming], f.Measure[playbook.Rain] = w.warming, w.rainM
	if m.Spot.Place == "surf beach" || m.Spot.Place == "rocky shore" {
		f.Measure[playbook.Waves] = m.swell()
	}
	f.Say(playbook.Place, m.Spot.Place)
	f.Say(playbook.Month, northernMonth(m.Time, m.Spot.Observer.Lat))
	if r := m.Spot.Rose; r != nil {
		f.Say(playbook.Side, r.SideFor(m.Believed[conditions.WindFrom].Value).String())
	}
	return f
}

// tides of a spot as the facts want them: its mean spring range, and its crest, NaN
// where there is none.
type tides struct{ spring, crest float64 }

func tidesOf(s *Spot) tides {
	t := tides{s.Tide.MeanSpringRange(), math.NaN()}
	if e, ok := s.crestElevation(); ok {
		t.crest = e
	}
	return t
}

// fill in the facts of level, stage and sky, which change from minute to minute.
func (t tides) fill(f *playbook.Facts, level float64, stage *tide.Stage, sky *Sky) {
	f.Measure[playbook.Level] = level
	f.Measure[playbook.RiseRate] = stage.RateMPerH
	f.Measure[playbook.Flow] = math.Abs(stage.RateMPerH)
	f.Measure[playbook.Elapsed] = stage.Elapsed
	f.Measure[playbook.SunAltitude] = sky.Sun.Altitude
	f.Measure[playbook.DaysFromFull] = math.Abs(sky.FromFull) * 86400
	f.Measure[playbook.CrestDepth] = level - t.crest
	if t.spring > 0 {
		f.Measure[playbook.TideRange] = stage.RangeM / t.spring
	}
	f.Say(playbook.Stage, stage.Direction.String())
}

// northernMonth is the month whose season it is: south of the equator, half a year on.
func northernMonth(t time.Time, lat float64) string {
	i := int(t.UTC().Month()) - 1
	if lat < 0 {
		i += 6
	}
	return playbook.Months[i%12]
}

// vary what one scenario of the readings makes different.
func vary(f *playbook.Facts, v conditions.Values, surfaceLux float64) {
	f.Measure[playbook.SurfaceLight], f.Measure[playbook.LureLight] = surfaceLux, surfaceLux
	f.Measure[playbook.Secchi] = v.SecchiM
	f.Measure[playbook.WaterTemp] = v.WaterTempC
	f.Measure[playbook.WindSpeed] = v.WindSpeedMS
	f.Measure[playbook.Cloud] = v.Cloud
}

// scenarios are the facts of the place and time in every scenario of the
// readings, worked out once for all presentations.
type scenarios [conditions.Scenarios]scenario

type scenario struct {
	playbook.Facts
	attenuation float64
}

func (m *Moment) scenarios() (out scenarios, err error) {
	base := m.facts()
	for k := range out {
		v := m.Believed.Scenario(k)
		if out[k].attenuation, err = water.Attenuation(v.SecchiM); err != nil {
			return out, err
		}
		out[k].Facts = base
		vary(&out[k].Facts, v, m.SurfaceLight(v.Cloud))
	}
	return out, nil
}

// fillMark fills in a mark and the water over it.
func fillMark(f *playbook.Facts, k *ground.Mark, levelM float64) {
	f.Say(playbook.MarkKind, string(k.Kind))
	f.Say(playbook.Bottom, k.Bottom)
	f.Measure[playbook.Depth] = k.Depth(levelM)
}
