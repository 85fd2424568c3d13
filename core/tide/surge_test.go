package tide

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestASurgeShiftsEverythingAndFades(t *testing.T) {
	h := springy(t)
	seen := day.Add(9 * time.Hour)
	s, err := NewSurge(0.3, seen, 18*time.Hour)
	require.NoError(t, err)
	for _, place := range []Predictor{h, must(NewSecondary(h, Lagged(40*time.Minute, 0.9)))} {
		plain, err := Over(place, day, day.AddDate(0, 0, 3))
		require.NoError(t, err)
		c, err := Over(WithSurge(place, s), day, day.AddDate(0, 0, 3))
		require.NoError(t, err)
		assert.InDelta(t, 0.3, c.Level(seen)-plain.Level(seen), 1e-9)
		assert.InDelta(t, 0.15, c.Level(seen.Add(9*time.Hour))-plain.Level(seen.Add(9*time.Hour)), 1e-9)
		assert.InDelta(t, 0, c.Level(seen.Add(19*time.Hour))-plain.Level(seen.Add(19*time.Hour)), 1e-9)
		assert.InDelta(t, 0, c.Level(seen.Add(-3*time.Hour))-plain.Level(seen.Add(-3*time.Hour)), 1e-9)

		// Turns are where the slope of the sum is nought, and they take turns.
		turns := c.Turns()
		assert.Len(t, turns, len(plain.Turns()))
		for i, k := range turns {
			if i > 0 {
				assert.NotEqual(t, turns[i-1].Kind, k.Kind)
			}
			assert.InDelta(t, 0, c.Rate(k.Time), 2e-3)
			if k.Time.After(s.Ends()) {
				assert.InDelta(t, plain.Level(k.Time), k.LevelM, 1e-6)
			}
		}
		// No jump anywhere, and the rate is the slope.
		before := c.Level(day)
		for at := day.Add(time.Minute); at.Before(day.AddDate(0, 0, 2)); at = at.Add(time.Minute) {
			now := c.Level(at)
			assert.InDelta(t, before, now, 0.02)
			assert.InDelta(t, (now-before)*60, c.Rate(at.Add(-30*time.Second)), 0.01)
			before = now
		}
		_, err = c.Stage(seen)
		assert.NoError(t, err)
	}
}

func must[T any](v T, err error) T {
	if err != nil {
		panic(err)
	}
	return v
}

func TestImpossibleSurges(t *testing.T) {
	for _, bad := range []struct {
		by   float64
		fade time.Duration
	}{{6, time.Hour}, {math.NaN(), time.Hour}, {0.3, time.Minute}, {0.3, 200 * time.Hour}} {
		_, err := NewSurge(bad.by, day, bad.fade)
		assert.ErrorContains(t, err, "surge must")
	}
}
