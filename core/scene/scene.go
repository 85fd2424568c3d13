// Package scene turns a moment at a spot into the facts the playbook's rules look at:
// what is the same in every scenario of the uncertain readings, and what differs.
package scene

import (
	"math"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// crestElevation is the highest crest or bar of the spot.
func crestElevation(s *spot.Spot) (float64, bool) {
	e, found := math.Inf(-1), false
	for _, m := range s.Marks {
		if m.Kind == ground.Crest || m.Kind == ground.Bar {
			e, found = math.Max(e, m.ElevationM), true
		}
	}
	return e, found
}

// Weather is what readings say of the last day, and of what does not vary between the
// scenarios.
type Weather struct{ warming, rainM float64 }

// WeatherOf a moment; NaN where nothing is known.
func WeatherOf(r conditions.Readings, t time.Time) Weather {
	w := Weather{math.NaN(), math.NaN()}
	if by, known := r.Change(conditions.WaterTemp, t, 24*time.Hour); known {
		w.warming = by
	}
	if mm, known := r.Total(conditions.Rain, t, 24*time.Hour); known {
		w.rainM = mm / 1000
	}
	return w
}

// Of the place and time that are the same in every scenario of the readings.
func Of(m *spot.Moment) playbook.Facts {
	f := OfPlace(m, WeatherOf(m.Spot.Readings, m.Time))
	TidesOf(m.Spot).Fill(&f, m.LevelM, &m.Stage, &m.Sky)
	f.Say(playbook.Sign, m.Signs...)
	return f
}

// OfPlace change from hour to hour at most.
func OfPlace(m *spot.Moment, w Weather) playbook.Facts {
	f := playbook.Nothing()
	f.Measure[playbook.Warming], f.Measure[playbook.Rain] = w.warming, w.rainM
	if m.Spot.Place == "surf beach" || m.Spot.Place == "rocky shore" {
		f.Measure[playbook.Waves] = m.Swell()
	}
	f.Say(playbook.Place, m.Spot.Place)
	f.Say(playbook.Month, northernMonth(m.Time, m.Spot.Lat))
	if r := m.Spot.Rose; r != nil {
		f.Say(playbook.Side, r.SideFor(m.Believed[conditions.WindFrom].Value).String())
	}
	return f
}

// Tides of a spot as the facts want them: its mean spring range, and its crest, NaN
// where there is none.
type Tides struct{ spring, crest float64 }

func TidesOf(s *spot.Spot) Tides {
	t := Tides{s.Tide.MeanSpringRange(), math.NaN()}
	if e, ok := crestElevation(s); ok {
		t.crest = e
	}
	return t
}

// Fill in the facts of level, stage and sky, which change from minute to minute.
func (t Tides) Fill(f *playbook.Facts, level float64, stage *tide.Stage, sky *spot.Sky) {
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

// Vary what one scenario of the readings makes different.
func Vary(f *playbook.Facts, v conditions.Values, surfaceLux float64) {
	f.Measure[playbook.SurfaceLight], f.Measure[playbook.LureLight] = surfaceLux, surfaceLux
	f.Measure[playbook.Secchi] = v.SecchiM
	f.Measure[playbook.WaterTemp] = v.WaterTempC
	f.Measure[playbook.WindSpeed] = v.WindSpeedMS
	f.Measure[playbook.Cloud] = v.Cloud
}

// Scenarios are the facts of the place and time in every scenario of the
// readings, worked out once for all presentations.
type Scenarios [conditions.Scenarios]Scenario

type Scenario struct {
	playbook.Facts
	// Attenuation of light in the water, per metre.
	Attenuation float64
}

func ScenariosOf(m *spot.Moment) (out Scenarios, err error) {
	base := Of(m)
	for k := range out {
		v := m.Believed.Scenario(k)
		if out[k].Attenuation, err = water.Attenuation(v.SecchiM); err != nil {
			return out, err
		}
		out[k].Facts = base
		Vary(&out[k].Facts, v, m.SurfaceLight(v.Cloud))
	}
	return out, nil
}

// FillMark fills in a mark and the water over it.
func FillMark(f *playbook.Facts, k *ground.Mark, levelM float64) {
	f.Say(playbook.MarkKind, string(k.Kind))
	f.Say(playbook.Bottom, k.Bottom)
	f.Measure[playbook.Depth] = k.Depth(levelM)
}

// Marks are the facts of a spot's marks that no tide and no hour changes.
func Marks(s *spot.Spot) []playbook.Facts {
	out := make([]playbook.Facts, len(s.Marks))
	for i := range s.Marks {
		out[i] = playbook.Nothing()
		out[i].Say(playbook.Place, s.Place)
		FillMark(&out[i], &s.Marks[i], 0)
	}
	return out
}

// Applicable rules of a target on each of a spot's marks, with nothing particular on the
// hook.
func Applicable(s *spot.Spot, book *playbook.Book, target string) []*playbook.Applicable {
	marks := Marks(s)
	out := make([]*playbook.Applicable, len(marks))
	for i := range marks {
		out[i] = book.Applicable(target, &marks[i], playbook.Plain)
	}
	return out
}
