package advice

import (
	"context"
	"fmt"

	"greypebble/core/advise"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

// PickBody is one side of a comparison: the best of a moment, or a named offering. It
// is exported for huma, which embeds only such fields.
type PickBody struct {
	AdviseBody
	Offering string `json:"offering,omitempty" doc:"by its name in a choice; the best if left out"`
	KitID    string `json:"kit_id,omitempty" doc:"which thing of your kit, where two go by that name"`
	// Way of one's own.
	Way *WayBody `json:"way,omitempty" doc:"a presentation of your own, in place of one that was offered"`
}

type compareAdviceInput struct {
	Body struct {
		A PickBody `json:"a"`
		B PickBody `json:"b"`
	}
}

type besideOut struct {
	Rule string  `json:"rule"`
	Says string  `json:"says"`
	A    float64 `json:"a" doc:"its factor in a; 1 where it has no say"`
	B    float64 `json:"b"`
}

type compareAdviceOutput struct {
	Body struct {
		A       choiceOut     `json:"a"`
		B       choiceOut     `json:"b"`
		Ratio   float64       `json:"ratio" doc:"a over b"`
		Reasons []besideOut   `json:"reasons" nullable:"false" doc:"what differs most first"`
		Side    *wire.Drawing `json:"side,omitempty" doc:"both on one sheet, as wide as a's drawn_px; not of two spots"`
	}
}

// mostRanked of a moment when one choice is looked for by name.
const mostRanked = 1000

func (s service) pickOf(ctx context.Context, as *web.Scope, b *PickBody, at string) (*advise.Choice, error) {
	if b.Way != nil {
		a, err := s.mine(ctx, as, &b.AdviseBody, *b.Way, at, at+".way")
		if err != nil {
			return nil, err
		}
		return &a.Choices[0], nil
	}
	q, err := s.question(ctx, as, &b.AdviseBody)
	if err != nil {
		return nil, web.Within(at, err)
	}
	q.Most, q.Changes, q.DrawnPx = mostRanked, false, 0
	a, err := q.answer()
	if err != nil {
		return nil, err
	}
	for i := range a.Choices {
		card := &a.Choices[i].Card
		if (b.Offering == "" || card.Offering == b.Offering) && (b.KitID == "" || card.KitID == b.KitID) {
			return &a.Choices[i], nil
		}
	}
	if a.Beyond != nil && a.Beyond.Card.Offering == b.Offering {
		return a.Beyond, nil
	}
	if b.Offering != "" {
		return nil, web.Wrong(at+".offering", fmt.Errorf("%s cannot be fished there and then; it is one of the things ruled out",
			b.Offering))
	}
	return nil, web.Wrong(at, fmt.Errorf("%s", a.Note))
}

func (s service) compareAdvice(ctx context.Context, as *web.Scope, in *compareAdviceInput) (*compareAdviceOutput, error) {
	a, err := s.pickOf(ctx, as, &in.Body.A, "body.a")
	if err != nil {
		return nil, err
	}
	b, err := s.pickOf(ctx, as, &in.Body.B, "body.b")
	if err != nil {
		return nil, err
	}
	c := advise.Compare(a, b)
	out := &compareAdviceOutput{}
	out.Body.A, out.Body.B, out.Body.Ratio = choiceOf(a, nil), choiceOf(b, nil), c.Ratio
	if px := in.Body.A.DrawnPx; px > 0 {
		if d, same := advise.DrawBoth(a, b, px); same {
			out.Body.Side = wire.DrawingIf(d)
		}
	}
	for _, r := range c.Reasons {
		out.Body.Reasons = append(out.Body.Reasons, besideOut(r))
	}
	return out, nil
}
