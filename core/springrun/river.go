package springrun

import (
	"math"
	"sync"
	"time"

	"greypebble/core/conditions"
)

// MostBends a river has.
const MostBends = 60

// Warmth of the water, °C, between which a fish runs.
type Warmth struct{ From, To float64 }

// River with its bends in their order from the mouth, and what one's log met there.
type River struct {
	Bends int
	// Met by target, in no order.
	Met map[string][]Met
	// Readings of its water around Now, with what is usual.
	Readings conditions.Readings
	Now      time.Time

	courses sync.Map
}

// asked after a course: of whom, and in which warmth it runs.
type asked struct {
	target string
	warmth Warmth
}

// Followed is how many days from now a course is followed.
const Followed = 35

// Course of a fish that runs in a warmth; nil where it is not its time or nothing is known. It is
// worked out once.
func (r *River) Course(target string, w Warmth) *Course {
	k := asked{target, w}
	if c, known := r.courses.Load(k); known {
		return c.(*Course)
	}
	c := r.follow(k)
	r.courses.Store(k, c)
	return c
}

func (r *River) follow(k asked) *Course {
	var met []Met
	for _, m := range r.Met[k.target] {
		if m.At.Before(r.Now) && r.Now.Sub(m.At) < longestRun {
			met = append(met, m)
		}
	}
	enters, season := Entering(r.Readings, r.Now, k.warmth)
	if !season && len(met) == 0 {
		return nil
	}
	return Follow(r.Bends, enters, met, r.Now.AddDate(0, 0, -1), Followed+1)
}

const (
	// longestRun from its first fish to its last; common practice speaks of weeks.
	longestRun = 75 * 24 * time.Hour
	// soonest a run is spoken of before it comes.
	soonest = Followed * 24 * time.Hour
	// beyond the warmth it runs in it may linger, °C.
	beyond = 3.0
)

// Entering is when a run comes to a river by its warmth: the day the usual temperature, shifted by as
// much as the water is warmer or colder than usual now, rises to where it begins. Season is false
// where that is not within a run's length of now, or the water has grown too warm for it.
func Entering(r conditions.Readings, now time.Time, w Warmth) (e Entry, season bool) {
	usual, known := r.Usually(conditions.WaterTemp, now)
	if !known {
		return Entry{}, false
	}
	shift, sure := 0.0, 1.0
	if told, there := r.Believe(now)[conditions.WaterTemp]; there && told.Origin.Told() {
		shift, sure = told.Value-usual.Mean, 0.5
	}
	if usual.Mean+shift > w.To+beyond {
		return Entry{}, false
	}
	at := func(d time.Time) (float64, bool) {
		m, known := r.Usually(conditions.WaterTemp, d)
		return m.Mean + shift, known
	}
	for d := day(now).Add(soonest); !d.Before(now.Add(-longestRun)); d = d.AddDate(0, 0, -1) {
		before, a := at(d.AddDate(0, 0, -1))
		after, b := at(d)
		if !a || !b || !(before < w.From && after >= w.From) {
			continue
		}
		sd := sure * math.Max(usual.Spread, 0.5) / (after - before)
		return Entry{d, math.Min(math.Max(sd, leastSD), mostSD)}, true
	}
	return Entry{}, false
}

// The day a run comes on is known to within so many days at the best and at the worst.
const (
	leastSD = 2.0
	mostSD  = 20.0
)
