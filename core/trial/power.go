package trial

import (
	"errors"
	"math"
	"slices"

	"gonum.org/v1/gonum/stat/distuv"
)

// Power is how likely a trial shows that two arms differ (two-sided, at a level of confidence), where the first brings
// so many times what the second does, the second so many fish a rod-hour, and each is fished so many rod-hours.
func Power(ratio, fishPerHour, hours, level float64) float64 {
	a, b := Arm{Effort: hours}, Arm{Effort: hours}
	lambda := (1 + ratio) * fishPerHour * hours
	share := shareAt(a, b, ratio)
	// Totals beyond seven standard deviations bring nothing to the sum.
	far := 7 * math.Sqrt(lambda)
	power := 0.0
	for n := int(math.Max(0, lambda-far)); n <= int(lambda+far+20); n++ {
		total := math.Exp(float64(n)*math.Log(lambda) - lambda - logFactorial(n))
		low, high := shows(n, level)
		shown := 1 - atLeast(low, n, share) + atLeast(high, n, share)
		power += total * shown
	}
	return math.Min(1, power)
}

// shows are the counts of the first arm, of n, that show a difference: below low, and from high on.
func shows(n int, level float64) (low, high int) {
	// At a half both tails are alike: the p of a count is twice its tail.
	tail := 0.0
	for low = 0; 2*low < n; low++ {
		if tail += math.Exp(logBinomial(low, n, 0.5)); 2*tail > 1-level {
			break
		}
	}
	return low, n - low + 1
}

func logFactorial(n int) float64 {
	l, _ := math.Lgamma(float64(n + 1))
	return l
}

// longestTrial is as many rod-hours an arm as anybody would fish for one answer.
const longestTrial = 2000.0

// ErrTooLong says that no trial anybody would fish tells it.
var ErrTooLong = errors.New("trial: no number of hours one would fish shows that")

// Hours an arm needs to be fished to show a difference with some power, to a tenth of them.
func Hours(ratio, fishPerHour, level, power float64) (float64, error) {
	if !(ratio > 0) || ratio == 1 || math.IsInf(ratio, 0) || !(fishPerHour > 0) || math.IsInf(fishPerHour, 0) ||
		!(level > 0 && level < 1) || !(power > 0 && power < 1) {
		return 0, errors.New("trial: expected a ratio other than one, fish a rod-hour above nought, and level and power between 0 and 1")
	}
	// The logarithm of the ratio is about normal, with the reciprocals of the fish for its variance: whence to search.
	z := distuv.UnitNormal.Quantile((1+level)/2) + distuv.UnitNormal.Quantile(power)
	about := (1 + 1/ratio) / fishPerHour * math.Pow(z/math.Log(ratio), 2)
	if about > longestTrial || about*fishPerHour*(1+ratio) > mostInTable {
		return 0, ErrTooLong
	}
	low, high := about/2, about
	for Power(ratio, fishPerHour, low, level) >= power {
		low /= 2
	}
	for Power(ratio, fishPerHour, high, level) < power {
		low, high = high, high*1.2
	}
	for high-low > 0.03*high {
		middle := (low + high) / 2
		if Power(ratio, fishPerHour, middle, level) < power {
			low = middle
		} else {
			high = middle
		}
	}
	return high, nil
}

// Holm adjusts the p of several comparisons made at once, so that it is a closed test: none is taken for shown
// that would not have been, had only the true ones been asked (Holm 1979).
func Holm(p []float64) []float64 {
	order := make([]int, len(p))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int {
		switch {
		case p[a] < p[b]:
			return -1
		case p[a] > p[b]:
			return 1
		}
		return 0
	})
	out, most := make([]float64, len(p)), 0.0
	for rank, i := range order {
		most = math.Max(most, math.Min(1, float64(len(p)-rank)*p[i]))
		out[i] = most
	}
	return out
}

// TooLong says that an error is that no trial anybody would fish shows it.
func TooLong(err error) bool { return errors.Is(err, ErrTooLong) }
