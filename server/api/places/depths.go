package places

import (
	"context"
	"encoding/binary"
	"fmt"
	"math"
	"time"

	"greypebble/core/ground"
	"greypebble/interchange/asc"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"
)

type depthInput struct {
	wire.ByID
	Time time.Time `query:"time" doc:"now if left out"`
}

type cutInput struct {
	wire.ByID
	FromLat float64 `query:"from_lat" required:"true"`
	FromLon float64 `query:"from_lon" required:"true"`
	ToLat   float64 `query:"to_lat" required:"true"`
	ToLon   float64 `query:"to_lon" required:"true"`
	Points  int     `query:"points" minimum:"2" maximum:"400" default:"40"`
}

type cutOutput struct {
	Body struct {
		Section    []wire.SectionPoint `json:"section" nullable:"false"`
		BearingDeg float64             `json:"bearing_deg"`
	}
}

type findsInput struct {
	wire.ByID
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

func (s service) registerDepths(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/waters/{id}/grid.bin", "gridCells",
		"Elevations in centimetres, rows from south to north (16-bit little-endian, −32768 not known)"), s.gridCells)
	web.Signed(api, s.Deps, web.Get("/waters/{id}/depth.asc", "depthGrid",
		"Depth of water everywhere at a moment (ESRI ASCII grid, metres, negative: dry by so much)"), s.depthGrid)
	web.Signed(api, s.Deps, web.Get("/waters/{id}/cut", "cutSection", "A section cut through the depths along a line"), s.cut)
	web.Signed(api, s.Deps, web.Get("/waters/{id}/finds", "findFeatures", "Drop-offs, cuts, holes and dug channels, to accept or reject"),
		s.finds)
}

// known depths of a water; an error where it has none.
func (s service) known(ctx context.Context, as *web.Scope, water uuid.UUID) (*ground.Grid, error) {
	g, err := s.Store.Grid(ctx, as.Angler, water)
	return g.Grid, err
}

func (s service) gridCells(ctx context.Context, as *web.Scope, in *wire.ByID) (*web.File, error) {
	g, err := s.known(ctx, as, in.ID)
	if err != nil {
		return nil, err
	}
	return &web.File{ContentType: "application/octet-stream", Body: cells(g)}, nil
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

func (s service) depthGrid(ctx context.Context, as *web.Scope, in *depthInput) (*web.File, error) {
	g, err := s.known(ctx, as, in.ID)
	if err != nil {
		return nil, err
	}
	level, err := s.Desk.Level(ctx, as.Angler, in.ID, as.At(in.Time))
	if err != nil {
		return nil, err
	}
	return web.Attached("depth.asc", "text/plain; charset=utf-8", asc.Write(g, func(z float64) float64 { return level - z })), nil
}

func (s service) cut(ctx context.Context, as *web.Scope, in *cutInput) (*cutOutput, error) {
	g, err := s.known(ctx, as, in.ID)
	if err != nil {
		return nil, err
	}
	from, to := ground.LatLon{Lat: in.FromLat, Lon: in.FromLon}, ground.LatLon{Lat: in.ToLat, Lon: in.ToLon}
	out := &cutOutput{}
	out.Body.BearingDeg, out.Body.Section = ground.Bearing(from, to), wire.SectionPoints(g.Cut(from, to, in.Points))
	if len(out.Body.Section) < 2 {
		return nil, web.Wrong("query", fmt.Errorf("nothing is known of the depths along that line"))
	}
	return out, nil
}

func (s service) finds(ctx context.Context, as *web.Scope, in *findsInput) (*findsOutput, error) {
	g, err := s.known(ctx, as, in.ID)
	if err != nil {
		return nil, err
	}
	out := &findsOutput{Body: []findOut{}}
	for _, f := range g.FindFeatures(in.LevelM, g.LookEvery()) {
		out.Body = append(out.Body, findOut{Kind: string(f.Kind), Lat: f.At.Lat, Lon: f.At.Lon, ElevationM: f.ElevationM, Why: f.Why})
	}
	return out, nil
}
