package water

import (
	"fmt"
	"math"
)

// gravity in m/s².
const gravity = 9.80665

// breakerIndex is the ratio of breaker height to depth at which a wave breaks:
// γ = 0.78 (McCowan 1894).
const breakerIndex = 0.78

// komar is the coefficient of Komar & Gaughan (1973).
const komar = 0.39

// BreakerHeight of a deep-water swell of height (m) and period (s):
// H_b = 0.39·g^(1/5)·(T·H₀²)^(2/5) (Komar & Gaughan 1973).
func BreakerHeight(swellHeightM, swellPeriodS float64) (float64, error) {
	if !(swellHeightM >= 0 && swellHeightM <= 30) {
		return 0, fmt.Errorf("water: swell height must be between 0 and 30 m, not %v", swellHeightM)
	}
	if !(swellPeriodS > 0 && swellPeriodS <= 30) {
		return 0, fmt.Errorf("water: swell period must be between 0 and 30 s, not %v", swellPeriodS)
	}
	return komar * math.Pow(gravity, 0.2) * math.Pow(swellPeriodS*swellHeightM*swellHeightM, 0.4), nil
}

// BreakingDepth is the depth of water in metres in which a breaker of a height
// breaks: d = H_b / 0.78 (McCowan 1894).
func BreakingDepth(breakerHeightM float64) float64 { return breakerHeightM / breakerIndex }

// Break says what waves do over a bar.
type Break struct {
	// DepthM of still water over the bar; negative when it is dry by so much.
	DepthM float64
	// Breaks says that waves break on it at this level.
	Breaks bool
	// StopsAtLevelM is the tide level above which they pass over unbroken.
	StopsAtLevelM float64
}

// OverBar is what breakers of a height do over a bar of an elevation at a tide
// level, both in metres above chart datum.
func OverBar(breakerHeightM, elevationM, levelM float64) Break {
	d := levelM - elevationM
	limit := BreakingDepth(breakerHeightM)
	return Break{DepthM: d, Breaks: d > 0 && d <= limit, StopsAtLevelM: elevationM + limit}
}

// HeightIn is the greatest height of a wave in metres that a depth of water can
// carry before it breaks: 0.78·d (McCowan 1894).
func HeightIn(depthM float64) float64 { return breakerIndex * depthM }

// RunUp of a deep-water swell of height (m) and period (s) on a beach of a slope: how high above
// still water one wave in fifty reaches, R₂ = 1.1·(0.35·β·√(H·L) + ½·√(H·L·(0.563·β² + 0.004))), with
// L = g·T²/2π (Stockdon et al. 2006; from memory).
func RunUp(swellHeightM, swellPeriodS, slope float64) (float64, error) {
	if _, err := BreakerHeight(swellHeightM, swellPeriodS); err != nil {
		return 0, err
	}
	if !(slope > 0 && slope <= 1) {
		return 0, fmt.Errorf("water: the slope of a beach must be between 0 and 1, not %v", slope)
	}
	hl := swellHeightM * gravity * swellPeriodS * swellPeriodS / (2 * math.Pi)
	return 1.1 * (0.35*slope*math.Sqrt(hl) + 0.5*math.Sqrt(hl*(0.563*slope*slope+0.004))), nil
}
