package spot

import (
	"greypebble/core/ground"
	"greypebble/core/water"
	"greypebble/core/words"
)

// Pier is what lies under a pier at a moment, and how to stand to it.
type Pier struct {
	// Under it, deepest first, with the depths to try.
	Under []ground.Under
	// Current in m/s, positive on the flood; known says whether anything tells it.
	CurrentMS float64
	Known     bool
	Says      string
}

// ReadPier at a moment (P9, B6: common practice).
func (m *Moment) ReadPier() Pier {
	p := Pier{Under: ground.ReadPier(m.Spot.Marks, m.LevelM),
		Says: words.StraightDownBesideTheWoodFirst}
	p.CurrentMS, p.Known = m.Current()
	if p.Known && (p.CurrentMS > water.Noticeable || p.CurrentMS < -water.Noticeable) {
		p.Says += words.StandUpTideSoThatThe
	}
	return p
}
