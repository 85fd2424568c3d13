package ground

import (
	"github.com/paulmach/orb"
	"github.com/paulmach/orb/simplify"
)

// Simplified outline: rings with the points left out that lie within a tolerance
// in metres of the straight line between their neighbours (Douglas & Peucker
// 1973), and without rings that vanish.
func (o *Outline) Simplified(toleranceM float64) Outline {
	var out Outline
	for _, r := range o.Rings {
		m := planeAt(r[0])
		line := make(orb.LineString, 0, len(r)+1)
		for _, p := range append(r[:len(r):len(r)], r[0]) {
			x, y := m.xy(p)
			line = append(line, orb.Point{x, y})
		}
		line = simplify.DouglasPeucker(toleranceM).LineString(line)
		if len(line) < 4 {
			continue
		}
		ring := make(Ring, 0, len(line)-1)
		for _, p := range line[:len(line)-1] {
			ring = append(ring, LatLon{m.at.Lat + p[1]/perDegree, m.at.Lon + p[0]/m.east})
		}
		out.Rings = append(out.Rings, ring)
	}
	return out
}
