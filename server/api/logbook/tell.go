package logbook

import (
	"context"
	"fmt"
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/outing"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

// tell the log the spells of an outing. Those that somebody changed by hand since the touches wrote them stay
// as they are and are named; those the touches have no longer go, unless a catch of one was logged by hand.
func (s service) tell(ctx context.Context, as *web.Scope, st *store.Store, id uuid.UUID, o *outing.Outing,
	touches []outing.Touch, by settle) (kept []string, clashes []clashOut, err error) {
	before, _, err := st.Spells(ctx, as.Angler, store.Filter{OutingID: id, Most: mostSpells})
	if err != nil {
		return nil, nil, err
	}
	logged := map[uuid.UUID]*store.Spell{}
	for i := range before {
		logged[before[i].ID] = &before[i]
	}
	n, err := names(ctx, as)
	if err != nil {
		return nil, nil, err
	}
	var last time.Time
	for i := range touches {
		if touches[i].Time.After(last) {
			last = touches[i].Time
		}
	}
	landed := map[uuid.UUID]bool{}
	for i := range o.Spells {
		spell, err := s.told(ctx, as, n, id, &o.Spells[i], last)
		if err != nil {
			return nil, nil, err
		}
		for _, c := range spell.Catches {
			landed[c.ID] = true
		}
		old := logged[spell.ID]
		delete(logged, spell.ID)
		if old != nil && !by.retells(old.ID) {
			if by.clash(old) {
				told := n.spell(spell)
				told.SpotName, told.TimeZone = old.SpotName, old.TimeZone
				clashes = append(clashes, clashOut{spell.ID.String(), n.spell(*old), &told})
			}
			if byHand(old) {
				kept = append(kept, spell.ID.String())
				continue
			}
		}
		if err := s.retell(ctx, as, st, spell, old, before, by.retells(spell.ID)); err != nil {
			return nil, nil, err
		}
	}
	for i := range before {
		old := &before[i]
		for _, c := range old.Catches {
			ours := c.Told > 0 && !catchByHand(c) && !byHand(old) || c.Told > 0 && by.retells(old.ID)
			if ours && !landed[c.ID] {
				if err := st.DeleteCatch(ctx, as.Angler, c.ID); err != nil {
					return nil, nil, err
				}
			}
		}
		if logged[old.ID] == nil {
			continue
		}
		own := slices.ContainsFunc(old.Catches, func(c store.Catch) bool { return c.Told == 0 })
		if own || handled(old) && !by.retells(old.ID) {
			kept = append(kept, old.ID.String())
			if by.clash(old) {
				clashes = append(clashes, clashOut{old.ID.String(), n.spell(*old), nil})
			}
		} else if err := st.DeleteSpell(ctx, as.Angler, old.ID); err != nil {
			return nil, nil, err
		}
	}
	return kept, clashes, nil
}

// byHand says that a spell was changed since the touches wrote it.
func byHand(sp *store.Spell) bool { return sp.Told != sp.Revision }

// retell a spell as the touches have it, and mark it so. A catch changed by hand stays as it is, unless all
// of it is to be as told.
func (s service) retell(ctx context.Context, as *web.Scope, st *store.Store, spell store.Spell, old *store.Spell,
	before []store.Spell, whole bool) error {
	if old != nil {
		spell.Revision = old.Revision
	}
	var mine []uuid.UUID
	spell.Catches = slices.DeleteFunc(spell.Catches, func(c store.Catch) bool {
		k := caught(before, c.ID)
		return k != nil && catchByHand(*k) && !whole
	})
	for i := range spell.Catches {
		c := &spell.Catches[i]
		if k := caught(before, c.ID); k != nil {
			c.Revision = k.Revision
		}
		mine = append(mine, c.ID)
	}
	if _, _, err := st.PutSpell(ctx, as.Angler, spell); err != nil {
		return err
	}
	return st.Told(ctx, as.Angler, spell.ID, mine)
}

func caught(before []store.Spell, id uuid.UUID) *store.Catch {
	for i := range before {
		for j := range before[i].Catches {
			if c := &before[i].Catches[j]; c.ID == id {
				return c
			}
		}
	}
	return nil
}

// told spell as the log keeps one, with what the water was like in its middle. One that goes on lasted until
// the last touch.
func (s service) told(ctx context.Context, as *web.Scope, n namer, id uuid.UUID, k *outing.Spell, last time.Time) (store.Spell, error) {
	wrong := func(err error) (store.Spell, error) { return store.Spell{}, web.Wrong("body.touches", err) }
	spot, err := uuid.Parse(k.SpotID)
	if err != nil {
		return wrong(err)
	}
	spellID, err := uuid.Parse(k.ID)
	if err != nil {
		return wrong(err)
	}
	target, err := n.book.Target(k.Target)
	if err != nil {
		return wrong(err)
	}
	ended := k.Ended
	if ended.IsZero() {
		ended = last
	}
	if ended.Sub(k.Started) > longestSpell {
		return wrong(fmt.Errorf("the spell from %s lasts more than 24 h; end it, and begin another", k.Started.Format(time.RFC3339)))
	}
	middle := k.Started.Add(ended.Sub(k.Started) / 2)
	sp, err := s.Desk.Spot(ctx, as.Angler, spot, middle)
	if err != nil {
		return store.Spell{}, err
	}
	var said []conditions.Reading
	for _, r := range k.Readings {
		said = append(said, conditions.Reading{Kind: r.Kind, Value: r.Value, Time: middle, Origin: conditions.Observed,
			Source: conditions.TheAngler})
	}
	m, _, err := sp.Including(said).At(middle, 0, 0)
	if err != nil {
		return store.Spell{}, err
	}
	m.During(k.Started, ended, said)
	out := store.Spell{ID: spellID, SpellEntry: store.SpellEntry{SpotID: spot, Target: target.ID, StartedAt: k.Started, EndedAt: ended,
		Rods: k.Rods, Mark: k.Mark, Approach: k.Approach, Offering: k.Offering, Outing: uuid.NullUUID{UUID: id, Valid: true},
		Casts:        k.Casts,
		PausedS:      int(min(k.Paused, ended.Sub(k.Started)).Seconds()),
		Presentation: store.AsJSON[outing.Presentation]{V: k.Presentation}, Events: k.Events,
		Signs: store.AsJSON[[]string]{V: k.Signs()}},
		SpellWater: store.WaterAt(&m), Readings: store.ReadingsAt(&m)}
	for _, c := range k.Catches {
		e := store.CatchEntry{Target: c.Target, CaughtAt: c.Time, Kept: c.Kept, Note: c.Note, Who: c.Who, Rod: c.Rod}
		if _, err := n.book.Target(c.Target); err != nil {
			return wrong(err)
		}
		if c.LengthM > 0 {
			e.LengthM = &c.LengthM
		}
		if c.MassKg > 0 {
			e.MassKg = &c.MassKg
		}
		catchID, err := uuid.Parse(c.ID)
		if err != nil {
			return wrong(err)
		}
		out.Catches = append(out.Catches, store.Catch{ID: catchID, CatchEntry: e})
	}
	return out, nil
}
