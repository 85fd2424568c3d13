package soundings

import (
	"fmt"
	"math"
	"strconv"

	"greypebble/core/ground"
	"greypebble/interchange/feature"
)

// FromFeatures takes points that carry a height as soundings: a property
// elevation_m, elevation_ft, depth_m or depth_ft, or the elevation of the point
// itself, in metres. Points without one, lines and areas are passed over; none at
// all is an error. datumM is how far the file's zero lies above chart datum.
func FromFeatures(list []feature.Feature, datumM float64) ([]ground.Sounding, error) {
	var out []ground.Sounding
	for i, f := range list {
		if f.Kind != feature.Point {
			continue
		}
		p := f.Parts[0][0]
		z, there, err := height(f, p)
		if err != nil {
			return nil, fmt.Errorf("feature %d: %w", i+1, err)
		}
		if !there {
			continue
		}
		if math.Abs(z) > deepest {
			return nil, fmt.Errorf("feature %d: %v m is no depth near a shore: is the unit right?", i+1, z)
		}
		if out = append(out, ground.Sounding{LatLon: ground.LatLon{Lat: p.Lat, Lon: p.Lon}, ElevationM: z + datumM}); len(out) > Most {
			return nil, fmt.Errorf("more than %d soundings; send the file in parts", Most)
		}
	}
	if len(out) == 0 {
		return nil, fmt.Errorf("no point carries a height; expected a property elevation_m, elevation_ft, depth_m or depth_ft")
	}
	return out, nil
}

func height(f feature.Feature, p feature.Position) (z float64, there bool, err error) {
	found := ""
	for name, scale := range heights {
		text, said := f.Properties[name]
		if !said {
			continue
		}
		if found != "" {
			return 0, false, fmt.Errorf("%s says the same as %s; expected one of them", name, found)
		}
		v, err := strconv.ParseFloat(text, 64)
		if err != nil || math.IsNaN(v) || math.IsInf(v, 0) {
			return 0, false, fmt.Errorf("%s: expected a number, not %q", name, text)
		}
		z, found = v*scale, name
	}
	if found == "" && p.Ele != nil {
		return *p.Ele, true, nil
	}
	return z, found != "", nil
}
