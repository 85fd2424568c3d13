package places

import (
	"context"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/answer"
	"greypebble/core/quantity"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type ribbonInput struct {
	wire.ByID
	answer.RibbonAsked
}

type ribbonOutput struct{ Body answer.Ribbon }

func (s service) registerRibbon(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/spots/{id}/ribbon", "spotRibbon", "The tide of a spot over some hours, frame by frame"), s.ribbon)
}

// ribbonKey is what a ribbon rests on: the spot as of a count of writings, when, and in
// which units it is spoken of.
type ribbonKey struct {
	spot  uuid.UUID
	count int
	from  int64
	hours int
	units quantity.Units
}

// mostRibbons are kept, bytes.
const mostRibbons = 48 << 20

func (s service) ribbon(ctx context.Context, as *web.Scope, in *ribbonInput) (*ribbonOutput, error) {
	from, to, err := in.Stretch(as.Now())
	if err != nil {
		return nil, err
	}
	sp, err := s.Desk.Spot(ctx, as.Angler, in.ID, from)
	if err != nil {
		return nil, err
	}
	key := ribbonKey{sp.ID, sp.Count, from.Unix(), in.Hours, as.Units}
	return &ribbonOutput{}, s.ribbons.Send(ctx, key,
		func(context.Context) (any, error) { return answer.RibbonOf(web.AnswerSpot(sp), from, to, as.Units) })
}
