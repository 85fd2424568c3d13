package store

import (
	"context"
	"slices"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// Import is a file that was taken into the log.
type Import struct {
	ID     uuid.UUID `db:"id"`
	MadeAt time.Time `db:"made_at"`
	Name   string    `db:"name"`
	// Spells of it that are still there, and how many of them were changed since.
	Spells  int `db:"spells"`
	Changed int `db:"changed"`
}

// ImportSpells writes spells of a file, all or none. They are new: one whose id is there already, whosever it is, is
// [ErrNotFound].
func (s *Store) ImportSpells(ctx context.Context, angler uuid.UUID, in Import, spells []Spell) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := rewritten(ctx, tx, angler); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `INSERT INTO log_import (id, angler_id, made_at, name) VALUES (?, ?, ?, ?)`, in.ID, angler,
			in.MadeAt.UTC(), in.Name); err != nil {
			return err
		}
		checked := map[uuid.UUID]bool{}
		for i := range spells {
			sp := spells[i]
			if !checked[sp.SpotID] {
				if err := owned(ctx, tx, "spot", angler, sp.SpotID); err != nil {
					return err
				}
				checked[sp.SpotID] = true
			}
			sp.Revision, sp.Import = 0, uuid.NullUUID{UUID: in.ID, Valid: true}
			if _, isNew, err := putSpell(ctx, tx, angler, sp); err != nil || !isNew {
				if err == nil {
					err = ErrNotFound
				}
				return err
			}
			for _, c := range sp.Catches {
				c.SpellID, c.Revision = sp.ID, 0
				if _, err := writeCatch(ctx, tx, angler, c); err != nil {
					return err
				}
			}
		}
		_, err := tx.ExecContext(ctx, countCatches+` WHERE p.import_id = ?`, in.ID)
		return err
	})
}

// rewritten counts a writing of all of an angler's log, and stands before what is written as [logged] does.
func rewritten(ctx context.Context, tx *sqlx.Tx, angler uuid.UUID) error {
	_, err := tx.ExecContext(ctx, `UPDATE angler SET log = log + 1, ground = ground + 1 WHERE id = ?`, angler)
	return err
}

// Imports of an angler, newest first.
func (s *Store) Imports(ctx context.Context, angler uuid.UUID) (list []Import, err error) {
	return list, s.db.SelectContext(ctx, &list, `SELECT i.id, i.made_at, i.name, COUNT(p.id) AS spells,
		COALESCE(SUM(p.revision > 1), 0) AS changed
		FROM log_import i LEFT JOIN spell p ON p.import_id = i.id WHERE i.angler_id = ? GROUP BY i.id ORDER BY i.made_at DESC, i.id`,
		angler)
}

// TakeBack an import: its spells go, but for those that were changed since. It tells how many went.
func (s *Store) TakeBack(ctx context.Context, angler, id uuid.UUID) (spells int64, err error) {
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		if err := rewritten(ctx, tx, angler); err != nil {
			return err
		}
		if err := owned(ctx, tx, "log_import", angler, id); err != nil {
			return err
		}
		r, err := tx.ExecContext(ctx, `DELETE FROM spell WHERE import_id = ? AND angler_id = ? AND revision = 1`, id, angler)
		if err != nil {
			return err
		}
		if spells, err = r.RowsAffected(); err != nil {
			return err
		}
		_, err = tx.ExecContext(ctx, `DELETE FROM log_import WHERE id = ?`, id)
		return err
	})
	return spells, err
}

// Began is when and where a spell began, for telling doubles.
type Began struct {
	ID        uuid.UUID `db:"id"`
	SpotID    uuid.UUID `db:"spot_id"`
	Target    string    `db:"target"`
	Offering  string    `db:"offering"`
	StartedAt time.Time `db:"started_at"`
}

// BeganBetween are the spells of an angler that began then.
func (s *Store) BeganBetween(ctx context.Context, angler uuid.UUID, from, to time.Time) (list []Began, err error) {
	return list, s.db.SelectContext(ctx, &list, `SELECT id, spot_id, target, offering, started_at FROM spell
		WHERE angler_id = ? AND started_at BETWEEN ? AND ?`, angler, from.UTC(), to.UTC())
}

// Whose are rows of an angler's log by their ids: true where one is theirs, false where it is another's, and missing where
// there is none.
func (s *Store) Whose(ctx context.Context, angler uuid.UUID, table string, ids []uuid.UUID) (map[uuid.UUID]bool, error) {
	out := map[uuid.UUID]bool{}
	for part := range slices.Chunk(ids, 1000) {
		var rows []struct {
			ID     uuid.UUID `db:"id"`
			Angler uuid.UUID `db:"angler_id"`
		}
		if err := selectIn(ctx, s.db, &rows, `SELECT id, angler_id FROM `+table+` WHERE id IN (?)`, part); err != nil {
			return nil, err
		}
		for _, r := range rows {
			out[r.ID] = r.Angler == angler
		}
	}
	return out, nil
}
