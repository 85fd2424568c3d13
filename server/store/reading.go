package store

import (
	"context"
	"fmt"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/conditions"
)

type readingRow struct {
	Water  uuid.UUID         `db:"water_id"`
	Kind   conditions.Kind   `db:"kind"`
	Time   time.Time         `db:"time"`
	Origin conditions.Origin `db:"origin"`
	Value  float64           `db:"value"`
	Source string            `db:"source"`
}

// Readings of an angler's waters between two times, by water.
func (s *Store) Readings(ctx context.Context, angler uuid.UUID, from, to time.Time) (map[uuid.UUID][]conditions.Reading, error) {
	var rows []readingRow
	err := s.db.SelectContext(ctx, &rows, `SELECT r.water_id, r.kind, r.time, r.origin, r.value, r.source FROM reading r
		JOIN water w ON w.id = r.water_id WHERE w.angler_id = ? AND r.time BETWEEN ? AND ?`, angler, from, to)
	out := make(map[uuid.UUID][]conditions.Reading)
	for _, r := range rows {
		out[r.Water] = append(out[r.Water], conditions.Reading{Kind: r.Kind, Value: r.Value, Time: r.Time, Origin: r.Origin, Source: r.Source})
	}
	return out, err
}

// ReplaceForecast puts a new forecast of a water in place of the old one.
func (s *Store) ReplaceForecast(ctx context.Context, angler, water uuid.UUID, readings []conditions.Reading) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM reading WHERE water_id = ? AND origin = 'forecast'`, water); err != nil {
			return err
		}
		const batch = 500
		for len(readings) > 0 {
			n := min(batch, len(readings))
			rows := make([]readingRow, n)
			for i, r := range readings[:n] {
				if err := r.Validate(); err != nil {
					return fmt.Errorf("store: forecast: %w", err)
				}
				rows[i] = readingRow{water, r.Kind, r.Time, r.Origin, r.Value, r.Source}
			}
			if _, err := tx.NamedExecContext(ctx, `INSERT INTO reading (water_id, kind, time, origin, value, source)
				VALUES (:water_id, :kind, :time, :origin, :value, :source)`, rows); err != nil {
				return err
			}
			readings = readings[n:]
		}
		return nil
	})
}

// AddReading keeps one reading of a water; the same kind, time and origin again
// replaces it.
func (s *Store) AddReading(ctx context.Context, angler, water uuid.UUID, r conditions.Reading) error {
	if err := r.Validate(); err != nil {
		return fmt.Errorf("store: reading: %w", err)
	}
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		_, err := tx.NamedExecContext(ctx, `INSERT INTO reading (water_id, kind, time, origin, value, source)
			VALUES (:water_id, :kind, :time, :origin, :value, :source) ON DUPLICATE KEY UPDATE value = VALUES(value), source = VALUES(source)`,
			readingRow{water, r.Kind, r.Time, r.Origin, r.Value, r.Source})
		return err
	})
}
