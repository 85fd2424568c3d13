// Package calendar writes visits to a spot as an iCalendar file (RFC 5545).
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

// Visits to a spot, by its id and name, that have both ends; written at a time now, in
// words of the spot's own time zone.
func Visits(id, name string, visits []ground.Visit, zone *time.Location, u quantity.Units, now time.Time) ([]byte, error) {
	c := ics.NewCalendar()
	c.SetProductId("-//Grey Pebble//Grey Pebble//EN")
	for _, v := range visits {
		if v.Opens.IsZero() || v.Closes.IsZero() {
			continue
		}
		e := c.AddEvent(fmt.Sprintf("%s-%d@greypebble", id, v.Opens.Unix()))
		e.SetDtStampTime(now)
		e.SetStartAt(v.Opens)
		e.SetEndAt(v.BeOutBy)
		e.SetSummary(folded(name))
		e.SetDescription(folded(v.Says(zone, u) + caution))
	}
	var b bytes.Buffer
	err := c.SerializeTo(&b, ics.WithNewLineWindows)
	return b.Bytes(), err
}
