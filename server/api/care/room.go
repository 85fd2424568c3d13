// Package care is the room of how fish and bait are treated.
package care

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/core/care"
	"greypebble/server/api/web"
)

type service struct{ *web.Deps }

type careInput struct{ Body answer.CareBody }

type careOutput struct{ Body answer.CareOut }

type iceInput struct{ Body answer.IceBody }

type iceOutput struct{ Body answer.IceOut }

type liveBaitInput struct{ Body answer.LiveBaitBody }

type liveBaitOutput struct{ Body answer.LiveBaitOut }

type ownCareInput struct {
	Target string `path:"target" maxLength:"80" example:"red-drum"`
	Body   answer.OwnCare
}

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	web.Signed(api, d, web.Post("/care", "care", "How a fish is treated that goes back, and one that is kept"),
		func(ctx context.Context, as *web.Scope, in *careInput) (*careOutput, error) {
			out, err := answer.Care(as.Around(ctx), &in.Body)
			if err != nil {
				return nil, err
			}
			return &careOutput{*out}, nil
		})
	web.Closed(api, d, web.Post("/care/ice", "careIce", "Ice for so much fish, so long, in such air"),
		func(_ context.Context, in *iceInput) (*iceOutput, error) {
			out, err := answer.ReckonIce(&in.Body)
			if err != nil {
				return nil, err
			}
			return &iceOutput{*out}, nil
		})
	web.Closed(api, d, web.Post("/care/live-bait", "careLiveBait", "How long bait lives in a tank or a bucket"),
		func(_ context.Context, in *liveBaitInput) (*liveBaitOutput, error) {
			out, err := answer.ReckonLiveBait(&in.Body)
			if err != nil {
				return nil, err
			}
			return &liveBaitOutput{*out}, nil
		})
	web.Signed(api, d, web.Put("/care/{target}", "putOwnCare",
		"What you hold of how a fish is treated, instead of the book; empty: the book's"),
		s.putOwn)
}

func (s service) putOwn(ctx context.Context, as *web.Scope, in *ownCareInput) (*struct{}, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	target, err := book.Target(in.Target)
	if err != nil {
		return nil, web.Wrong("path.target", err)
	}
	return nil, s.Store.PutOwnCare(ctx, as.Angler, target.ID, care.Own(in.Body))
}
