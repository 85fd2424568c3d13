package plan

import (
	"fmt"
	"time"

	"greypebble/core/quantity"
	"greypebble/core/words"
)

// Says a window in words, in the time of its place: "Red drum at Kettle Bar, ×1.8: best 14:10–15:10,
// be out by 16:40."
func (o *Outlook) Says(w Window, zone *time.Location, u quantity.Units) string {
	at := clockOn(w.BestFrom, zone, u)
	s := fmt.Sprintf(words.AtBest, o.Asked.Targets[w.Target].Name, o.Asked.Spots[w.Spot].Name, times(w.Edge),
		at(w.BestFrom), at(w.BestUntil))
	if w.Dark {
		s += words.InTheDark
	}
	if !w.BeOutBy.IsZero() {
		s += fmt.Sprintf(words.BeOutBy, at(w.BeOutBy))
	}
	if !w.Told {
		s += words.NobodyHasToldThatDaysWeather
	}
	return s + "."
}

// SaysLeg tells a leg in the time of its place: "06:10–08:30 Long Strand, striped bass, ×2.1."
func (o *Outlook) SaysLeg(l Leg, zone *time.Location, u quantity.Units) string {
	at := clockOn(l.Arrive, zone, u)
	what := words.WaitingForTheWater
	switch {
	case l.Target >= 0:
		what = o.Asked.Targets[l.Target].InSentence() + ", " + times(l.Edge())
	case o.closed(l.Spot, l.Arrive):
		what = words.NoFishingThen
	}
	if !l.Spare.Opens.IsZero() {
		what += fmt.Sprintf(words.ToSpareFromTo, at(l.Spare.Opens), at(l.Spare.Closes))
	}
	return fmt.Sprintf("%s–%s %s, %s.", at(l.Arrive), at(l.Leave), o.Asked.Spots[l.Spot].Name, what)
}

// SaysDay tells when to leave and to be back, and what the day is worth: "Leave at 06:00, back by
// 17:40: as good as 24 ordinary hours."
func (i *Itinerary) SaysDay(zone *time.Location, u quantity.Units) string {
	at := clockOn(i.LeaveHome, zone, u)
	return fmt.Sprintf(words.LeaveAtBackByAsGood, at(i.LeaveHome), at(i.BackHome), i.Worth)
}

// SaysNow is the line of what to think of at a time: what is on, what comes next, or why nothing is.
func (o *Outlook) SaysNow(windows []Window, t time.Time, zoneOf func(spot int) *time.Location, u quantity.Units) string {
	if w, on, found := Now(windows, t); found {
		zone := zoneOf(w.Spot)
		says := o.Says(w, zone, u)
		if on {
			return fmt.Sprintf(words.Now, says)
		}
		return fmt.Sprintf(words.Next, dayAt(w.From, t, zone, u), says)
	}
	if len(windows) > 0 {
		w := soonest(windows)
		return fmt.Sprintf(words.NothingIsWorthItBefore, dayAt(w.From, t, zoneOf(w.Spot), u), o.Says(w, zoneOf(w.Spot), u))
	}
	if anyOpen(o, t) {
		return words.NothingIsBetterThanThatIn
	}
	if at, opens, found := o.NextOpening(t); found {
		return fmt.Sprintf(words.EverythingIsShutTheFirstTo, o.Asked.Spots[at].Name, dayAt(opens, t, zoneOf(at), u))
	}
	return words.EverythingIsShutAsFarAs
}

// anyOpen says whether there is an hour from a time on in which one can fish somewhere.
func anyOpen(o *Outlook, t time.Time) bool {
	for i := range o.Places {
		for h, s := range o.Places[i].State {
			if s == Open && o.middle(h).After(t) {
				return true
			}
		}
	}
	return false
}

func soonest(windows []Window) Window {
	first := windows[0]
	for _, w := range windows {
		if w.From.Before(first.From) {
			first = w
		}
	}
	return first
}

// dayAt names a time as seen from another: "today at 14:10", "tomorrow at 6:30 am", "Sat 21 Nov at 06:30".
func dayAt(t, from time.Time, zone *time.Location, u quantity.Units) string {
	t, from = t.In(zone), from.In(zone)
	clock := fmt.Sprintf(words.At, u.ShowClock(t))
	switch t.Format(time.DateOnly) {
	case from.Format(time.DateOnly):
		return fmt.Sprintf(words.Today, clock)
	case from.AddDate(0, 0, 1).Format(time.DateOnly):
		return fmt.Sprintf(words.Tomorrow, clock)
	}
	return t.Format("Mon 2 Jan") + clock
}

// clockOn writes times of day; one on another day than the first names it.
func clockOn(first time.Time, zone *time.Location, u quantity.Units) func(time.Time) string {
	day := first.In(zone).Format(time.DateOnly)
	return func(t time.Time) string {
		t = t.In(zone)
		if t.Format(time.DateOnly) != day {
			return t.Format("Mon ") + u.ShowClock(t)
		}
		return u.ShowClock(t)
	}
}

// times an ordinary spell: "×1.8", "×12", "×0.45".
func times(x float64) string {
	s := fmt.Sprintf("%.2f", x)
	switch {
	case x >= 9.95:
		s = fmt.Sprintf("%.0f", x)
	case x >= 0.095:
		s = fmt.Sprintf("%.1f", x)
	}
	return "×" + s
}
