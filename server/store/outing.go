package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"fmt"
	"strings"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/outing"
)

// Outing of an angler, beside its touches and spells.
type Outing struct {
	ID       uuid.UUID     `db:"id"`
	Revision int           `db:"revision"`
	Began    time.Time     `db:"began_at"`
	Ended    sql.NullTime  `db:"ended_at"`
	Note     string        `db:"note"`
	Tell     string        `db:"tell"`
	Call     sql.NullTime  `db:"call_at"`
	Plan     uuid.NullUUID `db:"plan_id"`
}

const outingColumns = `id, revision, began_at, ended_at, note, tell, call_at, plan_id`

// BeginOuting where there is none of the id yet. Its row is locked until the writing ends, so that those
// of two devices come one after the other.
func (s *Store) BeginOuting(ctx context.Context, angler, id uuid.UUID, now time.Time) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		stored, err := claim(ctx, tx, "outing", angler, id, 0)
		if err != nil || stored > 0 {
			return err
		}
		_, err = tx.ExecContext(ctx, `INSERT INTO outing (id, angler_id, began_at, revision) VALUES (?, ?, ?, 0)`, id, angler, now)
		return err
	})
}

// PutOuting writes what is said of an outing as a whole.
func (s *Store) PutOuting(ctx context.Context, angler uuid.UUID, o Outing) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		_, err := tx.NamedExecContext(ctx, `UPDATE outing SET began_at = :began_at, ended_at = :ended_at, note = :note, tell = :tell,
			call_at = :call_at, plan_id = :plan_id, revision = revision + 1 WHERE id = :id AND angler_id = :angler_id`, struct {
			Outing
			Angler uuid.UUID `db:"angler_id"`
		}{o, angler})
		return err
	})
}

// Outing by id.
func (s *Store) Outing(ctx context.Context, angler, id uuid.UUID) (o Outing, err error) {
	return o, notFound(s.db.GetContext(ctx, &o, `SELECT `+outingColumns+` FROM outing WHERE id = ? AND angler_id = ?`, id, angler))
}

// Outings of an angler, the newest first.
func (s *Store) Outings(ctx context.Context, angler uuid.UUID, most int) (list []Outing, err error) {
	return list, s.db.SelectContext(ctx, &list, `SELECT `+outingColumns+` FROM outing WHERE angler_id = ? ORDER BY began_at DESC, id
		LIMIT ?`, angler, most)
}

// DeleteOuting forgets an outing and its touches; its spells stay in the log.
func (s *Store) DeleteOuting(ctx context.Context, angler, id uuid.UUID) error {
	return gone(s.exec(ctx, `DELETE FROM outing WHERE id = ? AND angler_id = ?`, id, angler))
}

// AddTouches to an outing of the angler's; those it has are left as they are, so that they can be sent again.
func (s *Store) AddTouches(ctx context.Context, angler, id uuid.UUID, touches []outing.Touch) error {
	if len(touches) == 0 {
		return nil
	}
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "outing", angler, id); err != nil {
			return err
		}
		places, args := make([]string, len(touches)), make([]any, 0, 4*len(touches))
		for i, t := range touches {
			body, err := json.Marshal(t)
			if err != nil {
				return err
			}
			places[i] = "(?, ?, ?, ?)"
			args = append(args, id, t.ID, t.N, string(body))
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO touch (outing_id, id, n, body) VALUES `+strings.Join(places, ", ")+
			` ON DUPLICATE KEY UPDATE n = n`, args...)
		return err
	})
}

// Touches of an outing of the angler's.
func (s *Store) Touches(ctx context.Context, angler, id uuid.UUID) ([]outing.Touch, error) {
	var rows []string
	if err := s.db.SelectContext(ctx, &rows, `SELECT t.body FROM touch t JOIN outing o ON o.id = t.outing_id
		WHERE o.id = ? AND o.angler_id = ? ORDER BY t.n, t.id`, id, angler); err != nil {
		return nil, err
	}
	out := make([]outing.Touch, len(rows))
	for i, body := range rows {
		if err := json.Unmarshal([]byte(body), &out[i]); err != nil {
			return nil, fmt.Errorf("store: a touch of outing %s: %w", id, err)
		}
	}
	return out, nil
}

// Told marks a spell and its catches as written by the touches of their outing, as they are now.
func (s *Store) Told(ctx context.Context, angler, spell uuid.UUID, catches []uuid.UUID) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `UPDATE spell SET told = revision WHERE id = ? AND angler_id = ?`, spell, angler); err != nil ||
			len(catches) == 0 {
			return err
		}
		query, args, err := sqlx.In(`UPDATE catch SET told = revision WHERE angler_id = ? AND id IN (?)`, angler, catches)
		if err != nil {
			return err
		}
		_, err = tx.ExecContext(ctx, query, args...)
		return err
	})
}
