package soundings

import (
	"fmt"
	"time"

	"greypebble/core/ground"
	"greypebble/interchange/nmea"
)

// Level gives the level of the tide over an interval, metres above chart datum.
type Level func(from, to time.Time) (func(t time.Time) float64, error)

// longestLog a sounder's log may span.
const longestLog = 40 * 24 * time.Hour

// ReadLog corrects the depths of a sounder's log (NMEA 0183) for the tide at each ping.
func ReadLog(raw []byte, level Level) ([]ground.Sounding, error) {
	pings, _, err := nmea.ReadLog(raw)
	if err != nil || len(pings) == 0 {
		return nil, err
	}
	first, last := pings[0].Time, pings[0].Time
	for _, p := range pings {
		if p.Time.Before(first) {
			first = p.Time
		}
		if p.Time.After(last) {
			last = p.Time
		}
	}
	if last.Sub(first) > longestLog {
		return nil, fmt.Errorf("the log spans %.0f days; expected at most %.0f", last.Sub(first).Hours()/24, longestLog.Hours()/24)
	}
	at, err := level(first, last)
	if err != nil {
		return nil, err
	}
	var list []ground.Sounding
	for _, p := range pings {
		if p.HasDepth {
			list = append(list, ground.Sounding{LatLon: ground.LatLon{Lat: p.Lat, Lon: p.Lon}, ElevationM: at(p.Time) - p.DepthM})
		}
	}
	return list, nil
}
