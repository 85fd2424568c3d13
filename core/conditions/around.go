package conditions

import "time"

// Readings that may speak for a moment and the fortnight after it reach from so many days before its
// hour to so many after.
const (
	daysBefore = 4
	daysAfter  = 15
)

// Around the hour of a time: between when the readings lie that may speak for it, both ends included.
func Around(t time.Time) (from, to time.Time) {
	hour := t.UTC().Truncate(time.Hour)
	return hour.AddDate(0, 0, -daysBefore), hour.Add(time.Hour).AddDate(0, 0, daysAfter)
}

// Between two times, both included: those of some readings, in their order.
func Between(list []Reading, from, to time.Time) []Reading {
	out := make([]Reading, 0, len(list))
	for i := range list {
		if r := &list[i]; !r.Time.Before(from) && !r.Time.After(to) {
			out = append(out, *r)
		}
	}
	return out
}
