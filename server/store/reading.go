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
	// Own says that the angler said so, who may expect another value than the
	// service does for the same hour.
	Own    bool    `db:"own"`
	Value  float64 `db:"value"`
	Spread float64 `db:"spread"`
	Source string  `db:"source"`
	Place  string  `db:"place"`
}

func rowOf(water uuid.UUID, r conditions.Reading) readingRow {
	return readingRow{water, r.Kind, r.Time, r.Origin, r.Source == conditions.TheAngler, r.Value, r.Spread, r.Source, r.Site}
}

// Readings of an angler's waters between two times, by water, oldest first.
func (s *Store) Readings(ctx context.Context, angler uuid.UUID, from, to time.Time) (map[uuid.UUID][]conditions.Reading, error) {
	return s.readings(ctx, "", angler, from, to)
}

// ReadingsOf a water between two times, oldest first.
func (s *Store) ReadingsOf(ctx context.Context, angler, water uuid.UUID, from, to time.Time) ([]conditions.Reading, error) {
	all, err := s.readings(ctx, " AND w.id = ?", angler, from, to, water)
	return all[water], err
}

func (s *Store) readings(ctx context.Context, also string, args ...any) (map[uuid.UUID][]conditions.Reading, error) {
	var rows []readingRow
	err := s.db.SelectContext(ctx, &rows, `SELECT r.water_id, r.kind, r.time, r.origin, r.own, r.value, r.spread, r.source,
		r.place FROM reading r JOIN water w ON w.id = r.water_id WHERE w.angler_id = ? AND r.time BETWEEN ? AND ?`+also+`
		ORDER BY r.time, r.kind, r.origin, r.own`, args...)
	out := make(map[uuid.UUID][]conditions.Reading)
	for _, r := range rows {
		out[r.Water] = append(out[r.Water], conditions.Reading{Kind: r.Kind, Value: r.Value, Time: r.Time, Origin: r.Origin,
			Source: r.Source, Site: r.Place, Spread: r.Spread})
	}
	return out, err
}

// ReplaceForecast puts a new forecast of a water in place of the old one. What
// the angler expects stays.
func (s *Store) ReplaceForecast(ctx context.Context, angler, water uuid.UUID, readings []conditions.Reading) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM reading WHERE water_id = ? AND origin = 'forecast' AND NOT own`, water); err != nil {
			return err
		}
		return insertReadings(ctx, tx, water, readings)
	})
}

// AddReadings keeps readings of a water, all or none; the same kind, time and
// origin again replaces it.
func (s *Store) AddReadings(ctx context.Context, angler, water uuid.UUID, readings []conditions.Reading) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		return insertReadings(ctx, tx, water, readings)
	})
}

func insertReadings(ctx context.Context, tx *sqlx.Tx, water uuid.UUID, readings []conditions.Reading) error {
	const batch = 500
	for len(readings) > 0 {
		n := min(batch, len(readings))
		rows := make([]readingRow, n)
		for i, r := range readings[:n] {
			if err := r.Validate(); err != nil {
				return fmt.Errorf("store: reading: %w", err)
			}
			rows[i] = rowOf(water, r)
		}
		if _, err := tx.NamedExecContext(ctx, `INSERT INTO reading (water_id, kind, time, origin, own, value, spread, source, place)
			VALUES (:water_id, :kind, :time, :origin, :own, :value, :spread, :source, :place)
			ON DUPLICATE KEY UPDATE value = VALUES(value), spread = VALUES(spread), source = VALUES(source),
				place = VALUES(place)`, rows); err != nil {
			return err
		}
		readings = readings[n:]
	}
	return nil
}

// DeleteReading takes back what the angler said of a kind at a time.
func (s *Store) DeleteReading(ctx context.Context, angler, water uuid.UUID, k conditions.Kind, t time.Time) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		r, err := tx.ExecContext(ctx, `DELETE FROM reading WHERE water_id = ? AND kind = ? AND time = ? AND own`, water, k, t)
		if err != nil {
			return err
		}
		if n, err := r.RowsAffected(); err != nil || n == 0 {
			return ErrNotFound
		}
		return nil
	})
}

// kept is how long what a machine stored of a water is kept: a forecast that is over, what a
// logger or a sounder read. A spell keeps its own readings, and an angler's stay.
const kept = 60 * 24 * time.Hour

// mostThinned rows go at once, so that others need not wait for their locks.
const mostThinned = 5000

// ThinReadings takes out what machines stored longer ago than it is of use, and says how
// many.
func (s *Store) ThinReadings(ctx context.Context, now time.Time) (n int64, err error) {
	for {
		r, err := s.exec(ctx, `DELETE FROM reading WHERE NOT own AND time < ? ORDER BY water_id, time LIMIT ?`, now.Add(-kept), mostThinned)
		if err != nil {
			return n, err
		}
		one, err := r.RowsAffected()
		if n += one; err != nil || one < mostThinned {
			return n, err
		}
	}
}
