package api

import (
	"context"
	"fmt"
	"net/http"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/interchange/feature"
	"greypebble/interchange/geojson"
	"greypebble/interchange/gpx"
	"greypebble/interchange/kml"
	"greypebble/interchange/places"
	"greypebble/interchange/profile"
	"greypebble/server/store"
)

type readFeaturesInput struct {
	Format      string `query:"format" enum:"gpx,geojson,kml,csv" required:"true"`
	ContentType string `header:"Content-Type" hidden:"true"`
	RawBody     []byte `contentType:"text/plain"`
}

type featureOut struct {
	Kind        string     `json:"kind" enum:"point,track,route,area"`
	Name        string     `json:"name"`
	Description string     `json:"description"`
	Parts       [][]latLon `json:"parts" nullable:"false"`
	Places      int        `json:"places"`
	// Known is the spot that lies there already.
	Known string `json:"known,omitempty" doc:"a spot of yours within 25 m by the same name: it would be passed over"`
}

type readFeaturesOutput struct {
	Body struct {
		Features []featureOut `json:"features" nullable:"false" doc:"nothing is stored"`
		Skipped  []skippedOut `json:"skipped" nullable:"false"`
	}
}

type skippedOut struct {
	What string `json:"what"`
	Why  string `json:"why"`
}

type importInput struct {
	Format      string    `query:"format" enum:"gpx,geojson,kml,csv" required:"true"`
	As          string    `query:"as" enum:"spots,outline,zones" default:"spots" doc:"places become spots; areas become the water's shores, or zones with a rule"`
	WaterID     uuid.UUID `query:"water_id" format:"uuid" required:"true"`
	Place       string    `query:"place" default:"estuary" doc:"kind of place of new spots"`
	ZoneKind    string    `query:"zone_kind" enum:"no take,seasonal,voluntary code" doc:"of zones"`
	Says        string    `query:"says" maxLength:"400" doc:"the rule of zones, in words"`
	Source      string    `query:"source" maxLength:"200" doc:"where that rule stands"`
	CheckedOn   string    `query:"checked_on" format:"date" doc:"when it was last looked up"`
	FromMD      int       `query:"from_md" doc:"first day of its season, month × 100 + day"`
	ToMD        int       `query:"to_md"`
	ContentType string    `header:"Content-Type" hidden:"true"`
	RawBody     []byte    `contentType:"text/plain"`
}

type importOutput struct {
	Body struct {
		Added   []string     `json:"added" nullable:"false"`
		Skipped []skippedOut `json:"skipped" nullable:"false"`
		Rings   int          `json:"rings" doc:"of the outline"`
	}
}

type sectionInput struct {
	RawBody []byte `contentType:"text/plain"`
}

type sectionOutput struct {
	Body struct {
		Section []sectionPoint `json:"section" nullable:"false"`
	}
}

func (s *Server) registerInterchange(api huma.API) {
	large := func(op huma.Operation) huma.Operation {
		op.MaxBodyBytes, op.BodyReadTimeout = largestRecord, time.Minute
		return op
	}
	huma.Register(api, large(operation(http.MethodPost, "/interchange/read", "readFeatures", "What a file of places holds; nothing is stored")), s.readFeatures)
	huma.Register(api, large(operation(http.MethodPost, "/interchange/import", "importFeatures", "Take a file's points as spots, or its areas as shores, all or none")), s.importFeatures)
	huma.Register(api, large(operation(http.MethodPost, "/interchange/grid", "importGrid", "Depths of a water from a grid, soundings or a sounder's log")), s.importGrid)
	huma.Register(api, operation(http.MethodPost, "/interchange/section", "readSection", "A section from CSV; nothing is stored"), func(_ context.Context, in *sectionInput) (*sectionOutput, error) {
		points, err := profile.Read(in.RawBody)
		if err != nil {
			return nil, wrong("body", err)
		}
		out := &sectionOutput{}
		out.Body.Section = []sectionPoint{}
		for _, p := range points {
			out.Body.Section = append(out.Body.Section, sectionPoint(p))
		}
		return out, nil
	})
	huma.Register(api, operation(http.MethodGet, "/interchange/export", "exportFeatures", "Your spots as a file; private ones only when asked for"), s.export)
}

func parse(format, contentType string, raw []byte) ([]feature.Feature, []feature.Skipped, error) {
	raw, err := uploaded(contentType, raw)
	if err != nil {
		return nil, nil, err
	}
	read := map[string]func([]byte) ([]feature.Feature, []feature.Skipped, error){"gpx": gpx.Read, "geojson": geojson.Read, "kml": kml.Read, "csv": places.Read}[format]
	list, skipped, err := read(raw)
	if err != nil {
		return nil, nil, wrong("body", err)
	}
	return list, skipped, nil
}

// sameSpot says that a spot of that name lies there already.
const sameSpotM = 25

func known(spots []*store.Spot, f feature.Feature) string {
	if len(f.Parts) == 0 || len(f.Parts[0]) == 0 {
		return ""
	}
	var at ground.LatLon
	at.Lat, at.Lon, _ = shapeOf(f)
	near := func(p ground.LatLon) bool { return ground.Distance(at, p) < sameSpotM }
	for _, sp := range spots {
		if sp.Name == f.Name && near(ground.LatLon{Lat: sp.Lat, Lon: sp.Lon}) {
			return sp.Name
		}
		for _, m := range sp.Marks {
			if p := sp.PlaceOf(m); p != nil && markName(sp, m) == f.Name && near(*p) {
				return sp.Name
			}
		}
	}
	return ""
}

func (s *Server) readFeatures(ctx context.Context, in *readFeaturesInput) (*readFeaturesOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	list, skipped, err := parse(in.Format, in.ContentType, in.RawBody)
	if err != nil {
		return nil, err
	}
	spots, err := s.store.Spots(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	out := &readFeaturesOutput{}
	b := &out.Body
	b.Features, b.Skipped = []featureOut{}, skippedOf(skipped)
	for _, f := range list {
		o := featureOut{Kind: string(f.Kind), Name: f.Name, Description: f.Description, Parts: [][]latLon{}, Known: known(spots, f)}
		for _, part := range f.Parts {
			o.Places += len(part)
			o.Parts = append(o.Parts, placesOut(part))
		}
		b.Features = append(b.Features, o)
	}
	return out, nil
}

// mostShown places of a part are sent for a preview.
const mostShown = 500

func placesOut(part []feature.Place) []latLon {
	every := 1 + len(part)/mostShown
	out := []latLon{}
	for i := 0; i < len(part); i += every {
		out = append(out, latLon{part[i].Lat, part[i].Lon})
	}
	return out
}

func skippedOf(list []feature.Skipped) []skippedOut {
	out := []skippedOut{}
	for _, k := range list {
		out = append(out, skippedOut(k))
	}
	return out
}

func (s *Server) importFeatures(ctx context.Context, in *importInput) (*importOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	if _, err := s.store.Water(ctx, angler, in.WaterID); err != nil {
		return nil, failed(err)
	}
	list, skipped, err := parse(in.Format, in.ContentType, in.RawBody)
	if err != nil {
		return nil, err
	}
	out := &importOutput{}
	out.Body.Added, out.Body.Skipped = []string{}, skippedOf(skipped)
	switch in.As {
	case "outline":
		return out, s.importOutline(ctx, angler, in.WaterID, list, out)
	case "zones":
		return out, s.importZones(ctx, angler, in, list, out)
	}
	return out, s.importSpots(ctx, angler, in, list, out)
}

// ringsOf an area.
func ringsOf(f feature.Feature) ([]ground.Ring, error) {
	var out []ground.Ring
	for _, part := range f.Parts {
		r := ground.Ring(placed(part))
		if i, j, crosses := r.Crosses(); crosses {
			return nil, wrong("body", fmt.Errorf("area %q crosses itself between points %d and %d", f.Name, i+1, j+1))
		}
		out = append(out, r)
	}
	return out, nil
}

func placed(part []feature.Place) []ground.LatLon {
	out := make([]ground.LatLon, len(part))
	for i, p := range part {
		out[i] = ground.LatLon{Lat: p.Lat, Lon: p.Lon}
	}
	return out
}

func (s *Server) importOutline(ctx context.Context, angler, water uuid.UUID, list []feature.Feature, out *importOutput) error {
	var o ground.Outline
	for _, f := range list {
		if f.Kind != feature.Area {
			out.Body.Skipped = append(out.Body.Skipped, skippedOut{fmt.Sprintf("%s %q", f.Kind, f.Name), "shores are areas"})
			continue
		}
		rings, err := ringsOf(f)
		if err != nil {
			return err
		}
		o.Rings = append(o.Rings, rings...)
	}
	if len(o.Rings) == 0 {
		return wrong("body", fmt.Errorf("the file holds no areas; shores are polygons"))
	}
	if err := o.Validate(); err != nil {
		return wrong("body", err)
	}
	out.Body.Rings = len(o.Rings)
	return failed(s.store.PutOutline(ctx, angler, water, o))
}

// importZones takes areas as zones under one rule, which the file cannot be
// trusted to carry.
func (s *Server) importZones(ctx context.Context, angler uuid.UUID, in *importInput, list []feature.Feature, out *importOutput) error {
	if in.ZoneKind == "" || strings.TrimSpace(in.Says) == "" || strings.TrimSpace(in.Source) == "" || in.CheckedOn == "" {
		return wrong("query.says", fmt.Errorf("a zone needs its kind, its rule in words, where the rule stands and when it was looked up"))
	}
	checked, err := time.Parse(time.DateOnly, in.CheckedOn)
	if err != nil {
		return wrong("query.checked_on", err)
	}
	var zones []ground.Zone
	for i, f := range list {
		if f.Kind != feature.Area {
			out.Body.Skipped = append(out.Body.Skipped, skippedOut{fmt.Sprintf("%s %q", f.Kind, f.Name), "zones are areas"})
			continue
		}
		rings, err := ringsOf(f)
		if err != nil {
			return err
		}
		name := clip(strings.TrimSpace(f.Name), 80)
		if name == "" {
			name = fmt.Sprintf("Zone %d", i+1)
		}
		if len(rings) > 1 {
			out.Body.Skipped = append(out.Body.Skipped, skippedOut{fmt.Sprintf("the holes of %q", f.Name), "the rule is taken to hold in them too"})
		}
		z := ground.Zone{Name: name, Kind: ground.ZoneKind(in.ZoneKind), Says: in.Says, Source: in.Source, Checked: checked, From: in.FromMD, To: in.ToMD, Ring: rings[0]}
		if err := z.Validate(); err != nil {
			return wrong("body", fmt.Errorf("zone %q: %w", name, err))
		}
		zones = append(zones, z)
		out.Body.Added = append(out.Body.Added, name)
	}
	if len(zones) == 0 {
		return wrong("body", fmt.Errorf("the file holds no areas; zones are polygons"))
	}
	return failed(s.store.PutZones(ctx, angler, in.WaterID, zones))
}

func (s *Server) importSpots(ctx context.Context, angler uuid.UUID, in *importInput, list []feature.Feature, out *importOutput) error {
	spots, err := s.store.Spots(ctx, angler)
	if err != nil {
		return failed(err)
	}
	var fresh []store.Spot
	// Marks and shapes of a whole spot in the file come with it.
	var brought []*store.Spot
	for _, f := range list {
		if sp, err := wholeSpot(f, in.WaterID); err != nil {
			return wrong("body", err)
		} else if sp != nil && known(spots, f) == "" {
			brought = append(brought, sp)
			fresh = append(fresh, *sp)
			out.Body.Added = append(out.Body.Added, sp.Name)
		}
	}
	skip := func(f feature.Feature, why string) {
		out.Body.Skipped = append(out.Body.Skipped, skippedOut{fmt.Sprintf("%s %q", f.Kind, f.Name), why})
	}
	for _, f := range list {
		switch {
		case strings.TrimSpace(f.Name) == "":
			skip(f, "it has no name")
		case known(spots, f) != "":
			skip(f, "a spot of that name lies there already")
		case known(brought, f) != "":
			if f.Properties[spotProperty] == "" {
				skip(f, "it comes with its spot")
			}
		default:
			note := f.Description
			if note == "" {
				note = f.Comment
			}
			body := SpotBody{WaterID: in.WaterID, Name: clip(f.Name, 80), Place: in.Place, Note: clip(note, 400),
				Manner: string(ground.OnFoot), In: PassageBody{"the way", 10}, Out: PassageBody{"the way", 10}}
			body.Lat, body.Lon, body.Shape = shapeOf(f)
			if len(f.Parts) > 1 {
				skip(f, fmt.Sprintf("its %d further parts: a spot has one shape", len(f.Parts)-1))
			}
			sp, err := body.spot(uuid.Must(uuid.NewV7()))
			if err != nil {
				return err
			}
			fresh = append(fresh, sp)
			out.Body.Added = append(out.Body.Added, sp.Name)
		}
	}
	return failed(s.store.PutSpots(ctx, angler, fresh))
}

// shapeTolerance is how far a drift or an area may be simplified, metres, and
// mostShape its points.
const (
	shapeTolerance = 2
	mostShape      = 5000
)

// shapeOf a feature: its place, and its line or area where it is more than a point.
func shapeOf(f feature.Feature) (lat, lon float64, shape *ShapeBody) {
	points := placed(f.Parts[0])
	if f.Kind == feature.Point || len(points) < 2 {
		return points[0].Lat, points[0].Lon, nil
	}
	for tolerance := float64(shapeTolerance); ; tolerance *= 2 {
		r := ground.Simplified(points, tolerance)
		if len(r) <= mostShape {
			points = r
			break
		}
	}
	if f.Kind == feature.Area {
		c := ground.Ring(points).Middle()
		return c.Lat, c.Lon, &ShapeBody{true, latLons(points)}
	}
	mid := points[len(points)/2]
	return mid.Lat, mid.Lon, &ShapeBody{false, latLons(points)}
}

func clip(s string, most int) string {
	r := []rune(s)
	if len(r) > most {
		return string(r[:most])
	}
	return s
}
