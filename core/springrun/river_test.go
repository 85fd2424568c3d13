package springrun_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/springrun"
)

// spring water: 4 °C in January, 2 °C warmer each month, as far as that matters.
func spring() conditions.Usual {
	var y conditions.Year
	for m := range y {
		y[m] = conditions.Month{Mean: 4 + 2*float64(m), Spread: 1.5}
	}
	return conditions.Usual{conditions.WaterTemp: y}
}

// A run comes when the water warms to it: in a water measured two degrees above the usual a month sooner.
func TestARunComesAsTheWaterWarms(t *testing.T) {
	usual := conditions.Sorted(nil).WithUsual(spring())
	perch := springrun.Warmth{From: 6, To: 12}
	now := time.Date(2026, 2, 20, 12, 0, 0, 0, time.UTC)
	e, season := springrun.Entering(usual, now, perch)
	require.True(t, season)
	assert.WithinDuration(t, time.Date(2026, 2, 15, 0, 0, 0, 0, time.UTC), e.At, 48*time.Hour)
	assert.Greater(t, e.SDDays, 10.0, "nobody has measured it")

	warm := conditions.Sorted([]conditions.Reading{{Kind: conditions.WaterTemp, Value: 8.3, Time: now.Add(-time.Hour),
		Origin: conditions.Observed}}).WithUsual(spring())
	sooner, season := springrun.Entering(warm, now, perch)
	require.True(t, season)
	assert.WithinDuration(t, e.At.AddDate(0, -1, 0), sooner.At, 4*24*time.Hour)
	assert.Less(t, sooner.SDDays, e.SDDays)

	_, season = springrun.Entering(usual, time.Date(2026, 8, 1, 0, 0, 0, 0, time.UTC), perch)
	assert.False(t, season, "in summer there is none")
	_, season = springrun.Entering(conditions.Sorted(nil), now, perch)
	assert.False(t, season, "of water nobody told of nothing is said")
}

func TestARiverIsFollowedByWarmthAndLog(t *testing.T) {
	now := time.Date(2026, 3, 1, 12, 0, 0, 0, time.UTC)
	r := &springrun.River{Bends: 5, Readings: conditions.Sorted(nil).WithUsual(spring()), Now: now,
		Met: map[string][]springrun.Met{"yellow-perch": {{At: now.AddDate(0, 0, -1), Bend: 2, Fish: 3, RodHours: 1}}}}
	c := r.Course("yellow-perch", springrun.Warmth{From: 6, To: 12})
	require.NotNil(t, c)
	assert.Same(t, c, r.Course("yellow-perch", springrun.Warmth{From: 6, To: 12}))
	assert.Equal(t, 2, likeliest(c, now))
	assert.Equal(t, 5, likeliest(c, now.AddDate(0, 0, 30)))
	assert.Nil(t, r.Course("striped-bass", springrun.Warmth{From: 13, To: 19}), "not for months")

	late := &springrun.River{Bends: 5, Readings: r.Readings, Now: now.AddDate(0, 5, 0), Met: r.Met}
	assert.Nil(t, late.Course("yellow-perch", springrun.Warmth{From: 6, To: 12}), "what was met in spring says nothing in August")
}
