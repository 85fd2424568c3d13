package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/server/store"
)

type catchInput struct {
	ByID
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
	Readings []readingOut `json:"readings" nullable:"false"`
}

type catchOutput struct{ Body loggedCatch }

type catchesOutput struct {
	Body struct {
		Catches []loggedCatch `json:"catches" nullable:"false"`
	}
}

func (s *Server) registerCatches(api huma.API) {
	put := operation(http.MethodPut, "/catches/{id}", "putCatch", "Write a catch of a spell, new or changed")
	put.Errors = append(put.Errors, http.StatusConflict)
	huma.Register(api, put, s.putCatch)
	huma.Register(api, operation(http.MethodGet, "/catches", "listCatches", "Catches with the water they were caught in, newest spell first"),
		func(ctx context.Context, in *logFilter) (*catchesOutput, error) {
			spells, _, err := s.log(ctx, in, store.Filter{Catches: true})
			if err != nil {
				return nil, err
			}
			out := &catchesOutput{}
			out.Body.Catches = []loggedCatch{}
			target, _ := s.book.Target(in.Target)
			for _, sp := range spells {
				for _, c := range sp.Catches {
					if target == nil || c.Target == target.ID {
						out.Body.Catches = append(out.Body.Catches, s.loggedCatch(sp, c))
					}
				}
			}
			return out, nil
		})
}

func (s *Server) loggedCatch(sp store.Spell, c store.Catch) loggedCatch {
	return loggedCatch{s.catchOut(c), sp.SpotID.String(), sp.SpotName, sp.TimeZone, sp.Approach, sp.Offering, waterOf(sp.SpellWater), readingsOf(sp.Readings)}
}

func (s *Server) putCatch(ctx context.Context, in *catchInput) (*catchOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	find := func() (store.Spell, error) {
		spells, _, err := s.store.Spells(ctx, angler, store.Filter{ID: in.Body.SpellID})
		if err == nil && len(spells) == 0 {
			err = store.ErrNotFound
		}
		if err != nil {
			return store.Spell{}, failed(err)
		}
		return spells[0], nil
	}
	sp, err := find()
	if err != nil {
		return nil, err
	}
	target, err := s.book.Target(sp.Target)
	if err != nil {
		return nil, failed(err)
	}
	entry, err := s.catchEntry(in.Body.CatchIn, target, sp.EndedAt, "body")
	if err != nil {
		return nil, err
	}
	c := store.Catch{ID: in.ID, SpellID: sp.ID, Revision: in.Body.Revision, CatchEntry: entry}
	if c.Revision, err = s.store.PutCatch(ctx, angler, c); err != nil {
		return nil, failed(err)
	}
	return &catchOutput{s.loggedCatch(sp, c)}, nil
}
