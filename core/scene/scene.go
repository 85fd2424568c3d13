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
type Weather struct{ warming, rainM, sunless float64 }

// WeatherOf a moment; NaN where nothing is known.
func WeatherOf(r conditions.Readings, t time.Time) Weather {
	w := Weather{math.NaN(), math.NaN(), math.NaN()}
	if by, known := r.Change(conditions.WaterTemp, t, 24*time.Hour); known {
		w.warming = by
	}
	if mm, known := r.Total(conditions.Rain, t, 24*time.Hour); known {
		w.rainM = mm / 1000
	}
	if cloud, known := r.Mean(conditions.Cloud, t, sunlessOver, sunlessDays); known {
		w.sunless = cloud
	}
	return w
}

// Weeks without sun are told from the last fortnight, of which a week must be known.
const (
	sunlessOver = 14 * 24 * time.Hour
	sunlessDays = 7
)

// Of the place and time that are the same in every scenario of the readings.
func Of(m *spot.Moment) playbook.Facts {
	f := OfPlace(m, WeatherOf(m.Spot.Readings, m.Time))
	TidesOf(m.Spot).Fill(&f, m.LevelM, &m.Stage, &m.Sky)
	if u, known := m.Current(); known {
		f.Measure[playbook.Current] = math.Abs(u)
	}
	f.Say(playbook.Sign, m.Signs...)
	return f
}

// OfPlace change from hour to hour at most.
func OfPlace(m *spot.Moment, w Weather) playbook.Facts {
	f := playbook.Nothing()
	f.Measure[playbook.Warming], f.Measure[playbook.Rain], f.Measure[playbook.Sunless] = w.warming, w.rainM, w.sunless
	if v, known := m.Believed[conditions.Standing]; known {
		f.Measure[playbook.Standing] = v.Value
	}
	if m.Spot.Place == "surf beach" || m.Spot.Place == "rocky shore" {
		f.Measure[playbook.Waves] = m.Swell()
	}
	f.Say(playbook.Place, m.Spot.Place)
	f.Measure[playbook.SideCreeks] = float64(m.Spot.Count(ground.Cut))
	Season(&f, m.Time, m.Spot.Lat)
	if r := m.Spot.Rose; r != nil {
		f.Say(playbook.Side, r.SideFor(m.Believed[conditions.WindFrom].Value).String())
	}
	return f
}

// Tides of a spot as the facts want them: its mean spring range and its mean low water of
// springs, and its crest, NaN where there is none. A water without tide has none of it.
type Tides struct {
	spring, low, crest float64
	tideless           bool
}

// TidesOf a spot.
func TidesOf(s *spot.Spot) Tides {
	spring := s.Tide.MeanSpringRange()
	t := Tides{spring, s.Tide.MeanLevel() - spring/2, math.NaN(), tide.Tideless(s.Tide)}
	if e, ok := crestElevation(s); ok {
		t.crest = e
	}
	return t
}

// Fill in the facts of level, stage and sky, which change from minute to minute.
func (t Tides) Fill(f *playbook.Facts, level float64, stage *tide.Stage, sky *spot.Sky) {
	f.Measure[playbook.SunAltitude] = sky.Sun.Altitude
	f.Measure[playbook.DaysFromFull] = math.Abs(sky.FromFull) * 86400
	f.Measure[playbook.DaysAfterFull] = sky.FromFull * 86400
	f.Measure[playbook.CrestDepth] = level - t.crest
	if t.tideless {
		return
	}
	f.Measure[playbook.Level] = level
	f.Measure[playbook.RiseRate] = stage.RateMPerH
	f.Measure[playbook.Flow] = math.Abs(stage.RateMPerH)
	f.Measure[playbook.TideRange] = stage.RangeM / t.spring
	f.Measure[playbook.LevelShare] = (level - t.low) / t.spring
	hours := stage.Next.Time.Sub(stage.Last.Time).Hours()
	f.Measure[playbook.FlowShare] = math.Abs(stage.RateMPerH) / water.SpringRate(t.spring, hours)
	Stage(f, stage.Direction, stage.Elapsed)
}

// turnFades is the share of a rise or fall over which it passes into the next, on each side of
// the turn.
const turnFades = 0.08

// Stage of the tide in words and as the shares of it that have gone.
func Stage(f *playbook.Facts, d tide.Direction, elapsed float64) {
	f.Measure[playbook.Elapsed] = elapsed
	f.Measure[playbook.SinceLow], f.Measure[playbook.SinceHigh] = elapsed, elapsed-1
	other := tide.Ebb
	if d == tide.Ebb {
		f.Measure[playbook.SinceLow], f.Measure[playbook.SinceHigh] = elapsed-1, elapsed
		other = tide.Flood
	}
	f.Say(playbook.Stage, d.String())
	if edge := math.Min(elapsed, 1-elapsed); edge < turnFades {
		f.Fade(playbook.Stage, other.String(), (1-edge/turnFades)/2)
	}
}

// seasonFades is how long one month takes to pass into the next: three weeks.
const seasonFades = 21 * 24 * time.Hour

// Season fills in the month whose season it is: south of the equator, half a year on.
func Season(f *playbook.Facts, t time.Time, lat float64) {
	t = t.UTC()
	i := int(t.Month()) - 1
	if lat < 0 {
		i += 6
	}
	f.Say(playbook.Month, playbook.Months[i%12])
	begins := time.Date(t.Year(), t.Month(), 1, 0, 0, 0, 0, time.UTC)
	before, after := t.Sub(begins), begins.AddDate(0, 1, 0).Sub(t)
	near, other := before, i+11
	if after < before {
		near, other = after, i+1
	}
	if near < seasonFades/2 {
		f.Fade(playbook.Month, playbook.Months[other%12], 0.5-near.Hours()/seasonFades.Hours())
	}
}

// Vary what one scenario of the readings makes different.
func Vary(f *playbook.Facts, v conditions.Values, surfaceLux float64) {
	f.Measure[playbook.SurfaceLight], f.Measure[playbook.LureLight] = surfaceLux, surfaceLux
	f.Measure[playbook.Secchi] = v.SecchiM
	f.Measure[playbook.WaterTemp] = v.WaterTempC
	f.Measure[playbook.WindSpeed] = v.WindSpeedMS
	f.Measure[playbook.Cloud] = v.Cloud
}

// Run is how many times what an ordinary bend is a spot is worth to one after a target, by where its
// school is likely to lie in its run up the river; 1 for what does not run.
func Run(s *spot.Spot, t *playbook.Target, at time.Time) float64 {
	w, runs := t.RunWarmth()
	if !runs {
		return 1
	}
	return s.Run(t.ID, w, at)
}

// Scenarios are the facts of the place and time in every scenario of the readings.
type Scenarios struct {
	Facts [conditions.Scenarios]playbook.Facts
	// Attenuation of light in the water, per metre.
	Attenuation [conditions.Scenarios]float64
}

// ScenariosOf a moment, worked out once for all marks and presentations.
func ScenariosOf(m *spot.Moment) (*Scenarios, error) {
	out := &Scenarios{}
	base := Of(m)
	for k := range out.Facts {
		v := m.Believed.Scenario(k)
		var err error
		if out.Attenuation[k], err = water.Attenuation(v.SecchiM); err != nil {
			return nil, err
		}
		out.Facts[k] = base
		Vary(&out.Facts[k], v, m.SurfaceLight(v.Cloud))
	}
	return out, nil
}

// On a mark, by its index, what they are there: its depth, how warm it is and the light under
// its water.
func (s *Scenarios) On(m *spot.Moment, mark int) *[conditions.Scenarios]playbook.Facts {
	out := s.Facts
	k := &m.Spot.Marks[mark]
	warmer, known := m.Warmer(mark)
	for i := range out {
		f := &out[i]
		FillMark(f, k, m.LevelM)
		if known {
			f.Measure[playbook.Warmer] = warmer
			f.Measure[playbook.WaterTemp] += warmer
		}
		light := f.Measure[playbook.SurfaceLight]
		f.Measure[playbook.BedLight] = light * water.Remaining(s.Attenuation[i], f.Measure[playbook.Depth])
		f.Measure[playbook.MidLight] = light * water.Remaining(s.Attenuation[i], f.Measure[playbook.Depth]/2)
	}
	return &out
}

// FillMark fills in a mark and the water over it.
func FillMark(f *playbook.Facts, k *ground.Mark, levelM float64) {
	f.Say(playbook.MarkKind, string(k.Kind))
	f.Say(playbook.Bottom, k.Bottom)
	f.Measure[playbook.Depth] = math.Max(k.Depth(levelM), 0)
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
