package plan

import (
	"errors"
	"time"

	"greypebble/core/ground"
	"greypebble/core/sky"
	"greypebble/core/spot"
	"greypebble/core/tide"
)

// Date is one day of a month on paper, by the place's own clock.
type Date struct {
	From  time.Time
	Turns []tide.Turn
	// Sun and Moon rise and set; empty where they do not that day.
	Sun  sky.Day
	Moon sky.Phase
	// Quarter the moon reaches that day; "" for none.
	Quarter string
	// Visits begin on that day.
	Visits []ground.Visit
}

// ErrNoMonth says that a month lies outside the years tides are worked out for.
var ErrNoMonth = errors.New("plan: expected a month between 1900 and 2100")

// Month of a spot: high and low waters, sun and moon, and when one can be there, day by day.
func Month(s *spot.Spot, year int, month time.Month, margin time.Duration) ([]Date, error) {
	if year < 1900 || year > 2100 || month < time.January || month > time.December {
		return nil, ErrNoMonth
	}
	zone := clockOf(s.Clock)
	first := time.Date(year, month, 1, 0, 0, 0, 0, zone)
	end := first.AddDate(0, 1, 0)
	c, err := tide.Over(s.Tide, first.Add(-13*time.Hour), end.Add(13*time.Hour))
	if err != nil {
		return nil, err
	}
	within, err := tide.Over(s.Tide, first, end)
	if err != nil {
		return nil, err
	}
	visits := s.Visits(within, margin, spot.ByDay)
	var out []Date
	for day := first; day.Before(end); {
		// A day of the clock: it may have 23 hours or 25.
		next := time.Date(day.Year(), day.Month(), day.Day()+1, 0, 0, 0, 0, zone)
		d := Date{From: day, Sun: s.Observer().Between(day, next), Moon: sky.MoonPhase(day.Add(12 * time.Hour)),
			Quarter: sky.Quarter(day, next)}
		for _, k := range c.Turns() {
			if !k.Time.Before(day) && k.Time.Before(next) {
				d.Turns = append(d.Turns, k)
			}
		}
		for _, v := range visits {
			begins := v.Opens
			if begins.IsZero() {
				begins = first
			}
			if !begins.Before(day) && begins.Before(next) {
				d.Visits = append(d.Visits, v)
			}
		}
		out = append(out, d)
		day = next
	}
	return out, nil
}
