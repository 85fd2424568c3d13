package trial

import (
	"errors"
	"fmt"
	"math"

	"gonum.org/v1/gonum/mathext"
)

// Arm of a trial: what it brought for how much effort.
type Arm struct {
	Fish int
	// Effort, rod-hours or casts: the same for all arms.
	Effort float64
}

func (a Arm) validate() error {
	if a.Fish < 0 || !(a.Effort > 0) || math.IsInf(a.Effort, 0) {
		return fmt.Errorf("trial: an arm has nought or more fish in an effort above nought, not %d in %v", a.Fish, a.Effort)
	}
	return nil
}

// Estimate of a ratio or a share, with what holds it at the level of confidence asked for.
type Estimate struct {
	Value, Low, High float64
	// P is that of what is seen, or anything no likelier, were there no difference.
	P float64
}

// most fish an exact test takes: beyond, it would be slow, and nothing on the water needs it.
const most = 100_000

// RateRatio is how many times as often the first arm brought one as the second, exactly, at a level of confidence
// (0.95); P tests it against a ratio (1). The ratio of nought to nought is NaN.
func RateRatio(a, b Arm, level, against float64) (Estimate, error) {
	for _, k := range []Arm{a, b} {
		if err := k.validate(); err != nil {
			return Estimate{}, err
		}
	}
	switch {
	case !(level > 0 && level < 1) || !(against > 0) || math.IsInf(against, 0):
		return Estimate{}, errors.New("trial: expected a level of confidence between 0 and 1, and a ratio above nought")
	case a.Fish > most || b.Fish > most:
		return Estimate{}, fmt.Errorf("trial: at most %d fish an arm are compared exactly", most)
	}
	n := a.Fish + b.Fish
	low, high := interval(a.Fish, n, level)
	if n == 0 {
		low, high = 0, 1
	}
	ratio := func(p float64) float64 { return p / (1 - p) * b.Effort / a.Effort }
	out := Estimate{Value: float64(a.Fish) / a.Effort / (float64(b.Fish) / b.Effort), Low: ratio(low), High: ratio(high), P: 1}
	if n > 0 {
		out.P = twoSided(a.Fish, n, shareAt(a, b, against))
	}
	return out, nil
}

// shareAt is the share of all fish that are the first arm's, where the ratio of the rates is r.
func shareAt(a, b Arm, r float64) float64 { return r * a.Effort / (r*a.Effort + b.Effort) }

// Better is the p of as many fish or more on the first arm, were it no better than the second.
func Better(a, b Arm) float64 { return atLeast(a.Fish, a.Fish+b.Fish, shareAt(a, b, 1)) }

// Proportion of n that x are, at a level of confidence; P tests it against a share.
func Proportion(x, n int, level, against float64) (Estimate, error) {
	if n < 1 || x < 0 || x > n || n > most {
		return Estimate{}, fmt.Errorf("trial: expected 0 to n of n, n from 1 to %d, not %d of %d", most, x, n)
	}
	if !(level > 0 && level < 1) || !(against >= 0 && against <= 1) {
		return Estimate{}, errors.New("trial: expected a level of confidence between 0 and 1, and a share from 0 to 1")
	}
	low, high := interval(x, n, level)
	return Estimate{float64(x) / float64(n), low, high, twoSided(x, n, against)}, nil
}

// poisson bounds of the mean a count comes from, exactly (Garwood 1936: quantiles of the gamma).
func poisson(n int, level float64) (low, high float64) {
	if n > 0 {
		low = mathext.GammaIncRegInv(float64(n), (1-level)/2)
	}
	return low, mathext.GammaIncRegInv(float64(n)+1, (1+level)/2)
}
