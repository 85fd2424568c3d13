package water

import (
	"fmt"
	"math"
)

// Surface of the water as the wind leaves it.
type Surface int

// Surfaces from smooth to broken.
const (
	Glassy Surface = iota
	Ripple
	Chop
	Rough
)

func (s Surface) String() string { return [...]string{"glassy", "ripple", "chop", "rough"}[s] }

// Sheltered water can be fished with anything and read by eye.
func (s Surface) Sheltered() bool { return s <= Ripple }

// Limits between the surfaces by the height of the wind's own waves, metres.
// The house's judgement: below 3 cm the water mirrors, above 12 cm small crests
// slap, above 40 cm an open boat or a wader has had enough.
const (
	rippleFrom = 0.03
	chopFrom   = 0.12
	roughFrom  = 0.4
)

// SurfaceOf waves of a significant height in metres.
func SurfaceOf(waveHeightM float64) Surface {
	switch {
	case waveHeightM < rippleFrom:
		return Glassy
	case waveHeightM < chopFrom:
		return Ripple
	case waveHeightM < roughFrom:
		return Chop
	}
	return Rough
}

// WindWaves a wind has raised at the end of a fetch: significant height (m) and
// period (s), for a wind in m/s, a fetch and a mean depth in metres
// (Bretschneider's relations for water of limited depth, US Army Shore
// Protection Manual 1977, eq. 3-25 and 3-26; from memory):
//
//	gH/U² = 0.283·A·tanh(0.0125·(gF/U²)^0.42 / A),  A = tanh(0.530·(gd/U²)^0.75)
//	gT/2πU = 1.20·B·tanh(0.077·(gF/U²)^0.25 / B),   B = tanh(0.833·(gd/U²)^0.375)
//
// A wind that does not blow, or no fetch, raises none.
func WindWaves(windMS, fetchM, depthM float64) (heightM, periodS float64, err error) {
	switch {
	case !(windMS >= 0 && windMS <= 100):
		return 0, 0, fmt.Errorf("water: wind must be between 0 and 100 m/s, not %v", windMS)
	case !(fetchM >= 0 && fetchM <= 5e6):
		return 0, 0, fmt.Errorf("water: fetch must be between 0 and 5000 km, not %v m", fetchM)
	case !(depthM >= 0 && depthM <= 11000):
		return 0, 0, fmt.Errorf("water: depth must be between 0 and 11000 m, not %v", depthM)
	}
	if windMS < leastWind || fetchM == 0 || depthM == 0 {
		return 0, 0, nil
	}
	u2 := windMS * windMS
	x, d := gravity*fetchM/u2, gravity*depthM/u2
	a := math.Tanh(0.530 * math.Pow(d, 0.75))
	b := math.Tanh(0.833 * math.Pow(d, 0.375))
	heightM = u2 / gravity * 0.283 * a * math.Tanh(0.0125*math.Pow(x, 0.42)/a)
	periodS = 2 * math.Pi * windMS / gravity * 1.20 * b * math.Tanh(0.077*math.Pow(x, 0.25)/b)
	return heightM, periodS, nil
}

// leastWind in m/s that raises waves at all: below it the surface is that of
// Beaufort force 0.
const leastWind = 0.3

// Rose is how far the wind can blow over water to reach a spot, in metres, by
// the direction it comes from: every ten degrees from north, clockwise.
type Rose [36]float64

// spread of directions that raise waves along with the wind's own, degrees.
const fanHalf = 40

// Fetch that counts for a wind from a direction (degrees): the mean over the
// directions within 40° of it weighted by the cosine, as waves run from all of
// them (effective fetch, Saville 1954).
func (r *Rose) Fetch(fromDeg float64) float64 {
	sum, weight := 0.0, 0.0
	for i, f := range r {
		off := angleBetween(float64(i)*10, fromDeg)
		if off > fanHalf {
			continue
		}
		c := math.Cos(off * math.Pi / 180)
		sum += f * c * c
		weight += c
	}
	return sum / weight
}

// Side of the land a spot lies on as the wind blows.
type Side int

// Sides.
const (
	// Along: the wind blows along the shore.
	Along Side = iota
	// Lee: it comes off the land.
	Lee
	// Exposed: it blows onto the land.
	Exposed
)

func (s Side) String() string { return [...]string{"along", "lee", "exposed"}[s] }

// shoreFan is how far either side of straight off or onto the shore a wind
// still counts as such, degrees.
const shoreFan = 60

// Shore is the direction of the nearest land in degrees; false where none lies
// within the reach of the rose.
func (r *Rose) Shore(reachM float64) (deg float64, ok bool) {
	// The mean direction of everything near, so that a cove has one.
	x, y := 0.0, 0.0
	for i, f := range r {
		if f >= reachM {
			continue
		}
		w := 1/(f+reachM/50) - 1/(reachM+reachM/50)
		s, c := math.Sincos(float64(i) * 10 * math.Pi / 180)
		x, y = x+w*s, y+w*c
	}
	if math.Hypot(x, y) == 0 {
		return 0, false
	}
	return math.Mod(math.Atan2(x, y)*180/math.Pi+360, 360), true
}

// SideFor a wind from a direction.
func (r *Rose) SideFor(fromDeg float64) Side {
	shore, ok := r.Shore(nearLand)
	if !ok {
		return Exposed // open water all round
	}
	switch off := angleBetween(shore, fromDeg); {
	case off <= shoreFan:
		return Lee
	case off >= 180-shoreFan:
		return Exposed
	}
	return Along
}

// nearLand is how near land must be for the water to lie on a side of it.
const nearLand = 2000

// angleBetween two directions, 0…180 degrees.
func angleBetween(a, b float64) float64 {
	d := math.Abs(math.Mod(a-b, 360))
	return math.Min(d, 360-d)
}
