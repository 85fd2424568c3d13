package nmea

import (
	"bytes"
	"errors"
	"fmt"
	"time"
)

// Ping is a depth or a temperature at a moment and a place.
type Ping struct {
	Time     time.Time
	Lat, Lon float64
	// DepthM of water from the surface. HasDepth and HasTemp say what the ping
	// holds.
	DepthM, WaterTempC float64
	HasDepth, HasTemp  bool
}

// ErrNoDate says that nothing in a log tells its day.
var ErrNoDate = errors.New("nmea: no RMC sentence with a position and a date was found, so its times cannot be told")

// errNoLog says that a file is not a log at all.
var errNoLog = errors.New("nmea: no sentences were found; expected lines like $SDDPT,2.4,0.3*5C")

// MostPings a log may hold.
const MostPings = 2_000_000

// ReadLog reads a recorded stream. Times come from its RMC and GGA sentences;
// what stands before the first of them has none and is left out.
func ReadLog(raw []byte) ([]Ping, Faults, error) {
	var faults Faults
	var out []Ping
	var day, now time.Time
	var place Position
	good := 0
	for m, err := range Messages(bytes.NewReader(raw), &faults) {
		if err != nil {
			return nil, faults, err
		}
		good++
		switch m := m.(type) {
		case Position:
			if at, dated := m.Time(); dated {
				day, now = m.Date, at
			} else if !day.IsZero() {
				now = nextAfter(now, day.Add(m.TimeOfDay))
			}
			place = m
		case Depth:
			if !now.IsZero() {
				out = append(out, Ping{Time: now, Lat: place.Lat, Lon: place.Lon, DepthM: m.FromSurfaceM(), HasDepth: true})
			}
		case WaterTemp:
			if !now.IsZero() {
				out = append(out, Ping{Time: now, Lat: place.Lat, Lon: place.Lon, WaterTempC: m.C, HasTemp: true})
			}
		}
		if len(out) > MostPings {
			return nil, faults, fmt.Errorf("nmea: more than %d pings; send the log in parts", MostPings)
		}
	}
	switch {
	case good == 0:
		return nil, faults, errNoLog
	case day.IsZero():
		return nil, faults, ErrNoDate
	}
	return out, faults, nil
}

// nextAfter puts a time of day without a date on the day that goes on from the
// time before, over midnight if need be.
func nextAfter(before, t time.Time) time.Time {
	for before.Sub(t) > 12*time.Hour {
		t = t.AddDate(0, 0, 1)
	}
	return t
}
