// Package table reads CSV as people have it: a comma, a semicolon or a tab
// between values, with a semicolon a decimal comma, a byte order mark, times
// with an offset from UTC (2026-05-12T06:00:00Z, 2026-05-12 06:00:00+02:00) or,
// in all lines, without one and the zone said beside the file. A repeated hour
// at the end of daylight-saving time is told by the order of the lines.
//
// Errors name line and column and what was expected.
package table

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

	"greypebble/interchange/parse"
)

// Table being read, line by line.
type Table struct {
	// Columns by name, in small letters.
	Columns map[string]int
	// Header as it stands in the file.
	Header []string

	in           *csv.Reader
	decimalComma bool
	record       []string
	line         int
	clock        clock
}

// Open a table and read its header. Two columns of one name are an error.
func Open(raw []byte, zone *time.Location) (*Table, error) {
	raw = bytes.TrimPrefix(raw, []byte("\xef\xbb\xbf"))
	if !utf8.Valid(raw) {
		return nil, parse.At(badLine(raw), "", "not UTF-8 text; save the file as UTF-8")
	}
	r := csv.NewReader(bytes.NewReader(raw))
	r.Comma = separator(raw)
	r.FieldsPerRecord = -1
	r.TrimLeadingSpace = true
	r.ReuseRecord = true
	header, err := r.Read()
	if err != nil {
		return nil, parse.At(1, "", "the file is empty; expected a first line that names the columns")
	}
	t := &Table{Columns: make(map[string]int), in: r, decimalComma: r.Comma == ';', clock: clock{zone: zone}}
	for i, h := range header {
		t.Header = append(t.Header, strings.Clone(h))
		name := strings.ToLower(strings.TrimSpace(t.Header[i]))
		if _, twice := t.Columns[name]; twice {
			return nil, parse.At(1, name, "there are two such columns; expected one")
		}
		t.Columns[name] = i
	}
	return t, nil
}

func badLine(raw []byte) int {
	line := 1
	for len(raw) > 0 {
		r, n := utf8.DecodeRune(raw)
		if r == utf8.RuneError && n == 1 {
			return line
		}
		if r == '\n' {
			line++
		}
		raw = raw[n:]
	}
	return line
}

// separator is the one the header line holds most of.
func separator(raw []byte) rune {
	line, _, _ := bytes.Cut(raw, []byte("\n"))
	best, most := ',', bytes.Count(line, []byte(","))
	for _, s := range []rune{';', '\t'} {
		if n := bytes.Count(line, []byte(string(s))); n > most {
			best, most = s, n
		}
	}
	return best
}

// Next goes to the next line that is not empty; false at the end.
func (t *Table) Next() (bool, error) {
	for {
		record, err := t.in.Read()
		var bad *csv.ParseError
		switch {
		case errors.Is(err, io.EOF):
			return false, nil
		case errors.As(err, &bad):
			return false, parse.At(bad.Line, "", "quotation marks do not match")
		case err != nil:
			return false, err
		}
		t.record = record
		t.line, _ = t.in.FieldPos(0)
		if len(record) > 1 || strings.TrimSpace(record[0]) != "" {
			return true, nil
		}
	}
}

// Line number in the file, from 1.
func (t *Table) Line() int { return t.line }

// Text of a column in this line; too short a line is an error.
func (t *Table) Text(column string) (string, error) {
	i := t.Columns[column]
	if i >= len(t.record) {
		return "", parse.At(t.line, "", fmt.Sprintf("%d values; expected at least %d", len(t.record), i+1))
	}
	return strings.TrimSpace(unguarded(t.record[i])), nil
}

// Number of a column; NaN where it is empty.
func (t *Table) Number(column string) (float64, error) {
	text, err := t.Text(column)
	if err != nil || text == "" {
		return math.NaN(), err
	}
	if t.decimalComma {
		text = strings.Replace(text, ",", ".", 1)
	}
	v, err := strconv.ParseFloat(text, 64)
	if err != nil || math.IsNaN(v) || math.IsInf(v, 0) {
		return 0, parse.At(t.line, column, fmt.Sprintf("expected a number, not %q", t.record[t.Columns[column]]))
	}
	return v, nil
}

// Time of a column, in UTC.
func (t *Table) Time(column string) (time.Time, error) {
	text, err := t.Text(column)
	if err != nil {
		return time.Time{}, err
	}
	at, says := t.clock.read(text)
	if says != "" {
		return at, parse.At(t.line, column, says)
	}
	return at, nil
}
