package spot

import (
	"fmt"
	"time"

	"greypebble/core/ground"
	"greypebble/core/prose"
	"greypebble/core/words"
)

// clock writes a time of day in a place's own time.
func (as Spoken) clock(t time.Time) string { return as.Units.ShowClock(t.In(as.Zone)) }

// standing is the window open at a time, or else the next one to open.
func standing(windows []ground.Window, t time.Time) (now, next *ground.Window) {
	for i := range windows {
		w := &windows[i]
		if w.Holds(t) {
			return w, nil
		}
		if next == nil && w.Opens.After(t) {
			next = w
		}
	}
	return nil, next
}

// SayWay says whether one can get in and back at a time, and what comes next, in the
// place's own time: "Until 13:55, in 1 h 05 min: then it is too deep at the gut on the way
// back." A rule that closes the spot then goes before.
func (s *Spot) SayWay(open []ground.Window, t time.Time, as Spoken) (title, says string) {
	now, next := standing(open, t)
	if z := s.Closing(t); z != nil {
		return fmt.Sprintf(words.ClosedBy2, z.Name()), fmt.Sprintf(words.ItsRuleHolds, z.Season(as.Units))
	}
	switch {
	case now != nil && now.Closes.IsZero():
		return wayOpen, words.ForAsLongAsTheRibbon
	case now != nil:
		return wayOpen, fmt.Sprintf(words.UntilInThenItIs, as.clock(now.Closes),
			prose.Lasting(now.Closes.Sub(t).Round(time.Minute)), now.ClosedBy)
	case next == nil:
		return wayShut, words.NotAsFarAsTheRibbon
	}
	in := next.Opens.Sub(t).Round(time.Minute)
	opens, closes := as.clock(next.Opens), ""
	if !next.Closes.IsZero() {
		closes = as.clock(next.Closes)
	}
	switch soon := in <= soon; {
	case soon && closes == "":
		return fmt.Sprintf(words.OpensInAt, prose.Lasting(in), opens), words.YouCannotGetInYet
	case soon:
		return fmt.Sprintf(words.OpensInAt, prose.Lasting(in), opens), fmt.Sprintf(words.YouCannotGetInYetThenUntil, closes)
	case closes == "":
		return wayShut, fmt.Sprintf(words.OpensAtIn, opens, prose.Lasting(in))
	}
	return wayShut, fmt.Sprintf(words.OpensAtInUntil, opens, prose.Lasting(in), closes)
}

// soon is when opening goes before being shut: one waits for it.
const soon = time.Hour

const (
	wayOpen = "You can get in and back"
	wayShut = "Shut: you cannot get in and back"
)

// SayMark says when a mark is worth a cast: "until 13:55, then too deep", "from 16:10".
func SayMark(windows []ground.Window, t time.Time, as Spoken) string {
	now, next := standing(windows, t)
	switch {
	case now != nil && now.Closes.IsZero():
		return "open"
	case now != nil && now.ClosedBy == ground.TooDeep:
		return fmt.Sprintf(words.UntilThen, as.clock(now.Closes), ground.TooDeep)
	case now != nil:
		return fmt.Sprintf(words.Until2, as.clock(now.Closes))
	case next != nil:
		return fmt.Sprintf(words.From, as.clock(next.Opens))
	}
	return "not today"
}

// Reads are the tools that read the water of this kind of place: "surf", "pier".
func (s *Spot) Reads() []string {
	switch s.Place {
	case "surf beach":
		return []string{"surf"}
	case "pier":
		return []string{"pier"}
	}
	return []string{}
}
