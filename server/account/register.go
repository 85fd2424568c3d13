package account

import (
	"context"
	"errors"
	"strings"
	"time"

	"github.com/google/uuid"

	"greypebble/server/store"
)

// Registration says who may make an account.
type Registration string

// Anyone; whoever has an invite; nobody, but whoever runs the server.
const (
	Open    Registration = "open"
	Invited Registration = "invite"
	Closed  Registration = "closed"
)

// Registrations there are.
var Registrations = []Registration{Open, Invited, Closed}

// ErrClosed says that nobody may register here.
var ErrClosed = errors.New("account: registration is closed")

// Register someone new and sign them in. The name may be taken ([store.ErrTaken]), the
// invite may not hold ([store.ErrInvite]), the password may be weak ([WeakError]).
func (a *Accounts) Register(ctx context.Context, name, password, invite string, now time.Time) (store.Angler, error) {
	if a.registration == Closed {
		return store.Angler{}, ErrClosed
	}
	name = strings.TrimSpace(name)
	if err := CheckPassword(name, password); err != nil {
		return store.Angler{}, err
	}
	address := "joining from " + addressKey(ctx)
	if wait := a.limit.wait(address, withAddress); wait > 0 {
		return store.Angler{}, WaitError{wait}
	}
	// Each try counts, whether it goes well or not.
	a.limit.failed(address)
	hash, err := a.hash(ctx, password)
	if err != nil {
		return store.Angler{}, err
	}
	angler := store.Angler{ID: uuid.Must(uuid.NewV7()), Name: name, PasswordHash: hash}
	if a.registration == Invited {
		err = a.store.AddInvited(ctx, angler, digestOf(invite), now)
	} else {
		err = a.store.AddAngler(ctx, angler)
	}
	if err != nil {
		return store.Angler{}, err
	}
	return angler, a.enter(ctx, angler.ID)
}

// Registration that holds here.
func (a *Accounts) Registration() Registration { return a.registration }

// Invite lets others in.
type Invite struct {
	store.Invite
	// Code to pass on; known only when it is made.
	Code string
}

// NewInvite of an angler, or of whoever runs the server (nil), for so many people and days.
func NewInvite(ctx context.Context, s *store.Store, by *uuid.UUID, note string, uses, days int, now time.Time) (Invite, error) {
	code, digest, err := newCode()
	if err != nil {
		return Invite{}, err
	}
	i := Invite{store.Invite{ID: uuid.Must(uuid.NewV7()), Angler: by, Digest: digest, Note: note, Uses: uses,
		Expires: now.UTC().AddDate(0, 0, days)}, code}
	return i, s.AddInvite(ctx, i.Invite)
}
