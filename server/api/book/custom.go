package book

import (
	"cmp"
	"context"
	"fmt"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/core/playbook"
	"greypebble/core/tackle"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

// TargetBody is a target as an angler writes it. It is exported for huma, which embeds
// only such fields.
type TargetBody struct {
	Name         string   `json:"name" minLength:"1" maxLength:"80"`
	Latin        string   `json:"latin" minLength:"1" maxLength:"80"`
	Note         string   `json:"note,omitempty" maxLength:"400"`
	Idea         string   `json:"idea,omitempty"`
	Origin       string   `json:"origin,omitempty"`
	WeightA      float64  `json:"weight_a" exclusiveMinimum:"0" doc:"of W = a·Lᵇ, grams and centimetres"`
	WeightB      float64  `json:"weight_b" exclusiveMinimum:"0"`
	Senses       string   `json:"senses" enum:"sight,scent,both"`
	Columns      []string `json:"columns" minItems:"1" nullable:"false" enum:"bottom,mid,top"`
	FeedsFromC   float64  `json:"feeds_from_c"`
	FeedsToC     float64  `json:"feeds_to_c"`
	GoneBelowC   *float64 `json:"gone_below_c,omitempty"`
	Best         []string `json:"best,omitempty" nullable:"false" doc:"months of the northern year"`
	Away         []string `json:"away,omitempty" nullable:"false"`
	Lives        []string `json:"lives" minItems:"1" nullable:"false" doc:"kinds of place"`
	Likes        []string `json:"likes,omitempty" nullable:"false" doc:"kinds of mark"`
	Eats         []string `json:"eats,omitempty" nullable:"false" doc:"offerings it prefers"`
	Takes        []string `json:"takes,omitempty" nullable:"false" doc:"offerings it takes too"`
	Hooks        string   `json:"hooks" minLength:"1" maxLength:"60"`
	StrikesFromM float64  `json:"strikes_from_m" minimum:"0"`
	StrikesToM   float64  `json:"strikes_to_m" minimum:"0"`
	Hazard       string   `json:"hazard" enum:"open sand,shell,pilings,rock,teeth"`
	Handling     string   `json:"handling" minLength:"1" maxLength:"400"`
	Stay         string   `json:"stay,omitempty" maxLength:"400"`
	Cautions     []string `json:"cautions,omitempty" nullable:"false"`
}

type targetFull struct {
	ID   string `json:"id"`
	Own  bool   `json:"own" doc:"you wrote it, or over the playbook's"`
	Over bool   `json:"over" doc:"it stands in place of one of the playbook's"`
	TargetBody
}

func targetOf(book *playbook.Book, t *playbook.Target) targetFull {
	list := func(l []string) []string { return append([]string{}, l...) }
	shipped, err := book.Shipped().Target(t.ID)
	return targetFull{ID: t.ID, Own: t.Custom, Over: t.Custom && err == nil && shipped.ID == t.ID, TargetBody: TargetBody{
		Name: t.Name, Latin: t.Latin, Note: t.Note, Idea: t.Idea, Origin: t.Origin, WeightA: t.Weight.A, WeightB: t.Weight.B,
		Senses:  t.Senses,
		Columns: list(t.Columns), FeedsFromC: t.Feeds.From, FeedsToC: t.Feeds.To, GoneBelowC: t.GoneBelowC, Best: list(t.Best),
		Away:  list(t.Away),
		Lives: list(t.Lives), Likes: list(t.Likes), Eats: list(t.Eats), Takes: list(t.Takes), Hooks: t.Hooks, StrikesFromM: t.Strikes.From,
		StrikesToM: t.Strikes.To, Hazard: string(t.Hazard), Handling: t.Handling, Stay: t.Stay, Cautions: list(t.Cautions)}}
}

func (b TargetBody) target(id string) *playbook.Target {
	return &playbook.Target{ID: id, Name: b.Name, Latin: b.Latin, Note: b.Note, Idea: cmp.Or(b.Idea, "mine"),
		Origin: cmp.Or(b.Origin, "my own"), Weight: tackle.Curve{A: b.WeightA, B: b.WeightB}, Senses: b.Senses, Columns: b.Columns,
		Feeds: playbook.Span{From: b.FeedsFromC, To: b.FeedsToC}, GoneBelowC: b.GoneBelowC,
		Best: b.Best, Away: b.Away, Lives: b.Lives, Likes: b.Likes, Eats: b.Eats, Takes: b.Takes, Hooks: b.Hooks,
		Strikes: playbook.Span{From: b.StrikesFromM, To: b.StrikesToM},
		Hazard:  tackle.Hazard(b.Hazard), Handling: b.Handling, Stay: b.Stay, Cautions: b.Cautions}
}

type targetInput struct {
	ID   string `path:"id" maxLength:"60"`
	Body TargetBody
}

type conditionIn struct {
	Of    string   `json:"of" doc:"a measure or a word"`
	Above string   `json:"above,omitempty" example:"2 m"`
	Below string   `json:"below,omitempty"`
	Soft  string   `json:"soft,omitempty" doc:"the width over which it fades"`
	Any   []string `json:"any,omitempty" nullable:"false"`
	Not   bool     `json:"not,omitempty"`
}

type ownRuleInput struct {
	ID   string `path:"id" maxLength:"60"`
	Body struct {
		Says      string        `json:"says" minLength:"1" maxLength:"200"`
		Family    string        `json:"family"`
		Effect    string        `json:"effect"`
		Certainty string        `json:"certainty"`
		Targets   []string      `json:"targets,omitempty" nullable:"false"`
		When      []conditionIn `json:"when" minItems:"1" nullable:"false" doc:"all of these"`
	}
}

type ownOutput struct {
	Body struct {
		Findings []string `json:"findings" nullable:"false" doc:"what can hardly be meant"`
	}
}

type takenOutput struct {
	Body struct {
		Source string `json:"source" doc:"what was taken out, as a playbook file"`
	}
}

type ownID struct {
	ID string `path:"id" maxLength:"60"`
}

type checkInput struct {
	Body struct {
		Name   string `json:"name,omitempty" maxLength:"80" doc:"of the file, for its errors"`
		Source string `json:"source" maxLength:"500000" doc:"a playbook file of targets and rules"`
	}
}

func (s service) registerCustom(api huma.API) {
	web.Signed(api, s.Deps, web.Put("/playbook/targets/{id}", "putTarget", "Write a target of your own, or one of the playbook's anew"),
		func(ctx context.Context, as *web.Scope, in *targetInput) (*ownOutput, error) {
			source, err := in.Body.target(in.ID).Source()
			if err != nil {
				return nil, web.Wrong("body", err)
			}
			return s.putCustom(ctx, as, store.CustomTarget, in.ID, source)
		})
	web.Signed(api, s.Deps, web.Put("/playbook/own-rules/{id}", "putOwnRule", "Write a rule of your own"),
		func(ctx context.Context, as *web.Scope, in *ownRuleInput) (*ownOutput, error) {
			b := in.Body
			r := playbook.CustomRule{ID: in.ID, Says: b.Says, Family: b.Family, Effect: b.Effect, Certainty: b.Certainty,
				Targets: b.Targets}
			for _, c := range b.When {
				r.When = append(r.When, playbook.Condition(c))
			}
			source, err := r.Source()
			if err != nil {
				return nil, web.Wrong("body.when", err)
			}
			return s.putCustom(ctx, as, store.CustomRule, in.ID, source)
		})
	for kind, path := range map[string]string{store.CustomTarget: "targets", store.CustomRule: "own-rules"} {
		web.Signed(api, s.Deps, web.Delete("/playbook/"+path+"/{id}", "delete-own-"+kind,
			"Take your own "+kind+" out; the playbook's comes back"), func(ctx context.Context, as *web.Scope, in *ownID) (*takenOutput,
			error) {
			out := &takenOutput{}
			return out, s.Store.EditOverlay(ctx, as.Angler, func(st *store.Store, o playbook.Overlay) error {
				// What speaks of it must go first.
				before := len(as.BookFitting(o).Aside())
				name := kind + " " + in.ID
				source, err := playbook.Join(slices.DeleteFunc(slices.Clone(o.Files), func(f playbook.File) bool { return f.Name != name }))
				if err != nil {
					return err
				}
				out.Body.Source = string(source)
				o.Files = playbook.WithoutFile(o.Files, name)
				if aside := as.BookFitting(o).Aside(); len(aside) > before {
					return web.InTheWay("Something of yours still speaks of it: " + answer.Said(aside[len(aside)-1].Err))
				}
				return st.DeleteCustom(ctx, as.Angler, kind, in.ID)
			})
		})
	}
	web.Signed(api, s.Deps, web.Post("/playbook/check", "checkPlaybook",
		"Check a playbook file: errors with file and line, and what can hardly be meant"),
		func(ctx context.Context, as *web.Scope, in *checkInput) (*ownOutput, error) {
			book, err := as.Book(ctx)
			if err != nil {
				return nil, err
			}
			found, err := book.Check(playbook.File{Name: cmp.Or(in.Body.Name, "your file"), Data: []byte(in.Body.Source)})
			if err != nil {
				return nil, web.Wrong("body.source", err)
			}
			return findings(found), nil
		})
}

// mostCustom entries an angler may keep.
const mostCustom = 500

// tooMany refuses more than an angler may keep.
func tooMany(n int) error {
	if n > mostCustom {
		return web.Wrong("body", fmt.Errorf("that would be %d targets and rules of your own; at most %d are kept", n, mostCustom))
	}
	return nil
}

// putCustom keeps an entry if the angler's book loads with it.
func (s service) putCustom(ctx context.Context, as *web.Scope, kind, id string, source []byte) (*ownOutput, error) {
	if err := playbook.CheckID(id); err != nil {
		return nil, web.Wrong("path.id", err)
	}
	var found []playbook.Finding
	err := s.Store.EditOverlay(ctx, as.Angler, func(st *store.Store, o playbook.Overlay) (err error) {
		name := kind + " " + id
		o.Files = playbook.WithoutFile(o.Files, name)
		if err := tooMany(len(o.Files) + 1); err != nil {
			return err
		}
		if found, err = as.BookFitting(o).Check(playbook.File{Name: name, Data: source}); err != nil {
			return web.Wrong("body", err)
		}
		return st.PutCustom(ctx, as.Angler, kind, id, source)
	})
	return findings(found), err
}

func findings(list []playbook.Finding) *ownOutput {
	out := &ownOutput{}
	out.Body.Findings = []string{}
	for _, f := range list {
		out.Body.Findings = append(out.Body.Findings, f.String())
	}
	return out
}
