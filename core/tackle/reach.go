package tackle

import "math"

// What a throw comes to: 14 g flies 34 m, 4 oz about 95, as the square root of the weight; a soft bait
// takes a third off, for the swing must be slow (common practice, no source).
const (
	throwRoot   = 284.0 // m for a kilogram's root
	softSwing   = 0.7
	longest     = 110.0 // m, of a surf rod in the hands of one who fishes now and then
	againstWind = 0.035 // a share for each m/s
	withWind    = 0.01
)

// Reach is how far a weight in kilograms flies, metres: soft baits less far, and against a wind (m/s in
// the face, below 0 from behind) less still.
func Reach(castKg, headwindMS float64, soft bool) float64 {
	reach := throwRoot * math.Sqrt(math.Max(castKg, 0))
	if soft {
		reach *= softSwing
	}
	if headwindMS > 0 {
		reach /= 1 + againstWind*headwindMS
	} else {
		reach *= 1 + math.Min(withWind*-headwindMS, 0.15)
	}
	return math.Min(reach, longest)
}
