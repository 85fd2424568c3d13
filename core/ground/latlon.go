package ground

import (
	"fmt"
	"math"
	"strconv"
	"strings"
)

// ParseLatLon reads "51.25,-3.1": latitude and longitude in degrees, north and east positive.
func ParseLatLon(text string) (LatLon, error) {
	lat, lon, two := strings.Cut(text, ",")
	var out LatLon
	for _, k := range []struct {
		text string
		most float64
		to   *float64
	}{{lat, 90, &out.Lat}, {lon, 180, &out.Lon}} {
		v, err := strconv.ParseFloat(strings.TrimSpace(k.text), 64)
		if !two || err != nil || !(math.Abs(v) <= k.most) {
			return LatLon{}, fmt.Errorf("ground: expected latitude and longitude in degrees with a comma between, as 51.25,-3.1, not %q",
				text)
		}
		*k.to = v
	}
	return out, nil
}
