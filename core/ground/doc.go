// Package ground is what lies under the water of a spot: a section drawn as
// distance → elevation, the marks on it, and the ways in and back. Elevations
// are metres above chart datum (negative below), so that the depth over any
// point is the level of the tide less its elevation.
//
// Between the points of a section the ground is a monotone cubic (Fritsch &
// Butland 1984, as in gonum's interp), which adds no bump that was not drawn.
//
// Windows are found on the tide itself, rise by rise and fall by fall, where
// the level is monotone and crosses a height at most once.
package ground
