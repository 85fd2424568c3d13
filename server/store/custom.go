package store

import (
	"context"
	"database/sql"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/playbook"
)

// Kinds of entry an angler writes in the playbook's language.
const (
	CustomTarget = "target"
	CustomRule   = "rule"
)

// Overlay of an angler: their targets and rules, changes and positions.
func (s *Store) Overlay(ctx context.Context, angler uuid.UUID) (o playbook.Overlay, err error) {
	err = s.snapshot(ctx, func(q querier) error {
		o, err = overlay(ctx, q, angler)
		return err
	})
	return o, err
}

func overlay(ctx context.Context, q querier, angler uuid.UUID) (o playbook.Overlay, err error) {
	if o.Changes, err = ruleChanges(ctx, q, angler); err != nil {
		return o, err
	}
	var schools []struct {
		School   string `db:"school_id"`
		Position string `db:"position"`
	}
	if err = q.SelectContext(ctx, &schools, `SELECT school_id, position FROM school_choice WHERE angler_id = ?`, angler); err != nil {
		return o, err
	}
	o.Schools = make(map[string]string, len(schools))
	for _, c := range schools {
		o.Schools[c.School] = c.Position
	}
	var entries []struct {
		Kind   string `db:"kind"`
		ID     string `db:"id"`
		Source string `db:"source"`
	}
	// Targets before the rules that may speak of them.
	if err = q.SelectContext(ctx, &entries, `SELECT kind, id, source FROM own_entry WHERE angler_id = ? ORDER BY kind DESC, id`,
		angler); err != nil {
		return o, err
	}
	for _, e := range entries {
		o.Files = append(o.Files, playbook.File{Name: e.Kind + " " + e.ID, Data: []byte(e.Source)})
	}
	return o, nil
}

// EditOverlay lets an angler's own entries be looked at and written as one: nobody writes
// them meanwhile.
func (s *Store) EditOverlay(ctx context.Context, angler uuid.UUID, edit func(s *Store, o playbook.Overlay) error) error {
	return s.Whole(ctx, func(s *Store) error {
		var one int
		if err := notFound(s.db.GetContext(ctx, &one, `SELECT 1 FROM angler WHERE id = ? FOR UPDATE`, angler)); err != nil {
			return err
		}
		o, err := overlay(ctx, s.db, angler)
		if err != nil {
			return err
		}
		return edit(s, o)
	})
}

// PutSchool takes a position; an empty one goes back to the default.
func (s *Store) PutSchool(ctx context.Context, angler uuid.UUID, school, position string) error {
	if position == "" {
		_, err := s.exec(ctx, `DELETE FROM school_choice WHERE angler_id = ? AND school_id = ?`, angler, school)
		return err
	}
	_, err := s.exec(ctx, `REPLACE INTO school_choice (angler_id, school_id, position) VALUES (?, ?, ?)`, angler,
		school, position)
	return err
}

// PutCustom keeps an entry, new or over the one with its id.
func (s *Store) PutCustom(ctx context.Context, angler uuid.UUID, kind, id string, source []byte) error {
	return s.PutAllCustom(ctx, angler, []playbook.Entry{{Kind: kind, ID: id, Source: source}})
}

// PutAllCustom keeps entries, all or none.
func (s *Store) PutAllCustom(ctx context.Context, angler uuid.UUID, list []playbook.Entry) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		for _, e := range list {
			if _, err := tx.ExecContext(ctx, `REPLACE INTO own_entry (angler_id, kind, id, source) VALUES (?, ?, ?, ?)`, angler, e.Kind,
				e.ID, string(e.Source)); err != nil {
				return err
			}
		}
		return nil
	})
}

// DeleteCustom takes an entry out.
func (s *Store) DeleteCustom(ctx context.Context, angler uuid.UUID, kind, id string) error {
	return gone(s.exec(ctx, `DELETE FROM own_entry WHERE angler_id = ? AND kind = ? AND id = ?`, angler, kind, id))
}

// gone is ErrNotFound where nothing was deleted.
func gone(r sql.Result, err error) error {
	if err != nil {
		return err
	}
	if n, err := r.RowsAffected(); err != nil || n == 0 {
		return ErrNotFound
	}
	return nil
}
