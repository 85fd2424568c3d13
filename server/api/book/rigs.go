package book

import (
	"context"
	"fmt"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/core/rigcard"
	"greypebble/server/api/web"
)

type rigCardInput struct {
	ID       string  `path:"id" maxLength:"60"`
	WeightKg float64 `query:"weight_kg" minimum:"0" maximum:"5"`
	Hook     string  `query:"hook" maxLength:"30"`
	LeaderN  float64 `query:"leader_n" minimum:"0" maximum:"5000"`
	LeaderOf string  `query:"leader_of" maxLength:"30"`
	Offering string  `query:"offering" maxLength:"80"`
	Units    string  `query:"units" enum:"metric,us"`
}

type wayOut struct {
	Style   string `json:"style"`
	Move    string `json:"move"`
	Cadence string `json:"cadence"`
}

type rigCardOutput struct {
	Body struct {
		ID      string         `json:"id"`
		Name    string         `json:"name"`
		Bite    string         `json:"bite"`
		Refused string         `json:"refused"`
		Tip     string         `json:"tip"`
		Ways    []wayOut       `json:"ways" nullable:"false"`
		Drawing answer.Drawing `json:"drawing"`
	}
}

type knotStepOut struct {
	Says    string         `json:"says"`
	Drawing answer.Drawing `json:"drawing"`
}

type knotOut struct {
	ID    string        `json:"id"`
	Name  string        `json:"name"`
	For   string        `json:"for"`
	Steps []knotStepOut `json:"steps" nullable:"false"`
}

type knotsOutput struct {
	Body []knotOut `nullable:"false"`
}

func (s service) registerRigs(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/rigs/{id}/card", "rigCard", "A rig drawn from its parts, with the measures of what it is tied with"),
		s.rigCard)
	web.Open(api, web.Get("/knots", "knots", "The knots, step by step"), func(context.Context, *struct{}) (*knotsOutput, error) {
		out := &knotsOutput{Body: []knotOut{}}
		for _, k := range rigcard.Knots() {
			o := knotOut{ID: k.ID, Name: k.Name, For: k.For}
			for _, step := range k.Steps {
				o.Steps = append(o.Steps, knotStepOut{step.Says, answer.DrawingOf(step.Drawing)})
			}
			out.Body = append(out.Body, o)
		}
		return out, nil
	})
}

func (s service) rigCard(ctx context.Context, as *web.Scope, in *rigCardInput) (*rigCardOutput, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	r, known := book.Rig(in.ID)
	if !known {
		return nil, web.NotFound(fmt.Sprintf("The playbook has no rig %q.", in.ID))
	}
	if err := as.In(in.Units, "query.units"); err != nil {
		return nil, err
	}
	t := rigcard.Tied{WeightKg: in.WeightKg, Hook: in.Hook, LeaderN: in.LeaderN, LeaderOf: in.LeaderOf, Units: as.Units}
	if t.WeightKg == 0 {
		t.WeightKg = r.WeightKg
	}
	if in.Offering == "" {
		t.Offering = book.Example(r)
	} else {
		o, known := book.Offering(in.Offering)
		if !known {
			return nil, web.Wrong("query.offering", fmt.Errorf("the playbook has no offering %q", in.Offering))
		}
		t.Offering = o
	}
	out := &rigCardOutput{}
	b := &out.Body
	u := as.Units
	b.ID, b.Name, b.Bite, b.Refused, b.Tip, b.Drawing, b.Ways = r.ID, r.Name, u.Fill(r.Bite), u.Fill(r.Refused), u.Fill(r.Tip),
		answer.DrawingOf(rigcard.Rig(r, t)), []wayOut{}
	for _, w := range r.Ways {
		b.Ways = append(b.Ways, wayOut{w.Style, u.Fill(w.Move), w.Cadence})
	}
	return out, nil
}
