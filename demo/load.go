package demo

import (
	"context"
	"fmt"
	"time"

	"greypebble/core/playbook"
	"greypebble/server/account"
	"greypebble/server/store"
)

// Load fills an empty database with the scenario and puts a made-up forecast
// into one that has it already, until the forecast service is heard. What was
// entered since stays.
func Load(ctx context.Context, s *store.Store, book *playbook.Book, now time.Time) error {
	n, err := s.Anglers(ctx)
	if err != nil {
		return err
	}
	anglers := []angler{wren(), moss()}
	for _, a := range anglers {
		if n == 0 {
			if err := a.load(ctx, s, book); err != nil {
				return fmt.Errorf("demo: %s: %w", a.name, err)
			}
		}
		for _, w := range a.waters {
			if err := s.ReplaceForecast(ctx, id(a.name), w.ID, forecast(now)); err != nil {
				return fmt.Errorf("demo: forecast of %s: %w", w.Name, err)
			}
		}
	}
	return nil
}

func (a angler) load(ctx context.Context, s *store.Store, book *playbook.Book) error {
	hash, err := account.Hash(Password)
	if err != nil {
		return err
	}
	if err := s.AddAngler(ctx, store.Angler{ID: id(a.name), Name: a.name, PasswordHash: hash}); err != nil {
		return err
	}
	if err := s.PutStation(ctx, id(a.name), a.station); err != nil {
		return err
	}
	for _, w := range a.waters {
		if err := s.AddWater(ctx, id(a.name), w); err != nil {
			return err
		}
	}
	shores := coastline()
	for _, w := range a.waters {
		if err := s.PutOutline(ctx, id(a.name), w.ID, shores); err != nil {
			return err
		}
		if err := s.PutGrid(ctx, id(a.name), w.ID, store.Grid{Grid: terrain(), Source: "depths of the whole coast, " + invented}); err != nil {
			return err
		}
		for _, z := range zones(w.Name) {
			if err := s.PutZone(ctx, id(a.name), w.ID, id("zone "+z.Name), z); err != nil {
				return err
			}
		}
	}
	for _, sp := range a.spots {
		if _, err := s.PutSpot(ctx, id(a.name), sp); err != nil {
			return err
		}
	}
	if a.name == "wren" { // the other shows what there is without a kit
		if err := a.outfit(ctx, s, book); err != nil {
			return err
		}
	}
	return a.fish(ctx, s, book)
}
