// Package files is the room of what comes and goes as files: places, shores, zones and
// depths. What is read is planned first; the preview shows the plan, the import carries it
// out.
package files

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/interchange/format"
	"greypebble/interchange/profile"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type service struct{ *web.Deps }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	registerColumns(api)
	s := service{d}
	web.Open(api, web.Get("/interchange/formats", "fileFormats", "The formats that are read and written"), formats)
	web.Signed(api, d, web.TakesFile(web.Post("/interchange/read", "readFeatures", "What a file of places holds; nothing is stored")),
		s.readFeatures)
	web.Signed(api, d, web.TakesFile(web.Post("/interchange/import", "importFeatures",
		"Take a file's points as spots, or its areas as shores, all or none")), s.importFeatures)
	web.Signed(api, d, web.TakesFile(web.Post("/interchange/grid", "importGrid",
		"Depths of a water from a grid, soundings or a sounder's log")), s.importGrid)
	web.Closed(api, d, web.Post("/interchange/section", "readSection", "A section from CSV; nothing is stored"), readSection)
	web.Signed(api, d, web.Get("/interchange/export", "exportFeatures", "Your spots as a file; private ones only when asked for"), s.export)
}

type formatOut struct {
	ID         string   `json:"id"`
	Name       string   `json:"name"`
	Note       string   `json:"note" doc:"what it is for"`
	Extensions []string `json:"extensions" nullable:"false"`
	Grid       bool     `json:"grid,omitempty" doc:"its numbers need a unit and a sign"`
	ByTide     bool     `json:"by_tide,omitempty" doc:"corrected for the tide: it needs no datum"`
}

type formatsOutput struct {
	Body struct {
		Places []formatOut `json:"places" nullable:"false" doc:"of points, lines and areas"`
		Depths []formatOut `json:"depths" nullable:"false"`
	}
}

func formatOf(k format.Kind) formatOut {
	return formatOut{ID: k.ID, Name: k.Name, Note: k.Note, Extensions: k.Extensions}
}

func formats(context.Context, *struct{}) (*formatsOutput, error) {
	out := &formatsOutput{}
	for _, f := range format.OfPlaces() {
		out.Body.Places = append(out.Body.Places, formatOf(f.Kind))
	}
	for _, f := range format.OfDepths() {
		o := formatOf(f.Kind)
		o.Grid, o.ByTide = f.Grid, f.ByTide
		out.Body.Depths = append(out.Body.Depths, o)
	}
	return out, nil
}

type sectionInput struct {
	RawBody []byte `contentType:"text/plain"`
}

type sectionOutput struct {
	Body struct {
		Section []wire.SectionPoint `json:"section" nullable:"false"`
	}
}

func readSection(_ context.Context, in *sectionInput) (*sectionOutput, error) {
	points, err := profile.Read(in.RawBody)
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	out := &sectionOutput{}
	out.Body.Section = wire.SectionPoints(points)
	return out, nil
}
