// Package answer holds the answers to what is asked of a spot and the water there, as they are sent,
// and how each is made of what the core says. The server gives them, and with no signal the core in the
// browser does: the same ones.
package answer
