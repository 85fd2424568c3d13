package api

import (
	"context"
	"fmt"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/interchange/station"
	"greypebble/server/store"
)

type stationFileInput struct {
	ByID
	Format string `query:"format" enum:"json,csv" default:"json"`
}

type fileOutput struct {
	ContentType        string `header:"Content-Type"`
	ContentDisposition string `header:"Content-Disposition"`
	Body               []byte
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

func (s *Server) registerStationFiles(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/stations/{id}/file", "stationFile", "A station as a file"), s.stationFile)
	huma.Register(api, operation(http.MethodPost, "/stations/read", "readStation", "What a station file (JSON or CSV) holds; nothing is stored"),
		func(_ context.Context, in *readStationInput) (*readStationOutput, error) {
			st, err := station.Read(in.RawBody)
			if err != nil {
				return nil, wrong("body", err)
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

func (s *Server) stationFile(ctx context.Context, in *stationFileInput) (*fileOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	stations, err := s.store.Stations(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	for _, st := range stations {
		if st.ID != in.ID {
			continue
		}
		if st.Reference != nil {
			return nil, wrong("path.id", fmt.Errorf("%s follows another station and has no constituents of its own; take its table of high and low waters", st.Name))
		}
		f := station.Station{Name: st.Name, Source: st.Source, Z0M: st.Z0M, Constituents: st.Constituents}
		out := &fileOutput{ContentType: "text/csv; charset=utf-8", ContentDisposition: `attachment; filename="station.` + in.Format + `"`, Body: f.CSV()}
		if in.Format == "json" {
			out.ContentType = "application/json"
			out.Body, err = f.JSON()
		}
		return out, failed(err)
	}
	return nil, failed(store.ErrNotFound)
}
