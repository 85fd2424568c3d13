// Package soundings reads scattered depths from CSV (see interchange/table for
// separators): columns lat, lon and one of elevation_m, elevation_ft, depth_m,
// depth_ft. Elevations are positive upwards, depths downwards; the unit is part of
// the name and the datum is asked, never guessed. Errors name line and column.
package soundings

import (
	"fmt"
	"math"
	"strings"

	"greypebble/core/ground"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

var heights = map[string]float64{"elevation_m": 1, "elevation_ft": 0.3048, "depth_m": -1, "depth_ft": -0.3048}

// deepest that is believed near a shore, metres.
const deepest = 2500

// Most a file may hold.
const Most = 1_000_000

// Read soundings. datumM is how far the file's zero lies above chart datum.
func Read(raw []byte, datumM float64) ([]ground.Sounding, error) {
	t, err := table.Open(raw, nil)
	if err != nil {
		return nil, err
	}
	column, scale := "", 0.0
	for n, s := range heights {
		if _, there := t.Columns[n]; there {
			if column != "" {
				return nil, parse.At(1, n, "says the same as "+column+"; expected one of them")
			}
			column, scale = n, s
		}
	}
	_, lat := t.Columns["lat"]
	_, lon := t.Columns["lon"]
	if column == "" || !lat || !lon {
		return nil, parse.At(1, "", fmt.Sprintf("expected columns lat, lon and one of elevation_m, elevation_ft, depth_m, depth_ft, "+
			"not %q", strings.Join(t.Header, ", ")))
	}
	var out []ground.Sounding
	for {
		more, err := t.Next()
		if err != nil {
			return nil, err
		}
		if !more {
			return out, nil
		}
		var v [3]float64
		for i, c := range []string{"lat", "lon", column} {
			if v[i], err = t.Number(c); err != nil {
				return nil, err
			}
			if math.IsNaN(v[i]) {
				return nil, parse.At(t.Line(), c, "empty; expected a number")
			}
		}
		p := ground.LatLon{Lat: v[0], Lon: v[1]}
		if err := p.Validate(); err != nil {
			says := err.Error()
			if math.Abs(v[0]) > 90 && math.Abs(v[0]) <= 180 && math.Abs(v[1]) <= 90 {
				says += ": latitude and longitude seem to be swapped"
			}
			return nil, parse.At(t.Line(), "lat", says)
		}
		z := v[2]*scale + datumM
		if math.Abs(z) > deepest {
			return nil, parse.At(t.Line(), column, fmt.Sprintf("%v is no depth near a shore: is the unit right?", v[2]))
		}
		if out = append(out, ground.Sounding{LatLon: p, ElevationM: z}); len(out) > Most {
			return nil, parse.At(t.Line(), "", fmt.Sprintf("more than %d soundings; send the file in parts", Most))
		}
	}
}
