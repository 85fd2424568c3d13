package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/bylaw"
)

// Bylaw that is kept.
type Bylaw struct {
	bylaw.Rule
	Revision int
}

// bylawRow as it stands in the table.
type bylawRow struct {
	ID       uuid.UUID          `db:"id"`
	Rule     AsJSON[bylaw.Rule] `db:"rule"`
	Revision int                `db:"revision"`
}

func (r *bylawRow) bylaw() Bylaw {
	b := Bylaw{r.Rule.V, r.Revision}
	b.ID = r.ID.String()
	return b
}

// PutBylaw keeps a rule, new or over the revision of it that was read. It returns its revision.
func (s *Store) PutBylaw(ctx context.Context, angler, id uuid.UUID, r bylaw.Rule, read int) (revision int, err error) {
	err = s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		revision, err = putBylaw(ctx, tx, angler, id, r, read)
		return err
	})
	return revision, err
}

// Renewed is a rule to be written: over one there is, or new where it has no id.
type Renewed struct {
	ID   uuid.UUID
	Read int
	Rule bylaw.Rule
}

// PutBylaws writes rules, all or none.
func (s *Store) PutBylaws(ctx context.Context, angler uuid.UUID, list []Renewed) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) (err error) {
		for _, r := range list {
			if r.ID == uuid.Nil {
				if r.ID, err = uuid.NewV7(); err != nil {
					return err
				}
			}
			if _, err := putBylaw(ctx, tx, angler, r.ID, r.Rule, r.Read); err != nil {
				return err
			}
		}
		return nil
	})
}

func putBylaw(ctx context.Context, tx *sqlx.Tx, angler, id uuid.UUID, r bylaw.Rule, read int) (int, error) {
	stored, err := claim(ctx, tx, "bylaw", angler, id, read)
	if err != nil {
		return 0, err
	}
	row := bylawRow{ID: id, Rule: AsJSON[bylaw.Rule]{r}}
	var old bylawRow
	if stored > 0 {
		if err := tx.GetContext(ctx, &old, `SELECT id, rule, revision FROM bylaw WHERE id = ?`, id); err != nil {
			return 0, err
		}
	}
	if row.Revision, err = revised("bylaw", stored, read, differing(old, row)); err != nil || row.Revision == 0 {
		return stored, err
	}
	write := `UPDATE bylaw SET rule = :rule, revision = :revision WHERE id = :id`
	if stored == 0 {
		write = `INSERT INTO bylaw (id, angler_id, rule, revision) VALUES (:id, :angler_id, :rule, :revision)`
	}
	_, err = tx.NamedExecContext(ctx, write, struct {
		bylawRow
		Angler uuid.UUID `db:"angler_id"`
	}{row, angler})
	return row.Revision, err
}

// Bylaws an angler entered, in the order they were.
func (s *Store) Bylaws(ctx context.Context, angler uuid.UUID) (list []Bylaw, err error) {
	rows, err := readBylawRows(ctx, s.db, angler)
	for i := range rows {
		list = append(list, rows[i].bylaw())
	}
	return list, err
}

func readBylawRows(ctx context.Context, q querier, angler any) (rows []bylawRow, err error) {
	return rows, q.SelectContext(ctx, &rows, `SELECT id, rule, revision FROM bylaw WHERE angler_id = ? ORDER BY id`, angler)
}

// Rules an angler entered.
func (s *Store) Rules(ctx context.Context, angler uuid.UUID) ([]bylaw.Rule, error) {
	return readBylaws(ctx, s.db, angler)
}

// readBylaws as rules.
func readBylaws(ctx context.Context, q querier, angler any) (out []bylaw.Rule, err error) {
	rows, err := readBylawRows(ctx, q, angler)
	for i := range rows {
		out = append(out, rows[i].bylaw().Rule)
	}
	return out, err
}

// DeleteBylaw removes one.
func (s *Store) DeleteBylaw(ctx context.Context, angler, id uuid.UUID) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		return gone(tx.ExecContext(ctx, `DELETE FROM bylaw WHERE id = ? AND angler_id = ?`, id, angler))
	})
}

// CaughtFish of an angler's log, of everybody aboard.
type CaughtFish struct {
	ID       uuid.UUID `db:"id"`
	Target   string    `db:"target"`
	Species  string    `db:"species"`
	CaughtAt time.Time `db:"caught_at"`
	LengthM  *float64  `db:"length_m"`
	Who      string    `db:"who"`
	Kept     bool      `db:"kept"`
}

// Caught fish between two times, the earliest first.
func (s *Store) Caught(ctx context.Context, angler uuid.UUID, from, to time.Time) (list []CaughtFish, err error) {
	return list, s.db.SelectContext(ctx, &list, `SELECT id, target, species, caught_at, length_m, who, kept FROM catch
		WHERE angler_id = ? AND caught_at BETWEEN ? AND ? ORDER BY caught_at, id`, angler, from.UTC(), to.UTC())
}

// Sought are the targets of an angler's log, those fished for longest first.
func (s *Store) Sought(ctx context.Context, angler uuid.UUID) (list []string, err error) {
	return list, s.db.SelectContext(ctx, &list,
		`SELECT target FROM spell WHERE angler_id = ? GROUP BY target ORDER BY COUNT(*) DESC, target`,
		angler)
}
