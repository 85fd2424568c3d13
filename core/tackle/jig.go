package tackle

import (
	"fmt"
	"math"
)

// VerticalJig is the weight that keeps a line within an angle of upright at a
// depth, kilograms: the current and the drift pull the line sideways (cylinder
// drag, White 1991), the jig's weight in water pulls it straight. runMS is the
// speed of the water past the line: the current less the boat's drift.
func VerticalJig(depthM, runMS, lineDiameterM, angleDeg float64) (float64, error) {
	switch {
	case !(depthM > 0 && depthM < 500):
		return 0, fmt.Errorf("tackle: the depth must be between 0 and 500 m, not %v", depthM)
	case !(math.Abs(runMS) < 5):
		return 0, fmt.Errorf("tackle: the water must run within ±5 m/s past the line, not %v", runMS)
	case !(lineDiameterM > 0.00002 && lineDiameterM < 0.005):
		return 0, fmt.Errorf("tackle: the line must be between 0.02 and 5 mm thick, not %v mm", lineDiameterM*1000)
	case !(angleDeg > 1 && angleDeg < 80):
		return 0, fmt.Errorf("tackle: the line's angle must be between 1 and 80 degrees from upright, not %v", angleDeg)
	}
	return math.Max(Plumb(depthM, runMS, lineDiameterM, angleDeg), lightestJig(depthM)), nil
}

// Plumb is the weight that keeps a line within an angle of upright, kilograms, however light: what hangs
// need not find the bottom. Moments about the rod tip: the drag acts in the middle, the weight at the end.
func Plumb(depthM, runMS, lineDiameterM, angleDeg float64) float64 {
	u := math.Abs(runMS)
	if u < slackMS {
		return 0
	}
	drag := 0.5 * seawater * CylinderDrag(u*lineDiameterM/viscosity) * lineDiameterM * depthM * u * u
	return drag / 2 / math.Tan(angleDeg*math.Pi/180) / (1 - seawater/leadDensity) / gravity
}

// lightestJig by depth: a tenth of an ounce in the shallows to three quarters at
// 80 ft, in proportion beyond (common practice, no source).
func lightestJig(depthM float64) float64 {
	const ounce = 0.028349523125
	return ounce * math.Max(0.1, 0.75*depthM/24.4)
}
