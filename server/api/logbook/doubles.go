package logbook

import (
	"context"
	"fmt"
	"strings"
	"time"

	"github.com/google/uuid"

	"greypebble/server/store"
)

// aboutAsLong apart are two notes of one spell, one from memory.
const aboutAsLong = 10 * time.Minute

// settle which spells are in the log already, and the ids of those that are not. A spell that stands with its id is
// there where the id is; any other, where one of the same line came before, or where one at the same place for the
// same fish with the same bait began about then. An id that is somebody else's is made anew.
func (c *coming) settle(ctx context.Context) error {
	angler := c.as.Angler
	for i := range c.spells {
		sp := &c.spells[i]
		if !sp.named {
			sp.ID = uuid.NewSHA1(angler, []byte(strings.Join([]string{"spell", sp.SpotID.String(), sp.Target,
				sp.StartedAt.Format(time.RFC3339Nano), sp.Offering, sp.Who, sp.Rod, sp.Mark}, "\x00")))
		}
	}
	if err := c.renew(ctx, "spell", func(sp *comingSpell) []*uuid.UUID { return []*uuid.UUID{&sp.ID} }, true); err != nil {
		return err
	}
	if err := c.near(ctx); err != nil {
		return err
	}
	for i := range c.spells {
		for k := range c.spells[i].Catches {
			if f := &c.spells[i].Catches[k]; f.ID == uuid.Nil {
				f.ID = uuid.NewSHA1(c.spells[i].ID, fmt.Appendf(nil, "catch %d", k))
			}
		}
	}
	fish := func(sp *comingSpell) (ids []*uuid.UUID) {
		for k := range sp.Catches {
			ids = append(ids, &sp.Catches[k].ID)
		}
		return ids
	}
	if err := c.renew(ctx, "catch", fish, false); err != nil {
		return err
	}
	seen := map[uuid.UUID]bool{}
	for i := range c.spells {
		sp := &c.spells[i]
		if sp.double = sp.double || seen[sp.ID]; !sp.double {
			seen[sp.ID] = true
			c.fresh = append(c.fresh, sp.Spell)
		}
	}
	return nil
}

// renew ids that are taken. Of spells, one's own is a double; of fish, one that stands elsewhere in the log gets an id
// of its own.
func (c *coming) renew(ctx context.Context, table string, of func(*comingSpell) []*uuid.UUID, doubles bool) error {
	var ids []uuid.UUID
	for i := range c.spells {
		for _, id := range of(&c.spells[i]) {
			ids = append(ids, *id)
		}
	}
	whose, err := c.s.Store.Whose(ctx, c.as.Angler, table, ids)
	if err != nil {
		return err
	}
	renewed := false
	for i := range c.spells {
		for _, id := range of(&c.spells[i]) {
			own, taken := whose[*id]
			switch {
			case taken && own && doubles:
				c.spells[i].double = true
			case taken:
				*id, renewed = uuid.NewSHA1(c.as.Angler, []byte(table+" "+id.String())), true
			}
		}
	}
	if renewed && doubles {
		// What was made anew may have come before.
		return c.renewedOnce(ctx)
	}
	return nil
}

func (c *coming) renewedOnce(ctx context.Context) error {
	var ids []uuid.UUID
	for i := range c.spells {
		ids = append(ids, c.spells[i].ID)
	}
	whose, err := c.s.Store.Whose(ctx, c.as.Angler, "spell", ids)
	for i := range c.spells {
		c.spells[i].double = c.spells[i].double || whose[c.spells[i].ID]
	}
	return err
}

// near are spells that somebody wrote down by hand before they sent the file.
func (c *coming) near(ctx context.Context) error {
	var from, to time.Time
	for i := range c.spells {
		at := c.spells[i].StartedAt
		if from.IsZero() || at.Before(from) {
			from = at
		}
		if at.After(to) {
			to = at
		}
	}
	if from.IsZero() {
		return nil
	}
	there, err := c.s.Store.BeganBetween(ctx, c.as.Angler, from.Add(-aboutAsLong), to.Add(aboutAsLong))
	if err != nil {
		return err
	}
	type where struct {
		spot   uuid.UUID
		target string
	}
	at := map[where][]store.Began{}
	for _, b := range there {
		k := where{b.SpotID, b.Target}
		at[k] = append(at[k], b)
	}
	for i := range c.spells {
		sp := &c.spells[i]
		if sp.named {
			continue
		}
		for _, b := range at[where{sp.SpotID, sp.Target}] {
			if b.StartedAt.Sub(sp.StartedAt).Abs() <= aboutAsLong && strings.EqualFold(b.Offering, sp.Offering) {
				sp.double = true
			}
		}
	}
	return nil
}
