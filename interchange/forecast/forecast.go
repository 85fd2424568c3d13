// Package forecast reads an hourly forecast from CSV whose header holds CF
// standard names (CF Standard Name Table): time, forecast_reference_time and any of those
// the table of kinds in core/conditions names, such as wind_speed or
// sea_surface_temperature. Values are in CF's canonical units: m s-1, degree, K, 1,
// kg m-2, m, s. Names not known here are passed over. A name with the modifier standard_error (CF
// conventions, appendix C: "wind_speed standard_error") says how far the value is likely off, as the
// spread of an ensemble tells it; where it says less than a forecast's usual error, that is taken.
//
// Errors name line and column and what was expected; nothing is half read.
package forecast

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"math"
	"strconv"
	"strings"
	"time"
	"unicode/utf8"

	"greypebble/core/conditions"
	"greypebble/interchange/parse"
)

// Forecast is readings and when they were worked out.
type Forecast struct {
	Issued   time.Time
	Readings []conditions.Reading
}

// names are the CF standard names known here, as the table of kinds has them.
var names = func() map[string]conditions.Nature {
	out := make(map[string]conditions.Nature)
	for _, n := range conditions.Natures() {
		if n.CF != "" {
			out[n.CF] = n
		}
	}
	return out
}()

const (
	timeColumn   = "time"
	issuedColumn = "forecast_reference_time"
	// mostRows is a month of hours.
	mostRows = 800
	// errorOf after a name makes it the likely error of that quantity.
	errorOf = " standard_error"
)

// Read a forecast.
func Read(raw []byte) (Forecast, error) {
	raw = bytes.TrimPrefix(raw, []byte("\xef\xbb\xbf"))
	if !utf8.Valid(raw) {
		return Forecast{}, parse.At(1, "", "not UTF-8 text")
	}
	r := csv.NewReader(bytes.NewReader(raw))
	r.FieldsPerRecord = -1
	header, err := r.Read()
	if err != nil {
		return Forecast{}, parse.At(1, "", "empty; expected a header of CF standard names")
	}
	at, err := indexes(header)
	if err != nil {
		return Forecast{}, err
	}
	var f Forecast
	rows := 0
	for {
		record, err := r.Read()
		if errors.Is(err, io.EOF) {
			break
		}
		var bad *csv.ParseError
		if errors.As(err, &bad) {
			return Forecast{}, parse.At(bad.Line, "", "quotation marks do not match")
		}
		if err != nil {
			return Forecast{}, err
		}
		line, _ := r.FieldPos(0)
		if rows++; rows > mostRows {
			return Forecast{}, parse.At(line, "", fmt.Sprintf("more than %d rows", mostRows))
		}
		if len(record) != len(header) {
			return Forecast{}, parse.At(line, "", fmt.Sprintf("%d values, expected %d: the file is cut", len(record), len(header)))
		}
		if err := f.row(line, at, record); err != nil {
			return Forecast{}, err
		}
	}
	if n := len(raw); n > 0 && raw[n-1] != '\n' {
		return Forecast{}, parse.At(1+bytes.Count(raw, []byte("\n")), "", "the last line does not end: the file is cut")
	}
	if rows == 0 {
		return Forecast{}, parse.At(2, "", "no rows")
	}
	return f, nil
}

func indexes(header []string) (map[string]int, error) {
	at := make(map[string]int)
	known := 0
	for i, h := range header {
		name := strings.TrimSpace(h)
		if _, twice := at[name]; twice {
			return nil, parse.At(1, name, "there are two such columns; expected one")
		}
		at[name] = i
		if _, ok := names[name]; ok {
			known++
		}
	}
	for _, need := range []string{timeColumn, issuedColumn} {
		if _, ok := at[need]; !ok {
			return nil, parse.At(1, need, "missing")
		}
	}
	if known == 0 {
		return nil, parse.At(1, "", "no column has a CF standard name known here")
	}
	return at, nil
}

func (f *Forecast) row(line int, at map[string]int, record []string) error {
	moment := func(column string) (time.Time, error) {
		t, err := time.Parse(time.RFC3339, strings.TrimSpace(record[at[column]]))
		if err != nil {
			return t, parse.At(line, column, fmt.Sprintf("expected a time like 2026-05-12T06:00:00Z, not %q", record[at[column]]))
		}
		return t.UTC(), nil
	}
	t, err := moment(timeColumn)
	if err != nil {
		return err
	}
	issued, err := moment(issuedColumn)
	if err != nil {
		return err
	}
	if !f.Issued.IsZero() && !issued.Equal(f.Issued) {
		return parse.At(line, issuedColumn, "differs from the line before; expected one forecast a file")
	}
	f.Issued = issued
	for name, m := range names {
		i, there := at[name]
		if !there || strings.TrimSpace(record[i]) == "" {
			continue
		}
		v, err := strconv.ParseFloat(strings.TrimSpace(record[i]), 64)
		if err != nil || math.IsNaN(v) || math.IsInf(v, 0) {
			return parse.At(line, name, fmt.Sprintf("expected a number, not %q", record[i]))
		}
		reading := conditions.Reading{Kind: m.Kind, Value: math.Round((v-m.CFOffset)*1e4) / 1e4, Time: t, Origin: conditions.Forecast,
			Source: "the forecast service"}
		if reading.Spread, err = spread(line, at, record, name, m, reading.Value); err != nil {
			return err
		}
		if err := reading.Validate(); err != nil {
			return parse.At(line, name, strings.TrimPrefix(err.Error(), "conditions: "))
		}
		f.Readings = append(f.Readings, reading)
	}
	return nil
}

// spread of a value as its file has it; 0 where it says nothing, or less than a forecast's usual error.
func spread(line int, at map[string]int, record []string, name string, m conditions.Nature, value float64) (float64, error) {
	i, there := at[name+errorOf]
	if !there || strings.TrimSpace(record[i]) == "" {
		return 0, nil
	}
	e, err := strconv.ParseFloat(strings.TrimSpace(record[i]), 64)
	if err != nil || !(e >= 0) || math.IsInf(e, 0) {
		return 0, parse.At(line, name+errorOf, fmt.Sprintf("expected a number of 0 or more, not %q", record[i]))
	}
	if m.Logarithmic {
		// Of a logarithm: the relative error.
		e /= math.Max(value, m.Step)
	}
	if e <= m.Spread[conditions.Forecast] {
		return 0, nil
	}
	return math.Round(e*1e4) / 1e4, nil
}
