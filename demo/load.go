package demo

import (
	"context"
	"fmt"
	"slices"
	"sync"
	"time"

	"greypebble/core/playbook"
	"greypebble/server/account"
	"greypebble/server/store"

	"github.com/google/uuid"
)

// Load fills an empty database with the scenario and puts a made-up forecast
// into one that has it already, until the forecast service is heard. What was
// entered since stays.
func Load(ctx context.Context, s *store.Store, book *playbook.Book, now time.Time) error {
	// All or none: a scenario that was cut off while it was loaded was never there.
	if err := s.Whole(ctx, func(s *store.Store) error {
		n, err := s.Anglers(ctx)
		if err != nil || n > 0 {
			return err
		}
		for _, a := range scenario() {
			if err := a.load(ctx, s, book); err != nil {
				return fmt.Errorf("demo: %s: %w", a.name, err)
			}
			if err := a.fish(ctx, s, book); err != nil {
				return fmt.Errorf("demo: the log of %s: %w", a.name, err)
			}
			if a.name != "wren" { // the other shows what is not known
				continue
			}
			if err := a.rules(ctx, s); err != nil {
				return fmt.Errorf("demo: the bylaws of %s: %w", a.name, err)
			}
			if err := a.notebook(ctx, s); err != nil {
				return fmt.Errorf("demo: the notebook of %s: %w", a.name, err)
			}
		}
		return nil
	}); err != nil {
		return err
	}
	for _, a := range scenario() {
		if err := a.forecast(ctx, s, now); err != nil {
			return err
		}
	}
	return nil
}

func scenario() []angler { return []angler{wren(), moss()} }

// LoadLike stores another angler, by a name of their own, with everything one of the
// scenario has; the log only if it is asked for. Their rows have ids of their own, see
// [IDOf]. It is for tests, each of which has its own angler.
func LoadLike(ctx context.Context, s *store.Store, book *playbook.Book, like, name string, log bool, now time.Time) error {
	a := wren()
	if like == "moss" {
		a = moss()
	}
	a = a.renamed(name)
	if err := a.load(ctx, s, book); err != nil {
		return fmt.Errorf("demo: %s: %w", name, err)
	}
	if log {
		if err := a.fish(ctx, s, book); err != nil {
			return fmt.Errorf("demo: the log of %s: %w", name, err)
		}
	}
	return a.forecast(ctx, s, now)
}

// IDOf a thing of the scenario (a spot, a water, a station, "wren" themselves) as an angler
// loaded by [LoadLike] has it.
func IDOf(angler, thing string) uuid.UUID {
	if angler == "wren" || angler == "moss" {
		return id(thing)
	}
	return uuid.NewSHA1(id(thing), []byte(angler))
}

// renamed is the angler by another name, all rows with ids of their own.
func (a angler) renamed(name string) angler {
	own := func(i uuid.UUID) uuid.UUID { return uuid.NewSHA1(i, []byte(name)) }
	a.like, a.name, a.salt = a.name, name, own
	a.station.ID = own(a.station.ID)
	for i := range a.waters {
		a.waters[i].ID, a.waters[i].StationID = own(a.waters[i].ID), a.station.ID
	}
	for i := range a.spots {
		sp := &a.spots[i]
		sp.ID, sp.Water.ID, sp.Water.StationID = own(sp.ID), own(sp.Water.ID), a.station.ID
		sp.Marks = slices.Clone(sp.Marks)
		for j := range sp.Marks {
			sp.Marks[j].ID = own(uuid.MustParse(sp.Marks[j].ID)).String()
		}
	}
	return a
}

// own id of a row of the angler.
func (a angler) own(name string) uuid.UUID {
	if a.salt != nil {
		return a.salt(id(name))
	}
	return id(name)
}

// forecast puts a made-up one into the angler's waters.
func (a angler) forecast(ctx context.Context, s *store.Store, now time.Time) error {
	for _, w := range a.waters {
		if err := s.ReplaceForecast(ctx, a.id(), w.ID, forecast(now)); err != nil {
			return fmt.Errorf("demo: forecast of %s: %w", w.Name, err)
		}
	}
	return nil
}

// passwords are hashed once: that is made to be slow.
var hashed = sync.OnceValues(func() (string, error) { return account.Hash(Password) })

func (a angler) load(ctx context.Context, s *store.Store, book *playbook.Book) error {
	hash, err := hashed()
	if err != nil {
		return err
	}
	if err := s.AddAngler(ctx, store.Angler{ID: a.id(), Name: a.name, PasswordHash: hash}); err != nil {
		return err
	}
	// They have said how they speak of measures: nobody is asked on their first day.
	if err := s.SetSettings(ctx, a.id(), []byte(`{"chosen": true, "week": "monday"}`)); err != nil {
		return err
	}
	if err := a.lay(ctx, s); err != nil {
		return err
	}
	if a.name == "wren" || a.like == "wren" { // the other shows what there is without a kit
		if err := a.outfit(ctx, s, book); err != nil {
			return err
		}
	}
	return nil
}

// Coast copies the invented coast, with its log, into the account of somebody who has one,
// marked so that it can be taken away in one go.
func Coast(ctx context.Context, s *store.Store, book *playbook.Book, somebody uuid.UUID, now time.Time) error {
	a := wren().renamed(somebody.String())
	a.as = somebody
	return s.Whole(ctx, func(s *store.Store) error {
		if err := a.lay(ctx, s); err != nil {
			return fmt.Errorf("demo: the coast: %w", err)
		}
		if err := a.fish(ctx, s, book); err != nil {
			return fmt.Errorf("demo: the log: %w", err)
		}
		if err := a.usual(ctx, s); err != nil {
			return fmt.Errorf("demo: what is usual: %w", err)
		}
		if err := a.forecast(ctx, s, now); err != nil {
			return err
		}
		return s.MarkInvented(ctx, somebody, a.station.ID)
	})
}

// lay the angler's waters and spots out.
func (a angler) lay(ctx context.Context, s *store.Store) error {
	if _, err := s.PutStation(ctx, a.id(), a.station); err != nil {
		return err
	}
	for _, w := range a.waters {
		if _, err := s.PutWater(ctx, a.id(), w); err != nil {
			return err
		}
	}
	shores := coastline()
	for _, w := range a.waters {
		if err := s.PutOutline(ctx, a.id(), w.ID, shores); err != nil {
			return err
		}
		if err := s.PutGrid(ctx, a.id(), w.ID, store.Grid{Grid: terrain(), Source: "depths of the whole coast, " +
			invented}); err != nil {
			return err
		}
		for _, z := range zones(w.Name) {
			if _, err := s.PutZone(ctx, a.id(), w.ID, a.own("zone "+z.Name), z, 0); err != nil {
				return err
			}
		}
	}
	for _, sp := range a.spots {
		if _, err := s.PutSpot(ctx, a.id(), sp); err != nil {
			return err
		}
	}
	return nil
}
