package places

import (
	"context"
	"errors"
	"math"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

type spotInput struct {
	wire.ByID
	Body struct {
		wire.SpotBody
		Revision int `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

type markInput struct {
	wire.ByID
	MarkID uuid.UUID `path:"mark_id" format:"uuid"`
	Body   struct {
		Name       string      `json:"name" minLength:"1" maxLength:"60"`
		Kind       string      `json:"kind"`
		Bottom     string      `json:"bottom,omitempty"`
		At         wire.LatLon `json:"at"`
		ElevationM *float64    `json:"elevation_m,omitempty" doc:"read from the water's depths if left out"`
		Note       string      `json:"note,omitempty" maxLength:"400"`
		Snag       bool        `json:"snag,omitempty"`
	}
}

func (s service) registerWriting(api huma.API) {
	s.registerFound(api)
	web.Signed(api, s.Deps, web.Conflicting(web.Put("/spots/{id}", "putSpot", "Write a spot with its section and marks, new or changed")),
		s.putSpot)
	web.Signed(api, s.Deps, web.Conflicting(web.Delete("/spots/{id}", "deleteSpot", "Remove a spot no spell was fished at")), s.deleteSpot)
	web.Signed(api, s.Deps, web.Conflicting(web.Put("/spots/{id}/marks/{mark_id}", "putMark",
		"Put a mark on the map of a spot, new or changed")), s.putMark)
}

func (s service) putSpot(ctx context.Context, as *web.Scope, in *spotInput) (*wire.RevisionOutput, error) {
	sp, err := in.Body.Spot(in.ID)
	if err != nil {
		return nil, err
	}
	sp.Revision = in.Body.Revision
	revision, err := s.Store.PutSpot(ctx, as.Angler, sp)
	return wire.Revised(revision), err
}

func (s service) deleteSpot(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
	return nil, s.Store.DeleteSpot(ctx, as.Angler, in.ID)
}

func (s service) putMark(ctx context.Context, as *web.Scope, in *markInput) (*wire.RevisionOutput, error) {
	sp, err := s.Store.Spot(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	grid, err := s.grid(ctx, as, sp.Water.ID)
	if err != nil {
		return nil, err
	}
	bottom := func(p ground.LatLon) float64 {
		if grid == nil {
			return math.NaN()
		}
		return grid.Elevation(p)
	}
	b := in.Body
	m := ground.Mark{ID: in.MarkID.String(), Name: b.Name, Kind: ground.MarkKind(b.Kind), Bottom: b.Bottom, Note: b.Note, Snag: b.Snag}
	revision, err := s.Store.EditSpot(ctx, as.Angler, in.ID, func(sp *store.Spot) error {
		return wire.Checked(sp.PutMark(m, ground.LatLon(b.At), b.ElevationM, bottom))
	})
	return wire.Revised(revision), err
}

// grid of a water's depths; nil where it has none.
func (s service) grid(ctx context.Context, as *web.Scope, water uuid.UUID) (*ground.Grid, error) {
	g, err := s.Store.Grid(ctx, as.Angler, water)
	if errors.Is(err, store.ErrNotFound) {
		return nil, nil
	}
	return g.Grid, err
}
