package demo

import (
	"context"
	"fmt"
	"math"
	"math/rand/v2"
	"time"

	"greypebble/core/advise"
	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/server/store"
)

// seasons in which the demo's anglers fished.
var seasons = [][2]time.Time{
	{time.Date(2026, 3, 14, 0, 0, 0, 0, time.UTC), time.Date(2026, 6, 7, 0, 0, 0, 0, time.UTC)},
	{time.Date(2026, 9, 5, 0, 0, 0, 0, time.UTC), time.Date(2026, 11, 22, 0, 0, 0, 0, time.UTC)},
}

// outings in each season; every one has one to three spells.
const outings = 11

// targetsAt says what is sought at a kind of place.
var targetsAt = map[string][]string{
	"oyster bar": {"red-drum", "spotted-seatrout", "red-drum"},
	"surf beach": {"florida-pompano", "red-drum"},
	"pier":       {"spotted-seatrout", "red-drum"},
}

// fish draws the spells of an angler and how many fish each brought: a Poisson
// number whose rate follows the playbook, with luck of its own for each day.
func (a angler) fish(ctx context.Context, s *store.Store, book *playbook.Book) error {
	r := rand.New(rand.NewPCG(seed, uint64(len(a.name)*1000+len(a.spots)))) //nolint:gosec // made-up catches
	all, err := s.Spots(ctx, a.id())
	if err != nil {
		return err
	}
	var spots []*store.Spot
	for _, sp := range all {
		if targetsAt[sp.Place] != nil { // the others are not fished yet
			spots = append(spots, sp)
		}
	}
	f := fisher{a, s, book, r, spots}
	for _, season := range seasons {
		days := int(season[1].Sub(season[0]).Hours() / 24)
		for n := range outings {
			day := season[0].AddDate(0, 0, (n*days+r.IntN(max(days/2, 1)))/outings)
			start := day.Add(time.Duration(8+r.IntN(9)) * time.Hour).Add(time.Duration(r.IntN(6)*10) * time.Minute)
			luck := math.Exp(0.5 * r.NormFloat64())
			at := r.IntN(len(spots))
			for range 1 + r.IntN(3) {
				length := time.Duration(30+10*r.IntN(9)) * time.Minute
				if err := f.spell(ctx, at, start, length, luck); err != nil {
					return err
				}
				start = start.Add(length + 10*time.Minute)
			}
		}
	}
	return nil
}

type fisher struct {
	angler
	store  *store.Store
	book   *playbook.Book
	random *rand.Rand
	spots  []*store.Spot
}

// baseRate is fish a rod-hour of an ordinary spell.
const baseRate = 0.6

func (f *fisher) spell(ctx context.Context, at int, start time.Time, length time.Duration, luck float64) error {
	sp := f.spots[at]
	choices := targetsAt[sp.Place]
	target, err := f.book.Target(choices[f.random.IntN(len(choices))])
	if err != nil {
		return err
	}
	middle := start.Add(length / 2)
	advice, err := f.ask(target, at, middle)
	if err != nil || len(advice.Choices) == 0 {
		return err
	}
	c := advice.Choices[f.random.IntN(len(advice.Choices))]
	row := store.Spell{ID: id(fmt.Sprintf("%s spell %s", f.name, start)),
		SpellEntry: store.SpellEntry{SpotID: sp.ID, Target: target.ID, StartedAt: start, EndedAt: start.Add(length), Rods: 1,
			Mark: c.Card.Mark, Approach: c.Card.Approach, Offering: c.Card.Offering},
		SpellWater: store.WaterAt(&advice.Moment), Readings: store.ReadingsAt(&advice.Moment)}
	mean := baseRate * c.Edge.Value * luck * length.Hours()
	for n := range poisson(f.random, mean) {
		length := f.lengthOf(target.ID)
		row.Catches = append(row.Catches, store.Catch{ID: id(fmt.Sprintf("%s catch %d", row.ID, n)),
			CatchEntry: store.CatchEntry{Target: target.ID, LengthM: &length, Kept: f.random.IntN(5) == 0,
				CaughtAt: start.Add(time.Duration(f.random.Int64N(int64(row.EndedAt.Sub(start))))).Truncate(time.Minute)}})
	}
	_, _, err = f.store.PutSpell(ctx, f.id(), row)
	return err
}

// ask gives the advice of that moment with the weather as it was.
func (f *fisher) ask(target *playbook.Target, at int, t time.Time) (advise.Advice, error) {
	return advise.Ask(advise.Question{Book: f.book, Belief: rate.Priors{Book: f.book}, Target: target, Time: t, Most: 6,
		Spot: f.spots[at].With(observed(t))})
}

// observed is the weather of a time as the angler saw it.
func observed(t time.Time) conditions.Readings {
	var seen []conditions.Reading
	w := Weather(t)
	for _, k := range conditions.Kinds() {
		if v, told := w[k]; told {
			seen = append(seen, conditions.Reading{Kind: k, Value: v, Time: t, Origin: conditions.Observed, Source: conditions.TheAngler})
		}
	}
	return conditions.Sorted(seen)
}

// lengthOf a fish in metres, to the half centimetre.
func (f *fisher) lengthOf(target string) float64 {
	middle := map[string]float64{"red-drum": 0.52, "spotted-seatrout": 0.39, "florida-pompano": 0.27}[target]
	return math.Round(middle*math.Exp(0.18*f.random.NormFloat64())*200) / 200
}

// poisson by counting exponential waits; the means here are small.
func poisson(r *rand.Rand, mean float64) int {
	n := 0
	for t := r.ExpFloat64(); t < mean && n < 40; t += r.ExpFloat64() {
		n++
	}
	return n
}
