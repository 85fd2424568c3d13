package tackle

import (
	"fmt"
	"math"

	"greypebble/core/words"
)

// Hazard a leader must stand.
type Hazard string

// Hazards.
const (
	OpenSand Hazard = "open sand"
	Shell    Hazard = "shell"
	Pilings  Hazard = "pilings"
	Rocks    Hazard = "rock"
	Teeth    Hazard = "teeth"
)

const (
	pound  = 0.45359237
	newton = pound * gravity // of a pound's pull
)

// leaders in pounds of pull: least and most (common practice, no source).
var leaders = map[Hazard][2]float64{OpenSand: {15, 20}, Shell: {30, 30}, Pilings: {30, 40}, Rocks: {30, 40}, Teeth: {40, 60}}

// Leader by hazard, newtons of breaking strength, least and most.
func Leader(h Hazard) (leastN, mostN float64, err error) {
	l, known := leaders[h]
	if !known {
		return 0, 0, fmt.Errorf("tackle: unknown hazard %q; known are open sand, shell, pilings, rock, teeth", h)
	}
	return l[0] * newton, l[1] * newton, nil
}

// LeaderOn a lure: one heavier hangs it up and kills what it does: 20 lb on a quarter of an ounce, as the
// square root of its weight (common practice, no source). Newtons.
func LeaderOn(lureKg float64) float64 {
	const quarter = 0.00709
	return 20 * newton * math.Sqrt(lureKg/quarter)
}

// LeaderThrough the eye of a hook, by its number in the row … −1 is a 2, −½ a 1, 1 a 1/0: 15 lb on a 1, a
// third more with every size (common practice, no source). Newtons.
func LeaderThrough(hookNumber float64) float64 {
	return 15 * newton * math.Pow(1.35, hookNumber+0.5)
}

// dragShare of the breaking strength a reel's drag is set to: a third at most, so
// that knots and a bent rod leave something in hand (common practice, no source).
const dragShare = 1.0 / 3

// DragSetting for the weakest of line and leader, newtons.
func DragSetting(lineN, leaderN float64) (float64, error) {
	if !(lineN > 0 && leaderN > 0) {
		return 0, fmt.Errorf("tackle: line and leader must hold more than 0 N, not %v and %v", lineN, leaderN)
	}
	return min(lineN, leaderN) * dragShare, nil
}

// Material of a line.
type Material string

// Materials.
const (
	Mono   Material = "mono"
	Fluoro Material = "fluorocarbon"
	Braid  Material = "braid"
)

// Knot for tying a hook or lure, with its turns (common practice, no source):
// fluorocarbon abrades itself and takes fewer.
func Knot(m Material, free bool) (name string, turns int, err error) {
	switch {
	case m != Mono && m != Fluoro && m != Braid:
		return "", 0, fmt.Errorf("tackle: unknown material %q; known are mono, fluorocarbon, braid", m)
	case free:
		return "loop knot", 5, nil
	case m == Mono:
		return "reversed clinch", 7, nil
	case m == Fluoro:
		return "clinch", 6, nil
	}
	return words.DoubledLineThenALeaderWith, 7, nil
}
