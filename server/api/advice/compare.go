package advice

import (
	"context"

	"greypebble/answer"
	"greypebble/server/api/web"
)

type compareAdviceInput struct{ Body answer.CompareBody }

type compareAdviceOutput struct{ Body *answer.ComparedAdvice }

func (s service) compareAdvice(ctx context.Context, as *web.Scope, in *compareAdviceInput) (*compareAdviceOutput, error) {
	c, err := answer.CompareAdvice(as.Around(ctx), &in.Body)
	return &compareAdviceOutput{c}, err
}
