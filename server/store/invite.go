package store

import (
	"context"
	"errors"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// Invite lets so many more people in until it expires. Its word is kept as a digest.
type Invite struct {
	ID uuid.UUID `db:"id"`
	// Angler who made it; nil for whoever runs the server.
	Angler  *uuid.UUID `db:"angler_id"`
	Digest  []byte     `db:"digest"`
	Note    string     `db:"note"`
	Uses    int        `db:"uses_left"`
	Expires time.Time  `db:"expires_at"`
}

// ErrInvite says that an invite is unknown, used up or has run out.
var ErrInvite = errors.New("store: no such invite")

// AddInvite stores a new one.
func (s *Store) AddInvite(ctx context.Context, i Invite) error {
	_, err := s.exec(ctx, `INSERT INTO invite (id, angler_id, digest, note, uses_left, expires_at) VALUES (?, ?, ?, ?, ?, ?)`,
		i.ID, i.Angler, i.Digest, i.Note, i.Uses, i.Expires.UTC())
	return err
}

// Invites an angler made that still hold, soonest to end first.
func (s *Store) Invites(ctx context.Context, angler uuid.UUID, now time.Time) (out []Invite, err error) {
	return out, s.db.SelectContext(ctx, &out, `SELECT id, angler_id, digest, note, uses_left, expires_at FROM invite
		WHERE angler_id = ? AND uses_left > 0 AND expires_at > ? ORDER BY expires_at, id`, angler, now.UTC())
}

// DeleteInvite takes one back.
func (s *Store) DeleteInvite(ctx context.Context, angler, id uuid.UUID) error {
	r, err := s.exec(ctx, `DELETE FROM invite WHERE angler_id = ? AND id = ?`, angler, id)
	if err != nil {
		return err
	}
	if n, err := r.RowsAffected(); err != nil || n == 0 {
		return ErrNotFound
	}
	return nil
}

// AddInvited stores an angler and counts their invite down, both or neither. One that does
// not hold at that time is [ErrInvite].
func (s *Store) AddInvited(ctx context.Context, a Angler, digest []byte, now time.Time) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		r, err := tx.ExecContext(ctx, `UPDATE invite SET uses_left = uses_left - 1 WHERE digest = ? AND uses_left > 0 AND expires_at > ?`,
			digest, now.UTC())
		if err != nil {
			return err
		}
		if n, err := r.RowsAffected(); err != nil || n == 0 {
			return ErrInvite
		}
		return addAngler(ctx, tx, a)
	})
}
