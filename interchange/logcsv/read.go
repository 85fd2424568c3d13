package logcsv

import (
	"errors"
	"fmt"
	"math"
	"slices"
	"strings"
	"time"

	"greypebble/core/conditions"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

// MostLines of a file, and how many of its faults are told.
const (
	MostLines  = 20_000
	MostFaults = 100
)

// PassedOver begins the name of a column that stands for nothing.
const PassedOver = "passed over"

// number of a line that is measured: where it goes, and what its columns' names and factors to SI are (NIST SP 811,
// appendix B).
type number struct {
	into  func(r *Row, v float64)
	names map[string]float64
	// shift is added once it is in SI.
	shift map[string]float64
}

func fish(pick func(f *Measures) **float64) func(r *Row, v float64) {
	return func(r *Row, v float64) { *pick(&r.Fish) = &v }
}

func reading(kind conditions.Kind) func(r *Row, v float64) {
	return func(r *Row, v float64) { r.Read[kind] = v }
}

var measured = []number{
	{into: fish(func(f *Measures) **float64 { return &f.LengthM }),
		names: map[string]float64{"length_m": 1, "length_cm": 0.01, "length_mm": 0.001, "length_in": 0.0254, "length_ft": 0.3048}},
	{into: fish(func(f *Measures) **float64 { return &f.MassKg }),
		names: map[string]float64{"mass_kg": 1, "mass_g": 0.001, "mass_lb": 0.45359237, "mass_oz": 0.028349523125}},
	{into: fish(func(f *Measures) **float64 { return &f.GirthM }),
		names: map[string]float64{"girth_m": 1, "girth_cm": 0.01, "girth_in": 0.0254}},
	{into: reading(conditions.WaterTemp), names: map[string]float64{"water_temp_c": 1, "water_temp_f": 5.0 / 9},
		shift: map[string]float64{"water_temp_f": -160.0 / 9}},
	{into: reading(conditions.Clarity), names: map[string]float64{"clarity_secchi_m": 1, "clarity_secchi_cm": 0.01,
		"clarity_secchi_ft": 0.3048}},
	{into: reading(conditions.WindSpeed), names: map[string]float64{"wind_speed_ms": 1, "wind_speed_kn": 1852.0 / 3600,
		"wind_speed_kmh": 1 / 3.6, "wind_speed_mph": 0.44704}},
	{into: func(r *Row, v float64) { r.Fished = time.Duration(v * float64(time.Hour)) },
		names: map[string]float64{"hours": 1, "minutes": 1.0 / 60}},
	{into: func(r *Row, v float64) { r.Paused = time.Duration(v * float64(time.Second)) },
		names: map[string]float64{"paused_s": 1, "paused_min": 60}},
	{into: func(r *Row, v float64) { r.Rods = int(v) }, names: map[string]float64{"rods": 1}},
	{into: func(r *Row, v float64) { r.Count = int(v) }, names: map[string]float64{"count": 1}},
}

// whole numbers are those.
var whole = map[string]bool{"rods": true, "count": true}

var texts = map[string]func(r *Row) *string{
	"what": func(r *Row) *string { return &r.What }, "spell_id": func(r *Row) *string { return &r.SpellID },
	"catch_id": func(r *Row) *string { return &r.CatchID }, "spot": func(r *Row) *string { return &r.Spot },
	"target": func(r *Row) *string { return &r.Target }, "mark": func(r *Row) *string { return &r.Mark },
	"approach": func(r *Row) *string { return &r.Approach }, "offering": func(r *Row) *string { return &r.Offering },
	"who": func(r *Row) *string { return &r.Who }, "rod": func(r *Row) *string { return &r.Rod },
	"note": func(r *Row) *string { return &r.Note }, "species": func(r *Row) *string { return &r.Species },
	"measured":      func(r *Row) *string { return &r.Fish.Measured },
	"hook_place":    func(r *Row) *string { return &r.Fish.HookPlace },
	"hook":          func(r *Row) *string { return &r.Fish.Hook },
	"tag_number":    func(r *Row) *string { return &r.Fish.TagNumber },
	"tag_side":      func(r *Row) *string { return &r.Fish.TagSide },
	"tag_programme": func(r *Row) *string { return &r.Fish.TagProgramme },
}

// longest text of a column, characters, and 1000 for a note.
var longest = map[string]int{"spot": 80, "target": 80, "species": 80, "mark": 60, "offering": 80, "who": 60, "rod": 40, "note": 1000,
	"tag_number": 40, "tag_programme": 80}

// oneOf what a column holds, else it is empty.
var oneOf = map[string][]string{"what": {SpellLine, CatchLine}, "approach": {"live bait", "cut bait", "lure"},
	"measured": {"board", "tape", "photo", "guess"}, "hook_place": {"corner", "lip", "throat", "gut", "outside"},
	"hook": {"lure", "teaser"}, "tag_side": {"left", "right"}}

// Read lines of a file, those without a fault, with the faults of others; an error is one of the whole file. Dates are in
// an order where that is said, else in the one that they tell themselves, or [ErrOrder].
func Read(raw []byte, order Order) (rows []Row, faults []parse.Error, err error) {
	t, err := table.Open(raw, nil)
	if err != nil {
		return nil, nil, err
	}
	if err := checkHeader(t); err != nil {
		return nil, nil, err
	}
	if order == "" {
		if order, err = tellOrder(raw); err != nil {
			return nil, nil, err
		}
	}
	for lines := 0; ; lines++ {
		more, err := t.Next()
		if err != nil {
			return nil, nil, err
		}
		if !more {
			return rows, faults, nil
		}
		if lines == MostLines {
			return nil, nil, parse.At(t.Line(), "", fmt.Sprintf("more than %d lines; send the file in parts", MostLines))
		}
		r, err := read(t, order)
		if bad, is := errors.AsType[parse.Error](err); is {
			if len(faults) < MostFaults {
				faults = append(faults, bad)
			}
			continue
		}
		if err != nil {
			return nil, nil, err
		}
		rows = append(rows, r)
	}
}

func tellOrder(raw []byte) (Order, error) {
	t, err := table.Open(raw, nil)
	if err != nil {
		return "", err
	}
	var dates []string
	for {
		more, err := t.Next()
		if err != nil || !more {
			break // the reader tells what is wrong
		}
		for _, name := range []string{"time", "date"} {
			if _, there := t.Columns[name]; there {
				if text, err := t.Text(name); err == nil {
					dates = append(dates, text)
				}
			}
		}
	}
	return orderOf(dates)
}

func checkHeader(t *table.Table) error {
	has := func(name string) bool { _, there := t.Columns[name]; return there }
	if !has("spot") || !has("time") && !has("date") {
		return parse.At(1, "", fmt.Sprintf("expected at least the columns spot and time, or spot and date, not %q",
			strings.Join(t.Header, ", ")))
	}
	for _, m := range measured {
		first := ""
		for name := range m.names {
			if has(name) {
				if first != "" {
					return parse.At(1, name, "says the same as "+first+"; expected one of them")
				}
				first = name
			}
		}
	}
	return nil
}

func read(t *table.Table, order Order) (Row, error) {
	r := Row{Line: t.Line(), Count: -1, Read: map[conditions.Kind]float64{}}
	for name, into := range texts {
		text, err := cell(t, name)
		if err != nil {
			return r, err
		}
		if allowed, fixed := oneOf[name]; fixed {
			text = strings.ToLower(text)
			if text != "" && !slices.Contains(allowed, text) {
				return r, parse.At(r.Line, name, fmt.Sprintf("expected one of %s, not %q", strings.Join(allowed, ", "), text))
			}
		}
		if most := longest[name]; most > 0 && len([]rune(text)) > most {
			return r, parse.At(r.Line, name, fmt.Sprintf("expected at most %d characters", most))
		}
		*into(&r) = text
	}
	for _, m := range measured {
		for name, factor := range m.names {
			if _, there := t.Columns[name]; !there {
				continue
			}
			v, err := t.Number(name)
			if err != nil {
				return r, err
			}
			if math.IsNaN(v) {
				continue
			}
			if whole[name] && (v != math.Trunc(v) || v < 0 || v > 1000) {
				return r, parse.At(r.Line, name, "expected a whole number from 0 to 1000")
			}
			if v < 0 && !strings.HasPrefix(name, "water_temp") || math.Abs(v) > 1e6 {
				return r, parse.At(r.Line, name, fmt.Sprintf("expected a number from 0 to a million, not %g", v))
			}
			m.into(&r, v*factor+m.shift[name])
		}
	}
	kept, err := cell(t, "kept")
	if err != nil {
		return r, err
	}
	switch strings.ToLower(kept) {
	case "", "no", "n", "false", "0", "released":
	case "yes", "y", "true", "1", "kept":
		r.Fish.Kept = true
	default:
		return r, parse.At(r.Line, "kept", fmt.Sprintf("expected yes or no, not %q", kept))
	}
	if r.Spot == "" {
		return r, parse.At(r.Line, "spot", "expected the name of a spot")
	}
	return r, when(t, &r, order)
}

// cell of a column; empty where there is no such column.
func cell(t *table.Table, name string) (string, error) {
	if _, there := t.Columns[name]; !there {
		return "", nil
	}
	return t.Text(name)
}

// when a spell began and ended.
func when(t *table.Table, r *Row, order Order) error {
	at, err := cell(t, "time")
	if err != nil {
		return err
	}
	column := "time"
	if at == "" {
		column = "date"
		d, err := cell(t, "date")
		if err != nil {
			return err
		}
		start, err := cell(t, "start")
		if err != nil {
			return err
		}
		if start == "" {
			return parse.At(r.Line, "start", "does not say at what time of the day it began; without it the tide is not known")
		}
		at = d + " " + start
	}
	if r.Began, err = moment(at, order); err != nil {
		return parse.At(r.Line, column, err.Error())
	}
	end, err := cell(t, "ended_at")
	if err != nil || end == "" {
		return err
	}
	// An end may be a time of day alone; before the beginning, it is the next day's.
	if c, err := clock(end); err == nil && !r.Began.Zoned {
		day := r.Began.Time.Truncate(24 * time.Hour)
		r.Ended = Wall{day.Add(c), false}
		if r.Ended.Time.Before(r.Began.Time) {
			r.Ended.Time = r.Ended.Time.Add(24 * time.Hour)
		}
		return nil
	}
	if r.Ended, err = moment(end, order); err != nil {
		return parse.At(r.Line, "ended_at", err.Error())
	}
	return nil
}
