// Package evidence is what a log says of what is said: the posterior of the rate model from one's own spells, blanks
// and effort included.
//
// For each target t, spell i with effort h (rod-hours) and catches y,
//
//	y ~ Poisson(h · exp(α_t + u_t,spot + Σ_r (β_r + δ_r,t) · x_r)),   x_r = w_r − w̄_r
//
// with x_r how much more of rule r the spell had than an ordinary one has, as package rate has it under the book.
// Priors: α_t about the target's usual catch, u ~ N(0, 0.7²), and a rule's coefficient as the book says, part of its
// variance common to all targets (β) and part of each target's own (δ): what is learnt of the ebb with one fish says
// something of the next. The posterior is package regress's. With an empty log it is the book's belief.
package evidence
