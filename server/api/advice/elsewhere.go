package advice

import (
	"context"

	"greypebble/answer"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type elsewhereInput struct {
	wire.ByID
	answer.ElsewhereAsked
}

type elsewhereOutput struct{ Body *answer.Elsewhere }

func (s service) elsewhere(ctx context.Context, as *web.Scope, in *elsewhereInput) (*elsewhereOutput, error) {
	e, err := answer.ElsewhereOf(as.Around(ctx), in.ID, in.ElsewhereAsked)
	return &elsewhereOutput{e}, err
}
