package logbook

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"strings"
	"time"

	"greypebble/core/outing"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// namer writes what is stored with the names of the angler's own book: targets of their
// own are logged like any other.
type namer struct{ book *playbook.Book }

func names(ctx context.Context, as *web.Scope) (namer, error) {
	book, err := as.Book(ctx)
	return namer{book}, err
}

// target by id: its name, and the name within a sentence; the id where the book has it no
// longer.
func (n namer) target(id string) (name, inSentence string) {
	if t, err := n.book.Target(id); err == nil {
		return t.Name, t.InSentence()
	}
	return id, id
}

// fish is what was caught, by name.
func (n namer) fish(c store.Catch) (name, inSentence string) {
	if c.Target == store.OtherFish && c.Species != "" {
		return c.Species, c.Species
	}
	return n.target(c.Target)
}

// span of a spell.
type span struct{ from, to time.Time }

// holds a time, to the minute: that is how people write it down.
func (s span) holds(t time.Time) bool {
	return !t.Before(s.from.Add(-time.Minute)) && !t.After(s.to.Add(time.Minute))
}

// catchEntry of what was said of a catch in a spell; where names its place in the body.
func (n namer) catchEntry(c CatchIn, sought *playbook.Target, spell span, u quantity.Units, where string) (store.CatchEntry, error) {
	e := store.CatchEntry{Target: sought.ID, CaughtAt: spell.to, LengthM: c.LengthM, MassKg: c.MassKg, Kept: c.Kept, Note: c.Note,
		Who: c.Who, Rod: c.Rod, CatchMore: store.CatchMore(c.CatchMoreBody)}
	switch {
	case c.Target == store.OtherFish:
		if strings.TrimSpace(c.Species) == "" {
			return e, web.Wrong(where+".species", errors.New("expected the name of the fish"))
		}
		e.Target, e.Species, sought = store.OtherFish, strings.TrimSpace(c.Species), &playbook.Target{Name: c.Species}
	case c.Target != "":
		target, err := n.book.Target(c.Target)
		if err != nil {
			return e, web.Wrong(where+".target", err)
		}
		e.Target, sought = target.ID, target
	}
	if ask := sought.Doubt(c.LengthM, c.MassKg, u); ask != "" && !c.Sure {
		field := ".length_m"
		if c.LengthM == nil || *c.LengthM <= sought.LongestM {
			field = ".mass_kg"
		}
		return e, web.Wrong(where+field, errors.New(ask+" Say that you are sure."))
	}
	if !c.CaughtAt.IsZero() {
		e.CaughtAt = c.CaughtAt.UTC().Truncate(time.Millisecond)
	}
	if !spell.holds(e.CaughtAt) {
		return e, web.Wrong(where+".caught_at", fmt.Errorf("a catch lies within its spell, from %s to %s", spell.from.Format(time.RFC3339),
			spell.to.Format(time.RFC3339)))
	}
	return e, nil
}

func waterOf(w store.SpellWater) WaterOut {
	return WaterOut{TideLevelM: w.TideLevelM, TideStage: cmp.Or(w.TideSays, tide.SayThird(w.TideDirection, w.TideThird)),
		TideDirection: w.TideDirection, TideThird: w.TideThird, TideRateMPerH: w.TideRateMPerH, SunAltitudeDeg: w.SunAltitudeDeg,
		Light:            w.Light,
		MoonIllumination: w.MoonIllumination, MoonPhase: w.MoonPhase}
}

func (n namer) spell(sp store.Spell) spellOut {
	out := spellOut{ID: sp.ID.String(), SpotID: sp.SpotID.String(), SpotName: sp.SpotName, TimeZone: sp.TimeZone, Target: sp.Target,
		StartedAt: sp.StartedAt, EndedAt: sp.EndedAt, Rods: sp.Rods, Mark: sp.Mark, Approach: sp.Approach, Offering: sp.Offering,
		Note:  sp.Note,
		Blank: len(sp.Catches) == 0, Revision: sp.Revision, WaterOut: waterOf(sp.SpellWater), SpellMore: more(&sp.SpellEntry),
		Readings: wire.Readings(sp.Readings), Catches: []CatchOut{}}
	out.RodHours = outing.RodHours(sp.StartedAt, sp.EndedAt, time.Duration(sp.PausedS)*time.Second, sp.Rods)
	out.TargetName, out.TargetInSentence = n.target(sp.Target)
	for _, c := range sp.Catches {
		out.Catches = append(out.Catches, n.catch(c))
	}
	return out
}

func (n namer) catch(c store.Catch) CatchOut {
	out := CatchOut{Species: c.Species, Photos: photosOf(c.Photos), ID: c.ID.String(), SpellID: c.SpellID.String(), Target: c.Target,
		CaughtAt: c.CaughtAt, LengthM: c.LengthM,
		MassKg: c.MassKg, Kept: c.Kept, Note: c.Note, Who: c.Who, Rod: c.Rod, CatchMoreBody: CatchMoreBody(c.CatchMore),
		Revision: c.Revision}
	out.TargetName, out.TargetInSentence = n.fish(c)
	if t, err := n.book.Target(c.Target); err == nil && c.LengthM != nil && c.MassKg == nil {
		if kg, err := t.Weight.Mass(*c.LengthM); err == nil {
			out.MassEstimateKg = &kg
		}
	}
	return out
}

func (n namer) logged(sp store.Spell, c store.Catch) loggedCatch {
	return loggedCatch{CatchOut: n.catch(c), SpotID: sp.SpotID.String(), SpotName: sp.SpotName, TimeZone: sp.TimeZone,
		Approach: sp.Approach, Offering: sp.Offering, WaterOut: waterOf(sp.SpellWater), Readings: wire.Readings(sp.Readings)}
}
