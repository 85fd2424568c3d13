package logbook

import (
	"reflect"
	"slices"

	"github.com/google/uuid"

	"greypebble/core/outing"
	"greypebble/server/store"
)

// clashOut is a spell that was changed by hand in the log, and by touches that did not know of it.
type clashOut struct {
	SpellID string    `json:"spell_id" format:"uuid"`
	Log     spellOut  `json:"log" doc:"as the log has it, and keeps it until somebody says otherwise"`
	Told    *spellOut `json:"told,omitempty" doc:"as the touches tell it; left out where they took it back"`
}

// changing is which of an outing's spells some touches change: those that are told otherwise, or no longer,
// or not told, without them.
func changing(all []outing.Touch, fresh map[string]bool) (map[string]bool, error) {
	before, err := outing.Of(slices.DeleteFunc(slices.Clone(all), func(t outing.Touch) bool { return fresh[t.ID] }))
	if err != nil {
		return nil, err
	}
	after, err := outing.Of(all)
	if err != nil {
		return nil, err
	}
	was, out := map[string]*outing.Spell{}, map[string]bool{}
	for i := range before.Spells {
		was[before.Spells[i].ID] = &before.Spells[i]
	}
	for i := range after.Spells {
		k := &after.Spells[i]
		out[k.ID] = !reflect.DeepEqual(was[k.ID], k)
		delete(was, k.ID)
	}
	for id := range was {
		out[id] = true
	}
	return out, nil
}

// handled says that a spell, or a catch of it, was changed since the touches wrote it.
func handled(sp *store.Spell) bool {
	return byHand(sp) || slices.ContainsFunc(sp.Catches, catchByHand)
}

// catchByHand says that a catch the touches wrote was changed since, or that one was logged by hand.
func catchByHand(c store.Catch) bool { return c.Told != c.Revision }

// settle is how it is to be where both a hand and touches changed a spell.
type settle struct {
	// changed spells, by the touches nobody answered for yet.
	changed map[string]bool
	// retold spells are to be as the touches tell them.
	retold []uuid.UUID
}

func (s settle) retells(id uuid.UUID) bool { return slices.Contains(s.retold, id) }

func (s settle) clash(sp *store.Spell) bool { return s.changed[sp.ID.String()] && handled(sp) }
