// Package bylaws is the room of the rules an angler entered, and of what they say of a fish in the hand.
package bylaws

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/server/api/web"
)

type service struct{ *web.Deps }

type keepInput struct{ Body answer.KeepBody }

type keepOutput struct{ Body answer.KeepOut }

type dayCardInput struct{ Body answer.DayCardBody }

type dayCardOutput struct{ Body answer.DayCardOut }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	s.registerRules(api)
	s.registerCheck(api)
	s.registerFiles(api)
	web.Signed(api, d, web.Post("/keep", "keep",
		"Whether a fish may be kept, by the rules you entered; where nothing is entered it is not known"),
		func(ctx context.Context, as *web.Scope, in *keepInput) (*keepOutput, error) {
			v, err := answer.Keep(as.Around(ctx), &in.Body)
			if err != nil {
				return nil, err
			}
			return &keepOutput{*v}, nil
		})
	web.Signed(api, d, web.Post("/day-card", "dayCard", "The card of a day: who kept what, what is left, what is owed, what was put back"),
		func(ctx context.Context, as *web.Scope, in *dayCardInput) (*dayCardOutput, error) {
			out, err := answer.DayCard(as.Around(ctx), &in.Body)
			if err != nil {
				return nil, err
			}
			return &dayCardOutput{*out}, nil
		})
}
