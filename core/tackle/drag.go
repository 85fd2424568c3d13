package tackle

import "math"

// viscosity of sea water near 15 °C, m²/s (kinematic; Sharqawy, Lienhard &
// Zubair 2010, from memory).
const viscosity = 1.19e-6

// SphereDrag is the drag coefficient of a sphere by its Reynolds number: the
// standard curve as Clift & Gauvin (1971) fitted it,
//
//	Cd = 24/Re·(1 + 0.15·Re^0.687) + 0.42/(1 + 42500·Re^−1.16),
//
// within 6 % below 3·10⁵, where the drag crisis begins.
func SphereDrag(re float64) float64 {
	if !(re > 0) {
		return math.Inf(1)
	}
	return 24/re*(1+0.15*math.Pow(re, 0.687)) + 0.42/(1+42500*math.Pow(re, -1.16))
}

// CylinderDrag is the drag coefficient of a long cylinder across the flow by its
// Reynolds number, 1 + 10·Re^(−2/3), for 1 < Re < 2·10⁵ (White, Viscous Fluid
// Flow, 1991).
func CylinderDrag(re float64) float64 {
	if !(re > 0) {
		return math.Inf(1)
	}
	return 1 + 10*math.Pow(re, -2.0/3)
}
