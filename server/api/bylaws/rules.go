package bylaws

import (
	"cmp"
	"context"
	"errors"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/ground"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// BylawOut is a rule that is kept, as a sentence too.
type BylawOut struct {
	ID       string `json:"id"`
	Says     string `json:"says" doc:"the rule as a sentence"`
	When     string `json:"when" doc:"in words"`
	Sourced  string `json:"sourced" doc:"where it stands and when it was looked up"`
	InForce  bool   `json:"in_force" doc:"at the place and on the day asked about"`
	Stale    bool   `json:"stale" doc:"looked up too long ago to trust"`
	Revision int    `json:"revision"`
	BylawBody
}

type bylawsInput struct {
	At   string `query:"at" maxLength:"60" example:"31.2,-45.1" doc:"latitude, longitude; left out: wherever they hold"`
	Date string `query:"date" format:"date" doc:"today if left out"`
}

type bylawsOutput struct {
	Body struct {
		Bylaws []BylawOut `json:"bylaws" nullable:"false" doc:"with at or date only those in force"`
	}
}

type bylawInput struct {
	wire.ByID
	Body struct {
		BylawBody
		Revision int `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

type againOutput struct{ Body BylawBody }

func (s service) registerRules(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/bylaws", "bylaws", "The rules you entered, all or those in force at a place on a day"), s.bylaws)
	web.Signed(api, s.Deps, web.Conflicting(web.Put("/bylaws/{id}", "putBylaw", "Write a rule of an authority, new or changed")),
		s.putBylaw)
	web.Signed(api, s.Deps, web.Get("/bylaws/{id}/again", "bylawAgain",
		"A rule as it may be for the year to come: to be looked up and kept as a new one"),
		s.again)
	web.Signed(api, s.Deps, web.Delete("/bylaws/{id}", "deleteBylaw", "Remove a rule"),
		func(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
			return nil, s.Store.DeleteBylaw(ctx, as.Angler, in.ID)
		})
}

func (s service) bylaws(ctx context.Context, as *web.Scope, in *bylawsInput) (*bylawsOutput, error) {
	list, err := s.Store.Bylaws(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	// By noon of the day asked about, or now.
	day := as.Now()
	if in.Date != "" {
		if day, err = time.Parse(time.DateOnly, in.Date); err != nil {
			return nil, web.Wrong("query.date", err)
		}
	}
	var place []ground.LatLon
	if in.At != "" {
		p, err := ground.ParseLatLon(in.At)
		if err != nil {
			return nil, web.Wrong("query.at", err)
		}
		place = append(place, p)
	}
	out := &bylawsOutput{}
	out.Body.Bylaws = []BylawOut{}
	slices.SortStableFunc(list, func(a, b store.Bylaw) int {
		return cmp.Or(cmp.Compare(a.Authority, b.Authority), cmp.Compare(a.Called(), b.Called()))
	})
	for i := range list {
		b := &list[i]
		holds := b.InSeason(day) && b.Hours.Falls(day) && (place == nil || b.At(place, false))
		if !holds && (in.At != "" || in.Date != "") {
			continue
		}
		out.Body.Bylaws = append(out.Body.Bylaws, s.out(as, b, holds))
	}
	return out, nil
}

func (s service) out(as *web.Scope, b *store.Bylaw, holds bool) BylawOut {
	return BylawOut{ID: b.ID, Says: b.Says(as.Units), When: b.SaysWhen(as.Units), Sourced: b.SaysSource(), InForce: holds,
		Stale: b.Stale(as.Now()), Revision: b.Revision, BylawBody: bodyOf(&b.Rule)}
}

func (s service) putBylaw(ctx context.Context, as *web.Scope, in *bylawInput) (*wire.RevisionOutput, error) {
	r, err := in.Body.rule("body")
	if err != nil {
		return nil, err
	}
	if r.CheckedOn.After(as.Now().AddDate(0, 0, 1)) {
		return nil, web.Wrong("body.checked", errors.New("a rule cannot have been looked up on a day to come"))
	}
	revision, err := s.Store.PutBylaw(ctx, as.Angler, in.ID, r, in.Body.Revision)
	return wire.Revised(revision), err
}

func (s service) again(ctx context.Context, as *web.Scope, in *wire.ByID) (*againOutput, error) {
	list, err := s.Store.Rules(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	for i := range list {
		if list[i].ID == in.ID.String() {
			r := list[i].Again(as.Now())
			return &againOutput{bodyOf(&r)}, nil
		}
	}
	return nil, store.ErrNotFound
}
