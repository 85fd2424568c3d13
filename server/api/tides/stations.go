package tides

import (
	"context"
	"fmt"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
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
	Revision     int              `json:"revision"`
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
	wire.ByID
	Body struct {
		Name         string          `json:"name" minLength:"1" maxLength:"80"`
		Source       string          `json:"source" minLength:"1" maxLength:"400" doc:"where the constants come from"`
		Z0M          float64         `json:"z0_m,omitempty" doc:"mean level above chart datum"`
		Constituents []constituentIn `json:"constituents,omitempty" maxItems:"200" nullable:"false"`
		ReferenceID  *uuid.UUID      `json:"reference_id,omitempty" format:"uuid" doc:"the station to follow, instead of constituents"`
		Offsets      *OffsetsBody    `json:"offsets,omitempty" doc:"on the reference"`
		Revision     int             `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

type useStationInput struct {
	wire.ByID
	Body struct {
		StationID uuid.UUID `json:"station_id" format:"uuid"`
	}
}

func (s service) registerStations(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/stations", "listStations", "Your tide stations"), s.listStations)
	web.Signed(api, s.Deps, web.Conflicting(web.Put("/stations/{id}", "putStation", "Write a tide station, new or changed")), s.putStation)
	remove := web.Conflicting(web.Delete("/stations/{id}", "deleteStation", "Remove a station nothing follows"))
	web.Signed(api, s.Deps, remove, func(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
		return nil, s.Store.DeleteStation(ctx, as.Angler, in.ID)
	})
	web.Signed(api, s.Deps, web.Put("/waters/{id}/station", "useStation", "Let a water follow a station"),
		func(ctx context.Context, as *web.Scope, in *useStationInput) (*struct{}, error) {
			return nil, s.Store.UseStation(ctx, as.Angler, in.ID, in.Body.StationID)
		})
}

func (s service) listStations(ctx context.Context, as *web.Scope, _ *struct{}) (*stationsOutput, error) {
	stations, err := s.Store.Stations(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	waters, err := s.Store.Waters(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	all := make(store.Stations, len(stations))
	for _, st := range stations {
		all[st.ID] = st
	}
	out := &stationsOutput{Body: []stationOut{}}
	for _, st := range stations {
		o, err := stationOf(all, st)
		if err != nil {
			return nil, err
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
		Constituents: []constituentOut{}, Waters: []waterRef{}, ReferenceID: st.Reference, Revision: st.Revision}
	if st.Reference != nil {
		b := offsetsOut(st.Offsets)
		o.Offsets = &b
	}
	for _, c := range st.Constituents {
		o.Constituents = append(o.Constituents, constituentOut(c))
	}
	return o, nil
}

func (s service) putStation(ctx context.Context, as *web.Scope, in *stationInput) (*struct{ Body stationOut }, error) {
	all, err := s.Store.StationsByID(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	st := store.Station{ID: in.ID, Name: in.Body.Name, Source: in.Body.Source, Z0M: in.Body.Z0M,
		Constituents: constituentsOf(in.Body.Constituents), Reference: in.Body.ReferenceID, Revision: in.Body.Revision}
	if in.Body.Offsets != nil {
		st.Offsets = in.Body.Offsets.offsets()
	}
	if st.Reference != nil && len(st.Constituents) > 0 {
		return nil, web.Wrong("body.reference_id", fmt.Errorf("a station has constituents or follows another one, not both"))
	}
	all[st.ID] = st
	o, err := stationOf(all, st)
	if err != nil {
		where := "body.constituents"
		if st.Reference != nil {
			where = "body.reference_id"
		}
		return nil, web.Wrong(where, err)
	}
	o.Revision, err = s.Store.PutStation(ctx, as.Angler, st)
	return &struct{ Body stationOut }{o}, err
}

func constituentsOf(list []constituentIn) []tide.Constituent {
	out := make([]tide.Constituent, len(list))
	for i, c := range list {
		out[i] = tide.Constituent(c)
	}
	return out
}
