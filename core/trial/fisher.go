package trial

import (
	"errors"
	"fmt"
	"math"
)

// Table of two arms: of the first A were so (landed) and B not, of the second C and D.
type Table struct{ A, B, C, D int }

// mostInTable is how many a table may hold for an exact test.
const mostInTable = 20_000

// Fisher's exact test of a table: the odds ratio given the margins (its conditional maximum likelihood), what holds
// it at a level of confidence, and the p of no difference.
func (t Table) Fisher(level float64) (Estimate, error) {
	for _, n := range []int{t.A, t.B, t.C, t.D} {
		if n < 0 || n > mostInTable {
			return Estimate{}, fmt.Errorf("trial: a table holds counts from 0 to %d, not %d", mostInTable, n)
		}
	}
	if !(level > 0 && level < 1) {
		return Estimate{}, errors.New("trial: expected a level of confidence between 0 and 1")
	}
	h := newHypergeometric(t)
	tail := (1 - level) / 2
	out := Estimate{Value: h.estimate(), Low: 0, High: math.Inf(1), P: h.twoSided()}
	if t.A > h.low {
		out.Low = solve(func(odds float64) float64 { return h.upTo(odds, h.x, h.high) - tail })
	}
	if t.A < h.high {
		out.High = solve(func(odds float64) float64 { return tail - h.upTo(odds, h.low, h.x) })
	}
	return out, nil
}

// hypergeometric is the distribution of the first cell given the margins, by the odds ratio: its logarithms at an
// odds ratio of one, from the lowest the cell can be to the highest.
type hypergeometric struct {
	x, low, high int
	logs         []float64
}

func newHypergeometric(t Table) hypergeometric {
	first, so := t.A+t.B, t.A+t.C
	second := t.C + t.D
	h := hypergeometric{x: t.A, low: max(0, so-second), high: min(first, so)}
	for k := h.low; k <= h.high; k++ {
		h.logs = append(h.logs, logChoose(first, k)+logChoose(second, so-k))
	}
	return h
}

// at an odds ratio, the probabilities of the cell.
func (h hypergeometric) at(odds float64) []float64 {
	out := make([]float64, len(h.logs))
	most := math.Inf(-1)
	for i, l := range h.logs {
		out[i] = l + float64(i)*math.Log(odds)
		most = math.Max(most, out[i])
	}
	sum := 0.0
	for i := range out {
		out[i] = math.Exp(out[i] - most)
		sum += out[i]
	}
	for i := range out {
		out[i] /= sum
	}
	return out
}

// upTo is how likely the cell lies from one count to another, at an odds ratio.
func (h hypergeometric) upTo(odds float64, from, to int) float64 {
	sum := 0.0
	for i, p := range h.at(odds) {
		if k := h.low + i; k >= from && k <= to {
			sum += p
		}
	}
	return sum
}

func (h hypergeometric) mean(odds float64) float64 {
	sum := 0.0
	for i, p := range h.at(odds) {
		sum += float64(h.low+i) * p
	}
	return sum
}

// estimate of the odds ratio at which the cell seen is the one expected; NaN where the margins leave it no choice.
func (h hypergeometric) estimate() float64 {
	switch {
	case h.low == h.high:
		return math.NaN()
	case h.x == h.low:
		return 0
	case h.x == h.high:
		return math.Inf(1)
	}
	return solve(func(odds float64) float64 { return h.mean(odds) - float64(h.x) })
}

// twoSided p of an odds ratio of one.
func (h hypergeometric) twoSided() float64 {
	p := h.at(1)
	seen := p[h.x-h.low] * (1 + tie)
	sum := 0.0
	for _, v := range p {
		if v <= seen {
			sum += v
		}
	}
	return math.Min(1, sum)
}

// solve a rising function of a ratio for nought, by halving its logarithm.
func solve(f func(odds float64) float64) float64 {
	low, high := -700.0, 700.0
	for range 200 {
		middle := (low + high) / 2
		if f(math.Exp(middle)) < 0 {
			low = middle
		} else {
			high = middle
		}
	}
	return math.Exp((low + high) / 2)
}
