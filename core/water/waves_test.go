package water

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Komar & Gaughan (1973): H₀ = 1 m, T = 10 s gives 0.39 · 9.80665^0.2 · 10^0.4
// = 0.39 · 1.5787 · 2.5119 = 1.547 m; McCowan (1894) puts it in 1.98 m of water.
func TestWorkedBreaker(t *testing.T) {
	h, err := BreakerHeight(1, 10)
	require.NoError(t, err)
	assert.InDelta(t, 1.547, h, 0.001)
	assert.InDelta(t, 1.983, BreakingDepth(h), 0.002)
	for _, bad := range [][2]float64{{-1, 10}, {99, 10}, {1, 0}, {1, math.NaN()}} {
		_, err := BreakerHeight(bad[0], bad[1])
		assert.ErrorContains(t, err, "swell")
	}
}

func TestABarBreaksBetweenDryAndItsLimit(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		h := rapid.Float64Range(0.1, 3).Draw(t, "breaker")
		e := rapid.Float64Range(-3, 1).Draw(t, "elevation")
		level := rapid.Float64Range(-1, 3).Draw(t, "level")
		b := OverBar(h, e, level)
		want := level > e && level-e <= h/0.78
		if b.Breaks != want || math.Abs(b.StopsAtLevelM-(e+h/0.78)) > 1e-12 {
			t.Fatalf("%+v", b)
		}
		// Higher water never starts a bar breaking that did not, unless it was dry.
		if up := OverBar(h, e, level+0.1); up.Breaks && !b.Breaks && b.DepthM > 0 {
			t.Fatalf("%+v then %+v", b, up)
		}
	})
}

// Stockdon et al. 2006 by hand: H 2 m, T 10 s (L 156 m), slope 0.08: set-up 0.495 m, swash 1.54 m,
// run-up 1.1·(0.495 + 1.54/2) = 1.39 m.
func TestRunUpOnABeach(t *testing.T) {
	r, err := RunUp(2, 10, 0.08)
	require.NoError(t, err)
	assert.InDelta(t, 1.39, r, 0.03)
	flat, err := RunUp(2, 10, 0.02)
	require.NoError(t, err)
	assert.Less(t, flat, r)
	none, err := RunUp(0, 10, 0.08)
	require.NoError(t, err)
	assert.Zero(t, none)
	_, err = RunUp(2, 10, 0)
	assert.ErrorContains(t, err, "slope")
}
