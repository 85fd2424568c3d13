// Package kml reads and writes KML 2.2 (OGC 07-147): placemarks with points,
// lines and polygons in any folder, with name and description. Styles, overlays
// and links are passed over and said so.
package kml

import (
	"bytes"
	"encoding/xml"
	"errors"
	"fmt"
	"io"
	"math"
	"strconv"
	"strings"

	"github.com/twpayne/go-kml/v3"

	"greypebble/interchange/feature"
	"greypebble/interchange/parse"
)

type placemark struct {
	Name        string `xml:"name"`
	Description string `xml:"description"`
	geometries
}

type geometries struct {
	Points   []coordinates `xml:"Point"`
	Lines    []coordinates `xml:"LineString"`
	Polygons []polygon     `xml:"Polygon"`
	Multi    []geometries  `xml:"MultiGeometry"`
}

type coordinates struct {
	Text string `xml:"coordinates"`
}

type polygon struct {
	Outer coordinates   `xml:"outerBoundaryIs>LinearRing"`
	Inner []coordinates `xml:"innerBoundaryIs>LinearRing"`
}

// deepest nesting of geometries.
const deepest = 8

// Read a file. Skipped names what of it was not taken.
// A packed file (KMZ) is unpacked first.
func Read(raw []byte) ([]feature.Feature, []feature.Skipped, error) {
	raw, err := unpacked(raw)
	if err != nil {
		return nil, nil, err
	}
	d := xml.NewDecoder(bytes.NewReader(raw))
	var list []feature.Feature
	var skipped []feature.Skipped
	passed := map[string]int{}
	found := false
	for {
		token, err := d.Token()
		if errors.Is(err, io.EOF) {
			break
		}
		line, _ := d.InputPos()
		if err != nil {
			return nil, nil, damaged(line, err)
		}
		start, ok := token.(xml.StartElement)
		if !ok {
			continue
		}
		switch start.Name.Local {
		case "kml":
			found = true
		case "GroundOverlay", "NetworkLink", "ScreenOverlay", "Tour":
			passed[start.Name.Local]++
			if err := d.Skip(); err != nil {
				return nil, nil, damaged(line, err)
			}
		case "Placemark":
			var p placemark
			if err := d.DecodeElement(&p, &start); err != nil {
				return nil, nil, damaged(line, err)
			}
			one, err := p.features(p.geometries, 0)
			if err != nil {
				return nil, nil, parse.At(line, "Placemark", err.Error())
			}
			if len(one) == 0 {
				skipped = append(skipped, feature.Skipped{What: fmt.Sprintf("placemark %q", p.Name),
					Why: "it has no point, line or polygon"})
			}
			if list = append(list, one...); len(list) > feature.MostFeatures {
				return nil, nil, parse.At(line, "", fmt.Sprintf("more than %d placemarks", feature.MostFeatures))
			}
		}
	}
	if !found {
		return nil, nil, parse.At(1, "", "no KML was found; expected <kml …>")
	}
	for name, n := range passed {
		skipped = append(skipped, feature.Skipped{What: fmt.Sprintf("%d %s", n, name), Why: "only placemarks are read"})
	}
	return list, skipped, nil
}

// damaged says where a file is not the XML it should be.
func damaged(line int, err error) error {
	var syntax *xml.SyntaxError
	if errors.As(err, &syntax) {
		return parse.At(syntax.Line, "", syntax.Msg)
	}
	return parse.At(line, "", "this is no KML: "+err.Error())
}

func (p placemark) features(g geometries, depth int) ([]feature.Feature, error) {
	if depth > deepest {
		return nil, fmt.Errorf("geometries are nested too deep")
	}
	var out []feature.Feature
	add := func(k feature.Kind, texts ...string) error {
		var parts [][]feature.Position
		for _, text := range texts {
			part, err := places(text)
			if err != nil {
				return err
			}
			if n := len(part); k == feature.Area && n > 1 && part[0].Lat == part[n-1].Lat && part[0].Lon == part[n-1].Lon {
				part = part[:n-1]
			}
			parts = append(parts, part)
		}
		f := feature.Feature{Kind: k, Name: p.Name, Description: p.Description}.With(parts...)
		if err := f.Check(); err != nil {
			return err
		}
		out = append(out, f)
		return nil
	}
	for _, c := range g.Points {
		if err := add(feature.Point, c.Text); err != nil {
			return nil, err
		}
	}
	for _, c := range g.Lines {
		if err := add(feature.Track, c.Text); err != nil {
			return nil, err
		}
	}
	for _, c := range g.Polygons {
		texts := []string{c.Outer.Text}
		for _, i := range c.Inner {
			texts = append(texts, i.Text)
		}
		if err := add(feature.Area, texts...); err != nil {
			return nil, err
		}
	}
	for _, m := range g.Multi {
		more, err := p.features(m, depth+1)
		if err != nil {
			return nil, err
		}
		out = append(out, more...)
	}
	return out, nil
}

// places of a list "lon,lat[,ele] lon,lat …".
func places(text string) ([]feature.Position, error) {
	var out []feature.Position
	for _, tuple := range strings.Fields(text) {
		parts := strings.Split(tuple, ",")
		if len(parts) < 2 || len(parts) > 3 {
			return nil, fmt.Errorf("expected longitude,latitude[,elevation], not %q", tuple)
		}
		var v [3]float64
		for i, s := range parts {
			x, err := strconv.ParseFloat(s, 64)
			if err != nil || math.IsNaN(x) || math.IsInf(x, 0) {
				return nil, fmt.Errorf("expected a number, not %q", s)
			}
			v[i] = x
		}
		p := feature.Position{Lat: v[1], Lon: v[0]}
		if len(parts) == 3 {
			p.Ele = &v[2]
		}
		if len(out) >= feature.MostPlaces {
			return nil, fmt.Errorf("more than %d places in one shape", feature.MostPlaces)
		}
		out = append(out, p)
	}
	return out, nil
}

// Write features as placemarks. Times, symbols and comments are not part of
// what the format carries here.
func Write(list []feature.Feature) ([]byte, error) {
	doc := kml.Document()
	for _, f := range list {
		var shape kml.Element
		switch f.Kind {
		case feature.Point:
			if len(f.Parts) == 0 || len(f.Parts[0]) == 0 {
				continue
			}
			shape = kml.Point(kml.Coordinates(coordinatesOf(f.Parts[0])...))
		case feature.Area:
			var rings []kml.Element
			for i, r := range f.Parts {
				ring := coordinatesOf(r)
				if len(ring) > 0 {
					ring = append(ring, ring[0])
				}
				closed := kml.LinearRing(kml.Coordinates(ring...))
				if i == 0 {
					rings = append(rings, kml.OuterBoundaryIs(closed))
				} else {
					rings = append(rings, kml.InnerBoundaryIs(closed))
				}
			}
			shape = kml.Polygon(rings...)
		default:
			var lines []kml.Element
			for _, part := range f.Parts {
				lines = append(lines, kml.LineString(kml.Coordinates(coordinatesOf(part)...)))
			}
			shape = kml.MultiGeometry(lines...)
			if len(lines) == 1 {
				shape = lines[0]
			}
		}
		doc.Append(kml.Placemark(kml.Name(f.Name), kml.Description(f.Description), shape))
	}
	var b bytes.Buffer
	err := kml.KML(doc).WriteIndent(&b, "", " ")
	return b.Bytes(), err
}

func coordinatesOf(part []feature.Position) []kml.Coordinate {
	out := make([]kml.Coordinate, len(part))
	for i, p := range part {
		out[i] = kml.Coordinate{Lon: p.Lon, Lat: p.Lat}
		if p.Ele != nil {
			out[i].Alt = *p.Ele
		}
	}
	return out
}
