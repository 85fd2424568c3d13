package tides

import (
	"context"
	"errors"
	"fmt"
	"math"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/known"
	"greypebble/server/store"
)

type knownInput struct {
	Q    string  `query:"q" maxLength:"80" doc:"words of its name, state or country"`
	Lat  float64 `query:"lat" minimum:"-91" maximum:"90" default:"-91" doc:"nearest first; left out, by name"`
	Lon  float64 `query:"lon" minimum:"-180" maximum:"180"`
	Most int     `query:"most" minimum:"1" maximum:"50" default:"8"`
}

type knownOut struct {
	ID        string   `json:"id"`
	Name      string   `json:"name"`
	Region    string   `json:"region" doc:"state or country, in letters"`
	Lat       float64  `json:"lat"`
	Lon       float64  `json:"lon"`
	TimeZone  string   `json:"time_zone"`
	Datum     string   `json:"datum" doc:"its levels count from"`
	Secondary bool     `json:"secondary" doc:"it follows another by lag and factor"`
	Source    string   `json:"source"`
	Licence   string   `json:"licence"`
	DistanceM *float64 `json:"distance_m,omitempty"`
}

type knownOutput struct {
	Body struct {
		Stations []knownOut `json:"stations" nullable:"false"`
		Says     string     `json:"says" doc:"what to keep in mind of a station that is not one's own"`
	}
}

type takeKnownInput struct {
	wire.ByID
	Body struct {
		KnownID     string    `json:"known_id" minLength:"1" maxLength:"120"`
		ReferenceID uuid.UUID `json:"reference_id,omitempty" format:"uuid" doc:"for the station a secondary one follows, stored beside it"`
	}
}

// aside is what anglers correct by experience (T12).
const aside = "A station up the coast, or at the mouth, may turn earlier than your creek and range otherwise: note when the water stands " +
	"where you fish, and its lag is learned."

func (s service) registerKnown(api huma.API) {
	web.Open(api, web.Get("/known-stations", "knownStations", "Published tide stations, by name and by distance"), s.known)
	web.Signed(api, s.Deps, web.Conflicting(web.Put("/stations/{id}/known", "takeKnown", "Take a published station as one's own")),
		s.takeKnown)
}

func (s service) known(_ context.Context, in *knownInput) (*knownOutput, error) {
	all, err := known.Load()
	if err != nil {
		return nil, err
	}
	var near *ground.LatLon
	if in.Lat >= -90 {
		near = &ground.LatLon{Lat: in.Lat, Lon: in.Lon}
	}
	out := &knownOutput{}
	out.Body.Stations, out.Body.Says = []knownOut{}, aside
	for _, h := range all.Search(in.Q, near, in.Most) {
		o := knownOut{ID: h.ID, Name: h.Name, Region: h.Region, Lat: h.At.Lat, Lon: h.At.Lon, TimeZone: h.Zone, Datum: h.Datum,
			Secondary: h.Secondary(), Source: h.Source, Licence: h.Licence}
		if !math.IsNaN(h.DistanceM) {
			o.DistanceM = &h.DistanceM
		}
		out.Body.Stations = append(out.Body.Stations, o)
	}
	return out, nil
}

func (s service) takeKnown(ctx context.Context, as *web.Scope, in *takeKnownInput) (*struct{ Body stationOut }, error) {
	all, err := known.Load()
	if err != nil {
		return nil, err
	}
	k := all.ByID(in.Body.KnownID)
	if k == nil {
		return nil, web.Wrong("body.known_id", fmt.Errorf("there is no known station %q", in.Body.KnownID))
	}
	if k.Secondary() && in.Body.ReferenceID == uuid.Nil {
		return nil, web.Wrong("body.reference_id", errors.New("expected an id for the station this one follows"))
	}
	err = s.Store.Whole(ctx, func(st *store.Store) error {
		own := owned(in.ID, k)
		if k.Secondary() {
			of := owned(in.Body.ReferenceID, all.ByID(k.Reference))
			if _, err := st.PutStation(ctx, as.Angler, of); err != nil {
				return err
			}
			own.Reference = &of.ID
		}
		_, err := st.PutStation(ctx, as.Angler, own)
		return err
	})
	if err != nil {
		return nil, err
	}
	stations, err := s.Store.StationsByID(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	o, err := stationOf(stations, stations[in.ID])
	return &struct{ Body stationOut }{o}, err
}

// owned is a published station as one of the angler's.
func owned(id uuid.UUID, k *known.Station) store.Station {
	return store.Station{ID: id, Name: k.Name, Source: k.Says(), Z0M: k.Z0M, Constituents: k.Constituents, Offsets: k.Offsets}
}
