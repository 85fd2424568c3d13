package ground

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/tide"
)

// A crossing is where halving finds it, however strange the tide.
func TestACrossingIsWhereHalvingFindsIt(t *testing.T) {
	from := time.Date(2026, 3, 1, 0, 0, 0, 0, time.UTC)
	rapid.Check(t, func(t *rapid.T) {
		parts := []tide.Constituent{}
		for _, name := range []string{"M2", "S2", "K1", "O1", "M4", "M6"} {
			parts = append(parts, tide.Constituent{Name: name, AmplitudeM: rapid.Float64Range(0.01, 2).Draw(t, name),
				PhaseDeg: rapid.Float64Range(0, 360).Draw(t, name+" phase")})
		}
		h, err := tide.NewHarmonics(parts, 1)
		require.NoError(t, err)
		c, err := tide.Over(h, from, from.AddDate(0, 0, 3))
		require.NoError(t, err)
		turns := c.Turns()
		for i := 1; i < len(turns); i++ {
			a, b := turns[i-1], turns[i]
			limit := a.LevelM + (b.LevelM-a.LevelM)*rapid.Float64Range(0.001, 0.999).Draw(t, "between")
			got := when(c, levelAt{a.Time, a.LevelM}, levelAt{b.Time, b.LevelM}, limit)
			lo, hi := a.Time, b.Time
			for hi.Sub(lo) > time.Millisecond {
				m := lo.Add(hi.Sub(lo) / 2)
				if (c.Level(m) < limit) == (c.Level(a.Time) < limit) {
					lo = m
				} else {
					hi = m
				}
			}
			assert.InDelta(t, 0, got.Sub(hi).Seconds(), 0.06)
			assert.NotEqual(t, c.Level(a.Time) < limit, c.Level(got) < limit, "it has passed")
		}
	})
}
