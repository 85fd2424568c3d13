package going

import (
	"math"

	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/words"
)

// Company is who comes along, as far as it narrows where and when one goes.
type Company struct {
	// Child: not onto rock the sea washes, not wading, not in a kayak, and nowhere where one would
	// think twice alone (common practice, no source).
	Child bool
	// CannotWade: somebody who stays dry.
	CannotWade bool
}

// Against says why one does not take that company to a spot as it is reached; "" where one does.
func (c Company) Against(s *spot.Spot) string {
	manner := s.Access.Manner
	switch {
	case c.Child && (manner == ground.Wading || manner == ground.Kayak):
		return words.NotWadingOrInAKayakWithAChild
	case c.Child && (s.Place == "ledge" || s.Place == "rocky shore" || s.Place == "reef" && manner != ground.Boat):
		return words.NotOntoRockWithAChild
	case c.CannotWade && manner == ground.Wading:
		return words.TheWayIsWaded
	}
	return ""
}

// Limits to going in that company: with a child, what makes one think twice alone is where one does
// not go.
func (c Company) Limits(l Limits) Limits {
	if !c.Child {
		return l
	}
	out := Limits{}
	for i := range table {
		level := l.Of(table[i].ID)
		if think := level.Think; !math.IsNaN(think) {
			level.DoNot = think
		}
		out[table[i].ID] = level
	}
	return out
}
