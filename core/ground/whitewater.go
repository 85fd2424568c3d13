package ground

import (
	"math"

	"greypebble/core/water"
)

// Span of a section, metres along it.
type Span struct{ FromM, ToM float64 }

// Holds says whether a distance lies in the span.
func (s Span) Holds(distanceM float64) bool { return distanceM >= s.FromM && distanceM <= s.ToM }

// whiteStep is how finely a section is walked, metres.
const whiteStep = 1.0

// settled is the share of the depth-limited height below which a broken wave
// runs on unbroken: it stops where it is a stable 0.4 of the depth (Dally, Dean
// & Dalrymple 1985, from memory).
const settled = 0.4 / 0.78

// WhiteWater says where waves break along a section at a tide level: they come
// in from its far end with a height, break where the water is too shallow for
// it (McCowan 1894), go on breaking until they have become small for the depth,
// and so may pass a trough unbroken and break again on the beach.
func WhiteWater(s *Section, levelM, breakerM float64) []Span {
	if breakerM <= 0 {
		return nil
	}
	from, to := s.Ends()
	height, breaking := breakerM, false
	var out []Span
	for d := to; d >= from; d -= whiteStep {
		depth := levelM - s.Elevation(d)
		if depth <= 0 {
			break // the beach
		}
		limit := water.HeightIn(depth)
		switch {
		case height >= limit:
			breaking = true
		case height <= limit*settled:
			breaking = false
		}
		if !breaking {
			continue
		}
		// While it breaks it loses height towards what the depth can carry.
		height = math.Min(height, limit)
		height = math.Max(height-(height-limit*settled)*decay*whiteStep, limit*settled)
		if n := len(out); n > 0 && out[n-1].FromM <= d+whiteStep+1e-9 {
			out[n-1].FromM = d
		} else {
			out = append(out, Span{d, d})
		}
	}
	return out
}

// decay of a breaking wave's height towards the stable one, a metre: most of it
// is gone within the width of a bar.
const decay = 0.05
