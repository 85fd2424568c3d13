package ground

import (
	"math"
	"testing"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/planar"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// made is a grid of 10 m cells about the middle, from a height in metres east
// and north of it.
func made(t require.TestingT, rows, cols int, z func(x, y float64) float64) *Grid {
	m := planeAt(middle)
	dLat, dLon := 10/perDegree, 10/m.east
	g, err := NewGrid(middle.Lat-dLat*float64(rows-1)/2, middle.Lon-dLon*float64(cols-1)/2, dLat, dLon, rows, cols)
	require.NoError(t, err)
	for r := range rows {
		for c := range cols {
			g.Set(r, c, z((float64(c)-float64(cols-1)/2)*10, (float64(r)-float64(rows-1)/2)*10))
		}
	}
	return g
}

func TestInterpolationReproducesPlanes(t *testing.T) {
	g := made(t, 41, 51, func(x, y float64) float64 { return 0.01*x - 0.02*y + 1 })
	rapid.Check(t, func(t *rapid.T) {
		x, y := rapid.Float64Range(-250, 250).Draw(t, "x"), rapid.Float64Range(-200, 200).Draw(t, "y")
		m := planeAt(middle)
		p := LatLon{middle.Lat + y/perDegree, middle.Lon + x/m.east}
		assert.InDelta(t, 0.01*x-0.02*y+1, g.Elevation(p), 1e-5)
	})
	assert.True(t, math.IsNaN(g.Elevation(LatLon{middle.Lat + 1, middle.Lon})))
}

// A smooth hill of 100 m across is met to 1 % of its height between cells of
// 10 m: the error of straight lines is h²/8 times the curvature.
func TestInterpolationOfAHill(t *testing.T) {
	hill := func(x, y float64) float64 { return 3 * math.Exp(-(x*x+y*y)/(2*50*50)) }
	g := made(t, 61, 61, hill)
	m := planeAt(middle)
	worst := 0.0
	for x := -200.0; x <= 200; x += 7 {
		for y := -200.0; y <= 200; y += 7 {
			worst = math.Max(worst, math.Abs(hill(x, y)-g.Elevation(LatLon{middle.Lat + y/perDegree, middle.Lon + x/m.east})))
		}
	}
	assert.Less(t, worst, 0.03)
}

// The contour of a cone is a circle, its area that of the kept library's own
// reckoning, higher ground on its left.
func TestContourOfACone(t *testing.T) {
	g := made(t, 81, 81, func(x, y float64) float64 { return 4 - math.Hypot(x, y)/50 })
	lines := g.Contours(1)
	require.Len(t, lines, 1)
	require.True(t, lines[0].Closed)
	m := planeAt(middle)
	var ring orb.Ring
	for _, p := range lines[0].Points {
		x, y := m.xy(p)
		assert.InDelta(t, 150, math.Hypot(x, y), 0.5)
		ring = append(ring, orb.Point{x, y})
	}
	ring = append(ring, ring[0])
	assert.InEpsilon(t, math.Pi*150*150, planar.Area(ring), 0.01)
	assert.Equal(t, orb.CCW, ring.Orientation())
	land := g.Land(1)
	require.Len(t, land.Rings, 1)
	assert.True(t, land.Land(middle))
	assert.False(t, land.Land(LatLon{middle.Lat + 160/perDegree, middle.Lon}))
	few := land.Simplified(3)
	assert.Less(t, len(few.Rings[0]), len(land.Rings[0])/3)
	f, s := land.Fetches(LatLon{middle.Lat + 400/perDegree, middle.Lon}, 1e4),
		few.Fetches(LatLon{middle.Lat + 400/perDegree, middle.Lon}, 1e4)
	assert.InDelta(t, 250, f[18], 1)
	assert.InDelta(t, f[18], s[18], 3.5)
}

// Whatever the ground, every cell lies inside the outline exactly when it stands
// higher than the level: saddles, islands, lakes and all.
func TestLandHoldsWhatIsHigher(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		heights := rapid.SliceOfN(rapid.Float64Range(-2, 2), 48, 48).Draw(t, "heights")
		i := -1
		g := made(t, 6, 8, func(_, _ float64) float64 { i++; return heights[i] })
		if rapid.Bool().Draw(t, "gap") {
			g.Set(3, 4, math.NaN())
		}
		const level = 0.1234567 // no cell stands exactly there
		land := g.Land(level)
		for r := range g.Rows {
			for c := range g.Cols {
				z := g.Cell(r, c)
				assert.Equal(t, z >= level, land.Land(g.Centre(r, c)), "cell %d %d at %v", r, c, z)
			}
		}
	})
}

func TestCut(t *testing.T) {
	g := made(t, 41, 51, func(x, y float64) float64 { return 0.01*x + 1 })
	m := planeAt(middle)
	cut := g.Cut(LatLon{middle.Lat, middle.Lon - 100/m.east}, LatLon{middle.Lat, middle.Lon + 100/m.east}, 21)
	require.Len(t, cut, 21)
	assert.InDelta(t, 200, cut[20].DistanceM, 0.01)
	assert.InDelta(t, 0, cut[0].ElevationM, 1e-5)
	assert.InDelta(t, 2, cut[20].ElevationM, 1e-5)
}

func TestGridRefusesNonsense(t *testing.T) {
	for _, bad := range [][]float64{{0, 0, 1e-4, 1e-4, 1, 9}, {0, 0, 0, 1e-4, 9, 9}, {89.9999, 0, 1e-3, 1e-3, 9, 9},
		{0, 0, math.NaN(), 1, 9, 9}, {0, 0, 1e-4, 1e-4, 1e5, 1e5}} {
		_, err := NewGrid(bad[0], bad[1], bad[2], bad[3], int(bad[4]), int(bad[5]))
		assert.Error(t, err, "%v", bad)
	}
	g, err := NewGrid(0, 0, 1e-4, 1e-4, 3, 3)
	require.NoError(t, err)
	lo, _ := g.Range()
	assert.True(t, math.IsNaN(lo))
}
