package answer

import (
	"fmt"
	"greypebble/core/advise"
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

// CompareBody are the two sides.
type CompareBody struct {
	A PickBody `json:"a"`
	B PickBody `json:"b"`
}

// BesideOut is a rule's say on both sides.
type BesideOut struct {
	Rule string  `json:"rule"`
	Says string  `json:"says"`
	A    float64 `json:"a" doc:"its factor in a; 1 where it has no say"`
	B    float64 `json:"b"`
}

// ComparedAdvice of two presentations, or of two moments.
type ComparedAdvice struct {
	A       ChoiceOut   `json:"a"`
	B       ChoiceOut   `json:"b"`
	Ratio   float64     `json:"ratio" doc:"a over b"`
	Reasons []BesideOut `json:"reasons" nullable:"false" doc:"what differs most first"`
	Side    *Drawing    `json:"side,omitempty" doc:"both on one sheet, as wide as a's drawn_px; not of two spots"`
}

// mostRanked of a moment when one choice is looked for by name.
const mostRanked = 1000

func pickOf(around Around, b *PickBody, at string) (*advise.Choice, error) {
	if b.Way != nil {
		a, err := mine(around, &b.AdviseBody, *b.Way, at, at+".way")
		if err != nil {
			return nil, err
		}
		return &a.Choices[0], nil
	}
	q, err := questionOf(around, &b.AdviseBody)
	if err != nil {
		return nil, Within(at, err)
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
		return nil, Wrong(at+".offering", fmt.Errorf("%s cannot be fished there and then; it is one of the things ruled out",
			b.Offering))
	}
	return nil, Wrong(at, fmt.Errorf("%s", a.Note))
}

// CompareAdvice reason by reason.
func CompareAdvice(around Around, asked *CompareBody) (*ComparedAdvice, error) {
	a, err := pickOf(around, &asked.A, "body.a")
	if err != nil {
		return nil, err
	}
	b, err := pickOf(around, &asked.B, "body.b")
	if err != nil {
		return nil, err
	}
	c := advise.Compare(a, b)
	out := &ComparedAdvice{A: choiceOf(a, nil), B: choiceOf(b, nil), Ratio: c.Ratio}
	if px := asked.A.DrawnPx; px > 0 {
		if d, same := advise.DrawBoth(a, b, px); same {
			out.Side = DrawingIf(d)
		}
	}
	for _, r := range c.Reasons {
		out.Reasons = append(out.Reasons, BesideOut(r))
	}
	return out, nil
}
