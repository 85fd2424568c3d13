package api

import (
	"context"
	"encoding/json"
	"fmt"
	"math"
	"math/rand/v2"
	"net/http"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/tide"
	"greypebble/interchange/asc"
	"greypebble/interchange/feature"
	"greypebble/interchange/geojson"
	"greypebble/interchange/gpx"
	"greypebble/interchange/kml"
	"greypebble/interchange/nmea"
	"greypebble/interchange/places"
	"greypebble/interchange/profile"
	"greypebble/interchange/soundings"
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

type gridInput struct {
	Format    string    `query:"format" enum:"asc,xyz,nmea" required:"true" doc:"ESRI ASCII grid, soundings as CSV, a sounder's log"`
	WaterID   uuid.UUID `query:"water_id" format:"uuid" required:"true"`
	Unit      string    `query:"unit" enum:"m,ft,cm" doc:"of an ESRI grid's numbers"`
	Sign      string    `query:"sign" enum:"elevation,depth" doc:"whether an ESRI grid's numbers are positive upwards or downwards"`
	DatumM    float64   `query:"datum_m" doc:"how far the file's zero lies above chart datum"`
	Datum     string    `query:"datum" doc:"the file's datum in words" maxLength:"80"`
	OriginLat float64   `query:"origin_lat" minimum:"-90" maximum:"90" doc:"the place an ESRI grid's metres are counted from"`
	OriginLon float64   `query:"origin_lon" minimum:"-180" maximum:"180"`
	CellM     float64   `query:"cell_m" default:"10" doc:"for soundings"`
	ReachM    float64   `query:"reach_m" default:"30"`
	Keep      bool      `query:"keep" doc:"store it; otherwise only say what it is"`
	RawBody   []byte    `contentType:"text/plain"`
}

type gridOutput struct {
	Body struct {
		GridSummary
		Kept bool `json:"kept"`
	}
}

// GridSummary says what a grid holds. It is exported for huma.
type GridSummary struct {
	Rows      int     `json:"rows"`
	Cols      int     `json:"cols"`
	CellM     float64 `json:"cell_m"`
	Known     int     `json:"known" doc:"cells with an elevation"`
	LowM      float64 `json:"low_m" doc:"above chart datum"`
	HighM     float64 `json:"high_m"`
	Lat       float64 `json:"lat" doc:"its middle"`
	Lon       float64 `json:"lon"`
	Soundings int     `json:"soundings"`
}

type exportInput struct {
	Format  string  `query:"format" enum:"gpx,geojson,kml,csv" required:"true"`
	Private string  `query:"private" enum:"leave_out,blur,include" default:"leave_out" doc:"what to do with private spots"`
	BlurM   float64 `query:"blur_m" minimum:"100" maximum:"20000" default:"1000" doc:"how far a blurred spot may be moved"`
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

func (s *Server) importGrid(ctx context.Context, in *gridInput) (*gridOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	w, err := s.store.Water(ctx, angler, in.WaterID)
	if err != nil {
		return nil, failed(err)
	}
	if strings.TrimSpace(in.Datum) == "" {
		return nil, wrong("query.datum", fmt.Errorf("say which datum the file's depths are counted from, and how far it lies above chart datum"))
	}
	g, n, err := s.gridOf(ctx, angler, w, in)
	if err != nil {
		return nil, err
	}
	out := &gridOutput{}
	o := &out.Body
	o.Rows, o.Cols, o.CellM, o.Soundings = g.Rows, g.Cols, g.DLat*metresADegree, n
	o.LowM, o.HighM = g.Range()
	for _, z := range g.Z {
		if !math.IsNaN(float64(z)) {
			o.Known++
		}
	}
	if o.Known == 0 {
		return nil, wrong("body", fmt.Errorf("nothing in the file has a depth"))
	}
	mid := g.Centre(g.Rows/2, g.Cols/2)
	o.Lat, o.Lon = mid.Lat, mid.Lon
	if in.Keep {
		o.Kept = true
		return out, failed(s.store.PutGrid(ctx, angler, in.WaterID, store.Grid{Grid: g, Source: clip(in.Format+", datum "+in.Datum, 200)}))
	}
	return out, nil
}

const metresADegree = 111195.08

func (s *Server) gridOf(ctx context.Context, angler uuid.UUID, w store.Water, in *gridInput) (*ground.Grid, int, error) {
	if in.Format == "asc" {
		if in.Unit == "" || in.Sign == "" {
			return nil, 0, wrong("query.unit", fmt.Errorf("say the unit of the numbers (m, ft, cm) and whether they are elevations or depths"))
		}
		m := asc.Meaning{Scale: map[string]float64{"m": 1, "ft": 0.3048, "cm": 0.01}[in.Unit], Depths: in.Sign == "depth", DatumM: in.DatumM}
		if in.OriginLat != 0 || in.OriginLon != 0 {
			m.Origin = &ground.LatLon{Lat: in.OriginLat, Lon: in.OriginLon}
		}
		g, err := asc.Read(in.RawBody, m)
		if err != nil {
			return nil, 0, wrong("body", err)
		}
		return g, 0, nil
	}
	var list []ground.Sounding
	var err error
	if in.Format == "xyz" {
		list, err = soundings.Read(in.RawBody, in.DatumM)
	} else {
		list, err = s.soundedAt(ctx, angler, w, in.RawBody)
	}
	if err != nil {
		return nil, 0, wrong("body", err)
	}
	g, err := ground.GridSoundings(list, in.CellM, in.ReachM)
	if err != nil {
		return nil, 0, wrong("query.cell_m", err)
	}
	return g, len(list), nil
}

// soundedAt corrects a sounder's log for the tide at each ping.
func (s *Server) soundedAt(ctx context.Context, angler uuid.UUID, w store.Water, raw []byte) ([]ground.Sounding, error) {
	pings, _, err := nmea.ReadLog(raw)
	if err != nil {
		return nil, err
	}
	var list []ground.Sounding
	if len(pings) == 0 {
		return list, nil
	}
	place, err := s.store.TideOf(ctx, angler, w)
	if err != nil {
		return nil, err
	}
	first, last := pings[0].Time, pings[0].Time
	for _, p := range pings {
		if p.Time.Before(first) {
			first = p.Time
		}
		if p.Time.After(last) {
			last = p.Time
		}
	}
	if last.Sub(first) > 40*24*time.Hour {
		return nil, fmt.Errorf("the log spans %.0f days; expected at most 40", last.Sub(first).Hours()/24)
	}
	c, err := tide.Over(place, first, last)
	if err != nil {
		return nil, err
	}
	for _, p := range pings {
		if p.HasDepth {
			list = append(list, ground.Sounding{LatLon: ground.LatLon{Lat: p.Lat, Lon: p.Lon}, ElevationM: c.Level(p.Time) - p.DepthM})
		}
	}
	return list, nil
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
