package ground

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func scattered(n int, z func(x, y float64) float64) []Sounding {
	r := rand.New(rand.NewPCG(5, 9))
	m := planeAt(middle)
	out := make([]Sounding, n)
	for i := range out {
		x, y := r.Float64()*400, r.Float64()*300
		out[i] = Sounding{LatLon{middle.Lat + y/perDegree, middle.Lon + x/m.east}, z(x, y)}
	}
	return out
}

func worst(t *testing.T, g *Grid, z func(x, y float64) float64) float64 {
	t.Helper()
	m, most, n := planeAt(middle), 0.0, 0
	for r := 2; r < g.Rows-2; r++ {
		for c := 2; c < g.Cols-2; c++ {
			if v := g.Cell(r, c); !math.IsNaN(v) {
				x, y := m.xy(g.Centre(r, c))
				most, n = math.Max(most, math.Abs(v-z(x, y))), n+1
			}
		}
	}
	require.Greater(t, n, g.Rows*g.Cols/2)
	return most
}

func TestGriddingReproducesPlanes(t *testing.T) {
	slope := func(x, y float64) float64 { return -1 - 0.01*x + 0.004*y }
	g, err := GridSoundings(scattered(3000, slope), 10, 30)
	require.NoError(t, err)
	assert.Less(t, worst(t, g, slope), 1e-4)
}

// A known surface within its stated error: a bank 60 m across, 3 m high, sounded
// about every 6 m, comes out to a tenth of a metre.
func TestGriddingOfABank(t *testing.T) {
	bank := func(x, y float64) float64 { return -4 + 3*math.Exp(-((x-200)*(x-200)+(y-150)*(y-150))/(2*60*60)) }
	g, err := GridSoundings(scattered(3500, bank), 8, 20)
	require.NoError(t, err)
	assert.Less(t, worst(t, g, bank), 0.1)
}

func TestGriddingLeavesGaps(t *testing.T) {
	list := append(scattered(40, func(_, _ float64) float64 { return -2 }), Sounding{LatLon{middle.Lat + 0.02, middle.Lon + 0.02}, -5})
	g, err := GridSoundings(list, 20, 40)
	require.NoError(t, err)
	assert.True(t, math.IsNaN(g.Cell(g.Rows/2, g.Cols/2)), "nothing was sounded there")
	assert.InDelta(t, -5, g.Cell(g.Rows-1, g.Cols-1), 0.01)
	for _, bad := range []func() (*Grid, error){
		func() (*Grid, error) { return GridSoundings(list[:2], 20, 40) },
		func() (*Grid, error) { return GridSoundings(list, 0, 40) },
		func() (*Grid, error) { return GridSoundings(list, 20, 10) },
		func() (*Grid, error) { return GridSoundings(append(list[:5:5], Sounding{LatLon{99, 0}, 1}), 20, 40) },
		func() (*Grid, error) { return GridSoundings(append(list[:5:5], Sounding{middle, math.NaN()}), 20, 40) },
	} {
		_, err := bad()
		assert.Error(t, err)
	}
}

// Sounded along tracks 50 m apart, as a boat does, with a position a metre or two off: between the
// tracks, and where only one is in reach, the bed stays what was measured.
func TestGriddingOfTracks(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 7))
	m := planeAt(middle)
	bed := func(x, y float64) float64 { return -3 + 0.8*math.Sin(x/70) + 0.4*math.Cos(y/90) }
	var list []Sounding
	least, most := math.Inf(1), math.Inf(-1)
	for track := range 7 {
		for along := 0.0; along < 400; along += 2 {
			x, y := along, float64(track)*50
			z := bed(x, y) + 0.03*r.NormFloat64()
			least, most = min(least, z), max(most, z)
			x, y = x+1.5*r.NormFloat64(), y+1.5*r.NormFloat64()
			list = append(list, Sounding{LatLon{middle.Lat + y/perDegree, middle.Lon + x/m.east}, z})
		}
	}
	for _, reach := range []float64{10, 20, 30, 60} {
		g, err := GridSoundings(list, 5, reach)
		require.NoError(t, err)
		wrong := 0.0
		for row := range g.Rows {
			for col := range g.Cols {
				z := g.Cell(row, col)
				if math.IsNaN(z) {
					continue
				}
				require.GreaterOrEqual(t, z, least-1e-6)
				require.LessOrEqual(t, z, most+1e-6)
				x, y := m.xy(g.Centre(row, col))
				wrong = max(wrong, math.Abs(z-bed(x, y)))
			}
		}
		assert.Less(t, wrong, 0.35, "reach %v m", reach)
		t.Logf("reach %v m: worst error %.2f m", reach, wrong)
	}
}
