package tackle

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

const foot, inch = 0.3048, 0.0254

// From 40 ft to a mark at 30 ft at 2 ft a turn is 5 turns: common practice.
func TestReelTurns(t *testing.T) {
	assert.InDelta(t, 5, Turns(40*foot, 30*foot, 2*foot), 1e-12)
	l, err := TurnLength(5.2, 0.045)
	require.NoError(t, err)
	assert.InDelta(t, 0.735, l, 0.001) // 5.2 × π × 0.045
	assert.InDelta(t, 10, TurnsIn(10, 0.6, 0.6), 1e-12)
	_, err = TurnLength(0, 0.05)
	assert.ErrorContains(t, err, "gear ratio")
	_, err = TurnLength(5, math.NaN())
	assert.ErrorContains(t, err, "spool")
}

// A lead sphere of 28 g falls at 1.9–2.1 m/s by the plateau of the published
// drag curve of the sphere, Cd 0.44–0.47 (Clift, Grace & Weber 1978).
func TestLeadSphereFallsAsThePublishedDragCurveSays(t *testing.T) {
	v, err := Body{MassKg: 0.02835, DensityKgM3: 11340, Shape: Sphere}.FallSpeed()
	require.NoError(t, err)
	d := math.Cbrt(6 * 0.02835 / 11340 / math.Pi)
	// Force balance, written out the other way round.
	weight := (11340 - seawater) * math.Pi / 6 * d * d * d * gravity
	drag := 0.5 * seawater * v * v * SphereDrag(v*d/viscosity) * math.Pi / 4 * d * d
	assert.InDelta(t, weight, drag, 1e-9)
	reynolds := v * d / 1.05e-6
	assert.Greater(t, reynolds, 1e3)
	assert.Less(t, reynolds, 1e5)
	assert.InDelta(t, 2.2, v, 0.2)
}

// A 1/8 oz head with its soft body falls about a foot a second: common practice.
func TestSoftLureFallsAboutAFootASecond(t *testing.T) {
	v, err := OnHead(0.0035).FallSpeed()
	require.NoError(t, err)
	assert.InDelta(t, foot, v, 0.05)
}

func TestHeavierFallsFasterAndDeeperTakesLonger(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		m := rapid.Float64Range(0.001, 0.1).Draw(t, "kg")
		d := rapid.Float64Range(0.1, 20).Draw(t, "depth")
		light, _ := OnHead(m).FallTime(d)
		heavy, _ := OnHead(m * 1.5).FallTime(d)
		deeper, _ := OnHead(m).FallTime(d * 1.5)
		if !(heavy < light && light < deeper) {
			t.Fatalf("%v %v %v", heavy, light, deeper)
		}
		temp := rapid.Float64Range(4, 30).Draw(t, "temp")
		rate := rapid.Float64Range(0, 1).Draw(t, "rate")
		if HeadFor(d*1.5, temp, rate) < HeadFor(d, temp, rate) || HeadFor(d, temp, rate+0.3) < HeadFor(d, temp, rate) {
			t.Fatal("deeper or faster water must not want a lighter head")
		}
	})
}

func TestWhatDoesNotSinkIsRefused(t *testing.T) {
	for want, b := range map[string]Body{"does not sink": {MassKg: 0.01, DensityKgM3: 900, Shape: Sphere},
		"mass": {DensityKgM3: 2000, Shape: Sphere}, "unknown shape": {MassKg: 0.01, DensityKgM3: 2000, Shape: "brick"},
		"timed": {MassKg: 0.01, DensityKgM3: 2000, Shape: Sphere, TimedMS: -1}} {
		_, err := b.FallTime(1)
		assert.ErrorContains(t, err, want)
	}
}

// Red drum lie about 6 lb at 24–25 in, sheepshead 18½ in ≈ 6 lb: common
// practice. Curve parameters are those of the playbook, from memory.
func TestLengthToWeight(t *testing.T) {
	kg, err := Curve{0.0101, 3.02}.Mass(24.5 * inch)
	require.NoError(t, err)
	assert.InDelta(t, 6*pound, kg, 0.4)
	assert.InDelta(t, 1.0, Condition(0.5, 1.25), 1e-12)
	_, err = Curve{0.01, 3}.Mass(-1)
	assert.ErrorContains(t, err, "length")
}

// The sphere's standard drag curve (Clift, Grace & Weber 1978, table 5.1, from
// memory) and the cylinder's measured drag (White 1991, figure 3-38, from memory).
func TestDragAgainstPublishedCurves(t *testing.T) {
	for re, cd := range map[float64]float64{1: 27.2, 10: 4.26, 100: 1.09, 1e3: 0.471, 1e4: 0.405} {
		assert.InEpsilon(t, cd, SphereDrag(re), 0.06, re)
	}
	for re, cd := range map[float64]float64{1: 10.7, 10: 2.9, 100: 1.45, 1e3: 1.05, 1e4: 1.1} {
		assert.InEpsilon(t, cd, CylinderDrag(re), 0.12, re)
	}
	assert.True(t, math.IsInf(SphereDrag(0), 1) && math.IsInf(CylinderDrag(-1), 1))
}

func TestHopsFallLongerAsTheBankDeepens(t *testing.T) {
	hops, err := OnHead(0.0053).Hops([]float64{1, 1.6, 2.6, 4.2}, 0.4)
	require.NoError(t, err)
	require.Len(t, hops, 3)
	for i := 1; i < len(hops); i++ {
		assert.Greater(t, hops[i].Seconds, hops[i-1].Seconds)
	}
	timed := OnHead(0.0053)
	timed.TimedMS = 0.5
	hops, err = timed.Hops([]float64{1, 2}, 0.5)
	require.NoError(t, err)
	assert.InDelta(t, 3, hops[0].Seconds, 1e-12, "1 m and the lift at half a metre a second")
	_, err = timed.Hops([]float64{1}, 0.5)
	assert.ErrorContains(t, err, "at least 2")
	_, err = timed.Hops([]float64{1, -1}, 0.5)
	assert.ErrorContains(t, err, "dry")
}

func TestPaceAgainstThePush(t *testing.T) {
	still, err := PaceFor(0.6, 0, 0.6)
	require.NoError(t, err)
	assert.InDelta(t, 10, still.TurnsPer10S, 1e-12)
	rapid.Check(t, func(t *rapid.T) {
		least, push := rapid.Float64Range(0.1, 2).Draw(t, "least"), rapid.Float64Range(-1, 1).Draw(t, "push")
		p, err := PaceFor(least, push, 0.6)
		require.NoError(t, err)
		assert.InDelta(t, least, p.TurnsPer10S*0.6/10-push, 1e-9, "the speed through the water is kept")
		assert.Equal(t, least+push < 0, p.Drifts)
	})
	for _, bad := range [][3]float64{{-1, 0, 0.6}, {1, 9, 0.6}, {1, 0, 0}} {
		_, err := PaceFor(bad[0], bad[1], bad[2])
		assert.Error(t, err)
	}
	turn, err := Measured(6, 10)
	require.NoError(t, err)
	assert.InDelta(t, 0.6, turn, 1e-12)
	_, err = Measured(6, 0)
	assert.Error(t, err)
}
