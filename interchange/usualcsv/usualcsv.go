// Package usualcsv reads and writes what is usual of a water as a table of twelve months: a column
// month (1 to 12, or its name), one for each kind, and, beside any of them, one named with _spread after
// it. A kind may come in another unit than its own; a month or a spread may be left out.
package usualcsv

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"
	"time"

	"greypebble/core/conditions"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

// unit a kind may come in: SI is the number times the factor, less the offset first.
type unit struct{ offset, factor float64 }

// columns of a kind, its own first (NIST SP 811, appendix B).
var columns = []struct {
	kind  conditions.Kind
	own   string
	other map[string]unit
}{
	{conditions.WaterTemp, "water_temp_c", map[string]unit{"water_temp_f": {32, 5.0 / 9}}},
	{conditions.Clarity, "clarity_secchi_m", map[string]unit{"clarity_secchi_ft": {0, 0.3048}}},
	{conditions.WindSpeed, "wind_speed_ms", map[string]unit{"wind_speed_kn": {0, 1852.0 / 3600}, "wind_speed_mph": {0, 0.44704},
		"wind_speed_kmh": {0, 1 / 3.6}}},
}

const spread = "_spread"

// Read a table. What is not known of a month is left out; a kind without a month is no kind.
func Read(raw []byte) (conditions.Usual, error) {
	t, err := table.Open(raw, nil)
	if err != nil {
		return nil, err
	}
	in, err := header(t)
	if err != nil {
		return nil, err
	}
	out, seen := conditions.Usual{}, map[int]bool{}
	for {
		more, err := t.Next()
		if err != nil {
			return nil, err
		}
		if !more {
			break
		}
		month, err := monthOf(t)
		if err != nil {
			return nil, err
		}
		if seen[month] {
			return nil, parse.At(t.Line(), "month", fmt.Sprintf("%s stands twice", time.Month(month)))
		}
		seen[month] = true
		if err := in.line(t, month, out); err != nil {
			return nil, err
		}
	}
	if len(out) == 0 {
		return nil, parse.At(1, "", "no month with a value; expected a line for each month something is known of")
	}
	return out, nil
}

// reader of the columns a table has: by kind, which column in which unit.
type reader map[conditions.Kind]struct {
	column string
	unit   unit
}

func header(t *table.Table) (reader, error) {
	in, known := reader{}, []string{"month"}
	if _, there := t.Columns["month"]; !there {
		return nil, parse.At(1, "month", "no such column; expected month and at least one of water_temp_c, clarity_secchi_m, wind_speed_ms")
	}
	for _, c := range columns {
		names := map[string]unit{c.own: {0, 1}}
		for name, u := range c.other {
			names[name] = u
		}
		for name, u := range names {
			known = append(known, name, name+spread)
			if _, there := t.Columns[name]; !there {
				continue
			}
			if one, twice := in[c.kind]; twice {
				return nil, parse.At(1, max(name, one.column),
					"the same as "+min(name, one.column)+" in another unit; expected one of them")
			}
			in[c.kind] = struct {
				column string
				unit   unit
			}{name, u}
		}
	}
	for name := range t.Columns {
		if !slices.Contains(known, name) {
			return nil, parse.At(1, name, "no such column; expected month, "+strings.Join(known[1:], ", "))
		}
	}
	if len(in) == 0 {
		return nil, parse.At(1, "", "no kind; expected one of water_temp_c, clarity_secchi_m, wind_speed_ms")
	}
	return in, nil
}

func monthOf(t *table.Table) (int, error) {
	text, err := t.Text("month")
	if err != nil {
		return 0, err
	}
	if n, err := strconv.Atoi(text); err == nil && n >= 1 && n <= 12 {
		return n, nil
	}
	for m := time.January; m <= time.December; m++ {
		if len(text) >= 3 && strings.HasPrefix(strings.ToLower(m.String()), strings.ToLower(text)) {
			return int(m), nil
		}
	}
	return 0, parse.At(t.Line(), "month", fmt.Sprintf("expected 1 to 12 or the name of a month, not %q", text))
}

// line of a month into what is usual.
func (in reader) line(t *table.Table, month int, out conditions.Usual) error {
	for _, c := range columns {
		at, there := in[c.kind]
		if !there {
			continue
		}
		mean, err := t.Number(at.column)
		if err != nil {
			return err
		}
		if math.IsNaN(mean) {
			continue
		}
		one := conditions.Month{Mean: (mean - at.unit.offset) * at.unit.factor, Spread: conditions.UsualSpread(c.kind)}
		if _, there := t.Columns[at.column+spread]; there {
			wide, err := t.Number(at.column + spread)
			switch {
			case err != nil:
				return err
			case c.kind == conditions.Clarity && !math.IsNaN(wide):
				one.Spread = wide // of the logarithm, whatever the unit
			case !math.IsNaN(wide):
				one.Spread = wide * at.unit.factor
			}
		}
		year, begun := out[c.kind]
		if !begun {
			for i := range year {
				year[i] = conditions.Unknown()
			}
		}
		year[month-1] = one
		if err := (conditions.Usual{c.kind: year}).Validate(); err != nil {
			return parse.At(t.Line(), at.column, err.Error())
		}
		out[c.kind] = year
	}
	return nil
}

// Write what is usual, in SI units: every month, empty where nothing is known.
func Write(u conditions.Usual) []byte {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	record := []string{"month"}
	for _, c := range columns {
		record = append(record, c.own, c.own+spread)
	}
	w.Write(record) //nolint:errcheck // into memory
	for m := range 12 {
		record = []string{strconv.Itoa(m + 1)}
		for _, c := range columns {
			year, there := u[c.kind]
			if !there || !year[m].Known() {
				record = append(record, "", "")
				continue
			}
			record = append(record, number(year[m].Mean), number(year[m].Spread))
		}
		w.Write(record) //nolint:errcheck // into memory
	}
	w.Flush()
	return b.Bytes()
}

func number(v float64) string { return strconv.FormatFloat(v, 'g', -1, 64) }
