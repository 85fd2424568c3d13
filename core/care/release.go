package care

import (
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/words"
)

// Fish in the hand, as far as it is known.
type Fish struct {
	Target *playbook.Target
	Own    Own
	// LengthM metres; 0: not measured. DepthM it came from; 0: not said.
	LengthM, DepthM float64
	// WaterC is the water's temperature, NaN where it is not known.
	WaterC float64
	// Time of the catch by the place's clock, South of the equator; Place is the kind of place.
	Time  time.Time
	South bool
	Place string
	// NestingMale as one sees it, or may take it for.
	NestingMale bool
	// Predators are beside one: dolphins, sharks, seals, birds.
	Predators bool
}

// Step of treating a fish.
type Step struct {
	// Grave ones come first and stand out.
	Grave bool
	Says  string
}

// blown is the depth from which fish with a swim bladder may come up blown, metres (common practice, no source).
const blown = 12

// wrecks are kinds of place without nests in the sand.
var wrecks = []string{"reef", "ledge"}

// Release says how to treat a fish that goes back, the gravest first.
func Release(f *Fish, u quantity.Units) []Step {
	e := f.Own.Over(Of(f.Target.ID))
	var out []Step
	grave := func(form string, args ...any) { out = append(out, Step{true, fmt.Sprintf(form, args...)}) }
	add := func(form string, args ...any) { out = append(out, Step{false, fmt.Sprintf(form, args...)}) }
	if e.Venomous {
		grave(words.CareVenomous)
	}
	f.heat(&e, u, grave)
	f.nest(&e, grave, add)
	if e.BreederM > 0 && f.LengthM >= e.BreederM {
		grave(words.CareBreeder, u.ShowFishLength(e.BreederM))
	}
	if e.Deep && f.DepthM >= blown {
		grave(words.CareBlown)
	}
	if f.Predators {
		grave(words.CarePredators)
	}
	handling := f.Target.Handling
	if f.Own.Handling != "" {
		handling = f.Own.Handling
	}
	add("%s", u.Fill(handling))
	for _, c := range f.Target.Cautions {
		add("%s", u.Fill(c))
	}
	add(words.CareWet)
	add(words.CareUnhook)
	add(words.CareRevive)
	if e.WormyM > 0 && f.LengthM >= e.WormyM {
		add(words.CareWormy)
	}
	return out
}

// heat or cold of the water: what a fight costs the fish.
func (f *Fish) heat(e *Entry, u quantity.Units, grave func(string, ...any)) {
	hot := e.HotC
	if hot == 0 {
		hot = f.Target.Feeds.To
	}
	switch {
	case math.IsNaN(f.WaterC):
	case f.WaterC >= hot:
		grave(words.CareHot, u.ShowTemperature(f.WaterC))
	case f.Target.GoneBelowC != nil && f.WaterC <= *f.Target.GoneBelowC+2:
		grave(words.CareNumb, u.ShowTemperature(f.WaterC))
	}
}

// nest of a fish whose male guards one: over sand and broken ground in its months.
func (f *Fish) nest(e *Entry, grave, add func(string, ...any)) {
	if len(e.Nests) == 0 {
		return
	}
	month := f.Time.Month()
	if f.South {
		month = (month+5)%12 + 1
	}
	switch nesting := slices.Contains(e.Nests, month); {
	case nesting && f.NestingMale:
		grave(words.CareNestingMale)
	case nesting:
		grave(words.CareNest)
	case slices.Contains(wrecks, f.Place):
		add(words.CareNoNest)
	}
}
