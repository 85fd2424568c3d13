// Package gpx reads and writes GPX 1.1 (the public schema of 2004): waypoints,
// routes and tracks with name, comment, description, symbol, type, elevation and
// time. Extensions are passed over and counted. Errors name the line and what was
// expected; nothing is half read.
package gpx

import (
	"bytes"
	"encoding/xml"
	"errors"
	"fmt"
	"io"
	"math"
	"strconv"
	"strings"
	"time"

	"greypebble/interchange/feature"
	"greypebble/interchange/parse"
)

type document struct {
	XMLName xml.Name `xml:"gpx"`
	NS      string   `xml:"xmlns,attr,omitempty"`
	Version string   `xml:"version,attr"`
	Creator string   `xml:"creator,attr"`
	Points  []point  `xml:"wpt"`
	Routes  []route  `xml:"rte"`
	Tracks  []track  `xml:"trk"`
}

// point in the schema's order of elements.
type point struct {
	Lat         *number   `xml:"lat,attr"`
	Lon         *number   `xml:"lon,attr"`
	Ele         *number   `xml:"ele,omitempty"`
	Time        string    `xml:"time,omitempty"`
	Name        string    `xml:"name,omitempty"`
	Comment     string    `xml:"cmt,omitempty"`
	Description string    `xml:"desc,omitempty"`
	Symbol      string    `xml:"sym,omitempty"`
	Type        string    `xml:"type,omitempty"`
	Extensions  *anything `xml:"extensions,omitempty"`
}

type anything struct{}

// number in a file; what is none is told in words.
type number float64

// UnmarshalText of an attribute or an element.
func (n *number) UnmarshalText(text []byte) error {
	v, err := strconv.ParseFloat(strings.TrimSpace(string(text)), 64)
	if err != nil || math.IsNaN(v) || math.IsInf(v, 0) {
		return numberError(text)
	}
	*n = number(v)
	return nil
}

// MarshalText as short as it can be.
func (n number) MarshalText() ([]byte, error) {
	return strconv.AppendFloat(nil, float64(n), 'f', -1, 64), nil
}

type numberError string

func (e numberError) Error() string {
	return fmt.Sprintf("expected a number like 31.214, not %q", string(e))
}

func float(n *number) *float64 {
	if n == nil {
		return nil
	}
	v := float64(*n)
	return &v
}

type route struct {
	Name        string  `xml:"name,omitempty"`
	Comment     string  `xml:"cmt,omitempty"`
	Description string  `xml:"desc,omitempty"`
	Type        string  `xml:"type,omitempty"`
	Points      []point `xml:"rtept"`
}

type track struct {
	Name        string    `xml:"name,omitempty"`
	Comment     string    `xml:"cmt,omitempty"`
	Description string    `xml:"desc,omitempty"`
	Type        string    `xml:"type,omitempty"`
	Segments    []segment `xml:"trkseg"`
}

type segment struct {
	Points []point `xml:"trkpt"`
}

const namespace = "http://www.topografix.com/GPX/1/1"

// Read a file. Skipped names what of it was not taken.
func Read(raw []byte) ([]feature.Feature, []feature.Skipped, error) {
	d := xml.NewDecoder(bytes.NewReader(raw))
	d.CharsetReader = func(charset string, in io.Reader) (io.Reader, error) {
		return nil, fmt.Errorf("the file is written in %s; expected UTF-8", charset)
	}
	var doc document
	if err := d.Decode(&doc); err != nil {
		line, _ := d.InputPos()
		var syntax *xml.SyntaxError
		switch {
		case errors.As(err, &syntax):
			return nil, nil, parse.At(syntax.Line, "", syntax.Msg)
		case errors.Is(err, io.EOF):
			return nil, nil, parse.At(1, "", "no GPX was found; expected <gpx …>")
		}
		var wrong numberError
		if errors.As(err, &wrong) {
			return nil, nil, parse.At(line, "", wrong.Error())
		}
		return nil, nil, parse.At(line, "", "this is no GPX: "+err.Error())
	}
	r := reader{}
	for i, p := range doc.Points {
		f := feature.Feature{Kind: feature.Point, Name: p.Name, Comment: p.Comment, Description: p.Description, Symbol: p.Symbol,
			Type: p.Type}
		r.keep(f.With(r.places(fmt.Sprintf("wpt %d", i+1), []point{p})))
	}
	for i, p := range doc.Routes {
		f := feature.Feature{Kind: feature.Route, Name: p.Name, Comment: p.Comment, Description: p.Description, Type: p.Type}
		r.keep(f.With(r.places(fmt.Sprintf("rte %d", i+1), p.Points)))
	}
	for i, t := range doc.Tracks {
		f := feature.Feature{Kind: feature.Track, Name: t.Name, Comment: t.Comment, Description: t.Description, Type: t.Type}
		var parts [][]feature.Position
		for _, s := range t.Segments {
			parts = append(parts, r.places(fmt.Sprintf("trk %d", i+1), s.Points))
		}
		r.keep(f.With(parts...))
	}
	if r.err != nil {
		return nil, nil, r.err
	}
	if r.extensions > 0 {
		r.skipped = append(r.skipped, feature.Skipped{What: fmt.Sprintf("extensions of %d points", r.extensions),
			Why: "they are not part of GPX itself"})
	}
	return r.features, r.skipped, nil
}

type reader struct {
	features   []feature.Feature
	skipped    []feature.Skipped
	extensions int
	n          int
	err        error
}

func (r *reader) keep(f feature.Feature) {
	if f.Places() == 0 {
		r.skipped = append(r.skipped, feature.Skipped{What: fmt.Sprintf("%s %q", f.Kind, f.Name), Why: "it has no points"})
		return
	}
	r.features = append(r.features, f)
	if len(r.features) > feature.MostFeatures {
		r.fail(fmt.Errorf("gpx: more than %d features", feature.MostFeatures))
	}
}

func (r *reader) fail(err error) {
	if r.err == nil {
		r.err = err
	}
}

func (r *reader) places(where string, list []point) []feature.Position {
	out := make([]feature.Position, 0, len(list))
	for i, p := range list {
		if p.Lat == nil || p.Lon == nil {
			r.fail(fmt.Errorf("gpx: %s, point %d: lat and lon are missing", where, i+1))
			return nil
		}
		q := feature.Position{Lat: float64(*p.Lat), Lon: float64(*p.Lon), Ele: float(p.Ele)}
		if err := q.Check(); err != nil {
			r.fail(fmt.Errorf("gpx: %s, point %d: %w", where, i+1, err))
			return nil
		}
		if text := strings.TrimSpace(p.Time); text != "" {
			t, err := time.Parse(time.RFC3339Nano, text)
			if err != nil {
				r.fail(fmt.Errorf("gpx: %s, point %d: expected a time like 2026-05-12T06:00:00Z, not %q", where, i+1, text))
				return nil
			}
			t = t.UTC()
			q.Time = &t
		}
		if p.Extensions != nil {
			r.extensions++
		}
		if r.n++; r.n > feature.MostPlaces {
			r.fail(fmt.Errorf("gpx: more than %d points; send the file in parts", feature.MostPlaces))
			return nil
		}
		out = append(out, q)
	}
	return out
}

// Write features as GPX 1.1. Areas become tracks of the type "area": the format
// has none.
func Write(list []feature.Feature, creator string) ([]byte, error) {
	doc := document{NS: namespace, Version: "1.1", Creator: creator}
	for _, f := range list {
		switch f.Kind {
		case feature.Point:
			if len(f.Parts) == 0 || len(f.Parts[0]) == 0 {
				continue
			}
			p := pointOf(f.Parts[0][0])
			p.Name, p.Comment, p.Description, p.Symbol, p.Type = f.Name, f.Comment, f.Description, f.Symbol, f.Type
			doc.Points = append(doc.Points, p)
		case feature.Route:
			r := route{Name: f.Name, Comment: f.Comment, Description: f.Description, Type: f.Type}
			for _, part := range f.Parts {
				for _, p := range part {
					r.Points = append(r.Points, pointOf(p))
				}
			}
			doc.Routes = append(doc.Routes, r)
		default:
			t := track{Name: f.Name, Comment: f.Comment, Description: f.Description, Type: f.Type}
			for _, part := range f.Parts {
				var s segment
				for _, p := range part {
					s.Points = append(s.Points, pointOf(p))
				}
				if f.Kind == feature.Area && len(part) > 0 {
					s.Points = append(s.Points, pointOf(part[0]))
				}
				t.Segments = append(t.Segments, s)
			}
			if f.Kind == feature.Area && t.Type == "" {
				t.Type = "area"
			}
			doc.Tracks = append(doc.Tracks, t)
		}
	}
	out, err := xml.MarshalIndent(doc, "", " ")
	return append([]byte(xml.Header), append(out, '\n')...), err
}

func pointOf(p feature.Position) point {
	lat, lon := number(p.Lat), number(p.Lon)
	q := point{Lat: &lat, Lon: &lon}
	if p.Ele != nil {
		ele := number(*p.Ele)
		q.Ele = &ele
	}
	if p.Time != nil {
		q.Time = p.Time.UTC().Format(time.RFC3339Nano)
	}
	return q
}
