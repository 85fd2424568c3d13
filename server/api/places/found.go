package places

import (
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

type foundInput struct {
	wire.ByID
	Body struct {
		Time   time.Time `json:"time" doc:"when it was found: the level of the water then is what it is reckoned from"`
		Mark   string    `json:"mark,omitempty" maxLength:"60" doc:"that was sounded"`
		DepthM *float64  `json:"depth_m,omitempty" minimum:"0" maximum:"400" doc:"over that mark"`
		Shut   bool      `json:"shut,omitempty" doc:"the way back shut then"`
	}
}

type foundOutput struct {
	Body struct {
		Revision int     `json:"revision"`
		LevelM   float64 `json:"level_m" doc:"of the water at that time, above datum"`
	}
}

func (s service) registerFound(api huma.API) {
	web.Signed(api, s.Deps, web.Post("/spots/{id}/found", "noteFound",
		"Correct a spot by what was found on the water: a depth over a mark, or that the way back shut"), s.found)
}

func (s service) found(ctx context.Context, as *web.Scope, in *foundInput) (*foundOutput, error) {
	b := &in.Body
	if b.Shut == (b.DepthM != nil) || (b.Mark == "") != b.Shut {
		return nil, web.Wrong("body", errors.New("expected a mark with its depth, or that the way back shut"))
	}
	laid, err := s.Desk.Spot(ctx, as.Angler, in.ID, b.Time)
	if err != nil {
		return nil, err
	}
	m, _, err := laid.At(b.Time.UTC(), 0, 0)
	if err != nil {
		return nil, err
	}
	out := &foundOutput{}
	out.Body.LevelM = m.LevelM
	out.Body.Revision, err = s.Store.EditSpot(ctx, as.Angler, in.ID, func(sp *store.Spot) error {
		if !b.Shut {
			at := "body.depth_m"
			if !slices.ContainsFunc(sp.Marks, func(k ground.Mark) bool { return k.Name == b.Mark }) {
				at = "body.mark"
			}
			if err := sp.Sounded(b.Mark, m.LevelM, *b.DepthM); err != nil {
				return web.Wrong(at, err)
			}
			return nil
		}
		access, err := sp.Access.ShutAt(m.LevelM)
		if err != nil {
			return web.Wrong("body.time", err)
		}
		sp.Access = access
		return nil
	})
	return out, err
}
