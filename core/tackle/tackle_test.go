package tackle

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

const foot, pound, inch = 0.3048, 0.45359237, 0.0254

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
	v, err := Body{0.02835, 11340, DragSphere}.FallSpeed()
	require.NoError(t, err)
	d := math.Cbrt(6 * 0.02835 / 11340 / math.Pi)
	// Force balance, written out the other way round.
	weight := (11340 - seawater) * math.Pi / 6 * d * d * d * gravity
	drag := 0.5 * seawater * v * v * DragSphere * math.Pi / 4 * d * d
	assert.InDelta(t, weight, drag, 1e-9)
	reynolds := v * d / 1.05e-6
	assert.Greater(t, reynolds, 1e3)
	assert.Less(t, reynolds, 1e5)
	assert.InDelta(t, 2.2, v, 0.2)
}

// A 1/8 oz head with its soft body falls about a foot a second: common practice.
func TestSoftLureFallsAboutAFootASecond(t *testing.T) {
	v, err := SoftLure(0.0035).FallSpeed()
	require.NoError(t, err)
	assert.InDelta(t, foot, v, 0.05)
}

func TestHeavierFallsFasterAndDeeperTakesLonger(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		m := rapid.Float64Range(0.001, 0.1).Draw(t, "kg")
		d := rapid.Float64Range(0.1, 20).Draw(t, "depth")
		light, _ := SoftLure(m).FallTime(d)
		heavy, _ := SoftLure(m * 1.5).FallTime(d)
		deeper, _ := SoftLure(m).FallTime(d * 1.5)
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
	for want, b := range map[string]Body{"does not sink": {0.01, 900, 0.5}, "mass": {0, 2000, 0.5}, "drag": {0.01, 2000, 0}} {
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
