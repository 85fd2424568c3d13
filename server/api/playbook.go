package api

import (
	"context"
	"fmt"
	"math"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/playbook"
	"greypebble/core/rate"
)

type ruleOut struct {
	ID        string   `json:"id"`
	Says      string   `json:"says"`
	Family    string   `json:"family"`
	Effect    string   `json:"effect" doc:"with your change, if any"`
	Certainty string   `json:"certainty"`
	Factor    float64  `json:"factor" doc:"the multiplier the effect stands for"`
	Targets   []string `json:"targets" nullable:"false" doc:"none: all"`
	Idea      string   `json:"idea"`
	Origin    string   `json:"origin"`
	School    string   `json:"school,omitempty"`
	Off       bool     `json:"off"`
	Changed   bool     `json:"changed"`
	// Built-in words, beside a change.
	BuiltEffect    string `json:"built_effect"`
	BuiltCertainty string `json:"built_certainty"`
}

type offeringOut struct {
	ID       string   `json:"id"`
	Name     string   `json:"name"`
	Approach string   `json:"approach"`
	Traits   []string `json:"traits" nullable:"false"`
	Rigs     []string `json:"rigs" nullable:"false"`
}

type rigOut struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	Move string `json:"move"`
	Bite string `json:"bite"`
}

type playbookOutput struct {
	Body struct {
		Rules       []ruleOut     `json:"rules" nullable:"false"`
		Targets     []targetOut   `json:"targets" nullable:"false"`
		Offerings   []offeringOut `json:"offerings" nullable:"false"`
		Rigs        []rigOut      `json:"rigs" nullable:"false"`
		Effects     []string      `json:"effects" nullable:"false" doc:"strengths a rule may claim"`
		Certainties []string      `json:"certainties" nullable:"false"`
		Basis       string        `json:"basis"`
	}
}

type ruleInput struct {
	ID   string `path:"id" maxLength:"80"`
	Body struct {
		Off       bool   `json:"off,omitempty"`
		Effect    string `json:"effect,omitempty" doc:"in place of the playbook's own"`
		Certainty string `json:"certainty,omitempty"`
	}
}

func (s *Server) registerPlaybook(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/playbook", "playbook", "The rules of thumb, with what you changed of them"), s.getPlaybook)
	huma.Register(api, operation(http.MethodPut, "/playbook/rules/{id}", "putRule", "Switch a rule off or on, or give it another strength; nothing said: as the playbook has it"),
		func(ctx context.Context, in *ruleInput) (*struct{}, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			r, known := s.book.Rule(in.ID)
			if !known {
				return nil, huma.Error404NotFound(fmt.Sprintf("The playbook has no rule %q.", in.ID))
			}
			c := playbook.Change(in.Body)
			if err := c.Validate(); err != nil {
				return nil, wrong("body.effect", err)
			}
			// What is the playbook's own anyhow is no change, and follows its updates.
			if c.Effect == r.Effect {
				c.Effect = ""
			}
			if c.Certainty == r.Certainty {
				c.Certainty = ""
			}
			return nil, failed(s.store.PutRuleChange(ctx, angler, in.ID, c))
		})
}

// bookOf an angler: the playbook with their changes over it.
func (s *Server) bookOf(ctx context.Context, angler uuid.UUID) (*playbook.Book, rate.Belief, error) {
	changes, err := s.store.RuleChanges(ctx, angler)
	if err != nil {
		return nil, nil, err
	}
	if len(changes) == 0 {
		return s.book, s.belief, nil
	}
	b, err := s.book.With(changes)
	return b, rate.Priors{Book: b}, err
}

func (s *Server) getPlaybook(ctx context.Context, _ *struct{}) (*playbookOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	book, _, err := s.bookOf(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	out := &playbookOutput{}
	b := &out.Body
	b.Rules, b.Targets, b.Offerings, b.Rigs = []ruleOut{}, []targetOut{}, []offeringOut{}, []rigOut{}
	b.Effects, b.Certainties, b.Basis = playbook.Effects(), playbook.Certainties(), basis
	for i := range book.Rules {
		r, built := &book.Rules[i], &s.book.Rules[i]
		targets := r.Targets()
		if targets == nil {
			targets = []string{}
		}
		b.Rules = append(b.Rules, ruleOut{ID: r.ID, Says: r.Says, Family: r.Family, Effect: r.Effect, Certainty: r.Certainty, Factor: math.Exp(r.Prior.Mean), Targets: targets,
			Idea: r.Idea, Origin: r.Origin, School: r.School, Off: r.Off(), Changed: r.Off() || r.Effect != built.Effect || r.Certainty != built.Certainty,
			BuiltEffect: built.Effect, BuiltCertainty: built.Certainty})
	}
	for _, t := range book.Targets {
		b.Targets = append(b.Targets, targetOut{t.ID, t.Name, t.Latin, t.Note})
	}
	for i := range book.Offerings {
		o := &book.Offerings[i]
		k := offeringOut{o.ID, o.Name, o.Approach, append([]string{}, o.Traits...), []string{}}
		for _, r := range book.RigsOf(o) {
			k.Rigs = append(k.Rigs, r.ID)
		}
		b.Offerings = append(b.Offerings, k)
	}
	for _, r := range book.Rigs {
		b.Rigs = append(b.Rigs, rigOut{r.ID, r.Name, r.Move, r.Bite})
	}
	return out, nil
}
