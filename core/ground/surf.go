package ground

import (
	"fmt"
	"math"
	"sort"

	"greypebble/core/water"
)

// Break is where waves are seen to break from the beach, and how high they are
// there.
type Break struct{ DistanceM, HeightM float64 }

// SeenBar is a bar read from the waves on it.
type SeenBar struct {
	DistanceM float64
	// ElevationM of the bottom where they break: level − H/0.78.
	ElevationM float64
	// StopsBreakingLevelM is the tide level above which the highest waves that
	// come in from outside pass it unbroken.
	StopsBreakingLevelM float64
}

// SeenTrough is unbroken water between two lines of white.
type SeenTrough struct {
	FromM, ToM float64
	// DepthM is the least it must be for the waves to run through it unbroken,
	// and ElevationM the highest its bottom can lie.
	DepthM, ElevationM float64
}

// Surf is what the white water tells of the bottom.
type Surf struct {
	// Bars and Troughs from the beach outwards.
	Bars    []SeenBar
	Troughs []SeenTrough
}

// steady is the share of the depth below which a broken wave runs on unbroken
// (Dally, Dean & Dalrymple 1985; from memory).
const steady = 0.4

// Limits of what can be seen from a beach.
const (
	mostBreaks   = 20
	farthestSeen = 3000
	highestWave  = 12
)

// ReadSurf turns waves seen breaking at a tide level into bars and the troughs
// between them: a wave of height H breaks in a depth of H/0.78 (McCowan 1894).
// Breaks may come in any order; two at one distance, none at all or impossible
// heights are errors.
func ReadSurf(levelM float64, breaks []Break) (Surf, error) {
	if len(breaks) == 0 || len(breaks) > mostBreaks {
		return Surf{}, fmt.Errorf("ground: expected 1 to %d places where waves break, not %d", mostBreaks, len(breaks))
	}
	if !(math.Abs(levelM) <= maxElevation) {
		return Surf{}, fmt.Errorf("ground: tide level must be within ±%d m, not %v", maxElevation, levelM)
	}
	list := append([]Break(nil), breaks...)
	sort.Slice(list, func(i, j int) bool { return list[i].DistanceM < list[j].DistanceM })
	for i, b := range list {
		if !(b.HeightM > 0 && b.HeightM <= highestWave) || !(b.DistanceM >= 0 && b.DistanceM <= farthestSeen) {
			return Surf{}, fmt.Errorf("ground: a break must lie 0 to %d m out and be more than 0 and at most %d m high, not %v m and %v m",
				farthestSeen, highestWave, b.DistanceM, b.HeightM)
		}
		if i > 0 && b.DistanceM == list[i-1].DistanceM {
			return Surf{}, fmt.Errorf("ground: two breaks at %v m; expected one", b.DistanceM)
		}
	}
	s := Surf{Bars: make([]SeenBar, len(list))}
	highest := 0.0
	for i := len(list) - 1; i >= 0; i-- { // from the sea in
		b := list[i]
		highest = math.Max(highest, b.HeightM)
		e := levelM - water.BreakingDepth(b.HeightM)
		s.Bars[i] = SeenBar{b.DistanceM, e, e + water.BreakingDepth(highest)}
	}
	for i := 0; i+1 < len(list); i++ {
		// The waves that break on the inner bar have run through the trough.
		d := math.Max(list[i].HeightM/steady, water.BreakingDepth(list[i].HeightM))
		s.Troughs = append(s.Troughs, SeenTrough{list[i].DistanceM, list[i+1].DistanceM, d, levelM - d})
	}
	return s, nil
}

// nearBar is how far along a section a seen bar may lie from the drawn one to be
// the same, metres, and how far its correction reaches.
const (
	nearBar    = 45.0
	correction = 18.0
)

// Improved section: each bar seen moves the drawn bar nearest to it to where and
// how high it was seen; ground further off stays. What is drawn of a trough is
// deepened where the waves say that it must be.
func (s *Section) Improved(seen Surf) (*Section, error) {
	points := s.Points()
	for _, b := range seen.Bars {
		points = moveBar(s, points, b)
	}
	for _, t := range seen.Troughs {
		deepest := -1
		for i, p := range points {
			if p.DistanceM > t.FromM && p.DistanceM < t.ToM && (deepest < 0 || p.ElevationM < points[deepest].ElevationM) {
				deepest = i
			}
		}
		if deepest >= 0 {
			points[deepest].ElevationM = math.Min(points[deepest].ElevationM, t.ElevationM)
		}
	}
	return NewSection(points)
}

// moveBar shifts the crest nearest to a seen bar onto it, and puts a point there
// where the section has no crest near.
func moveBar(s *Section, points []Point, b SeenBar) []Point {
	crest := -1
	for i := 1; i+1 < len(points); i++ {
		p := points[i]
		if p.ElevationM >= points[i-1].ElevationM && p.ElevationM > points[i+1].ElevationM &&
			math.Abs(p.DistanceM-b.DistanceM) <= nearBar &&
			(crest < 0 || math.Abs(p.DistanceM-b.DistanceM) < math.Abs(points[crest].DistanceM-b.DistanceM)) {
			crest = i
		}
	}
	out := make([]Point, 0, len(points)+1)
	if crest < 0 {
		lift := b.ElevationM - s.Elevation(b.DistanceM)
		placed := false
		for _, p := range points {
			if !placed && p.DistanceM >= b.DistanceM {
				placed = true
				out = append(out, Point{b.DistanceM, b.ElevationM})
				if p.DistanceM == b.DistanceM {
					continue
				}
			}
			d := (p.DistanceM - b.DistanceM) / correction
			out = append(out, Point{p.DistanceM, p.ElevationM + lift*math.Exp(-d*d/2)})
		}
		if !placed {
			out = append(out, Point{b.DistanceM, b.ElevationM})
		}
		return out
	}
	lift := b.ElevationM - points[crest].ElevationM
	for i, p := range points {
		switch d := (p.DistanceM - points[crest].DistanceM) / correction; {
		case i == crest:
			p = Point{b.DistanceM, b.ElevationM}
		case (p.DistanceM-b.DistanceM)*(p.DistanceM-points[crest].DistanceM) <= 0:
			continue // the crest has moved over it
		default:
			p.ElevationM += lift * math.Exp(-d*d/2)
		}
		out = append(out, p)
	}
	return out
}
