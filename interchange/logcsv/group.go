package logcsv

import (
	"fmt"
	"strings"
	"time"

	"greypebble/core/conditions"
	"greypebble/interchange/parse"
)

// Spell of a file with its fish.
type Spell struct {
	// Line it began on.
	Line int
	// ID the file gives it; empty for none.
	ID           string
	Spot, Target string
	Began, Ended Wall
	// Fished is how long, where that is said instead of the end.
	Fished, Paused time.Duration
	Rods           int
	Mark, Approach, Offering,
	Who, Rod, Note string
	Read map[conditions.Kind]float64
	Fish []Fish
}

// Fish of a spell.
type Fish struct {
	Line    int
	ID      string
	Species string
	// At is when it was caught, where that is told.
	At Wall
	Measures
	Who, Rod, Note string
}

// MostFish of a spell.
const MostFish = 200

// Group lines into spells, in the order of the file: a line that is a catch goes to the spell it names; lines of a
// person's own go to one spell where place, time and what was fished are the same.
func Group(rows []Row) (spells []Spell, faults []parse.Error) {
	wrong := func(line int, column, says string) {
		if len(faults) < MostFaults {
			faults = append(faults, parse.At(line, column, says))
		}
	}
	at := map[string]int{}
	for i := range rows {
		r := &rows[i]
		if r.What == CatchLine {
			continue
		}
		key := r.key()
		k, there := at[key]
		switch {
		case there && r.What == SpellLine:
			wrong(r.Line, "", fmt.Sprintf("says the spell of line %d again", spells[k].Line))
			continue
		case !there:
			k = len(spells)
			at[key] = k
			spells = append(spells, r.spell())
		}
		s := &spells[k]
		if r.Ended.Known() && (!s.Ended.Known() || r.Ended.Time.After(s.Ended.Time)) {
			s.Ended = r.Ended
		}
		s.Fished = max(s.Fished, r.Fished)
		fish, says := r.fish()
		if says == "" && len(s.Fish)+len(fish) > MostFish {
			says = fmt.Sprintf("more than %d fish of one spell", MostFish)
		}
		if says != "" {
			wrong(r.Line, "count", says)
			continue
		}
		s.Fish = append(s.Fish, fish...)
	}
	for i := range rows {
		r := &rows[i]
		if r.What != CatchLine {
			continue
		}
		k, there := at["id "+r.SpellID]
		switch {
		case r.SpellID == "" || !there:
			wrong(r.Line, "spell_id", fmt.Sprintf("there is no spell %q in this file", r.SpellID))
		case len(spells[k].Fish) == MostFish:
			wrong(r.Line, "", fmt.Sprintf("more than %d fish of one spell", MostFish))
		default:
			spells[k].Fish = append(spells[k].Fish, r.caught())
		}
	}
	return spells, faults
}

// key that lines of one spell share.
func (r *Row) key() string {
	if r.SpellID != "" {
		return "id " + r.SpellID
	}
	parts := []string{r.Spot, r.Began.Time.String(), r.Target, r.Offering, r.Who, r.Rod, r.Mark}
	return strings.ToLower(strings.Join(parts, "\x00"))
}

func (r *Row) spell() Spell {
	s := Spell{Line: r.Line, ID: r.SpellID, Spot: r.Spot, Target: r.Target, Began: r.Began, Ended: r.Ended, Fished: r.Fished,
		Paused: r.Paused, Rods: r.Rods, Mark: r.Mark, Approach: r.Approach, Offering: r.Offering, Who: r.Who, Rod: r.Rod, Read: r.Read}
	if n, _ := r.fish(); len(n) == 0 || r.What == SpellLine {
		s.Note = r.Note // else it is of the fish
	}
	return s
}

// fish of a line of a person's own: so many as it counts, one where it names or measures one. What it measures is the
// first's.
func (r *Row) fish() (list []Fish, says string) {
	told := r.Species != "" || r.Fish != (Measures{})
	n := r.Count
	switch {
	case r.What == SpellLine:
		return nil, ""
	case n < 0 && told:
		n = 1
	case n == 0 && r.Fish != (Measures{}):
		return nil, "no fish, and yet one is measured or kept"
	case n > MostFish:
		return nil, fmt.Sprintf("more than %d fish of one spell", MostFish)
	}
	for i := range n {
		f := Fish{Line: r.Line, Species: r.Species, Measures: Measures{Kept: r.Fish.Kept}}
		if i == 0 {
			f.ID, f.Measures, f.Note = r.CatchID, r.Fish, r.Note
		}
		list = append(list, f)
	}
	return list, ""
}

// caught is the fish of a line that is a catch.
func (r *Row) caught() Fish {
	f := Fish{Line: r.Line, ID: r.CatchID, Species: r.Species, At: r.Began, Measures: r.Fish, Who: r.Who, Rod: r.Rod, Note: r.Note}
	if f.Species == "" {
		f.Species = r.Target
	}
	return f
}
