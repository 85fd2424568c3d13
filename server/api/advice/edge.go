package advice

import (
	"context"
	"errors"

	"greypebble/core/advise"
	"greypebble/core/spot"
	"greypebble/server/api/web"
)

// EdgeBody is a presentation of one's own. It is exported for huma, which embeds only such fields.
type EdgeBody struct {
	AdviseBody
	Mark       string `json:"mark" doc:"its name or id"`
	OfferingID string `json:"offering_id"`
	RigID      string `json:"rig_id"`
	Style      string `json:"style,omitempty" doc:"how it is moved; the best of the rig's ways if left out"`
}

type edgeInput struct{ Body EdgeBody }

type edgeOutput struct{ Body choiceOut }

func (s service) edge(ctx context.Context, as *web.Scope, in *edgeInput) (*edgeOutput, error) {
	b := &in.Body
	q, err := s.question(ctx, as, &b.AdviseBody)
	if err != nil {
		return nil, err
	}
	if len(q.targets) != 1 {
		return nil, web.Wrong("body.targets", errors.New("expected one target"))
	}
	q.Target = q.targets[0]
	a, err := advise.Mine(q.Question, advise.MyWay{Mark: b.Mark, OfferingID: b.OfferingID, RigID: b.RigID, Style: b.Style})
	var field spot.FieldError
	if errors.As(err, &field) {
		switch field.Field {
		case "mark", "offering_id", "rig_id", "style":
			return nil, web.Wrong("body."+field.Field, field)
		}
		return nil, spotAnew(err)
	}
	if err != nil {
		return nil, err
	}
	return &edgeOutput{choiceOf(&a.Choices[0], a.Cautions)}, nil
}
