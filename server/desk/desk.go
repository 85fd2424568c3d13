// Package desk lays a spot out for a time: with its tide, the readings of its water and
// what the angler adds. Everything that asks about a spot at a moment asks it here.
package desk

import (
	"context"
	"math"
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/server/store"
)

// Desk over a store.
type Desk struct{ Store *store.Store }

// Readings that may speak for a moment and the fortnight after it reach from so many days
// before it to so many after.
const (
	daysBefore = 4
	daysAfter  = 15
)

// Laid is a spot laid out for a time.
type Laid struct {
	*store.Spot
	// List of its water's readings around that time, oldest first.
	List []conditions.Reading
}

func lay(sp *store.Spot, list []conditions.Reading) *Laid {
	sp.Readings = conditions.Sorted(list)
	return &Laid{sp, list}
}

// Spot by id with the readings around a time.
func (d Desk) Spot(ctx context.Context, angler, id uuid.UUID, t time.Time) (*Laid, error) {
	sp, err := d.Store.Spot(ctx, angler, id)
	if err != nil {
		return nil, err
	}
	list, err := d.Store.ReadingsOf(ctx, angler, sp.Water.ID, t.AddDate(0, 0, -daysBefore), t.AddDate(0, 0, daysAfter))
	if err != nil {
		return nil, err
	}
	return lay(sp, list), nil
}

// Spots of an angler with the readings around a time; those of one water share theirs.
func (d Desk) Spots(ctx context.Context, angler uuid.UUID, t time.Time) ([]*Laid, error) {
	spots, err := d.Store.Spots(ctx, angler)
	if err != nil {
		return nil, err
	}
	lists, err := d.Store.Readings(ctx, angler, t.AddDate(0, 0, -daysBefore), t.AddDate(0, 0, daysAfter))
	if err != nil {
		return nil, err
	}
	sorted := make(map[uuid.UUID]conditions.Readings, len(lists))
	for water, list := range lists {
		sorted[water] = conditions.Sorted(list)
	}
	out := make([]*Laid, len(spots))
	for i, sp := range spots {
		sp.Readings = sorted[sp.Water.ID]
		out[i] = &Laid{sp, lists[sp.Water.ID]}
	}
	return out, nil
}

// Including what the angler says, which the store does not know yet.
func (l *Laid) Including(said []conditions.Reading) *Laid {
	if len(said) == 0 {
		return l
	}
	own := *l.Spot
	return lay(&own, append(slices.Clone(said), l.List...))
}

// At a moment, on a curve that reaches so far before and after it.
func (l *Laid) At(t time.Time, before, after time.Duration) (spot.Moment, *tide.Curve, error) {
	c, err := tide.Over(l.Tide, t.Add(-before), t.Add(after))
	if err != nil {
		return spot.Moment{}, nil, err
	}
	m, err := l.Spot.Spot.At(c, t)
	return m, c, err
}

// Level of a water at a moment, by its station and the surge seen, metres above chart
// datum.
func (d Desk) Level(ctx context.Context, angler, water uuid.UUID, t time.Time) (float64, error) {
	place, err := d.Store.TideOf(ctx, angler, water)
	if err != nil {
		return 0, err
	}
	return levelAt(place, t)
}

// Levels of all an angler's waters at a moment.
func (d Desk) Levels(ctx context.Context, angler uuid.UUID, t time.Time) (map[uuid.UUID]float64, error) {
	tides, err := d.Store.Tides(ctx, angler)
	if err != nil {
		return nil, err
	}
	out := make(map[uuid.UUID]float64, len(tides))
	for water, place := range tides {
		if out[water], err = levelAt(place, t); err != nil {
			return nil, err
		}
	}
	return out, nil
}

func levelAt(place tide.Predictor, t time.Time) (float64, error) {
	c, err := tide.Over(place, t, t)
	if err != nil {
		return 0, err
	}
	return c.Level(t), nil
}

// highDays is how far ahead the highest level is looked for.
const highDays = 30

// Highest level of a water in the thirty days to come, metres above chart datum.
func (d Desk) Highest(ctx context.Context, angler, water uuid.UUID, from time.Time) (float64, error) {
	place, err := d.Store.TideOf(ctx, angler, water)
	if err != nil {
		return 0, err
	}
	c, err := tide.Over(place, from, from.AddDate(0, 0, highDays))
	if err != nil {
		return 0, err
	}
	high := c.Level(from)
	for _, k := range c.Turns() {
		high = math.Max(high, k.LevelM)
	}
	return high, nil
}
