package demo

import (
	"context"
	"time"

	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/outing"
	"greypebble/core/spot"
	"greypebble/core/trial"
	"greypebble/server/store"
)

// notebook is what the demo's first angler wrote down beside the log: what is usual of their waters, things seen
// without fishing, a tagged fish met again, a trial.
func (a angler) notebook(ctx context.Context, s *store.Store) error {
	if err := a.usual(ctx, s); err != nil {
		return err
	}
	all, err := s.Spots(ctx, a.id())
	if err != nil {
		return err
	}
	spots := map[string]*store.Spot{}
	for _, sp := range all {
		spots[sp.Name] = sp
	}
	for _, step := range []func(context.Context, *store.Store, map[string]*store.Spot) error{a.walks, a.tagged, a.compared} {
		if err := step(ctx, s, spots); err != nil {
			return err
		}
	}
	return nil
}

// moment at a spot in the weather as it was.
func moment(sp *store.Spot, at time.Time) (*spot.Moment, error) {
	there := sp.With(observed(at))
	c, err := there.Curve(at, at)
	if err != nil {
		return nil, err
	}
	m, err := there.At(c, at)
	return &m, err
}

// usual of the angler's waters.
func (a angler) usual(ctx context.Context, s *store.Store) error {
	year := usually()
	for _, w := range a.waters {
		if err := s.PutUsual(ctx, a.id(), w.ID, year); err != nil {
			return err
		}
	}
	return nil
}

// usually is what the made-up weather of three years comes to, month by month, read at noon.
func usually() conditions.Usual {
	first := time.Date(2023, 11, 20, 15, 0, 0, 0, time.UTC)
	days := map[conditions.Kind][]conditions.Daily{}
	for n := range 3 * 365 {
		t := first.AddDate(0, 0, n)
		w := Weather(t)
		for _, k := range conditions.UsualKinds {
			days[k] = append(days[k], conditions.Daily{Day: t, Mean: w[k]})
		}
	}
	out := conditions.Usual{}
	for k, list := range days {
		out[k] = conditions.Learn(k, list)
	}
	return out
}

// walks without a rod, and what was seen on them.
func (a angler) walks(ctx context.Context, s *store.Store, spots map[string]*store.Spot) error {
	for _, w := range []struct {
		spot, mark, target, note string
		at                       time.Time
		signs                    []string
	}{
		{"Ladle Flat", "Pothole", "", "Walked the edge as it came in: not a swirl.", time.Date(2026, 2, 7, 15, 20, 0, 0, time.UTC),
			[]string{"nothing at all"}},
		{"Lantern Lake", "West hole", "red-drum", "A dozen backs in a foot of water, feeding toward the sill.",
			time.Date(2026, 4, 19, 20, 10, 0, 0, time.UTC), []string{"fish tailing"}},
		{"Town Wall", "Foot of the wall", "", "From the bench, at lunch.", time.Date(2026, 8, 14, 15, 40, 0, 0, time.UTC),
			[]string{"birds", "nervous bait"}},
		{"Long Strand", "", "", "Brown from the creeks as far as the second bar.", time.Date(2026, 9, 22, 12, 30, 0, 0, time.UTC),
			[]string{"water of another colour", "weed"}},
		{"Kettle Bar", "", "", "They went through in ten minutes, and all was quiet after.",
			time.Date(2026, 10, 11, 13, 5, 0, 0, time.UTC), []string{"mullet jumping", "dolphins"}},
	} {
		m, err := moment(spots[w.spot], w.at)
		if err != nil {
			return err
		}
		now := store.WaterAt(m)
		seen := store.Sighting{ID: a.own("walk " + w.at.String()), SpotID: spots[w.spot].ID, SeenAt: w.at, Target: w.target, Mark: w.mark,
			Note: w.note, SightingWater: store.SightingWater{TideLevelM: now.TideLevelM, TideDirection: now.TideDirection,
				TideThird: now.TideThird, TideSays: now.TideSays, Light: now.Light}}
		seen.Signs.V = w.signs
		if _, err := s.PutSighting(ctx, a.id(), seen); err != nil {
			return err
		}
	}
	return nil
}

// tagged is a red drum put back with a tag and met again, and another that somebody else met.
func (a angler) tagged(ctx context.Context, s *store.Store, spots map[string]*store.Spot) error {
	for _, f := range []struct {
		spot, mark, tag string
		from            time.Time
		lengthM         float64
	}{
		{"Kettle Bar", "Seaward edge", "TH 0417", time.Date(2026, 3, 8, 14, 0, 0, 0, time.UTC), 0.445},
		{"Withy Bank", "Foot of the bank", "TH 0418", time.Date(2026, 3, 21, 13, 30, 0, 0, time.UTC), 0.38},
		{"Kettle Bar", "Seaward edge", "TH 0417", time.Date(2026, 10, 4, 15, 10, 0, 0, time.UTC), 0.565},
	} {
		sp := spots[f.spot]
		length, to := f.lengthM, f.from.Add(70*time.Minute)
		m, err := moment(sp, f.from.Add(35*time.Minute))
		if err != nil {
			return err
		}
		row := store.Spell{ID: a.own("tagged " + f.from.String()), SpellEntry: store.SpellEntry{SpotID: sp.ID, Target: "red-drum",
			StartedAt: f.from, EndedAt: to, Rods: 1, Mark: f.mark, Approach: "cut bait", Offering: "Cut mullet"},
			SpellWater: store.WaterAt(m), Readings: store.ReadingsAt(m)}
		fish := store.Catch{ID: a.own("tag " + f.from.String())}
		fish.CatchEntry = store.CatchEntry{Target: "red-drum", LengthM: &length, CaughtAt: f.from.Add(50 * time.Minute),
			CatchMore: store.CatchMore{Measured: "board", TagNumber: f.tag, TagSide: "left", TagProgramme: tagProgramme}}
		row.Catches = []store.Catch{fish}
		if _, _, err := s.PutSpell(ctx, a.id(), row); err != nil {
			return err
		}
	}
	longer := 0.44
	at := spots["Cutwater Pier"]
	return s.PutTagList(ctx, a.id(), "the Board's list, "+invented, []store.TagReport{{ID: a.own("met TH 0418"), Number: "TH 0418",
		Programme: tagProgramme, Species: "red-drum", MetAt: time.Date(2026, 8, 29, 19, 0, 0, 0, time.UTC), Lat: at.Lat, Lon: at.Lon,
		LengthM: &longer}})
}

const tagProgramme = "Tern Head tags"

// compared is a trial that was fished to its end and shows less than one would think.
func (a angler) compared(ctx context.Context, s *store.Store, spots map[string]*store.Spot) error {
	tail := func(name, offering, finish string) trial.Choice {
		return trial.Choice{Name: name, Presentation: outing.Presentation{Approach: "lure", OfferingID: offering, Finish: finish,
			RigID: "weedless-hook", WeightKg: 0.007, SizeM: 0.09}}
	}
	began := time.Date(2026, 10, 24, 12, 0, 0, 0, time.UTC)
	t := store.Trial{ID: a.own("trial of two tails"), MadeAt: began.Add(-20 * time.Hour)}
	t.Design.V = trial.Design{Question: "Does a dark tail take more drum than a white one when the Sound is stained?", Target: "red-drum",
		SpotID: spots["Kettle Bar"].ID.String(), Mark: "Seaward edge", BlockMin: 20, Rounds: 5,
		Arms: []trial.Choice{tail("Dark tail", "paddle-tail-dark", "dark"), tail("White tail", "paddle-tail-white", "white")}}
	if _, err := s.PutTrial(ctx, a.id(), t, nil); err != nil {
		return err
	}
	landed := map[string][]int{"Dark tail": {1, 0, 2, 1, 1}, "White tail": {0, 1, 0, 1, 0}}
	missed := map[string][]int{"Dark tail": {0, 1, 0, 0, 1}, "White tail": {1, 0, 0, 2, 0}}
	for i, turn := range t.Design.V.Turns(t.ID.String()) {
		from := began.Add(time.Duration(i) * 22 * time.Minute)
		to, n := from.Add(20*time.Minute), i
		b := store.TrialBlock{ID: uuid.NewSHA1(t.ID, []byte(from.String())), Trial: t.ID, StartedAt: from, EndedAt: &to, Turn: &n}
		b.Fished.V = trial.Fished{Round: turn.Round, Arm: turn.Arm, Rods: 1, Landed: landed[turn.Arm][turn.Round],
			Missed: missed[turn.Arm][turn.Round]}
		if _, err := s.PutBlock(ctx, a.id(), b); err != nil {
			return err
		}
	}
	return nil
}
