// Package going says whether to go at all: the cautions of a place, a sea and a way of going
// there, in three steps.
//
// Each way of going has usual limits (house defaults: common practice, no source), which every
// angler sets for themselves. Past the first of them one thinks again, past the second one does
// not go. A caution is a note where it is only to be minded. What is only assumed of wind and
// swell raises nothing: it is said that nobody knows.
//
// Run-up on a beach: Stockdon et al. 2006; on steep rock about the height of the breaker above
// still water. Local rules, lifeguards and harbour masters come first.
package going
