package going

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"greypebble/core/quantity"
	"greypebble/core/words"
)

// Limits of an angler by their id; what is not in it is the house's.
type Limits map[string]Level

// Level of a limit in its SI unit: where one thinks again, and where one does not go. NaN stands
// for never.
type Level struct{ Think, DoNot float64 }

// Limit that can be set.
type Limit struct {
	ID string
	// Manner of going it belongs to, in a word or two; Says what it limits.
	Manner, Says string
	Unit         string
	// Measure people choose a unit for; empty for none.
	Measure   string
	Dimension quantity.Dimension
	// Most is the greatest value that makes sense; none is less than 0.
	Most  float64
	House Level
	// Falls: less is worse.
	Falls bool
}

// Ids of the limits.
const (
	rockClear     = "rock_clear_m"
	breakers      = "breakers_m"
	wadeDepth     = "wade_depth_m"
	wadeRun       = "wade_run_ms"
	coldWater     = "cold_water_c"
	kayakWind     = "kayak_wind_ms"
	kayakOffshore = "kayak_offshore_wind_ms"
	kayakWaves    = "kayak_waves_m"
	boatWind      = "boat_wind_ms"
	boatWaves     = "boat_waves_m"
	wayBack       = "way_back_min"
)

var never = math.NaN()

var table = []Limit{
	{rockClear, words.OnRockJettyLedgeOrWall, words.RunUpOfTheSwellBelow, "m", "depth", quantity.Length, 20, Level{1, 0},
		true},
	{breakers, "on a beach", words.HeightOfBreakers, "m", "height", quantity.Length, 10, Level{1.2, 2}, false},
	{wadeDepth, "wading", words.DepthOnTheWay, "m", "depth", quantity.Length, 2, Level{0.75, 1}, false},
	{wadeRun, "wading", words.RunOfTheWater, "m/s", "run", quantity.Speed, 3, Level{0.5, 1}, false},
	{coldWater, words.WadingOrInAKayak, words.WaterTemperature, "°C", "temperature", quantity.Temperature, 30, Level{15, never}, true},
	{kayakWind, "kayak", "Wind", "m/s", "wind", quantity.Speed, 30, Level{6, 10}, false},
	{kayakOffshore, "kayak", words.WindOffTheLand, "m/s", "wind", quantity.Speed, 30, Level{4, 7}, false},
	{kayakWaves, "kayak", "Waves", "m", "depth", quantity.Length, 5, Level{0.4, 0.8}, false},
	{boatWind, "small open boat", "Wind", "m/s", "wind", quantity.Speed, 40, Level{8, 12}, false},
	{boatWaves, "small open boat", "Waves", "m", "height", quantity.Length, 10, Level{0.8, 1.3}, false},
	{wayBack, words.WhereTheTideShutsTheWay, words.MinutesUntilTheWayBackShuts, "min", "", quantity.None, 600, Level{60, 20}, true},
}

// Table of all limits, in the order they are asked after.
func Table() []Limit { return slices.Clone(table) }

// Of a limit: the angler's, or the house's.
func (l Limits) Of(id string) Level {
	if own, set := l[id]; set {
		return own
	}
	for i := range table {
		if table[i].ID == id {
			return table[i].House
		}
	}
	panic("going: no limit " + id)
}

// Validate refuses limits that do not exist, impossible values and a step that comes in the wrong
// order, naming what was expected.
func (l Limits) Validate() error {
	for id, level := range l {
		i := slices.IndexFunc(table, func(k Limit) bool { return k.ID == id })
		if i < 0 {
			var known []string
			for _, k := range table {
				known = append(known, k.ID)
			}
			return fmt.Errorf("going: unknown limit %q; known are %s", id, strings.Join(known, ", "))
		}
		k := &table[i]
		for _, v := range []float64{level.Think, level.DoNot} {
			if v < 0 || v > k.Most {
				return fmt.Errorf("going: %s: expected 0 to %g %s, not %g", id, k.Most, k.Unit, v)
			}
		}
		if k.Falls && level.DoNot > level.Think || !k.Falls && level.DoNot < level.Think {
			return fmt.Errorf("going: %s: one thinks again before one does not go, so %g must come before %g", id, level.Think, level.DoNot)
		}
	}
	return nil
}

// passed says which step a value has reached.
func (l Limits) passed(id string, value float64) Severity {
	level, falls := l.Of(id), false
	for i := range table {
		falls = falls || table[i].ID == id && table[i].Falls
	}
	past := func(limit float64) bool {
		if falls {
			return value <= limit
		}
		return value >= limit
	}
	switch {
	case past(level.DoNot):
		return DoNot
	case past(level.Think):
		return Think
	}
	return Note
}
