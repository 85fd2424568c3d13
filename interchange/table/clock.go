package table

import (
	"fmt"
	"time"
)

// clock reads the times of a file, which all carry an offset or all do not.
type clock struct {
	zone *time.Location
	// zoned says whether times carry offsets, once one has been read.
	zoned, known bool
	last         time.Time
}

var (
	withOffset = []string{time.RFC3339, "2006-01-02T15:04Z07:00", "2006-01-02 15:04:05Z07:00", "2006-01-02 15:04Z07:00"}
	without    = []string{"2006-01-02T15:04:05", "2006-01-02T15:04", "2006-01-02 15:04:05", "2006-01-02 15:04"}
)

// read a time; says is what was wrong with it.
func (c *clock) read(text string) (t time.Time, says string) {
	for _, f := range withOffset {
		if t, err := time.Parse(f, text); err == nil {
			if c.known && !c.zoned {
				return t, fmt.Sprintf("%q carries an offset from UTC, the lines before do not; expected all or none", text)
			}
			c.zoned, c.known = true, true
			return t.UTC(), ""
		}
	}
	for _, f := range without {
		if t, err := time.Parse(f, text); err == nil {
			if c.known && c.zoned {
				return t, fmt.Sprintf("%q carries no offset from UTC, the lines before do; expected all or none", text)
			}
			if c.zone == nil {
				return t, fmt.Sprintf("%q does not say its time zone; expected an ending like Z or +02:00, or the zone named beside "+
					"the file", text)
			}
			c.known = true
			return c.local(t), ""
		}
	}
	return time.Time{}, fmt.Sprintf("expected a time like 2026-05-12T06:00:00Z, not %q", text)
}

// local puts a wall-clock time into the zone. In the hour that comes twice the
// one that goes on from the line before is meant.
func (c *clock) local(wall time.Time) time.Time {
	t := time.Date(wall.Year(), wall.Month(), wall.Day(), wall.Hour(), wall.Minute(), wall.Second(), 0, c.zone)
	for _, other := range []time.Time{t.Add(-time.Hour), t.Add(time.Hour)} {
		if other.Hour() != t.Hour() || other.Minute() != t.Minute() {
			continue
		}
		early, late := t, other
		if late.Before(early) {
			early, late = late, early
		}
		t = early
		if !c.last.IsZero() && !early.After(c.last) {
			t = late
		}
		break
	}
	c.last = t
	return t.UTC()
}
