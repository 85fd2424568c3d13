package scene

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/spot"
	"greypebble/core/spot/spottest"
	"greypebble/core/tide"
)

var at = time.Date(2026, 7, 12, 9, 0, 0, 0, time.UTC)

func moment(t *testing.T, s *spot.Spot, readings ...conditions.Reading) *spot.Moment {
	t.Helper()
	s.Readings = conditions.Sorted(readings)
	c, err := tide.Over(s.Tide, at.Add(-time.Hour), at.Add(time.Hour))
	require.NoError(t, err)
	m, err := s.At(c, at)
	require.NoError(t, err)
	return &m
}

func seen(k conditions.Kind, value float64, before time.Duration) conditions.Reading {
	return conditions.Reading{Kind: k, Value: value, Time: at.Add(-before), Origin: conditions.Observed, Source: conditions.TheAngler}
}

// says whether a word is among those the facts have.
func says(f *playbook.Facts, w playbook.Word, value string) bool {
	var only playbook.Facts
	only.Say(w, value)
	return f.Word[w]&only.Word[w] != 0
}

func TestTheFactsOfAMoment(t *testing.T) {
	bar := spottest.Coast(t)[0]
	m := moment(t, bar)
	m.Signs = []string{"birds"}
	f := Of(m)
	assert.InDelta(t, m.LevelM, f.Measure[playbook.Level], 1e-12)
	assert.InDelta(t, m.Stage.RateMPerH, f.Measure[playbook.RiseRate], 1e-12)
	assert.InDelta(t, math.Abs(m.Stage.RateMPerH), f.Measure[playbook.Flow], 1e-12)
	assert.InDelta(t, m.Sun.Altitude, f.Measure[playbook.SunAltitude], 1e-12)
	// Springs of M2 and S2 are twice their sum.
	assert.InDelta(t, m.Stage.RangeM/1.5, f.Measure[playbook.TideRange], 0.02)
	crest := bar.Marks[0].ElevationM
	for _, k := range bar.Marks {
		if k.Kind == "crest" {
			crest = k.ElevationM
		}
	}
	assert.InDelta(t, m.LevelM-crest, f.Measure[playbook.CrestDepth], 1e-12)
	assert.True(t, says(&f, playbook.Place, "oyster bar"))
	assert.True(t, says(&f, playbook.Stage, m.Stage.Direction.String()))
	assert.True(t, says(&f, playbook.Sign, "birds"))
	assert.False(t, says(&f, playbook.Sign, "weed"))
	// What nobody said is not known, rather than nought.
	for _, k := range []playbook.Measure{playbook.Warming, playbook.Rain, playbook.Waves} {
		assert.True(t, math.IsNaN(f.Measure[k]), "%v", k)
	}
}

// South of the equator it is the season that counts, not the name of the month.
func TestTheMonthIsTheSeasons(t *testing.T) {
	for lat, want := range map[float64]string{31: "july", 0: "july", -31: "january"} {
		s := spottest.Coast(t)[0]
		s.Lat = lat
		f := Of(moment(t, s))
		assert.True(t, says(&f, playbook.Month, want), "%v", lat)
	}
}

func TestTheWeatherOfTheLastDay(t *testing.T) {
	beach := spottest.Coast(t)[1]
	f := Of(moment(t, beach, seen(conditions.WaterTemp, 17, 0), seen(conditions.WaterTemp, 15, 24*time.Hour),
		seen(conditions.Rain, 4, 3*time.Hour), seen(conditions.Rain, 9, 30*time.Hour), seen(conditions.SwellHeight, 0.8, 0)))
	assert.InDelta(t, 2, f.Measure[playbook.Warming], 1e-9)
	assert.InDelta(t, 0.004, f.Measure[playbook.Rain], 1e-9, "of the last day, in metres")
	assert.Positive(t, f.Measure[playbook.Waves], "waves count on a beach")
	pier := spottest.Coast(t)[2]
	f = Of(moment(t, pier, seen(conditions.SwellHeight, 0.8, 0)))
	assert.True(t, math.IsNaN(f.Measure[playbook.Waves]), "and are not asked after under a pier")
}

// The scenarios differ in what is uncertain and in nothing else.
func TestScenariosVaryWhatIsUncertain(t *testing.T) {
	untold, err := ScenariosOf(moment(t, spottest.Coast(t)[0]))
	require.NoError(t, err)
	assert.True(t, math.IsNaN(untold.Facts[0].Measure[playbook.WaterTemp]), "a temperature nobody told is not known")
	m := moment(t, spottest.Coast(t)[0], seen(conditions.WaterTemp, 17, 0))
	all, err := ScenariosOf(m)
	require.NoError(t, err)
	varies := map[playbook.Measure]bool{playbook.SurfaceLight: true, playbook.LureLight: true, playbook.Secchi: true,
		playbook.WaterTemp: true, playbook.WindSpeed: true, playbook.Cloud: true, playbook.MidLight: true, playbook.BedLight: true}
	differ := map[playbook.Measure]bool{}
	on := all.On(m, 2)
	for k := range on {
		assert.Positive(t, all.Attenuation[k])
		for i, v := range on[k].Measure {
			if a := on[0].Measure[i]; a != v && !(math.IsNaN(a) && math.IsNaN(v)) {
				differ[playbook.Measure(i)] = true
			}
		}
	}
	for i := range differ {
		assert.True(t, varies[i], "%v", i)
	}
	assert.True(t, differ[playbook.Secchi] && differ[playbook.WaterTemp])
	// Murkier water in a scenario takes more light away.
	for k := range on {
		for j := range on {
			if on[k].Measure[playbook.Secchi] < on[j].Measure[playbook.Secchi] {
				assert.Greater(t, all.Attenuation[k], all.Attenuation[j])
			}
		}
	}
}

func TestTheFactsOfMarks(t *testing.T) {
	bar := spottest.Coast(t)[0]
	facts := Marks(bar)
	require.Len(t, facts, len(bar.Marks))
	for i, k := range bar.Marks {
		assert.True(t, says(&facts[i], playbook.MarkKind, string(k.Kind)), k.Name)
		assert.True(t, says(&facts[i], playbook.Bottom, k.Bottom), k.Name)
		f := facts[i]
		FillMark(&f, &bar.Marks[i], k.ElevationM+1.5)
		assert.InDelta(t, 1.5, f.Measure[playbook.Depth], 1e-9)
	}
}

// A flat's warmth is the flat's own, and what was seen moves every mark.
func TestAMarksOwnWarmth(t *testing.T) {
	bar := spottest.Coast(t)[0]
	m := moment(t, bar, seen(conditions.WaterTemp, 12, 0), seen(conditions.Cloud, 0, 0))
	warmth, err := bar.WarmthAt(m.Time)
	require.NoError(t, err)
	m.Warmth = warmth
	all, err := ScenariosOf(m)
	require.NoError(t, err)
	edge := all.On(m, 1)
	for k := range edge {
		by, known := m.Warmer(1)
		require.True(t, known)
		assert.InDelta(t, all.Facts[k].Measure[playbook.WaterTemp]+by, edge[k].Measure[playbook.WaterTemp], 1e-9)
		assert.Greater(t, math.Abs(by), 0.01)
	}
	deep, _ := m.Warmer(2)
	assert.Less(t, math.Abs(deep), 1.0)
}

// Level, run and stage are shares of the place's own tide; water without one has none of them.
func TestTheTideAsShares(t *testing.T) {
	bar := spottest.Coast(t)[0]
	m := moment(t, bar)
	f := Of(m)
	assert.InDelta(t, (m.LevelM-0.15)/1.5, f.Measure[playbook.LevelShare], 0.01, "mean low water of springs stands at 0.15 m")
	assert.True(t, f.Measure[playbook.FlowShare] > 0 && f.Measure[playbook.FlowShare] < 1.2)
	still, err := tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: 0.01}}, 1)
	require.NoError(t, err)
	bar.Tide = still
	f = Of(moment(t, bar))
	for _, k := range []playbook.Measure{playbook.Level, playbook.LevelShare, playbook.FlowShare, playbook.Elapsed, playbook.TideRange} {
		assert.True(t, math.IsNaN(f.Measure[k]), "%v", k)
	}
	assert.Zero(t, f.Word[playbook.Stage])
	assert.False(t, math.IsNaN(f.Measure[playbook.CrestDepth]), "the ground stays")
}

// Seasons pass over three weeks, and a stage over the turn.
func TestSeasonsAndStagesFade(t *testing.T) {
	share := func(at time.Time, month string) float64 {
		var f, only playbook.Facts
		Season(&f, at, 31)
		only.Say(playbook.Month, month)
		if f.Word[playbook.Month] == only.Word[playbook.Month] {
			return 1 - f.Next[playbook.Month].Share
		}
		if f.Next[playbook.Month].Word == only.Word[playbook.Month] {
			return f.Next[playbook.Month].Share
		}
		return 0
	}
	turn := time.Date(2026, 6, 1, 0, 0, 0, 0, time.UTC)
	assert.InDelta(t, 0.5, share(turn, "june"), 0.01)
	assert.InDelta(t, 0.5, share(turn.Add(-time.Minute), "june"), 0.01, "nothing jumps at midnight")
	assert.InDelta(t, 1, share(turn.AddDate(0, 0, 12), "june"), 1e-9)
	assert.Zero(t, share(turn.AddDate(0, 0, -12), "june"))
	before := share(turn.AddDate(0, 0, -20), "june")
	for d := -400; d < 400; d++ {
		now := share(turn.Add(time.Duration(d)*time.Hour), "june")
		assert.GreaterOrEqual(t, now, before-1e-9)
		assert.Less(t, now-before, 0.005)
		before = now
	}
	var late, early playbook.Facts
	Stage(&late, tide.Ebb, 0.999)
	Stage(&early, tide.Flood, 0.001)
	assert.InDelta(t, late.Measure[playbook.SinceLow], early.Measure[playbook.SinceLow], 0.01)
	assert.InDelta(t, 0.5, late.Next[playbook.Stage].Share, 0.01)
	assert.Equal(t, late.Next[playbook.Stage].Word, early.Word[playbook.Stage])
}
