package trial

import (
	"math"

	"gonum.org/v1/gonum/mathext"
)

// tie is how near two probabilities are to one another that count as equal, relative: outcomes as likely as the
// one seen are counted with it.
const tie = 1e-7

// interval of a share: between which it lies, at a level of confidence, each tail the same (Clopper and Pearson).
func interval(x, n int, level float64) (low, high float64) {
	tail := (1 - level) / 2
	low, high = 0, 1
	if x > 0 {
		low = mathext.InvRegIncBeta(float64(x), float64(n-x+1), tail)
	}
	if x < n {
		high = mathext.InvRegIncBeta(float64(x+1), float64(n-x), 1-tail)
	}
	return low, high
}

// twoSided p of x of n where the share is p0: all outcomes no likelier than that.
func twoSided(x, n int, p0 float64) float64 {
	seen := logBinomial(x, n, p0) + math.Log1p(tie)
	sum := 0.0
	for k := range n + 1 {
		if l := logBinomial(k, n, p0); l <= seen {
			sum += math.Exp(l)
		}
	}
	return math.Min(1, sum)
}

// atLeast x of n where the share is p0.
func atLeast(x, n int, p0 float64) float64 {
	switch {
	case x <= 0:
		return 1
	case x > n, p0 <= 0:
		return 0
	case p0 >= 1:
		return 1
	}
	return mathext.RegIncBeta(float64(x), float64(n-x+1), p0)
}

func logBinomial(x, n int, p float64) float64 {
	return logChoose(n, x) + times(x, math.Log(p)) + times(n-x, math.Log1p(-p))
}

// times nought is nought, of what is infinite too.
func times(n int, l float64) float64 {
	if n == 0 {
		return 0
	}
	return float64(n) * l
}

func logChoose(n, k int) float64 {
	a, _ := math.Lgamma(float64(n + 1))
	b, _ := math.Lgamma(float64(k + 1))
	c, _ := math.Lgamma(float64(n - k + 1))
	return a - b - c
}
