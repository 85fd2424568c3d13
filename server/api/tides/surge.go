package tides

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type surgeInput struct {
	wire.ByID
	Body struct {
		ByM      float64   `json:"by_m" doc:"how much higher than predicted the water stands; negative for lower"`
		SeenAt   time.Time `json:"seen_at,omitempty" doc:"now if left out"`
		FadeH    float64   `json:"fade_h" doc:"hours until nothing is left of it"`
		Revision int       `json:"revision,omitempty" doc:"of the one you read; 0 where none was noted"`
	}
}

func (s service) registerSurge(api huma.API) {
	web.Signed(api, s.Deps, web.Conflicting(web.Put("/waters/{id}/surge", "putSurge",
		"Note how much the water stands off its prediction")),
		func(ctx context.Context, as *web.Scope, in *surgeInput) (*wire.RevisionOutput, error) {
			g, err := tide.NewSurge(in.Body.ByM, as.At(in.Body.SeenAt), time.Duration(in.Body.FadeH*float64(time.Hour)))
			if err != nil {
				return nil, web.Wrong("body", err)
			}
			revision, err := s.Store.PutSurge(ctx, as.Angler, in.ID, g, in.Body.Revision)
			return wire.Revised(revision), err
		})
	web.Signed(api, s.Deps, web.Delete("/waters/{id}/surge", "deleteSurge", "Go back to the prediction"),
		func(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
			return nil, s.Store.DeleteSurge(ctx, as.Angler, in.ID)
		})
}
