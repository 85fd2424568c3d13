package advice

import (
	"context"

	"greypebble/answer"
	"greypebble/server/api/web"
)

type edgeInput struct{ Body answer.EdgeBody }

type edgeOutput struct{ Body *answer.ChoiceOut }

func (s service) edge(ctx context.Context, as *web.Scope, in *edgeInput) (*edgeOutput, error) {
	c, err := answer.Edge(as.Around(ctx), &in.Body)
	return &edgeOutput{c}, err
}
