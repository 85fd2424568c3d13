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
	_, err := s.exec(ctx, `INSERT INTO water (id, angler_id, station_id, name, time_zone) VALUES (?, ?, ?, ?, ?)`,
		w.ID, angler, w.StationID, w.Name, w.TimeZone)
	return err
}

type waterRow struct {
	ID      uuid.UUID `db:"id"`
	Station uuid.UUID `db:"station_id"`
	Name    string    `db:"name"`
	Zone    string    `db:"time_zone"`
}

func (r waterRow) water() Water { return Water{r.ID, r.Station, r.Name, r.Zone} }

// Waters of an angler by name.
func (s *Store) Waters(ctx context.Context, angler uuid.UUID) ([]Water, error) {
	var rows []waterRow
	err := s.db.SelectContext(ctx, &rows, `SELECT id, station_id, name, time_zone FROM water WHERE angler_id = ? ORDER BY name`, angler)
	out := make([]Water, len(rows))
	for i, r := range rows {
		out[i] = r.water()
	}
	return out, err
}

// Water of an angler by id.
func (s *Store) Water(ctx context.Context, angler, id uuid.UUID) (Water, error) {
	var r waterRow
	err := s.db.GetContext(ctx, &r, `SELECT id, station_id, name, time_zone FROM water WHERE id = ? AND angler_id = ?`, id, angler)
	return r.water(), notFound(err)
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

// Tides of an angler's waters: their stations', with the surge seen.
func (s *Store) Tides(ctx context.Context, angler uuid.UUID) (map[uuid.UUID]tide.Predictor, error) {
	return s.tides(ctx, "w.angler_id = ?", angler)
}

// TideOf a water: its station's, with the surge seen.
func (s *Store) TideOf(ctx context.Context, angler, water uuid.UUID) (tide.Predictor, error) {
	all, err := s.tides(ctx, "w.angler_id = ? AND w.id = ?", angler, water)
	if err != nil {
		return nil, err
	}
	place, known := all[water]
	if !known {
		return nil, ErrNotFound
	}
	return place, nil
}

func (s *Store) tides(ctx context.Context, where string, args ...any) (out map[uuid.UUID]tide.Predictor, err error) {
	err = s.snapshot(ctx, func(q querier) error {
		var rows []struct {
			ID      uuid.UUID `db:"id"`
			Station uuid.UUID `db:"station_id"`
			surgeColumns
		}
		if err := q.SelectContext(ctx, &rows, `SELECT w.id, w.station_id, g.by_m, g.seen_at, g.fade_s FROM water w
			LEFT JOIN surge g ON g.water_id = w.id WHERE `+where, args...); err != nil {
			return err
		}
		var ids []uuid.UUID
		for _, r := range rows {
			ids = append(ids, r.Station)
		}
		stations, err := readStations(ctx, q, ids)
		if err != nil {
			return err
		}
		out = make(map[uuid.UUID]tide.Predictor, len(rows))
		for _, r := range rows {
			place, err := stations.Tide(r.Station)
			if err != nil {
				return err
			}
			if g := r.surge(); g != nil {
				place = tide.WithSurge(place, *g)
			}
			out[r.ID] = place
		}
		return nil
	})
	return out, err
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
		_, err := tx.ExecContext(ctx, `INSERT INTO outline (water_id, rings) VALUES (?, ?) ON DUPLICATE KEY UPDATE rings = VALUES(rings)`,
			water, text)
		return err
	})
}

// Outline of a water, nil where none was drawn.
func (s *Store) Outline(ctx context.Context, angler, water uuid.UUID) (*ground.Outline, error) {
	var text string
	err := notFound(s.db.GetContext(ctx, &text,
		`SELECT o.rings FROM outline o JOIN water w ON w.id = o.water_id WHERE w.id = ? AND w.angler_id = ?`, water, angler))
	if err == ErrNotFound {
		return nil, nil
	}
	if err != nil {
		return nil, err
	}
	rings, err := ringsOf(text)
	return &ground.Outline{Rings: rings}, err
}
