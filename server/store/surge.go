package store

import (
	"context"
	"database/sql"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/tide"
)

// PutSurge notes how much the water stands off its prediction, over the revision of an
// earlier one that was read. It returns its revision.
func (s *Store) PutSurge(ctx context.Context, angler, water uuid.UUID, g tide.Surge, read int) (revision int, err error) {
	row := surgeRow{water, g.ByM, g.Seen.UTC().Truncate(time.Millisecond), int(g.Fade.Seconds()), 0}
	err = s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		stored, err := claim(ctx, tx, "surge", angler, water, read)
		if err != nil {
			return err
		}
		var old surgeRow
		if stored > 0 {
			if err := tx.GetContext(ctx, &old, `SELECT water_id, by_m, seen_at, fade_s, revision FROM surge WHERE water_id = ?`,
				water); err != nil {
				return err
			}
		}
		if read == 0 && stored > 0 && !old.Seen.Add(time.Duration(old.FadeS)*time.Second).After(row.Seen) {
			read = stored // nothing is left of that one, nobody is shown it any more
		}
		if row.Revision, err = revised("surge", stored, read, differing(old, row)); err != nil || row.Revision == 0 {
			revision = stored
			return err
		}
		revision = row.Revision
		write := `UPDATE surge SET by_m = :by_m, seen_at = :seen_at, fade_s = :fade_s, revision = :revision WHERE water_id = :water_id`
		if stored == 0 {
			write = `INSERT INTO surge (water_id, by_m, seen_at, fade_s, revision) VALUES (:water_id, :by_m, :seen_at, :fade_s, :revision)`
		}
		_, err = tx.NamedExecContext(ctx, write, row)
		return err
	})
	return revision, err
}

type surgeRow struct {
	Water    uuid.UUID `db:"water_id"`
	ByM      float64   `db:"by_m"`
	Seen     time.Time `db:"seen_at"`
	FadeS    int       `db:"fade_s"`
	Revision int       `db:"revision"`
}

// DeleteSurge takes it back.
func (s *Store) DeleteSurge(ctx context.Context, angler, water uuid.UUID) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
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
	// SurgeRevision of it.
	SurgeRevision sql.NullInt64 `db:"surge_revision"`
}

func (c surgeColumns) surge() *tide.Surge {
	if !c.By.Valid {
		return nil
	}
	return &tide.Surge{ByM: c.By.Float64, Seen: c.Seen.Time, Fade: time.Duration(c.Fade.Int64) * time.Second}
}
