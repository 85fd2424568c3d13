package store_test

import (
	"context"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/server/store"
)

var morning = time.Date(2026, 11, 20, 9, 0, 0, 0, time.UTC)

// spotOf somebody new.
func spotOf(t *testing.T) (angler uuid.UUID, sp store.Spot) {
	t.Helper()
	angler, water := someone(t)
	sp = spotAt(water)
	_, err := s.PutSpot(context.Background(), angler, sp)
	require.NoError(t, err)
	return angler, sp
}

// spellAt a spot that ended so many hours after the morning.
func spellAt(sp store.Spot, hours int) store.Spell {
	end := morning.Add(time.Duration(hours) * time.Hour)
	return store.Spell{ID: id(), SpellEntry: store.SpellEntry{SpotID: sp.ID, Target: "red-drum", StartedAt: end.Add(-90 * time.Minute),
		EndedAt: end, Rods: 2, Approach: "lure", Offering: "Paddle tail", Note: "by the post"},
		SpellWater: store.SpellWater{TideLevelM: 0.8, TideDirection: "ebb", TideThird: 1 + hours%3, TideRateMPerH: -0.2,
			SunAltitudeDeg: 12, Light: "bright", MoonIllumination: 0.5, MoonPhase: "first quarter"},
		Readings: []conditions.Reading{{Kind: conditions.WaterTemp, Value: 14.5, Time: end, Origin: conditions.Observed,
			Source: conditions.TheAngler, Spread: 0.3}}}
}

func fish(sp store.Spell, lengthM float64) store.Catch {
	return store.Catch{ID: id(), SpellID: sp.ID, CatchEntry: store.CatchEntry{Target: "red-drum", CaughtAt: sp.EndedAt, LengthM: &lengthM}}
}

func TestASpellComesBackWithItsReadingsAndCatches(t *testing.T) {
	ctx := context.Background()
	angler, sp := spotOf(t)
	want := spellAt(sp, 0)
	want.Catches = []store.Catch{fish(want, 0.61)}
	rev, isNew, err := s.PutSpell(ctx, angler, want)
	require.NoError(t, err)
	assert.Equal(t, 1, rev)
	assert.True(t, isNew)
	got, err := s.Spell(ctx, angler, want.ID)
	require.NoError(t, err)
	assert.Equal(t, want.SpellEntry, got.SpellEntry)
	assert.Equal(t, want.SpellWater, got.SpellWater)
	assert.Equal(t, want.Readings, got.Readings)
	require.Len(t, got.Catches, 1)
	assert.Equal(t, want.Catches[0].CatchEntry, got.Catches[0].CatchEntry)

	// The same once more, as after a lost answer, writes nothing twice.
	rev, isNew, err = s.PutSpell(ctx, angler, want)
	require.NoError(t, err)
	assert.Equal(t, 1, rev)
	assert.False(t, isNew)
	_, sum, err := s.Spells(ctx, angler, store.Filter{})
	require.NoError(t, err)
	assert.Equal(t, store.Summary{Spells: 1, RodHours: 3, Catches: 1}, sum)

	// A change from an old page is refused, with what it would have changed.
	stale := want
	stale.Note, stale.Rods = "from an old page", 1
	var conflict store.ConflictError
	_, _, err = s.PutSpell(ctx, angler, stale)
	require.ErrorAs(t, err, &conflict)
	assert.ElementsMatch(t, []string{"note", "rods"}, conflict.Changed)

	// Somebody else can neither see, change nor remove it, nor put theirs at this spot.
	other, _ := spotOf(t)
	_, err = s.Spell(ctx, other, want.ID)
	require.ErrorIs(t, err, store.ErrNotFound)
	_, _, err = s.PutSpell(ctx, other, spellAt(sp, 1))
	require.ErrorIs(t, err, store.ErrNotFound)
	require.ErrorIs(t, s.DeleteSpell(ctx, other, want.ID), store.ErrNotFound)
	require.NoError(t, s.DeleteSpell(ctx, angler, want.ID))
	_, err = s.Spell(ctx, angler, want.ID)
	assert.ErrorIs(t, err, store.ErrNotFound)
}

func TestTheLogIsFilteredAndSummedUp(t *testing.T) {
	ctx := context.Background()
	angler, sp := spotOf(t)
	for h := range 6 {
		one := spellAt(sp, h)
		if h%2 == 0 {
			one.Catches = []store.Catch{fish(one, 0.4), fish(one, 0.5)}
		}
		if h == 5 {
			one.Target = "spotted-seatrout"
		}
		_, _, err := s.PutSpell(ctx, angler, one)
		require.NoError(t, err)
	}
	for name, c := range map[string]struct {
		f    store.Filter
		want store.Summary
	}{
		"all":               {store.Filter{}, store.Summary{Spells: 6, Blanks: 3, RodHours: 18, Catches: 6}},
		"blanks":            {store.Filter{Blanks: true}, store.Summary{Spells: 3, Blanks: 3, RodHours: 9}},
		"catches":           {store.Filter{Catches: true}, store.Summary{Spells: 3, RodHours: 9, Catches: 6}},
		"another target":    {store.Filter{Target: "spotted-seatrout"}, store.Summary{Spells: 1, Blanks: 1, RodHours: 3}},
		"a third":           {store.Filter{Direction: "ebb", Third: 2}, store.Summary{Spells: 2, Blanks: 1, RodHours: 6, Catches: 2}},
		"the other way":     {store.Filter{Direction: "flood"}, store.Summary{}},
		"elsewhere":         {store.Filter{SpotID: id()}, store.Summary{}},
		"from then on":      {store.Filter{From: morning.Add(4 * time.Hour)}, store.Summary{Spells: 2, Blanks: 1, RodHours: 6, Catches: 2}},
		"until then":        {store.Filter{To: morning.Add(-time.Hour)}, store.Summary{Spells: 1, RodHours: 3, Catches: 2}},
		"some, all counted": {store.Filter{Most: 2}, store.Summary{Spells: 6, Blanks: 3, RodHours: 18, Catches: 6}},
	} {
		list, sum, err := s.Spells(ctx, angler, c.f)
		require.NoError(t, err, name)
		assert.Equal(t, c.want, sum, name)
		for i := 1; i < len(list); i++ {
			assert.False(t, list[i].StartedAt.After(list[i-1].StartedAt), "%s: newest first", name)
		}
		if c.f.Most > 0 {
			assert.Len(t, list, c.f.Most)
		} else {
			assert.Len(t, list, sum.Spells, name)
		}
	}
}

// Outings told from several phones at once, each with its spell in the log.
func TestSeveralOutingsAtOnce(t *testing.T) {
	ctx := context.Background()
	angler, sp := spotOf(t)
	const phones = 12
	var wg sync.WaitGroup
	for n := range phones {
		wg.Add(1)
		go func() {
			defer wg.Done()
			id, one := uuid.New(), spellAt(sp, n)
			one.Outing = uuid.NullUUID{UUID: id, Valid: true}
			assert.NoError(t, s.InTurn(ctx, angler, func(s *store.Store) error {
				if err := s.BeginOuting(ctx, angler, id, one.StartedAt); err != nil {
					return err
				}
				_, _, err := s.PutSpell(ctx, angler, one)
				return err
			}))
		}()
	}
	wg.Wait()
	list, _, err := s.Spells(ctx, angler, store.Filter{})
	require.NoError(t, err)
	assert.Len(t, list, phones)
}

// Writers from several phones at once: each spell is there once, and of those who change
// one from the same page one wins and the others are told.
func TestSeveralWriteAtOnce(t *testing.T) {
	ctx := context.Background()
	angler, sp := spotOf(t)
	shared := spellAt(sp, 0)
	_, _, err := s.PutSpell(ctx, angler, shared)
	require.NoError(t, err)

	const phones = 8
	var wg sync.WaitGroup
	var mu sync.Mutex
	won, lost := 0, 0
	for n := range phones {
		wg.Add(2)
		go func() {
			defer wg.Done()
			one := spellAt(sp, n+1)
			one.Catches = []store.Catch{fish(one, 0.5)}
			for range 3 { // sent again, as with no signal
				_, _, err := s.PutSpell(ctx, angler, one)
				assert.NoError(t, err)
			}
		}()
		go func() {
			defer wg.Done()
			mine := shared
			mine.Revision, mine.Rods = 1, n+3
			_, _, err := s.PutSpell(ctx, angler, mine)
			mu.Lock()
			defer mu.Unlock()
			var conflict store.ConflictError
			switch {
			case err == nil:
				won++
			case assert.ErrorAs(t, err, &conflict):
				lost++
			}
		}()
	}
	wg.Wait()
	assert.Equal(t, 1, won)
	assert.Equal(t, phones-1, lost)
	_, sum, err := s.Spells(ctx, angler, store.Filter{})
	require.NoError(t, err)
	assert.Equal(t, phones+1, sum.Spells)
	assert.Equal(t, phones, sum.Catches)
}

// Whoever reads while a spot is rewritten has one state of it or the other, never some of
// each: as many points of the section as marks, and both as the name says.
func TestASpotIsReadWhole(t *testing.T) {
	ctx := context.Background()
	angler, sp := spotOf(t)
	small, large := sp, sp
	small.Name, large.Name = "one", "three"
	small.Marks = sp.Marks[:1]
	large.Marks = nil
	for range 3 {
		m := sp.Marks[0]
		m.ID = id().String()
		large.Marks = append(large.Marks, m)
	}
	done := make(chan struct{})
	go func() {
		defer close(done)
		rev := 1
		for n := range 60 {
			one := small
			if n%2 == 0 {
				one = large
			}
			one.Revision = rev
			var err error
			if rev, err = s.PutSpot(ctx, angler, one); !assert.NoError(t, err) {
				return
			}
		}
	}()
	var wg sync.WaitGroup
	for range 4 {
		wg.Add(1)
		go func() {
			defer wg.Done()
			for {
				select {
				case <-done:
					return
				default:
				}
				got, err := s.Spot(ctx, angler, sp.ID)
				if !assert.NoError(t, err) {
					return
				}
				want := 1
				if got.Name == "three" {
					want = 3
				}
				if !assert.Len(t, got.Marks, want, got.Name) {
					return
				}
			}
		}()
	}
	wg.Wait()
	<-done
}
