package tide

import (
	"fmt"
	"math"
	"time"

	"greypebble/core/words"
)

// Kind of a turn.
type Kind int

const (
	// Low water.
	Low Kind = iota
	// High water.
	High
)

func (k Kind) String() string {
	if k == High {
		return "high"
	}
	return "low"
}

// Turn is a high or low water.
type Turn struct {
	Time   time.Time
	LevelM float64
	Kind   Kind
}

// Turns lists every high and low water with from ≤ time ≤ to, in order.
//
// It does not sample. A stretch whose slope at the middle is too large for the
// bounded curvature to bring to zero holds no turn; one whose curvature cannot
// change sign holds a turn exactly when the slope changes sign; any other is
// halved. So double highs and short stands are found as surely as the rest.
func (h *Harmonics) Turns(from, to time.Time) ([]Turn, error) {
	if to.Before(from) {
		return nil, ReversedError{from, to}
	}
	a, b := secondsSinceJ2000(from), secondsSinceJ2000(to)
	var turns []Turn
	add := func(root float64, kind Kind) {
		t := timeAt(root)
		turns = append(turns, Turn{t, h.Level(t), kind})
	}
	const chunk = 3600.0
	d1, d2 := h.slope(a)
	for x := a; x < b; x += chunk {
		end := math.Min(x+chunk, b)
		e1, e2 := h.slope(end)
		h.search(edge{x, d1, d2}, edge{end, e1, e2}, add)
		d1, d2 = e1, e2
	}
	return turns, nil
}

// ReversedError says that an interval ends before it begins.
type ReversedError struct{ From, To time.Time }

func (e ReversedError) Error() string {
	return fmt.Sprintf(words.TideIntervalEndsBeforeItBegins,
		e.To.Format(time.RFC3339), e.From.Format(time.RFC3339))
}

// edge is slope and curvature at one end of a stretch (s, m/h, m/h²).
type edge struct{ at, d1, d2 float64 }

// shortest is the length in seconds below which a stretch without a change of
// slope is given up: a rise and fall inside it is under 10⁻⁷ m.
const shortest = 0.5

func (h *Harmonics) search(a, b edge, found func(float64, Kind)) {
	width := (b.at - a.at) / 3600
	// |h′| at the nearer end must fall to zero within the stretch.
	if math.Min(math.Abs(a.d1), math.Abs(b.d1)) > h.bound2*width/2 && a.d1*b.d1 > 0 {
		return
	}
	monotone := a.d2*b.d2 > 0 && math.Min(math.Abs(a.d2), math.Abs(b.d2)) > h.bound3*width/2
	crosses := (a.d1 > 0) != (b.d1 > 0)
	switch {
	case monotone && !crosses:
		return
	case (monotone || b.at-a.at < shortest) && crosses:
		kind := Low
		if a.d1 > 0 {
			kind = High
		}
		found(h.root(a, b), kind)
		return
	case b.at-a.at < shortest:
		return
	}
	m := edge{at: (a.at + b.at) / 2}
	m.d1, m.d2 = h.slope(m.at)
	h.search(a, m, found)
	h.search(m, b, found)
}

// root is where the slope crosses zero: Newton's step, kept inside a shrinking
// bracket, to a hundredth of a second.
func (h *Harmonics) root(a, b edge) float64 {
	lo, hi := a, b
	x := lo.at - (hi.at-lo.at)*lo.d1/(hi.d1-lo.d1)
	for range 60 {
		d1, d2 := h.slope(x)
		if (d1 > 0) == (lo.d1 > 0) {
			lo = edge{x, d1, d2}
		} else {
			hi = edge{x, d1, d2}
		}
		next := x - d1/d2*3600
		if !(next > lo.at && next < hi.at) {
			next = (lo.at + hi.at) / 2
		}
		if math.Abs(next-x) < 0.01 || hi.at-lo.at < 0.01 {
			return next
		}
		x = next
	}
	return x
}

func timeAt(sec float64) time.Time {
	whole := math.Floor(sec)
	return time.Unix(unixJ2000+int64(whole), int64((sec-whole)*1e9)).UTC()
}
