package files

import (
	"context"
	"errors"
	"fmt"
	"math"
	"strings"
	"time"

	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/tide"
	"greypebble/interchange/format"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

type gridInput struct {
	Format    depthsFormat `query:"format" required:"true" doc:"ESRI ASCII grid, CSV, a sounder's log, GeoJSON points with depth_m"`
	WaterID   uuid.UUID    `query:"water_id" format:"uuid" required:"true"`
	Unit      string       `query:"unit" enum:"m,ft,cm" doc:"of an ESRI grid's numbers"`
	Sign      string       `query:"sign" enum:"elevation,depth" doc:"whether an ESRI grid's numbers are positive upwards or downwards"`
	DatumM    float64      `query:"datum_m" doc:"how far the file's zero lies above chart datum"`
	Datum     string       `query:"datum" doc:"the file's datum in words" maxLength:"80"`
	OriginLat float64      `query:"origin_lat" minimum:"-90" maximum:"90" doc:"the place an ESRI grid's metres are counted from"`
	OriginLon float64      `query:"origin_lon" minimum:"-180" maximum:"180"`
	CellM     float64      `query:"cell_m" default:"10" doc:"for soundings"`
	ReachM    float64      `query:"reach_m" default:"30"`
	Keep      bool         `query:"keep" doc:"store it; otherwise only say what it is"`
	RawBody   []byte       `contentType:"text/plain"`
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

// longestSource of a grid, in characters.
const longestSource = 200

func (s service) importGrid(ctx context.Context, as *web.Scope, in *gridInput) (*gridOutput, error) {
	if _, err := s.Store.Water(ctx, as.Angler, in.WaterID); err != nil {
		return nil, err
	}
	if strings.TrimSpace(in.Datum) == "" {
		return nil, web.Wrong("query.datum", errors.New("say which datum the file's depths are counted from, and how far it lies "+
			"above chart datum"))
	}
	g, n, err := s.gridOf(ctx, as, in)
	if err != nil {
		return nil, err
	}
	out := &gridOutput{}
	out.Body.GridSummary = summaryOf(g, n)
	if out.Body.Known == 0 {
		return nil, web.Wrong("body", fmt.Errorf("nothing in the file has a depth"))
	}
	if !in.Keep {
		return out, nil
	}
	out.Body.Kept = true
	return out, s.Store.PutGrid(ctx, as.Angler, in.WaterID, store.Grid{Grid: g,
		Source: clip(string(in.Format)+", datum "+in.Datum, longestSource)})
}

func summaryOf(g *ground.Grid, soundings int) GridSummary {
	mid := g.Centre(g.Rows/2, g.Cols/2)
	o := GridSummary{Rows: g.Rows, Cols: g.Cols, CellM: g.CellM(), Lat: mid.Lat, Lon: mid.Lon, Soundings: soundings}
	o.LowM, o.HighM = g.Range()
	for _, z := range g.Z {
		if !math.IsNaN(float64(z)) {
			o.Known++
		}
	}
	return o
}

func (s service) gridOf(ctx context.Context, as *web.Scope, in *gridInput) (*ground.Grid, int, error) {
	f, err := format.DepthsBy(string(in.Format))
	if err != nil {
		return nil, 0, web.Wrong("query.format", err)
	}
	m := format.Meaning{Unit: in.Unit, Sign: in.Sign, DatumM: in.DatumM, CellM: in.CellM, ReachM: in.ReachM,
		Level: func(from, to time.Time) (func(time.Time) float64, error) {
			place, err := s.Store.TideOf(ctx, as.Angler, in.WaterID)
			if err != nil {
				return nil, err
			}
			c, err := tide.Over(place, from, to)
			if err != nil {
				return nil, err
			}
			return c.Level, nil
		}}
	if in.OriginLat != 0 || in.OriginLon != 0 {
		m.Origin = &ground.LatLon{Lat: in.OriginLat, Lon: in.OriginLon}
	}
	g, n, err := f.Read(in.RawBody, m)
	var missing format.MeaningError
	switch {
	case errors.As(err, &missing):
		return nil, 0, web.Wrong("query."+missing.Field, missing)
	case err != nil:
		return nil, 0, web.Wrong("body", err)
	}
	return g, n, nil
}
