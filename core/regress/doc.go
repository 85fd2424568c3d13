// Package regress is the posterior of counts under what is believed beforehand: each count y is Poisson with mean
// h · exp(xᵀβ), h the effort; the coefficients have normal priors, independent of one another. The mode is found by
// Newton's method (the log posterior is concave, so there is one), and the posterior taken for normal around it with
// the inverse of the curvature there (Laplace). Checked against R 4.2.2 (glm, and the mode under normal priors).
package regress
