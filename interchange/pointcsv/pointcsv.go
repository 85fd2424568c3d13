// Package pointcsv reads and writes named points as CSV (see interchange/table for
// separators): columns name, lat and lon in degrees of WGS 84, and, where they are
// there, type, elevation_m (or elevation_ft) and note. Errors name line and column.
package pointcsv

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"

	"greypebble/core/quantity"
	"greypebble/interchange/feature"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

// columns as they are written, in metres; the first three are needed.
var columns = []string{"name", "lat", "lon", "type", elevation + "m", "note"}

// elevation columns begin so; the ending tells the unit.
const elevation = "elevation_"

// elevations read, by column: metres to one of the unit.
var elevations = map[string]float64{elevation + "m": 1, elevation + "ft": foot}

const foot = 0.3048

// Read points. A line without a name is kept: what becomes of it is not for the
// format to say.
func Read(raw []byte) ([]feature.Feature, []feature.Skipped, error) {
	t, err := table.Open(raw, nil)
	if err != nil {
		return nil, nil, err
	}
	for _, c := range columns[:3] {
		if _, there := t.Columns[c]; !there {
			return nil, nil, parse.At(1, "", fmt.Sprintf("expected columns name, lat and lon, not %q", strings.Join(t.Header, ", ")))
		}
	}
	var out []feature.Feature
	for {
		more, err := t.Next()
		if err != nil {
			return nil, nil, err
		}
		if !more {
			return out, nil, nil
		}
		f, err := read(t)
		if err != nil {
			return nil, nil, err
		}
		if out = append(out, f); len(out) > feature.MostFeatures {
			return nil, nil, parse.At(t.Line(), "", fmt.Sprintf("more than %d places; send the file in parts", feature.MostFeatures))
		}
	}
}

func read(t *table.Table) (feature.Feature, error) {
	f := feature.Feature{Kind: feature.Point}
	var p feature.Position
	for name, to := range map[string]*string{"name": &f.Name, "type": &f.Type, "note": &f.Description} {
		if _, there := t.Columns[name]; !there {
			continue
		}
		var err error
		if *to, err = t.Text(name); err != nil {
			return f, err
		}
	}
	for name, to := range map[string]*float64{"lat": &p.Lat, "lon": &p.Lon} {
		v, err := t.Number(name)
		if err != nil {
			return f, err
		}
		if math.IsNaN(v) {
			return f, parse.At(t.Line(), name, "empty; expected degrees")
		}
		*to = v
	}
	if err := p.Check(); err != nil {
		return f, parse.At(t.Line(), "lat", err.Error())
	}
	for name, metres := range elevations {
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
		if p.Ele != nil {
			return f, parse.At(t.Line(), name, "stands in another unit too; expected one of them")
		}
		v *= metres
		p.Ele = &v
	}
	f.Parts = [][]feature.Position{{p}}
	return f, nil
}

// Write the points of a list, elevations in the units spoken in; lines and areas are left
// out, which the format cannot carry.
func Write(list []feature.Feature, u quantity.Units) []byte {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	name := elevation + quantity.Ending(u.Of("depth"))
	if elevations[name] == 0 {
		name = elevation + "m"
	}
	rows := [][]string{slices.Clone(columns)}
	rows[0][slices.Index(columns, elevation+"m")] = name
	number := func(v float64) string { return strconv.FormatFloat(v, 'f', -1, 64) }
	height := func(m float64) string {
		if elevations[name] == 1 {
			return number(m)
		}
		// Feet to a millionth: what was typed in them is written as it was.
		return number(math.Round(m/elevations[name]*1e6) / 1e6)
	}
	for _, f := range list {
		if f.Kind != feature.Point {
			continue
		}
		p, ele := f.Parts[0][0], ""
		if p.Ele != nil {
			ele = height(*p.Ele)
		}
		rows = append(rows, []string{table.Guarded(f.Name), number(p.Lat), number(p.Lon), table.Guarded(f.Type), ele,
			table.Guarded(f.Description)})
	}
	_ = w.WriteAll(rows) // to memory
	return b.Bytes()
}
