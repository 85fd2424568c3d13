package store

import (
	"context"
	"database/sql"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/tide"
)

// PutSurge notes how much the water stands off its prediction; it takes the
// place of an earlier one.
func (s *Store) PutSurge(ctx context.Context, angler, water uuid.UUID, g tide.Surge) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO surge (water_id, by_m, seen_at, fade_s) VALUES (?, ?, ?, ?)
			ON DUPLICATE KEY UPDATE by_m = VALUES(by_m), seen_at = VALUES(seen_at), fade_s = VALUES(fade_s)`,
			water, g.ByM, g.Seen, int(g.Fade.Seconds()))
		return err
	})
}

// DeleteSurge takes it back.
func (s *Store) DeleteSurge(ctx context.Context, angler, water uuid.UUID) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM surge WHERE water_id = ?`, water)
		return err
	})
}

// surgeColumns of a surge that may be missing.
type surgeColumns struct {
	By   sql.NullFloat64 `db:"by_m"`
	Seen sql.NullTime    `db:"seen_at"`
	Fade sql.NullInt64   `db:"fade_s"`
}

func (c surgeColumns) surge() *tide.Surge {
	if !c.By.Valid {
		return nil
	}
	return &tide.Surge{ByM: c.By.Float64, Seen: c.Seen.Time, Fade: time.Duration(c.Fade.Int64) * time.Second}
}
