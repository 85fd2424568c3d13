package logbook

import (
	"cmp"
	"context"
	"slices"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

type catchInput struct {
	wire.ByID
	Body struct {
		SpellID uuid.UUID `json:"spell_id" format:"uuid"`
		CatchIn
	}
}

// loggedCatch is a catch with the water it was caught in.
type loggedCatch struct {
	CatchOut
	SpotID   string `json:"spot_id"`
	SpotName string `json:"spot_name"`
	TimeZone string `json:"time_zone"`
	Approach string `json:"approach"`
	Offering string `json:"offering"`
	WaterOut
	Readings []wire.ReadingOut `json:"readings" nullable:"false"`
}

type catchOutput struct{ Body loggedCatch }

type catchesOutput struct {
	Body struct {
		Catches []loggedCatch `json:"catches" nullable:"false"`
	}
}

func (s service) registerCatches(api huma.API) {
	put := web.Conflicting(web.Put("/catches/{id}", "putCatch", "Write a catch of a spell, new or changed"))
	web.Signed(api, s.Deps, put, s.putCatch)
	web.Signed(api, s.Deps, web.Delete("/catches/{id}", "deleteCatch", "Take a catch back; its spell stays"),
		func(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
			return nil, s.Store.DeleteCatch(ctx, as.Angler, in.ID)
		})
	web.Signed(api, s.Deps, web.Get("/catches", "listCatches", "Catches with the water they were caught in, newest spell first"),
		s.listCatches)
}

func (s service) listCatches(ctx context.Context, as *web.Scope, in *logFilter) (*catchesOutput, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	spells, _, err := s.filtered(ctx, as, n, in, store.Filter{Catches: true})
	if err != nil {
		return nil, err
	}
	out := &catchesOutput{}
	out.Body.Catches = []loggedCatch{}
	target, _ := n.book.Target(in.Target)
	for _, sp := range spells {
		for _, c := range sp.Catches {
			if target == nil || c.Target == target.ID {
				out.Body.Catches = append(out.Body.Catches, n.logged(sp, c))
			}
		}
	}
	return out, nil
}

func (s service) putCatch(ctx context.Context, as *web.Scope, in *catchInput) (*catchOutput, error) {
	sp, err := s.Store.Spell(ctx, as.Angler, in.Body.SpellID)
	if err != nil {
		return nil, err
	}
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	sought, err := n.book.Target(sp.Target)
	if err != nil {
		return nil, err
	}
	entry, err := n.catchEntry(in.Body.CatchIn, sought, span{sp.StartedAt, sp.EndedAt}, as.Units, "body")
	if err != nil {
		return nil, err
	}
	// Who caught it, and on which rod, stays where a change leaves it out.
	if i := slices.IndexFunc(sp.Catches, func(c store.Catch) bool { return c.ID == in.ID }); i >= 0 {
		entry.Who, entry.Rod = cmp.Or(entry.Who, sp.Catches[i].Who), cmp.Or(entry.Rod, sp.Catches[i].Rod)
		if entry.CatchMore == (store.CatchMore{}) {
			entry.CatchMore = sp.Catches[i].CatchMore
		}
	}
	c := store.Catch{ID: in.ID, SpellID: sp.ID, Revision: in.Body.Revision, CatchEntry: entry}
	if c.Revision, err = s.Store.PutCatch(ctx, as.Angler, c); err != nil {
		return nil, err
	}
	return &catchOutput{n.logged(sp, c)}, nil
}
