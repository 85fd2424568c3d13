package ground

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

var mid = LatLon{38.5, -31}

// A wall of land between two places: the way leads round its end, by Pythagoras.
func TestAWayOverWaterLeadsRoundTheLand(t *testing.T) {
	wall := &Outline{Rings: []Ring{about(mid, -50, -9000, 50, -9000, 50, 3000, -50, 3000)}}
	west, east := Toward(mid, 270, 4000), Toward(mid, 90, 4000)
	m, ok := wall.OverWater(west, east)
	assert.True(t, ok)
	want := 2*math.Hypot(3950, 3000) + 100
	assert.InEpsilon(t, want, m, 0.03)
	assert.Greater(t, m, want-1, "no way is shorter than the shortest")

	// Nothing in between: the bee line.
	north, further := Toward(mid, 0, 5000), Toward(Toward(mid, 0, 5000), 90, 3000)
	m, ok = wall.OverWater(north, further)
	assert.True(t, ok)
	assert.InEpsilon(t, 3000, m, 1e-3)
	m, ok = wall.OverWater(west, west)
	assert.True(t, ok)
	assert.Less(t, m, 400.0)
}

func TestALakeLetsNoFishOut(t *testing.T) {
	square := func(half float64) Ring { return about(mid, -half, -half, half, -half, half, half, -half, half) }
	lake := &Outline{Rings: []Ring{square(6000), square(2000)}}
	_, ok := lake.OverWater(mid, Toward(mid, 90, 7500))
	assert.False(t, ok)
	_, ok = lake.OverWater(mid, Toward(mid, 90, 4000))
	assert.False(t, ok, "nor onto land")
	m, ok := lake.OverWater(Toward(mid, 200, 900), Toward(mid, 90, 900))
	assert.True(t, ok)
	assert.InEpsilon(t, Distance(Toward(mid, 200, 900), Toward(mid, 90, 900)), m, 0.01)
	// The foot of a pier stands ashore.
	_, ok = lake.OverWater(mid, Toward(mid, 90, 2150))
	assert.True(t, ok)
}

// A way is as long as its way back, and never shorter than a bee line.
func TestAWayOverWaterIsNoBeeLine(t *testing.T) {
	island := &Outline{Rings: []Ring{about(mid, -1500, -800, 1500, -800, 1500, 800, -1500, 800), about(mid, 3000, 0, 4000, 0, 3500, 2500)}}
	rapid.Check(t, func(t *rapid.T) {
		draw := func(name string) LatLon {
			return Toward(mid, rapid.Float64Range(0, 360).Draw(t, name), rapid.Float64Range(0, 8000).Draw(t, name+" far"))
		}
		a, b := draw("a"), draw("b")
		there, ok := island.OverWater(a, b)
		back, okBack := island.OverWater(b, a)
		if !ok || !okBack {
			return
		}
		assert.GreaterOrEqual(t, there, Distance(a, b)*0.998)
		assert.InEpsilon(t, there+100, back+100, 0.08)
		if !island.Land(a) && !island.Land(b) && !island.shoreBetween(a, b) {
			assert.InEpsilon(t, Distance(a, b)+1, there+1, 5e-3)
		}
	})
}
