package plan

import (
	"time"

	"greypebble/core/tide"
)

// soon is how far ahead the next thing is looked for.
const soon = 18 * time.Hour

// Now is the window to think of at a time: the best of those one is in and can still use, else the
// best of those that begin in the next hours; false where there is none. The windows are best first.
func Now(windows []Window, t time.Time) (w Window, on, found bool) {
	for _, w := range windows {
		if !t.Before(w.From) && (w.To.IsZero() || w.To.Sub(t) >= shortest*Step) {
			return w, true, true
		}
	}
	for _, w := range windows {
		if w.From.After(t) && w.From.Before(t.Add(soon)) {
			return w, false, true
		}
	}
	return Window{}, false, false
}

// NextOpening of any way after a time: which spot, and when; false where all stay as they are.
func (o *Outlook) NextOpening(t time.Time) (at int, opens time.Time, found bool) {
	for i := range o.Places {
		for _, w := range o.Places[i].way {
			if w.Opens.After(t) && (!found || w.Opens.Before(opens)) {
				at, opens, found = i, w.Opens, true
			}
		}
	}
	if found {
		return at, opens, true
	}
	return o.openingBeyond()
}

// farthest one looks for an opening: two months have every kind of tide but the year's greatest.
const farthest = 62 * 24 * time.Hour

// openingBeyond the outlook, the first of all spots.
func (o *Outlook) openingBeyond() (at int, opens time.Time, found bool) {
	for i, sp := range o.Asked.Spots {
		c, err := tide.Over(sp.Tide, o.End(), o.End().Add(farthest))
		if err != nil {
			continue // nothing is told of a tide that cannot be
		}
		for _, w := range sp.Open(c) {
			if w.Opens.IsZero() || sp.Closing(w.Opens) != nil || !sp.OpenToday(w.Opens) {
				continue
			}
			if !found || w.Opens.Before(opens) {
				at, opens, found = i, w.Opens, true
			}
			break
		}
	}
	return at, opens, found
}
