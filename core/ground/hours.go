package ground

import (
	"errors"
	"fmt"
	"slices"
	"time"
)

// Hours in which a gate, a pier, a park or a lock is open, on some days of the week within a season.
type Hours struct {
	// Days of the week on which it opens.
	Days []time.Weekday
	// From and To are the first and last day of the season as month × 100 + day; 0 is all year.
	From, To int
	// Opens and Closes are minutes of the day; where it closes no later than it opens, that is the next day.
	Opens, Closes int
}

// Timetable of a place; an empty one never shuts. On a day of which it says nothing it is shut.
type Timetable []Hours

// minutesADay, by which hours are written.
const minutesADay = 24 * 60

// Validate refuses hours that are none.
func (h Hours) Validate() error {
	switch {
	case len(h.Days) == 0:
		return errors.New("ground: hours need at least one day of the week")
	case slices.ContainsFunc(h.Days, func(d time.Weekday) bool { return d < time.Sunday || d > time.Saturday }):
		return errors.New("ground: unknown day of the week")
	case h.Opens < 0 || h.Opens >= minutesADay || h.Closes < 0 || h.Closes > minutesADay:
		return fmt.Errorf("ground: hours lie between 0 and %d minutes of the day", minutesADay)
	}
	for _, md := range []int{h.From, h.To} {
		if md == 0 {
			continue
		}
		if t := time.Date(2024, time.Month(md/100), md%100, 0, 0, 0, 0, time.UTC); md/100 < 1 || int(t.Month())*100+t.Day() != md {
			return fmt.Errorf("ground: %d is no day of the year, as 401 is the first of April", md)
		}
	}
	if (h.From == 0) != (h.To == 0) {
		return errors.New("ground: a season has both a first and a last day")
	}
	return nil
}

// on says whether the hours begin on a day of the place's clock.
func (h Hours) on(day time.Time) bool {
	z := Zone{From: h.From, To: h.To}
	return slices.Contains(h.Days, day.Weekday()) && z.InSeason(day)
}

// lasts from the minute it opens on a day to the minute it closes.
func (h Hours) lasts(day time.Time) (from, to time.Time) {
	at := func(minute int) time.Time {
		return time.Date(day.Year(), day.Month(), day.Day(), 0, minute, 0, 0, day.Location())
	}
	closes := h.Closes
	if closes <= h.Opens {
		closes += minutesADay
	}
	return at(h.Opens), at(closes)
}

// Open says whether it is at a moment, by the clock of the time's own zone.
func (tt Timetable) Open(t time.Time) bool {
	if len(tt) == 0 {
		return true
	}
	for back := range 2 {
		day := t.AddDate(0, 0, -back)
		for _, h := range tt {
			if from, to := h.lasts(day); h.on(day) && !t.Before(from) && t.Before(to) {
				return true
			}
		}
	}
	return false
}

// Windows of an interval in which it is open; what shuts it is said by a word. Where it never shuts it is
// one window without ends.
func (tt Timetable) Windows(from, to time.Time, zone *time.Location, shutBy string) []Window {
	if len(tt) == 0 {
		return []Window{{}}
	}
	var spans []Window
	first := from.In(zone)
	for day := time.Date(first.Year(), first.Month(), first.Day()-1, 0, 0, 0, 0, zone); day.Before(to); day = day.AddDate(0, 0, 1) {
		for _, h := range tt {
			if !h.on(day) {
				continue
			}
			if a, b := h.lasts(day); b.After(from) && a.Before(to) {
				spans = append(spans, Window{Opens: a.UTC(), Closes: b.UTC(), ClosedBy: shutBy})
			}
		}
	}
	slices.SortFunc(spans, func(a, b Window) int { return a.Opens.Compare(b.Opens) })
	out := []Window{}
	for _, w := range spans {
		if n := len(out); n > 0 && !w.Opens.After(out[n-1].Closes) {
			if w.Closes.After(out[n-1].Closes) {
				out[n-1].Closes = w.Closes
			}
			continue
		}
		out = append(out, w)
	}
	for i := range out {
		// What begins or ends beyond the interval has no end in it.
		if !out[i].Opens.After(from) {
			out[i].Opens = time.Time{}
		}
		if !out[i].Closes.Before(to) {
			out[i].Closes, out[i].ClosedBy = time.Time{}, ""
		}
	}
	return out
}
