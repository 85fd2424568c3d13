// Package geojson reads and writes GeoJSON (RFC 7946): a FeatureCollection, a
// Feature or a bare geometry of points, lines and polygons, in longitude and
// latitude of WGS 84. A "crs" other than that is refused, as the standard has it.
package geojson

import (
	"encoding/json"
	"fmt"
	"strings"
	"time"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/geojson"

	"greypebble/interchange/feature"
)

// Read a file. Skipped names what of it was not taken.
func Read(raw []byte) (list []feature.Feature, skipped []feature.Skipped, err error) {
	defer func() {
		// The decoder panics on some members that are null.
		if p := recover(); p != nil {
			list, skipped, err = nil, nil, fmt.Errorf("geojson: the file is damaged: a member is null that may not be")
		}
	}()
	var head struct {
		Type     string          `json:"type"`
		CRS      json.RawMessage `json:"crs"`
		Features json.RawMessage `json:"features"`
	}
	if err := json.Unmarshal(raw, &head); err != nil {
		return nil, nil, fmt.Errorf("geojson: %w", err)
	}
	if len(head.CRS) > 0 && string(head.CRS) != "null" && !strings.Contains(string(head.CRS), "CRS84") &&
		!strings.Contains(string(head.CRS), "4326") {
		return nil, nil, fmt.Errorf("geojson: the file has another coordinate system than WGS 84; expected longitude and latitude " +
			"(RFC 7946)")
	}
	var c *geojson.FeatureCollection
	switch head.Type {
	case "FeatureCollection":
		if c, err = geojson.UnmarshalFeatureCollection(raw); err != nil {
			return nil, nil, fmt.Errorf("geojson: %w", err)
		}
	case "Feature":
		f, err := geojson.UnmarshalFeature(raw)
		if err != nil {
			return nil, nil, fmt.Errorf("geojson: %w", err)
		}
		c = &geojson.FeatureCollection{Features: []*geojson.Feature{f}}
	case "Point", "LineString", "Polygon", "MultiPoint", "MultiLineString", "MultiPolygon", "GeometryCollection":
		g, err := geojson.UnmarshalGeometry(raw)
		if err != nil {
			return nil, nil, fmt.Errorf("geojson: %w", err)
		}
		c = &geojson.FeatureCollection{Features: []*geojson.Feature{geojson.NewFeature(g.Geometry())}}
	default:
		return nil, nil, fmt.Errorf("geojson: type %q is not known; expected FeatureCollection", head.Type)
	}
	for i, f := range c.Features {
		one, why, err := featuresOf(f)
		if err != nil {
			return nil, nil, fmt.Errorf("geojson: feature %d: %w", i+1, err)
		}
		if why != "" {
			skipped = append(skipped, feature.Skipped{What: fmt.Sprintf("feature %d", i+1), Why: why})
		}
		if list = append(list, one...); len(list) > feature.MostFeatures {
			return nil, nil, fmt.Errorf("geojson: more than %d features", feature.MostFeatures)
		}
	}
	return list, skipped, nil
}

func featuresOf(f *geojson.Feature) (list []feature.Feature, why string, err error) {
	if f == nil || f.Geometry == nil {
		return nil, "it has no geometry", nil
	}
	base := described(f)
	add := func(k feature.Kind, parts ...[]feature.Position) {
		g := base
		g.Kind, g.Parts = k, parts
		list = append(list, g)
	}
	var walk func(g orb.Geometry)
	walk = func(g orb.Geometry) {
		switch g := g.(type) {
		case orb.Point:
			add(feature.Point, []feature.Position{{Lat: g[1], Lon: g[0]}})
		case orb.MultiPoint:
			for _, p := range g {
				walk(p)
			}
		case orb.LineString:
			k := feature.Track
			if base.Properties["kind"] == string(feature.Route) {
				k = feature.Route
			}
			add(k, places(g))
		case orb.MultiLineString:
			var parts [][]feature.Position
			for _, l := range g {
				parts = append(parts, places(l))
			}
			add(feature.Track, parts...)
		case orb.Polygon:
			var rings [][]feature.Position
			for _, r := range g {
				rings = append(rings, open(places(orb.LineString(r))))
			}
			add(feature.Area, rings...)
		case orb.MultiPolygon:
			for _, p := range g {
				walk(p)
			}
		case orb.Collection:
			for _, m := range g {
				walk(m)
			}
		}
	}
	walk(f.Geometry)
	for i := range list {
		delete(list[i].Properties, "kind")
		if len(list[i].Properties) == 0 {
			list[i].Properties = nil
		}
		if err := list[i].Check(); err != nil {
			return nil, "", err
		}
	}
	if len(list) == 0 {
		return nil, "its geometry is empty", nil
	}
	return list, "", nil
}

// described takes the usual properties apart from the rest.
func described(f *geojson.Feature) feature.Feature {
	out := feature.Feature{Properties: map[string]string{}}
	fields := map[string]*string{"name": &out.Name, "comment": &out.Comment, "description": &out.Description, "symbol": &out.Symbol,
		"type": &out.Type}
	for k, v := range f.Properties {
		text, ok := v.(string)
		if !ok {
			raw, err := json.Marshal(v)
			if err != nil || v == nil {
				continue
			}
			text = string(raw)
		}
		if to := fields[k]; to != nil {
			*to = text
		} else {
			out.Properties[k] = text
		}
	}
	return out
}

func places(l orb.LineString) []feature.Position {
	out := make([]feature.Position, len(l))
	for i, p := range l {
		out[i] = feature.Position{Lat: p[1], Lon: p[0]}
	}
	return out
}

// open drops the last place of a ring where it repeats the first.
func open(ring []feature.Position) []feature.Position {
	if n := len(ring); n > 1 && ring[0].Lat == ring[n-1].Lat && ring[0].Lon == ring[n-1].Lon {
		return ring[:n-1]
	}
	return ring
}

// Write features as a FeatureCollection. Elevations and times of single places
// are kept for points only, as properties: the format has no room for them.
func Write(list []feature.Feature) ([]byte, error) {
	c := geojson.NewFeatureCollection()
	for _, f := range list {
		var g orb.Geometry
		switch f.Kind {
		case feature.Point:
			if len(f.Parts) == 0 || len(f.Parts[0]) == 0 {
				continue
			}
			g = orb.Point{f.Parts[0][0].Lon, f.Parts[0][0].Lat}
		case feature.Area:
			var p orb.Polygon
			for _, r := range f.Parts {
				ring := orb.Ring(line(r))
				if len(ring) > 0 {
					ring = append(ring, ring[0])
				}
				p = append(p, ring)
			}
			g = p
		default:
			if len(f.Parts) == 1 {
				g = line(f.Parts[0])
				break
			}
			var m orb.MultiLineString
			for _, part := range f.Parts {
				m = append(m, line(part))
			}
			g = m
		}
		one := geojson.NewFeature(g)
		for k, v := range map[string]string{"name": f.Name, "comment": f.Comment, "description": f.Description, "symbol": f.Symbol,
			"type": f.Type} {
			if v != "" {
				one.Properties[k] = v
			}
		}
		for k, v := range f.Properties {
			one.Properties[k] = v
		}
		if f.Kind == feature.Route {
			one.Properties["kind"] = string(feature.Route)
		}
		if f.Kind == feature.Point {
			if p := f.Parts[0][0]; p.Ele != nil {
				one.Properties["ele_m"] = *p.Ele
			}
			if p := f.Parts[0][0]; p.Time != nil {
				one.Properties["time"] = p.Time.UTC().Format(time.RFC3339)
			}
		}
		c.Append(one)
	}
	return c.MarshalJSON()
}

func line(part []feature.Position) orb.LineString {
	out := make(orb.LineString, len(part))
	for i, p := range part {
		out[i] = orb.Point{p.Lon, p.Lat}
	}
	return out
}
