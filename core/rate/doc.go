// Package rate turns how far each rule applies into an edge: how many times the catch rate of
// an ordinary spell a choice is expected to have.
//
// For a spell with effort h (rod-hours) and catches y,
//
//	y ~ Poisson(h · exp(α + u_spot + Σ_r β_r·(w_r − w̄_r)))
//
// with priors β_r ~ N(ln m_r, s_r²) from the playbook, u_spot ~ N(0, 0.7²) and α of the target's
// usual catch. w̄_r is what an ordinary spell for that fish, fished as well as the book knows, has
// of the rule (package ordinary); of what is taken, what the best presentation has.
//
// The logarithm of an edge is linear in β, so an edge is log-normal under the belief: its median
// is shown, and its 80 % interval follows from the contrast w − w̄ and from what is not known of
// the readings. Neither α nor u_spot is in it; they are in the expected catch ([Catch]).
//
// What is believed of the coefficients comes in through [Belief]: the priors, or the posterior of the angler's log
// (package evidence).
package rate
