// Package care says how a fish is treated that goes back, how one that is kept stays good, and how bait is kept alive.
// Its sentences are common practice, no source, unless one is named; first aid is the usual public guidance and defers
// to medical help, and rules of authorities go before all of it.
package care
