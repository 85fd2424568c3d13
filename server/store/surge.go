package store

import (
	"context"
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

// surges of an angler by water.
func (s *Store) surges(ctx context.Context, angler uuid.UUID) (map[uuid.UUID]tide.Surge, error) {
	var rows []struct {
		Water uuid.UUID `db:"water_id"`
		By    float64   `db:"by_m"`
		Seen  time.Time `db:"seen_at"`
		Fade  int       `db:"fade_s"`
	}
	err := s.db.SelectContext(ctx, &rows, `SELECT g.water_id, g.by_m, g.seen_at, g.fade_s FROM surge g
		JOIN water w ON w.id = g.water_id WHERE w.angler_id = ?`, angler)
	out := make(map[uuid.UUID]tide.Surge, len(rows))
	for _, r := range rows {
		out[r.Water] = tide.Surge{ByM: r.By, Seen: r.Seen, Fade: time.Duration(r.Fade) * time.Second}
	}
	return out, err
}
