package api

import (
	"context"
	"fmt"
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
	ReferenceID  *uuid.UUID       `json:"reference_id,omitempty" format:"uuid" doc:"the station it follows, for one without constituents"`
	Offsets      *OffsetsBody     `json:"offsets,omitempty" doc:"on its reference"`
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
		Z0M          float64         `json:"z0_m,omitempty" doc:"mean level above chart datum"`
		Constituents []constituentIn `json:"constituents,omitempty" maxItems:"200" nullable:"false"`
		ReferenceID  *uuid.UUID      `json:"reference_id,omitempty" format:"uuid" doc:"the station to follow, instead of constituents"`
		Offsets      *OffsetsBody    `json:"offsets,omitempty" doc:"on the reference"`
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
	remove := operation(http.MethodDelete, "/stations/{id}", "deleteStation", "Remove a station nothing follows")
	remove.Errors = append(remove.Errors, http.StatusConflict)
	huma.Register(api, remove, func(ctx context.Context, in *ByID) (*struct{}, error) {
		angler, err := s.angler(ctx)
		if err != nil {
			return nil, err
		}
		return nil, failed(s.store.DeleteStation(ctx, angler, in.ID))
	})
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
	all := make(store.Stations, len(stations))
	for _, st := range stations {
		all[st.ID] = st
	}
	out := &stationsOutput{Body: []stationOut{}}
	for _, st := range stations {
		o, err := stationOf(all, st)
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

// stationOf a row; all are the angler's stations, its reference among them.
func stationOf(all store.Stations, st store.Station) (stationOut, error) {
	place, err := all.Tide(st.ID)
	if err != nil {
		return stationOut{}, err
	}
	o := stationOut{ID: st.ID.String(), Name: st.Name, Source: st.Source, Z0M: st.Z0M, SpringRangeM: place.MeanSpringRange(),
		Constituents: []constituentOut{}, Waters: []waterRef{}, ReferenceID: st.Reference}
	if st.Reference != nil {
		b := offsetsOut(st.Offsets)
		o.Offsets = &b
	}
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
	all, err := s.store.StationsByID(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	st := store.Station{ID: in.ID, Name: in.Body.Name, Source: in.Body.Source, Z0M: in.Body.Z0M, Constituents: constituentsOf(in.Body.Constituents),
		Reference: in.Body.ReferenceID}
	if in.Body.Offsets != nil {
		st.Offsets = in.Body.Offsets.offsets()
	}
	if st.Reference != nil && len(st.Constituents) > 0 {
		return nil, wrong("body.reference_id", fmt.Errorf("a station has constituents or follows another one, not both"))
	}
	all[st.ID] = st
	o, err := stationOf(all, st)
	if err != nil {
		where := "body.constituents"
		if st.Reference != nil {
			where = "body.reference_id"
		}
		return nil, wrong(where, err)
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
