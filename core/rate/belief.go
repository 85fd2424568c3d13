package rate

import (
	"math"

	"greypebble/core/playbook"
)

// SpotSD is the prior standard deviation of a spot's own log-rate.
const SpotSD = 0.7

// Belief is what is thought of the coefficients of a book's rules, in its order, of one target.
type Belief interface {
	// For another target.
	For(target string) Belief
	// Mean of a rule's coefficient.
	Mean(rule int) float64
	// Variance of Σ rules[r]·β_r.
	Variance(rules []float64) float64
	// Expect the logarithm of the catch a rod-hour of an ordinary spell at a spot, by its id; empty: at one nothing is
	// known of. And the variance of that and of Σ rules[r]·β_r together.
	Expect(spot string, rules []float64) (log, variance float64)
}

// Priors is the belief of an empty log: every coefficient independent and as the playbook says, whatever the target.
type Priors struct {
	Book   *playbook.Book
	Target string
}

// For another target.
func (p Priors) For(target string) Belief { return Priors{p.Book, target} }

// Mean of the prior.
func (p Priors) Mean(rule int) float64 { return p.Book.Rules[rule].Prior.Mean }

// Variance of a contrast under independent priors.
func (p Priors) Variance(rules []float64) float64 {
	v := 0.0
	for r, c := range rules {
		if c != 0 {
			s := p.Book.Rules[r].Prior.SD * c
			v += s * s
		}
	}
	return v
}

// Expect the target's usual catch, wide as that is, at a spot of whose own level nothing is known; NaN of a target the
// book does not know.
func (p Priors) Expect(_ string, rules []float64) (log, variance float64) {
	t, err := p.Book.Target(p.Target)
	if err != nil {
		return math.NaN(), math.NaN()
	}
	return math.Log(t.UsualCatch()), playbook.PlentySD*playbook.PlentySD + SpotSD*SpotSD + p.Variance(rules)
}
