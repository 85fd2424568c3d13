package spot

import (
	"fmt"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/sky"
	"greypebble/core/water"
	"greypebble/core/words"
)

// Statement is one condition as it is believed at a moment: read, forecast, predicted or
// assumed, with where it came from.
type Statement struct {
	Kind  string
	Value float64
	Unit  string
	// Says is the value in a word, where there is one: "stained".
	Says   string
	Origin conditions.Origin
	Source string
	// Site where it was taken; empty for the whole water.
	Site string
	Time time.Time
	// Low and High hold 80 % of the belief.
	Low, High float64
	// Age of the reading at the moment; negative for one yet to come.
	Age time.Duration
}

const (
	harmonic  = "harmonic prediction"
	ephemeris = "ephemeris"
)

// Statements of all that is known of a moment: what was read or assumed, then what was
// worked out.
func (m *Moment) Statements() []Statement {
	var out []Statement
	for _, k := range conditions.Kinds() {
		v, known := m.Believed[k]
		if !known {
			continue
		}
		low, high := v.Range()
		out = append(out, Statement{Kind: string(k), Value: v.Value, Unit: k.Unit(), Says: k.Say(v.Value), Origin: v.Origin,
			Source: v.Source, Site: v.Site, Time: v.Time, Low: low, High: high, Age: v.Age})
	}
	add := func(kind string, value float64, unit, says, source string) {
		out = append(out, Statement{Kind: kind, Value: value, Unit: unit, Says: says, Origin: conditions.Predicted, Source: source,
			Time: m.Time, Low: value, High: value})
	}
	if left := m.SurgeM(); left != 0 {
		seen := m.Spot.Surge.Seen
		out = append(out, Statement{Kind: "tide_surge_m", Value: left, Unit: "m", Origin: conditions.Observed,
			Source: words.SeenByTheAnglerFading, Time: seen, Low: left, High: left, Age: m.Time.Sub(seen)})
	}
	add("tide_level_m", m.LevelM, "m", "", harmonic)
	add("tide_rate_m_per_h", m.Stage.RateMPerH, "m/h", "", harmonic)
	add("tide_strength_pct", m.Strength(), "%", "", words.RangeMeanSpringRange)
	if u, known := m.Current(); known {
		add("current_ms", u, "m/s", "", currentSource(m.Spot.Current))
	}
	out = append(out, m.windWaves())
	add("sun_altitude_deg", m.Sun.Altitude, "deg", "", ephemeris)
	light := m.SurfaceLight(m.Believed[conditions.Cloud].Value)
	add("surface_light_lx", light, "lx", water.Class(light).String(), words.SunMoonAndCloud)
	add("dark_below_m", m.DarkBelow(), "m", "", words.LightCloudAndClarity)
	add("moon_illumination", m.Phase.Illumination, "", m.Phase.Name(), ephemeris)
	add("days_from_full", m.FromFull, "d", sky.SayMoon(m.FromFull, m.FromNew()), words.EphemerisNegativeBeforeFullMoon)
	add("days_from_new", m.FromNew(), "d", "", words.EphemerisNegativeBeforeNewMoon)
	return out
}

// windWaves as a statement: what rests on an assumed fetch is assumed itself.
func (m *Moment) windWaves() Statement {
	surface := m.Surface()
	out := Statement{Kind: "wind_wave_m", Value: surface.WaveM, Unit: "m", Says: surface.Says(), Time: m.Time, Low: surface.WaveM,
		High: surface.WaveM, Origin: m.Believed[conditions.WindSpeed].Origin, Source: words.WindOverTheFetch}
	if !surface.Outlined {
		out.Origin, out.Source = conditions.Assumed, words.WindOverAnAssumedFetchThe
	}
	return out
}

// Says how the surface lies and which side of the land it is: "ripple, in the lee".
func (s Surface) Says() string {
	if !s.Outlined {
		return s.Surface.String()
	}
	sides := map[water.Side]string{water.Lee: words.InTheLee, water.Exposed: words.Exposed, water.Along: words.WindAlongTheShore}
	if says, sided := sides[s.Side]; sided {
		return fmt.Sprintf(says, s.Surface)
	}
	return s.Surface.String()
}

func currentSource(s water.Setting) string {
	if s.SeenMS > 0 {
		return words.TheFastestRunYouHaveSeen
	}
	return words.WhatMustPassToFillAnd
}
