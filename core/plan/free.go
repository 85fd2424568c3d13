package plan

import (
	"fmt"
	"slices"
	"time"

	"greypebble/core/ground"
)

// Free says at what times of which days one could go.
type Free struct {
	// Weekdays one can go on; none: all.
	Weekdays []time.Weekday
	// From and Until are hours of the local day, 0 to 24.
	From, Until float64
}

// Validate refuses hours that are none.
func (f Free) Validate() error {
	if !(f.From >= 0 && f.From < f.Until && f.Until <= 24) {
		return fmt.Errorf("plan: the hours one is free must run from an earlier to a later one of 0 to 24, not from %v to %v",
			f.From, f.Until)
	}
	return nil
}

// Over an interval: those times, in the days of a zone. Where the clocks change, they are those the
// clock on the wall says.
func (f Free) Over(from, to time.Time, zone *time.Location) []ground.Window {
	out := []ground.Window{}
	y, m, d := from.In(zone).Date()
	for i := 0; ; i++ {
		day := time.Date(y, m, d+i, 0, 0, 0, 0, zone)
		if !day.Before(to) {
			return out
		}
		if len(f.Weekdays) > 0 && !slices.Contains(f.Weekdays, day.Weekday()) {
			continue
		}
		out = append(out, ground.Window{Opens: wall(day, f.From), Closes: wall(day, f.Until)})
	}
}

// wall is what the clock on the wall says so many hours into a day.
func wall(day time.Time, hours float64) time.Time {
	y, m, d := day.Date()
	minutes := int(hours*60 + 0.5)
	return time.Date(y, m, d, minutes/60, minutes%60, 0, 0, day.Location())
}
