package ground

import (
	"math"
	"sort"
	"time"

	"greypebble/core/tide"
)

// Window is a stretch of time in which something is open. A zero Opens or
// Closes means that the end lies outside the interval asked about.
type Window struct {
	Opens, Closes time.Time
	// ClosedBy says in words what ends it, empty where it runs past the interval.
	ClosedBy string
}

// Holds says whether t lies in the window.
func (w Window) Holds(t time.Time) bool {
	return (w.Opens.IsZero() || !t.Before(w.Opens)) && (w.Closes.IsZero() || t.Before(w.Closes))
}

// Ways in their order, asked after moments that only go forward.
type Ways struct{ left []Window }

// Onward over windows in their order.
func Onward(list []Window) *Ways { return &Ways{list} }

// At is the window that holds a moment no sooner than any asked after before; false where none does.
func (w *Ways) At(t time.Time) (Window, bool) {
	for len(w.left) > 0 && !w.left[0].Closes.IsZero() && !t.Before(w.left[0].Closes) {
		w.left = w.left[1:]
	}
	if len(w.left) == 0 || !w.left[0].Holds(t) {
		return Window{}, false
	}
	return w.left[0], true
}

// Between finds when the level of the tide lies in [lo, hi] metres within the
// curve's interval. tooLow and tooHigh name what shuts it.
func Between(c *tide.Curve, lo, hi float64, tooLow, tooHigh string) []Window {
	from, to := c.Interval()
	inside := func(h float64) bool { return h >= lo && h <= hi }
	var out []Window
	open := inside(c.Level(from))
	if open {
		out = append(out, Window{})
	}
	for _, x := range crossings(c, from, to, lo, hi) {
		now := inside(x.after)
		if now == open {
			continue
		}
		open = now
		if open {
			out = append(out, Window{Opens: x.at})
			continue
		}
		last := &out[len(out)-1]
		last.Closes = x.at
		last.ClosedBy = tooHigh
		if x.after < lo {
			last.ClosedBy = tooLow
		}
	}
	return out
}

// crossing is a moment at which the level passes a limit and the level just
// after it.
type crossing struct {
	at    time.Time
	after float64
}

func crossings(c *tide.Curve, from, to time.Time, limits ...float64) []crossing {
	ends := []levelAt{{from, c.Level(from)}}
	for _, k := range c.Turns() {
		ends = append(ends, levelAt{k.Time, k.LevelM})
	}
	ends = append(ends, levelAt{to, c.Level(to)})
	var out []crossing
	for i := 1; i < len(ends); i++ {
		a, b := ends[i-1], ends[i]
		for _, limit := range limits {
			if math.IsInf(limit, 0) || (a.m < limit) == (b.m < limit) {
				continue
			}
			at := when(c, a, b, limit)
			after := limit + math.Copysign(1e-9, b.m-a.m)
			out = append(out, crossing{at, after})
		}
	}
	sort.SliceStable(out, func(i, j int) bool { return out[i].at.Before(out[j].at) })
	return out
}

// levelAt a moment, in metres.
type levelAt struct {
	t time.Time
	m float64
}

// finely a crossing is known.
const finely = 50 * time.Millisecond

// when a monotone stretch crosses a limit, to [finely]; just after it, so that the level has passed.
// The secant of the bracket's ends, the one that stayed weighed down (the Illinois rule: Dowell and
// Jarratt 1971), lands beside the crossing in a few steps; a step that hardly gains is a halving.
// The first step takes the stretch for a half cosine, which between two turns it nearly is.
func when(c *tide.Curve, from, to levelAt, limit float64) time.Time {
	a, b, ya, yb := from.t, to.t, from.m-limit, to.m-limit
	below := ya < 0
	along := math.Acos(1-2*ya/(ya-yb)) / math.Pi
	for wide := b.Sub(a); wide > finely; wide = b.Sub(a) {
		at := time.Duration(float64(wide) * along)
		// A hair beyond on either side, so that the crossing is soon held between two.
		at = min(max(at, finely/2), wide-finely/2)
		m := a.Add(at)
		y := c.Level(m) - limit
		if (y < 0) == below {
			a, ya, yb = m, y, yb/2
		} else {
			b, yb, ya = m, y, ya/2
		}
		if b.Sub(a) > wide/2 {
			m = a.Add(b.Sub(a) / 2)
			if y = c.Level(m) - limit; (y < 0) == below {
				a, ya = m, y
			} else {
				b, yb = m, y
			}
		}
		along = ya / (ya - yb)
	}
	return b
}

// Both intersects two sets of windows; what shuts the sooner one names the end.
func Both(a, b []Window) []Window {
	var out []Window
	for _, x := range a {
		for _, y := range b {
			w := Window{Opens: latest(x.Opens, y.Opens), Closes: x.Closes, ClosedBy: x.ClosedBy}
			if !y.Closes.IsZero() && (w.Closes.IsZero() || y.Closes.Before(w.Closes)) {
				w.Closes, w.ClosedBy = y.Closes, y.ClosedBy
			}
			if w.Closes.IsZero() || w.Opens.Before(w.Closes) {
				out = append(out, w)
			}
		}
	}
	return out
}

func latest(a, b time.Time) time.Time {
	if a.After(b) {
		return a
	}
	return b
}

// What shuts a mark's window.
const (
	TooShallow = "too shallow"
	TooDeep    = "too deep"
)

// Windows in which the mark's depth is worth a cast.
func (m Mark) Windows(c *tide.Curve) []Window {
	lo, hi := m.Fishable.levels(m.ElevationM)
	return Between(c, lo, hi, TooShallow, TooDeep)
}
