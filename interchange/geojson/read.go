package geojson

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"math"
	"slices"
	"strings"

	"greypebble/interchange/feature"
	"greypebble/interchange/parse"
)

// deepest nesting of geometry collections.
const deepest = 8

type object = map[string]any

// Read a file. Skipped names what of it was not taken. It takes time in proportion to the
// file's length, however it is nested.
func Read(raw []byte) (list []feature.Feature, skipped []feature.Skipped, err error) {
	var v any
	if err := json.Unmarshal(bytes.TrimPrefix(raw, []byte("\ufeff")), &v); err != nil {
		return nil, nil, damaged(raw, err)
	}
	root, ok := v.(object)
	if !ok {
		return nil, nil, errors.New("geojson: expected an object with a type, such as a FeatureCollection")
	}
	if crs, err := json.Marshal(root["crs"]); err != nil || root["crs"] != nil && !strings.Contains(string(crs), "CRS84") &&
		!strings.Contains(string(crs), "4326") {
		return nil, nil, errors.New("geojson: the file has another coordinate system than WGS 84; expected longitude and latitude " +
			"(RFC 7946)")
	}
	members, err := membersOf(root)
	if err != nil {
		return nil, nil, err
	}
	r := reader{}
	for i, m := range members {
		r.base, r.out = described(m), nil
		if why, err := r.feature(m); err != nil {
			return nil, nil, fmt.Errorf("geojson: feature %d: %w", i+1, err)
		} else if why != "" {
			skipped = append(skipped, feature.Skipped{What: fmt.Sprintf("feature %d", i+1), Why: why})
		}
		if list = append(list, r.out...); len(list) > feature.MostFeatures {
			return nil, nil, fmt.Errorf("geojson: more than %d features", feature.MostFeatures)
		}
	}
	return list, skipped, nil
}

// damaged says where a file is not JSON.
func damaged(raw []byte, err error) error {
	var syntax *json.SyntaxError
	if !errors.As(err, &syntax) {
		return errors.New("geojson: this is no GeoJSON")
	}
	before := raw[:min(int(syntax.Offset), len(raw))]
	line := 1 + bytes.Count(before, []byte("\n"))
	column := len(before) - (bytes.LastIndexByte(before, '\n') + 1)
	return parse.At(line, fmt.Sprint(column), "this is no JSON: "+syntax.Error())
}

// geometries of the standard.
var geometries = []string{"Point", "LineString", "Polygon", "MultiPoint", "MultiLineString", "MultiPolygon", "GeometryCollection"}

// membersOf a file as features.
func membersOf(root object) ([]object, error) {
	switch kind, _ := root["type"].(string); {
	case kind == "FeatureCollection":
		list, ok := root["features"].([]any)
		if !ok {
			return nil, errors.New(`geojson: expected a list of features under "features"`)
		}
		out := make([]object, len(list))
		for i, m := range list {
			if out[i], ok = m.(object); !ok || out[i]["type"] != "Feature" {
				return nil, fmt.Errorf(`geojson: feature %d: expected an object of the type "Feature"`, i+1)
			}
		}
		return out, nil
	case kind == "Feature":
		return []object{root}, nil
	case slices.Contains(geometries, kind):
		return []object{{"type": "Feature", "geometry": root}}, nil
	default:
		return nil, fmt.Errorf("geojson: type %q is not known; expected FeatureCollection", kind)
	}
}

// reader of one feature after another; places are counted over the whole file.
type reader struct {
	base   feature.Feature
	out    []feature.Feature
	places int
}

func (r *reader) feature(m object) (why string, err error) {
	if m["geometry"] == nil {
		return "it has no geometry", nil
	}
	if err := r.geometry(m["geometry"], 0); err != nil {
		return "", err
	}
	for i := range r.out {
		f := &r.out[i]
		delete(f.Properties, "kind")
		if len(f.Properties) == 0 {
			f.Properties = nil
		}
		if err := f.Check(); err != nil {
			return "", err
		}
	}
	if len(r.out) == 0 {
		return "its geometry is empty", nil
	}
	return "", nil
}

func (r *reader) add(k feature.Kind, parts ...[]feature.Position) error {
	f := r.base.With(parts...)
	if f.Places() == 0 {
		return nil
	}
	if len(r.out) >= feature.MostFeatures {
		return fmt.Errorf("more than %d places in one collection", feature.MostFeatures)
	}
	f.Kind = k
	if len(r.out) > 0 && f.Properties != nil { // each its own
		f.Properties = nil
		for name, v := range r.base.Properties {
			if f.Properties == nil {
				f.Properties = make(map[string]string, len(r.base.Properties))
			}
			f.Properties[name] = v
		}
	}
	r.out = append(r.out, f)
	return nil
}

func (r *reader) geometry(v any, depth int) error {
	g, ok := v.(object)
	if !ok {
		return errors.New("expected a geometry with its type")
	}
	kind, _ := g["type"].(string)
	if kind == "GeometryCollection" {
		list, ok := g["geometries"].([]any)
		if !ok {
			return errors.New(`expected a list under "geometries"`)
		}
		if depth == deepest {
			return fmt.Errorf("geometry collections lie more than %d deep in one another", deepest)
		}
		for _, inner := range list {
			if err := r.geometry(inner, depth+1); err != nil {
				return err
			}
		}
		return nil
	}
	if !slices.Contains(geometries, kind) {
		return fmt.Errorf("geometry of the type %q is not known", kind)
	}
	list, ok := g["coordinates"].([]any)
	if !ok {
		return fmt.Errorf("%s: expected a list of coordinates", kind)
	}
	if err := r.coordinates(kind, list); err != nil {
		return fmt.Errorf("%s: %w", kind, err)
	}
	return nil
}

func (r *reader) coordinates(kind string, list []any) error {
	switch kind {
	case "Point":
		p, err := r.position(list)
		if err != nil {
			return err
		}
		return r.add(feature.Point, []feature.Position{p})
	case "MultiPoint":
		return each(list, func(one []any) error { return r.coordinates("Point", one) })
	case "LineString":
		line, err := r.line(list)
		if err != nil {
			return err
		}
		k := feature.Track
		if r.base.Properties["kind"] == string(feature.Route) {
			k = feature.Route
		}
		return r.add(k, line)
	case "MultiLineString", "Polygon":
		var parts [][]feature.Position
		if err := each(list, func(one []any) error {
			line, err := r.line(one)
			if kind == "Polygon" {
				line = open(line)
			}
			parts = append(parts, line)
			return err
		}); err != nil {
			return err
		}
		if kind == "Polygon" {
			return r.add(feature.Area, parts...)
		}
		return r.add(feature.Track, parts...)
	default: // MultiPolygon
		return each(list, func(one []any) error { return r.coordinates("Polygon", one) })
	}
}

// each member of a list that is one of lists.
func each(list []any, f func([]any) error) error {
	for i, m := range list {
		one, ok := m.([]any)
		if !ok {
			return fmt.Errorf("member %d: expected a list", i+1)
		}
		if err := f(one); err != nil {
			return err
		}
	}
	return nil
}

func (r *reader) line(list []any) ([]feature.Position, error) {
	out := make([]feature.Position, 0, len(list))
	err := each(list, func(one []any) error {
		p, err := r.position(one)
		out = append(out, p)
		return err
	})
	return out, err
}

// position "[longitude, latitude]", with whatever more after them.
func (r *reader) position(list []any) (feature.Position, error) {
	if r.places++; r.places > feature.MostPlaces {
		return feature.Position{}, fmt.Errorf("more than %d places; send the file in parts", feature.MostPlaces)
	}
	if len(list) >= 2 {
		lon, isLon := list[0].(float64)
		lat, isLat := list[1].(float64)
		if isLon && isLat && !math.IsInf(lon, 0) && !math.IsInf(lat, 0) {
			return feature.Position{Lat: lat, Lon: lon}, nil
		}
	}
	text, err := json.Marshal(list)
	if err != nil || len(text) > 60 {
		text = []byte("something else")
	}
	return feature.Position{}, fmt.Errorf("expected [longitude, latitude], not %s", text)
}

// described takes the usual properties apart from the rest.
func described(m object) feature.Feature {
	out := feature.Feature{Properties: map[string]string{}}
	fields := map[string]*string{"name": &out.Name, "comment": &out.Comment, "description": &out.Description, "symbol": &out.Symbol,
		"type": &out.Type}
	properties, _ := m["properties"].(object)
	for k, v := range properties {
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

// open drops the last place of a ring where it repeats the first.
func open(ring []feature.Position) []feature.Position {
	if n := len(ring); n > 1 && ring[0].Lat == ring[n-1].Lat && ring[0].Lon == ring[n-1].Lon {
		return ring[:n-1]
	}
	return ring
}
