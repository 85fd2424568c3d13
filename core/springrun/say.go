package springrun

import (
	"greypebble/core/words"
)

// Says what a bend is to a run by its factor, in a clause.
func Says(factor float64) string {
	switch {
	case factor >= 1.5:
		return words.TheRunIsLikelyAtThisBend
	case factor >= 0.7:
		return words.TheRunMayBeAtThisBend
	}
	return words.TheRunIsLikelyAtOtherBends
}
