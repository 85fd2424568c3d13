package advice

import (
	"context"
	"errors"

	"greypebble/core/advise"
	"greypebble/core/spot"
	"greypebble/server/api/web"
)

// WayBody is a presentation of one's own. It is exported for huma, which embeds only such fields.
type WayBody struct {
	Mark       string `json:"mark" doc:"its name or id"`
	OfferingID string `json:"offering_id"`
	RigID      string `json:"rig_id"`
	Style      string `json:"style,omitempty" doc:"how it is moved; the best of the rig's ways if left out"`
}

// EdgeBody asks after a presentation of one's own at a moment.
type EdgeBody struct {
	AdviseBody
	WayBody
}

type edgeInput struct{ Body EdgeBody }

type edgeOutput struct{ Body choiceOut }

func (s service) edge(ctx context.Context, as *web.Scope, in *edgeInput) (*edgeOutput, error) {
	a, err := s.mine(ctx, as, &in.Body.AdviseBody, in.Body.WayBody, "body", "body")
	if err != nil {
		return nil, err
	}
	return &edgeOutput{choiceOf(&a.Choices[0], a.Cautions)}, nil
}

// mine weighs a presentation of one's own; at is where the moment stands in the request, and way
// where the presentation does.
func (s service) mine(ctx context.Context, as *web.Scope, b *AdviseBody, w WayBody, at, way string) (*advise.Advice, error) {
	q, err := s.question(ctx, as, b)
	if err != nil {
		return nil, web.Within(at, err)
	}
	if len(q.targets) != 1 {
		return nil, web.Wrong(at+".targets", errors.New("expected one target"))
	}
	q.Target = q.targets[0]
	a, err := advise.Mine(q.Question, advise.MyWay{Mark: w.Mark, OfferingID: w.OfferingID, RigID: w.RigID, Style: w.Style})
	var field spot.FieldError
	if errors.As(err, &field) {
		switch field.Field {
		case "mark", "offering_id", "rig_id", "style":
			return nil, web.Wrong(way+"."+field.Field, field)
		}
		return nil, spotAnew(err)
	}
	return &a, err
}
