// Package desk lays a spot out for a time: with its tide, the readings of its water and
// what the angler adds. Everything that asks about a spot at a moment asks it here.
package desk

import (
	"context"
	"math"
	"slices"
	"time"

	"github.com/google/uuid"
	"github.com/maypok86/otter/v2"

	"greypebble/core/conditions"
	"greypebble/core/spot"
	"greypebble/core/springrun"
	"greypebble/core/tide"
	"greypebble/server/store"
)

// Desk over a store. What it read it keeps, while nothing of it is written.
type Desk struct {
	Store *store.Store
	kept  *otter.Cache[key, *ground]
}

// New desk over a store.
func New(s *store.Store) Desk {
	return Desk{s, otter.Must(&otter.Options[key, *ground]{MaximumWeight: mostKept,
		Weigher: func(_ key, g *ground) uint32 { return g.weight }})}
}

// key of what is kept: whose, as of which count of their writings, around which hour.
type key struct {
	angler uuid.UUID
	count  int
	hour   int64
}

// ground is all an angler's spots rest on around an hour. Nobody may change it.
type ground struct {
	spots  []*store.Spot
	lists  map[uuid.UUID][]conditions.Reading
	sorted map[uuid.UUID]conditions.Readings
	rivers map[uuid.UUID]*springrun.River
	count  int
	weight uint32
}

// What is kept weighs about so much, bytes.
const (
	mostKept     = 96 << 20
	spotWeight   = 8 << 10
	bareWeight   = 2 << 10 // of a waypoint without marks
	readingBytes = 300
)

// around the hour of a time: what an angler's spots rest on, of now.
func (d Desk) around(ctx context.Context, angler uuid.UUID, t time.Time) (*ground, error) {
	// The count first: what is read after it may be newer, never older.
	count, err := d.Store.Ground(ctx, angler)
	if err != nil {
		return nil, err
	}
	hour := t.UTC().Truncate(time.Hour)
	k := key{angler, count, hour.Unix()}
	if g, ok := d.kept.GetIfPresent(k); ok {
		return g, nil
	}
	g := &ground{count: count, sorted: make(map[uuid.UUID]conditions.Readings)}
	if g.spots, err = d.Store.Spots(ctx, angler); err != nil {
		return nil, err
	}
	from, to := conditions.Around(t)
	if g.lists, err = d.Store.Readings(ctx, angler, from, to); err != nil {
		return nil, err
	}
	usual, err := d.Store.UsualOf(ctx, angler)
	if err != nil {
		return nil, err
	}
	weight := spotWeight
	for _, sp := range g.spots {
		sp.Remember()
		if len(sp.Marks) > 0 {
			weight += spotWeight
		} else {
			weight += bareWeight
		}
	}
	for water, list := range g.lists {
		g.sorted[water] = conditions.Sorted(list)
		weight += readingBytes * len(list)
	}
	for water, u := range usual {
		g.sorted[water] = g.sorted[water].WithUsual(u)
	}
	if g.rivers, err = d.rivers(ctx, angler, hour, g); err != nil {
		return nil, err
	}
	g.weight = uint32(min(weight, mostKept)) //nolint:gosec // not negative
	d.kept.Set(k, g)
	return g, nil
}

// rivers of the angler's waters that have bends, as they are around an hour.
func (d Desk) rivers(ctx context.Context, angler uuid.UUID, hour time.Time, g *ground) (map[uuid.UUID]*springrun.River, error) {
	out := map[uuid.UUID]*springrun.River{}
	for _, sp := range g.spots {
		if sp.Bend == 0 {
			continue
		}
		if out[sp.Water.ID] == nil {
			out[sp.Water.ID] = &springrun.River{Readings: g.sorted[sp.Water.ID], Now: hour}
		}
		out[sp.Water.ID].Bends = max(out[sp.Water.ID].Bends, sp.Bend)
	}
	if len(out) == 0 {
		return out, nil
	}
	met, err := d.Store.Met(ctx, angler, hour.AddDate(0, 0, -springrun.MetSince))
	for water, r := range out {
		r.Met = met[water]
	}
	return out, err
}

// lay a spot out, on a copy of its own.
func (g *ground) lay(sp *store.Spot) *Laid {
	own := *sp
	own.Readings = g.sorted[sp.Water.ID]
	if own.Bend > 0 {
		own.River = g.rivers[sp.Water.ID]
	}
	return &Laid{&own, g.lists[sp.Water.ID], g.count}
}

// Laid is a spot laid out for a time.
type Laid struct {
	*store.Spot
	// List of its water's readings around that time, oldest first.
	List []conditions.Reading
	// Count of its angler's writings it is as of: with the same count it is the same.
	Count int
}

// Spot by id with the readings around a time.
func (d Desk) Spot(ctx context.Context, angler, id uuid.UUID, t time.Time) (*Laid, error) {
	g, err := d.around(ctx, angler, t)
	if err != nil {
		return nil, err
	}
	for _, sp := range g.spots {
		if sp.ID == id {
			return g.lay(sp), nil
		}
	}
	return nil, store.ErrNotFound
}

// Spots of an angler with the readings around a time; those of one water share theirs.
func (d Desk) Spots(ctx context.Context, angler uuid.UUID, t time.Time) ([]*Laid, error) {
	g, err := d.around(ctx, angler, t)
	if err != nil {
		return nil, err
	}
	out := make([]*Laid, len(g.spots))
	for i, sp := range g.spots {
		out[i] = g.lay(sp)
	}
	return out, nil
}

// Including what the angler says, which the store does not know yet.
func (l *Laid) Including(said []conditions.Reading) *Laid {
	if len(said) == 0 {
		return l
	}
	own := *l.Spot
	list := append(slices.Clone(said), l.List...)
	own.Spot = *l.With(l.Readings.Instead(list))
	return &Laid{&own, list, l.Count}
}

// At a moment, on a curve that reaches so far before and after it.
func (l *Laid) At(t time.Time, before, after time.Duration) (spot.Moment, *tide.Curve, error) {
	return l.AtWith(new(tide.Memo), t, before, after)
}

// AtWith is At for one of many spots, which share what is worked out of their tides.
func (l *Laid) AtWith(memo *tide.Memo, t time.Time, before, after time.Duration) (spot.Moment, *tide.Curve, error) {
	c, err := memo.Over(l.Tide, t.Add(-before), t.Add(after))
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
