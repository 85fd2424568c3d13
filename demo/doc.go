// Package demo makes the invented scenario: a coast in the open ocean that does
// not exist, its tide, weather, spots, anglers and two seasons of spells, all
// from a fixed seed. Nothing in it is real.
package demo
