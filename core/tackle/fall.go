package tackle

import (
	"fmt"
	"math"
)

// Body is something that sinks.
type Body struct {
	MassKg float64
	// DensityKgM3 of the whole: lead 11340, a jig head with its soft body about
	// 2200.
	DensityKgM3 float64
	// DragCoefficient referred to the area of a sphere of the same volume.
	DragCoefficient float64
}

const (
	seawater = 1025.0 // kg/m³
	gravity  = 9.80665
)

// Drag coefficients referred to the sphere of equal volume. The sphere's is the
// plateau of the published drag curve between Reynolds numbers 10³ and 10⁵
// (Clift, Grace & Weber 1978); the soft lure's is set so that a 3.5 g head falls
// about a foot a second (common practice, no source).
const (
	DragSphere   = 0.45
	DragSoftLure = 2.6
)

// densitySoftLure is lead and soft plastic together, kg/m³.
const densitySoftLure = 2200

// SoftLure is a jig head of a mass with a soft body on it.
func SoftLure(headKg float64) Body {
	return Body{headKg * 1.8, densitySoftLure, DragSoftLure}
}

// FallSpeed is the speed at which weight less buoyancy equals drag, m/s:
// v = √(4·(ρ/ρw − 1)·g·d / (3·Cd)), d the diameter of the sphere of equal
// volume.
func (b Body) FallSpeed() (float64, error) {
	if !(b.MassKg > 0 && b.MassKg < 10) {
		return 0, fmt.Errorf("tackle: mass must be between 0 and 10 kg, not %v", b.MassKg)
	}
	if !(b.DensityKgM3 > seawater) || math.IsInf(b.DensityKgM3, 0) {
		return 0, fmt.Errorf("tackle: %v kg/m³ does not sink in sea water of %v kg/m³", b.DensityKgM3, seawater)
	}
	if !(b.DragCoefficient > 0) {
		return 0, fmt.Errorf("tackle: drag coefficient must be more than 0, not %v", b.DragCoefficient)
	}
	d := math.Cbrt(6 * b.MassKg / b.DensityKgM3 / math.Pi)
	return math.Sqrt(4 * (b.DensityKgM3/seawater - 1) * gravity * d / (3 * b.DragCoefficient)), nil
}

// FallTime is how long a depth takes at the terminal speed, seconds.
func (b Body) FallTime(depthM float64) (float64, error) {
	v, err := b.FallSpeed()
	if err != nil {
		return 0, err
	}
	return math.Max(depthM, 0) / v, nil
}

// HeadFor picks a jig head by depth, temperature and flow: 3.5 g in shallow or
// cold water, 5.3 g in general, 7 g deeper or in a current, 10.6 g in a deep
// canal (common practice, no source). Mass in kilograms.
func HeadFor(depthM, waterTempC, riseRateMPerH float64) float64 {
	running := math.Abs(riseRateMPerH) > 0.25
	switch {
	case depthM > 4:
		return 0.0106
	case depthM > 2.2 || (running && depthM > 1.2):
		return 0.0071
	case depthM < 0.9 || waterTempC < 13:
		return 0.0035
	}
	return 0.0053
}
