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
	m := moment(t, spottest.Coast(t)[0])
	all, err := ScenariosOf(m)
	require.NoError(t, err)
	varies := map[playbook.Measure]bool{playbook.SurfaceLight: true, playbook.LureLight: true, playbook.Secchi: true,
		playbook.WaterTemp: true, playbook.WindSpeed: true, playbook.Cloud: true}
	differ := map[playbook.Measure]bool{}
	for k := range all {
		assert.Positive(t, all[k].Attenuation)
		for i, v := range all[k].Measure {
			if a := all[0].Measure[i]; a != v && !(math.IsNaN(a) && math.IsNaN(v)) {
				differ[playbook.Measure(i)] = true
			}
		}
	}
	for i := range differ {
		assert.True(t, varies[i], "%v", i)
	}
	assert.True(t, differ[playbook.Secchi] && differ[playbook.WaterTemp])
	// Murkier water in a scenario takes more light away.
	for k := range all {
		for j := range all {
			if all[k].Measure[playbook.Secchi] < all[j].Measure[playbook.Secchi] {
				assert.Greater(t, all[k].Attenuation, all[j].Attenuation)
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
