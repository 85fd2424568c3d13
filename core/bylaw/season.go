package bylaw

import (
	"fmt"
	"slices"
	"strconv"
	"strings"
	"time"

	"greypebble/core/quantity"
)

// Date is a day of one year, or of every year where Year is 0.
type Date struct {
	Year  int
	Month time.Month
	Day   int
}

// dates are written "2026-03-15", or "03-15" of every year.
const (
	yearlyLayout = "01-02"
	leapYear     = 2024
)

// ParseDate reads "2026-03-15" or "03-15".
func ParseDate(s string) (Date, error) {
	if t, err := time.Parse(time.DateOnly, s); err == nil && t.Year() > 0 {
		return Date{t.Year(), t.Month(), t.Day()}, nil
	}
	// A leap year, so that 29 February is a day.
	if t, err := time.Parse(time.DateOnly, fmt.Sprintf("%d-%s", leapYear, s)); err == nil && len(s) == len(yearlyLayout) {
		return Date{0, t.Month(), t.Day()}, nil
	}
	return Date{}, fmt.Errorf("bylaw: %q is no day; expected one like 2026-03-15, or 03-15 of every year", s)
}

// String as [ParseDate] reads it.
func (d Date) String() string {
	if d.Year == 0 {
		return fmt.Sprintf("%02d-%02d", d.Month, d.Day)
	}
	return fmt.Sprintf("%04d-%02d-%02d", d.Year, d.Month, d.Day)
}

// MarshalText and UnmarshalText write and read it so.
func (d Date) MarshalText() ([]byte, error) { return []byte(d.String()), nil }

// UnmarshalText as [ParseDate].
func (d *Date) UnmarshalText(b []byte) (err error) {
	*d, err = ParseDate(string(b))
	return err
}

// Says the day in words: "15 March", "15 March 2026".
func (d Date) Says() string {
	if d.Year == 0 {
		return fmt.Sprintf("%d %s", d.Day, d.Month)
	}
	return fmt.Sprintf("%d %s %d", d.Day, d.Month, d.Year)
}

// leapt is the day before where it is 29 February of a year that has none.
func (d Date) leapt() Date {
	if t := time.Date(d.Year, d.Month, d.Day, 0, 0, 0, 0, time.UTC); t.Month() != d.Month {
		d.Day--
	}
	return d
}

// number by which days of a kind are told before and after.
func (d Date) number() int { return (d.Year*100+int(d.Month))*100 + d.Day }

// Season from a day to a day, both within it; of one year or of every year.
type Season struct {
	From Date `json:"from"`
	To   Date `json:"to"`
}

// Validate refuses a season that is none.
func (s Season) Validate() error {
	switch {
	case (s.From.Year == 0) != (s.To.Year == 0):
		return fmt.Errorf("bylaw: a season is of one year or of every year; %s and %s are one of each", s.From, s.To)
	case s.From.Year != 0 && s.From.number() > s.To.number():
		return fmt.Errorf("bylaw: a season that begins on %s cannot end on %s", s.From, s.To)
	}
	return nil
}

// Holds says whether a local day lies within the season.
func (s Season) Holds(local time.Time) bool {
	d := Date{local.Year(), local.Month(), local.Day()}
	if s.From.Year == 0 {
		d.Year = 0
	}
	n, from, to := d.number(), s.From.number(), s.To.number()
	if from > to { // over the turn of the year
		return n >= from || n <= to
	}
	return n >= from && n <= to
}

// InSeason says whether the rule's seasons hold the local day of a time.
func (r *Rule) InSeason(local time.Time) bool {
	return len(r.Seasons) == 0 || slices.ContainsFunc(r.Seasons, func(s Season) bool { return s.Holds(local) })
}

// minutesADay, by which hours are written.
const minutesADay = 24 * 60

// Hours of some days of the week. The zero value is every hour of every day.
type Hours struct {
	// Days of the week; none: every day.
	Days []time.Weekday `json:"days,omitempty"`
	// From and To are minutes of the day; both 0: all day. Where they end no later than they begin, that is the next
	// day.
	From int `json:"from,omitempty"`
	To   int `json:"to,omitempty"`
}

// Always says that they are every hour of every day.
func (h Hours) Always() bool { return len(h.Days) == 0 && h.From == 0 && h.To == 0 }

// Validate refuses hours that are none.
func (h Hours) Validate() error {
	switch {
	case h.From < 0 || h.From >= minutesADay || h.To < 0 || h.To > minutesADay:
		return fmt.Errorf("bylaw: hours lie between 00:00 and 24:00, not %d and %d minutes", h.From, h.To)
	case slices.ContainsFunc(h.Days, func(d time.Weekday) bool { return d < time.Sunday || d > time.Saturday }):
		return fmt.Errorf("bylaw: unknown day of the week; they are 0, Sunday, to 6, Saturday")
	}
	return nil
}

func (h Hours) on(d time.Weekday) bool { return len(h.Days) == 0 || slices.Contains(h.Days, d) }

// Falls says whether they are of some hour of a local day.
func (h Hours) Falls(local time.Time) bool { return h.on(local.Weekday()) }

// Holds says whether a local time lies within them.
func (h Hours) Holds(local time.Time) bool {
	if h.From == 0 && h.To == 0 {
		return h.on(local.Weekday())
	}
	minute := local.Hour()*60 + local.Minute()
	if h.From < h.To {
		return h.on(local.Weekday()) && minute >= h.From && minute < h.To
	}
	yesterday := (local.Weekday() + 6) % 7
	return h.on(local.Weekday()) && minute >= h.From || h.on(yesterday) && minute < h.To
}

// changes are the local times within an interval at which the rule may begin or cease to hold.
func (r *Rule) changes(from, to time.Time, zone *time.Location) (out []time.Time) {
	minutes := []int{0}
	if h := r.Hours; h.From != 0 || h.To != 0 {
		minutes = append(minutes, h.From, h.To)
	}
	first := from.In(zone)
	for day := 0; ; day++ {
		midnight := time.Date(first.Year(), first.Month(), first.Day()+day, 0, 0, 0, 0, zone)
		if !midnight.Before(to) {
			return out
		}
		for _, m := range minutes {
			at := time.Date(first.Year(), first.Month(), first.Day()+day, 0, m, 0, 0, zone)
			if at.After(from) && at.Before(to) {
				out = append(out, at)
			}
		}
	}
}

// clock of a minute of the day as people write it: "19:00", "7 pm".
func clock(minute int, u quantity.Units) string {
	return u.ShowClock(time.Date(leapYear, 1, 1, 0, minute, 0, 0, time.UTC))
}

// ParseDay reads "saturday", in any case.
func ParseDay(s string) (time.Weekday, error) {
	for d := time.Sunday; d <= time.Saturday; d++ {
		if strings.EqualFold(s, d.String()) {
			return d, nil
		}
	}
	return 0, fmt.Errorf("bylaw: %q is no day of the week; expected one like saturday", s)
}

// ParseClock reads "19:00" as the minute of the day, up to "24:00".
func ParseClock(s string) (int, error) {
	hours, minutes, cut := strings.Cut(s, ":")
	h, hourErr := strconv.ParseUint(hours, 10, 8)
	m, minuteErr := strconv.ParseUint(minutes, 10, 8)
	if at := int(h*60 + m); cut && hourErr == nil && minuteErr == nil && len(s) == len("19:00") && m < 60 && at <= minutesADay {
		return at, nil
	}
	return 0, fmt.Errorf("bylaw: %q is no time of the day; expected one like 19:00", s)
}

// WriteClock as [ParseClock] reads it.
func WriteClock(minute int) string { return fmt.Sprintf("%02d:%02d", minute/60, minute%60) }

// Again is the rule as it may be for the year to come: seasons of years gone by stand in this year, or in the next where
// they are over in this. Nobody has looked that up.
func (r Rule) Again(now time.Time) Rule {
	var moved []Season
	for _, s := range r.Seasons {
		if s.From.Year > 0 {
			span := s.To.Year - s.From.Year
			for s.To.Year < now.Year() || time.Date(s.To.Year, s.To.Month, s.To.Day+1, 0, 0, 0, 0, now.Location()).Before(now) {
				s.From.Year, s.To.Year = s.From.Year+1, s.From.Year+1+span
			}
			s.From, s.To = s.From.leapt(), s.To.leapt()
		}
		moved = append(moved, s)
	}
	r.ID, r.Seasons, r.CheckedOn, r.CheckedBy = "", moved, now, ""
	return r
}
