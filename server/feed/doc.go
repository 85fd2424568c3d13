// Package feed fetches what comes from outside: an hourly forecast by HTTP and a
// sounder by TCP. Both may be slow, silent, cut or nonsense; the last good
// values stay and their age is told. Simulated stand-ins that fail on purpose
// are in package sim beside it.
package feed
