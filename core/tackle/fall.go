package tackle

import (
	"fmt"
	"math"
	"slices"

	"greypebble/core/quantity"
)

// Shape of something that sinks; it says how it drags.
type Shape string

// Shapes. The sphere's drag follows the published curve; the others' are set
// against the sphere of equal volume by common practice, no source, and give way
// to a timed fall.
const (
	Sphere   Shape = "sphere"
	Egg      Shape = "egg"
	Jig      Shape = "jig head"
	SoftLure Shape = "soft lure"
	Metal    Shape = "metal"
	Flutter  Shape = "fluttering spoon"
)

// against is how many times a sphere's of equal volume the drag coefficient is.
var against = map[Shape]float64{Sphere: 1, Egg: 0.75, Jig: 1.6, SoftLure: 6.7, Metal: 1.3, Flutter: 4.5}

// Shapes in alphabetical order.
func Shapes() []string {
	out := make([]string, 0, len(against))
	for s := range against {
		out = append(out, string(s))
	}
	slices.Sort(out)
	return out
}

// Body is something that sinks.
type Body struct {
	MassKg float64
	// DensityKgM3 of the whole: lead 11340, tungsten 17000, a jig head with its
	// soft body about 2200.
	DensityKgM3 float64
	Shape       Shape
	// TimedMS, if more than 0, is a fall that was timed once; it overrules the
	// shape.
	TimedMS float64
}

const (
	seawater = 1025.0 // kg/m³
	gravity  = quantity.Gravity
)

// densitySoftLure is lead and soft plastic together, kg/m³; bodyOnHead is how
// many times its head such a lure weighs.
const (
	densitySoftLure = 2200
	bodyOnHead      = 1.8
)

// OnHead is a jig head of a mass with a soft body on it.
func OnHead(headKg float64) Body {
	return Body{MassKg: headKg * bodyOnHead, DensityKgM3: densitySoftLure, Shape: SoftLure}
}

// Validate names what is wrong.
func (b Body) Validate() error {
	switch {
	case !(b.MassKg > 0 && b.MassKg < 10):
		return fmt.Errorf("tackle: mass must be between 0 and 10 kg, not %v", b.MassKg)
	case !(b.DensityKgM3 > seawater) || math.IsInf(b.DensityKgM3, 0):
		return fmt.Errorf("tackle: %v kg/m³ does not sink in sea water of %v kg/m³", b.DensityKgM3, seawater)
	case !(b.TimedMS >= 0 && b.TimedMS < 20):
		return fmt.Errorf("tackle: a timed fall must be between 0 and 20 m/s, not %v", b.TimedMS)
	case against[b.Shape] == 0:
		return fmt.Errorf("tackle: unknown shape %q; known are %v", b.Shape, Shapes())
	}
	return nil
}

// FallSpeed is the speed at which weight less buoyancy equals drag, m/s:
// v = √(4·(ρ/ρw − 1)·g·d / (3·Cd)), d the diameter of the sphere of equal volume
// and Cd its drag coefficient at that speed.
func (b Body) FallSpeed() (float64, error) {
	if err := b.Validate(); err != nil {
		return 0, err
	}
	if b.TimedMS > 0 {
		return b.TimedMS, nil
	}
	d := math.Cbrt(6 * b.MassKg / b.DensityKgM3 / math.Pi)
	pull := 4 * (b.DensityKgM3/seawater - 1) * gravity * d / 3
	v := 1.0
	// The coefficient hardly depends on the speed here: a few turns settle it.
	for range 60 {
		next := math.Sqrt(pull / (against[b.Shape] * SphereDrag(v*d/viscosity)))
		if math.Abs(next-v) < 1e-9*v {
			return next, nil
		}
		v = (v + next) / 2
	}
	return v, nil
}

// FallTime is how long a depth takes at the terminal speed, seconds.
func (b Body) FallTime(depthM float64) (float64, error) {
	v, err := b.FallSpeed()
	if err != nil {
		return 0, err
	}
	return math.Max(depthM, 0) / v, nil
}

// Hop of a lure down a stepped bank: from one step to the next.
type Hop struct {
	FromDepthM, ToDepthM float64
	// Seconds the lure must fall until it touches.
	Seconds float64
}

// Hops down a bank of depths from the first on, each falling longer as it
// deepens: liftM is how far each hop raises the lure before it falls.
func (b Body) Hops(depthsM []float64, liftM float64) ([]Hop, error) {
	if len(depthsM) < 2 {
		return nil, fmt.Errorf("tackle: a bank needs at least 2 depths, not %d", len(depthsM))
	}
	if !(liftM >= 0 && liftM < 10) {
		return nil, fmt.Errorf("tackle: the lift of a hop must be between 0 and 10 m, not %v", liftM)
	}
	out := make([]Hop, 0, len(depthsM)-1)
	for i, to := range depthsM[1:] {
		from := depthsM[i]
		if !(from >= 0 && to >= 0) {
			return nil, fmt.Errorf("tackle: depth %d of the bank is dry or not a number", i+1)
		}
		s, err := b.FallTime(math.Max(to-from, 0) + math.Min(liftM, from))
		if err != nil {
			return nil, err
		}
		out = append(out, Hop{from, to, s})
	}
	return out, nil
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

// HeaviestHead that still works in a depth: more sinks into the bottom before the
// lure has moved (common practice, no source). Mass in kilograms.
func HeaviestHead(depthM float64) float64 {
	switch {
	case depthM < 0.75:
		return 0.0053
	case depthM < 1.5:
		return 0.0071
	case depthM < 3:
		return 0.0106
	}
	return 0.03
}
