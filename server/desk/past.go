package desk

import (
	"context"
	"time"

	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/server/store"
)

// Past lays an angler's spots out for many times, one after the other, as [Desk.Spot] does for one: what does not hang
// on the time is read once, readings by the season, and nothing is kept for anybody else. For who goes through a log.
type Past struct {
	desk   Desk
	angler uuid.UUID
	of     ground
	by     map[uuid.UUID]*store.Spot
	usual  map[uuid.UUID]conditions.Usual
	// lists are the readings between two times.
	lists    map[uuid.UUID][]conditions.Reading
	from, to time.Time
}

// season is how much farther than asked readings are read: neighbours in a log are mostly near in time.
const season = 60 * 24 * time.Hour

// Past of an angler, as of now.
func (d Desk) Past(ctx context.Context, angler uuid.UUID) (*Past, error) {
	count, err := d.Store.Ground(ctx, angler)
	if err != nil {
		return nil, err
	}
	p := &Past{desk: d, angler: angler, of: ground{count: count}, by: make(map[uuid.UUID]*store.Spot)}
	if p.of.spots, err = d.Store.Spots(ctx, angler); err != nil {
		return nil, err
	}
	for _, sp := range p.of.spots {
		p.by[sp.ID] = sp
	}
	p.usual, err = d.Store.UsualOf(ctx, angler)
	return p, err
}

// Spots of the angler.
func (p *Past) Spots() []*store.Spot { return p.of.spots }

// Spot by id with the readings around a time.
func (p *Past) Spot(ctx context.Context, id uuid.UUID, t time.Time) (*Laid, error) {
	sp, known := p.by[id]
	if !known {
		return nil, store.ErrNotFound
	}
	from, to := conditions.Around(t)
	if p.lists == nil || from.Before(p.from) || to.After(p.to) {
		lists, err := p.desk.Store.Readings(ctx, p.angler, from.Add(-season), to.Add(season))
		if err != nil {
			return nil, err
		}
		p.lists, p.from, p.to = lists, from.Add(-season), to.Add(season)
	}
	water := sp.Water.ID
	list := conditions.Between(p.lists[water], from, to)
	sorted := conditions.Sorted(list)
	if u, told := p.usual[water]; told {
		sorted = sorted.WithUsual(u)
	}
	g := ground{spots: p.of.spots, count: p.of.count, lists: map[uuid.UUID][]conditions.Reading{water: list},
		sorted: map[uuid.UUID]conditions.Readings{water: sorted}}
	if sp.Bend > 0 {
		var err error
		if g.rivers, err = p.desk.rivers(ctx, p.angler, t.UTC().Truncate(time.Hour), &g); err != nil {
			return nil, err
		}
	}
	return g.lay(sp), nil
}
