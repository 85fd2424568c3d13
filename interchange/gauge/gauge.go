// Package gauge reads a tide gauge's record from CSV (see interchange/table for
// separators and times): columns time, and height_m (or height_cm, height_mm,
// height_ft; plain height is metres). Others are passed over. An empty height is
// a gap. Errors name line and column and what was expected; nothing is half
// read.
package gauge

import (
	"fmt"
	"math"
	"strings"
	"time"

	"greypebble/core/tide"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

// Options of a reading.
type Options struct {
	// Zone of times that carry no offset; nil refuses them.
	Zone *time.Location
}

// MostSamples a file may hold: twenty years of six-minute readings.
const MostSamples = 1_800_000

// Read a record.
func Read(raw []byte, o Options) ([]tide.Sample, error) {
	t, err := table.Open(raw, o.Zone)
	if err != nil {
		return nil, err
	}
	height, err := HeightOf(t)
	if err != nil {
		return nil, err
	}
	var samples []tide.Sample
	for {
		more, err := t.Next()
		if err != nil {
			return nil, err
		}
		if !more {
			return samples, nil
		}
		h, err := height.Metres()
		if err != nil {
			return nil, err
		}
		if math.IsNaN(h) {
			continue // a gap
		}
		at, err := t.Time("time")
		if err != nil {
			return nil, err
		}
		if samples = append(samples, tide.Sample{Time: at, HeightM: h}); len(samples) > MostSamples {
			return nil, parse.At(t.Line(), "", fmt.Sprintf("more than %d readings; send the record in parts", MostSamples))
		}
	}
}

var heights = map[string]float64{"height": 1, "height_m": 1, "height_cm": 0.01, "height_mm": 0.001, "height_ft": 0.3048}

// highest a tide can stand off its gauge's zero, metres: with the greatest
// range on Earth at some 16 m, more is a wrong unit or a wrong column.
const highest = 50

// Height is the column of a table that holds heights.
type Height struct {
	table *table.Table
	name  string
	scale float64
}

// HeightOf a table; none, two of them, or no column of times are errors.
func HeightOf(t *table.Table) (Height, error) {
	h := Height{table: t}
	for n, s := range heights {
		if _, there := t.Columns[n]; !there {
			continue
		}
		if h.name != "" {
			return h, parse.At(1, n, "there are two such columns; expected one")
		}
		h.name, h.scale = n, s
	}
	if _, timed := t.Columns["time"]; !timed || h.name == "" {
		return h, parse.At(1, "", fmt.Sprintf("expected columns time and height_m (or height_cm, height_ft), not %q",
			strings.Join(t.Header, ", ")))
	}
	return h, nil
}

// Metres in this line; NaN where it is empty.
func (h Height) Metres() (float64, error) {
	v, err := h.table.Number(h.name)
	if v *= h.scale; err == nil && math.Abs(v) > highest {
		return v, parse.At(h.table.Line(), h.name,
			fmt.Sprintf("a height of %.6g m cannot be; expected between −%d and %d m: is the unit right?", v, highest, highest))
	}
	return v, err
}

// Name of the column.
func (h Height) Name() string { return h.name }
