// Package conditions keeps readings: one condition's value with its unit, time
// and where it came from, and decides which reading to trust at a moment.
//
// The order of trust is in trust.go: an observation that is fresh enough for
// its kind, then a forecast, then a prediction, then an assumption. What is not
// known is assumed with a spread and is never taken as zero.
package conditions
