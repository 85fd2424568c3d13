package store

import (
	"context"
	"math"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/conditions"
)

type usualRow struct {
	Water  uuid.UUID `db:"water_id"`
	Kind   string    `db:"kind"`
	Month  int       `db:"month"`
	Mean   float64   `db:"mean"`
	Spread float64   `db:"spread"`
}

// PutUsual writes all that is usual of a water, in place of what was.
func (s *Store) PutUsual(ctx context.Context, angler, water uuid.UUID, u conditions.Usual) error {
	var rows []usualRow
	for k, year := range u {
		for i, m := range year {
			if m.Known() {
				rows = append(rows, usualRow{water, string(k), i + 1, m.Mean, m.Spread})
			}
		}
	}
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM usual WHERE water_id = ?`, water); err != nil {
			return err
		}
		if len(rows) == 0 {
			return nil
		}
		_, err := tx.NamedExecContext(ctx, `INSERT INTO usual (water_id, kind, month, mean, spread)
			VALUES (:water_id, :kind, :month, :mean, :spread)`, rows)
		return err
	})
}

// UsualOf an angler's waters.
func (s *Store) UsualOf(ctx context.Context, angler uuid.UUID) (map[uuid.UUID]conditions.Usual, error) {
	var rows []usualRow
	if err := s.db.SelectContext(ctx, &rows, `SELECT u.water_id, u.kind, u.month, u.mean, u.spread FROM usual u
		JOIN water w ON w.id = u.water_id WHERE w.angler_id = ?`, angler); err != nil {
		return nil, err
	}
	out := map[uuid.UUID]conditions.Usual{}
	for _, r := range rows {
		if out[r.Water] == nil {
			out[r.Water] = conditions.Usual{}
		}
		k := conditions.Kind(r.Kind)
		year, begun := out[r.Water][k]
		if !begun {
			for i := range year {
				year[i] = conditions.Unknown()
			}
		}
		year[r.Month-1] = conditions.Month{Mean: r.Mean, Spread: r.Spread}
		out[r.Water][k] = year
	}
	return out, nil
}

// Observed of a kind in a water, day by day over all years.
func (s *Store) Observed(ctx context.Context, angler, water uuid.UUID, k conditions.Kind) ([]conditions.Daily, error) {
	var rows []struct {
		Day  time.Time `db:"day"`
		Mean float64   `db:"mean"`
	}
	err := s.db.SelectContext(ctx, &rows, `SELECT DATE(r.time) AS day, AVG(r.value) AS mean FROM reading r JOIN water w ON w.id = r.water_id
		WHERE r.water_id = ? AND w.angler_id = ? AND r.kind = ? AND r.origin = 'observed' GROUP BY DATE(r.time) ORDER BY 1`,
		water, angler, string(k))
	out := make([]conditions.Daily, 0, len(rows))
	for _, r := range rows {
		if !math.IsNaN(r.Mean) {
			out = append(out, conditions.Daily{Day: r.Day, Mean: r.Mean})
		}
	}
	return out, err
}
