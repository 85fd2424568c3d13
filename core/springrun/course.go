package springrun

import (
	"math"
	"time"
)

// What is assumed of a school; common practice, no source.
const (
	// DaysABend is how long it lies at one on average.
	DaysABend = 3.0
	// beside is how likely a fish taken is one ahead of the school or behind it, by a bend, of one in
	// its midst; further off far less so.
	beside, astray = 0.15, 0.02
	// perRodHour are the fish a rod takes in an hour where the school lies.
	perRodHour = 0.7
	// unseen is how likely a blank is at the least, where it does: it may not feed.
	unseen = 0.15
)

// Entry is when a school comes to the first bend, give or take: the water warms to what it runs in.
// The zero value is not known.
type Entry struct {
	At     time.Time
	SDDays float64
}

// MetSince so many days ago is what a run is followed by.
const MetSince = 90

// Met is what a day at a bend told of a fish.
type Met struct {
	At   time.Time
	Bend int
	// Fish caught, and the time it was sought there: with neither it tells nothing.
	Fish     int
	RodHours float64
}

// Course of a run: where it lies, day by day.
type Course struct {
	from time.Time
	// shares by day: of not having come yet, then by bend.
	shares [][]float64
}

// span is how many days before its first a course begins at least: what was met since counts.
const span = 30

// Follow a school over some days along so many bends, from when it comes and what was met; nil where
// neither says anything of it.
func Follow(bends int, enters Entry, met []Met, from time.Time, days int) *Course {
	if bends < 1 {
		return nil
	}
	from = day(from)
	begins := from.AddDate(0, 0, -span)
	if !enters.At.IsZero() {
		if early := day(enters.At).AddDate(0, 0, -int(4*enters.SDDays)-1); early.Before(begins) {
			begins = early
		}
	}
	now := make([]float64, bends+1)
	now[0] = 1
	if enters.At.IsZero() { // until the first fish it may be anywhere
		first, found := firstFish(met, bends)
		if !found {
			return nil
		}
		begins = day(first)
		for i := range now {
			now[i] = 1 / float64(bends+1)
		}
	}
	if begins.After(from) {
		days -= int(begins.Sub(from).Hours() / 24)
		from = begins
	}
	c := &Course{from: from}
	for d := begins; d.Before(from.AddDate(0, 0, days)); d = d.AddDate(0, 0, 1) {
		if d != begins {
			now = step(now, entering(enters, d))
		}
		for _, m := range met {
			if day(m.At).Equal(d) && m.Bend >= 1 && m.Bend <= bends {
				now = m.see(now)
			}
		}
		if !d.Before(from) {
			c.shares = append(c.shares, now)
		}
	}
	return c
}

// firstFish met at one of so many bends.
func firstFish(met []Met, bends int) (at time.Time, found bool) {
	for _, m := range met {
		if m.Fish > 0 && m.Bend >= 1 && m.Bend <= bends && (!found || m.At.Before(at)) {
			at, found = m.At, true
		}
	}
	return at, found
}

// day of a moment: the course is one of whole days.
func day(t time.Time) time.Time { return t.UTC().Truncate(24 * time.Hour) }

// entering is how likely a school that has not come comes on a day.
func entering(e Entry, d time.Time) float64 {
	if e.At.IsZero() {
		return 1 / DaysABend
	}
	later := func(t time.Time) float64 {
		return math.Erfc(t.Sub(e.At).Hours()/24/math.Max(e.SDDays, 0.5)/math.Sqrt2) / 2
	}
	before, after := later(d.AddDate(0, 0, -1)), later(d)
	if before < 1e-9 {
		return 1
	}
	return 1 - after/before
}

// step a day on: up by a bend, or not; at the last it stays.
func step(now []float64, enters float64) []float64 {
	out := make([]float64, len(now))
	for b, p := range now {
		moves := 1 / DaysABend
		switch b {
		case 0:
			moves = enters
		case len(now) - 1:
			moves = 0
		}
		out[b] += p * (1 - moves)
		if moves > 0 {
			out[b+1] += p * moves
		}
	}
	return out
}

// see what was met: a fish speaks for its bend, a blank against it.
func (m Met) see(now []float64) []float64 {
	out, sum := make([]float64, len(now)), 0.0
	for b, p := range now {
		like := 1.0
		switch {
		case m.Fish > 0 && b != m.Bend:
			like = astray
			if b == m.Bend-1 || b == m.Bend+1 {
				like = beside
			}
		case m.Fish == 0 && b == m.Bend:
			like = math.Max(math.Exp(-perRodHour*m.RodHours), unseen)
		}
		out[b] = p * like
		sum += out[b]
	}
	for b := range out {
		out[b] /= sum // never 0: every likelihood is above it
	}
	return out
}

// Share of the school at a bend on a day, of what has come to any; NaN outside the days followed.
func (c *Course) Share(t time.Time, bend int) float64 {
	i := int(day(t).Sub(c.from).Hours() / 24)
	if i < 0 || i >= len(c.shares) || bend < 1 || bend >= len(c.shares[i]) {
		return math.NaN()
	}
	come := 1 - c.shares[i][0]
	if come < 1e-6 { // none has: the first is where it will
		if bend == 1 {
			return 1
		}
		return 0
	}
	return c.shares[i][bend] / come
}

// Come is how likely it is that the school has come to the river by a day; NaN outside the days
// followed.
func (c *Course) Come(t time.Time) float64 {
	i := int(day(t).Sub(c.from).Hours() / 24)
	if i < 0 || i >= len(c.shares) {
		return math.NaN()
	}
	return 1 - c.shares[i][0]
}

// Bends of the river.
func (c *Course) Bends() int { return len(c.shares[0]) - 1 }

// Days followed.
func (c *Course) Days() (from time.Time, n int) { return c.from, len(c.shares) }

// leastFactor holds up what an hour is worth where the run is not: a straggler may be.
const leastFactor = 0.1

// Factor by which a bend is worth more or less than bends are on the mean, on a day; 1 where nothing
// is known.
func (c *Course) Factor(t time.Time, bend int) float64 {
	if c == nil {
		return 1
	}
	share := c.Share(t, bend)
	if share != share {
		return 1
	}
	return leastFactor + (1-leastFactor)*share*float64(c.Bends())
}
