package rate

import (
	"math"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/words"
)

// Contrast of a choice with an ordinary spell, rule by rule.
type Contrast struct {
	belief Belief
	// Rules is w − w̄ by rule, mean over the scenarios of the readings, and Each of those that differ by scenario.
	Rules []float64
	Each  []Differs
	logs  [conditions.Scenarios]float64
	parts [playbook.PartCount]float64
	// bound is the logarithm of what holds the whole down, see [Contrast.Bound].
	bound float64
}

// Differs is by how much a rule applies more than in an ordinary spell, in each scenario of the readings.
type Differs struct {
	Rule int
	By   [conditions.Scenarios]float64
}

// NewContrast of a number of rules: nothing differs yet.
func NewContrast(b Belief, rules int) *Contrast {
	return &Contrast{belief: b, Rules: make([]float64, rules)}
}

// Add a rule of a part: how far it applies in each scenario, and how far in the ordinary spell.
// What is not known (NaN) is as in the ordinary spell.
func (c *Contrast) Add(part playbook.Part, rule int, w, ordinary *[conditions.Scenarios]float64) {
	mean := c.belief.Mean(rule)
	each := Differs{Rule: rule}
	for k := range w {
		d := w[k] - ordinary[k]
		if d != d || d == 0 {
			continue
		}
		each.By[k] = d
		c.Rules[rule] += d / conditions.Scenarios
		c.logs[k] += mean * d
		c.parts[part] += mean * d / conditions.Scenarios
	}
	if each.By != [conditions.Scenarios]float64{} {
		c.Each = append(c.Each, each)
	}
}

// Shift a logarithm from one part to another.
func (c *Contrast) Shift(log float64, from, to playbook.Part) {
	c.parts[from] -= log
	c.parts[to] += log
}

// Bound holds the whole at most at exp(most): nothing makes up for a fish that is not there.
func (c *Contrast) Bound(most float64) { c.bound = math.Min(0, most-c.Log()) }

// Place a factor on where it is, whatever the rules say: of a school that moves, how likely it is
// here. It comes after [Contrast.Bound], which it does not look at.
func (c *Contrast) Place(factor float64) {
	log := math.Log(factor)
	for k := range c.logs {
		c.logs[k] += log
	}
	c.parts[playbook.There] += log
}

// Bounded is the factor by which the whole is held down; 1 where it is not.
func (c *Contrast) Bounded() float64 { return math.Exp(c.bound) }

// Log of the edge without its bound, mean over the scenarios.
func (c *Contrast) Log() float64 {
	sum := 0.0
	for _, l := range c.logs {
		sum += l / conditions.Scenarios
	}
	return sum
}

// Edge over an ordinary spell.
type Edge struct {
	// Value is how many times an ordinary spell it is worth.
	Value float64
	// Low and High hold 80 % of the belief.
	Low, High float64
	// Parts, by [playbook.Part]; their product is Value.
	Parts [playbook.PartCount]float64
}

// Z80 is the 90 % quantile of the standard normal: an interval of ± so many
// standard deviations holds 80 %.
const Z80 = 1.2815515655446004

// Edge of the contrast: log-normal under the belief, around its median.
func (c *Contrast) Edge() Edge {
	log := c.Log() + c.bound
	half := Z80 * math.Sqrt(c.variance())
	e := Edge{Value: math.Exp(log), Low: math.Exp(log - half), High: math.Exp(log + half)}
	for p := range c.parts {
		e.Parts[p] = math.Exp(c.parts[p])
	}
	e.Parts[playbook.There] *= c.Bounded()
	return e
}

// variance of the logarithm: of the belief, and of the scenarios of the readings.
func (c *Contrast) variance() float64 { return c.belief.Variance(c.Rules) + spread(&c.logs) }

func spread(logs *[conditions.Scenarios]float64) float64 {
	var sum, squares float64
	for _, l := range logs {
		sum += l / conditions.Scenarios
		squares += l * l / conditions.Scenarios
	}
	return math.Max(squares-sum*sum, 0)
}

// Beats is how sure it is, under the belief, that one choice is better than another, 0…1. What
// both have cancels, so this is far surer than their intervals look. Of two targets, what is not known is as it is of
// the first.
func Beats(a, b *Contrast) float64 {
	d := make([]float64, len(a.Rules))
	for r := range d {
		d[r] = a.Rules[r] - b.Rules[r]
	}
	var logs [conditions.Scenarios]float64
	for k := range logs {
		logs[k] = a.logs[k] - b.logs[k]
	}
	mean := a.Log() + a.bound - b.Log() - b.bound
	sd := math.Sqrt(a.belief.Variance(d) + spread(&logs))
	switch {
	case math.Abs(mean) < 1e-12:
		return 0.5
	case sd == 0:
		return map[bool]float64{true: 1}[mean > 0]
	}
	return math.Erfc(-mean/sd/math.Sqrt2) / 2
}

// SayBeats how sure a choice is better than the next.
func SayBeats(p float64) string {
	switch {
	case p < 0.6:
		return words.AsGoodAsEvenWithThe
	case p < 0.75:
		return words.RatherBetterThanTheNext
	case p < 0.9:
		return words.VeryLikelyBetterThanTheNext
	}
	return words.AlmostSurelyBetterThanTheNext
}

// Catch a rod-hour that is expected.
type Catch struct{ Median, Low, High float64 }

// Catch of the contrast at a spot, by its id: what an ordinary spell catches there times the edge.
func (c *Contrast) Catch(spot string) Catch {
	log, variance := c.belief.Expect(spot, c.Rules)
	median := math.Exp(log + c.Log() + c.bound)
	half := Z80 * math.Sqrt(variance+spread(&c.logs))
	return Catch{median, median * math.Exp(-half), median * math.Exp(half)}
}
