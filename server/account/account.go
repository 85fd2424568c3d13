// Package account signs anglers in: argon2id passwords, a session cookie, and
// who is asking.
package account

import (
	"context"
	"errors"
	"net/http"
	"time"

	"github.com/alexedwards/argon2id"
	"github.com/alexedwards/scs/mysqlstore"
	"github.com/alexedwards/scs/v2"
	"github.com/google/uuid"

	"greypebble/server/store"
)

// params: 19 MiB, two passes, one lane (OWASP Password Storage Cheat Sheet).
var params = &argon2id.Params{Memory: 19 * 1024, Iterations: 2, Parallelism: 1, SaltLength: 16, KeyLength: 32}

// ErrWrong is the one answer to a wrong name or a wrong password.
var ErrWrong = errors.New("account: wrong name or password")

// Accounts signs in and out and remembers sessions.
type Accounts struct {
	store    *store.Store
	sessions *scs.SessionManager
	// hashing bounds how many passwords are worked on at once: each takes 19 MiB.
	hashing chan struct{}
	// decoy is compared with when the name is unknown, so that both cases take
	// the same time.
	decoy string
	limit *limiter
	stop  func()
}

const (
	sessionKey  = "angler"
	sessionLife = 30 * 24 * time.Hour
	atOnce      = 4
)

// New prepares sessions in the store's database. secure marks the cookie for
// TLS only; leave it off on plain loopback.
func New(s *store.Store, secure bool) (*Accounts, error) {
	decoy, err := argon2id.CreateHash("no one's password", params)
	if err != nil {
		return nil, err
	}
	m := scs.New()
	m.Store = mysqlstore.NewWithCleanupInterval(s.DB(), 0)
	m.Lifetime = sessionLife
	m.HashTokenInStore = true
	m.Cookie.Name = "greypebble"
	m.Cookie.HttpOnly = true
	m.Cookie.SameSite = http.SameSiteLaxMode
	m.Cookie.Secure = secure
	return &Accounts{s, m, make(chan struct{}, atOnce), decoy, newLimiter(time.Now), clean(s)}, nil
}

// Close ends the cleaning of old sessions.
func (a *Accounts) Close() { a.stop() }

// Middleware loads and saves the session.
func (a *Accounts) Middleware(next http.Handler) http.Handler { return a.sessions.LoadAndSave(next) }

// Hash of a password, for storing.
func Hash(password string) (string, error) { return argon2id.CreateHash(password, params) }

// Fails says how an error of loading or keeping a session is told.
func (a *Accounts) Fails(tell func(http.ResponseWriter, error)) {
	a.sessions.ErrorFunc = func(w http.ResponseWriter, r *http.Request, err error) {
		if r.Context().Err() == nil { // else no one is there to read
			tell(w, err)
		}
	}
}

// SignIn checks name and password and starts a new session. After wrong passwords whoever
// tries again too soon gets a [WaitError].
func (a *Accounts) SignIn(ctx context.Context, name, password string) (store.Angler, error) {
	account, address := "account "+NameKey(name), addressKey(ctx)
	if wait := max(a.limit.wait(account, withAccount), a.limit.wait(address, withAddress)); wait > 0 {
		return store.Angler{}, WaitError{wait}
	}
	angler, err := a.check(ctx, name, password)
	switch {
	case errors.Is(err, ErrWrong):
		a.limit.failed(account)
		a.limit.failed(address)
		return store.Angler{}, err
	case err != nil:
		return store.Angler{}, err
	}
	a.limit.succeeded(account)
	// A new token, so that one planted before signing in is worth nothing.
	if err := a.sessions.RenewToken(ctx); err != nil {
		return store.Angler{}, err
	}
	a.sessions.Put(ctx, sessionKey, angler.ID.String())
	return angler, nil
}

func (a *Accounts) check(ctx context.Context, name, password string) (store.Angler, error) {
	select {
	case a.hashing <- struct{}{}:
		defer func() { <-a.hashing }()
	case <-ctx.Done():
		return store.Angler{}, ctx.Err()
	}
	angler, err := a.store.AnglerByName(ctx, NameKey(name))
	known := err == nil
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return store.Angler{}, err
	}
	hash := angler.PasswordHash
	if !known {
		hash = a.decoy
	}
	match, err := argon2id.ComparePasswordAndHash(password, hash)
	if err != nil {
		return store.Angler{}, err
	}
	if !match || !known {
		return store.Angler{}, ErrWrong
	}
	return angler, nil
}

// SignOut ends the session.
func (a *Accounts) SignOut(ctx context.Context) error { return a.sessions.Destroy(ctx) }

// Angler who is asking, if signed in.
func (a *Accounts) Angler(ctx context.Context) (uuid.UUID, bool) {
	id, err := uuid.Parse(a.sessions.GetString(ctx, sessionKey))
	return id, err == nil
}
