package book

import (
	"context"
	"slices"

	"greypebble/core/playbook"
	"greypebble/server/api/web"
	"greypebble/server/store"

	"github.com/danielgtaylor/huma/v2"
)

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

func (s service) registerOwnFile(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/interchange/playbook.yaml", "ownFile", "Your own targets and rules as a playbook file"),
		func(ctx context.Context, as *web.Scope, _ *struct{}) (*web.File, error) {
			o, err := s.Store.Overlay(ctx, as.Angler)
			if err != nil {
				return nil, err
			}
			raw, err := playbook.Join(o.Files)
			if err != nil {
				return nil, err
			}
			return web.Attached("playbook.yaml", "application/yaml; charset=utf-8", raw), nil
		})
	web.Signed(api, s.Deps, web.Post("/interchange/playbook", "importOwn",
		"Keep the targets and rules of a playbook file as yours, all or none; those of the same name are written anew"), s.importOwn)
}

func (s service) importOwn(ctx context.Context, as *web.Scope, in *ownFileInput) (*ownFileOutput, error) {
	f := playbook.File{Name: "your file", Data: in.RawBody}
	entries, err := playbook.Split(f)
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	out := &ownFileOutput{}
	return out, s.Store.EditOverlay(ctx, as.Angler, func(st *store.Store, o playbook.Overlay) error {
		return keepOwn(ctx, as, st, o, f, entries, out)
	})
}

// keepOwn entries of a file over those there are, all or none.
func keepOwn(ctx context.Context, as *web.Scope, st *store.Store, o playbook.Overlay, f playbook.File, entries []playbook.Entry,
	out *ownFileOutput) error {
	out.Body.Targets, out.Body.Rules, out.Body.Findings = []string{}, []string{}, []string{}
	for _, e := range entries {
		if err := playbook.CheckID(e.ID); err != nil {
			return web.Wrong("body", err)
		}
		o.Files = playbook.WithoutFile(o.Files, e.Kind+" "+e.ID)
		if e.Kind == store.CustomTarget {
			out.Body.Targets = append(out.Body.Targets, e.ID)
		} else {
			out.Body.Rules = append(out.Body.Rules, e.ID)
		}
	}
	if err := tooMany(len(o.Files) + len(entries)); err != nil {
		return err
	}
	// The file's targets may be spoken of by rules kept earlier, its rules of targets kept earlier.
	var book *playbook.Book
	var wrong error
	kept := o.Files
	for _, files := range [][]playbook.File{slices.Concat([]playbook.File{f}, kept), slices.Concat(kept, []playbook.File{f})} {
		o.Files = files
		book = as.BookFitting(o)
		if wrong = asideOf(book, f.Name); wrong == nil {
			break
		}
	}
	if wrong != nil {
		return web.Wrong("body", wrong)
	}
	for _, k := range book.Lint(func(r *playbook.Rule) bool { return r.Custom() && slices.Contains(out.Body.Rules, r.ID) }) {
		out.Body.Findings = append(out.Body.Findings, k.String())
	}
	return st.PutAllCustom(ctx, as.Angler, entries)
}

// asideOf is why a file was set aside, if it was.
func asideOf(book *playbook.Book, name string) error {
	for _, a := range book.Aside() {
		if a.Name == name {
			return a.Err
		}
	}
	return nil
}
