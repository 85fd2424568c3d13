package ground

import "fmt"

// Shape of a spot beyond a point.
type Shape struct {
	// Area joins the last point to the first; otherwise it is a line.
	Area   bool
	Points []LatLon
}

// Validate refuses shapes of too few points, impossible places, and areas that
// cross themselves.
func (s *Shape) Validate() error {
	least, name := 2, "line"
	if s.Area {
		least, name = 3, "area"
	}
	if len(s.Points) < least || len(s.Points) > mostRingPoint {
		return fmt.Errorf("ground: the %s of a spot has %d points; expected %d to %d", name, len(s.Points), least, mostRingPoint)
	}
	for i, p := range s.Points {
		if err := p.Validate(); err != nil {
			return fmt.Errorf("ground: the %s of a spot, point %d: %w", name, i+1, err)
		}
	}
	if s.Area {
		if i, j, crosses := Ring(s.Points).Crosses(); crosses {
			return fmt.Errorf("ground: the area of a spot crosses itself between points %d and %d", i+1, j+1)
		}
	}
	return nil
}

// shapeTolerance is how far a line or an area may be simplified, metres, and mostShape its
// points.
const (
	shapeTolerance = 2
	mostShape      = 5000
)

// ShapeOf points that were recorded: where it lies, and the line or area in as many points
// as are kept; nil for a single point.
func ShapeOf(points []LatLon, area bool) (at LatLon, shape *Shape) {
	if len(points) < 2 {
		return points[0], nil
	}
	for tolerance := float64(shapeTolerance); ; tolerance *= 2 {
		if r := Simplified(points, tolerance); len(r) <= mostShape {
			points = r
			break
		}
	}
	if area {
		return Ring(points).Middle(), &Shape{Area: true, Points: points}
	}
	return points[len(points)/2], &Shape{Points: points}
}
