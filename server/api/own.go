package api

import (
	"context"
	"fmt"
	"net/http"
	"regexp"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/playbook"
	"greypebble/core/tackle"
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

func (s *Server) targetFull(t *playbook.Target) targetFull {
	built, err := s.book.Target(t.ID)
	list := func(l []string) []string { return append([]string{}, l...) }
	over := err == nil && built.ID == t.ID
	return targetFull{t.ID, t.Own, over && t.Own, TargetBody{t.Name, t.Latin, t.Note, t.Idea, t.Origin, t.Weight.A, t.Weight.B, t.Senses, list(t.Columns), t.Feeds.From, t.Feeds.To, t.GoneBelowC,
		list(t.Best), list(t.Away), list(t.Lives), list(t.Likes), list(t.Eats), list(t.Takes), t.Hooks, t.Strikes.From, t.Strikes.To, string(t.Hazard), t.Handling, t.Stay, list(t.Cautions)}}
}

func (b TargetBody) target(id string) *playbook.Target {
	return &playbook.Target{ID: id, Name: b.Name, Latin: b.Latin, Note: b.Note, Idea: orDefault(b.Idea, "mine"), Origin: orDefault(b.Origin, "my own"),
		Weight: tackle.Curve{A: b.WeightA, B: b.WeightB}, Senses: b.Senses, Columns: b.Columns, Feeds: playbook.Span{From: b.FeedsFromC, To: b.FeedsToC}, GoneBelowC: b.GoneBelowC,
		Best: b.Best, Away: b.Away, Lives: b.Lives, Likes: b.Likes, Eats: b.Eats, Takes: b.Takes, Hooks: b.Hooks, Strikes: playbook.Span{From: b.StrikesFromM, To: b.StrikesToM},
		Hazard: tackle.Hazard(b.Hazard), Handling: b.Handling, Stay: b.Stay, Cautions: b.Cautions}
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

type ownID struct {
	ID string `path:"id" maxLength:"60"`
}

type checkInput struct {
	Body struct {
		Name   string `json:"name,omitempty" maxLength:"80" doc:"of the file, for its errors"`
		Source string `json:"source" maxLength:"500000" doc:"a playbook file of targets and rules"`
	}
}

func (s *Server) registerOwn(api huma.API) {
	huma.Register(api, operation(http.MethodPut, "/playbook/targets/{id}", "putTarget", "Write a target of your own, or one of the playbook's anew"),
		func(ctx context.Context, in *targetInput) (*ownOutput, error) {
			source, err := in.Body.target(in.ID).Source()
			if err != nil {
				return nil, wrong("body", said(err))
			}
			return s.putOwn(ctx, store.OwnTarget, in.ID, source)
		})
	huma.Register(api, operation(http.MethodPut, "/playbook/own-rules/{id}", "putOwnRule", "Write a rule of your own"), func(ctx context.Context, in *ownRuleInput) (*ownOutput, error) {
		b := in.Body
		r := playbook.OwnRule{ID: in.ID, Says: b.Says, Family: b.Family, Effect: b.Effect, Certainty: b.Certainty, Targets: b.Targets}
		for _, c := range b.When {
			r.When = append(r.When, playbook.Condition(c))
		}
		source, err := r.Source()
		if err != nil {
			return nil, wrong("body.when", said(err))
		}
		return s.putOwn(ctx, store.OwnRule, in.ID, source)
	})
	for kind, path := range map[string]string{store.OwnTarget: "targets", store.OwnRule: "own-rules"} {
		huma.Register(api, operation(http.MethodDelete, "/playbook/"+path+"/{id}", "delete-own-"+kind, "Take your own "+kind+" out; the playbook's comes back"),
			func(ctx context.Context, in *ownID) (*struct{}, error) {
				angler, err := s.angler(ctx)
				if err != nil {
					return nil, err
				}
				o, err := s.store.Overlay(ctx, angler)
				if err != nil {
					return nil, failed(err)
				}
				// What speaks of it must go first.
				o.Files = withoutFile(o.Files, kind+" "+in.ID)
				if _, err := s.book.Over(o); err != nil {
					return nil, huma.Error409Conflict("Something of yours still speaks of it: " + said(err).Error())
				}
				return nil, failed(s.store.DeleteOwn(ctx, angler, kind, in.ID))
			})
	}
	huma.Register(api, operation(http.MethodPost, "/playbook/check", "checkPlaybook", "Check a playbook file: errors with file and line, and what can hardly be meant"),
		func(ctx context.Context, in *checkInput) (*ownOutput, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			book, err := s.bookOf(ctx, angler, nil)
			if err != nil {
				return nil, failed(err)
			}
			found, err := book.Check(playbook.File{Name: orDefault(in.Body.Name, "your file"), Data: []byte(in.Body.Source)})
			if err != nil {
				return nil, wrong("body.source", said(err))
			}
			return findings(found), nil
		})
}

type ownFileInput struct {
	RawBody []byte `contentType:"text/plain"`
}

type ownFileOutput struct {
	Body struct {
		Targets  []string `json:"targets" nullable:"false"`
		Rules    []string `json:"rules" nullable:"false"`
		Findings []string `json:"findings" nullable:"false" doc:"what can hardly be meant"`
	}
}

func (s *Server) registerOwnFile(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/interchange/playbook.yaml", "ownFile", "Your own targets and rules as a playbook file"),
		func(ctx context.Context, _ *struct{}) (*fileOutput, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			o, err := s.store.Overlay(ctx, angler)
			if err != nil {
				return nil, failed(err)
			}
			raw, err := playbook.Join(o.Files)
			if err != nil {
				return nil, failed(err)
			}
			return &fileOutput{ContentType: "application/yaml; charset=utf-8", ContentDisposition: `attachment; filename="playbook.yaml"`, Body: raw}, nil
		})
	huma.Register(api, operation(http.MethodPost, "/interchange/playbook", "importOwn", "Keep the targets and rules of a playbook file as yours, all or none; those of the same name are written anew"), s.importOwn)
}

func (s *Server) importOwn(ctx context.Context, in *ownFileInput) (*ownFileOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	f := playbook.File{Name: "your file", Data: in.RawBody}
	entries, err := playbook.Split(f)
	if err != nil {
		return nil, wrong("body", said(err))
	}
	o, err := s.store.Overlay(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	out := &ownFileOutput{}
	out.Body.Targets, out.Body.Rules, out.Body.Findings = []string{}, []string{}, []string{}
	for _, e := range entries {
		if !ownIDs.MatchString(e.ID) {
			return nil, wrong("body", fmt.Errorf("id %q: expected small letters, digits and hyphens", e.ID))
		}
		o.Files = withoutFile(o.Files, e.Kind+" "+e.ID)
		if e.Kind == store.OwnTarget {
			out.Body.Targets = append(out.Body.Targets, e.ID)
		} else {
			out.Body.Rules = append(out.Body.Rules, e.ID)
		}
	}
	if err := tooMany(len(o.Files) + len(entries)); err != nil {
		return nil, err
	}
	// The file's targets come before rules kept earlier that may speak of them.
	o.Files = append([]playbook.File{f}, o.Files...)
	book, err := s.book.Over(o)
	if err != nil {
		return nil, wrong("body", said(err))
	}
	for _, k := range book.Lint(func(r *playbook.Rule) bool { return r.Own() && slices.Contains(out.Body.Rules, r.ID) }) {
		out.Body.Findings = append(out.Body.Findings, k.String())
	}
	return out, failed(s.store.PutAllOwn(ctx, angler, entries))
}

func withoutFile(files []playbook.File, name string) []playbook.File {
	var out []playbook.File
	for _, f := range files {
		if f.Name != name {
			out = append(out, f)
		}
	}
	return out
}

// mostOwn entries an angler may keep.
const mostOwn = 500

// tooMany refuses more than an angler may keep.
func tooMany(n int) error {
	if n > mostOwn {
		return wrong("body", fmt.Errorf("that would be %d targets and rules of your own; at most %d are kept", n, mostOwn))
	}
	return nil
}

var ownIDs = regexp.MustCompile(`^[a-z0-9]+(-[a-z0-9]+)*$`)

// putOwn keeps an entry if the angler's book loads with it.
func (s *Server) putOwn(ctx context.Context, kind, id string, source []byte) (*ownOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	if !ownIDs.MatchString(id) {
		return nil, wrong("path.id", fmt.Errorf("id %q: expected small letters, digits and hyphens", id))
	}
	o, err := s.store.Overlay(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	name := kind + " " + id
	o.Files = withoutFile(o.Files, name)
	if err := tooMany(len(o.Files) + 1); err != nil {
		return nil, err
	}
	before, err := s.book.Over(o)
	if err != nil {
		return nil, wrong("path.id", said(err))
	}
	found, err := before.Check(playbook.File{Name: name, Data: source})
	if err != nil {
		return nil, wrong("body", said(err))
	}
	return findings(found), failed(s.store.PutOwn(ctx, angler, kind, id, source))
}

func findings(list []playbook.Finding) *ownOutput {
	out := &ownOutput{}
	out.Body.Findings = []string{}
	for _, f := range list {
		out.Body.Findings = append(out.Body.Findings, f.String())
	}
	return out
}
