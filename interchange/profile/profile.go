// Package profile reads and writes the section of a spot as CSV (see
// interchange/table for separators): a column distance_m or distance_ft and one of
// elevation_m, elevation_ft, depth_m, depth_ft. Elevations are positive upwards
// from chart datum, depths downwards; the unit is part of the name. Errors name
// line and column.
package profile

import (
	"bytes"
	"cmp"
	"encoding/csv"
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"

	"greypebble/core/ground"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

const foot = 0.3048

var (
	distances = map[string]float64{"distance_m": 1, "distance_ft": foot}
	heights   = map[string]float64{"elevation_m": 1, "elevation_ft": foot, "depth_m": -1, "depth_ft": -foot}
)

// Most points of a section.
const Most = 500

// Read a section. The points may stand in any order; two at one distance are an
// error.
func Read(raw []byte) ([]ground.Point, error) {
	t, err := table.Open(raw, nil)
	if err != nil {
		return nil, err
	}
	along, alongUnit, err := one(t, distances)
	if err != nil {
		return nil, err
	}
	up, upUnit, err := one(t, heights)
	if err != nil {
		return nil, err
	}
	var out []ground.Point
	for {
		more, err := t.Next()
		if err != nil {
			return nil, err
		}
		if !more {
			break
		}
		d, err := number(t, along)
		if err != nil {
			return nil, err
		}
		z, err := number(t, up)
		if err != nil {
			return nil, err
		}
		if out = append(out, ground.Point{DistanceM: d * alongUnit, ElevationM: z * upUnit}); len(out) > Most {
			return nil, parse.At(t.Line(), "", fmt.Sprintf("more than %d points; a section needs far fewer", Most))
		}
	}
	slices.SortStableFunc(out, func(a, b ground.Point) int { return cmp.Compare(a.DistanceM, b.DistanceM) })
	if _, err := ground.NewSection(out); err != nil {
		return nil, parse.At(0, "", strings.TrimPrefix(err.Error(), "ground: "))
	}
	return out, nil
}

func one(t *table.Table, known map[string]float64) (string, float64, error) {
	names := make([]string, 0, len(known))
	found := ""
	for n := range known {
		names = append(names, n)
		if _, there := t.Columns[n]; there {
			if found != "" {
				return "", 0, parse.At(1, n, "says the same as "+found+"; expected one of them")
			}
			found = n
		}
	}
	if found == "" {
		slices.Sort(names)
		return "", 0, parse.At(1, "", fmt.Sprintf("expected one of the columns %s, not %q", strings.Join(names, ", "),
			strings.Join(t.Header, ", ")))
	}
	return found, known[found], nil
}

func number(t *table.Table, column string) (float64, error) {
	v, err := t.Number(column)
	if err == nil && math.IsNaN(v) {
		return 0, parse.At(t.Line(), column, "empty; expected a number")
	}
	return v, err
}

// Write a section; Read gives it back exactly.
func Write(points []ground.Point) []byte {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	rows := [][]string{{"distance_m", "elevation_m"}}
	for _, p := range points {
		rows = append(rows, []string{strconv.FormatFloat(p.DistanceM, 'f', -1, 64), strconv.FormatFloat(p.ElevationM, 'f', -1, 64)})
	}
	_ = w.WriteAll(rows) // to memory
	return b.Bytes()
}
