// Package format is the one table of the file formats that are read and written: what each
// is called, how it is told, and what reads and writes it. The import's choice, the
// export's menu and the documents follow from it; to add a format takes an entry here and
// the package that reads and writes it.
package format

import (
	"fmt"
	"strings"

	"greypebble/core/quantity"
	"greypebble/interchange/feature"
	"greypebble/interchange/geojson"
	"greypebble/interchange/gpx"
	"greypebble/interchange/kml"
	"greypebble/interchange/pointcsv"
)

// Kind of file a format is, as a form shows it.
type Kind struct {
	// ID in addresses, Name on screen, Note on what it is for.
	ID, Name, Note string
	// Extensions with their dots, the first being the one written.
	Extensions []string
	MIME       string
}

// Places is a format of points, lines and areas.
type Places struct {
	Kind
	// Whole says that it carries a whole spot, section, ways and marks.
	Whole bool
	Read  func(raw []byte) ([]feature.Feature, []feature.Skipped, error)
	// Write in the units spoken in, where the format leaves the choice.
	Write func(list []feature.Feature, u quantity.Units) ([]byte, error)
}

// creator of the files written.
const creator = "Grey Pebble"

var ofPlaces = []Places{
	{Kind{"gpx", "GPX", "waypoints, routes and tracks", []string{".gpx"}, "application/gpx+xml"}, false,
		gpx.Read, inMetres(func(list []feature.Feature) ([]byte, error) { return gpx.Write(list, creator) })},
	{Kind{"geojson", "GeoJSON", "whole spots, with section, ways and marks", []string{".geojson", ".json"}, "application/geo+json"}, true,
		geojson.Read, inMetres(geojson.Write)},
	{Kind{"kml", "KML", "places for a globe", []string{".kml"}, "application/vnd.google-earth.kml+xml"}, false,
		kml.Read, inMetres(kml.Write)},
	{Kind{"csv", "CSV", "a table of points", []string{".csv"}, "text/csv; charset=utf-8"}, false,
		pointcsv.Read, func(list []feature.Feature, u quantity.Units) ([]byte, error) { return pointcsv.Write(list, u), nil }},
}

// inMetres writes a format that has heights in metres, whoever reads it.
func inMetres(write func([]feature.Feature) ([]byte, error)) func([]feature.Feature, quantity.Units) ([]byte, error) {
	return func(list []feature.Feature, _ quantity.Units) ([]byte, error) { return write(list) }
}

// OfPlaces are the formats of places, in the order they are offered.
func OfPlaces() []Places { return append([]Places(nil), ofPlaces...) }

// PlacesBy an id; the error lists those there are.
func PlacesBy(id string) (Places, error) {
	var known []string
	for _, f := range ofPlaces {
		if f.ID == id {
			return f, nil
		}
		known = append(known, f.ID)
	}
	return Places{}, fmt.Errorf("unknown format %q; known are %s", id, strings.Join(known, ", "))
}
