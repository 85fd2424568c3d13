package book

import (
	"cmp"
	"context"
	"fmt"
	"math"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

type ruleOut struct {
	ID        string   `json:"id"`
	Says      string   `json:"says"`
	Part      string   `json:"part" enum:"there,feeding,taken" doc:"of the question it answers"`
	Family    string   `json:"family"`
	Effect    string   `json:"effect" doc:"with your change, if any"`
	Certainty string   `json:"certainty"`
	Factor    float64  `json:"factor" doc:"the multiplier the effect stands for"`
	Targets   []string `json:"targets" nullable:"false" doc:"none: all"`
	Idea      string   `json:"idea"`
	Origin    string   `json:"origin"`
	School    string   `json:"school,omitempty" doc:"the position it belongs to, in words"`
	Silent    bool     `json:"silent" doc:"it belongs to a position you do not take"`
	Off       bool     `json:"off"`
	Own       bool     `json:"own" doc:"you wrote it"`
	Changed   bool     `json:"changed"`
	// Built-in words, beside a change.
	BuiltEffect    string `json:"built_effect"`
	BuiltCertainty string `json:"built_certainty"`
}

type offeringOut struct {
	ID       string   `json:"id"`
	Name     string   `json:"name"`
	Approach string   `json:"approach"`
	Kind     string   `json:"kind"`
	Traits   []string `json:"traits" nullable:"false"`
	Rigs     []string `json:"rigs" nullable:"false"`
	Hooked   string   `json:"hooked"`
}

type rigOut struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	Move string `json:"move"`
	Bite string `json:"bite"`

	Styles []string `json:"styles" nullable:"false" doc:"the ways it is moved"`
}

type positionOut struct {
	ID     string `json:"id"`
	Says   string `json:"says"`
	Reason string `json:"reason"`
	Effect string `json:"effect"`
}

type schoolOut struct {
	ID        string        `json:"id"`
	Says      string        `json:"says"`
	Default   string        `json:"default"`
	Why       string        `json:"why" doc:"why the default is the default"`
	Chosen    string        `json:"chosen"`
	Positions []positionOut `json:"positions" nullable:"false"`
}

type vocabularyOut struct {
	Name  string   `json:"name"`
	Unit  string   `json:"unit,omitempty" doc:"of a measure"`
	Words []string `json:"words" nullable:"false" doc:"of a word"`
}

type playbookOutput struct {
	Body struct {
		Rules        []ruleOut       `json:"rules" nullable:"false"`
		Targets      []targetFull    `json:"targets" nullable:"false"`
		Offerings    []offeringOut   `json:"offerings" nullable:"false"`
		Rigs         []rigOut        `json:"rigs" nullable:"false"`
		Schools      []schoolOut     `json:"schools" nullable:"false"`
		Families     []string        `json:"families" nullable:"false"`
		Signs        []string        `json:"signs" nullable:"false" doc:"that may be seen on the water"`
		Vocabularies []vocabularyOut `json:"vocabularies" nullable:"false" doc:"what a rule can look at"`
		Effects      []string        `json:"effects" nullable:"false" doc:"strengths a rule may claim"`
		Certainties  []string        `json:"certainties" nullable:"false"`
		Basis        string          `json:"basis"`
		SetAside     []setAsideOut   `json:"set_aside" nullable:"false" doc:"of yours, what this playbook no longer knows"`
	}
}

type setAsideOut struct {
	Kind string `json:"kind" enum:"target,rule,school"`
	ID   string `json:"id"`
	Why  string `json:"why"`
}

type ruleInput struct {
	ID   string `path:"id" maxLength:"80"`
	Body struct {
		Off       bool   `json:"off,omitempty"`
		Effect    string `json:"effect,omitempty" doc:"in place of the playbook's own"`
		Certainty string `json:"certainty,omitempty"`
	}
}

type schoolInput struct {
	ID   string `path:"id" maxLength:"20"`
	Body struct {
		Position string `json:"position" maxLength:"40" doc:"empty: back to the default"`
	}
}

func (s service) registerPlaybook(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/targets", "listTargets", "Species the playbook knows, yours included"), s.targets)
	web.Signed(api, s.Deps, web.Get("/playbook", "playbook", "The rules of thumb, with what you changed of them"), s.getPlaybook)
	web.Signed(api, s.Deps, web.Put("/playbook/rules/{id}", "putRule",
		"Switch a rule off or on, or give it another strength; nothing said: as the playbook has it"), s.putRule)
	web.Signed(api, s.Deps, web.Put("/playbook/schools/{id}", "putSchool", "Take a position where anglers disagree"),
		func(ctx context.Context, as *web.Scope, in *schoolInput) (*struct{}, error) {
			book, err := as.Book(ctx)
			if err != nil {
				return nil, err
			}
			if err := book.CheckSchools(map[string]string{in.ID: cmp.Or(in.Body.Position, book.Chosen(in.ID))}); err != nil {
				return nil, web.Wrong("body.position", err)
			}
			return nil, s.Store.PutSchool(ctx, as.Angler, in.ID, in.Body.Position)
		})
}

func (s service) putRule(ctx context.Context, as *web.Scope, in *ruleInput) (*struct{}, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	if _, known := book.Rule(in.ID); !known {
		return nil, web.NotFound(fmt.Sprintf("The playbook has no rule %q.", in.ID))
	}
	c := playbook.Change(in.Body)
	if err := c.Validate(); err != nil {
		return nil, web.Wrong("body", err)
	}
	// What is the playbook's own anyhow is no change, and follows its updates.
	if r, built := book.Shipped().Rule(in.ID); built {
		if c.Effect == r.Effect {
			c.Effect = ""
		}
		if c.Certainty == r.Certainty {
			c.Certainty = ""
		}
	}
	return nil, s.Store.PutRuleChange(ctx, as.Angler, in.ID, c)
}

func (s service) getPlaybook(ctx context.Context, as *web.Scope, _ *struct{}) (*playbookOutput, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	out := &playbookOutput{}
	b := &out.Body
	b.Rules, b.Targets, b.Offerings, b.Rigs, b.Schools = []ruleOut{}, []targetFull{}, []offeringOut{}, []rigOut{}, []schoolOut{}
	b.Effects, b.Certainties, b.Basis, b.Families, b.Signs = playbook.Effects(), playbook.Certainties(), playbook.Basis,
		playbook.Families(), playbook.Signs
	for i := range book.Rules {
		b.Rules = append(b.Rules, ruleOf(book, &book.Rules[i], as.Units))
	}
	for i := range book.Targets {
		b.Targets = append(b.Targets, targetOf(book, &book.Targets[i]))
	}
	for i := range book.Offerings {
		o := &book.Offerings[i]
		k := offeringOut{ID: o.ID, Name: o.Name, Approach: o.Approach, Kind: o.Kind, Traits: append([]string{}, o.Traits...),
			Rigs: []string{}, Hooked: o.Hooked}
		for _, r := range o.On() {
			k.Rigs = append(k.Rigs, r.ID)
		}
		b.Offerings = append(b.Offerings, k)
	}
	for _, r := range book.Rigs {
		out := rigOut{ID: r.ID, Name: r.Name, Move: as.Units.Fill(r.Ways[0].Move), Bite: as.Units.Fill(r.Bite), Styles: []string{}}
		for _, w := range r.Ways {
			out.Styles = append(out.Styles, w.Style)
		}
		b.Rigs = append(b.Rigs, out)
	}
	for _, k := range book.Schools {
		school := schoolOut{ID: k.ID, Says: k.Says, Default: k.Default, Why: k.Why, Chosen: book.Chosen(k.ID)}
		for _, p := range k.Positions {
			school.Positions = append(school.Positions, positionOut(p))
		}
		b.Schools = append(b.Schools, school)
	}
	b.SetAside = []setAsideOut{}
	for _, a := range book.Aside() {
		kind, id, _ := strings.Cut(a.Name, " ")
		b.SetAside = append(b.SetAside, setAsideOut{Kind: kind, ID: id, Why: a.Why()})
	}
	for _, v := range book.Vocabularies() {
		b.Vocabularies = append(b.Vocabularies, vocabularyOut{v.Name, v.Unit, append([]string{}, v.Words...)})
	}
	return out, nil
}

func ruleOf(book *playbook.Book, r *playbook.Rule, u quantity.Units) ruleOut {
	o := ruleOut{ID: r.ID, Says: u.Fill(r.Says), Part: r.Part.String(), Family: r.Family, Effect: r.Effect, Certainty: r.Certainty,
		Factor:  math.Exp(r.Prior.Mean),
		Targets: append([]string{}, r.Targets()...), Idea: r.Idea, Origin: r.Origin, Off: r.Off(), Own: r.Custom(), BuiltEffect: r.Effect,
		BuiltCertainty: r.Certainty}
	if r.School != "" {
		o.School, o.Silent = book.SaysPosition(r.School), !book.Takes(r.School)
	}
	if built, known := book.Shipped().Rule(r.ID); known {
		o.BuiltEffect, o.BuiltCertainty = built.Effect, built.Certainty
		o.Changed = r.Effect != built.Effect || r.Certainty != built.Certainty
	}
	o.Changed = o.Changed || r.Off() || r.Custom()
	return o
}

type targetOut struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	Said  string `json:"name_in_sentence" doc:"as it stands within a sentence"`
	Latin string `json:"latin"`
	Note  string `json:"note"`
	// Lives at these kinds of place.
	Lives []string `json:"lives" nullable:"false"`
	Known bool     `json:"known" doc:"about one of your spots, as far as the book tells; those that are come first"`
}

type targetsOutput struct {
	Body []targetOut `nullable:"false"`
}

func (s service) targets(ctx context.Context, as *web.Scope, _ *struct{}) (*targetsOutput, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	spots, err := s.Store.Spots(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	out := &targetsOutput{Body: []targetOut{}}
	for i := range book.Targets {
		t := &book.Targets[i]
		known := len(spots) == 0 || slices.ContainsFunc(spots, func(sp *store.Spot) bool { return t.KnownAt(sp.LatLon) })
		out.Body = append(out.Body, targetOut{ID: t.ID, Name: t.Name, Said: t.InSentence(), Latin: t.Latin, Note: as.Units.Fill(t.Note),
			Lives: t.Lives, Known: known})
	}
	slices.SortStableFunc(out.Body, func(a, b targetOut) int {
		switch {
		case a.Known == b.Known:
			return 0
		case a.Known:
			return -1
		}
		return 1
	})
	return out, nil
}
