package ground

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// W6, common practice: white water is a bar, darker unbroken water
// between two lines of white is a trough.
func TestWhiteWaterShowsBarAndTrough(t *testing.T) {
	s, err := NewSection([]Point{{DistanceM: 0, ElevationM: 2}, {DistanceM: 25, ElevationM: 0.8}, {DistanceM: 38, ElevationM: -1.1},
		{DistanceM: 52, ElevationM: -1.2}, {DistanceM: 75, ElevationM: 0.1}, {DistanceM: 88, ElevationM: 0.1},
		{DistanceM: 120, ElevationM: -2.5}, {DistanceM: 160, ElevationM: -4}})
	require.NoError(t, err)
	white := func(level, breaker float64) func(d float64) bool {
		spans := WhiteWater(s, level, breaker)
		return func(d float64) bool {
			for _, p := range spans {
				if p.Holds(d) {
					return true
				}
			}
			return false
		}
	}
	low := white(0.7, 0.9)
	assert.True(t, low(82), "on the bar")
	assert.False(t, low(45), "not in the trough")
	assert.True(t, low(28), "again on the beach")
	assert.False(t, low(140), "not in deep water")
	high := white(2, 0.9)
	assert.False(t, high(82), "at high water they pass over the bar")
	assert.Empty(t, WhiteWater(s, 0.7, 0))
	// Larger swell breaks further out.
	assert.False(t, white(0.7, 0.9)(112))
	assert.True(t, white(0.7, 2.2)(112))
}
