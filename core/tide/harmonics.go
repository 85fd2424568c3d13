package tide

import (
	"fmt"
	"math"
	"sync"
	"time"
)

// Constituent is one harmonic of a place: amplitude in metres and Greenwich
// phase lag in degrees.
type Constituent struct {
	Name       string
	AmplitudeM float64
	PhaseDeg   float64
}

// Harmonics predicts the level at one place. It is immutable and safe for
// concurrent use.
type Harmonics struct {
	z0   float64
	list []term
	// bound2 and bound3 bound |h″| and |h‴| (m/h², m/h³) for any time; they
	// make it possible to prove that a stretch holds no turn.
	bound2, bound3 float64
	// springM is the mean spring range, worked out once.
	springs sync.Once
	springM float64
}

type term struct {
	*species
	amplitude, phase, speed float64
}

// NewHarmonics checks the constituents and returns a predictor. z0 is the mean
// level above chart datum in metres. An unknown or repeated name, a negative
// amplitude or a number that is not finite is an error that names it.
func NewHarmonics(constituents []Constituent, z0 float64) (*Harmonics, error) {
	if !finite(z0) {
		return nil, fmt.Errorf("tide: mean level above datum must be a finite number of metres, not %v", z0)
	}
	if len(constituents) == 0 {
		return nil, fmt.Errorf("tide: no constituents; at least one is needed")
	}
	h := &Harmonics{z0: z0, list: make([]term, 0, len(constituents))}
	seen := make(map[string]string, len(constituents))
	for i, c := range constituents {
		name, d, err := lookUp(c.Name)
		switch {
		case err != nil:
			return nil, err
		case !finite(c.AmplitudeM) || c.AmplitudeM < 0:
			return nil, fmt.Errorf("tide: constituent %d (%s): amplitude must be a finite number of metres ≥ 0, not %v", i+1, c.Name,
				c.AmplitudeM)
		case !finite(c.PhaseDeg):
			return nil, fmt.Errorf("tide: constituent %d (%s): phase must be a finite number of degrees, not %v", i+1, c.Name, c.PhaseDeg)
		}
		if first, twice := seen[name]; twice {
			return nil, fmt.Errorf("tide: constituent %d (%s) repeats %s", i+1, c.Name, first)
		}
		seen[name] = c.Name
		h.list = append(h.list, term{d, c.AmplitudeM, c.PhaseDeg, d.speed()})
		// No nodal factor in use exceeds 1.9 (OO1); compounds stay below its square.
		w := d.speed() * degree
		a := c.AmplitudeM * maxNodalFactor(d)
		h.bound2 += a * w * w
		h.bound3 += a * w * w * w
	}
	return h, nil
}

// maxNodalFactor is a safe upper bound of f over the 18.6-year cycle.
func maxNodalFactor(d *species) float64 {
	limits := [familyCount]float64{famNone: 1, famMm: 1.14, famMf: 1.46, famO1: 1.19, famM1: 2.35,
		famJ1: 1.17, famOO1: 1.9, famK1: 1.12, famM2: 1.04, famL2: 1.34, famK2: 1.32, famM3: 1.06}
	f := 1.0
	for _, k := range d.node {
		f *= math.Pow(limits[k.of], math.Abs(float64(k.power)))
	}
	return f
}

func finite(x float64) bool { return !math.IsNaN(x) && !math.IsInf(x, 0) }

// Level is the height above chart datum in metres at t.
func (h *Harmonics) Level(t time.Time) float64 {
	l := longitudesAt(secondsSinceJ2000(t))
	n := nodesAt(l)
	sum := h.z0
	for i := range h.list {
		k := &h.list[i]
		f, u := k.nodal(&n)
		sum += f * k.amplitude * cosD(reduced(k.argument(l))+u-k.phase)
	}
	return sum
}

// Rate is the speed of rise in metres an hour at t (negative when falling).
func (h *Harmonics) Rate(t time.Time) float64 {
	r, _ := h.slope(secondsSinceJ2000(t))
	return r
}

// slope is h′ and h″ in m/h and m/h². The nodal drift (below 10⁻⁵ of the
// speed) is left out: it moves a turn by under a second.
func (h *Harmonics) slope(sec float64) (d1, d2 float64) {
	l := longitudesAt(sec)
	n := nodesAt(l)
	for i := range h.list {
		k := &h.list[i]
		f, u := k.nodal(&n)
		w := k.speed * degree
		s, c := math.Sincos((reduced(k.argument(l)) + u - k.phase) * degree)
		a := f * k.amplitude * w
		d1 -= a * s
		d2 -= a * w * c
	}
	return d1, d2
}

// phasor is amplitude and unreduced phase (radians) of a term at a moment.
func (k *term) phasor(l longitudes, n *nodes) (amplitude, phase float64) {
	f, u := k.nodal(n)
	return f * k.amplitude, (k.argument(l) + u - k.phase) * degree
}

func (h *Harmonics) identify(put func(...float64)) {
	put(h.z0)
	for i := range h.list {
		put(h.list[i].species.speed(), h.list[i].amplitude, h.list[i].phase)
	}
}
