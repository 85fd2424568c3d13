package api

import (
	"context"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"strings"

	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/interchange/feature"
	"greypebble/interchange/geojson"
	"greypebble/interchange/gpx"
	"greypebble/interchange/kml"
	"greypebble/interchange/places"
	"greypebble/server/store"
)

type exportInput struct {
	Format  string  `query:"format" enum:"gpx,geojson,kml,csv" required:"true"`
	Private string  `query:"private" enum:"leave_out,blur,include" default:"leave_out" doc:"what to do with private spots"`
	BlurM   float64 `query:"blur_m" minimum:"100" maximum:"20000" default:"1000" doc:"how far a blurred spot may be moved"`
}

func (s *Server) export(ctx context.Context, in *exportInput) (*fileOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	spots, err := s.store.Spots(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	var list []feature.Feature
	for _, sp := range spots {
		if !sp.Public && in.Private == "leave_out" {
			continue
		}
		list = append(list, exported(sp, !sp.Public && in.Private == "blur", in.BlurM)...)
	}
	out := &fileOutput{ContentDisposition: `attachment; filename="spots.` + in.Format + `"`}
	switch in.Format {
	case "gpx":
		out.ContentType = "application/gpx+xml"
		out.Body, err = gpx.Write(list, "Grey Pebble")
	case "geojson":
		out.ContentType = "application/geo+json"
		out.Body, err = geojson.Write(list)
	case "kml":
		out.ContentType = "application/vnd.google-earth.kml+xml"
		out.Body, err = kml.Write(list)
	default:
		out.ContentType = "text/csv; charset=utf-8"
		out.Body = places.Write(list)
	}
	return out, failed(err)
}

// exported is a spot with its marks; a blurred one is only its name and water,
// moved by up to a distance, by as much every time it is exported.
// spotProperty carries a whole spot, section, ways and all, in formats that have
// room for it.
const spotProperty = "grey_pebble_spot"

// wholeSpot that a feature carries, as a new one in a water; nil where it carries
// none.
func wholeSpot(f feature.Feature, water uuid.UUID) (*store.Spot, error) {
	raw := f.Properties[spotProperty]
	if raw == "" {
		return nil, nil
	}
	var b SpotBody
	d := json.NewDecoder(strings.NewReader(raw))
	d.DisallowUnknownFields()
	if err := d.Decode(&b); err != nil {
		return nil, fmt.Errorf("%q carries a spot that cannot be read: %w", f.Name, err)
	}
	b.WaterID = water
	for i := range b.Marks {
		b.Marks[i].ID = uuid.Must(uuid.NewV7())
	}
	sp, err := b.spot(uuid.Must(uuid.NewV7()))
	if err != nil {
		return nil, fmt.Errorf("%q carries a spot that cannot be: %w", f.Name, err)
	}
	return &sp, nil
}

// markName is what a mark is called outside its spot.
func markName(sp *store.Spot, m ground.Mark) string { return sp.Name + ": " + m.Name }

func exported(sp *store.Spot, blur bool, blurM float64) []feature.Feature {
	at := ground.LatLon{Lat: sp.Lat, Lon: sp.Lon}
	if blur {
		r := rand.New(rand.NewPCG(uint64(sp.ID.ID()), uint64(sp.ID.Time()))) //nolint:gosec // not a secret: it hides a place, and must be the same every time
		at = ground.Toward(at, r.Float64()*360, blurM*(0.4+0.6*r.Float64()))
		return []feature.Feature{{Kind: feature.Point, Name: sp.Name, Type: sp.Place, Comment: fmt.Sprintf("within %.0f m", blurM),
			Parts: [][]feature.Place{{{Lat: at.Lat, Lon: at.Lon}}}}}
	}
	whole, err := json.Marshal(bodyOf(sp))
	if err != nil {
		panic(err) // numbers and texts
	}
	out := []feature.Feature{{Kind: feature.Point, Name: sp.Name, Type: sp.Place, Description: sp.Note, Comment: sp.Hazards,
		Parts: [][]feature.Place{{{Lat: at.Lat, Lon: at.Lon}}}, Properties: map[string]string{spotProperty: string(whole)}}}
	if sp.Shape != nil {
		f := feature.Feature{Kind: feature.Route, Name: sp.Name, Type: sp.Place, Parts: [][]feature.Place{nil}}
		if sp.Shape.Area {
			f.Kind = feature.Area
		}
		for _, p := range sp.Shape.Points {
			f.Parts[0] = append(f.Parts[0], feature.Place{Lat: p.Lat, Lon: p.Lon})
		}
		out = append(out, f)
	}
	for _, m := range sp.Marks {
		p := sp.PlaceOf(m)
		if p == nil {
			continue
		}
		e := m.ElevationM
		out = append(out, feature.Feature{Kind: feature.Point, Name: markName(sp, m), Type: string(m.Kind), Description: m.Note,
			Parts: [][]feature.Place{{{Lat: p.Lat, Lon: p.Lon, Ele: &e}}}})
	}
	return out
}
