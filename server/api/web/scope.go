package web

import (
	"context"
	"crypto/sha256"
	"encoding/json"
	"maps"
	"time"

	"github.com/google/uuid"
	"github.com/maypok86/otter/v2"

	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/server/account"
	"greypebble/server/desk"
	"greypebble/server/learned"
	"greypebble/server/store"
)

// Deps are what rooms work with. The book is not among them: each request has its own
// angler's, see [Scope.Book].
type Deps struct {
	Store    *store.Store
	Accounts *account.Accounts
	Desk     desk.Desk
	Clock    func() time.Time
	// TryFeed fetches a water's forecast and says how many readings came; nil where nothing is.
	TryFeed func(context.Context, store.Feed) (store.Feed, int, error)
	// Coast copies the invented coast into somebody's account; nil where there is none.
	Coast func(ctx context.Context, angler uuid.UUID, now time.Time) error
	// Demo says how to sign in where everything is invented.
	Demo string

	// Learner of what logs teach.
	Learner *learned.Learner

	shipped *playbook.Book
	// books with somebody's own over them, by what that is.
	books *otter.Cache[[sha256.Size]byte, *playbook.Book]
}

// NewDeps over a store; now is the clock, nil means the system's.
func NewDeps(s *store.Store, a *account.Accounts, shipped *playbook.Book, now func() time.Time) *Deps {
	if now == nil {
		now = time.Now
	}
	d := desk.New(s)
	return &Deps{Store: s, Accounts: a, Desk: d, Clock: now, Learner: learned.New(s, d), shipped: shipped,
		books: otter.Must(&otter.Options[[sha256.Size]byte, *playbook.Book]{MaximumSize: mostBooks})}
}

// Scope of a request: who asks, and what they see it with.
type Scope struct {
	Angler uuid.UUID
	// Units sentences are written in.
	Units quantity.Units

	deps *Deps
	now  time.Time
	book *playbook.Book
	// overlay of theirs, once it was read.
	overlay *playbook.Overlay
}

func (d *Deps) scope(ctx context.Context, angler uuid.UUID) *Scope {
	return &Scope{Angler: angler, Units: d.Accounts.Settings(ctx).Units, deps: d, now: d.Clock().UTC()}
}

// Now is when the request came; the same throughout it.
func (s *Scope) Now() time.Time { return s.now }

// At a time that was asked about; now where none was.
func (s *Scope) At(t time.Time) time.Time {
	if t.IsZero() {
		return s.now
	}
	return t.UTC()
}

// In other units, where the request names some.
func (s *Scope) In(units, location string) error {
	if units == "" {
		return nil
	}
	u, err := quantity.ParseUnits(units)
	if err != nil {
		return Wrong(location, err)
	}
	s.Units = u
	return nil
}

// Book of the angler: the playbook with their own over it.
func (s *Scope) Book(ctx context.Context) (*playbook.Book, error) {
	if s.book != nil {
		return s.book, nil
	}
	book, err := s.BookTaking(ctx, nil)
	if err == nil {
		s.book = book
	}
	return book, err
}

// Overlay is what is the angler's own over the playbook.
func (s *Scope) Overlay(ctx context.Context) (playbook.Overlay, error) {
	if s.overlay == nil {
		o, err := s.deps.Store.Overlay(ctx, s.Angler)
		if err != nil {
			return o, err
		}
		s.overlay = &o
	}
	return *s.overlay, nil
}

// BookTaking positions, by question, for this once.
func (s *Scope) BookTaking(ctx context.Context, positions map[string]string) (*playbook.Book, error) {
	o, err := s.Overlay(ctx)
	if err != nil {
		return nil, err
	}
	o.Schools = maps.Clone(o.Schools)
	for school, position := range positions {
		o.Schools[school] = position
	}
	return s.deps.fitting(o)
}

// mostBooks are kept.
const mostBooks = 200

// fitting is the shipped book with what fits of an overlay on it: the same for the same overlay, so that what is worked
// out of a book once is.
func (d *Deps) fitting(o playbook.Overlay) (*playbook.Book, error) {
	if o.Empty() {
		return d.shipped, nil
	}
	said, err := json.Marshal(o)
	if err != nil {
		return nil, err
	}
	key := sha256.Sum256(said)
	if known, there := d.books.GetIfPresent(key); there {
		return known, nil
	}
	book := d.shipped.Fitting(o)
	d.books.Set(key, book)
	return book, nil
}

// Learned of the angler's log, under their book.
func (s *Scope) Learned(ctx context.Context) (*learned.Learned, error) {
	book, err := s.Book(ctx)
	if err != nil {
		return nil, err
	}
	return s.deps.Learner.Of(ctx, s.Angler, book, s.now)
}

// BookFitting is the shipped book with what fits of an overlay other than the one stored:
// what theirs would be.
func (s *Scope) BookFitting(o playbook.Overlay) *playbook.Book { return s.deps.shipped.Fitting(o) }
