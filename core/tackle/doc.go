// Package tackle does the arithmetic of line, lead, lure and reel. Each result
// comes with its formula and inputs, so that it can be checked by hand.
//
// Units are SI: metres, kilograms, seconds, metres a second.
package tackle
