// Package feature is what GPX, GeoJSON, KML and CSV have in common: named points,
// lines and areas on the Earth.
package feature

import (
	"fmt"
	"math"
	"time"
)

// Kind of a feature.
type Kind string

// Kinds. A track is a line that was followed, a route one that is planned.
const (
	Point Kind = "point"
	Track Kind = "track"
	Route Kind = "route"
	Area  Kind = "area"
)

// Position on the Earth, WGS 84.
type Position struct {
	Lat, Lon float64
	// Ele is the elevation in metres and Time the moment, where they are known.
	Ele  *float64
	Time *time.Time
}

// Feature with its places: one for a point, parts for a track, rings for an area.
type Feature struct {
	Kind                       Kind
	Name, Comment, Description string
	Symbol, Type               string
	Parts                      [][]Position
	// Properties beyond those, as texts.
	Properties map[string]string
}

// Skipped says what was left out of a file and why.
type Skipped struct{ What, Why string }

// Limits of a file.
const (
	MostFeatures = 20_000
	MostPlaces   = 500_000
)

// Check refuses places that are not on Earth, and says so when latitude and
// longitude look swapped.
func (p Position) Check() error {
	switch {
	case p.Ele != nil && !(math.Abs(*p.Ele) < 20_000):
		return fmt.Errorf("an elevation of %v m is not on Earth", *p.Ele)
	case math.IsNaN(p.Lat) || math.IsNaN(p.Lon) || math.Abs(p.Lon) > 180 || math.Abs(p.Lat) > 180:
		return fmt.Errorf("latitude %v, longitude %v is not on Earth; degrees of WGS 84 are expected", p.Lat, p.Lon)
	case math.Abs(p.Lat) > 90:
		return fmt.Errorf("latitude %v is more than 90: latitude and longitude seem to be swapped", p.Lat)
	}
	return nil
}

// With parts of places, those that are empty left out: a segment without points is none.
func (f Feature) With(parts ...[]Position) Feature {
	f.Parts = nil
	for _, part := range parts {
		if len(part) > 0 {
			f.Parts = append(f.Parts, part)
		}
	}
	return f
}

// Places it has in all.
func (f Feature) Places() (n int) {
	for _, part := range f.Parts {
		n += len(part)
	}
	return n
}

// Check every place of a feature and that it has as many as its kind needs.
func (f Feature) Check() error {
	least := map[Kind]int{Point: 1, Track: 1, Route: 1, Area: 3}[f.Kind]
	if least == 0 {
		return fmt.Errorf("unknown kind %q", f.Kind)
	}
	n := f.Places()
	for _, part := range f.Parts {
		if len(part) == 0 {
			return fmt.Errorf("%s %q has a part without places", f.Kind, f.Name)
		}
		for _, p := range part {
			if err := p.Check(); err != nil {
				return fmt.Errorf("%s %q: %w", f.Kind, f.Name, err)
			}
		}
	}
	if f.Kind == Area {
		for _, ring := range f.Parts {
			if len(ring) < least {
				return fmt.Errorf("%s %q has a ring of %d places; expected %d", f.Kind, f.Name, len(ring), least)
			}
		}
	}
	if n < least || f.Kind == Point && n != 1 {
		return fmt.Errorf("%s %q has %d places; expected %d", f.Kind, f.Name, n, least)
	}
	return nil
}
