package tackle_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/tackle"
)

// A fish seen twice goes on as it went: where it would be by its course at the time between is where it was.
func TestTheCourseOfAFishSeenTwice(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := tackle.Fish{XM: rapid.Float64Range(-30, 30).Draw(t, "x"), YM: rapid.Float64Range(1, 40).Draw(t, "y"),
			SpeedMS: rapid.Float64Range(0.05, 3).Draw(t, "v"), BearingDeg: rapid.Float64Range(0, 359.9).Draw(t, "b")}
		s := rapid.Float64Range(tackle.WatchedLeast, tackle.WatchedMost).Draw(t, "s")
		x, y := f.At(s)
		c, err := tackle.Course(f.XM, f.YM, x, y, s)
		require.NoError(t, err)
		require.InDelta(t, f.SpeedMS, c.SpeedMS, 1e-9)
		require.InDelta(t, 0, math.Sin((f.BearingDeg-c.BearingDeg)*math.Pi/360), 1e-6)
		require.InDelta(t, x, c.XM, 1e-9)
	})
	c, err := tackle.Course(-3, 15, 0, 15, 3)
	require.NoError(t, err)
	assert.Equal(t, tackle.Fish{YM: 15, SpeedMS: 1, BearingDeg: 90}, c, "to the right at a metre a second")
	for _, s := range []float64{0, 1, 12, math.NaN()} {
		_, err := tackle.Course(0, 10, 1, 10, s)
		assert.ErrorContains(t, err, "darts are not its course")
	}
}
