package ground

import (
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/tide"
	"greypebble/core/words"
)

// Manner of getting to a spot.
type Manner string

// Manners of getting there.
const (
	OnFoot Manner = "on foot" // dry-shod
	Wading Manner = "wading"  // no deeper than the thigh
	Kayak  Manner = "kayak"
	Boat   Manner = "boat" // with a draught
)

// Common practice, no source: wade no deeper than the thigh; a laden kayak
// wants a hand's breadth of water under it.
const (
	thighM      = 0.75
	kayakDraftM = 0.25
	dryM        = 0.05
	// underKeelM is kept under a boat's draught.
	underKeelM = 0.3
)

// depths the manner allows over the critical point of a passage.
func (a Access) depths() (Depths, error) {
	switch a.Manner {
	case OnFoot:
		return Depths{MinM: -maxElevation, MaxM: dryM}, nil
	case Wading:
		return Depths{MinM: -maxElevation, MaxM: thighM}, nil
	case Kayak:
		return Depths{MinM: kayakDraftM}, nil
	case Boat:
		return Depths{MinM: a.DraughtM + underKeelM}, nil
	}
	return Depths{}, fmt.Errorf("ground: unknown manner of getting there %q; known are on foot, wading, kayak, boat", a.Manner)
}

// Passage is the critical point of a way: the deepest gut to wade, the highest
// sill to float over.
type Passage struct {
	Name       string
	ElevationM float64
	// Clear says that no depth is in the way: it is open at any tide, and the height means nothing.
	Clear bool
}

// Access is how a spot is reached and left. The way back may lie lower than the
// way in: that is how one is cut off.
type Access struct {
	Manner Manner
	// Others are further manners one may go there by; the ways are the same, what they allow is not.
	Others  []Manner
	In, Out Passage
	// DraughtM of a boat.
	DraughtM float64
}

// deepestDraught of a boat that fishes inshore, metres.
const deepestDraught = 4

// Validate checks the manner, the passages and the draught.
func (a Access) Validate() error {
	if _, err := a.depths(); err != nil {
		return err
	}
	for i, m := range a.Others {
		if _, err := (Access{Manner: m}).depths(); err != nil {
			return err
		}
		if m == a.Manner || slices.Contains(a.Others[:i], m) {
			return fmt.Errorf("ground: the manner %q stands twice; name it once, as the manner or among the further ones", m)
		}
	}
	for which, p := range map[string]Passage{"in": a.In, "back": a.Out} {
		if !(math.Abs(p.ElevationM) <= maxElevation) {
			return fmt.Errorf("ground: the way %s must lie within ±%d m of datum, not at %v", which, maxElevation, p.ElevationM)
		}
	}
	if !(a.DraughtM >= 0 && a.DraughtM <= deepestDraught) {
		return fmt.Errorf("ground: a draught must be between 0 and %d m, not %v", deepestDraught, a.DraughtM)
	}
	return nil
}

// By another manner of those that are known of the way; false for one that is not.
func (a Access) By(m Manner) (Access, bool) {
	if m == a.Manner {
		return a, true
	}
	if !slices.Contains(a.Others, m) {
		return a, false
	}
	out := a
	out.Manner = m
	out.Others = append([]Manner{a.Manner}, slices.DeleteFunc(slices.Clone(a.Others), func(k Manner) bool { return k == m })...)
	return out, true
}

// Passable says whether both ways are open at a tide level.
func (a Access) Passable(levelM float64) bool {
	d, err := a.depths()
	open := func(p Passage) bool { return p.Clear || d.Holds(levelM-p.ElevationM) }
	return err == nil && open(a.In) && open(a.Out)
}

// Lowest of the ways that a depth stands in, metres above datum; false where none does.
func (a Access) Lowest() (float64, bool) { return a.outermost(math.Min) }

// Highest of the ways that a depth stands in, metres above datum; false where none does.
func (a Access) Highest() (float64, bool) { return a.outermost(math.Max) }

func (a Access) outermost(of func(x, y float64) float64) (float64, bool) {
	switch {
	case a.In.Clear && a.Out.Clear:
		return 0, false
	case a.In.Clear:
		return a.Out.ElevationM, true
	case a.Out.Clear:
		return a.In.ElevationM, true
	}
	return of(a.In.ElevationM, a.Out.ElevationM), true
}

// Open lists the windows in which one can both get in and get back.
func (a Access) Open(c *tide.Curve) []Window {
	return Both(a.way(c, a.In, "in"), a.way(c, a.Out, "back"))
}

func (a Access) way(c *tide.Curve, p Passage, which string) []Window {
	return a.wayWithin(c, p, which, 0)
}

// wayWithin keeps so many metres of level to spare on both sides.
func (a Access) wayWithin(c *tide.Curve, p Passage, which string, spareM float64) []Window {
	d, err := a.depths()
	if err != nil {
		return nil
	}
	if p.Clear {
		return []Window{{}}
	}
	lo, hi := d.levels(p.ElevationM)
	lo, hi = lo+spareM, hi-spareM
	if lo > hi {
		return nil
	}
	return Between(c, lo, hi,
		fmt.Sprintf(words.TooLittleWaterOverOnThe, p.Name, which),
		fmt.Sprintf(words.TooDeepAtOnTheWay, p.Name, which))
}

// Limit is a level at which the way shuts, for a line on the ribbon.
type Limit struct {
	LevelM float64
	Says   string
}

// Limits of the access: where wading ends, where a sill lets one over.
func (a Access) Limits() []Limit {
	lowest, any := a.Lowest()
	highest, _ := a.Highest()
	switch {
	case !any:
		return nil
	case a.Manner == OnFoot:
		return []Limit{{lowest + dryM, "way out floods"}}
	case a.Manner == Wading:
		return []Limit{{lowest + thighM, "wading ends"}}
	case a.Manner == Kayak:
		return []Limit{{highest + kayakDraftM, "sill opens"}}
	case a.Manner == Boat:
		return []Limit{{highest + a.DraughtM + underKeelM, "boat floats"}}
	}
	return nil
}

// NextClose is when the way shuts next after t if it is open at t.
func NextClose(open []Window, t time.Time) (Window, bool) {
	for _, w := range open {
		if w.Holds(t) {
			return w, true
		}
	}
	return Window{}, false
}
