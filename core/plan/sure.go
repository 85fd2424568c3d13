package plan

import (
	"greypebble/core/rate"
	"greypebble/core/sweep"
)

// Sure is what a window's edge may be, in the middle of its best: its ends hold four fifths of what is
// believed of the rules and of the weather, which far ahead is little. False where one cannot fish then.
func (o *Outlook) Sure(w Window) (rate.Edge, bool, error) {
	return sweep.Single(o.Asked.Book, o.Asked.Belief, o.Asked.Targets[w.Target], o.Asked.Spots[w.Spot], w.middle())
}
