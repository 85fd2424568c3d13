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
	Lat         *float64  `xml:"lat,attr"`
	Lon         *float64  `xml:"lon,attr"`
	Ele         *float64  `xml:"ele,omitempty"`
	Time        string    `xml:"time,omitempty"`
	Name        string    `xml:"name,omitempty"`
	Comment     string    `xml:"cmt,omitempty"`
	Description string    `xml:"desc,omitempty"`
	Symbol      string    `xml:"sym,omitempty"`
	Type        string    `xml:"type,omitempty"`
	Extensions  *anything `xml:"extensions,omitempty"`
}

type anything struct{}

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
		return nil, nil, parse.At(line, "", err.Error())
	}
	r := reader{}
	for i, p := range doc.Points {
		f := feature.Feature{Kind: feature.Point, Name: p.Name, Comment: p.Comment, Description: p.Description, Symbol: p.Symbol,
			Type: p.Type}
		f.Parts = [][]feature.Position{r.places(fmt.Sprintf("wpt %d", i+1), []point{p})}
		r.keep(f)
	}
	for i, p := range doc.Routes {
		f := feature.Feature{Kind: feature.Route, Name: p.Name, Comment: p.Comment, Description: p.Description, Type: p.Type}
		f.Parts = [][]feature.Position{r.places(fmt.Sprintf("rte %d", i+1), p.Points)}
		r.keep(f)
	}
	for i, t := range doc.Tracks {
		f := feature.Feature{Kind: feature.Track, Name: t.Name, Comment: t.Comment, Description: t.Description, Type: t.Type}
		for _, s := range t.Segments {
			f.Parts = append(f.Parts, r.places(fmt.Sprintf("trk %d", i+1), s.Points))
		}
		r.keep(f)
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
	places := 0
	for _, p := range f.Parts {
		places += len(p)
	}
	if places == 0 {
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
		q := feature.Position{Lat: *p.Lat, Lon: *p.Lon, Ele: p.Ele}
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
	q := point{Lat: &p.Lat, Lon: &p.Lon, Ele: p.Ele}
	if p.Time != nil {
		q.Time = p.Time.UTC().Format(time.RFC3339Nano)
	}
	return q
}
