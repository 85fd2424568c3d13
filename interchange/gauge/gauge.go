// Package gauge reads a tide gauge's record from CSV.
//
// The first line names the columns: time, and height_m (or height_cm, height_ft;
// plain height is metres). Others are passed over. The separator is a comma, a
// semicolon or a tab; with a semicolon a number may have a decimal comma. Times
// carry their offset from UTC (2026-05-12T06:00:00Z, 2026-05-12 06:00:00+02:00),
// or none of them does and the zone is said beside the file; a repeated hour at
// the end of daylight-saving time is then told by the order of the lines. An
// empty height is a gap.
//
// Errors name line and column and what was expected; nothing is half read.
package gauge

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

	"greypebble/core/tide"
	"greypebble/interchange/misread"
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
	raw = bytes.TrimPrefix(raw, []byte("\xef\xbb\xbf"))
	if !utf8.Valid(raw) {
		return nil, misread.At(badLine(raw), "", "not UTF-8 text; save the file as UTF-8")
	}
	r := csv.NewReader(bytes.NewReader(raw))
	r.Comma = separator(raw)
	r.FieldsPerRecord = -1
	r.TrimLeadingSpace = true
	r.ReuseRecord = true
	header, err := r.Read()
	if err != nil {
		return nil, misread.At(1, "", "the file is empty; expected a first line with time and height_m")
	}
	c, err := columnsOf(header, r.Comma == ';')
	if err != nil {
		return nil, err
	}
	p := parser{columns: c, zone: o.Zone}
	for {
		record, err := r.Read()
		if errors.Is(err, io.EOF) {
			return p.samples, nil
		}
		var bad *csv.ParseError
		if errors.As(err, &bad) {
			return nil, misread.At(bad.Line, "", "quotation marks do not match")
		}
		if err != nil {
			return nil, err
		}
		line, _ := r.FieldPos(0)
		if err := p.row(line, record); err != nil {
			return nil, err
		}
		if len(p.samples) > MostSamples {
			return nil, misread.At(line, "", fmt.Sprintf("more than %d readings; send the record in parts", MostSamples))
		}
	}
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

type columns struct {
	time, height int
	name         string
	scale        float64
	decimalComma bool
}

var heights = map[string]float64{"height": 1, "height_m": 1, "height_cm": 0.01, "height_mm": 0.001, "height_ft": 0.3048}

func columnsOf(header []string, decimalComma bool) (columns, error) {
	c := columns{time: -1, height: -1, decimalComma: decimalComma}
	for i, h := range header {
		name := strings.ToLower(strings.TrimSpace(h))
		scale, isHeight := heights[name]
		switch {
		case name == "time" && c.time >= 0, isHeight && c.height >= 0:
			return c, misread.At(1, name, "there are two such columns; expected one")
		case name == "time":
			c.time = i
		case isHeight:
			c.height, c.scale, c.name = i, scale, name
		}
	}
	if c.time < 0 || c.height < 0 {
		return c, misread.At(1, "", fmt.Sprintf("expected columns time and height_m (or height_cm, height_ft), not %q", strings.Join(header, ", ")))
	}
	return c, nil
}

type parser struct {
	columns
	zone    *time.Location
	samples []tide.Sample
	// zoned says whether times carry offsets, once one has been read.
	zoned, known bool
	last         time.Time
}

func (p *parser) row(line int, record []string) error {
	if len(record) == 1 && strings.TrimSpace(record[0]) == "" {
		return nil
	}
	if need := max(p.time, p.height); len(record) <= need {
		return misread.At(line, "", fmt.Sprintf("%d values; expected at least %d", len(record), need+1))
	}
	text := strings.TrimSpace(record[p.height])
	if text == "" {
		return nil // a gap
	}
	if p.decimalComma {
		text = strings.Replace(text, ",", ".", 1)
	}
	h, err := strconv.ParseFloat(text, 64)
	if err != nil || math.IsNaN(h) || math.IsInf(h, 0) {
		return misread.At(line, p.name, fmt.Sprintf("expected a number, not %q", record[p.height]))
	}
	t, err := p.moment(line, strings.TrimSpace(record[p.time]))
	if err != nil {
		return err
	}
	p.samples = append(p.samples, tide.Sample{Time: t, HeightM: h * p.scale})
	return nil
}

var (
	withOffset = []string{time.RFC3339, "2006-01-02T15:04Z07:00", "2006-01-02 15:04:05Z07:00", "2006-01-02 15:04Z07:00"}
	without    = []string{"2006-01-02T15:04:05", "2006-01-02T15:04", "2006-01-02 15:04:05", "2006-01-02 15:04"}
)

func (p *parser) moment(line int, text string) (time.Time, error) {
	for _, f := range withOffset {
		if t, err := time.Parse(f, text); err == nil {
			if p.known && !p.zoned {
				return t, misread.At(line, "time", fmt.Sprintf("%q carries an offset from UTC, the lines before do not; expected all or none", text))
			}
			p.zoned, p.known = true, true
			return t.UTC(), nil
		}
	}
	for _, f := range without {
		if t, err := time.Parse(f, text); err == nil {
			if p.known && p.zoned {
				return t, misread.At(line, "time", fmt.Sprintf("%q carries no offset from UTC, the lines before do; expected all or none", text))
			}
			if p.zone == nil {
				return t, misread.At(line, "time", fmt.Sprintf("%q does not say its time zone; expected an ending like Z or +02:00, or the zone named beside the file", text))
			}
			p.known = true
			return p.local(t), nil
		}
	}
	return time.Time{}, misread.At(line, "time", fmt.Sprintf("expected a time like 2026-05-12T06:00:00Z, not %q", text))
}

// local puts a wall-clock time into the zone. In the hour that comes twice the
// one that goes on from the line before is meant.
func (p *parser) local(wall time.Time) time.Time {
	t := time.Date(wall.Year(), wall.Month(), wall.Day(), wall.Hour(), wall.Minute(), wall.Second(), 0, p.zone)
	for _, other := range []time.Time{t.Add(-time.Hour), t.Add(time.Hour)} {
		same := other.Hour() == t.Hour() && other.Minute() == t.Minute()
		if !same {
			continue
		}
		early, late := t, other
		if late.Before(early) {
			early, late = late, early
		}
		t = early
		if !p.last.IsZero() && !early.After(p.last) {
			t = late
		}
		break
	}
	p.last = t
	return t.UTC()
}
