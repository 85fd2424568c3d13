package tide

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The mean spring range of a mixed tide is that of its spring and tropic days as they are predicted (tide_seattle
// of ../shared/checks, US NOAA, form number 1.0), years apart so that the nodes' cycle evens out; 2·(M2 + S2) is
// far off.
func TestSpringsOfAMixedTide(t *testing.T) {
	f := load[stationFile](t, "tide_seattle.json")
	h := f.harmonics(t, 2.024)
	sum, n := 0.0, 0
	for _, year := range []int{2026, 2031, 2035, 2040} {
		from := time.Date(year, 1, 1, 0, 0, 0, 0, time.UTC)
		peaks, err := Peaks(h, from, from.AddDate(1, 0, 0))
		require.NoError(t, err)
		for _, p := range peaks {
			if p.Springs {
				sum, n = sum+p.RangeM, n+1
			}
		}
	}
	mean := sum / float64(n)
	t.Logf("mean of %d predicted springs %.2f m, worked out %.2f m", n, mean, h.MeanSpringRange())
	assert.InEpsilon(t, mean, h.MeanSpringRange(), 0.04)
	assert.Greater(t, h.MeanSpringRange(), 1.2*2*(1.07+0.26), "not M2 + S2")
}

// A secondary place on a mixed tide whose highs are made little of and its lows much: by kind alone a quarter of
// the turns stood on the wrong side of their neighbours; none does, and those that stood right stay as the
// factors have them.
func TestAHighNeverStandsBelowItsLow(t *testing.T) {
	f := load[stationFile](t, "tide_seattle.json")
	h := f.harmonics(t, 2.024)
	o := Offsets{LagHigh: 40 * time.Minute, LagLow: 55 * time.Minute, FactorHigh: 0.75, FactorLow: 1.25}
	s, err := NewSecondary(h, o)
	require.NoError(t, err)
	from, to := day, day.AddDate(0, 0, 150)
	ref, err := h.Turns(from, to)
	require.NoError(t, err)
	wrong := 0
	for i := 1; i < len(ref); i++ {
		a, b := o.turn(ref[i-1]), o.turn(ref[i])
		if (a.LevelM < b.LevelM) != (b.Kind == High) {
			wrong++
		}
	}
	require.Greater(t, wrong, 60, "else there is nothing to mend")
	turns, err := s.Turns(from, to)
	require.NoError(t, err)
	right := 0
	for i, k := range turns {
		if i > 0 {
			assert.Equal(t, k.Kind == High, k.LevelM > turns[i-1].LevelM, "%v", k)
			assert.NotEqual(t, k.Kind, turns[i-1].Kind)
		}
		for _, r := range ref {
			if p := o.turn(r); p.Time.Equal(k.Time) && p.LevelM == k.LevelM {
				right++
			}
		}
	}
	assert.Greater(t, right, len(turns)/5, "those that stand right stay")
	c, err := Over(s, from.AddDate(0, 0, 1), to.AddDate(0, 0, -1))
	require.NoError(t, err)
	for at := from.AddDate(0, 0, 1); at.Before(to.AddDate(0, 0, -1)); at = at.Add(7 * time.Hour) {
		stage, err := c.Stage(at)
		require.NoError(t, err)
		assert.True(t, stage.RangeM >= 0 && stage.Elapsed >= 0 && stage.Elapsed <= 1)
	}
}
