package api

import (
	"fmt"
	"time"

	"greypebble/core/advise"
	"greypebble/core/conditions"
)

// readingIn is a condition as the angler gives it.
type readingIn struct {
	Kind  string  `json:"kind" enum:"clarity_secchi_m,water_temp_c,wind_speed_ms,wind_from_deg,cloud_fraction"`
	Value float64 `json:"value"`
	Unit  string  `json:"unit,omitempty" doc:"the kind's own unit if left out"`
}

// observedAt reads overrides as observations made at a time.
func observedAt(list []readingIn, t time.Time) ([]conditions.Reading, error) {
	out := make([]conditions.Reading, 0, len(list))
	for i, r := range list {
		k := conditions.Kind(r.Kind)
		v, err := conditions.InUnit(k, r.Value, r.Unit)
		if err != nil {
			return nil, wrong(fmt.Sprintf("body.readings[%d].unit", i), err)
		}
		reading := conditions.Reading{Kind: k, Value: v, Time: t, Origin: conditions.Observed, Source: "the angler"}
		if err := reading.Validate(); err != nil {
			return nil, wrong(fmt.Sprintf("body.readings[%d].value", i), err)
		}
		out = append(out, reading)
	}
	return out, nil
}

// condition as it is believed, with where it came from.
type condition struct {
	Kind   string    `json:"kind"`
	Value  float64   `json:"value"`
	Unit   string    `json:"unit"`
	Origin string    `json:"origin" enum:"observed,forecast,predicted,assumed"`
	Source string    `json:"source"`
	Time   time.Time `json:"time"`
	Low    float64   `json:"low" doc:"80 % of the belief lies between low and high"`
	High   float64   `json:"high"`
}

// conditionsOf a moment: what was read or assumed, then what was predicted.
func conditionsOf(m *advise.Moment) []condition {
	var out []condition
	for _, k := range conditions.Kinds() {
		v := m.Believed[k]
		low, high := v.Range()
		out = append(out, condition{string(k), v.Value, k.Unit(), string(v.Origin), v.Source, v.Time, low, high})
	}
	predicted := func(kind string, value float64, unit, source string) {
		out = append(out, condition{kind, value, unit, string(conditions.Predicted), source, m.Time, value, value})
	}
	predicted("tide_level_m", m.LevelM, "m", "harmonic prediction")
	predicted("tide_rate_m_per_h", m.Stage.RateMPerH, "m/h", "harmonic prediction")
	predicted("sun_altitude_deg", m.Sun.Altitude, "deg", "ephemeris")
	predicted("surface_light_lx", m.SurfaceLight(m.Believed[conditions.Cloud].Value), "lx", "sun, moon and cloud")
	predicted("moon_illumination", m.Phase.Illumination, "", "ephemeris")
	return out
}
