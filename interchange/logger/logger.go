// Package logger reads what instruments and stations have logged as CSV (see
// interchange/table for separators and times): a column time, and one or more of
// those the table of kinds in core/conditions knows, such as water_temp_c or
// wind_speed_kn. The unit is part of the name: it is never guessed. An empty value is a gap. Errors name line and column
// and what was expected; nothing is half read.
package logger

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"math"
	"sort"
	"strconv"
	"strings"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/quantity"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

// column is a condition in a unit.
type column struct {
	kind conditions.Kind
	unit string // as core/quantity writes it
}

// columns by their names, as the table of kinds has them.
var columns = func() map[string]column {
	out := make(map[string]column)
	for _, n := range conditions.Natures() {
		for name, unit := range n.Columns.Names() {
			out[name] = column{n.Kind, unit}
		}
	}
	return out
}()

// Columns a log may have, in alphabetical order.
func Columns() []string {
	out := make([]string, 0, len(columns))
	for n := range columns {
		out = append(out, n)
	}
	sort.Strings(out)
	return out
}

// MostReadings a file may hold.
const MostReadings = 500_000

// Read a log as observed readings of a source.
func Read(raw []byte, zone *time.Location, source string) ([]conditions.Reading, error) {
	t, err := table.Open(raw, zone)
	if err != nil {
		return nil, err
	}
	var known []string
	for _, n := range Columns() {
		if _, there := t.Columns[n]; there {
			known = append(known, n)
		}
	}
	if _, timed := t.Columns["time"]; !timed || len(known) == 0 {
		return nil, parse.At(1, "", fmt.Sprintf("expected a column time and one of %s, not %q", strings.Join(Columns(), ", "),
			strings.Join(t.Header, ", ")))
	}
	if a, b, twice := sameKind(known); twice {
		return nil, parse.At(1, b, "says the same as "+a+"; expected one of them")
	}
	var out []conditions.Reading
	for {
		more, err := t.Next()
		if err != nil {
			return nil, err
		}
		if !more {
			return out, nil
		}
		at, err := t.Time("time")
		if err != nil {
			return nil, err
		}
		for _, name := range known {
			r, there, err := value(t, name, at, source)
			if err != nil {
				return nil, err
			}
			if there {
				out = append(out, r)
			}
		}
		if len(out) > MostReadings {
			return nil, parse.At(t.Line(), "", fmt.Sprintf("more than %d readings; send the log in parts", MostReadings))
		}
	}
}

func sameKind(names []string) (a, b string, twice bool) {
	seen := map[conditions.Kind]string{}
	for _, n := range names {
		k := columns[n].kind
		if first, again := seen[k]; again {
			return first, n, true
		}
		seen[k] = n
	}
	return "", "", false
}

func value(t *table.Table, name string, at time.Time, source string) (r conditions.Reading, there bool, err error) {
	v, err := t.Number(name)
	if err != nil || math.IsNaN(v) {
		return r, false, err
	}
	c := columns[name]
	if v, err = conditions.InUnit(c.kind, v, c.unit); err != nil {
		return r, false, parse.At(t.Line(), name, err.Error())
	}
	r = conditions.Reading{Kind: c.kind, Value: math.Round(v*1e6) / 1e6, Time: at, Origin: conditions.Observed, Source: source}
	if err := r.Validate(); err != nil {
		return r, false, parse.At(t.Line(), name, strings.TrimPrefix(err.Error(), "conditions: "))
	}
	return r, true, nil
}

// Write readings as a log, a line a moment and a column a kind, in the units spoken in where
// [Read] takes them.
func Write(readings []conditions.Reading, spoken quantity.Units) []byte {
	var kinds []conditions.Kind
	rows := map[time.Time]map[conditions.Kind]float64{}
	for _, r := range readings {
		if rows[r.Time] == nil {
			rows[r.Time] = map[conditions.Kind]float64{}
		}
		rows[r.Time][r.Kind] = r.Value
	}
	for _, k := range conditions.Kinds() {
		for _, r := range readings {
			if r.Kind == k {
				kinds = append(kinds, k)
				break
			}
		}
	}
	times := make([]time.Time, 0, len(rows))
	for t := range rows {
		times = append(times, t)
	}
	sort.Slice(times, func(i, j int) bool { return times[i].Before(times[j]) })
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	line := []string{"time"}
	in := make([]string, len(kinds))
	for i, k := range kinds {
		var name string
		name, in[i] = columnOf(k, spoken)
		line = append(line, name)
	}
	_ = w.Write(line)
	for _, t := range times {
		line = append(line[:0], t.UTC().Format(time.RFC3339Nano))
		for i, k := range kinds {
			text := ""
			if v, there := rows[t][k]; there {
				text = strconv.FormatFloat(written(v, in[i]), 'g', -1, 64)
			}
			line = append(line, text)
		}
		_ = w.Write(line)
	}
	w.Flush()
	return b.Bytes()
}

// columnOf a kind in the unit its measure is spoken in, and that unit; its own name and no unit
// where it has none.
func columnOf(k conditions.Kind, spoken quantity.Units) (name, unit string) {
	for _, n := range conditions.Natures() {
		if n.Kind != k {
			continue
		}
		measure := n.Measure
		if measure == "height" { // of waves, as depths are
			measure = "depth"
		}
		unit = spoken.Of(measure)
		if name = n.Columns.Stem + "_" + quantity.Ending(unit); unit != "" && columns[name].unit == unit {
			return name, unit
		}
	}
	return string(k), ""
}

// written so that the six places [Read] keeps are the same again.
func written(v float64, unit string) float64 {
	if unit == "" {
		return v
	}
	return math.Round(quantity.Written(v, unit)*1e8) / 1e8
}
