package api

import (
	"context"
	"net/http"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/ground"
	"greypebble/core/playbook"
)

type wordsOutput struct {
	Body struct {
		Places    []string   `json:"places" nullable:"false" doc:"kinds of spot"`
		Bottoms   []string   `json:"bottoms" nullable:"false"`
		MarkKinds []string   `json:"mark_kinds" nullable:"false"`
		Classes   []classOut `json:"classes" nullable:"false" doc:"how depths are told apart, from dry ground downwards"`
	}
}

func (s *Server) registerWords(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/ground/words", "groundWords", "The words ground is described in"), func(context.Context, *struct{}) (*wordsOutput, error) {
		out := &wordsOutput{}
		b := &out.Body
		b.Places, b.Bottoms, b.MarkKinds = slices.Sorted(slices.Values(playbook.Places)), playbook.Bottoms, ground.MarkKinds()
		for _, c := range ground.Classes {
			b.Classes = append(b.Classes, classOut(c))
		}
		return out, nil
	})
}
