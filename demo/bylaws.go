package demo

import (
	"context"
	"time"

	"greypebble/core/bylaw"
	"greypebble/server/store"
)

// The invented authority and club of the demo: none of it is anybody's law.
const (
	fisheryBoard = "Sedge Coast Fishery Board"
	harbourClub  = "Tern Head Angling Club"
)

// bylaws of the invented coast: slots, a moving season, a bag shared by two species, a nursery with a seasonal no-take,
// a code by size.
func bylaws() []bylaw.Rule {
	n := func(i int) *int { return &i }
	yearly := func(from, to time.Month, last int) []bylaw.Season {
		return []bylaw.Season{{From: bylaw.Date{Month: from, Day: 1}, To: bylaw.Date{Month: to, Day: last}}}
	}
	of := func(name string, species []string, set func(*bylaw.Rule)) bylaw.Rule {
		r := bylaw.Rule{Name: name, Authority: fisheryBoard, Species: species, Source: "Board leaflet 2026, " + invented,
			CheckedBy: "Wren", CheckedOn: time.Date(2026, 6, 2, 0, 0, 0, 0, time.UTC)}
		set(&r)
		return r
	}
	return []bylaw.Rule{
		of("Red drum slot", []string{"Red drum"}, func(r *bylaw.Rule) {
			r.MinM, r.MaxM, r.Over, r.Measure = 0.46, 0.68, 1, bylaw.Pinched
			r.Duties = []bylaw.Duty{{Kind: bylaw.Report, WithinHours: 24, To: "the Board's post box at Cutwater Pier"}}
		}),
		of("Black drum slot", []string{"Black drum"}, func(r *bylaw.Rule) { r.MinM, r.MaxM = 0.36, 0.61 }),
		of("Drums together", []string{"Red drum", "Black drum"}, func(r *bylaw.Rule) {
			r.Bag, r.BoatBag, r.Gear.CircleHooks = n(5), n(12), true
		}),
		of("Flounder opening", []string{"flounders"}, func(r *bylaw.Rule) {
			r.MinM, r.Bag = 0.38, n(4)
			// It moves with the year.
			r.Seasons = []bylaw.Season{{From: bylaw.Date{Year: 2026, Month: 9, Day: 5}, To: bylaw.Date{Year: 2026, Month: 11, Day: 29}}}
		}),
		of("Seatrout", []string{"Spotted seatrout"}, func(r *bylaw.Rule) { r.MinM, r.Bag = 0.36, n(6) }),
		of("Pompano", []string{"Florida pompano"}, func(r *bylaw.Rule) { r.MinM, r.Measure, r.Bag = 0.28, bylaw.Fork, n(6) }),
		of("Sheepshead", []string{"Sheepshead"}, func(r *bylaw.Rule) {
			r.MinM, r.Bag, r.CheckedOn = 0.3, n(8), time.Date(2025, 5, 20, 0, 0, 0, 0, time.UTC)
		}),
		of("Snook", []string{"Common snook"}, func(r *bylaw.Rule) {
			r.Status, r.Seasons = bylaw.ReleaseOnly, yearly(12, 2, 28)
		}),
		of("Withy nursery", []string{bylaw.AnyFish}, func(r *bylaw.Rule) {
			r.Status, r.Area, r.Seasons = bylaw.Closed, bylaw.Area{Name: "the Withy nursery", Ring: oval(4560, 2545, 300, 260)}, yearly(4,
				6, 30)
		}),
		of("Large seatrout back", []string{"Spotted seatrout"}, func(r *bylaw.Rule) {
			r.Authority, r.Voluntary, r.MaxM, r.Source = harbourClub, true, 0.5, "Club notice board, "+invented
			r.Note = "A large one has spawned for years."
		}),
	}
}

// rules of the invented authority, as the angler entered them.
func (a angler) rules(ctx context.Context, s *store.Store) error {
	for _, r := range bylaws() {
		if _, err := s.PutBylaw(ctx, a.id(), a.own("bylaw "+r.Name), r, 0); err != nil {
			return err
		}
	}
	return nil
}
