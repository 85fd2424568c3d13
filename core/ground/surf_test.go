package ground

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/water"
)

// McCowan (1894): a wave of 0.78 m breaks in 1 m of water.
func TestReadingTheSurf(t *testing.T) {
	s, err := ReadSurf(1.4, []Break{{110, 1.17}, {45, 0.39}})
	require.NoError(t, err)
	require.Len(t, s.Bars, 2)
	assert.InDelta(t, 1.4-0.5, s.Bars[0].ElevationM, 1e-9)
	assert.InDelta(t, 1.4-1.5, s.Bars[1].ElevationM, 1e-9)
	assert.InDelta(t, 1.4, s.Bars[1].StopsBreakingLevelM, 1e-9, "the outer one is at its limit now")
	assert.InDelta(t, 0.9+1.5, s.Bars[0].StopsBreakingLevelM, 1e-9, "the inner one breaks the waves the outer lets pass")
	require.Len(t, s.Troughs, 1)
	assert.InDelta(t, 0.39/0.4, s.Troughs[0].DepthM, 1e-9)
}

// Worked both ways: bars read from the surf break exactly those waves at that
// level, by the published relation.
func TestSurfReadBothWays(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		level := rapid.Float64Range(-1, 6).Draw(t, "level")
		n := rapid.IntRange(1, 5).Draw(t, "breaks")
		var list []Break
		for i := range n {
			list = append(list, Break{float64(20 + 40*i), rapid.Float64Range(0.1, 3).Draw(t, "height")})
		}
		s, err := ReadSurf(level, list)
		require.NoError(t, err)
		highest := 0.0
		for i := n - 1; i >= 0; i-- {
			highest = math.Max(highest, list[i].HeightM)
			b := water.OverBar(list[i].HeightM, s.Bars[i].ElevationM, level)
			assert.InDelta(t, list[i].HeightM/0.78, b.DepthM, 1e-9)
			assert.False(t, water.OverBar(highest, s.Bars[i].ElevationM, s.Bars[i].StopsBreakingLevelM+1e-6).Breaks)
			assert.True(t, water.OverBar(highest, s.Bars[i].ElevationM, s.Bars[i].StopsBreakingLevelM-1e-6).Breaks)
		}
	})
}

func TestSurfMovesTheBarOfASection(t *testing.T) {
	drawn, err := NewSection([]Point{{0, 3}, {26, 1.1}, {46, -0.55}, {56, -0.6}, {68, -0.15}, {80, 0.2}, {92, 0.1}, {108, -1.1},
		{128, -1.75}, {150, -1.45}, {172, -2.4}})
	require.NoError(t, err)
	surf, err := ReadSurf(1.2, []Break{{95, 0.6}})
	require.NoError(t, err)
	better, err := drawn.Improved(surf)
	require.NoError(t, err)
	assert.InDelta(t, 1.2-0.6/0.78, better.Elevation(95), 1e-9)
	crest := 0.0
	for d := 60.0; d < 120; d++ {
		if better.Elevation(d) > better.Elevation(crest) || crest == 0 {
			crest = d
		}
	}
	assert.InDelta(t, 95, crest, 1, "the bar lies where the waves break")
	assert.InDelta(t, drawn.Elevation(26), better.Elevation(26), 0.02, "the beach stays")
	assert.InDelta(t, drawn.Elevation(172), better.Elevation(172), 0.02)
}

func TestSurfRefusesNonsense(t *testing.T) {
	for _, b := range [][]Break{nil, {{10, 0}}, {{10, -1}}, {{10, math.NaN()}}, {{-5, 1}}, {{10, 1}, {10, 2}}, {{10, 99}}} {
		_, err := ReadSurf(1, b)
		assert.Error(t, err, "%v", b)
	}
	_, err := ReadSurf(math.Inf(1), []Break{{10, 1}})
	assert.ErrorContains(t, err, "level")
}
