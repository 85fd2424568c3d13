// Package pointcsv reads and writes named points as CSV (see interchange/table for
// separators): columns name, lat and lon in degrees of WGS 84, and, where they are
// there, type, elevation_m and note. Errors name line and column.
package pointcsv

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"math"
	"strconv"
	"strings"

	"greypebble/interchange/feature"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

// columns as they are written; the first three are needed.
var columns = []string{"name", "lat", "lon", "type", "elevation_m", "note"}

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
	if _, there := t.Columns["elevation_m"]; there {
		v, err := t.Number("elevation_m")
		if err != nil {
			return f, err
		}
		if !math.IsNaN(v) {
			p.Ele = &v
		}
	}
	f.Parts = [][]feature.Position{{p}}
	return f, nil
}

// Write the points of a list; lines and areas are left out, which the format
// cannot carry.
func Write(list []feature.Feature) []byte {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	rows := [][]string{columns}
	number := func(v float64) string { return strconv.FormatFloat(v, 'f', -1, 64) }
	for _, f := range list {
		if f.Kind != feature.Point {
			continue
		}
		p, ele := f.Parts[0][0], ""
		if p.Ele != nil {
			ele = number(*p.Ele)
		}
		rows = append(rows, []string{table.Guarded(f.Name), number(p.Lat), number(p.Lon), table.Guarded(f.Type), ele,
			table.Guarded(f.Description)})
	}
	_ = w.WriteAll(rows) // to memory
	return b.Bytes()
}
