package account

import (
	"context"
	"errors"
	"fmt"
	"strings"

	"github.com/alexedwards/argon2id"
	"github.com/google/uuid"

	"greypebble/server/store"
)

// params: 19 MiB, two passes, one lane (OWASP Password Storage Cheat Sheet).
var params = &argon2id.Params{Memory: 19 * 1024, Iterations: 2, Parallelism: 1, SaltLength: 16, KeyLength: 32}

// ErrWrong is the one answer to a wrong name or a wrong password.
var ErrWrong = errors.New("account: wrong name or password")

// LeastPassword is how many characters a new one has at least: length is what counts (NIST
// SP 800-63B, 5.1.1).
const LeastPassword = 10

// WeakError says why a password will not do.
type WeakError struct{ Says string }

func (e WeakError) Error() string { return e.Says }

// CheckPassword that is to be new.
func CheckPassword(name, password string) error {
	switch n := len([]rune(password)); {
	case n < LeastPassword:
		return WeakError{fmt.Sprintf("A password has at least %d characters; this one has %d. A few words in a row do well.",
			LeastPassword, n)}
	case NameKey(password) == NameKey(name):
		return WeakError{"The password must not be the name."}
	case strings.Count(password, password[:1]) == len(password):
		return WeakError{"One character again and again is no password."}
	}
	return nil
}

// Hash of a password, for storing.
func Hash(password string) (string, error) { return argon2id.CreateHash(password, params) }

// hash a password in turn: each takes 19 MiB.
func (a *Accounts) hash(ctx context.Context, password string) (string, error) {
	done, err := a.turn(ctx)
	if err != nil {
		return "", err
	}
	defer done()
	return Hash(password)
}

// turn to work on a password.
func (a *Accounts) turn(ctx context.Context) (done func(), err error) {
	select {
	case a.hashing <- struct{}{}:
		return func() { <-a.hashing }, nil
	case <-ctx.Done():
		return nil, ctx.Err()
	}
}

// patiently tries a password for an account from an address. After wrong ones whoever tries
// again too soon gets a [WaitError].
func (a *Accounts) patiently(ctx context.Context, name string, try func() error) error {
	account, address := "account "+NameKey(name), addressKey(ctx)
	if wait := max(a.limit.wait(account, withAccount), a.limit.wait(address, withAddress)); wait > 0 {
		return WaitError{wait}
	}
	err := try()
	switch {
	case errors.Is(err, ErrWrong):
		a.limit.failed(account)
		a.limit.failed(address)
	case err == nil:
		a.limit.succeeded(account)
	}
	return err
}

// SignIn checks name and password and starts a new session.
func (a *Accounts) SignIn(ctx context.Context, name, password string) (angler store.Angler, err error) {
	err = a.patiently(ctx, name, func() error {
		angler, err = a.check(ctx, name, password)
		return err
	})
	if err != nil {
		return store.Angler{}, err
	}
	return angler, a.enter(ctx, angler.ID)
}

// Confirm that whoever is signed in knows the password, before what cannot be undone.
func (a *Accounts) Confirm(ctx context.Context, angler uuid.UUID, password string) (store.Angler, error) {
	known, err := a.store.AnglerByID(ctx, angler)
	if err != nil {
		return store.Angler{}, err
	}
	return known, a.patiently(ctx, known.Name, func() error {
		_, err := a.check(ctx, known.Name, password)
		return err
	})
}

// ChangePassword of whoever is signed in; their other sessions end.
func (a *Accounts) ChangePassword(ctx context.Context, angler uuid.UUID, old, password string) error {
	known, err := a.Confirm(ctx, angler, old)
	if err != nil {
		return err
	}
	if err := CheckPassword(known.Name, password); err != nil {
		return err
	}
	hash, err := a.hash(ctx, password)
	if err != nil {
		return err
	}
	return a.store.SetPassword(ctx, angler, hash, a.Session(ctx))
}

// check a name and a password; an unknown name takes as long and is told the same.
func (a *Accounts) check(ctx context.Context, name, password string) (store.Angler, error) {
	done, err := a.turn(ctx)
	if err != nil {
		return store.Angler{}, err
	}
	defer done()
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
