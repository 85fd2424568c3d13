package conditions

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/answer"
	"greypebble/server/api/web"
)

type conditionsInput struct {
	SpotID uuid.UUID `query:"spot_id" format:"uuid" required:"true"`
	Time   time.Time `query:"time" doc:"now if left out"`
}

type conditionsOutput struct{ Body *answer.Sheet }

func (s service) registerSheet(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/conditions", "conditions", "Every condition at a spot and moment, and where it came from"), s.sheet)
}

func (s service) sheet(ctx context.Context, as *web.Scope, in *conditionsInput) (*conditionsOutput, error) {
	b, err := answer.SheetOf(as.Around(ctx), in.SpotID, in.Time)
	return &conditionsOutput{b}, err
}
