package format

import (
	"errors"
	"fmt"
	"strings"

	"greypebble/core/ground"
	"greypebble/interchange/asc"
	"greypebble/interchange/geojson"
	"greypebble/interchange/soundings"
)

// Depths is a format of depths: a grid, or soundings to make one of.
type Depths struct {
	Kind
	// Grid says that the file is one already, whose numbers need a unit and a sign;
	// otherwise soundings are spread over cells.
	Grid bool
	// ByTide says that its depths are corrected for the tide, and need no datum.
	ByTide bool
	read   func(raw []byte, m Meaning) (*ground.Grid, []ground.Sounding, error)
}

// Meaning of a file's numbers, which the file itself does not say.
type Meaning struct {
	// Unit is m, ft or cm, Sign "elevation" or "depth": of a grid's numbers.
	Unit, Sign string
	// DatumM is how far the file's zero lies above chart datum.
	DatumM float64
	// Origin of a grid whose places are in metres; nil for degrees.
	Origin *ground.LatLon
	// CellM and ReachM of the grid made of soundings, metres.
	CellM, ReachM float64
	// Level gives the tide's level over an interval, to correct a sounder's log by.
	Level soundings.Level
}

// MeaningError says which part of the meaning is missing or wrong: unit, cell_m.
type MeaningError struct {
	Field string
	Err   error
}

func (e MeaningError) Error() string { return e.Err.Error() }

// Unwrap the reason.
func (e MeaningError) Unwrap() error { return e.Err }

var scales = map[string]float64{"m": 1, "ft": 0.3048, "cm": 0.01}

var ofDepths = []Depths{
	{Kind{"asc", "ESRI ASCII grid", "an ESRI ASCII grid", []string{".asc"}, "text/plain"}, true, false, readGrid},
	{Kind{"xyz", "soundings, CSV", "soundings (columns lat, lon and depth_m, depth_ft, elevation_m or elevation_ft)",
		[]string{".csv", ".xyz", ".txt"}, "text/csv"}, false, false,
		func(raw []byte, m Meaning) (*ground.Grid, []ground.Sounding, error) {
			list, err := soundings.Read(raw, m.DatumM)
			return nil, list, err
		}},
	{Kind{"nmea", "sounder’s log", "a sounder’s log, corrected by this water’s tide at each ping",
		[]string{".nmea", ".log"}, "text/plain"}, false, true,
		func(raw []byte, m Meaning) (*ground.Grid, []ground.Sounding, error) {
			list, err := soundings.ReadLog(raw, m.Level)
			return nil, list, err
		}},
	{Kind{"geojson", "points, GeoJSON", "points of GeoJSON with depth_m, depth_ft, elevation_m or elevation_ft",
		[]string{".geojson", ".json"}, "application/geo+json"}, false, false,
		func(raw []byte, m Meaning) (*ground.Grid, []ground.Sounding, error) {
			features, _, err := geojson.Read(raw)
			if err != nil {
				return nil, nil, err
			}
			list, err := soundings.FromFeatures(features, m.DatumM)
			return nil, list, err
		}},
}

func readGrid(raw []byte, m Meaning) (*ground.Grid, []ground.Sounding, error) {
	scale, known := scales[m.Unit]
	if !known || m.Sign == "" {
		field := "unit"
		if known {
			field = "sign"
		}
		return nil, nil, MeaningError{field,
			errors.New("say the unit of the numbers (m, ft, cm) and whether they are elevations or depths")}
	}
	g, err := asc.Read(raw, asc.Meaning{Scale: scale, Depths: m.Sign == "depth", DatumM: m.DatumM, Origin: m.Origin})
	return g, nil, err
}

// Read a file of depths as a grid, and how many soundings it was made of. An error of
// what was not said is a [MeaningError]; any other, of the file.
func (d Depths) Read(raw []byte, m Meaning) (*ground.Grid, int, error) {
	g, list, err := d.read(raw, m)
	if err != nil || g != nil {
		return g, 0, err
	}
	if g, err = ground.GridSoundings(list, m.CellM, m.ReachM); err != nil {
		return nil, 0, MeaningError{"cell_m", err}
	}
	return g, len(list), nil
}

// OfDepths are the formats of depths, in the order they are offered.
func OfDepths() []Depths { return append([]Depths(nil), ofDepths...) }

// DepthsBy an id; the error lists those there are.
func DepthsBy(id string) (Depths, error) {
	var known []string
	for _, f := range ofDepths {
		if f.ID == id {
			return f, nil
		}
		known = append(known, f.ID)
	}
	return Depths{}, fmt.Errorf("unknown format %q; known are %s", id, strings.Join(known, ", "))
}
