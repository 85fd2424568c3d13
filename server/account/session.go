package account

import (
	"context"
	"errors"
	"net/http"
	"time"

	"github.com/alexedwards/scs/v2"
	"github.com/google/uuid"

	"greypebble/server/store"
)

const (
	// sessionLife from signing in, and how long one may be away meanwhile.
	sessionLife = 90 * 24 * time.Hour
	sessionIdle = 30 * 24 * time.Hour
	// seenEvery so often it is written down that someone is still there: most requests then
	// write nothing.
	seenEvery = time.Hour
)

// visit of a request: what the store said of its session.
type visit struct {
	device string
	found  *store.Session
	// signing in makes a session, nothing else does.
	signing *store.Session
}

type visitKey struct{}

func visitOf(ctx context.Context) *visit {
	v, _ := ctx.Value(visitKey{}).(*visit)
	return v
}

// Middleware loads and saves the session.
func (a *Accounts) Middleware(next http.Handler) http.Handler {
	sessions := a.sessions.LoadAndSave(next)
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		v := &visit{device: deviceOf(r.UserAgent())}
		sessions.ServeHTTP(w, r.WithContext(context.WithValue(r.Context(), visitKey{}, v)))
	})
}

// sessionStore is where the session library keeps sessions: rows that belong to an angler
// and go with them.
type sessionStore struct{ store *store.Store }

var _ scs.CtxStore = sessionStore{}

// FindCtx a session by its hashed token.
func (s sessionStore) FindCtx(ctx context.Context, token string) (data []byte, found bool, err error) {
	row, err := s.store.SessionByToken(ctx, token)
	switch {
	case errors.Is(err, store.ErrNotFound):
		return nil, false, nil
	case err != nil:
		return nil, false, err
	}
	if v := visitOf(ctx); v != nil {
		v.found = &row
	}
	return row.Data, true, nil
}

// CommitCtx a session: a new one where someone signs in; else when it was last used, now and
// then. A session that was ended elsewhere during the request is not brought back.
func (s sessionStore) CommitCtx(ctx context.Context, token string, data []byte, expiry time.Time) error {
	v := visitOf(ctx)
	switch {
	case v == nil:
		return nil
	case v.signing != nil:
		row := *v.signing
		row.Data, row.Expiry, row.Device = data, expiry, v.device
		return s.store.AddSession(ctx, token, row)
	case v.found == nil || time.Since(v.found.Seen) < seenEvery:
		return nil
	}
	if err := s.store.SeeSession(ctx, token, expiry); !errors.Is(err, store.ErrFull) {
		return err
	}
	return nil // with a full disk one can still look
}

// DeleteCtx a session.
func (s sessionStore) DeleteCtx(ctx context.Context, token string) error {
	return s.store.EndSession(ctx, token)
}

// Find, Commit and Delete are for a library that has no context; this one has.
func (s sessionStore) Find(token string) ([]byte, bool, error) {
	return s.FindCtx(context.Background(), token)
}

// Commit see Find.
func (s sessionStore) Commit(token string, data []byte, expiry time.Time) error {
	return s.CommitCtx(context.Background(), token, data, expiry)
}

// Delete see Find.
func (s sessionStore) Delete(token string) error { return s.DeleteCtx(context.Background(), token) }

// enter starts a new session of an angler.
func (a *Accounts) enter(ctx context.Context, angler uuid.UUID) error {
	// A new token, so that one planted before signing in is worth nothing.
	if err := a.sessions.RenewToken(ctx); err != nil {
		return err
	}
	a.sessions.Put(ctx, sessionKey, angler.String())
	if v := visitOf(ctx); v != nil {
		v.signing = &store.Session{ID: uuid.Must(uuid.NewV7()), Angler: angler}
	}
	return nil
}

// SignOut ends the session.
func (a *Accounts) SignOut(ctx context.Context) error { return a.sessions.Destroy(ctx) }

// Angler who is asking, if signed in.
func (a *Accounts) Angler(ctx context.Context) (uuid.UUID, bool) {
	if v := visitOf(ctx); v != nil && v.found != nil {
		return v.found.Angler, true
	}
	return uuid.Nil, false
}

// Session the request came by, [uuid.Nil] without one.
func (a *Accounts) Session(ctx context.Context) uuid.UUID {
	if v := visitOf(ctx); v != nil && v.found != nil {
		return v.found.ID
	}
	return uuid.Nil
}

// Settings of whoever is asking, as they were stored; the usual ones where they are not to
// be had.
func (a *Accounts) Settings(ctx context.Context) Settings {
	if v := visitOf(ctx); v != nil && v.found != nil {
		return SettingsOf(v.found.Settings)
	}
	return SettingsOf(nil)
}
