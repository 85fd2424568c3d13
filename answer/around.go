package answer

import (
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/bylaw"
	"greypebble/core/care"
	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/spot"
	"greypebble/core/tide"
)

// Around is what an answer rests on beside what is asked: who asks, with what, and when.
type Around interface {
	Now() time.Time
	// Units sentences are written in, where the question names none.
	Units() quantity.Units
	// Book of the angler, with positions taken for this once, by question of the schools.
	Book(positions map[string]string) (*playbook.Book, error)
	// Belief of their log, of the rules of their book.
	Belief() (rate.Belief, error)
	Kit() (kit.Kit, error)
	Limits() (going.Limits, error)
	// OwnCare is what they hold of how a fish is treated.
	OwnCare(target string) (care.Own, error)
	// Rules they entered.
	Rules() ([]bylaw.Rule, error)
	// Caught fish of their log between two times, of everybody aboard.
	Caught(from, to time.Time) ([]bylaw.Caught, error)
	// Spot of theirs, laid out for a time.
	Spot(id uuid.UUID, t time.Time) (*Spot, error)
	// Spots of theirs, laid out for a time.
	Spots(t time.Time) ([]*Spot, error)
	// Feed of a water, nil where it has none.
	Feed(water uuid.UUID) (*Feed, error)
}

// Feed a water's forecast comes from.
type Feed struct {
	IssuedAt, FetchedAt *time.Time
	// Problem of the last try; empty for none.
	Problem string
}

// Spot laid out for a time.
type Spot struct {
	ID, WaterID   uuid.UUID
	WaterName     string
	SurgeRevision int
	// Count of their angler's writings, where there is one: with the same count spots are the same.
	Count int
	*spot.Spot
	// List of its water's readings around that time, oldest first.
	List []conditions.Reading
}

// including what is said of the water at the moment, which nobody kept.
func (s *Spot) including(said []conditions.Reading) *spot.Spot {
	if len(said) == 0 {
		return s.Spot
	}
	return s.With(s.Readings.Instead(append(slices.Clone(said), s.List...)))
}

// at a moment, on a curve that reaches so far before and after it.
func (s *Spot) at(t time.Time, before, after time.Duration) (spot.Moment, *tide.Curve, error) {
	c, err := tide.Over(s.Tide, t.Add(-before), t.Add(after))
	if err != nil {
		return spot.Moment{}, nil, err
	}
	m, err := s.At(c, t)
	return m, c, err
}

// when something is asked about; now where it is not said.
func when(a Around, t time.Time) time.Time {
	if t.IsZero() {
		return a.Now()
	}
	return t.UTC()
}

// units a question wants its sentences in.
func unitsOf(a Around, named, at string) (quantity.Units, error) {
	if named == "" {
		return a.Units(), nil
	}
	u, err := quantity.ParseUnits(named)
	if err != nil {
		return u, Wrong(at, err)
	}
	return u, nil
}
