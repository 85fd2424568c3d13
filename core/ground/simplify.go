package ground

import (
	"github.com/paulmach/orb"
	"github.com/paulmach/orb/planar"
	"github.com/paulmach/orb/simplify"
)

// Simplified line without the points that lie within a tolerance in metres of the
// straight line between their neighbours (Douglas & Peucker 1973).
func Simplified(points []LatLon, toleranceM float64) []LatLon {
	if len(points) < 3 {
		return points
	}
	m := planeAt(points[0])
	line := simplify.DouglasPeucker(toleranceM).LineString(m.line(points))
	out := make([]LatLon, len(line))
	for i, p := range line {
		out[i] = m.place(p)
	}
	return out
}

// Simplified outline, without rings that vanish.
func (o *Outline) Simplified(toleranceM float64) Outline {
	var out Outline
	for _, r := range o.Rings {
		closed := Simplified(append(r[:len(r):len(r)], r[0]), toleranceM)
		if len(closed) > 3 {
			out.Rings = append(out.Rings, closed[:len(closed)-1])
		}
	}
	return out
}

// Middle of an area: its centroid.
func (r Ring) Middle() LatLon {
	m := planeAt(r[0])
	c, area := planar.CentroidArea(orb.Polygon{orb.Ring(m.line(append(r[:len(r):len(r)], r[0])))})
	if area == 0 {
		return r[0]
	}
	return m.place(c)
}

func (m plane) line(points []LatLon) orb.LineString {
	out := make(orb.LineString, len(points))
	for i, p := range points {
		x, y := m.xy(p)
		out[i] = orb.Point{x, y}
	}
	return out
}

func (m plane) place(p orb.Point) LatLon {
	return LatLon{m.at.Lat + p[1]/perDegree, m.at.Lon + p[0]/m.east}
}
