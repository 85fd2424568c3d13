// Package tagcsv reads a list of tagged fish that others met: a line a fish with the number of its
// tag, when and where it was met.
package tagcsv

import (
	"fmt"
	"math"
	"time"

	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

// Fish of a list.
type Fish struct {
	Number, Programme, Species string
	Met                        time.Time
	Lat, Lon                   float64
	// LengthM of it; 0: not measured.
	LengthM float64
}

// Most fish of a list.
const Most = 20_000

// lengths a column may hold, by its name (NIST SP 811, appendix B).
var lengths = map[string]float64{"length_m": 1, "length_cm": 0.01, "length_mm": 0.001, "length_in": 0.0254}

// Read a list; times without an offset are of a zone. Errors name line and column.
func Read(raw []byte, zone *time.Location) ([]Fish, error) {
	t, err := table.Open(raw, zone)
	if err != nil {
		return nil, err
	}
	for _, needed := range []string{"tag_number", "time", "lat", "lon"} {
		if _, there := t.Columns[needed]; !there {
			return nil, parse.At(1, needed, "is missing; expected at least tag_number, time, lat and lon")
		}
	}
	var out []Fish
	for {
		more, err := t.Next()
		if err != nil || !more {
			return out, err
		}
		if len(out) == Most {
			return nil, parse.At(t.Line(), "", fmt.Sprintf("more than %d fish; send the list in parts", Most))
		}
		f, err := read(t)
		if err != nil {
			return nil, err
		}
		out = append(out, f)
	}
}

func read(t *table.Table) (f Fish, err error) {
	for name, into := range map[string]*string{"tag_number": &f.Number, "tag_programme": &f.Programme, "species": &f.Species} {
		if _, there := t.Columns[name]; !there {
			continue
		}
		if *into, err = t.Text(name); err != nil {
			return f, err
		}
		if most := map[string]int{"tag_number": 40}[name]; len([]rune(*into)) > max(most, 80) || most > 0 && len([]rune(*into)) > most {
			return f, parse.At(t.Line(), name, "is too long")
		}
	}
	if f.Number == "" {
		return f, parse.At(t.Line(), "tag_number", "expected the number of a tag")
	}
	if f.Met, err = t.Time("time"); err != nil {
		return f, err
	}
	if y := f.Met.Year(); y < 1950 || y > 2199 {
		return f, parse.At(t.Line(), "time", "expected a year from 1950 to 2199")
	}
	for name, into := range map[string]*float64{"lat": &f.Lat, "lon": &f.Lon} {
		if *into, err = t.Number(name); err != nil {
			return f, err
		}
		if most := map[string]float64{"lat": 90, "lon": 180}[name]; !(math.Abs(*into) <= most) {
			return f, parse.At(t.Line(), name, fmt.Sprintf("expected degrees from %g to %g", -most, most))
		}
	}
	for name, factor := range lengths {
		if _, there := t.Columns[name]; !there {
			continue
		}
		v, err := t.Number(name)
		if err != nil {
			return f, err
		}
		if math.IsNaN(v) {
			continue
		}
		if f.LengthM = v * factor; !(f.LengthM > 0 && f.LengthM < 4) {
			return f, parse.At(t.Line(), name, "expected a length between nought and 4 m")
		}
	}
	return f, nil
}
