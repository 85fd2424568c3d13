package ground

import (
	"math"
	"testing"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/geo"
	"github.com/paulmach/orb/planar"
	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// Geometry beside a kept library's own (orb, on the sphere with WGS 84's equator).

func TestDistancesBesideOrb(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		a := LatLon{rapid.Float64Range(-65, 65).Draw(t, "lat"), rapid.Float64Range(-179, 179).Draw(t, "lon")}
		bearing, far := rapid.Float64Range(0, 359).Draw(t, "bearing"), rapid.Float64Range(20, 8000).Draw(t, "metres")
		b := Toward(a, bearing, far)
		assert.InEpsilon(t, far, Distance(a, b), 2e-3)
		p, q := orb.Point{a.Lon, a.Lat}, orb.Point{b.Lon, b.Lat}
		assert.InEpsilon(t, geo.DistanceHaversine(p, q), Distance(a, b), 4e-3, "the flat map and the other radius")
		off := math.Remainder(geo.Bearing(p, q)-Bearing(a, b), 360)
		assert.InDelta(t, 0, off, 0.2)
	})
}

func TestRingsBesideOrb(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(3, 12).Draw(t, "n")
		ring := make(Ring, n)
		theirs := make(orb.Ring, 0, n+1)
		for i := range ring {
			// A star, which never crosses itself.
			angle, r := 2*math.Pi*float64(i)/float64(n), rapid.Float64Range(0.002, 0.02).Draw(t, "r")
			ring[i] = LatLon{31 + r*math.Sin(angle), -45 + r*math.Cos(angle)}
			theirs = append(theirs, orb.Point{ring[i].Lon, ring[i].Lat})
		}
		theirs = append(theirs, theirs[0])
		p := LatLon{31 + rapid.Float64Range(-0.02, 0.02).Draw(t, "y"), -45 + rapid.Float64Range(-0.02, 0.02).Draw(t, "x")}
		if planar.DistanceFrom(orb.LineString(theirs), orb.Point{p.Lon, p.Lat}) > 1e-9 { // on the line itself either is right
			assert.Equal(t, planar.RingContains(theirs, orb.Point{p.Lon, p.Lat}), (&Outline{[]Ring{ring}}).Land(p))
		}
		_, _, crosses := ring.Crosses()
		assert.False(t, crosses)
		c, _ := planar.CentroidArea(theirs)
		assert.InDelta(t, c.Lat(), ring.Middle().Lat, 1e-5)
		assert.InDelta(t, c.Lon(), ring.Middle().Lon, 1e-5)
	})
}
