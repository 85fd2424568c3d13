package store

import (
	"context"
	"time"

	"github.com/google/uuid"
)

// Session of someone signed in, as the store keeps it; its token is kept hashed.
type Session struct {
	ID       uuid.UUID `db:"id"`
	Angler   uuid.UUID `db:"angler_id"`
	Data     []byte    `db:"data"`
	Started  time.Time `db:"started_at"`
	Seen     time.Time `db:"seen_at"`
	Expiry   time.Time `db:"expiry"`
	Device   string    `db:"device"`
	Settings []byte    `db:"settings"`
}

// SessionByToken with its angler's settings; one that has run out is [ErrNotFound].
func (s *Store) SessionByToken(ctx context.Context, token string) (row Session, err error) {
	err = s.db.GetContext(ctx, &row, `SELECT j.id, j.angler_id, j.data, j.started_at, j.seen_at, j.expiry, j.device,
		COALESCE(a.settings, '') AS settings FROM sessions j JOIN angler a ON a.id = j.angler_id
		WHERE j.token = ? AND j.expiry > UTC_TIMESTAMP(6)`, token)
	return row, notFound(err)
}

// AddSession of someone who has just signed in.
func (s *Store) AddSession(ctx context.Context, token string, row Session) error {
	_, err := s.exec(ctx, `INSERT INTO sessions (token, id, angler_id, data, started_at, seen_at, expiry, device)
		VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3), ?, ?)`, token, row.ID, row.Angler, row.Data, row.Expiry.UTC(), row.Device)
	return err
}

// SeeSession notes that someone is still there; a session ended meanwhile stays so.
func (s *Store) SeeSession(ctx context.Context, token string, expiry time.Time) error {
	_, err := s.exec(ctx, `UPDATE sessions SET expiry = ?, seen_at = UTC_TIMESTAMP(3) WHERE token = ?`, expiry.UTC(), token)
	return err
}

// EndSession by its token.
func (s *Store) EndSession(ctx context.Context, token string) error {
	_, err := s.exec(ctx, `DELETE FROM sessions WHERE token = ?`, token)
	return err
}

// Sessions of an angler, last seen first.
func (s *Store) Sessions(ctx context.Context, angler uuid.UUID) (out []Session, err error) {
	return out, s.db.SelectContext(ctx, &out, `SELECT id, angler_id, started_at, seen_at, expiry, device FROM sessions
		WHERE angler_id = ? AND expiry > UTC_TIMESTAMP(6) ORDER BY seen_at DESC, id`, angler)
}

// EndSessionOf an angler by its id.
func (s *Store) EndSessionOf(ctx context.Context, angler, id uuid.UUID) error {
	r, err := s.exec(ctx, `DELETE FROM sessions WHERE angler_id = ? AND id = ?`, angler, id)
	if err != nil {
		return err
	}
	if n, err := r.RowsAffected(); err != nil || n == 0 {
		return ErrNotFound
	}
	return nil
}

// EndSessionsBut those of an angler other than one; uuid.Nil ends all.
func (s *Store) EndSessionsBut(ctx context.Context, angler, but uuid.UUID) error {
	_, err := s.exec(ctx, `DELETE FROM sessions WHERE angler_id = ? AND id <> ?`, angler, but)
	return err
}

// ForgetSessions and invites that have run out, and say how many.
func (s *Store) ForgetSessions(ctx context.Context) (n int64, err error) {
	for _, q := range []string{`DELETE FROM sessions WHERE expiry < UTC_TIMESTAMP(6)`,
		`DELETE FROM invite WHERE expires_at < UTC_TIMESTAMP(3) OR uses_left = 0`} {
		r, err := s.exec(ctx, q)
		if err != nil {
			return n, err
		}
		some, err := r.RowsAffected()
		if err != nil {
			return n, err
		}
		n += some
	}
	return n, nil
}
