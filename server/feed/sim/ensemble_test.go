package sim_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/demo"
	"greypebble/interchange/forecast"
	"greypebble/server/feed/sim"
)

// The stand-in forecast reaches fourteen days ahead, and is less sure the further ahead it is.
func TestTheForecastGrowsLessSure(t *testing.T) {
	now := time.Date(2026, 11, 20, 7, 0, 0, 0, time.UTC)
	f, err := forecast.Read([]byte(sim.ForecastCSV(demo.Weather, now)))
	require.NoError(t, err)
	var last time.Time
	wide, narrow := 0.0, 0.0
	for _, r := range f.Readings {
		if r.Time.After(last) {
			last = r.Time
		}
		ahead := r.Time.Sub(f.Issued)
		if ahead <= 0 {
			assert.Zero(t, r.Spread, "what was is known")
			assert.InDelta(t, demo.Weather(r.Time)[r.Kind], r.Value, 0.01)
		}
		if r.Kind != conditions.WindSpeed {
			continue
		}
		switch {
		case ahead > 0 && ahead <= 48*time.Hour:
			narrow = math.Max(narrow, r.Spread)
		case ahead > 10*24*time.Hour:
			wide = math.Max(wide, r.Spread)
		}
	}
	assert.Equal(t, 14*24*time.Hour-time.Hour, last.Sub(f.Issued))
	assert.Greater(t, wide, narrow)
	assert.Greater(t, wide, 1.5, "more than a forecast's usual error")
}
