package care

import (
	"slices"
	"time"
)

// Entry of the book on one fish. All are common practice, no source; lengths and depths are the house's judgement.
type Entry struct {
	// Targets it is of.
	Targets []string
	// BreederM is the length from which it is a large breeder better put back; 0: not said.
	BreederM float64
	// WormyM is the length from which its flesh is often wormy; 0: not said.
	WormyM float64
	// HotC is the water above which a fight may kill it; 0: what it feeds well in.
	HotC float64
	// Venomous spines; Deep: it comes up blown from deep water; Nests: the male guards eggs in these months.
	Venomous, Deep bool
	Nests          []time.Month
	// Oily flesh keeps less long.
	Oily bool
}

// entries of the book. What is not here is treated as any fish is.
var entries = []Entry{
	{Targets: []string{"red-drum"}, BreederM: 0.71},
	{Targets: []string{"black-drum"}, BreederM: 0.76, WormyM: 0.6},
	{Targets: []string{"spotted-seatrout", "trophy-seatrout"}, BreederM: 0.5, HotC: 27},
	{Targets: []string{"weakfish"}, BreederM: 0.6},
	{Targets: []string{"snook"}, BreederM: 0.8, HotC: 30},
	{Targets: []string{"striped-bass"}, BreederM: 0.8, HotC: 21},
	{Targets: []string{"bluefish", "false-albacore", "crevalle-jack"}, Oily: true},
	{Targets: []string{"sea-catfish"}, Venomous: true},
	{Targets: []string{"black-sea-bass", "barred-sand-bass", "lake-trout"}, Deep: true},
	{Targets: []string{"kelp-bass"}, BreederM: 0.45, Deep: true},
	{Targets: []string{"white-seabass"}, BreederM: 1, Deep: true},
	{Targets: []string{"black-seabream"}, Deep: true, Nests: []time.Month{time.April, time.May, time.June, time.July}},
	{Targets: []string{"chinook-salmon", "kokanee"}, HotC: 18, Oily: true},
}

// Of a target.
func Of(target string) Entry {
	for _, e := range entries {
		if slices.Contains(e.Targets, target) {
			return e
		}
	}
	return Entry{Targets: []string{target}}
}

// Own is what an angler holds of a fish instead; zero values leave the book's.
type Own struct {
	BreederM, HotC float64
	Handling       string
}

// Over the book's entry.
func (o Own) Over(e Entry) Entry {
	if o.BreederM > 0 {
		e.BreederM = o.BreederM
	}
	if o.HotC > 0 {
		e.HotC = o.HotC
	}
	return e
}
