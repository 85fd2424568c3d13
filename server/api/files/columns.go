package files

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/interchange/columns"
	"greypebble/server/api/web"
)

type columnOut struct {
	Says   string   `json:"says"`
	Names  []string `json:"names" nullable:"false" doc:"it may have; each tells its unit"`
	Needed bool     `json:"needed"`
}

type columnsOutput struct{ Body map[string][]columnOut }

func registerColumns(api huma.API) {
	web.Open(api, web.Get("/interchange/columns", "fileColumns", "The columns each reader of CSV takes"), listColumns)
}

func listColumns(context.Context, *struct{}) (*columnsOutput, error) {
	out := &columnsOutput{Body: map[string][]columnOut{}}
	for reader, list := range columns.Readers {
		for _, c := range list {
			out.Body[reader] = append(out.Body[reader], columnOut(c))
		}
	}
	return out, nil
}
