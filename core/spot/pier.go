package spot

import (
	"greypebble/core/ground"
	"greypebble/core/water"
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
		Says: "Straight down beside the wood first: most people cast away from the best water."}
	p.CurrentMS, p.Known = m.Current()
	if p.Known && (p.CurrentMS > water.Noticeable || p.CurrentMS < -water.Noticeable) {
		p.Says += " Stand up-tide, so that the line runs clear of the pilings; the larger fish are often further down-tide."
	}
	return p
}
