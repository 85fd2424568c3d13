package ground

import (
	"fmt"
	"math"

	"gonum.org/v1/gonum/interp"
)

// Point of a section: metres along and metres above chart datum.
type Point struct{ DistanceM, ElevationM float64 }

// Section is a drawn profile, from where the angler stands outwards.
type Section struct {
	points []Point
	curve  interp.FritschButland
}

// Limits of what is believed of a spot within reach of a rod or a paddle.
const (
	maxDistance  = 20_000
	maxElevation = 500
)

// NewSection needs at least two points, distances strictly growing. The error
// names the first point that is wrong.
func NewSection(points []Point) (*Section, error) {
	if len(points) < 2 {
		return nil, fmt.Errorf("ground: a section needs at least 2 points, not %d", len(points))
	}
	s := &Section{points: append([]Point(nil), points...)}
	xs, ys := make([]float64, len(points)), make([]float64, len(points))
	for i, p := range points {
		if !(math.Abs(p.DistanceM) <= maxDistance) || !(math.Abs(p.ElevationM) <= maxElevation) {
			return nil, fmt.Errorf("ground: section point %d: distance must be within ±%d m and elevation within ±%d m, not %v and %v",
				i+1, maxDistance, maxElevation, p.DistanceM, p.ElevationM)
		}
		if i > 0 && !(p.DistanceM > points[i-1].DistanceM) {
			return nil, fmt.Errorf("ground: section point %d: distance %v m must be greater than the one before, %v m",
				i+1, p.DistanceM, points[i-1].DistanceM)
		}
		xs[i], ys[i] = p.DistanceM, p.ElevationM
	}
	if len(points) == 2 { // a cubic needs three; the middle of a straight line is on it
		mid := Point{(xs[0] + xs[1]) / 2, (ys[0] + ys[1]) / 2}
		xs, ys = []float64{xs[0], mid.DistanceM, xs[1]}, []float64{ys[0], mid.ElevationM, ys[1]}
	}
	if err := s.curve.Fit(xs, ys); err != nil {
		return nil, fmt.Errorf("ground: section: %w", err)
	}
	return s, nil
}

// Points as they were drawn.
func (s *Section) Points() []Point { return append([]Point(nil), s.points...) }

// Ends of the section in metres along it.
func (s *Section) Ends() (from, to float64) {
	return s.points[0].DistanceM, s.points[len(s.points)-1].DistanceM
}

// Lowest elevation of the drawn points, metres above chart datum.
func (s *Section) Lowest() float64 {
	low := math.Inf(1)
	for _, p := range s.points {
		low = math.Min(low, p.ElevationM)
	}
	return low
}

// Elevation at a distance, metres above chart datum; beyond the ends that of
// the end.
func (s *Section) Elevation(distanceM float64) float64 {
	from, to := s.Ends()
	return s.curve.Predict(min(max(distanceM, from), to))
}

// Outline is the ground as n evenly spaced points and the drawn ones, in order,
// for drawing.
func (s *Section) Outline(n int) []Point {
	from, to := s.Ends()
	out := make([]Point, 0, n+len(s.points))
	next := 0
	for i := range n {
		d := from + (to-from)*float64(i)/float64(n-1)
		for next < len(s.points) && s.points[next].DistanceM <= d {
			if s.points[next].DistanceM < d {
				out = append(out, s.points[next])
			}
			next++
		}
		out = append(out, Point{d, s.Elevation(d)})
	}
	return out
}
