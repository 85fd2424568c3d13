package ground

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// about makes a ring from metres east and north of a place.
func about(at LatLon, xy ...float64) Ring {
	m := planeAt(at)
	var r Ring
	for i := 0; i+1 < len(xy); i += 2 {
		r = append(r, LatLon{at.Lat + xy[i+1]/perDegree, at.Lon + xy[i]/m.east})
	}
	return r
}

var middle = LatLon{31.2, -45.1}

// In the middle of a square lake the fetch is half its side along the axes and
// by 1/cos longer between them.
func TestFetchesInASquareLake(t *testing.T) {
	shore := about(middle, -5000, -5000, 5000, -5000, 5000, 5000, -5000, 5000)
	lake := about(middle, -1000, -1000, 1000, -1000, 1000, 1000, -1000, 1000)
	o := Outline{[]Ring{shore, lake}}
	require.NoError(t, o.Validate())
	require.False(t, o.Land(middle))
	for i, f := range o.Fetches(middle, 1e5) {
		a := math.Mod(float64(i)*10+45, 90) - 45
		assert.InDelta(t, 1000/math.Cos(a*math.Pi/180), f, 1, "%d°", i*10)
	}
	land := LatLon{middle.Lat + 3000/perDegree, middle.Lon}
	assert.True(t, o.Land(land))
	assert.Equal(t, [Directions]float64{}, o.Fetches(land, 1e5))
	open := Outline{}
	assert.Equal(t, 1e5, open.Fetches(middle, 1e5)[7])
}

// A shore is met wherever along it a ray happens to go, and whichever way the
// ring is drawn.
func TestFetchesMeetAnyShore(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var xy, back []float64
		n := rapid.IntRange(3, 40).Draw(t, "points")
		for i := range n {
			r := rapid.Float64Range(100, 9000).Draw(t, "radius")
			s, c := math.Sincos(2 * math.Pi * (float64(i) + 0.37) / float64(n))
			xy = append(xy, r*s, r*c)
			back = append([]float64{r * s, r * c}, back...)
		}
		far := about(middle, -2e4, -2e4, 2e4, -2e4, 2e4, 2e4, -2e4, 2e4)
		one := Outline{[]Ring{far, about(middle, xy...)}}
		two := Outline{[]Ring{far, about(middle, back...)}}
		if one.Land(middle) {
			t.Skip("the place is outside its own lake") // three points may leave it out
		}
		f, g := one.Fetches(middle, 1e5), two.Fetches(middle, 1e5)
		for i := range f {
			assert.InDelta(t, f[i], g[i], 1e-6)
			assert.Less(t, f[i], 9001.0)
			assert.Greater(t, f[i], 1.0)
		}
	})
}

func TestOutlineRefusesNonsense(t *testing.T) {
	assert.ErrorContains(t, (&Outline{[]Ring{{{1, 2}, {3, 4}}}}).Validate(), "ring 1")
	assert.ErrorContains(t, (&Outline{[]Ring{{{1, 2}, {95, 4}, {3, 4}}}}).Validate(), "point 2")
	assert.ErrorContains(t, (&Outline{[]Ring{{{1, 2}, {math.NaN(), 4}, {3, 4}}}}).Validate(), "point 2")
}
