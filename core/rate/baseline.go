package rate

import (
	"fmt"
	"math"

	"greypebble/core/conditions"
)

// Weights are how far each rule applies in each scenario of the readings:
// [conditions.Scenarios] rows of one weight a rule.
type Weights [conditions.Scenarios][]float64

// NewWeights makes room for a number of rules.
func NewWeights(rules int) Weights {
	var w Weights
	for k := range w {
		w[k] = make([]float64, rules)
	}
	return w
}

// Baseline gathers what turning up blind is worth.
type Baseline struct {
	belief Belief
	about  []int
	means  []float64
	rate   [conditions.Scenarios]float64
	rules  Weights
	spots  []float64 // share of the rate by spot, mean over scenarios
	count  float64
}

// NewBaseline starts an empty blind pick among a number of spots. about lists the
// rules that can apply at all, by their places; nil stands for all of them.
func NewBaseline(b Belief, rules int, about []int, spots int) *Baseline {
	if about == nil {
		for r := range rules {
			about = append(about, r)
		}
	}
	bl := &Baseline{belief: b, about: about, means: make([]float64, rules), rules: NewWeights(rules), spots: make([]float64, spots)}
	for _, r := range about {
		bl.means[r] = b.Mean(r)
	}
	return bl
}

func (b *Baseline) eta(w []float64) float64 {
	sum := 0.0
	for _, r := range b.about {
		sum += b.means[r] * w[r]
	}
	return sum
}

// Log of a choice's edge: its expected log-rate less that of the blind pick, mean over
// the scenarios. live lists the rules that may weigh anything; nil: all.
func (b *Baseline) Log(w *Weights, live []int) float64 {
	if live == nil {
		live = b.about
	}
	sum := 0.0
	for k := range w {
		eta := 0.0
		for _, r := range live {
			eta += b.means[r] * w[k][r]
		}
		sum += eta - math.Log(b.rate[k]/b.count)
	}
	return sum / conditions.Scenarios
}

// Add one way to turn up: a spot (by index) and the weights there, counting
// share times.
func (b *Baseline) Add(spot int, w *Weights, share float64) {
	b.count += share
	for k := range w {
		rate := share * math.Exp(b.eta(w[k]))
		b.rate[k] += rate
		for _, r := range b.about {
			b.rules[k][r] += rate * w[k][r]
		}
		b.spots[spot] += rate
	}
}

// Empty says that nothing was added: no spot can be reached in daylight.
func (b *Baseline) Empty() bool { return b.count == 0 }

// Edge of a choice over the blind pick.
type Edge struct {
	// Value is how many times better than turning up blind.
	Value float64
	// Low and High hold 80 % of the belief.
	Low, High float64
	// Factors of the rules, exp(β·w), mean over the scenarios of the readings.
	Factors []float64
	// Baseline is one over the factor a blind pick has already. The product of all
	// Factors and Baseline is Value.
	Baseline float64
}

// z80 is the 90 % quantile of the standard normal: an interval of ± so many
// standard deviations holds 80 %.
const z80 = 1.2815515655446004

// Edge compares a choice at a spot (by index) with the blind pick.
func (b *Baseline) Edge(spot int, w *Weights) (Edge, error) {
	if b.Empty() {
		return Edge{}, fmt.Errorf("rate: no spot can be reached in daylight in the next fourteen days, so there is no blind pick to " +
			"compare with")
	}
	const n = conditions.Scenarios
	e := Edge{Factors: make([]float64, len(b.means))}
	contrast := make([]float64, len(b.means))
	var sum, squares, offset float64
	for k := range w {
		base := math.Log(b.rate[k] / b.count)
		d := b.eta(w[k]) - base
		sum += d / n
		squares += d * d / n
		offset += base / n
		for _, r := range b.about {
			contrast[r] += (w[k][r] - b.rules[k][r]/b.rate[k]) / n
			e.Factors[r] += b.means[r] * w[k][r] / n
		}
	}
	for r := range e.Factors {
		e.Factors[r] = math.Exp(e.Factors[r])
	}
	e.Baseline = math.Exp(-offset)
	total := 0.0
	for _, s := range b.spots {
		total += s
	}
	spots := make([]float64, len(b.spots))
	for s := range spots {
		spots[s] = -b.spots[s] / total
	}
	spots[spot]++
	half := z80 * math.Sqrt(b.belief.Variance(contrast, spots)+math.Max(squares-sum*sum, 0))
	e.Value, e.Low, e.High = math.Exp(sum), math.Exp(sum-half), math.Exp(sum+half)
	return e, nil
}
