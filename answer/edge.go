package answer

import (
	"errors"
	"greypebble/core/advise"
	"greypebble/core/spot"
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

// Edge of a presentation of one's own.
func Edge(around Around, b *EdgeBody) (*ChoiceOut, error) {
	a, err := mine(around, &b.AdviseBody, b.WayBody, "body", "body")
	if err != nil {
		return nil, err
	}
	c := choiceOf(&a.Choices[0], a.Cautions)
	return &c, nil
}

// mine weighs a presentation of one's own; at is where the moment stands in the request, and way
// where the presentation does.
func mine(around Around, b *AdviseBody, w WayBody, at, way string) (*advise.Advice, error) {
	q, err := questionOf(around, b)
	if err != nil {
		return nil, Within(at, err)
	}
	if len(q.targets) != 1 {
		return nil, Wrong(at+".targets", errors.New("expected one target"))
	}
	q.Target = q.targets[0]
	a, err := advise.Mine(q.Question, advise.MyWay{Mark: w.Mark, OfferingID: w.OfferingID, RigID: w.RigID, Style: w.Style})
	var field spot.FieldError
	if errors.As(err, &field) {
		switch field.Field {
		case "mark", "offering_id", "rig_id", "style":
			return nil, Wrong(way+"."+field.Field, field)
		}
		return nil, spotAnew(err)
	}
	return &a, err
}
