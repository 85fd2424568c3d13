package logbook

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"strings"
	"time"

	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

// logJSON is the log as a document: what the list of spells says of each.
type logJSON struct {
	Format string     `json:"format"`
	Spells []spellOut `json:"spells"`
}

const logFormat = "grey-pebble-log"

// wholeLog of a document: everything as it was, readings and the water's state too.
func (c *coming) wholeLog(ctx context.Context) error {
	var doc logJSON
	if err := json.Unmarshal([]byte(c.asked.Text), &doc); err != nil {
		return web.Wrong("body.text", fmt.Errorf("this is no log.json: %w", err))
	}
	if doc.Format != logFormat {
		return web.Wrong("body.text", fmt.Errorf("expected the format %s, not %q", logFormat, doc.Format))
	}
	if len(doc.Spells) > mostComing {
		return web.Wrong("body.text", fmt.Errorf("%d spells; at most %d are taken at once", len(doc.Spells), mostComing))
	}
	var outings []uuid.UUID
	for i := range doc.Spells {
		if o := doc.Spells[i].OutingID; o != nil {
			outings = append(outings, *o)
		}
	}
	there, err := c.s.Store.Whose(ctx, c.as.Angler, "outing", outings)
	if err != nil {
		return err
	}
	for i := range doc.Spells {
		sp := &doc.Spells[i]
		out, err := c.restored(sp, i+1)
		if err != nil {
			c.wrong(i+1, "", err)
			continue
		}
		if !there[out.Outing.UUID] {
			out.Outing = uuid.NullUUID{}
		}
		c.spells = append(c.spells, *out)
	}
	return nil
}

// restored is a spell of a document; number is its place in it.
func (c *coming) restored(sp *spellOut, number int) (*comingSpell, error) {
	place, err := c.place(sp.SpotName)
	if err != nil {
		return nil, err
	}
	target, _, err := c.fish(sp.Target)
	if err != nil {
		return nil, err
	}
	out := &comingSpell{line: number, named: true}
	out.ID = idOf(sp.ID)
	if out.ID == uuid.Nil {
		return nil, fmt.Errorf("spell %d has no id", number)
	}
	out.SpellEntry = store.SpellEntry{SpotID: place, Target: target, StartedAt: sp.StartedAt.UTC(), EndedAt: sp.EndedAt.UTC(),
		Rods: sp.Rods, Mark: sp.Mark, Approach: sp.Approach, Offering: sp.Offering, Note: sp.Note}
	if sp.Rods < 1 || sp.Rods > 12 || sp.EndedAt.Before(sp.StartedAt) || sp.EndedAt.Sub(sp.StartedAt) > longestSpell ||
		sp.EndedAt.After(c.as.Now().Add(early)) {
		return nil, errors.New("its rods or its times cannot be")
	}
	if err := sp.into(&out.SpellEntry); err != nil {
		return nil, err
	}
	w := sp.WaterOut
	out.SpellWater = store.SpellWater{TideLevelM: w.TideLevelM, TideDirection: w.TideDirection, TideThird: w.TideThird,
		TideRateMPerH: w.TideRateMPerH, SunAltitudeDeg: w.SunAltitudeDeg, Light: w.Light, MoonIllumination: w.MoonIllumination,
		MoonPhase: w.MoonPhase}
	if w.TideStage != tide.SayThird(w.TideDirection, w.TideThird) {
		out.TideSays = w.TideStage
	}
	for _, r := range sp.Readings {
		kind := conditions.Kind(r.Kind)
		reading := conditions.Reading{Kind: kind, Value: r.Value, Origin: conditions.Origin(r.Origin), Source: r.Source,
			Time: r.Time.UTC(), Site: r.Place, Spread: r.Spread}
		if err := reading.Validate(); err != nil {
			return nil, err
		}
		out.Readings = append(out.Readings, reading)
	}
	out.SpotName, out.TimeZone = sp.SpotName, sp.TimeZone
	for k := range sp.Catches {
		f := &sp.Catches[k]
		sought, err := c.n.book.Target(target)
		if err != nil {
			return nil, err
		}
		caught, species, err := c.fish(f.Target)
		if err != nil {
			return nil, err
		}
		if caught == store.OtherFish {
			species = f.Species
		}
		entry, err := c.n.catchEntry(CatchIn{Target: caught, Species: species, CaughtAt: f.CaughtAt, LengthM: f.LengthM, MassKg: f.MassKg,
			Kept: f.Kept, Note: f.Note, Who: f.Who, Rod: f.Rod, CatchMoreBody: f.CatchMoreBody, Sure: true}, sought,
			span{out.StartedAt, out.EndedAt}, c.as.Units, "")
		if err != nil {
			return nil, err
		}
		out.Catches = append(out.Catches, store.Catch{ID: idOf(f.ID), CatchEntry: entry})
	}
	return out, nil
}

// writeJSON of a log that a filter lets through.
func (s service) writeJSON(ctx context.Context, as *web.Scope, in *logFilter) (*web.File, error) {
	var b strings.Builder
	fmt.Fprintf(&b, "{\"format\": %q, \"made_at\": %q,\n\"spells\": [", logFormat, as.Now().UTC().Format(time.RFC3339))
	first := true
	err := s.each(ctx, as, in, func(n namer, sp *store.Spell) error {
		one := n.spell(*sp)
		for k := range one.Catches {
			one.Catches[k].Photos = nil // they go with the account's copy
		}
		raw, err := json.Marshal(one)
		if err != nil {
			return err
		}
		if !first {
			b.WriteString(",")
		}
		first = false
		b.WriteString("\n")
		b.Write(raw)
		return nil
	})
	b.WriteString("\n]}\n")
	return web.Attached("log.json", "application/json", []byte(b.String())), err
}
