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

// Course of a fish that was seen at a first place and, so many seconds later, at a second, metres east and
// north of the angler: where it is at the second, how fast it goes and which way. What it darted to in between
// has no say.
func Course(x1, y1, x2, y2, seconds float64) (Fish, error) {
	if !(seconds >= WatchedLeast && seconds <= WatchedMost) {
		return Fish{}, fmt.Errorf("tackle: watch it three or four seconds between the two, not %.1f: darts are not its course", seconds)
	}
	dx, dy := x2-x1, y2-y1
	bearing := math.Mod(math.Atan2(dx, dy)*180/math.Pi+360, 360)
	return Fish{XM: x2, YM: y2, SpeedMS: math.Hypot(dx, dy) / seconds, BearingDeg: bearing}, nil
}
