// Package rate turns how far each rule applies into an edge: how many times the
// catch rate of a blind pick a choice is expected to have.
//
// For a spell with effort h (rod-hours) and catches y,
//
//	y ~ Poisson(h · exp(α + u_spot + Σ w_r·β_r))
//
// with priors β_r ~ N(ln m_r, s_r²) from the playbook and u_spot ~ N(0, 0.7²).
// A blind pick is the mean over all reachable spots and the daylight hours of
// the next fourteen days. In an edge α cancels. The interval is of the contrast
// between the choice and the blind pick: coefficients they share do not widen
// it, unknown readings and an unknown spot do.
//
// What is believed of the coefficients comes in through [Belief]: the priors
// today, the posterior of the angler's log later.
package rate
