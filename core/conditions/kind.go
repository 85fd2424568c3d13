package conditions

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"time"

	"greypebble/core/quantity"
	"greypebble/core/water"
	"greypebble/core/words"
)

// Kind of condition; the name carries the unit.
type Kind string

// Kinds that rules and calculations speak of by name.
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
	// FishDepth is how deep fish show on a sounder, or were met: one reading for each level.
	FishDepth Kind = "fish_depth_m"
	// Rain of an hour, the barometer, and the depth a sounder reads, are known only when somebody says
	// so: nothing is assumed of them.
	Rain         Kind = "rain_mm"
	Barometer    Kind = "air_pressure_pa"
	SounderDepth Kind = "sounder_depth_m"
	// Standing is how far the water has stood above prediction for days and weeks, as an
	// onshore wind or a full river keeps it.
	Standing Kind = "level_standing_m"
)

// Nature of a kind: all that is said of it anywhere. The API's list of kinds, the forms,
// the columns of forecast and logger files and the stand-ins follow from it.
type Nature struct {
	Kind Kind
	// Name in a word or two, Long as a form asks for it.
	Name, Long string
	// Unit of its values, as it is written.
	Unit      string
	Dimension quantity.Dimension
	// Measure people choose a unit for, by its name on the page; empty for none.
	Measure string
	// Min and Max are what is possible; Step is how finely it is entered, Decimals how
	// it is shown.
	Min, Max, Step float64
	Decimals       int
	// Drawn is how a value is written: as a number, as a compass point, or in eighths.
	Drawn Drawn
	// Logarithmic kinds are uncertain by a factor.
	Logarithmic bool
	// Fresh is how long an observation beats a forecast.
	Fresh time.Duration
	// Spread of each origin: standard deviation in the unit, or of the natural
	// logarithm. The house's judgement, not measurements.
	Spread map[Origin]float64
	// Assumed is taken when nothing is known; NaN means that nothing is.
	Assumed float64
	// Columns are the endings, by unit, of its column in a logger's file, the first
	// being its own: "water_temp" with "c", "f", "k".
	Columns Columns
	// CF is its standard name in a forecast (CF Standard Name Table), empty where no
	// forecast gives it; the forecast's value less CFOffset is the kind's.
	CF       string
	CFOffset float64
	// Words it is spoken of in, least first; nil for none. Given says that the angler may
	// answer with one.
	Words []Word
	Given bool
	// With are the kinds of place it is shown with first; nil for none, Everywhere but
	// some.
	With func(place string) bool
	// Alongside another kind it is shown and asked for: the wind's direction with its
	// speed.
	Alongside Kind
}

// Drawn is how a value is written.
type Drawn string

// Ways to write a value.
const (
	AsNumber  Drawn = "number"
	AsCompass Drawn = "compass"
	AsEighths Drawn = "eighths"
)

// Word for a range of values.
type Word struct {
	Word     string
	From, To float64
}

// Columns of a logger's file that hold a kind: a stem and the endings that tell the unit.
type Columns struct {
	Stem  string
	Units []string
}

// endings of columns, and the unit each stands for.
var endings = map[string]string{"c": "°C", "f": "°F", "k": "K", "ms": "m/s", "kn": "kn", "kmh": "km/h", "mph": "mph", "deg": "deg",
	"fraction": "", "pct": "%", "m": "m", "ft": "ft", "cm": "cm", "s": "s", "mm": "mm",
	"pa": "Pa", "hpa": "hPa", "mbar": "mbar", "inhg": "inHg", "mmhg": "mmHg"}

// Names of the columns and the unit of each.
func (c Columns) Names() map[string]string {
	out := make(map[string]string, len(c.Units))
	for _, e := range c.Units {
		out[c.Stem+"_"+e] = endings[e]
	}
	return out
}

// List of the columns' names, its own first.
func (c Columns) List() []string {
	out := make([]string, len(c.Units))
	for i, e := range c.Units {
		out[i] = c.Stem + "_" + e
	}
	return out
}

const kelvin = 273.15

var (
	temperatures = []string{"c", "f", "k"}
	speeds       = []string{"ms", "kn", "kmh", "mph"}
	lengths      = []string{"m", "ft", "cm"}
)

func spread(observed, forecast, assumed float64) map[Origin]float64 {
	return map[Origin]float64{Observed: observed, Forecast: forecast, Predicted: forecast, Assumed: assumed}
}

func anywhere(string) bool  { return true }
func onBeach(p string) bool { return p == "surf beach" }
func offBeach(p string) bool {
	return !onBeach(p)
}

// table of all kinds, in the order they are asked after.
var table = []Nature{
	{Kind: Clarity, Name: "clarity", Long: words.ClarityHowDeepAWhitePlate, Unit: "m", Dimension: quantity.Length,
		Measure: "depth",
		Min:     0.05, Max: 60, Step: 0.1, Decimals: 1, Logarithmic: true, Fresh: 6 * time.Hour, Spread: spread(0.1, 0.4, 0.7),
		Assumed: 1.2,
		Columns: Columns{"clarity_secchi", lengths}, CF: "secchi_depth_of_sea_water", Words: clarityWords(), Given: true, With: anywhere},
	{Kind: WaterTemp, Name: "water", Long: words.WaterTemperature, Unit: "°C", Dimension: quantity.Temperature, Measure: "temperature",
		Min: -2.5, Max: 40, Step: 0.5, Decimals: 1, Fresh: 12 * time.Hour, Spread: spread(0.3, 1, 4), Assumed: 18,
		Columns: Columns{"water_temp", temperatures}, CF: "sea_surface_temperature", CFOffset: kelvin, With: anywhere},
	{Kind: WindSpeed, Name: "wind", Long: words.WindSpeed, Unit: "m/s", Dimension: quantity.Speed, Measure: "wind",
		Min: 0, Max: 60, Step: 0.5, Decimals: 1, Fresh: 2 * time.Hour, Spread: spread(0.5, 1.5, 2.5), Assumed: 4,
		Columns: Columns{"wind_speed", speeds}, CF: "wind_speed", Words: windWords(), With: anywhere},
	{Kind: WindFrom, Name: "from", Long: words.WindFromDegreesNorthIs0, Unit: "deg", Dimension: quantity.Angle,
		Min: 0, Max: 360, Step: 5, Drawn: AsCompass, Fresh: 2 * time.Hour, Spread: spread(10, 25, 90), Assumed: 0,
		Columns: Columns{"wind_from", []string{"deg"}}, CF: "wind_from_direction", Alongside: WindSpeed},
	{Kind: Cloud, Name: "cloud", Long: words.CloudPartOfTheSky0, Unit: "", Dimension: quantity.Fraction,
		Min: 0, Max: 1, Step: 0.1, Decimals: 1, Drawn: AsEighths, Fresh: 2 * time.Hour, Spread: spread(0.05, 0.25, 0.35), Assumed: 0.5,
		Columns: Columns{"cloud", []string{"fraction", "pct"}}, CF: "cloud_area_fraction", With: offBeach},
	{Kind: SwellHeight, Name: "swell", Long: words.SwellHeightInDeepWater, Unit: "m", Dimension: quantity.Length, Measure: "height",
		Min: 0, Max: 30, Step: 0.1, Decimals: 1, Logarithmic: true, Fresh: 3 * time.Hour, Spread: spread(0.15, 0.25, 0.8), Assumed: 0.5,
		Columns: Columns{"swell_height", lengths}, CF: "sea_surface_wave_significant_height", With: onBeach},
	{Kind: SwellPeriod, Name: "swell every", Long: words.SwellPeriod, Unit: "s", Dimension: quantity.Time,
		Min: 1, Max: 30, Step: 0.5, Logarithmic: true, Fresh: 3 * time.Hour, Spread: spread(0.1, 0.15, 0.4), Assumed: 8,
		Columns: Columns{"swell_period", []string{"s"}}, CF: "sea_surface_wave_mean_period", With: onBeach},
	{Kind: AirTemp, Name: "air", Long: words.AirTemperature, Unit: "°C", Dimension: quantity.Temperature, Measure: "temperature",
		Min: -60, Max: 60, Step: 0.5, Decimals: 1, Fresh: 2 * time.Hour, Spread: spread(0.5, 2, 7), Assumed: 18,
		Columns: Columns{"air_temp", temperatures}, CF: "air_temperature", CFOffset: kelvin},
	{Kind: Rain, Name: "rain", Long: words.RainInTheHour, Unit: "mm", Dimension: quantity.None, Measure: "rain",
		// kg/m² of CF is a millimetre
		Min: 0, Max: 500, Step: 0.5, Decimals: 1, Fresh: time.Hour, Spread: spread(0.5, 2, 5), Assumed: math.NaN(),
		Columns: Columns{"rain", []string{"mm"}}, CF: "precipitation_amount"},
	// From the lowest and the highest ever measured at sea level, 870 and 1084 hPa (WMO World
	// Weather and Climate Extremes Archive).
	{Kind: Barometer, Name: "barometer", Long: words.AirPressureAtSeaLevel, Unit: "Pa", Dimension: quantity.Pressure, Measure: "pressure",
		Min: 86_000, Max: 109_000, Step: 100, Decimals: 0, Fresh: 3 * time.Hour, Spread: spread(50, 200, 1000), Assumed: math.NaN(),
		Columns: Columns{"air_pressure", []string{"pa", "hpa", "mbar", "inhg", "mmhg"}}, CF: "air_pressure_at_mean_sea_level"},
	{Kind: SounderDepth, Name: "sounder", Long: words.DepthUnderTheSounder, Unit: "m", Dimension: quantity.Length, Measure: "depth",
		Min: 0, Max: 11000, Step: 0.1, Decimals: 1, Logarithmic: true, Fresh: 10 * time.Minute, Spread: spread(0.02, 0.2, 0.5),
		Assumed: math.NaN(), Columns: Columns{"sounder_depth", lengths}},
	{Kind: FishDepth, Name: "fish at", Long: words.DepthFishShowAt, Unit: "m", Dimension: quantity.Length, Measure: "depth",
		Min: 0.1, Max: 400, Step: 0.5, Decimals: 1, Logarithmic: true, Fresh: 20 * time.Minute, Spread: spread(0.05, 0.2, 0.5),
		Assumed: math.NaN(), Columns: Columns{"fish_depth", lengths}},
	{Kind: Standing, Name: "standing", Long: words.WaterStandingAbovePredictionForDays, Unit: "m", Dimension: quantity.Length,
		Measure: "depth",
		Min:     -3, Max: 3, Step: 0.05, Decimals: 2, Fresh: 7 * 24 * time.Hour, Spread: spread(0.05, 0.1, 0.3), Assumed: math.NaN(),
		Columns: Columns{"level_standing", lengths}},
}

// natures by kind.
var natures = func() map[Kind]*Nature {
	out := make(map[Kind]*Nature, len(table))
	for i := range table {
		if table[i].Drawn == "" {
			table[i].Drawn = AsNumber
		}
		out[table[i].Kind] = &table[i]
	}
	return out
}()

func clarityWords() (out []Word) {
	for _, w := range water.ClarityWords() {
		out = append(out, Word{w.Word, w.FromSecchi, w.ToSecchi})
	}
	return out
}

func windWords() (out []Word) {
	for _, w := range water.WindWords() {
		out = append(out, Word{w.Word, w.FromMS, w.ToMS})
	}
	return out
}

// Natures of all kinds, in the order they are asked after.
func Natures() []Nature { return slices.Clone(table) }

// NatureOf a kind; false for one that is not known.
func NatureOf(k Kind) (Nature, bool) {
	n, ok := natures[k]
	if !ok {
		return Nature{}, false
	}
	return *n, true
}

// Kinds that exist, in alphabetical order.
func Kinds() []Kind {
	list := make([]Kind, 0, len(table))
	for i := range table {
		list = append(list, table[i].Kind)
	}
	slices.Sort(list)
	return list
}

// Names of the kinds, in alphabetical order.
func Names() []string {
	var out []string
	for _, k := range Kinds() {
		out = append(out, string(k))
	}
	return out
}

// ShownAt a kind of place before the rest, in the order they are asked after.
func ShownAt(place string) []Kind {
	out := []Kind{}
	for i := range table {
		if n := &table[i]; n.With != nil && n.With(place) {
			out = append(out, n.Kind)
		}
	}
	return out
}

// Unit of a kind's values.
func (k Kind) Unit() string {
	if n, ok := natures[k]; ok {
		return n.Unit
	}
	return ""
}

// Say a value in a word, where there is one: "stained", "fresh breeze"; empty otherwise.
func (k Kind) Say(value float64) string {
	n, ok := natures[k]
	if !ok || len(n.Words) == 0 {
		return ""
	}
	for _, w := range n.Words {
		if value < w.To {
			return w.Word
		}
	}
	return n.Words[len(n.Words)-1].Word
}

// FromWord reads a word the angler answers with: the middle of its range by the
// logarithm, and the spread of anything in it. It lists the words where it is another.
func FromWord(k Kind, word string) (value, lnSpread float64, err error) {
	n, ok := natures[k]
	if !ok || !n.Given {
		return 0, 0, fmt.Errorf("conditions: %s has no words; expected a value", k)
	}
	w, err := wordOf(k, word)
	if err != nil {
		return 0, 0, err
	}
	lo, hi := math.Log(w.From), math.Log(w.To)
	return math.Exp((lo + hi) / 2), (hi - lo) / math.Sqrt(12), nil
}

// wordOf a kind by how it is written.
func wordOf(k Kind, word string) (Word, error) {
	n := natures[k]
	names := make([]string, len(n.Words))
	for i, w := range n.Words {
		if strings.EqualFold(strings.TrimSpace(word), w.Word) {
			return w, nil
		}
		names[i] = w.Word
	}
	return Word{}, fmt.Errorf("conditions: unknown word for %s %q; known are %s", n.Name, word, strings.Join(names, ", "))
}

// Middle of what a word stands for, for any kind that is spoken of in words: the geometric mean, or, of what
// begins at nought, half of where it ends; of what has no end, where it begins.
func Middle(k Kind, word string) (float64, error) {
	w, err := wordOf(k, word)
	switch {
	case err != nil:
		return 0, err
	case w.From <= 0:
		return w.To / 2, nil
	case math.IsInf(w.To, 1):
		return w.From, nil
	}
	return math.Sqrt(w.From * w.To), nil
}

// InUnit converts a value someone gave in a unit to the kind's own. An empty unit means
// the kind's own; a unit of another dimension is an error.
func InUnit(k Kind, value float64, unit string) (float64, error) {
	n, ok := natures[k]
	if !ok || unit == "" || unit == n.Unit || unit == "1" && n.Dimension == quantity.Fraction {
		return value, nil // an unknown kind is refused by Validate
	}
	q, err := quantity.Of(n.Dimension, fmt.Sprintf("%v %s", value, unit))
	if err != nil {
		return 0, fmt.Errorf("conditions: %s: %w", n.Name, err)
	}
	return q, nil
}

// Givers of a kind: who may say it.
func (n *Nature) Givers() []string {
	out := []string{"angler", "log"}
	if n.CF != "" {
		out = append(out, "forecast")
	}
	return out
}
