package water

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// WMO, Manual on Codes (No. 306), code table 1100: limits in m/s.
func TestBeaufort(t *testing.T) {
	rows := []struct {
		lo, hi float64
		word   string
	}{{0, 0.2, "calm"}, {0.3, 1.5, "light air"}, {1.6, 3.3, "light breeze"}, {3.4, 5.4, "gentle breeze"}, {5.5, 7.9, "moderate breeze"},
		{8, 10.7, "fresh breeze"}, {10.8, 13.8, "strong breeze"}, {13.9, 17.1, "near gale"}, {17.2, 20.7, "gale"},
		{20.8, 24.4, "strong gale"},
		{24.5, 28.4, "storm"}, {28.5, 32.6, "violent storm"}, {32.7, 60, "hurricane"}}
	for force, r := range rows {
		for _, v := range []float64{r.lo, r.hi} {
			assert.Equal(t, Beaufort{force, r.word}, BeaufortOf(v), "%v m/s", v)
		}
		// v = 0.836·B^1.5, the scale's own formula, lies within each force.
		v := 0.836 * math.Pow(float64(force), 1.5)
		assert.Equal(t, force, BeaufortOf(v).Force, "0.836·%d^1.5", force)
	}
}

// In deep water with a long fetch the relation tends to its fully grown limits:
// gH/U² → 0.283 and gT/2πU → 1.20 (Shore Protection Manual 1977).
func TestWindWavesGrowToTheirLimit(t *testing.T) {
	h, p, err := WindWaves(3, 5e6, 5000)
	require.NoError(t, err)
	assert.InDelta(t, 0.283*9/gravity, h, 0.002)
	assert.InDelta(t, 1.2*2*math.Pi*3/gravity, p, 0.02)
}

func TestWindWavesGrow(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		u := rapid.Float64Range(0.5, 30).Draw(t, "wind")
		f := rapid.Float64Range(10, 1e5).Draw(t, "fetch")
		d := rapid.Float64Range(0.2, 50).Draw(t, "depth")
		h, _, err := WindWaves(u, f, d)
		require.NoError(t, err)
		for _, more := range [][3]float64{{u * 1.2, f, d}, {u, f * 1.5, d}, {u, f, d * 1.5}} {
			m, _, err := WindWaves(more[0], more[1], more[2])
			require.NoError(t, err)
			assert.GreaterOrEqual(t, m, h-1e-12)
		}
		assert.Less(t, h, breakerIndex*d, "waves cannot stand higher than the water lets them")
	})
	_, _, err := WindWaves(math.NaN(), 1, 1)
	assert.ErrorContains(t, err, "wind")
}

// Common practice, no source: a breeze leaves the lee of a bank glassy and the
// open side choppy.
func TestLeeAndExposedSides(t *testing.T) {
	island := Rose{} // a spot with land 40 m to the north, open water elsewhere
	for i := range island {
		island[i] = 8000
		if off := angleBetween(float64(i)*10, 0); off <= 70 {
			island[i] = 40 / math.Cos(off*math.Pi/180)
		}
	}
	for _, c := range []struct {
		from    float64
		side    Side
		surface Surface
	}{{0, Lee, Ripple}, {180, Exposed, Chop}, {90, Along, Chop}} {
		assert.Equal(t, c.side, island.SideFor(c.from), "wind from %v", c.from)
		h, _, err := WindWaves(6, island.Fetch(c.from), 2)
		require.NoError(t, err)
		assert.Equal(t, c.surface, SurfaceOf(h), "wind from %v: %.3f m", c.from, h)
	}
	h, _, _ := WindWaves(1.5, 8000, 2)
	assert.Equal(t, Ripple, SurfaceOf(h), "a light air ripples open water")
	h, _, _ = WindWaves(1, island.Fetch(0), 2)
	assert.Equal(t, Glassy, SurfaceOf(h))
	h, _, _ = WindWaves(12, 8000, 4)
	assert.Equal(t, Rough, SurfaceOf(h))
	assert.Equal(t, Exposed, (&Rose{}).openSide(), "open water all round")
}

func (r *Rose) openSide() Side {
	for i := range r {
		r[i] = 1e5
	}
	return r.SideFor(123)
}

func TestCurrentIsTheTidalPrism(t *testing.T) {
	// What passes the narrows while the basin rises a metre is the basin's metre.
	s := Setting{BasinM2: 2e6, WidthM: 120, BedM: -6}
	require.NoError(t, s.Validate())
	volume, level := 0.0, 0.0
	const dt = 60.0
	for level < 1 {
		rate := 0.3 * math.Sin(math.Pi*(0.02+level*0.96)) // m/h
		u, known := s.Current(level, rate, 0)
		require.True(t, known)
		volume += u * s.WidthM * (level - s.BedM) * dt
		level += rate * dt / 3600
	}
	assert.InEpsilon(t, s.BasinM2*level, volume, 0.002)

	seen := Setting{SeenMS: 0.9}
	spring := SpringRate(1.6, 6.21)
	assert.InDelta(t, math.Pi/2*1.6/6.21, spring, 1e-12)
	u, _ := seen.Current(1, -spring, spring)
	assert.InDelta(t, -0.9, u, 1e-12, "the ebb runs the other way")
	u, known := Setting{}.Current(1, 0.4, spring)
	assert.False(t, known)
	assert.Zero(t, u)
	// A thin sill does not carry more than water can run over it.
	u, _ = Setting{BasinM2: 1e8, WidthM: 10, BedM: 0.9}.Current(1, 0.4, 0)
	assert.InDelta(t, math.Sqrt(gravity*0.1), u, 1e-9)
	assert.Error(t, Setting{SeenMS: 40}.Validate())
}
