// Package kit is what an angler owns: rods, reels, lines, hooks, heads, sinkers,
// lures, and the baits in hand today; what of it comes nearest to what is wanted, and
// what is missing.
//
// Units: metres, kilograms, newtons, metres a second. A number of zero is one nobody
// said.
package kit
