package store

import (
	"context"
	"crypto/rand"
	"errors"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// Angler is someone who signs in.
type Angler struct {
	ID           uuid.UUID `db:"id"`
	Name         string    `db:"name"`
	PasswordHash string    `db:"password_hash"`
	// Settings as they were stored, empty for none.
	Settings []byte `db:"settings"`
}

// ErrTaken says that another angler goes by that name.
var ErrTaken = errors.New("store: the name is taken")

// AddAngler stores a new one. A name that is taken is [ErrTaken].
func (s *Store) AddAngler(ctx context.Context, a Angler) error {
	return s.within(ctx, func(tx *sqlx.Tx) error { return addAngler(ctx, tx, a) })
}

func addAngler(ctx context.Context, tx *sqlx.Tx, a Angler) error {
	var taken bool
	if err := tx.GetContext(ctx, &taken, `SELECT EXISTS (SELECT 1 FROM angler WHERE name = ? OR id = ?)`, a.Name, a.ID); err != nil {
		return err
	}
	if taken {
		return ErrTaken
	}
	// Two may come at once: the second meets the row and runs again, into the answer above.
	_, err := tx.ExecContext(ctx, `INSERT INTO angler (id, name, password_hash) VALUES (?, ?, ?)`, a.ID, a.Name, a.PasswordHash)
	return err
}

// Member is an angler as whoever runs the server sees them.
type Member struct {
	Name    string     `db:"name"`
	Created time.Time  `db:"created_at"`
	Seen    *time.Time `db:"seen_at"`
	Spots   int        `db:"spots"`
	Spells  int        `db:"spells"`
}

// Members by name.
func (s *Store) Members(ctx context.Context) (out []Member, err error) {
	return out, s.db.SelectContext(ctx, &out, `SELECT a.name, a.created_at,
		(SELECT MAX(seen_at) FROM sessions j WHERE j.angler_id = a.id) AS seen_at,
		(SELECT COUNT(*) FROM spot s WHERE s.angler_id = a.id) AS spots,
		(SELECT COUNT(*) FROM spell p WHERE p.angler_id = a.id) AS spells FROM angler a ORDER BY a.name`)
}

// SetPassword of an angler, and end their sessions but one (uuid.Nil ends all).
func (s *Store) SetPassword(ctx context.Context, angler uuid.UUID, hash string, but uuid.UUID) error {
	return s.Whole(ctx, func(s *Store) error {
		r, err := s.exec(ctx, `UPDATE angler SET password_hash = ? WHERE id = ?`, hash, angler)
		if err != nil {
			return err
		}
		if n, err := r.RowsAffected(); err != nil || n == 0 {
			return ErrNotFound
		}
		return s.EndSessionsBut(ctx, angler, but)
	})
}

// SetSettings of an angler, as JSON.
func (s *Store) SetSettings(ctx context.Context, angler uuid.UUID, settings []byte) error {
	_, err := s.exec(ctx, `UPDATE angler SET settings = ? WHERE id = ?`, string(settings), angler)
	return err
}

// SetRecoveryCodes in place of earlier ones, by their digests.
func (s *Store) SetRecoveryCodes(ctx context.Context, angler uuid.UUID, digests [][]byte) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `DELETE FROM recovery_code WHERE angler_id = ?`, angler); err != nil {
			return err
		}
		for _, d := range digests {
			if _, err := tx.ExecContext(ctx, `INSERT INTO recovery_code (angler_id, digest) VALUES (?, ?)`, angler, d); err != nil {
				return err
			}
		}
		return nil
	})
}

// RecoveryCodes an angler has left.
func (s *Store) RecoveryCodes(ctx context.Context, angler uuid.UUID) (n int, err error) {
	return n, s.db.GetContext(ctx, &n, `SELECT COUNT(*) FROM recovery_code WHERE angler_id = ?`, angler)
}

// Recover an account: the code is used up, the password is new, every session ends. A code
// that is not theirs is [ErrNotFound].
func (s *Store) Recover(ctx context.Context, angler uuid.UUID, digest []byte, hash string) error {
	return s.Whole(ctx, func(s *Store) error {
		r, err := s.exec(ctx, `DELETE FROM recovery_code WHERE angler_id = ? AND digest = ?`, angler, digest)
		if err != nil {
			return err
		}
		if n, err := r.RowsAffected(); err != nil || n == 0 {
			return ErrNotFound
		}
		return s.SetPassword(ctx, angler, hash, uuid.Nil)
	})
}

// AnglerByName for signing in.
func (s *Store) AnglerByName(ctx context.Context, name string) (a Angler, err error) {
	err = s.db.GetContext(ctx, &a, `SELECT id, name, password_hash, COALESCE(settings, '') AS settings FROM angler WHERE name = ?`, name)
	return a, notFound(err)
}

// AnglerByID of a session.
func (s *Store) AnglerByID(ctx context.Context, id uuid.UUID) (a Angler, err error) {
	err = s.db.GetContext(ctx, &a, `SELECT id, name, password_hash, COALESCE(settings, '') AS settings FROM angler WHERE id = ?`, id)
	return a, notFound(err)
}

// Anglers counts them.
func (s *Store) Anglers(ctx context.Context) (n int, err error) {
	return n, s.db.GetContext(ctx, &n, `SELECT COUNT(*) FROM angler`)
}

// Secret of an angler, made up when it is first asked for; nobody is ever shown it.
func (s *Store) Secret(ctx context.Context, angler uuid.UUID) (secret []byte, err error) {
	read := func() error {
		return notFound(s.db.GetContext(ctx, &secret, `SELECT COALESCE(secret, '') FROM angler WHERE id = ?`, angler))
	}
	if err := read(); err != nil || len(secret) > 0 {
		return secret, err
	}
	made := make([]byte, 32)
	if _, err := rand.Read(made); err != nil {
		return nil, err
	}
	// Two may come at once: the first one's holds.
	if _, err := s.exec(ctx, `UPDATE angler SET secret = ? WHERE id = ? AND secret IS NULL`, made, angler); err != nil {
		return nil, err
	}
	err = read()
	return secret, err
}
