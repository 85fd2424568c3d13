// Package account lets people in: argon2id passwords, sessions, invites, recovery codes,
// and who is asking.
package account

import (
	"net/http"
	"time"

	"github.com/alexedwards/scs/v2"

	"greypebble/server/store"
)

// Accounts signs in and out and remembers sessions.
type Accounts struct {
	store        *store.Store
	sessions     *scs.SessionManager
	registration Registration
	// hashing bounds how many passwords are worked on at once: each takes 19 MiB.
	hashing chan struct{}
	// decoy is compared with when the name is unknown, so that both cases take
	// the same time.
	decoy string
	limit *limiter
	stop  func()
}

const (
	sessionKey = "angler"
	atOnce     = 4
)

// New prepares sessions in the store's database. secure marks the cookie for
// TLS only; leave it off on plain loopback.
func New(s *store.Store, registration Registration, secure bool) (*Accounts, error) {
	decoy, err := Hash("no one's password")
	if err != nil {
		return nil, err
	}
	m := scs.New()
	m.Store = sessionStore{s}
	m.Lifetime, m.IdleTimeout = sessionLife, sessionIdle
	m.HashTokenInStore = true
	m.Cookie.Name = "greypebble"
	m.Cookie.HttpOnly = true
	m.Cookie.SameSite = http.SameSiteLaxMode
	m.Cookie.Secure = secure
	return &Accounts{s, m, registration, make(chan struct{}, atOnce), decoy, newLimiter(time.Now), clean(s)}, nil
}

// Close ends the cleaning of old sessions.
func (a *Accounts) Close() { a.stop() }

// Fails says how an error of loading or keeping a session is told.
func (a *Accounts) Fails(tell func(http.ResponseWriter, error)) {
	a.sessions.ErrorFunc = func(w http.ResponseWriter, r *http.Request, err error) {
		if r.Context().Err() == nil { // else no one is there to read
			tell(w, err)
		}
	}
}
