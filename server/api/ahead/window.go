package ahead

import (
	"context"
	"errors"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/server/api/web"
)

type windowInput struct {
	Spot   string    `query:"spot_id" required:"true" format:"uuid"`
	Target string    `query:"target" required:"true" maxLength:"80"`
	From   time.Time `query:"from" required:"true" doc:"when its best begins"`
	Until  time.Time `query:"until" required:"true" doc:"and ends, at most six hours after"`
	Least  float64   `query:"least" minimum:"0" maximum:"100" default:"1.2" doc:"edge that is worth going for"`
	Along  []string  `query:"along,explode" maxItems:"2" enum:"child,cannot wade"`
}

type spoiler struct {
	Kind    string  `json:"kind"`
	Value   float64 `json:"value" doc:"in the kind's SI unit"`
	Less    bool    `json:"less" doc:"so much or less of it; else so much or more"`
	Forbids bool    `json:"forbids" doc:"one does not go then; else it is no longer worth it"`
}

type windowOutput struct {
	Body struct {
		Edge     float64   `json:"edge" doc:"in the middle of its best; 0 where one cannot fish then"`
		Low      float64   `json:"low" doc:"and between which it lies four times in five"`
		High     float64   `json:"high"`
		Spoilers []spoiler `json:"spoilers" nullable:"false"`
		Says     []string  `json:"says" nullable:"false" doc:"each in a sentence, or that there are none"`
	}
}

func (s service) registerWindow(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/ahead/window", "aheadWindow",
		"One window looked into: how sure its edge is, and what alone would spoil it"),
		s.window)
}

// longestBest a window may have: its best hour, and room for those who ask by hand.
const longestBest = 6 * time.Hour

func (s service) window(ctx context.Context, as *web.Scope, in *windowInput) (*windowOutput, error) {
	if length := in.Until.Sub(in.From); length < plan.Step || length > longestBest {
		return nil, web.Wrong("query.until", errors.New("expected ten minutes to six hours after it begins"))
	}
	o, err := s.lookAmong(ctx, as, &answer.AheadAsked{From: in.From, Days: 1, Targets: []string{in.Target}, Along: in.Along}, ground.AsEach,
		"query", func(sp *answer.Spot) bool { return sp.ID.String() == in.Spot })
	if err != nil {
		return nil, err
	}
	if len(o.Spots) == 0 {
		return nil, web.NotFound("no such spot of yours with marks")
	}
	w := plan.Window{BestFrom: in.From.UTC().Truncate(plan.Step), BestUntil: in.Until.UTC()}
	found, err := o.Spoilers(w, in.Least)
	if err != nil {
		return nil, err
	}
	edge, _, err := o.Sure(w)
	if err != nil {
		return nil, err
	}
	out := &windowOutput{}
	out.Body.Edge, out.Body.Low, out.Body.High = edge.Value, edge.Low, edge.High
	out.Body.Spoilers, out.Body.Says = []spoiler{}, plan.SaysSpoilers(found)
	for _, k := range found {
		out.Body.Spoilers = append(out.Body.Spoilers, spoiler{string(k.Kind), k.Value, k.Less, k.Forbids})
	}
	return out, nil
}
