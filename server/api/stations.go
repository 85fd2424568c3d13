package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/tide"
	"greypebble/server/store"
)

type stationOut struct {
	ID           string           `json:"id"`
	Name         string           `json:"name"`
	Source       string           `json:"source"`
	Z0M          float64          `json:"z0_m"`
	SpringRangeM float64          `json:"mean_spring_range_m"`
	Constituents []constituentOut `json:"constituents" nullable:"false"`
	Waters       []waterRef       `json:"waters" nullable:"false" doc:"waters that follow it"`
}

type constituentOut struct {
	Name       string  `json:"name"`
	AmplitudeM float64 `json:"amplitude_m"`
	PhaseDeg   float64 `json:"phase_deg"`
}

type waterRef struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

type stationsOutput struct {
	Body []stationOut `nullable:"false"`
}

type stationInput struct {
	ByID
	Body struct {
		Name         string          `json:"name" minLength:"1" maxLength:"80"`
		Source       string          `json:"source" minLength:"1" maxLength:"200" doc:"where the constants come from"`
		Z0M          float64         `json:"z0_m" doc:"mean level above chart datum"`
		Constituents []constituentIn `json:"constituents" minItems:"1" maxItems:"200" nullable:"false"`
	}
}

type useStationInput struct {
	ByID
	Body struct {
		StationID uuid.UUID `json:"station_id" format:"uuid"`
	}
}

func (s *Server) registerStations(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/stations", "listStations", "Your tide stations"), s.listStations)
	huma.Register(api, operation(http.MethodPut, "/stations/{id}", "putStation", "Write a tide station, new or changed"), s.putStation)
	huma.Register(api, operation(http.MethodPut, "/waters/{id}/station", "useStation", "Let a water follow a station"),
		func(ctx context.Context, in *useStationInput) (*struct{}, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			return nil, failed(s.store.UseStation(ctx, angler, in.ID, in.Body.StationID))
		})
}

func (s *Server) listStations(ctx context.Context, _ *struct{}) (*stationsOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	stations, err := s.store.Stations(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	waters, err := s.store.Waters(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	out := &stationsOutput{Body: []stationOut{}}
	for _, st := range stations {
		o, err := stationOf(st)
		if err != nil {
			return nil, failed(err)
		}
		for _, w := range waters {
			if w.StationID == st.ID {
				o.Waters = append(o.Waters, waterRef{w.ID.String(), w.Name})
			}
		}
		out.Body = append(out.Body, o)
	}
	return out, nil
}

func stationOf(st store.Station) (stationOut, error) {
	h, err := tide.NewHarmonics(st.Constituents, st.Z0M)
	if err != nil {
		return stationOut{}, err
	}
	o := stationOut{ID: st.ID.String(), Name: st.Name, Source: st.Source, Z0M: st.Z0M, SpringRangeM: h.MeanSpringRange(),
		Constituents: []constituentOut{}, Waters: []waterRef{}}
	for _, c := range st.Constituents {
		o.Constituents = append(o.Constituents, constituentOut(c))
	}
	return o, nil
}

func (s *Server) putStation(ctx context.Context, in *stationInput) (*struct{ Body stationOut }, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	st := store.Station{ID: in.ID, Name: in.Body.Name, Source: in.Body.Source, Z0M: in.Body.Z0M, Constituents: constituentsOf(in.Body.Constituents)}
	o, err := stationOf(st)
	if err != nil {
		return nil, wrong("body.constituents", err)
	}
	return &struct{ Body stationOut }{o}, failed(s.store.PutStation(ctx, angler, st))
}

func constituentsOf(list []constituentIn) []tide.Constituent {
	out := make([]tide.Constituent, len(list))
	for i, c := range list {
		out[i] = tide.Constituent(c)
	}
	return out
}
