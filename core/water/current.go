package water

import (
	"fmt"
	"math"
)

// Setting is what makes the tide run at a spot: the water that must pass it to
// fill and drain what lies behind, or what an angler has seen.
type Setting struct {
	// SeenMS is the fastest run seen on springs, m/s; it goes before the rest.
	SeenMS float64
	// BasinM2 of water lie behind a passage of a width, over a bed at an
	// elevation: a channel, or a bar the water runs over.
	BasinM2, WidthM, BedM float64
}

// Known says whether anything can be worked out.
func (s Setting) Known() bool { return s.SeenMS > 0 || s.BasinM2 > 0 && s.WidthM > 0 }

// Validate refuses impossible numbers.
func (s Setting) Validate() error {
	switch {
	case !(s.SeenMS >= 0 && s.SeenMS <= fastest):
		return fmt.Errorf("water: the fastest run seen must be between 0 and %v m/s, not %v", fastest, s.SeenMS)
	case !(s.BasinM2 >= 0 && s.BasinM2 <= 1e11):
		return fmt.Errorf("water: the area behind must be between 0 and 100 000 km², not %v m²", s.BasinM2)
	case !(s.WidthM >= 0 && s.WidthM <= 1e6):
		return fmt.Errorf("water: the width of the passage must be between 0 and 1000 km, not %v m", s.WidthM)
	case !(math.Abs(s.BedM) <= 1000):
		return fmt.Errorf("water: the bed must lie within ±1000 m of datum, not at %v", s.BedM)
	}
	return nil
}

// Noticeable is a current in m/s that bends a line: below it one may stand
// anywhere (the house's judgement).
const Noticeable = 0.1

// fastest tidal stream believed in, m/s.
const fastest = 8.0

// Current in m/s, positive on the flood, at a level (m above datum) that rises
// by so many metres an hour. springRateMPerH is the fastest rise of mean springs.
//
// A run that was seen goes with the rate of the tide. Otherwise what enters the
// basin passes the narrows, u = A_basin·(dη/dt) / (width·depth) (continuity;
// Keulegan 1967), and never faster than the water can run over a sill, √(g·d).
// It turns with the tide: the delay that friction and a long channel bring is
// not in it.
func (s Setting) Current(levelM, rateMPerH, springRateMPerH float64) (ms float64, known bool) {
	if s.SeenMS > 0 && springRateMPerH > 0 {
		return s.SeenMS * rateMPerH / springRateMPerH, true
	}
	if !s.Known() {
		return 0, false
	}
	depth := levelM - s.BedM
	if depth <= 0 {
		return 0, true
	}
	u := s.BasinM2 * (rateMPerH / 3600) / (s.WidthM * depth)
	most := math.Sqrt(gravity * depth)
	return math.Copysign(math.Min(math.Abs(u), most), u), true
}

// SpringRate is the fastest rise in m/h of a tide of a mean spring range (m)
// that takes so many hours from low water to high: π/2 · range / hours for a
// sinusoidal tide.
func SpringRate(springRangeM, riseHours float64) float64 {
	if riseHours <= 0 {
		return 0
	}
	return math.Pi / 2 * springRangeM / riseHours
}
