package answer

import (
	"cmp"
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/bylaw"
	"greypebble/core/playbook"
)

// DayCardBody is a day at a place, with the fish the log may not know yet.
type DayCardBody struct {
	SpotID   uuid.UUID  `json:"spot_id" format:"uuid"`
	Time     time.Time  `json:"time,omitempty" doc:"of the day; now if left out"`
	Aboard   []string   `json:"aboard,omitempty" maxItems:"20" doc:"the others there, by name"`
	Species  []string   `json:"species,omitempty" maxItems:"20" doc:"sought, whose limits are told even where none was caught"`
	Kept     []KeptBody `json:"kept,omitempty" maxItems:"500"`
	Released []KeptBody `json:"released,omitempty" maxItems:"500"`
}

// DayFish is a fish of the day.
type DayFish struct {
	Species string    `json:"species"`
	LengthM float64   `json:"length_m,omitempty"`
	Angler  string    `json:"angler,omitempty" doc:"left out: oneself"`
	Time    time.Time `json:"time"`
}

// DayLimit is what is left of one kind.
type DayLimit struct {
	Species string   `json:"species"`
	Bag     *BagOut  `json:"bag,omitempty" doc:"left out: no number is entered"`
	Says    string   `json:"says" doc:"the size that may be kept, or why none"`
	Duties  []string `json:"duties" nullable:"false"`
}

// DayCardOut is the card of a day.
type DayCardOut struct {
	Day      string     `json:"day" format:"date" doc:"by the clock of the place"`
	Spot     string     `json:"spot"`
	Kept     []DayFish  `json:"kept" nullable:"false" doc:"by whom, then by when"`
	Released []DayFish  `json:"released" nullable:"false"`
	Limits   []DayLimit `json:"limits" nullable:"false"`
}

// DayCard of a day: who kept what, what is left, what is owed, and what was put back.
func DayCard(around Around, b *DayCardBody) (*DayCardOut, error) {
	t := when(around, b.Time)
	sp, err := around.Spot(b.SpotID, t)
	if err != nil {
		return nil, err
	}
	local := clocked(t, sp.Clock)
	book, err := around.Book(nil)
	if err != nil {
		return nil, err
	}
	rules, err := around.Rules()
	if err != nil {
		return nil, err
	}
	all, err := b.caught(around, book, local)
	if err != nil {
		return nil, err
	}
	out := &DayCardOut{Day: local.Format(time.DateOnly), Spot: sp.Name, Kept: []DayFish{}, Released: []DayFish{}, Limits: []DayLimit{}}
	var kinds []bylaw.Species
	seen := func(s bylaw.Species) {
		if !slices.Contains(kinds, s) {
			kinds = append(kinds, s)
		}
	}
	for _, s := range b.Species {
		seen(speciesOf(book, s))
	}
	for _, c := range all {
		fish := DayFish{c.Name, c.LengthM, c.Who, c.Time}
		if c.Released {
			out.Released = append(out.Released, fish)
		} else {
			out.Kept = append(out.Kept, fish)
		}
		seen(c.Species)
	}
	points, area := sp.Touched()
	for _, s := range kinds {
		v := bylaw.Judge(rules, &bylaw.Asked{Fish: bylaw.Fish{Species: s}, Place: points, Area: area, Time: local, Now: around.Now(),
			Aboard: b.Aboard, Kept: bylaw.KeptOf(all), Units: around.Units()})
		o := keepOut(&v)
		out.Limits = append(out.Limits, DayLimit{s.Name, o.Bag, o.Why, o.Duties})
	}
	return out, nil
}

// caught that local day by everybody, each once, by whom and when.
func (b *DayCardBody) caught(around Around, book *playbook.Book, local time.Time) ([]bylaw.Caught, error) {
	all, err := around.Caught(local.Add(-aDay), local.Add(aDay))
	if err != nil {
		return nil, err
	}
	known := len(all)
	for i, list := range [][]KeptBody{b.Kept, b.Released} {
		for _, k := range list {
			if k.ID == "" || !slices.ContainsFunc(all[:known], func(l bylaw.Caught) bool { return l.ID == k.ID }) {
				all = append(all, bylaw.Caught{Kept: bylaw.Kept{ID: k.ID, Species: speciesOf(book, k.Species), LengthM: k.LengthM,
					Who:  k.Angler,
					Time: k.Time}, Released: i == 1})
			}
		}
	}
	all = slices.DeleteFunc(all, func(c bylaw.Caught) bool {
		return clocked(c.Time, local.Location()).Format(time.DateOnly) != local.Format(time.DateOnly)
	})
	slices.SortStableFunc(all, func(a, b bylaw.Caught) int { return cmp.Or(cmp.Compare(a.Who, b.Who), a.Time.Compare(b.Time)) })
	return all, nil
}
