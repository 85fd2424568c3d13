package springrun_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/springrun"
)

// What was met of a run: newest first, effort without a fish too, with the warmth that was read, or else is usual.
func TestWhatWasMetIsTold(t *testing.T) {
	now := time.Date(2026, 3, 20, 12, 0, 0, 0, time.UTC)
	day := func(n int) time.Time { return now.AddDate(0, 0, -n) }
	year := conditions.Usual{}
	var months [12]conditions.Month
	for m := range months {
		months[m] = conditions.Month{Mean: 5 + float64(m), Spread: 1}
	}
	year[conditions.WaterTemp] = months
	r := &springrun.River{Bends: 4, Now: now,
		Readings: conditions.Sorted([]conditions.Reading{{Kind: conditions.WaterTemp, Value: 11.5, Time: day(3),
			Origin: conditions.Observed, Source: conditions.TheAngler}}).WithUsual(year),
		Met: map[string][]springrun.Met{"shad": {
			{At: day(10), Bend: 1, Fish: 2, RodHours: 1}, {At: day(3), Bend: 2, Fish: 1, RodHours: 2},
			{At: day(1), Bend: 3, RodHours: 2},
			{At: day(2), Bend: 1}, {At: day(200), Bend: 4, Fish: 9, RodHours: 1}, {At: now.Add(time.Hour), Bend: 4, Fish: 9}}}}
	told := r.ToldOf("shad")
	require.Len(t, told, 3, "neither what tells nothing, nor last year's, nor what is to come")
	assert.Equal(t, []int{3, 2, 1}, []int{told[0].Bend, told[1].Bend, told[2].Bend})
	assert.Zero(t, told[0].Fish)
	require.NotNil(t, told[1].WarmthC)
	assert.InDelta(t, 11.5, *told[1].WarmthC, 1e-9)
	assert.True(t, told[1].Read)
	require.NotNil(t, told[2].WarmthC)
	assert.False(t, told[2].Read, "ten days before anybody read it")
	assert.InDelta(t, 7, *told[2].WarmthC, 1)
	assert.Empty(t, r.ToldOf("perch"))
}
