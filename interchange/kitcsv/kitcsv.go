package kitcsv

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"maps"
	"math"
	"slices"
	"strconv"
	"strings"

	"greypebble/core/kit"
	"greypebble/core/quantity"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

// A number is written to more places than it is read to, so that what was converted both ways
// is what it was.
const placesWritten, placesRead = 14, 12

// rounded to the places read.
func rounded(v float64) float64 {
	v, _ = strconv.ParseFloat(strconv.FormatFloat(v, 'g', placesRead, 64), 64)
	return v
}

// column of the table: how it is read into an item and written from one.
type column struct {
	name   string
	number func(*kit.Item) *float64
	text   func(*kit.Item) *string
	flag   func(*kit.Item) *bool
}

var columns = []column{
	{name: "kind"}, {name: "name", text: func(i *kit.Item) *string { return &i.Name }},
	{name: "offering", text: func(i *kit.Item) *string { return &i.Offering }},
	{name: "length_m", number: func(i *kit.Item) *float64 { return &i.LengthM }},
	{name: "weight_kg", number: func(i *kit.Item) *float64 { return &i.WeightKg }},
	{name: "rated_kg", number: func(i *kit.Item) *float64 { return &i.RatedKg }},
	{name: "ratio", number: func(i *kit.Item) *float64 { return &i.Ratio }},
	{name: "spool_m", number: func(i *kit.Item) *float64 { return &i.SpoolM }},
	{name: "turn_m", number: func(i *kit.Item) *float64 { return &i.TurnM }},
	{name: "diameter_m", number: func(i *kit.Item) *float64 { return &i.DiameterM }},
	{name: "break_n", number: func(i *kit.Item) *float64 { return &i.BreakN }},
	{name: "material", text: func(i *kit.Item) *string { return &i.Material }},
	{name: "size", text: func(i *kit.Item) *string { return &i.Size }},
	{name: "pattern", text: func(i *kit.Item) *string { return &i.Pattern }},
	{name: "rated_m", number: func(i *kit.Item) *float64 { return &i.RatedM }},
	{name: "fall_ms", number: func(i *kit.Item) *float64 { return &i.FallMS }},
	{name: "finish", text: func(i *kit.Item) *string { return &i.Finish }},
	{name: "snag_proof", flag: func(i *kit.Item) *bool { return &i.SnagProof }},
	{name: "in_hand", flag: func(i *kit.Item) *bool { return &i.InHand }},
	{name: "count"},
}

// units a column may come in instead of its own, by the column's name: SI is the number
// times the factor (NIST SP 811, appendix B).
var units = map[string]map[string]float64{
	"length_m":   {"length_cm": 0.01, "length_ft": 0.3048, "length_in": 0.0254},
	"weight_kg":  {"weight_g": 0.001, "weight_oz": 0.028349523125},
	"rated_kg":   {"rated_g": 0.001, "rated_oz": 0.028349523125},
	"spool_m":    {"spool_mm": 0.001, "spool_in": 0.0254},
	"turn_m":     {"turn_cm": 0.01, "turn_in": 0.0254},
	"diameter_m": {"diameter_mm": 0.001, "diameter_in": 0.0254},
	"break_n":    {"break_lb": 4.4482216152605, "break_kg": 9.80665},
	"rated_m":    {"rated_ft": 0.3048},
	"fall_ms":    {"fall_fts": 0.3048},
}

// named is the column of a table a value stands in, by its own name or in another unit; false
// for none.
func (c column) named(t *table.Table) (name string, factor float64, there bool) {
	if _, there := t.Columns[c.name]; there {
		return c.name, 1, true
	}
	for name, factor := range units[c.name] {
		if _, there := t.Columns[name]; there {
			return name, factor, true
		}
	}
	return "", 0, false
}

// PassedOver begins the name of a column that is to be passed over: others that are unknown are
// mistakes in writing.
const PassedOver = "passed over"

// most things a file may hold.
const most = 5000

// Read things; each is checked. A thing is in hand unless the file says no.
func Read(raw []byte) ([]kit.Item, error) {
	t, err := table.Open(raw, nil)
	if err != nil {
		return nil, err
	}
	if err := checkHeader(t); err != nil {
		return nil, err
	}
	var out []kit.Item
	for {
		more, err := t.Next()
		if err != nil || !more {
			return out, err
		}
		if len(out) == most {
			return nil, parse.At(t.Line(), "", fmt.Sprintf("more than %d things; send the file in parts", most))
		}
		i, err := read(t)
		if err != nil {
			return nil, err
		}
		if err := i.Validate(); err != nil {
			return nil, parse.At(t.Line(), "", strings.TrimPrefix(err.Error(), "kit: "))
		}
		out = append(out, i)
	}
}

func checkHeader(t *table.Table) error {
	var known []string
	for _, c := range columns {
		known = append(append(known, c.name), slices.Sorted(maps.Keys(units[c.name]))...)
		if _, there := t.Columns[c.name]; there {
			for name := range units[c.name] {
				if _, twice := t.Columns[name]; twice {
					return parse.At(1, name, "says the same as "+c.name+"; expected one of them")
				}
			}
		}
	}
	for name := range t.Columns {
		if strings.HasPrefix(name, PassedOver) {
			continue
		}
		if !strings.Contains(" "+strings.Join(known, " ")+" ", " "+name+" ") {
			return parse.At(1, name, "unknown column; known are "+strings.Join(known, ", "))
		}
	}
	for _, c := range []string{"kind", "name"} {
		if _, there := t.Columns[c]; !there {
			return parse.At(1, "", fmt.Sprintf("expected at least the columns kind and name, not %q", strings.Join(t.Header, ", ")))
		}
	}
	return nil
}

func read(t *table.Table) (kit.Item, error) {
	i := kit.Item{InHand: true}
	for _, c := range columns {
		name, factor, there := c.named(t)
		if !there {
			continue
		}
		text, err := t.Text(name)
		if err != nil {
			return i, err
		}
		if text == "" {
			continue
		}
		switch {
		case c.name == "kind":
			i.Kind = kit.Kind(strings.ToLower(text))
		case c.text != nil:
			*c.text(&i) = text
		case c.flag != nil:
			v, ok := map[string]bool{"yes": true, "no": false, "true": true, "false": false, "1": true, "0": false}[strings.ToLower(text)]
			if !ok {
				return i, parse.At(t.Line(), c.name, fmt.Sprintf("expected yes or no, not %q", text))
			}
			*c.flag(&i) = v
		default:
			v, err := t.Number(name)
			if err != nil {
				return i, err
			}
			if c.name == "count" {
				if v != math.Trunc(v) || math.Abs(v) > 1e6 {
					return i, parse.At(t.Line(), c.name, fmt.Sprintf("expected a whole number, not %q", text))
				}
				i.Count = int(v)
			} else {
				*c.number(&i) = rounded(v * factor)
			}
		}
	}
	return i, nil
}

// spoken is the measure each column is spoken in.
var spoken = map[string]string{"length_m": "tackle", "weight_kg": "weight", "rated_kg": "weight", "spool_m": "tackle",
	"turn_m": "tackle", "diameter_m": "tackle", "break_n": "line", "rated_m": "depth", "fall_ms": "run"}

// in is the name of a column in somebody's units and what its numbers are to be divided by;
// its own where [Read] takes no such unit.
func (c column) in(u quantity.Units) (name string, factor float64) {
	name = c.name[:strings.LastIndex(c.name, "_")+1] + quantity.Ending(u.Of(spoken[c.name]))
	if factor, known := units[c.name][name]; known {
		return name, factor
	}
	return c.name, 1
}

// Write things in the units spoken in; what is not said stays empty.
func Write(list []kit.Item, u quantity.Units) ([]byte, error) {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	header := make([]string, len(columns))
	factors := make([]float64, len(columns))
	for i, c := range columns {
		header[i], factors[i] = c.in(u)
	}
	if err := w.Write(header); err != nil {
		return nil, err
	}
	for k := range list {
		i := &list[k]
		line := make([]string, len(columns))
		for n, c := range columns {
			switch {
			case c.name == "kind":
				line[n] = string(i.Kind)
			case c.text != nil:
				line[n] = table.Guarded(*c.text(i))
			case c.flag != nil:
				line[n] = map[bool]string{true: "yes", false: "no"}[*c.flag(i)]
			case c.name == "count":
				if i.Count > 0 {
					line[n] = strconv.Itoa(i.Count)
				}
			default:
				if v := *c.number(i); v != 0 {
					line[n] = strconv.FormatFloat(v/factors[n], 'g', placesWritten, 64)
				}
			}
		}
		if err := w.Write(line); err != nil {
			return nil, err
		}
	}
	w.Flush()
	return b.Bytes(), w.Error()
}
