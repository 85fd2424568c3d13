package store

import (
	"context"
	"database/sql"
	"math"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/going"
)

// Limits an angler has set to going; those left at the house's are not in it.
func (s *Store) Limits(ctx context.Context, angler uuid.UUID) (going.Limits, error) {
	var rows []struct {
		ID    string          `db:"limit_id"`
		Think sql.NullFloat64 `db:"think"`
		DoNot sql.NullFloat64 `db:"do_not"`
	}
	if err := s.db.SelectContext(ctx, &rows, `SELECT limit_id, think, do_not FROM going_limit WHERE angler_id = ?`, angler); err != nil {
		return nil, err
	}
	out := make(going.Limits, len(rows))
	number := func(v sql.NullFloat64) float64 {
		if v.Valid {
			return v.Float64
		}
		return math.NaN()
	}
	for _, r := range rows {
		out[r.ID] = going.Level{Think: number(r.Think), DoNot: number(r.DoNot)}
	}
	return out, nil
}

// PutLimits in place of all there were.
func (s *Store) PutLimits(ctx context.Context, angler uuid.UUID, limits going.Limits) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `DELETE FROM going_limit WHERE angler_id = ?`, angler); err != nil {
			return err
		}
		number := func(v float64) sql.NullFloat64 { return sql.NullFloat64{Float64: v, Valid: !math.IsNaN(v)} }
		for id, l := range limits {
			if _, err := tx.ExecContext(ctx, `INSERT INTO going_limit (angler_id, limit_id, think, do_not) VALUES (?, ?, ?, ?)`, angler, id,
				number(l.Think), number(l.DoNot)); err != nil {
				return err
			}
		}
		return nil
	})
}
