// Package station reads and writes tide stations as lists of harmonic
// constituents, in JSON or CSV.
//
// JSON: {"name": …, "source": …, "z0_m": …, "constituents": [{"name": …,
// "amplitude_m": …, "phase_deg": …}]}. CSV: a header with name, amplitude_m (or
// amplitude_ft, amplitude_cm) and phase_deg, one constituent a line; the mean
// level stands as a constituent of the name Z0. Phases are Greenwich phase
// lags in degrees.
//
// Errors name line and column, or the field, and what was expected; nothing is
// half read.
package station

import (
	"bytes"
	"encoding/csv"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"math"
	"strconv"
	"strings"
	"unicode/utf8"

	"greypebble/core/tide"
	"greypebble/interchange/parse"
)

// Station as it stands in a file.
type Station struct {
	Name, Source string
	Z0M          float64
	Constituents []tide.Constituent
}

// mostConstituents a file may hold.
const mostConstituents = 500

type jsonStation struct {
	Name         string            `json:"name"`
	Source       string            `json:"source"`
	Z0M          *float64          `json:"z0_m"`
	Constituents []jsonConstituent `json:"constituents"`
}

type jsonConstituent struct {
	Name       string   `json:"name"`
	AmplitudeM *float64 `json:"amplitude_m"`
	PhaseDeg   *float64 `json:"phase_deg"`
}

// Read a station, JSON if it begins with a brace. Constituents are checked as
// for a prediction.
func Read(raw []byte) (Station, error) {
	raw = bytes.TrimPrefix(raw, []byte("\xef\xbb\xbf"))
	if !utf8.Valid(raw) {
		return Station{}, parse.At(1, "", "not UTF-8 text; save the file as UTF-8")
	}
	read := readCSV
	if strings.HasPrefix(strings.TrimSpace(string(raw)), "{") {
		read = readJSON
	}
	s, err := read(raw)
	if err != nil {
		return Station{}, err
	}
	if _, err := tide.NewHarmonics(s.Constituents, s.Z0M); err != nil {
		return Station{}, err
	}
	return s, nil
}

func readJSON(raw []byte) (Station, error) {
	d := json.NewDecoder(bytes.NewReader(raw))
	var j jsonStation
	if err := d.Decode(&j); err != nil {
		line := 1 + bytes.Count(raw[:min(int(d.InputOffset()), len(raw))], []byte("\n"))
		return Station{}, parse.At(line, "", "expected JSON with name, z0_m and constituents: "+err.Error())
	}
	if j.Z0M == nil {
		return Station{}, parse.At(1, "z0_m", "missing: the mean level above chart datum, metres")
	}
	if len(j.Constituents) > mostConstituents {
		return Station{}, parse.At(1, "constituents", fmt.Sprintf("more than %d", mostConstituents))
	}
	s := Station{Name: j.Name, Source: j.Source, Z0M: *j.Z0M}
	for i, c := range j.Constituents {
		where := fmt.Sprintf("constituents[%d]", i)
		if c.Name == "" || c.AmplitudeM == nil || c.PhaseDeg == nil {
			return Station{}, parse.At(1, where, "expected name, amplitude_m and phase_deg")
		}
		s.Constituents = append(s.Constituents, tide.Constituent{Name: c.Name, AmplitudeM: *c.AmplitudeM, PhaseDeg: *c.PhaseDeg})
	}
	return s, nil
}

var amplitudes = map[string]float64{"amplitude_m": 1, "amplitude_cm": 0.01, "amplitude_ft": 0.3048}

// meanLevel is the name the mean level has among constituents.
const meanLevel = "Z0"

func readCSV(raw []byte) (Station, error) {
	r := csv.NewReader(bytes.NewReader(raw))
	r.FieldsPerRecord = -1
	r.TrimLeadingSpace = true
	header, err := r.Read()
	if err != nil {
		return Station{}, parse.At(1, "", "empty; expected a header with name, amplitude_m and phase_deg")
	}
	at := map[string]int{}
	scale, unit := 0.0, ""
	for i, h := range header {
		name := strings.ToLower(strings.TrimSpace(h))
		if _, twice := at[name]; twice {
			return Station{}, parse.At(1, name, "there are two such columns; expected one")
		}
		at[name] = i
		if f, ok := amplitudes[name]; ok {
			scale, unit = f, name
		}
	}
	for _, need := range []string{"name", "phase_deg"} {
		if _, ok := at[need]; !ok {
			return Station{}, parse.At(1, need, "missing; expected name, amplitude_m and phase_deg")
		}
	}
	if unit == "" {
		return Station{}, parse.At(1, "amplitude_m", "missing; the unit is part of the name: amplitude_m, amplitude_cm or amplitude_ft")
	}
	var s Station
	for {
		record, err := r.Read()
		if errors.Is(err, io.EOF) {
			return s, nil
		}
		var bad *csv.ParseError
		if errors.As(err, &bad) {
			return Station{}, parse.At(bad.Line, "", "quotation marks do not match")
		}
		if err != nil {
			return Station{}, err
		}
		line, _ := r.FieldPos(0)
		if len(record) < len(header) {
			return Station{}, parse.At(line, "", fmt.Sprintf("%d values, expected %d", len(record), len(header)))
		}
		name := strings.TrimSpace(record[at["name"]])
		a, err := number(line, unit, record[at[unit]])
		if err != nil {
			return Station{}, err
		}
		if strings.EqualFold(name, meanLevel) {
			s.Z0M = a * scale
			continue
		}
		p, err := number(line, "phase_deg", record[at["phase_deg"]])
		if err != nil {
			return Station{}, err
		}
		s.Constituents = append(s.Constituents, tide.Constituent{Name: name, AmplitudeM: a * scale, PhaseDeg: p})
		if len(s.Constituents) > mostConstituents {
			return Station{}, parse.At(line, "", fmt.Sprintf("more than %d constituents", mostConstituents))
		}
	}
}

func number(line int, column, text string) (float64, error) {
	v, err := strconv.ParseFloat(strings.TrimSpace(text), 64)
	if err != nil || math.IsNaN(v) || math.IsInf(v, 0) {
		return 0, parse.At(line, column, fmt.Sprintf("expected a number, not %q", text))
	}
	return v, nil
}

// CSV of a station. Its name and source are not part of that format.
func (s Station) CSV() []byte {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	exact := func(x float64) string { return strconv.FormatFloat(x, 'g', -1, 64) }
	_ = w.Write([]string{"name", "amplitude_m", "phase_deg"})
	_ = w.Write([]string{meanLevel, exact(s.Z0M), "0"})
	for _, c := range s.Constituents {
		_ = w.Write([]string{c.Name, exact(c.AmplitudeM), exact(c.PhaseDeg)})
	}
	w.Flush()
	return b.Bytes()
}

// JSON of a station, all of it.
func (s Station) JSON() ([]byte, error) {
	j := jsonStation{Name: s.Name, Source: s.Source, Z0M: &s.Z0M, Constituents: []jsonConstituent{}}
	for _, c := range s.Constituents {
		j.Constituents = append(j.Constituents, jsonConstituent{c.Name, &c.AmplitudeM, &c.PhaseDeg})
	}
	return json.MarshalIndent(j, "", "  ")
}
