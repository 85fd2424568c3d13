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

// when a monotone stretch crosses a limit, to [finely]; just after it, so that the level has passed. The first guess and its
// slope take the stretch for a half cosine, which between two turns it nearly is; then the secant of the last two, and a
// halving now and then in case they lead astray. Beside the crossing it is caught between two.
func when(c *tide.Curve, from, to levelAt, limit float64) time.Time {
	wide := float64(to.t.Sub(from.t))
	phase := math.Acos(1 - 2*(from.m-limit)/(from.m-to.m))
	at, slope := wide*phase/math.Pi, (to.m-from.m)*math.Sin(phase)*math.Pi/2/wide
	before, was := math.NaN(), 0.0
	for a, b, n := 0.0, wide, 0; b-a > float64(finely); n++ {
		y := c.Level(from.t.Add(time.Duration(at))) - limit
		if (y < 0) == (from.m < limit) {
			a = at
		} else {
			b = at
		}
		if n > 0 {
			slope = (y - was) / (at - before)
		}
		before, was = at, y
		step := -y / slope
		if math.Abs(step) < float64(finely) {
			step = 0.9 * math.Copysign(float64(finely), a+b-2*at) // over to the other side
		}
		if at += step; n%4 == 3 || !(a < at && at < b) {
			at = (a + b) / 2
		}
		wide = b
	}
	return from.t.Add(time.Duration(wide))
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
