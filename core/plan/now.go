package plan

import (
	"time"
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
	return at, opens, found
}
