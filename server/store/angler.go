package store

import (
	"context"
	"crypto/rand"
	"fmt"

	"github.com/google/uuid"
)

// Angler is someone who signs in.
type Angler struct {
	ID           uuid.UUID `db:"id"`
	Name         string    `db:"name"`
	PasswordHash string    `db:"password_hash"`
}

// AddAngler stores a new one. A name that is taken is an error.
func (s *Store) AddAngler(ctx context.Context, a Angler) error {
	_, err := s.exec(ctx, `INSERT INTO angler (id, name, password_hash) VALUES (?, ?, ?)`, a.ID, a.Name, a.PasswordHash)
	if duplicate(err) {
		return fmt.Errorf("store: the name %q is taken", a.Name)
	}
	return err
}

// AnglerByName for signing in.
func (s *Store) AnglerByName(ctx context.Context, name string) (a Angler, err error) {
	err = s.db.GetContext(ctx, &a, `SELECT id, name, password_hash FROM angler WHERE name = ?`, name)
	return a, notFound(err)
}

// AnglerByID of a session.
func (s *Store) AnglerByID(ctx context.Context, id uuid.UUID) (a Angler, err error) {
	err = s.db.GetContext(ctx, &a, `SELECT id, name, password_hash FROM angler WHERE id = ?`, id)
	return a, notFound(err)
}

// Anglers counts them.
func (s *Store) Anglers(ctx context.Context) (n int, err error) {
	return n, s.db.GetContext(ctx, &n, `SELECT COUNT(*) FROM angler`)
}

// ForgetSessions that have run out, and say how many.
func (s *Store) ForgetSessions(ctx context.Context) (n int64, err error) {
	r, err := s.exec(ctx, `DELETE FROM sessions WHERE expiry < UTC_TIMESTAMP(6)`)
	if err != nil {
		return 0, err
	}
	return r.RowsAffected()
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
