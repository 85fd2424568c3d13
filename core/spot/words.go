package spot

import (
	"fmt"
	"strings"
	"time"

	"greypebble/core/ground"
	"greypebble/core/prose"
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
		return "Closed by " + z.Name, "Its rule holds " + z.Season() + "."
	}
	switch {
	case now != nil && now.Closes.IsZero():
		return wayOpen, "For as long as the ribbon shows."
	case now != nil:
		return wayOpen, fmt.Sprintf("Until %s, in %s: then it is %s.", as.clock(now.Closes),
			prose.Lasting(now.Closes.Sub(t).Round(time.Minute)), now.ClosedBy)
	case next == nil:
		return wayShut, "Not as far as the ribbon shows."
	}
	until := ""
	if !next.Closes.IsZero() {
		until = ", until " + as.clock(next.Closes)
	}
	in := next.Opens.Sub(t).Round(time.Minute)
	if in <= soon {
		return fmt.Sprintf("Opens in %s, at %s", prose.Lasting(in), as.clock(next.Opens)),
			fmt.Sprintf("You cannot get in and back yet%s.", strings.Replace(until, ", until", "; then you can until", 1))
	}
	return wayShut, fmt.Sprintf("Opens at %s, in %s%s.", as.clock(next.Opens), prose.Lasting(in),
		strings.Replace(until, ", until", "; open until", 1))
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
		return "until " + as.clock(now.Closes) + ", then " + ground.TooDeep
	case now != nil:
		return "until " + as.clock(now.Closes)
	case next != nil:
		return "from " + as.clock(next.Opens)
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
