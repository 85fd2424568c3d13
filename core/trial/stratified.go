package trial

import (
	"errors"
	"math"
)

// Block of a trial: both arms fished in turn, close together, so that water and fish were the same for both.
type Block struct{ First, Second Arm }

// blocks whose totals are given: the fish of the first arm over all of them are a sum of binomials, and at a ratio
// of the rates that is the same in every block their distribution is known.
type blocks struct {
	list []Block
	x, n int
}

func newBlocks(list []Block) (blocks, error) {
	b := blocks{list: list}
	if len(list) == 0 {
		return b, errors.New("trial: a trial has a block at least")
	}
	for _, k := range list {
		for _, a := range []Arm{k.First, k.Second} {
			if err := a.validate(); err != nil {
				return b, err
			}
		}
		b.x += k.First.Fish
		b.n += k.First.Fish + k.Second.Fish
	}
	if b.n > mostInTable {
		return b, errors.New("trial: more fish than a stratified exact test takes; pool the blocks")
	}
	return b, nil
}

// at a ratio, how likely each number of fish of the first arm is, from none to all.
func (b blocks) at(ratio float64) []float64 {
	out := []float64{1}
	for _, k := range b.list {
		n := k.First.Fish + k.Second.Fish
		p := shareAt(k.First, k.Second, ratio)
		one := make([]float64, n+1)
		for x := range one {
			one[x] = math.Exp(logBinomial(x, n, p))
		}
		next := make([]float64, len(out)+n)
		for i, v := range out {
			for j, w := range one {
				next[i+j] += v * w
			}
		}
		out = next
	}
	return out
}

func (b blocks) tail(ratio float64, from, to int) float64 {
	sum := 0.0
	for x, p := range b.at(ratio) {
		if x >= from && x <= to {
			sum += p
		}
	}
	return sum
}

func (b blocks) mean(ratio float64) float64 {
	sum := 0.0
	for _, k := range b.list {
		sum += float64(k.First.Fish+k.Second.Fish) * shareAt(k.First, k.Second, ratio)
	}
	return sum
}

// Stratified is the ratio of the rates that blocks have in common, given the fish of each: what differs from block
// to block (the tide, the school) has no say. It is the conditional maximum likelihood, with exact bounds at a level
// of confidence, each tail the same; P is that of a ratio of one.
func Stratified(list []Block, level float64) (Estimate, error) {
	b, err := newBlocks(list)
	if err != nil {
		return Estimate{}, err
	}
	if !(level > 0 && level < 1) {
		return Estimate{}, errors.New("trial: expected a level of confidence between 0 and 1")
	}
	out := Estimate{Value: math.NaN(), Low: 0, High: math.Inf(1), P: 1}
	if b.n == 0 {
		return out, nil
	}
	tail := (1 - level) / 2
	switch b.x {
	case 0:
		out.Value = 0
	case b.n:
		out.Value = math.Inf(1)
	default:
		out.Value = solve(func(r float64) float64 { return b.mean(r) - float64(b.x) })
	}
	if b.x > 0 {
		out.Low = solve(func(r float64) float64 { return b.tail(r, b.x, b.n) - tail })
	}
	if b.x < b.n {
		out.High = solve(func(r float64) float64 { return tail - b.tail(r, 0, b.x) })
	}
	p := b.at(1)
	sum, seen := 0.0, p[b.x]*(1+tie)
	for _, v := range p {
		if v <= seen {
			sum += v
		}
	}
	out.P = math.Min(1, sum)
	return out, nil
}

// Believed is the ratio of the rates under a prior belief of its logarithm (mean and spread, as the book has one of
// a rule) and what the blocks brought: the median, and what holds it at a level. P is how likely the first arm is
// the better.
func Believed(list []Block, mean, spread, level float64) (Estimate, error) {
	b, err := newBlocks(list)
	switch {
	case err != nil:
		return Estimate{}, err
	case !(spread > 0) || math.IsNaN(mean) || math.IsInf(mean, 0) || !(level > 0 && level < 1):
		return Estimate{}, errors.New("trial: expected a prior with a spread above nought, and a level between 0 and 1")
	}
	// On a grid: the posterior has one peak and no surprises.
	const steps, reach = 4000, 8.0
	logs := make([]float64, steps+1)
	most := math.Inf(-1)
	theta := func(i int) float64 { return mean + spread*reach*(2*float64(i)/steps-1) }
	for i := range logs {
		z := (theta(i) - mean) / spread
		logs[i] = -z * z / 2
		for _, k := range b.list {
			p := shareAt(k.First, k.Second, math.Exp(theta(i)))
			logs[i] += times(k.First.Fish, math.Log(p)) + times(k.Second.Fish, math.Log1p(-p))
		}
		most = math.Max(most, logs[i])
	}
	total := 0.0
	for i := range logs {
		logs[i] = math.Exp(logs[i] - most)
		total += logs[i]
	}
	quantile := func(q float64) float64 {
		sum := 0.0
		for i, w := range logs {
			if sum+w >= q*total {
				return math.Exp(theta(i) + spread*reach*2/steps*((q*total-sum)/w-0.5))
			}
			sum += w
		}
		return math.Exp(theta(steps))
	}
	better := 0.0
	for i, w := range logs {
		if theta(i) > 0 {
			better += w
		}
	}
	return Estimate{quantile(0.5), quantile((1 - level) / 2), quantile((1 + level) / 2), better / total}, nil
}
