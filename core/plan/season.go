package plan

import (
	"fmt"
	"slices"
	"strings"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/words"
)

// Presence of a fish in a month, by the book and the usual warmth.
type Presence string

// Presences, from none to most.
const (
	Away    Presence = "away"    // the book has it elsewhere, or the water is colder than it bears
	Slow    Presence = "slow"    // it is there, in water colder or warmer than it feeds well in
	Feeding Presence = "feeding" // the water is as it feeds in
	Prime   Presence = "prime"   // so it is, in its best months
	Unsaid  Presence = "there"   // the book does not have it away; nobody has said how warm the water is
)

// Season of a fish in a water over a year.
type Season struct {
	Target *playbook.Target
	Months [12]Presence
	// Warms is when the water usually rises to what it feeds in, in the spring of a year; zero where it
	// never does or is never below.
	Warms time.Time
	// Ahead tells the next four weeks.
	Ahead string
}

// Year of warmth in a water: what is usual, where it lies, and what the fish of it do.
type Year struct {
	Usual conditions.Usual
	// South of the equator the book's months stand half a year on.
	South bool
}

// Seasons of some fish from a day on.
func (y Year) Seasons(targets []*playbook.Target, now time.Time) []Season {
	out := make([]Season, len(targets))
	for i, t := range targets {
		s := Season{Target: t}
		for m := range s.Months {
			s.Months[m] = y.presence(t, time.Date(now.Year(), time.Month(m+1), 15, 0, 0, 0, 0, time.UTC))
		}
		s.Warms = y.warms(t, now)
		s.Ahead = y.ahead(t, now, s.Warms)
		out[i] = s
	}
	return out
}

// presence on a day.
func (y Year) presence(t *playbook.Target, day time.Time) Presence {
	month := y.bookMonth(day)
	if slices.Contains(t.Away, month) {
		return Away
	}
	warm, known := y.warmth(day)
	switch {
	case !known && slices.Contains(t.Best, month):
		return Prime
	case !known:
		return Unsaid
	case t.GoneBelowC != nil && warm < *t.GoneBelowC:
		return Away
	case warm < t.Feeds.From || warm > t.Feeds.To:
		return Slow
	case slices.Contains(t.Best, month):
		return Prime
	}
	return Feeding
}

func (y Year) bookMonth(day time.Time) string {
	m := int(day.Month()) - 1
	if y.South {
		m = (m + 6) % 12
	}
	return playbook.Months[m]
}

func (y Year) warmth(day time.Time) (float64, bool) {
	m, known := y.Usual.At(conditions.WaterTemp, day)
	return m.Mean, known
}

// warms is the next day on which the usual warmth rises to what a fish feeds in, within a year.
func (y Year) warms(t *playbook.Target, now time.Time) time.Time {
	day := time.Date(now.Year(), now.Month(), now.Day(), 12, 0, 0, 0, time.UTC)
	before, known := y.warmth(day)
	for range 366 {
		if !known {
			return time.Time{}
		}
		day = day.AddDate(0, 0, 1)
		var warm float64
		if warm, known = y.warmth(day); known && before < t.Feeds.From && warm >= t.Feeds.From {
			return day
		}
		before = warm
	}
	return time.Time{}
}

// weeks told ahead.
const weeks = 4

// ahead tells the next four weeks of a fish.
func (y Year) ahead(t *playbook.Target, now, warms time.Time) string {
	from, to := y.presence(t, now), y.presence(t, now.AddDate(0, 0, 7*weeks))
	name := t.Name
	switch {
	case from == to && from == Unsaid:
		return fmt.Sprintf(words.IsThereByTheBook, name)
	case from == to:
		return fmt.Sprintf(words.StaysSo, name, saidOf[from])
	case !warms.IsZero() && warms.Before(now.AddDate(0, 0, 7*weeks)):
		return fmt.Sprintf(words.TheWaterWarmsTo, name, saidOf[from], warms.Format("2 January"))
	}
	return fmt.Sprintf(words.GoesFromTo, name, saidOf[from], saidOf[to])
}

// saidOf a presence in a sentence.
var saidOf = map[Presence]string{Away: words.IsAway, Slow: words.IsSlow, Feeding: words.IsFeeding, Prime: words.IsAtItsBest,
	Unsaid: words.IsThere}

// Run is a water's place in the order of a spring run: whichever warms first, first.
type Run struct {
	Water string
	Warms time.Time
}

// Runs of a fish over several waters, by when each warms to what it feeds in; waters that never are
// too cold, or of which nothing is usual, have none.
func Runs(t *playbook.Target, waters map[string]Year, now time.Time) []Run {
	var out []Run
	for name, y := range waters {
		if at := y.warms(t, now); !at.IsZero() {
			out = append(out, Run{name, at})
		}
	}
	slices.SortFunc(out, func(a, b Run) int {
		if c := a.Warms.Compare(b.Warms); c != 0 {
			return c
		}
		return strings.Compare(a.Water, b.Water)
	})
	return out
}
