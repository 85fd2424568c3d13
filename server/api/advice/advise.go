package advice

import (
	"context"

	"greypebble/answer"
	"greypebble/server/api/web"
)

type adviseInput struct{ Body answer.AdviseBody }

type adviseOutput struct{ Body *answer.Advice }

func (s service) advise(ctx context.Context, as *web.Scope, in *adviseInput) (*adviseOutput, error) {
	a, err := answer.Advise(as.Around(ctx), &in.Body)
	return &adviseOutput{a}, err
}
