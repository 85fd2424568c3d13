package water

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// place of a finish in the ranking.
func place(t *testing.T, list []FinishChoice, f Finish) int {
	t.Helper()
	for i, c := range list {
		if c.Finish == f {
			return i
		}
	}
	t.Fatalf("%s is not ranked", f)
	return -1
}

// Common practice, no source: the choices of C1, C2, C5 and C6.
func TestFinishByLight(t *testing.T) {
	dark := FinishesFor(Dark, 2)
	assert.Less(t, place(t, dark, Glow), place(t, dark, Black), "glow beats black in the dark")
	assert.Equal(t, len(dark)-1, place(t, dark, Mirror), "a mirror disappears")
	night := FinishesFor(Twilight, 1)
	assert.Zero(t, place(t, night, Black), "dark lures on dark nights")
	noon := FinishesFor(Bright, 4)
	assert.Zero(t, place(t, noon, Natural))
	assert.Equal(t, 1, place(t, noon, Translucent))
	mud := FinishesFor(Bright, 0.3)
	assert.Zero(t, place(t, mud, White))
	assert.Less(t, place(t, mud, Black), place(t, mud, Natural), "contrast before likeness")
	for _, l := range []Light{Dark, Twilight, Dim, Bright} {
		for _, s := range []float64{0.3, 3} {
			list := FinishesFor(l, s)
			assert.Len(t, list, 7, "each once")
			assert.LessOrEqual(t, place(t, list, White), 3, "a plain white works everywhere")
		}
	}
}

// C5, common practice: noon over a stained bay, Secchi 2 m:
// 18 m down it is as dark as moonlight, and the last metres are in the dark.
func TestBandsOfAStainedBay(t *testing.T) {
	k, err := Attenuation(2)
	require.NoError(t, err)
	bands := LightBands(1e5, k, 18)
	require.Len(t, bands, 4)
	assert.Equal(t, Dark, bands[3].Light)
	assert.InDelta(t, 16.25, bands[3].FromM, 0.02)
	assert.InDelta(t, 0.02, 1e5*Remaining(k, 18), 0.005)
}

func TestBandsCoverTheColumn(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		lux := rapid.Float64Range(1e-4, 1.3e5).Draw(t, "lux")
		k := rapid.Float64Range(0.05, 20).Draw(t, "attenuation")
		depth := rapid.Float64Range(0.1, 60).Draw(t, "depth")
		at := 0.0
		for _, b := range LightBands(lux, k, depth) {
			assert.Equal(t, at, b.FromM)
			at = b.ToM
			assert.Equal(t, b.Light, Class(lux*Remaining(k, (b.FromM+b.ToM)/2)))
		}
		assert.Equal(t, depth, at)
	})
}
