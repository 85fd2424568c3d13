package ground

import (
	"fmt"
	"math"
)

// LatLon is a place in degrees, WGS 84.
type LatLon struct{ Lat, Lon float64 }

// Validate refuses what is not on Earth.
func (p LatLon) Validate() error {
	if !(math.Abs(p.Lat) <= 90) || !(math.Abs(p.Lon) <= 180) {
		return fmt.Errorf("expected latitude within ±90 and longitude within ±180, not %v and %v", p.Lat, p.Lon)
	}
	return nil
}

// Ring is a closed shore: the last point joins the first.
type Ring []LatLon

// Outline is the land of a water, as the rings of its shores. Where rings lie
// in one another they take turns: land, lake, island.
type Outline struct{ Rings []Ring }

// Limits of an outline.
const (
	mostRings     = 2000
	mostRingPoint = 50_000
)

// Validate refuses rings of fewer than three points and impossible places.
func (o *Outline) Validate() error {
	if len(o.Rings) > mostRings {
		return fmt.Errorf("ground: an outline may have %d rings at most, not %d", mostRings, len(o.Rings))
	}
	for i, r := range o.Rings {
		if len(r) < 3 || len(r) > mostRingPoint {
			return fmt.Errorf("ground: ring %d of the outline has %d points; expected 3 to %d", i+1, len(r), mostRingPoint)
		}
		for j, p := range r {
			if err := p.Validate(); err != nil {
				return fmt.Errorf("ground: ring %d of the outline, point %d: %w", i+1, j+1, err)
			}
		}
	}
	return nil
}

// earthRadius in metres, of the sphere with the volume of the ellipsoid.
const earthRadius = 6371008.8

// plane is a local flat map about a place: metres east and north. Good to a
// part in a thousand within some 50 km.
type plane struct {
	at   LatLon
	east float64 // metres a degree of longitude
}

// perDegree of latitude in metres.
const perDegree = earthRadius * math.Pi / 180

func planeAt(p LatLon) plane { return plane{p, perDegree * math.Cos(p.Lat*math.Pi/180)} }

func (m plane) xy(p LatLon) (x, y float64) {
	d := math.Mod(p.Lon-m.at.Lon+540, 360) - 180
	return d * m.east, (p.Lat - m.at.Lat) * perDegree
}

// Bearing from one place to another near it, degrees from north.
func Bearing(from, to LatLon) float64 {
	x, y := planeAt(from).xy(to)
	return math.Mod(math.Atan2(x, y)*180/math.Pi+360, 360)
}

// Distance between two places near each other, metres.
func Distance(a, b LatLon) float64 {
	x, y := planeAt(a).xy(b)
	return math.Hypot(x, y)
}

// Toward is the place at a distance in metres and a bearing in degrees.
func Toward(from LatLon, bearingDeg, distanceM float64) LatLon {
	s, c := math.Sincos(bearingDeg * math.Pi / 180)
	return LatLon{from.Lat + distanceM*c/perDegree, from.Lon + distanceM*s/planeAt(from).east}
}

// Directions a rose has: every ten degrees.
const Directions = 36

// Fetches are the distances in metres from a place to the nearest shore in
// every tenth degree from north, clockwise, at most reach. A place on land has
// none.
func (o *Outline) Fetches(at LatLon, reachM float64) (out [Directions]float64) {
	if o.Land(at) {
		return out
	}
	for i := range out {
		out[i] = reachM
	}
	m := planeAt(at)
	for _, r := range o.Rings {
		x1, y1 := m.xy(r[len(r)-1])
		for _, p := range r {
			x2, y2 := m.xy(p)
			cross(&out, x1, y1, x2, y2)
			x1, y1 = x2, y2
		}
	}
	return out
}

// cross shortens the rays that meet a stretch of shore.
func cross(out *[Directions]float64, x1, y1, x2, y2 float64) {
	const step = 2 * math.Pi / Directions
	a1, a2 := math.Atan2(x1, y1), math.Atan2(x2, y2)
	turn := math.Remainder(a2-a1, 2*math.Pi)
	if turn < 0 {
		a1, turn = a1+turn, -turn
	}
	for k := int(math.Ceil(a1 / step)); float64(k)*step <= a1+turn; k++ {
		s, c := math.Sincos(float64(k) * step)
		// The ray (s, c)·d meets p1 + t·(p2 − p1) where their cross product is nil.
		dx, dy := x2-x1, y2-y1
		den := s*dy - c*dx
		if den == 0 {
			continue
		}
		if d := (x1*dy - y1*dx) / den; d >= 0 {
			i := ((k % Directions) + Directions) % Directions
			out[i] = math.Min(out[i], d)
		}
	}
}

// Land says whether a place lies on land: inside an odd number of rings.
func (o *Outline) Land(at LatLon) bool {
	m := planeAt(at)
	inside := false
	for _, r := range o.Rings {
		x1, y1 := m.xy(r[len(r)-1])
		for _, p := range r {
			x2, y2 := m.xy(p)
			if (y1 > 0) != (y2 > 0) && x1+(x2-x1)*(-y1)/(y2-y1) > 0 {
				inside = !inside
			}
			x1, y1 = x2, y2
		}
	}
	return inside
}
