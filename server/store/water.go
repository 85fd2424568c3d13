package store

import (
	"context"
	"fmt"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/ground"
	"greypebble/core/tide"
)

// Water is an area fished as one.
type Water struct {
	ID        uuid.UUID
	StationID uuid.UUID
	Name      string
	TimeZone  string
}

// PutWater stores a water, new or over the one with its id.
func (s *Store) PutWater(ctx context.Context, angler uuid.UUID, w Water) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "station", angler, w.StationID); err != nil {
			return err
		}
		var owner uuid.UUID
		switch err := notFound(tx.GetContext(ctx, &owner, `SELECT angler_id FROM water WHERE id = ? FOR UPDATE`, w.ID)); {
		case err == nil && owner != angler:
			return ErrNotFound
		case err != nil && err != ErrNotFound:
			return err
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO water (id, angler_id, station_id, name, time_zone) VALUES (?, ?, ?, ?, ?)
			ON DUPLICATE KEY UPDATE station_id = VALUES(station_id), name = VALUES(name), time_zone = VALUES(time_zone)`,
			w.ID, angler, w.StationID, w.Name, w.TimeZone)
		return err
	})
}

// AddWater stores a water.
func (s *Store) AddWater(ctx context.Context, angler uuid.UUID, w Water) error {
	_, err := s.db.ExecContext(ctx, `INSERT INTO water (id, angler_id, station_id, name, time_zone) VALUES (?, ?, ?, ?, ?)`,
		w.ID, angler, w.StationID, w.Name, w.TimeZone)
	return err
}

// Waters of an angler by name.
func (s *Store) Waters(ctx context.Context, angler uuid.UUID) ([]Water, error) {
	var rows []struct {
		ID      uuid.UUID `db:"id"`
		Station uuid.UUID `db:"station_id"`
		Name    string    `db:"name"`
		Zone    string    `db:"time_zone"`
	}
	err := s.db.SelectContext(ctx, &rows, `SELECT id, station_id, name, time_zone FROM water WHERE angler_id = ? ORDER BY name`, angler)
	out := make([]Water, len(rows))
	for i, r := range rows {
		out[i] = Water{r.ID, r.Station, r.Name, r.Zone}
	}
	return out, err
}

// Water of an angler by id.
func (s *Store) Water(ctx context.Context, angler, id uuid.UUID) (Water, error) {
	list, err := s.Waters(ctx, angler)
	if err != nil {
		return Water{}, err
	}
	for _, w := range list {
		if w.ID == id {
			return w, nil
		}
	}
	return Water{}, ErrNotFound
}

// UseStation lets a water follow another station of the same angler.
func (s *Store) UseStation(ctx context.Context, angler, water, station uuid.UUID) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "station", angler, station); err != nil {
			return err
		}
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `UPDATE water SET station_id = ? WHERE id = ?`, station, water)
		return err
	})
}

// TideOf a water: its station's, with the surge seen.
func (s *Store) TideOf(ctx context.Context, angler uuid.UUID, w Water) (tide.Place, error) {
	stations, err := s.StationsByID(ctx, angler)
	if err != nil {
		return nil, err
	}
	place, err := stations.Tide(w.StationID)
	if err != nil {
		return nil, err
	}
	surges, err := s.surges(ctx, angler)
	if g, seen := surges[w.ID]; seen {
		place = tide.WithSurge(place, g)
	}
	return place, err
}

// PutOutline keeps the shores of a water in place of earlier ones.
func (s *Store) PutOutline(ctx context.Context, angler, water uuid.UUID, o ground.Outline) error {
	if err := o.Validate(); err != nil {
		return fmt.Errorf("store: %w", err)
	}
	text, err := ringsText(o.Rings)
	if err != nil {
		return err
	}
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO outline (water_id, rings) VALUES (?, ?) ON DUPLICATE KEY UPDATE rings = VALUES(rings)`, water, text)
		return err
	})
}

// Outline of a water, nil where none was drawn.
func (s *Store) Outline(ctx context.Context, angler, water uuid.UUID) (*ground.Outline, error) {
	all, err := s.outlines(ctx, angler, `AND w.id = ?`, water)
	return all[water], err
}

func (s *Store) outlines(ctx context.Context, angler uuid.UUID, where string, args ...any) (map[uuid.UUID]*ground.Outline, error) {
	var rows []struct {
		Water uuid.UUID `db:"water_id"`
		Rings string    `db:"rings"`
	}
	if err := s.db.SelectContext(ctx, &rows, `SELECT o.water_id, o.rings FROM outline o JOIN water w ON w.id = o.water_id
		WHERE w.angler_id = ? `+where, append([]any{angler}, args...)...); err != nil {
		return nil, err
	}
	out := make(map[uuid.UUID]*ground.Outline, len(rows))
	for _, r := range rows {
		rings, err := ringsOf(r.Rings)
		if err != nil {
			return nil, err
		}
		out[r.Water] = &ground.Outline{Rings: rings}
	}
	return out, nil
}
