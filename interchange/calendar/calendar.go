// Package calendar writes times to be somewhere as an iCalendar file (RFC 5545).
package calendar

import (
	"bytes"
	"fmt"
	"strings"
	"time"

	ics "github.com/arran4/golang-ical"

	"greypebble/core/ground"
	"greypebble/core/quantity"
)

// caution goes with every entry: a calendar is read without the screen beside it.
const caution = " Worked out from the predicted tide: look at the water, and heed local warnings."

// folded ends of lines are all of one kind: a bare carriage return would begin a line of
// its own in the file.
func folded(text string) string {
	return strings.ReplaceAll(strings.ReplaceAll(text, "\r\n", "\n"), "\r", "\n")
}

// Event of a calendar. Taken again with the same UID and a higher Sequence it is the same event,
// changed; a calendar that knows it moves it and does not double it (RFC 5545, 3.8.7.4).
type Event struct {
	UID      string
	Sequence int
	From, To time.Time
	Summary  string
	Says     string
}

// epoch that sequences are counted from.
var epoch = time.Date(2026, 1, 1, 0, 0, 0, 0, time.UTC)

// SequenceAt a time: minutes, so that what is written later goes before what was written earlier.
func SequenceAt(now time.Time) int { return max(0, int(now.Sub(epoch)/time.Minute)) }

// Write events at a time now.
func Write(events []Event, now time.Time) ([]byte, error) {
	c := ics.NewCalendar()
	c.SetProductId("-//Grey Pebble//Grey Pebble//EN")
	for _, v := range events {
		e := c.AddEvent(v.UID + "@greypebble")
		e.SetSequence(v.Sequence)
		e.SetDtStampTime(now)
		e.SetStartAt(v.From)
		e.SetEndAt(v.To)
		e.SetSummary(folded(v.Summary))
		e.SetDescription(folded(v.Says + caution))
	}
	var b bytes.Buffer
	err := c.SerializeTo(&b, ics.WithNewLineWindows)
	return b.Bytes(), err
}

// Visits to a spot, by its id and name, that have both ends; written at a time now, in
// words of the spot's own time zone.
func Visits(id, name string, visits []ground.Visit, zone *time.Location, u quantity.Units, now time.Time) ([]byte, error) {
	var events []Event
	for _, v := range visits {
		if v.Opens.IsZero() || v.Closes.IsZero() {
			continue
		}
		events = append(events, Event{fmt.Sprintf("%s-%d", id, v.Opens.Unix()), SequenceAt(now), v.Opens, v.BeOutBy, name, v.Says(zone, u)})
	}
	return Write(events, now)
}
