package bylaws

import (
	"context"
	"strings"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/bylaw"
	"greypebble/interchange/bylaws"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

type bylawFileInput struct {
	Preview bool   `query:"preview" doc:"read and checked only, nothing is kept"`
	RawBody []byte `contentType:"text/plain"`
}

type bylawFileOutput struct {
	Body struct {
		Says    []string   `json:"says" nullable:"false" doc:"the rules of the file as sentences"`
		Added   int        `json:"added"`
		Renewed int        `json:"renewed" doc:"said the same before, and looked up anew"`
		Same    int        `json:"same"`
		Found   []FoundOut `json:"found" nullable:"false"`
		Kept    bool       `json:"kept"`
	}
}

func (s service) registerFiles(api huma.API) {
	for _, f := range []struct {
		path, id, kind string
		write          func([]bylaw.Rule) ([]byte, error)
	}{{"bylaws.yaml", "bylawsYAML", "application/yaml; charset=utf-8", bylaws.WriteYAML},
		{"bylaws.csv", "bylawsCSV", "text/csv; charset=utf-8", bylaws.WriteCSV}} {
		web.Signed(api, s.Deps, web.Get("/interchange/"+f.path, f.id, "The rules you entered as a file to be passed on"),
			func(ctx context.Context, as *web.Scope, _ *struct{}) (*web.File, error) {
				rules, err := s.Store.Rules(ctx, as.Angler)
				if err != nil {
					return nil, err
				}
				raw, err := f.write(bylaw.Sorted(rules))
				if err != nil {
					return nil, err
				}
				return web.Attached(f.path, f.kind, raw), nil
			})
	}
	web.Signed(api, s.Deps, web.Post("/interchange/bylaws", "importBylaws", "Keep the rules of a file (YAML or CSV), all or none"),
		s.importFile)
}

// readAny file of rules by what it begins with.
func readAny(text string) ([]bylaws.Read, error) {
	for line := range strings.Lines(text) {
		line = strings.TrimSpace(strings.TrimPrefix(line, "\ufeff"))
		if line == "" || strings.HasPrefix(line, "#") || line == "---" {
			continue
		}
		if strings.HasPrefix(line, "bylaws") && strings.Contains(line, ":") {
			return bylaws.ReadYAML([]byte(text))
		}
		if strings.ContainsAny(line, ",;\t") {
			return bylaws.ReadCSV([]byte(text))
		}
		break
	}
	return bylaws.ReadYAML([]byte(text))
}

func (s service) importFile(ctx context.Context, as *web.Scope, in *bylawFileInput) (*bylawFileOutput, error) {
	read, err := readAny(string(in.RawBody))
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	kept, err := s.Store.Bylaws(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	there := make([]bylaw.Rule, len(kept))
	for i := range kept {
		there[i] = kept[i].Rule
	}
	c, err := s.checking(ctx, as)
	if err != nil {
		return nil, err
	}
	c.Places = nil // gaps are of all that is kept, not of one file
	out := &bylawFileOutput{}
	out.Body.Says = []string{}
	var write []store.Renewed
	lines := make([]int, len(read))
	for i := range read {
		r := &read[i].Rule
		c.Rules, lines[i] = append(c.Rules, *r), read[i].Line
		out.Body.Says = append(out.Body.Says, r.Says(as.Units))
		switch at := bylaws.Doubled(r, there); {
		case at < 0:
			out.Body.Added++
			write = append(write, store.Renewed{Rule: *r})
		case there[at].Source == r.Source && !r.CheckedOn.After(there[at].CheckedOn):
			out.Body.Same++
		default:
			out.Body.Renewed++
			id, err := uuid.Parse(kept[at].ID)
			if err != nil {
				return nil, err
			}
			write = append(write, store.Renewed{ID: id, Read: kept[at].Revision, Rule: *r})
		}
	}
	out.Body.Found = found(c, bylaw.Check(c), lines)
	if in.Preview {
		return out, nil
	}
	out.Body.Kept = true
	return out, s.Store.PutBylaws(ctx, as.Angler, write)
}
