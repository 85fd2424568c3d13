package store

import (
	"cmp"
	"database/sql"
	"encoding/json"
	"fmt"
	"slices"

	"github.com/google/uuid"

	"greypebble/core/ground"
)

type markRow struct {
	ID        string          `db:"id"`
	Spot      uuid.UUID       `db:"spot_id"`
	Name      string          `db:"name"`
	Kind      string          `db:"kind"`
	Distance  float64         `db:"distance_m"`
	Elevation float64         `db:"elevation_m"`
	Bottom    string          `db:"bottom"`
	Min       float64         `db:"fishable_min_m"`
	Max       sql.NullFloat64 `db:"fishable_max_m"`
	Line      string          `db:"line"`
	Lat       sql.NullFloat64 `db:"lat_deg"`
	Lon       sql.NullFloat64 `db:"lon_deg"`
	Note      string          `db:"note"`
	Snag      bool            `db:"snag"`
}

func markRowOf(spot uuid.UUID, m ground.Mark) markRow {
	r := markRow{ID: m.ID, Spot: spot, Name: m.Name, Kind: string(m.Kind), Distance: m.DistanceM, Elevation: m.ElevationM, Bottom: m.Bottom,
		Min: m.Fishable.MinM, Max: sql.NullFloat64{Float64: m.Fishable.MaxM, Valid: m.Fishable.MaxM > 0}, Line: m.Line, Note: m.Note,
		Snag: m.Snag}
	if m.At != nil {
		r.Lat, r.Lon = sql.NullFloat64{Float64: m.At.Lat, Valid: true}, sql.NullFloat64{Float64: m.At.Lon, Valid: true}
	}
	return r
}

// markRowsOf a spot, nearest first as they are read.
func markRowsOf(spot uuid.UUID, marks []ground.Mark) []markRow {
	out := make([]markRow, len(marks))
	for i, m := range marks {
		out[i] = markRowOf(spot, m)
	}
	slices.SortFunc(out, func(a, b markRow) int { return cmp.Or(cmp.Compare(a.Distance, b.Distance), cmp.Compare(a.ID, b.ID)) })
	return out
}

func (r markRow) mark() ground.Mark {
	m := ground.Mark{ID: r.ID, Name: r.Name, Kind: ground.MarkKind(r.Kind), DistanceM: r.Distance, ElevationM: r.Elevation,
		Bottom: r.Bottom, Fishable: ground.Depths{MinM: r.Min, MaxM: r.Max.Float64}, Line: r.Line, Note: r.Note, Snag: r.Snag}
	if r.Lat.Valid && r.Lon.Valid {
		m.At = &ground.LatLon{Lat: r.Lat.Float64, Lon: r.Lon.Float64}
	}
	return m
}

type shapeJSON struct {
	Area   bool         `json:"area"`
	Points [][2]float64 `json:"points"`
}

func shapeText(s *ground.Shape) (sql.NullString, error) {
	if s == nil {
		return sql.NullString{}, nil
	}
	j := shapeJSON{Area: s.Area}
	for _, p := range s.Points {
		j.Points = append(j.Points, [2]float64{p.Lon, p.Lat})
	}
	text, err := json.Marshal(j)
	return sql.NullString{String: string(text), Valid: true}, err
}

func shapeOf(text sql.NullString) (*ground.Shape, error) {
	if !text.Valid {
		return nil, nil
	}
	var j shapeJSON
	if err := json.Unmarshal([]byte(text.String), &j); err != nil {
		return nil, fmt.Errorf("store: shape: %w", err)
	}
	s := &ground.Shape{Area: j.Area}
	for _, p := range j.Points {
		s.Points = append(s.Points, ground.LatLon{Lat: p[1], Lon: p[0]})
	}
	return s, nil
}
