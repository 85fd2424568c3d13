package ground

import (
	"fmt"
	"time"

	"greypebble/core/tide"
)

// Manner of getting to a spot.
type Manner string

// Manners of getting there.
const (
	OnFoot Manner = "on foot" // dry-shod
	Wading Manner = "wading"  // no deeper than the thigh
	Kayak  Manner = "kayak"
)

// Common practice, no source: wade no deeper than the thigh; a laden kayak
// wants a hand's breadth of water under it.
const (
	thighM      = 0.75
	kayakDraftM = 0.25
	dryM        = 0.05
)

// depths the manner allows over the critical point of a passage.
func (m Manner) depths() (Depths, error) {
	switch m {
	case OnFoot:
		return Depths{MinM: -maxElevation, MaxM: dryM}, nil
	case Wading:
		return Depths{MinM: -maxElevation, MaxM: thighM}, nil
	case Kayak:
		return Depths{MinM: kayakDraftM}, nil
	}
	return Depths{}, fmt.Errorf("ground: unknown manner of getting there %q; known are on foot, wading, kayak", m)
}

// Passage is the critical point of a way: the deepest gut to wade, the highest
// sill to float over.
type Passage struct {
	Name       string
	ElevationM float64
}

// Access is how a spot is reached and left. The way back may lie lower than the
// way in: that is how one is cut off.
type Access struct {
	Manner  Manner
	In, Out Passage
}

// Validate checks the manner.
func (a Access) Validate() error {
	_, err := a.Manner.depths()
	return err
}

// Passable says whether both ways are open at a tide level.
func (a Access) Passable(levelM float64) bool {
	d, err := a.Manner.depths()
	return err == nil && d.Holds(levelM-a.In.ElevationM) && d.Holds(levelM-a.Out.ElevationM)
}

// Open lists the windows in which one can both get in and get back.
func (a Access) Open(c *tide.Curve) []Window {
	return Both(a.way(c, a.In, "in"), a.way(c, a.Out, "back"))
}

func (a Access) way(c *tide.Curve, p Passage, which string) []Window {
	d, err := a.Manner.depths()
	if err != nil {
		return nil
	}
	lo, hi := d.levels(p.ElevationM)
	return Between(c, lo, hi,
		fmt.Sprintf("too little water over %s on the way %s", p.Name, which),
		fmt.Sprintf("too deep at %s on the way %s", p.Name, which))
}

// Limit is a level at which the way shuts, for a line on the ribbon.
type Limit struct {
	LevelM float64
	Says   string
}

// Limits of the access: where wading ends, where a sill lets one over.
func (a Access) Limits() []Limit {
	switch a.Manner {
	case OnFoot:
		return []Limit{{min(a.In.ElevationM, a.Out.ElevationM) + dryM, "way out floods"}}
	case Wading:
		return []Limit{{min(a.In.ElevationM, a.Out.ElevationM) + thighM, "wading ends"}}
	case Kayak:
		return []Limit{{max(a.In.ElevationM, a.Out.ElevationM) + kayakDraftM, "sill opens"}}
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
