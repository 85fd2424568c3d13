// Package calendar writes visits to a spot as an iCalendar file (RFC 5545).
package calendar

import (
	"bytes"
	"fmt"
	"time"

	ics "github.com/arran4/golang-ical"

	"greypebble/core/ground"
)

// caution goes with every entry: a calendar is read without the screen beside it.
const caution = " Worked out from the predicted tide: look at the water, and heed local warnings."

// Visits to a spot, by its id and name, that have both ends; written at a time now, in
// words of the spot's own time zone.
func Visits(id, name string, visits []ground.Visit, zone *time.Location, now time.Time) ([]byte, error) {
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
		e.SetSummary(name)
		e.SetDescription(v.Says(zone) + caution)
	}
	var b bytes.Buffer
	err := c.SerializeTo(&b, ics.WithNewLineWindows)
	return b.Bytes(), err
}
