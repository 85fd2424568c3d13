package rate

import "greypebble/core/playbook"

// SpotSD is the prior standard deviation of a spot's own log-rate.
const SpotSD = 0.7

// Belief is what is thought of the coefficients of a book's rules, in its order.
type Belief interface {
	// Mean of a rule's coefficient.
	Mean(rule int) float64
	// Variance of Σ rules[r]·β_r.
	Variance(rules []float64) float64
}

// Priors is the belief of an empty log: every coefficient independent and as
// the playbook says.
type Priors struct{ Book *playbook.Book }

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
