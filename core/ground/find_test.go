package ground

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func kinds(list []Find) map[MarkKind][]Find {
	out := map[MarkKind][]Find{}
	for _, f := range list {
		out[f.Kind] = append(out[f.Kind], f)
	}
	return out
}

// metresFrom the middle.
func metresFrom(p LatLon) (x, y float64) { return planeAt(middle).xy(p) }

func TestFindsAHoleInAFlat(t *testing.T) {
	g := made(t, 61, 61, func(x, y float64) float64 { return -0.2 - 1.1*math.Exp(-((x-80)*(x-80)+y*y)/(2*20*20)) })
	found := kinds(g.FindFeatures(0.6, 1))
	require.NotEmpty(t, found[Hole])
	x, y := metresFrom(found[Hole][0].At)
	assert.InDelta(t, 80, x, 11)
	assert.InDelta(t, 0, y, 11)
	assert.Contains(t, found[Hole][0].Why, "deeper than the flat")
	assert.Empty(t, found[Cut])
}

func TestFindsACutInABar(t *testing.T) {
	bar := func(x, y float64) float64 {
		gap := 1 - math.Exp(-x*x/(2*25*25))
		return -2 - 0.006*y + 1.9*gap*math.Exp(-y*y/(2*18*18))
	}
	found := kinds(made(t, 61, 81, bar).FindFeatures(0.8, 1))
	require.NotEmpty(t, found[Cut])
	x, y := metresFrom(found[Cut][0].At)
	assert.InDelta(t, 0, x, 15)
	assert.InDelta(t, 0, y, 15)
}

func TestFindsADropOffOnlyNearShallowGround(t *testing.T) {
	edge := func(top float64) func(x, y float64) float64 {
		return func(x, _ float64) float64 { return top - 3/(1+math.Exp(-x/6)) }
	}
	found := kinds(made(t, 61, 61, edge(-0.3)).FindFeatures(0.5, 1))
	require.NotEmpty(t, found[Step])
	for _, f := range found[Step] {
		x, _ := metresFrom(f.At)
		assert.InDelta(t, 0, x, 31)
	}
	assert.Empty(t, kinds(made(t, 61, 61, edge(-6)).FindFeatures(0.5, 1))[Step], "deep all over")
}

// A dug canal is told from a winding creek, and its side creeks are counted.
func TestFindsStraightChannels(t *testing.T) {
	canal := func(x, y float64) float64 {
		z := 2.0
		if math.Abs(x-0.2*y) < 14 {
			z = -2
		}
		for _, k := range []float64{-200, 0, 200} {
			if math.Abs(y-k) < 8 && x-0.2*y > 0 && x-0.2*y < 70 {
				z = -0.6
			}
		}
		return z
	}
	found := kinds(made(t, 91, 61, canal).FindFeatures(1, 1))
	require.Len(t, found[Channel], 1)
	assert.Contains(t, found[Channel][0].Why, "dug, not grown; 3 creeks join it")
	creek := func(x, y float64) float64 {
		if math.Abs(x-60*math.Sin(y/60)) < 15 {
			return -2
		}
		return 2
	}
	assert.Empty(t, kinds(made(t, 91, 61, creek).FindFeatures(1, 1))[Channel])
}
