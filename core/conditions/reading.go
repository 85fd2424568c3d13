package conditions

import (
	"fmt"
	"math"
	"sort"
	"strings"
	"time"

	"greypebble/core/quantity"
)

// Origin is where a reading came from.
type Origin string

// Origins, most trusted first.
const (
	Observed  Origin = "observed"
	Forecast  Origin = "forecast"
	Predicted Origin = "predicted"
	Assumed   Origin = "assumed"
)

// Kind of condition; the name carries the unit.
type Kind string

// Kinds an angler may overrule.
const (
	Clarity   Kind = "clarity_secchi_m"
	WaterTemp Kind = "water_temp_c"
	WindSpeed Kind = "wind_speed_ms"
	WindFrom  Kind = "wind_from_deg"
	Cloud     Kind = "cloud_fraction"
	AirTemp   Kind = "air_temp_c"
	// Swell is that of deep water off the spot.
	SwellHeight Kind = "swell_height_m"
	SwellPeriod Kind = "swell_period_s"
	// Rain of an hour, and the depth a sounder reads, are known only when
	// somebody says so: nothing is assumed of them.
	Rain         Kind = "rain_mm"
	SounderDepth Kind = "sounder_depth_m"
)

// TheAngler is the source of what the angler says. A forecast of theirs goes
// before a service's.
const TheAngler = "the angler"

// nature of a kind: its unit, what is possible, and how it is doubted.
type nature struct {
	unit      string
	dimension quantity.Dimension
	min, max  float64
	// logarithmic kinds are uncertain by a factor.
	logarithmic bool
	// fresh is how long an observation beats a forecast.
	fresh time.Duration
	// spread of each origin: standard deviation in the unit, or of the natural
	// logarithm. The house's judgement, not measurements.
	spread map[Origin]float64
	// assumed is taken when nothing is known; NaN means that nothing is.
	assumed float64
}

// round says that values come full circle.
func (n *nature) round() bool { return n.dimension == quantity.Angle }

var natures = map[Kind]nature{
	Clarity: {"m", quantity.Length, 0.05, 60, true, 6 * time.Hour,
		map[Origin]float64{Observed: 0.1, Forecast: 0.4, Predicted: 0.4, Assumed: 0.7}, 1.2},
	WaterTemp: {"°C", quantity.Temperature, -2.5, 40, false, 12 * time.Hour,
		map[Origin]float64{Observed: 0.3, Forecast: 1, Predicted: 1, Assumed: 4}, 18},
	WindSpeed: {"m/s", quantity.Speed, 0, 60, false, 2 * time.Hour,
		map[Origin]float64{Observed: 0.5, Forecast: 1.5, Predicted: 1.5, Assumed: 2.5}, 4},
	WindFrom: {"deg", quantity.Angle, 0, 360, false, 2 * time.Hour,
		map[Origin]float64{Observed: 10, Forecast: 25, Predicted: 25, Assumed: 90}, 0},
	Cloud: {"", quantity.Fraction, 0, 1, false, 2 * time.Hour,
		map[Origin]float64{Observed: 0.05, Forecast: 0.25, Predicted: 0.25, Assumed: 0.35}, 0.5},
	AirTemp: {"°C", quantity.Temperature, -60, 60, false, 2 * time.Hour,
		map[Origin]float64{Observed: 0.5, Forecast: 2, Predicted: 2, Assumed: 7}, 18},
	SwellHeight: {"m", quantity.Length, 0, 30, true, 3 * time.Hour,
		map[Origin]float64{Observed: 0.15, Forecast: 0.25, Predicted: 0.25, Assumed: 0.8}, 0.5},
	SwellPeriod: {"s", quantity.Time, 1, 30, true, 3 * time.Hour,
		map[Origin]float64{Observed: 0.1, Forecast: 0.15, Predicted: 0.15, Assumed: 0.4}, 8},
	Rain: {"mm", quantity.None, 0, 500, false, time.Hour,
		map[Origin]float64{Observed: 0.5, Forecast: 2, Predicted: 2, Assumed: 5}, math.NaN()},
	SounderDepth: {"m", quantity.Length, 0, 11000, true, 10 * time.Minute,
		map[Origin]float64{Observed: 0.02, Forecast: 0.2, Predicted: 0.2, Assumed: 0.5}, math.NaN()},
}

// Kinds that exist, in alphabetical order.
func Kinds() []Kind {
	list := make([]Kind, 0, len(natures))
	for k := range natures {
		list = append(list, k)
	}
	sort.Slice(list, func(i, j int) bool { return list[i] < list[j] })
	return list
}

// Unit of a kind's values.
func (k Kind) Unit() string { return natures[k].unit }

// Reading is one condition's value.
type Reading struct {
	Kind   Kind
	Value  float64
	Time   time.Time
	Origin Origin
	// Source says in words who or what it comes from; Place, where it was taken,
	// empty for the whole water.
	Source, Place string
	// Spread of this very reading where it is known: one standard deviation in the
	// unit, or of the natural logarithm. Zero means the usual one of its origin.
	Spread float64
}

// spread of a reading: its own or the usual one of its origin.
func (r *Reading) spread() float64 {
	if r.Spread > 0 {
		return r.Spread
	}
	return natures[r.Kind].spread[r.Origin]
}

// Validate refuses unknown kinds and origins and impossible values, naming what
// was expected.
func (r Reading) Validate() error {
	n, ok := natures[r.Kind]
	if !ok {
		names := make([]string, 0, len(natures))
		for _, k := range Kinds() {
			names = append(names, string(k))
		}
		return fmt.Errorf("conditions: unknown kind of reading %q; known are %s", r.Kind, strings.Join(names, ", "))
	}
	if math.IsNaN(r.Value) || r.Value < n.min || r.Value > n.max {
		return fmt.Errorf("conditions: %s must be between %v and %v %s, not %v", r.Kind, n.min, n.max, n.unit, r.Value)
	}
	if !(r.Spread >= 0) || math.IsInf(r.Spread, 0) {
		return fmt.Errorf("conditions: spread of %s must be 0 or more, not %v", r.Kind, r.Spread)
	}
	if _, ok := n.spread[r.Origin]; !ok {
		return fmt.Errorf("conditions: unknown origin %q; known are observed, forecast, predicted, assumed", r.Origin)
	}
	return nil
}

// Value of a condition as it is believed at a moment.
type Value struct {
	Reading
	// Spread is one standard deviation in the kind's unit, or of its natural
	// logarithm for clarity.
	Spread float64
	// Age of the reading at the moment; negative for a reading yet to come.
	Age time.Duration
}

// At shifts the value by z standard deviations, within what is possible.
func (v Value) At(z float64) float64 {
	n := natures[v.Kind]
	x := v.Value + z*v.Spread
	if n.logarithmic {
		x = v.Value * math.Exp(z*v.Spread)
	}
	return min(max(x, n.min), n.max)
}

// InUnit converts a value someone gave in a unit to the kind's own. An empty
// unit means the kind's own; a unit of another dimension is an error.
func InUnit(k Kind, value float64, unit string) (float64, error) {
	n, ok := natures[k]
	if !ok || unit == "" || unit == n.unit || unit == "1" && n.dimension == quantity.Fraction {
		return value, nil // an unknown kind is refused by Validate
	}
	q, err := quantity.Of(n.dimension, fmt.Sprintf("%v %s", value, unit))
	if err != nil {
		return 0, fmt.Errorf("conditions: %s: %w", k, err)
	}
	return q, nil
}

// Range that holds 80 % of the belief in a value.
func (v Value) Range() (low, high float64) { return v.At(-z80), v.At(z80) }

// z80 is the 90 % quantile of the standard normal.
const z80 = 1.2815515655446004
