package account

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"encoding/base32"
	"errors"
	"strings"

	"github.com/google/uuid"

	"greypebble/server/store"
)

// A code is sixteen letters and digits that are not mistaken for one another (80 bits), in
// groups of four. As nobody can guess one, its plain digest is kept.
var letters = base32.NewEncoding("abcdefghjkmnpqrstuvwxyz023456789").WithPadding(base32.NoPadding)

func newCode() (code string, digest []byte, err error) {
	raw := make([]byte, 10)
	if _, err := rand.Read(raw); err != nil {
		return "", nil, err
	}
	s := letters.EncodeToString(raw)
	code = strings.Join([]string{s[:4], s[4:8], s[8:12], s[12:]}, "-")
	return code, digestOf(code), nil
}

// digestOf a code, however it was typed.
func digestOf(code string) []byte {
	plain := strings.Map(func(r rune) rune {
		switch {
		case r == 'o' || r == 'O':
			return '0'
		case strings.ContainsRune(" -–—.\t\n", r):
			return -1
		}
		return r
	}, strings.ToLower(code))
	d := sha256.Sum256([]byte(plain))
	return d[:]
}

// recoveryCodes one gets at a time.
const recoveryCodes = 8

// NewRecoveryCodes for whoever is signed in and knows the password, in place of earlier
// ones. They are told this once.
func (a *Accounts) NewRecoveryCodes(ctx context.Context, angler uuid.UUID, password string) ([]string, error) {
	if _, err := a.Confirm(ctx, angler, password); err != nil {
		return nil, err
	}
	codes, digests := make([]string, recoveryCodes), make([][]byte, recoveryCodes)
	for i := range codes {
		var err error
		if codes[i], digests[i], err = newCode(); err != nil {
			return nil, err
		}
	}
	return codes, a.store.SetRecoveryCodes(ctx, angler, digests)
}

// Recover an account by one of its codes: a new password, every session ended, and signed
// in. A wrong name and a wrong code are told apart by nothing, and take as long.
func (a *Accounts) Recover(ctx context.Context, name, code, password string) (angler store.Angler, err error) {
	if err := CheckPassword(name, password); err != nil {
		return store.Angler{}, err
	}
	err = a.patiently(ctx, name, func() error {
		hash, err := a.hash(ctx, password)
		if err != nil {
			return err
		}
		if angler, err = a.store.AnglerByName(ctx, NameKey(name)); err == nil {
			err = a.store.Recover(ctx, angler.ID, digestOf(code), hash)
		}
		if errors.Is(err, store.ErrNotFound) {
			return ErrWrong
		}
		return err
	})
	if err != nil {
		return store.Angler{}, err
	}
	return angler, a.enter(ctx, angler.ID)
}
