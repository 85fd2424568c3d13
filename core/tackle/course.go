package tackle

import (
	"fmt"
	"math"
)

// A fish is watched three or four seconds before its course is believed: it darts about, but comes back to
// its bearing (common practice, no source). Watched longer, it has turned by then.
const (
	WatchedLeast = 2.5
	WatchedMost  = 8.0
)

// Still is a fish that goes no faster, m/s: two touches of a thumb never fall on one point.
const Still = 0.08

// Course of a fish that was seen at a first place and, so many seconds later, at a second, metres east and
// north of the angler: where it is at the second, how fast it goes and which way. What it darted to in between
// has no say. Of one that lies still nobody sees here which way its head points: it is taken to stand across
// the line of sight, its head to the right.
func Course(x1, y1, x2, y2, seconds float64) (Fish, error) {
	if !(seconds >= WatchedLeast && seconds <= WatchedMost) {
		return Fish{}, fmt.Errorf("tackle: watch it three or four seconds between the two, not %.1f: darts are not its course", seconds)
	}
	dx, dy := x2-x1, y2-y1
	bearing := func(x, y float64) float64 { return math.Mod(math.Atan2(x, y)*180/math.Pi+360, 360) }
	if math.Hypot(dx, dy)/seconds <= Still {
		return Fish{XM: x2, YM: y2, BearingDeg: bearing(y2, -x2)}, nil
	}
	return Fish{XM: x2, YM: y2, SpeedMS: math.Hypot(dx, dy) / seconds, BearingDeg: bearing(dx, dy)}, nil
}
