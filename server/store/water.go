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
	Revision  int
	// Invented says that it is of the invented coast.
	Invented bool
}

// PutWater stores a water, new or over the revision of it that was read. It returns its
// revision.
func (s *Store) PutWater(ctx context.Context, angler uuid.UUID, w Water) (revision int, err error) {
	row := waterRow{w.ID, w.StationID, w.Name, w.TimeZone, 0, w.Invented}
	err = s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "station", angler, w.StationID); err != nil {
			return err
		}
		stored, err := claim(ctx, tx, "water", angler, w.ID, w.Revision)
		if err != nil {
			return err
		}
		var old waterRow
		if stored > 0 {
			if err := tx.GetContext(ctx, &old, `SELECT `+waterColumns+` FROM water WHERE id = ?`, w.ID); err != nil {
				return err
			}
			row.Invented = old.Invented // whatever else is made of it
		}
		if row.Revision, err = revised("water", stored, w.Revision, differing(old, row)); err != nil || row.Revision == 0 {
			revision = stored
			return err
		}
		revision = row.Revision
		if stored == 0 {
			_, err = tx.ExecContext(ctx, `INSERT INTO water (id, angler_id, station_id, name, time_zone, invented, revision)
				VALUES (?, ?, ?, ?, ?, ?, 1)`, w.ID, angler, w.StationID, w.Name, w.TimeZone, w.Invented)
			return err
		}
		_, err = tx.ExecContext(ctx, `UPDATE water SET station_id = ?, name = ?, time_zone = ?, revision = ? WHERE id = ? AND
			angler_id = ?`,
			w.StationID, w.Name, w.TimeZone, revision, w.ID, angler)
		return err
	})
	return revision, err
}

const waterColumns = `id, station_id, name, time_zone, revision, invented`

type waterRow struct {
	ID       uuid.UUID `db:"id"`
	Station  uuid.UUID `db:"station_id"`
	Name     string    `db:"name"`
	Zone     string    `db:"time_zone"`
	Revision int       `db:"revision"`
	Invented bool      `db:"invented"`
}

func (r waterRow) water() Water {
	return Water{r.ID, r.Station, r.Name, r.Zone, r.Revision, r.Invented}
}

// Waters of an angler by name.
func (s *Store) Waters(ctx context.Context, angler uuid.UUID) ([]Water, error) {
	var rows []waterRow
	err := s.db.SelectContext(ctx, &rows, `SELECT `+waterColumns+` FROM water WHERE angler_id = ? ORDER BY name`, angler)
	out := make([]Water, len(rows))
	for i, r := range rows {
		out[i] = r.water()
	}
	return out, err
}

// Water of an angler by id.
func (s *Store) Water(ctx context.Context, angler, id uuid.UUID) (Water, error) {
	var r waterRow
	err := s.db.GetContext(ctx, &r, `SELECT `+waterColumns+` FROM water WHERE id = ? AND angler_id = ?`, id, angler)
	return r.water(), notFound(err)
}

// UseStation lets a water follow another station of the same angler.
func (s *Store) UseStation(ctx context.Context, angler, water, station uuid.UUID) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "station", angler, station); err != nil {
			return err
		}
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `UPDATE water SET revision = revision + (station_id <> ?), station_id = ? WHERE id = ? AND
			angler_id = ?`, station, station,
			water, angler)
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
		if err := q.SelectContext(ctx, &rows, `SELECT w.id, w.station_id, g.by_m, g.seen_at, g.fade_s, g.revision AS
			surge_revision FROM water w
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
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
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

// HasInvented says whether the invented coast is among an angler's waters.
func (s *Store) HasInvented(ctx context.Context, angler uuid.UUID) (has bool, err error) {
	return has, s.db.GetContext(ctx, &has, `SELECT EXISTS (SELECT 1 FROM water WHERE angler_id = ? AND invented)`, angler)
}

// MarkInvented says of a station, and of the waters that follow it, that they are of the
// invented coast.
func (s *Store) MarkInvented(ctx context.Context, angler, station uuid.UUID) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		for _, q := range []string{`UPDATE station SET invented = TRUE WHERE angler_id = ? AND id = ?`,
			`UPDATE water SET invented = TRUE WHERE angler_id = ? AND station_id = ?`} {
			if _, err := tx.ExecContext(ctx, q, angler, station); err != nil {
				return err
			}
		}
		return nil
	})
}

// DeleteInvented coast of an angler with all it holds; its stations stay where other waters
// follow them.
func (s *Store) DeleteInvented(ctx context.Context, angler uuid.UUID) error {
	return s.Whole(ctx, func(s *Store) error {
		waters, err := s.Waters(ctx, angler)
		if err != nil {
			return err
		}
		for _, w := range waters {
			if !w.Invented {
				continue
			}
			if _, err := s.DeleteWater(ctx, angler, w.ID, true); err != nil {
				return err
			}
		}
		_, err = s.exec(ctx, `DELETE FROM station WHERE angler_id = ? AND invented AND id NOT IN (SELECT station_id FROM water)
			AND id NOT IN (SELECT reference_id FROM station WHERE reference_id IS NOT NULL)`, angler)
		return err
	})
}

// Holding is what goes with a water that is deleted.
type Holding struct {
	Name     string `db:"name"`
	Spots    int    `db:"spots"`
	Spells   int    `db:"spells"`
	Catches  int    `db:"catches"`
	Zones    int    `db:"zones"`
	Readings int    `db:"readings"`
}

// Empty says that nothing of the angler's goes with it.
func (h Holding) Empty() bool { return h.Spots+h.Spells+h.Catches+h.Zones+h.Readings == 0 }

// DeleteWater removes a water. One that holds something stays unless everything is to go
// with it; what it holds, or held, is told.
func (s *Store) DeleteWater(ctx context.Context, angler, id uuid.UUID, everything bool) (h Holding, err error) {
	err = s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if _, err := claim(ctx, tx, "water", angler, id, 1); err != nil {
			return err
		}
		if err := tx.GetContext(ctx, &h, `SELECT w.name, (SELECT COUNT(*) FROM spot s WHERE s.water_id = w.id) AS spots,
			(SELECT COUNT(*) FROM spell p JOIN spot s ON s.id = p.spot_id WHERE s.water_id = w.id) AS spells,
			(SELECT COUNT(*) FROM catch c JOIN spell p ON p.id = c.spell_id JOIN spot s ON s.id = p.spot_id WHERE s.water_id = w.id)
			AS catches,
			(SELECT COUNT(*) FROM zone z WHERE z.water_id = w.id) AS zones,
			(SELECT COUNT(*) FROM reading r WHERE r.water_id = w.id AND r.own) AS readings FROM water w WHERE w.id = ?`, id); err != nil {
			return err
		}
		if !everything && !h.Empty() {
			return nil
		}
		for _, q := range []string{`DELETE p FROM spell p JOIN spot s ON s.id = p.spot_id WHERE s.water_id = ?`,
			`DELETE FROM spot WHERE water_id = ?`, `DELETE FROM water WHERE id = ?`} {
			if _, err := tx.ExecContext(ctx, q, id); err != nil {
				return err
			}
		}
		return nil
	})
	return h, err
}
