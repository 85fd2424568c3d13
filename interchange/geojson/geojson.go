// Package geojson reads and writes GeoJSON (RFC 7946): a FeatureCollection, a
// Feature or a bare geometry of points, lines and polygons, in longitude and
// latitude of WGS 84. A "crs" other than that is refused, as the standard has it.
package geojson

import (
	"time"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/geojson"

	"greypebble/interchange/feature"
)

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
