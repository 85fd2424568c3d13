package logcsv

import (
	"errors"
	"fmt"
	"regexp"
	"strconv"
	"strings"
	"time"
)

// Order of day, month and year in dates written with numbers alone.
type Order string

// Orders.
const (
	YearFirst  Order = "ymd"
	DayFirst   Order = "dmy"
	MonthFirst Order = "mdy"
)

// ErrOrder says that dates can be read in two ways.
var ErrOrder = errors.New("the dates of this file can be read as day and month, or as month and day; say which")

var (
	numbers = regexp.MustCompile(`^(\d{1,4})[-/. ](\d{1,2})[-/. ](\d{1,4})$`)
	// 20 Nov 2026, Nov 20, 2026.
	named = regexp.MustCompile(`^(?i)(\d{1,2})[-/. ]*([a-z]{3,9})[-/., ]*(\d{2,4})$|` +
		`^(?i)([a-z]{3,9})[-/. ]*(\d{1,2})(?:st|nd|rd|th)?[-/., ]+(\d{2,4})$`)
	clocks = regexp.MustCompile(`^(?i)(\d{1,2})(?:[:.h](\d{2}))?(?:[:.](\d{2}))?\s*(am|pm)?$`)
	hhmm   = regexp.MustCompile(`^(\d{2})(\d{2})$`)
)

// orderOf dates, by one whose day is past twelve; empty where none tells, or none needs it.
func orderOf(texts []string) (Order, error) {
	first, second, open := false, false, false
	for _, text := range texts {
		head, _ := parted(text)
		m := numbers.FindStringSubmatch(head)
		if m == nil || len(m[1]) == 4 {
			continue
		}
		a, _ := strconv.Atoi(m[1])
		b, _ := strconv.Atoi(m[2])
		first, second, open = first || a > 12, second || b > 12, open || a != b
	}
	switch {
	case first && second:
		return "", errors.New("some dates of this file have the day first and others the month; expected one order")
	case first:
		return DayFirst, nil
	case second:
		return MonthFirst, nil
	case open:
		return "", ErrOrder
	}
	return DayFirst, nil
}

// betweenDayAndClock is the T of ISO 8601.
var betweenDayAndClock = regexp.MustCompile(`(\d)T(\d)`)

// parted is a text's day, and the clock behind it; without one the clock is empty.
func parted(text string) (day, at string) {
	words := strings.Fields(betweenDayAndClock.ReplaceAllString(text, "$1 $2"))
	for _, n := range []int{2, 1} { // 6:40 am, 06:40
		k := len(words) - n
		if k < 1 {
			continue
		}
		day, at = strings.Join(words[:k], " "), strings.Join(words[k:], " ")
		if (clocks.MatchString(at) || hhmm.MatchString(at)) && (numbers.MatchString(day) || named.MatchString(day)) {
			return day, at
		}
	}
	return strings.Join(words, " "), ""
}

// day of a date.
func day(text string, order Order) (time.Time, error) {
	text = strings.TrimSpace(text)
	if m := named.FindStringSubmatch(text); m != nil {
		d, month, year := m[1], m[2], m[3]
		if d == "" {
			month, d, year = m[4], m[5], m[6]
		}
		for k := time.January; k <= time.December; k++ {
			if name := strings.ToLower(k.String()); strings.HasPrefix(name, strings.ToLower(month)) {
				return date(year, int(k), d, text)
			}
		}
		return time.Time{}, fmt.Errorf("expected a date like 2026-11-20, not %q", text)
	}
	m := numbers.FindStringSubmatch(text)
	if m == nil {
		return time.Time{}, fmt.Errorf("expected a date like 2026-11-20, not %q", text)
	}
	a, b, c := m[1], m[2], m[3]
	if len(a) == 4 {
		order = YearFirst
	}
	switch order {
	case YearFirst:
		month, _ := strconv.Atoi(b)
		return date(a, month, c, text)
	case MonthFirst:
		month, _ := strconv.Atoi(a)
		return date(c, month, b, text)
	}
	month, _ := strconv.Atoi(b)
	return date(c, month, a, text)
}

func date(year string, month int, d, text string) (time.Time, error) {
	y, _ := strconv.Atoi(year)
	dd, _ := strconv.Atoi(d)
	if len(year) <= 2 {
		y += 2000
	}
	at := time.Date(y, time.Month(month), dd, 0, 0, 0, 0, time.UTC)
	if y < 1950 || y > 2199 || month < 1 || at.Day() != dd || int(at.Month()) != month {
		return time.Time{}, fmt.Errorf("there is no day %q, as its numbers are read", text)
	}
	return at, nil
}

// clock within a day.
func clock(text string) (time.Duration, error) {
	text = strings.TrimSpace(text)
	m := clocks.FindStringSubmatch(text)
	if plain := hhmm.FindStringSubmatch(text); plain != nil {
		m = []string{text, plain[1], plain[2], "", ""}
	}
	if m == nil {
		return 0, fmt.Errorf("expected a time of day like 06:40, not %q", text)
	}
	h, _ := strconv.Atoi(m[1])
	minute, _ := strconv.Atoi(m[2])
	s, _ := strconv.Atoi(m[3])
	half := strings.ToLower(m[4])
	if half != "" && (h < 1 || h > 12) || h > 24 || minute > 59 || s > 59 || h == 24 && minute+s > 0 {
		return 0, fmt.Errorf("there is no time of day %q", text)
	}
	if half != "" {
		h %= 12
	}
	if half == "pm" {
		h += 12
	}
	return time.Duration(h)*time.Hour + time.Duration(minute)*time.Minute + time.Duration(s)*time.Second, nil
}

// moment is a day and a clock in one text, with an offset or without.
func moment(text string, order Order) (Wall, error) {
	text = strings.TrimSpace(text)
	for _, f := range []string{time.RFC3339, "2006-01-02T15:04Z07:00", "2006-01-02 15:04:05Z07:00", "2006-01-02 15:04Z07:00"} {
		if t, err := time.Parse(f, text); err == nil {
			if t.Year() < 1950 || t.Year() > 2199 {
				break
			}
			return Wall{t.UTC(), true}, nil
		}
	}
	head, at := parted(text)
	d, err := day(head, order)
	if err != nil {
		return Wall{}, err
	}
	if at == "" {
		return Wall{}, fmt.Errorf("expected a time of day with the date, like 2026-11-20 06:40, not %q", text)
	}
	c, err := clock(at)
	return Wall{d.Add(c), false}, err
}
