package bylaws

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/bylaw"
	"greypebble/server/api/web"
)

// FoundOut is one thing a check found.
type FoundOut struct {
	Grade   string `json:"grade" enum:"fault,gap,remark" doc:"impossible, not known, worth a look"`
	BylawID string `json:"bylaw_id,omitempty" doc:"of the rule, where it is kept"`
	Line    int    `json:"line,omitempty" doc:"of the file, where one was sent"`
	Rule    string `json:"rule,omitempty" doc:"as a sentence"`
	Says    string `json:"says"`
}

type bylawCheckInput struct {
	Body struct {
		Text  string     `json:"text,omitempty" maxLength:"2000000" doc:"a file of rules, to be checked instead of those you keep"`
		Bylaw *BylawBody `json:"bylaw,omitempty" doc:"a rule not kept yet, checked beside those you keep"`
		ID    string     `json:"id,omitempty" maxLength:"40" doc:"of the kept rule it would change"`
	}
}

type bylawCheckOutput struct {
	Body struct {
		Says  string     `json:"says,omitempty" doc:"the rule that was sent as a sentence"`
		Found []FoundOut `json:"found" nullable:"false"`
	}
}

func (s service) registerCheck(api huma.API) {
	web.Signed(api, s.Deps, web.Post("/bylaws/check", "checkBylaws",
		"What is impossible, clashes, overlaps or is stale in rules, and where nothing is known; nothing is stored"), s.check)
}

func (s service) check(ctx context.Context, as *web.Scope, in *bylawCheckInput) (*bylawCheckOutput, error) {
	kept, err := s.Store.Rules(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	c, err := s.checking(ctx, as)
	if err != nil {
		return nil, err
	}
	out := &bylawCheckOutput{}
	switch b := &in.Body; {
	case b.Text != "":
		read, err := readAny(b.Text)
		if err != nil {
			return nil, web.Wrong("body.text", err)
		}
		lines := make([]int, len(read))
		for i, r := range read {
			c.Rules, lines[i] = append(c.Rules, r.Rule), r.Line
		}
		out.Body.Found = found(c, bylaw.Check(c), lines)
	case b.Bylaw != nil:
		r, err := b.Bylaw.rule("body.bylaw")
		if err != nil {
			return nil, err
		}
		out.Body.Says = r.Says(as.Units)
		for i := range kept {
			if kept[i].ID != b.ID {
				c.Rules = append(c.Rules, kept[i])
			}
		}
		r.ID = b.ID
		c.Rules = append(c.Rules, r)
		out.Body.Found = []FoundOut{}
		for _, f := range bylaw.Check(c) {
			if f.Rule == len(c.Rules)-1 {
				out.Body.Found = append(out.Body.Found, FoundOut{Grade: string(f.Grade), Says: f.Says})
			}
		}
	default:
		c.Rules = kept
		out.Body.Found = found(c, bylaw.Check(c), nil)
	}
	return out, nil
}

// checking what rules are checked against: the targets there are, and the spots and fish of the angler's log.
func (s service) checking(ctx context.Context, as *web.Scope) (*bylaw.Checking, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	c := &bylaw.Checking{Now: as.Now(), Units: as.Units}
	for i := range book.Targets {
		c.Known = append(c.Known, book.Targets[i].Species())
	}
	spots, err := s.Desk.Spots(ctx, as.Angler, as.Now())
	if err != nil {
		return nil, err
	}
	for _, sp := range spots {
		points, area := sp.Touched()
		c.Places = append(c.Places, bylaw.Place{Name: sp.Name, Points: points, Area: area})
	}
	sought, err := s.Store.Sought(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	for _, id := range sought {
		if t, err := book.Target(id); err == nil {
			c.Species = append(c.Species, t.Species())
		}
	}
	return c, nil
}

func found(c *bylaw.Checking, list []bylaw.Found, lines []int) []FoundOut {
	out := []FoundOut{}
	for _, f := range list {
		o := FoundOut{Grade: string(f.Grade), Says: f.Says}
		if f.Rule >= 0 {
			r := &c.Rules[f.Rule]
			o.BylawID, o.Rule = r.ID, r.Says(c.Units)
			if lines != nil {
				o.Line = lines[f.Rule]
			}
		}
		out = append(out, o)
	}
	return out
}
