package api

import (
	"context"
	"encoding/binary"
	"fmt"
	"math"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/tide"
	"greypebble/interchange/asc"
	"greypebble/server/store"
)

type waterOut struct {
	ID        string     `json:"id"`
	Name      string     `json:"name"`
	TimeZone  string     `json:"time_zone"`
	StationID string     `json:"station_id"`
	Zones     []zoneOut  `json:"zones" nullable:"false"`
	Outline   [][]latLon `json:"outline" nullable:"false" doc:"rings of its shores: land, lake, island in turn"`
	Grid      *gridOut   `json:"grid,omitempty" doc:"its depths; the cells are at grid.bin"`
	HighM     float64    `json:"high_m" doc:"the highest tide of the next thirty days, with what was seen of surge; above it is land"`
}

type classOut struct {
	Name  string  `json:"name"`
	FromM float64 `json:"from_m" doc:"least depth; the next class ends it"`
}

type latLon struct {
	Lat float64 `json:"lat"`
	Lon float64 `json:"lon"`
}

type gridOut struct {
	South  float64 `json:"south_deg" doc:"centre of the first cell"`
	West   float64 `json:"west_deg"`
	DLat   float64 `json:"dlat_deg"`
	DLon   float64 `json:"dlon_deg"`
	Rows   int     `json:"rows"`
	Cols   int     `json:"cols"`
	Source string  `json:"source"`
	Low    float64 `json:"low_m"`
	High   float64 `json:"high_m"`
}

type waterInput struct {
	ByID
	Body struct {
		Name      string    `json:"name" minLength:"1" maxLength:"80"`
		TimeZone  string    `json:"time_zone" maxLength:"64"`
		StationID uuid.UUID `json:"station_id" format:"uuid"`
	}
}

type depthInput struct {
	ByID
	Time time.Time `query:"time" doc:"now if left out"`
}

type cutInput struct {
	ByID
	FromLat float64 `query:"from_lat" required:"true"`
	FromLon float64 `query:"from_lon" required:"true"`
	ToLat   float64 `query:"to_lat" required:"true"`
	ToLon   float64 `query:"to_lon" required:"true"`
	Points  int     `query:"points" minimum:"2" maximum:"400" default:"40"`
}

type cutOutput struct {
	Body struct {
		Section    []sectionPoint `json:"section" nullable:"false"`
		BearingDeg float64        `json:"bearing_deg"`
	}
}

type findsInput struct {
	ByID
	LevelM float64 `query:"level_m" minimum:"-20" maximum:"20" doc:"tide level to look at"`
}

type findOut struct {
	Kind       string  `json:"kind"`
	Lat        float64 `json:"lat"`
	Lon        float64 `json:"lon"`
	ElevationM float64 `json:"elevation_m"`
	Why        string  `json:"why"`
}

type findsOutput struct {
	Body []findOut `nullable:"false"`
}

func (s *Server) registerWaters(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/waters/{id}", "getWater", "A water with its shores, zones and what is known of its depths"), s.getWater)
	huma.Register(api, operation(http.MethodPut, "/waters/{id}", "putWater", "Write a water, new or changed"), func(ctx context.Context, in *waterInput) (*struct{}, error) {
		angler, err := s.angler(ctx)
		if err != nil {
			return nil, err
		}
		if _, err := time.LoadLocation(in.Body.TimeZone); err != nil || in.Body.TimeZone == "" {
			return nil, wrong("body.time_zone", fmt.Errorf("unknown time zone %q; expected a name like Atlantic/Azores", in.Body.TimeZone))
		}
		return nil, failed(s.store.PutWater(ctx, angler, store.Water{ID: in.ID, StationID: in.Body.StationID, Name: in.Body.Name, TimeZone: in.Body.TimeZone}))
	})
	huma.Register(api, operation(http.MethodGet, "/waters/{id}/grid.bin", "gridCells", "Elevations in centimetres, rows from south to north (16-bit little-endian, −32768 not known)"),
		func(ctx context.Context, in *ByID) (*fileOutput, error) {
			g, err := s.grid(ctx, in.ID)
			if err != nil {
				return nil, err
			}
			return &fileOutput{ContentType: "application/octet-stream", Body: cells(g.Grid)}, nil
		})
	huma.Register(api, operation(http.MethodGet, "/waters/{id}/depth.asc", "depthGrid", "Depth of water everywhere at a moment (ESRI ASCII grid, metres, negative: dry by so much)"), s.depthGrid)
	huma.Register(api, operation(http.MethodGet, "/waters/{id}/cut", "cutSection", "A section cut through the depths along a line"), s.cut)
	huma.Register(api, operation(http.MethodGet, "/waters/{id}/finds", "findFeatures", "Drop-offs, cuts, holes and dug channels, to accept or reject"), s.finds)
}

func (s *Server) getWater(ctx context.Context, in *ByID) (*struct{ Body waterOut }, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	w, err := s.store.Water(ctx, angler, in.ID)
	if err != nil {
		return nil, failed(err)
	}
	o := waterOut{ID: w.ID.String(), Name: w.Name, TimeZone: w.TimeZone, StationID: w.StationID.String(), Zones: []zoneOut{}, Outline: [][]latLon{}}
	if o.HighM, err = s.highest(ctx, angler, w); err != nil {
		return nil, failed(err)
	}
	outline, err := s.store.Outline(ctx, angler, in.ID)
	if err != nil {
		return nil, failed(err)
	}
	if outline != nil {
		for _, r := range outline.Rings {
			o.Outline = append(o.Outline, latLons(r))
		}
	}
	zones, err := s.store.Zones(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	for _, z := range zones[in.ID] {
		o.Zones = append(o.Zones, zoneBodyOf(z, s.now()))
	}
	g, err := s.store.Grid(ctx, angler, in.ID)
	if err == nil {
		lo, hi := g.Range()
		if math.IsNaN(lo) {
			lo, hi = 0, 0
		}
		o.Grid = &gridOut{g.South, g.West, g.DLat, g.DLon, g.Rows, g.Cols, g.Source, lo, hi}
	} else if err != store.ErrNotFound {
		return nil, failed(err)
	}
	return &struct{ Body waterOut }{o}, nil
}

// highest level of the thirty days to come.
func (s *Server) highest(ctx context.Context, angler uuid.UUID, w store.Water) (float64, error) {
	place, err := s.store.TideOf(ctx, angler, w)
	if err != nil {
		return 0, err
	}
	from := s.now().UTC()
	c, err := tide.Over(place, from, from.AddDate(0, 0, 30))
	if err != nil {
		return 0, err
	}
	high := c.Level(from)
	for _, k := range c.Turns() {
		high = math.Max(high, k.LevelM)
	}
	return high, nil
}

func latLons(r []ground.LatLon) []latLon {
	out := make([]latLon, len(r))
	for i, p := range r {
		out[i] = latLon(p)
	}
	return out
}

func (s *Server) grid(ctx context.Context, water uuid.UUID) (store.Grid, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return store.Grid{}, err
	}
	g, err := s.store.Grid(ctx, angler, water)
	return g, failed(err)
}

// unknown stands for a cell whose elevation is not known.
const unknown = math.MinInt16

func cells(g *ground.Grid) []byte {
	out := make([]byte, 2*len(g.Z))
	for i, z := range g.Z {
		v := int16(unknown)
		if f := float64(z); !math.IsNaN(f) {
			v = int16(min(max(math.Round(f*100), unknown+1), math.MaxInt16))
		}
		binary.LittleEndian.PutUint16(out[2*i:], uint16(v))
	}
	return out
}

// levelOf a water at a moment, by its station and the surge seen.
func (s *Server) levelOf(ctx context.Context, angler, water uuid.UUID, t time.Time) (float64, error) {
	w, err := s.store.Water(ctx, angler, water)
	if err != nil {
		return 0, err
	}
	place, err := s.store.TideOf(ctx, angler, w)
	if err != nil {
		return 0, err
	}
	c, err := tide.Over(place, t, t)
	if err != nil {
		return 0, err
	}
	return c.Level(t), nil
}

func (s *Server) depthGrid(ctx context.Context, in *depthInput) (*fileOutput, error) {
	g, err := s.grid(ctx, in.ID)
	if err != nil {
		return nil, err
	}
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	level, err := s.levelOf(ctx, angler, in.ID, s.at(in.Time))
	if err != nil {
		return nil, failed(err)
	}
	return &fileOutput{ContentType: "text/plain; charset=utf-8", ContentDisposition: `attachment; filename="depth.asc"`,
		Body: asc.Write(g.Grid, func(z float64) float64 { return level - z })}, nil
}

func (s *Server) cut(ctx context.Context, in *cutInput) (*cutOutput, error) {
	g, err := s.grid(ctx, in.ID)
	if err != nil {
		return nil, err
	}
	from, to := ground.LatLon{Lat: in.FromLat, Lon: in.FromLon}, ground.LatLon{Lat: in.ToLat, Lon: in.ToLon}
	out := &cutOutput{}
	out.Body.BearingDeg, out.Body.Section = ground.Bearing(from, to), []sectionPoint{}
	for _, p := range g.Cut(from, to, in.Points) {
		out.Body.Section = append(out.Body.Section, sectionPoint(p))
	}
	if len(out.Body.Section) < 2 {
		return nil, wrong("query.to_lat", fmt.Errorf("nothing is known of the depths along that line"))
	}
	return out, nil
}

func (s *Server) finds(ctx context.Context, in *findsInput) (*findsOutput, error) {
	g, err := s.grid(ctx, in.ID)
	if err != nil {
		return nil, err
	}
	out := &findsOutput{Body: []findOut{}}
	for _, f := range g.FindFeatures(in.LevelM, 1+len(g.Z)/1_500_000) {
		out.Body = append(out.Body, findOut{string(f.Kind), f.At.Lat, f.At.Lon, f.ElevationM, f.Why})
	}
	return out, nil
}
