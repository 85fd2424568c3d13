package store

import (
	"context"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/care"
)

// ownCareRow as it stands in the table.
type ownCareRow struct {
	Target   string  `db:"target"`
	BreederM float64 `db:"breeder_m"`
	HotC     float64 `db:"hot_c"`
	Handling string  `db:"handling"`
}

// OwnCare of a target; the zero value where an angler has none.
func (s *Store) OwnCare(ctx context.Context, angler uuid.UUID, target string) (care.Own, error) {
	var r ownCareRow
	err := notFound(s.db.GetContext(ctx, &r, `SELECT target, breeder_m, hot_c, handling FROM own_care WHERE angler_id = ? AND target = ?`,
		angler, target))
	if err == ErrNotFound {
		err = nil
	}
	return care.Own{BreederM: r.BreederM, HotC: r.HotC, Handling: r.Handling}, err
}

// OwnCares of an angler by target.
func (s *Store) OwnCares(ctx context.Context, angler uuid.UUID) (map[string]care.Own, error) {
	var rows []ownCareRow
	if err := s.db.SelectContext(ctx, &rows, `SELECT target, breeder_m, hot_c, handling FROM own_care WHERE angler_id = ?`,
		angler); err != nil {
		return nil, err
	}
	out := make(map[string]care.Own, len(rows))
	for _, r := range rows {
		out[r.Target] = care.Own{BreederM: r.BreederM, HotC: r.HotC, Handling: r.Handling}
	}
	return out, nil
}

// PutOwnCare keeps what an angler holds of a fish; the zero value is the book's again.
func (s *Store) PutOwnCare(ctx context.Context, angler uuid.UUID, target string, o care.Own) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if o == (care.Own{}) {
			_, err := tx.ExecContext(ctx, `DELETE FROM own_care WHERE angler_id = ? AND target = ?`, angler, target)
			return err
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO own_care (angler_id, target, breeder_m, hot_c, handling) VALUES (?, ?, ?, ?, ?)
			ON DUPLICATE KEY UPDATE breeder_m = VALUES(breeder_m), hot_c = VALUES(hot_c), handling = VALUES(handling)`, angler, target,
			o.BreederM, o.HotC, o.Handling)
		return err
	})
}
