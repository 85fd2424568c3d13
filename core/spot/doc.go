// Package spot is a spot as the job knows it: where it lies, what kind of place it is,
// how one gets in and back, its section and marks, its tide and what was read there; and
// a moment at it: level, stage, sky, surface, warmth and light, with the sentences that
// say them. It is what is stored, drawn and advised on. Distances and depths are in
// metres, elevations above chart datum, temperatures in °C.
package spot
