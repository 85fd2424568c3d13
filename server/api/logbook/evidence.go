package logbook

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
)

type evidenceInput struct {
	Target string `query:"target" required:"true" maxLength:"80"`
}

// MultiplierOut is a multiplier as it is believed.
type MultiplierOut struct {
	Median float64 `json:"median"`
	Low    float64 `json:"low" doc:"four times in five it lies between"`
	High   float64 `json:"high"`
}

type ruleEvidence struct {
	Rule    string        `json:"rule"`
	Says    string        `json:"says" doc:"the rule"`
	Part    string        `json:"part"`
	Prior   MultiplierOut `json:"prior" doc:"as the book has it"`
	Log     MultiplierOut `json:"log" doc:"after the log"`
	Spells  int           `json:"spells" doc:"that speak to it"`
	ShiftSD float64       `json:"shift_sd" doc:"by so many of the book's spreads its mean moved"`
	Reads   string        `json:"reads" doc:"both in a sentence"`
}

type evidenceOutput struct {
	Body struct {
		Target     string         `json:"target"`
		TargetName string         `json:"target_name"`
		Spells     int            `json:"spells"`
		RodHours   float64        `json:"rod_hours"`
		Catches    float64        `json:"catches"`
		Base       MultiplierOut  `json:"base" doc:"fish a rod-hour of an ordinary spell"`
		Rules      []ruleEvidence `json:"rules" nullable:"false" doc:"that the log speaks to, the most moved first"`
		Dispersion float64        `json:"dispersion" doc:"how much more the counts scatter than chance; 1: no more"`
		LeftOut    int            `json:"left_out" doc:"spells of which nothing can be reckoned: without effort, at a spot without marks"`
	}
}

func (s service) registerEvidence(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/evidence", "evidence", "What your log says of what is said of a target"), s.evidence)
}

func (s service) evidence(ctx context.Context, as *web.Scope, in *evidenceInput) (*evidenceOutput, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	target, err := book.Target(in.Target)
	if err != nil {
		return nil, web.Wrong("query.target", err)
	}
	e, err := as.Learned(ctx)
	if err != nil {
		return nil, err
	}
	belief := e.For(target.ID)
	base, err := belief.Base()
	if err != nil {
		return nil, err
	}
	sum := belief.Sum()
	out := &evidenceOutput{}
	b := &out.Body
	b.Target, b.TargetName, b.Spells, b.RodHours, b.Catches = target.ID, target.Name, sum.Spells, sum.RodHours, sum.Fish
	b.Base, b.Dispersion, b.LeftOut, b.Rules = MultiplierOut(base), e.Dispersion, e.LeftOut, []ruleEvidence{}
	for _, r := range belief.Rules() {
		rule := &book.Rules[r.Rule]
		b.Rules = append(b.Rules, ruleEvidence{Rule: rule.ID, Says: rule.Says, Part: rule.Part.String(), Prior: MultiplierOut(r.Prior),
			Log: MultiplierOut(r.Log), Spells: r.Spells, ShiftSD: r.Shift, Reads: r.Sentence()})
	}
	return out, nil
}
