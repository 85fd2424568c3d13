package store

import (
	"context"
	"slices"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// Belongings of an angler, counted: what goes when they leave.
type Belongings struct {
	Waters   int `db:"waters"`
	Stations int `db:"stations"`
	Spots    int `db:"spots"`
	Spells   int `db:"spells"`
	Catches  int `db:"catches"`
	Readings int `db:"readings"`
	Kit      int `db:"kit"`
	Rules    int `db:"rules"`
}

// Empty says that there are none.
func (b Belongings) Empty() bool { return b == Belongings{} }

// BelongingsOf an angler.
func (s *Store) BelongingsOf(ctx context.Context, angler uuid.UUID) (b Belongings, err error) {
	return b, s.db.GetContext(ctx, &b, `SELECT
		(SELECT COUNT(*) FROM water WHERE angler_id = a.id) AS waters,
		(SELECT COUNT(*) FROM station WHERE angler_id = a.id) AS stations,
		(SELECT COUNT(*) FROM spot WHERE angler_id = a.id) AS spots,
		(SELECT COUNT(*) FROM spell WHERE angler_id = a.id) AS spells,
		(SELECT COUNT(*) FROM catch WHERE angler_id = a.id) AS catches,
		(SELECT COUNT(*) FROM reading r JOIN water w ON w.id = r.water_id WHERE w.angler_id = a.id AND r.own) AS readings,
		(SELECT COUNT(*) FROM kit_item WHERE angler_id = a.id) AS kit,
		(SELECT COUNT(*) FROM rule_change WHERE angler_id = a.id) + (SELECT COUNT(*) FROM school_choice WHERE angler_id = a.id)
		+ (SELECT COUNT(*) FROM own_entry WHERE angler_id = a.id) + (SELECT COUNT(*) FROM going_limit WHERE angler_id = a.id) AS rules
		FROM angler a WHERE a.id = ?`, angler)
}

// DeleteAngler with everything in the account, all of it or none. What belongs to others
// stays.
func (s *Store) DeleteAngler(ctx context.Context, angler uuid.UUID) error {
	// Counted first, as every write of theirs is: writers come one after the other.
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		for _, t := range slices.Backward(ownedTables) {
			if t.of != "" {
				continue // it goes with the row it belongs to
			}
			order := "" // a station others follow goes after them
			if t.name == "station" {
				order = " ORDER BY reference_id IS NULL"
			}
			if _, err := tx.ExecContext(ctx, `DELETE FROM `+t.name+` WHERE angler_id = ?`+order, angler); err != nil {
				return err
			}
		}
		r, err := tx.ExecContext(ctx, `DELETE FROM angler WHERE id = ?`, angler)
		if err != nil {
			return err
		}
		if n, err := r.RowsAffected(); err != nil || n == 0 {
			return ErrNotFound
		}
		return nil
	})
}
