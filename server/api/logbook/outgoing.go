package logbook

import (
	"context"
	"strconv"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/conditions"
	"greypebble/interchange/logcsv"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

func (s service) registerOutgoing(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/interchange/log.csv", "logFile",
		"The log as CSV: a line for each spell, and one for each of its catches"), s.writeCSV)
	web.Signed(api, s.Deps, web.Get("/interchange/log.json", "logDocument",
		"The log as JSON, from which it comes back as it was, but for photos and outings"), s.writeJSON)
}

// each spell of a log that a filter lets through, newest first.
func (s service) each(ctx context.Context, as *web.Scope, in *logFilter, do func(namer, *store.Spell) error) error {
	n, err := names(ctx, as)
	if err != nil {
		return err
	}
	f, err := s.filter(n, in, store.Filter{})
	if err != nil {
		return err
	}
	for f.Most = 1000; ; {
		spells, err := s.Store.Listed(ctx, as.Angler, f)
		if err != nil {
			return err
		}
		for i := range spells {
			if err := do(n, &spells[i]); err != nil {
				return err
			}
		}
		if len(spells) < f.Most {
			return nil
		}
		last := &spells[len(spells)-1]
		f.After = &store.SpellAt{StartedAt: last.StartedAt, ID: last.ID}
	}
}

func (s service) writeCSV(ctx context.Context, as *web.Scope, in *logFilter) (*web.File, error) {
	var b strings.Builder
	w, err := logcsv.NewWriter(&b)
	if err != nil {
		return nil, err
	}
	err = s.each(ctx, as, in, func(_ namer, sp *store.Spell) error {
		return w.Write(tableSpell(sp), logcsv.Water{LevelM: sp.TideLevelM, Stage: waterOf(sp.SpellWater).TideStage, Light: sp.Light})
	})
	if err != nil {
		return nil, err
	}
	if err := w.Close(); err != nil {
		return nil, err
	}
	return web.Attached("log.csv", "text/csv; charset=utf-8", []byte(b.String())), nil
}

// tableSpell is a spell as a table has it.
func tableSpell(sp *store.Spell) *logcsv.Spell {
	at := func(t time.Time) logcsv.Wall { return logcsv.Wall{Time: t.UTC(), Zoned: true} }
	out := &logcsv.Spell{ID: sp.ID.String(), Spot: sp.SpotName, Target: sp.Target, Began: at(sp.StartedAt), Ended: at(sp.EndedAt),
		Paused: time.Duration(sp.PausedS) * time.Second, Rods: sp.Rods, Mark: sp.Mark, Approach: sp.Approach, Offering: sp.Offering,
		Who: sp.Who, Rod: sp.Rod, Note: sp.Note, Read: map[conditions.Kind]float64{}}
	for _, r := range sp.Readings {
		out.Read[r.Kind] = r.Value
	}
	for i := range sp.Catches {
		c := &sp.Catches[i]
		f := logcsv.Fish{ID: c.ID.String(), Species: c.Target, At: at(c.CaughtAt), Who: c.Who, Rod: c.Rod, Note: c.Note,
			Measures: logcsv.Measures{LengthM: c.LengthM, MassKg: c.MassKg, GirthM: c.GirthM, Kept: c.Kept, Measured: c.Measured,
				HookPlace: c.HookPlace, Hook: c.Hook, TagNumber: c.TagNumber, TagSide: c.TagSide, TagProgramme: c.TagProgramme}}
		if c.Target == store.OtherFish {
			f.Species = otherFish + c.Species
		}
		out.Fish = append(out.Fish, f)
	}
	return out
}

func decimal(v *float64) string {
	if v == nil {
		return ""
	}
	return strconv.FormatFloat(*v, 'f', -1, 64)
}
