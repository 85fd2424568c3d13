package store

import (
	"context"
	"database/sql"
	"math"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/tide"
	"greypebble/core/water"
)

// NotedTurn is a high or low water an angler saw at a spot.
type NotedTurn struct {
	ID uuid.UUID
	tide.Noted
}

// PutNoted keeps a noted turn of a spot, new or over the one with its id.
func (s *Store) PutNoted(ctx context.Context, angler, spot uuid.UUID, n NotedTurn) error {
	height := sql.NullFloat64{Float64: n.HeightM, Valid: !math.IsNaN(n.HeightM)}
	if !height.Valid {
		height.Float64 = 0
	}
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "spot", angler, spot); err != nil {
			return err
		}
		stored, err := claim(ctx, tx, "noted_turn", angler, n.ID, 0)
		if err != nil {
			return err
		}
		if stored == 0 {
			_, err = tx.ExecContext(ctx, `INSERT INTO noted_turn (id, spot_id, time, kind, height_m) VALUES (?, ?, ?, ?, ?)`,
				n.ID, spot, n.Time, n.Kind.String(), height)
			return err
		}
		return gone(tx.ExecContext(ctx, `UPDATE noted_turn SET time = ?, kind = ?, height_m = ? WHERE id = ? AND spot_id = ?`,
			n.Time, n.Kind.String(), height, n.ID, spot))
	})
}

// DeleteNoted takes one back.
func (s *Store) DeleteNoted(ctx context.Context, angler, spot, id uuid.UUID) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "spot", angler, spot); err != nil {
			return err
		}
		r, err := tx.ExecContext(ctx, `DELETE FROM noted_turn WHERE id = ? AND spot_id = ?`, id, spot)
		if err != nil {
			return err
		}
		if n, err := r.RowsAffected(); err != nil || n == 0 {
			return ErrNotFound
		}
		return nil
	})
}

// Noted turns of a spot, oldest first.
func (s *Store) Noted(ctx context.Context, angler, spot uuid.UUID) ([]NotedTurn, error) {
	var rows []struct {
		ID     uuid.UUID       `db:"id"`
		Time   time.Time       `db:"time"`
		Kind   string          `db:"kind"`
		Height sql.NullFloat64 `db:"height_m"`
	}
	err := s.db.SelectContext(ctx, &rows, `SELECT n.id, n.time, n.kind, n.height_m FROM noted_turn n JOIN spot s ON s.id = n.spot_id
		WHERE n.spot_id = ? AND s.angler_id = ? ORDER BY n.time`, spot, angler)
	out := make([]NotedTurn, len(rows))
	for i, r := range rows {
		out[i] = NotedTurn{r.ID, tide.Noted{Time: r.Time, Kind: tide.Low, HeightM: math.NaN()}}
		if r.Kind == tide.High.String() {
			out[i].Kind = tide.High
		}
		if r.Height.Valid {
			out[i].HeightM = r.Height.Float64
		}
	}
	return out, err
}

// SetOffsets gives a spot its own lag and factor on its water's station.
func (s *Store) SetOffsets(ctx context.Context, angler, spot uuid.UUID, o tide.Offsets) error {
	c := offsetsOf(o)
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "spot", angler, spot); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `UPDATE spot SET lag_high_s = ?, lag_low_s = ?, factor_high = ?, factor_low = ?,
			difference_high_m = ?,
			difference_low_m = ? WHERE id = ?`, c.LagHighS, c.LagLowS, c.FactorHigh, c.FactorLow, c.DifferenceHighM, c.DifferenceLowM, spot)
		return err
	})
}

// SetCurrent says what makes the tide run at a spot.
func (s *Store) SetCurrent(ctx context.Context, angler, spot uuid.UUID, c water.Setting) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "spot", angler, spot); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `UPDATE spot SET current_seen_ms = ?, basin_m2 = ?, passage_width_m = ?, passage_bed_m = ?
			WHERE id = ?`,
			c.SeenMS, c.BasinM2, c.WidthM, c.BedM, spot)
		return err
	})
}
