// Package method says how a presentation is fished on a mark: where one stands or floats, where the line
// goes and how far that is. It follows from the way of fishing and the ground, not from either alone
// (common practice, no source).
package method
