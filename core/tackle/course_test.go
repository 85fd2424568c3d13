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
			SpeedMS: rapid.Float64Range(0.1, 3).Draw(t, "v"), BearingDeg: rapid.Float64Range(0, 359.9).Draw(t, "b")}
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
	// One that tails, straight ahead or to the side, can be cast to: the cast crosses before its nose.
	for _, at := range [][2]float64{{0, 15}, {-8, 12}} {
		c, err = tackle.Course(at[0], at[1], at[0]+0.1, at[1], 3)
		require.NoError(t, err)
		assert.Zero(t, c.SpeedMS)
		a, err := tackle.Cast{Fish: c, PaceMS: 0.4, FlightMS: tackle.UsualFlight, ReachM: tackle.UsualCast,
			SplashClearM: tackle.UsualSplash, WindowMinM: 0.15, WindowMaxM: 0.3}.Intercept()
		require.NoError(t, err)
		assert.True(t, a.Possible, a.Why)
		assert.InDelta(t, 0.225, a.PassDistanceM, 0.08)
	}
	for _, s := range []float64{0, 1, 12, math.NaN()} {
		_, err := tackle.Course(0, 10, 1, 10, s)
		assert.ErrorContains(t, err, "darts are not its course")
	}
}
