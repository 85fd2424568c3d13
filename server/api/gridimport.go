package api

import (
	"context"
	"fmt"
	"math"
	"strings"
	"time"

	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/tide"
	"greypebble/interchange/asc"
	"greypebble/interchange/feature"
	"greypebble/interchange/geojson"
	"greypebble/interchange/nmea"
	"greypebble/interchange/soundings"
	"greypebble/server/store"
)

type gridInput struct {
	Format    string    `query:"format" enum:"asc,xyz,nmea,geojson" required:"true" doc:"ESRI ASCII grid, soundings as CSV, a sounder's log, points of GeoJSON with a property such as depth_m"`
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
	switch in.Format {
	case "xyz":
		list, err = soundings.Read(in.RawBody, in.DatumM)
	case "geojson":
		var features []feature.Feature
		if features, _, err = geojson.Read(in.RawBody); err == nil {
			list, err = soundings.FromFeatures(features, in.DatumM)
		}
	default:
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
