package tackle

import (
	"fmt"
	"math"
)

// Curve is a species' length–weight relation W = a·Lᵇ with W in grams and L in
// centimetres.
type Curve struct{ A, B float64 }

// Mass of a fish of a length in metres, kilograms.
func (c Curve) Mass(lengthM float64) (float64, error) {
	if !(lengthM > 0 && lengthM < 4) {
		return 0, fmt.Errorf("tackle: length of a fish must be between 0 and 4 m, not %v", lengthM)
	}
	return c.A * math.Pow(lengthM*100, c.B) / 1000, nil
}

// Condition is Fulton's K = 100·W/L³, grams and centimetres (Fulton 1904, from
// memory).
func Condition(lengthM, massKg float64) float64 {
	return 100 * massKg * 1000 / math.Pow(lengthM*100, 3)
}

// spreadOf weights at one length: the standard deviation of their logarithm, as
// length–weight fits of wild fish usually leave it (from memory).
const spreadOf = 0.12

// Spreading of the weights of fish of one length around the curve's: between low
// and high lie four in five.
func Spreading(massKg float64) (lowKg, highKg float64) {
	const eighty = 1.2816
	return massKg * math.Exp(-eighty*spreadOf), massKg * math.Exp(eighty*spreadOf)
}
