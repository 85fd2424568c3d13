package tides

import (
	"context"
	"fmt"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/interchange/station"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

type stationFileInput struct {
	wire.ByID
	Format string `query:"format" enum:"json,csv" default:"json"`
}

type readStationInput struct {
	RawBody []byte `contentType:"text/plain"`
}

type readStationOutput struct {
	Body struct {
		Name         string           `json:"name" doc:"empty where the file has none"`
		Source       string           `json:"source"`
		Z0M          float64          `json:"z0_m"`
		Constituents []constituentOut `json:"constituents" nullable:"false"`
	}
}

func (s service) registerStationFiles(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/stations/{id}/file", "stationFile", "A station as a file"), s.stationFile)
	web.Closed(api, s.Deps, web.Post("/stations/read", "readStation", "What a station file (JSON or CSV) holds; nothing is stored"),
		func(_ context.Context, in *readStationInput) (*readStationOutput, error) {
			st, err := station.Read(in.RawBody)
			if err != nil {
				return nil, web.Wrong("body", err)
			}
			out := &readStationOutput{}
			b := &out.Body
			b.Name, b.Source, b.Z0M, b.Constituents = st.Name, st.Source, st.Z0M, []constituentOut{}
			for _, c := range st.Constituents {
				b.Constituents = append(b.Constituents, constituentOut(c))
			}
			return out, nil
		})
}

func (s service) stationFile(ctx context.Context, as *web.Scope, in *stationFileInput) (*web.File, error) {
	stations, err := s.Store.Stations(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	for _, st := range stations {
		if st.ID != in.ID {
			continue
		}
		if st.Reference != nil {
			return nil, web.Wrong("path.id", fmt.Errorf("%s follows another station and has no constituents of its own; take its "+
				"table of high and low waters", st.Name))
		}
		f := station.Station{Name: st.Name, Source: st.Source, Z0M: st.Z0M, Constituents: st.Constituents}
		out := &web.File{ContentType: "text/csv; charset=utf-8", ContentDisposition: `attachment; filename="station.` + in.Format + `"`,
			Body: f.CSV()}
		if in.Format == "json" {
			out.ContentType = "application/json"
			out.Body, err = f.JSON()
		}
		return out, err
	}
	return nil, store.ErrNotFound
}
