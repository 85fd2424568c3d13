package quantity

import (
	"fmt"
	"math"
)

// Units hold, for each kind of measure anglers speak of, the unit it is shown in.
// [Metric] and [US] are two such values; people mix them, so every field stands alone.
// An empty field means the metric one.
type Units struct {
	// Depth of water, Tackle for the lengths of lures and leaders, Distance for how far
	// off something is.
	Depth, Tackle, Distance string
	// Wind, Boat and Run are speeds: of the air, of a boat, of water and lures.
	Wind, Boat, Run string
	// Line is the breaking strength of a line, Weight that of sinkers and lures, Fish
	// that of fish.
	Line, Weight, Fish string
	Temperature        string
	// Pressure of the air.
	Pressure string
	// Clock is how hours are written, [Hours24] or [Hours12].
	Clock string
}

// Metric units.
var Metric = Units{Depth: "m", Tackle: "cm", Distance: "m", Wind: "m/s", Boat: "kn", Run: "m/s",
	Line: "kg", Weight: "g", Fish: "kg", Temperature: "°C", Pressure: "hPa", Clock: Hours24}

// US units.
var US = Units{Depth: "ft", Tackle: "in", Distance: "ft", Wind: "mph", Boat: "kn", Run: "ft/s",
	Line: "lb", Weight: "oz", Fish: "lb", Temperature: "°F", Pressure: "inHg", Clock: Hours12}

// ParseUnits reads "metric" (also the empty text) or "us".
func ParseUnits(s string) (Units, error) {
	switch s {
	case "", "metric":
		return Metric, nil
	case "us":
		return US, nil
	}
	return Metric, fmt.Errorf("quantity: units must be \"metric\" or \"us\", not %q", s)
}

// field of a value of units: its name, its dimension and the unit chosen.
type field struct {
	name      string
	dimension Dimension
	chosen    string
}

func (u Units) fields() []field {
	return []field{{"depth", Length, u.Depth}, {"tackle", Length, u.Tackle}, {"distance", Length, u.Distance},
		{"wind", Speed, u.Wind}, {"boat", Speed, u.Boat}, {"run", Speed, u.Run},
		{"line", Mass, u.Line}, {"weight", Mass, u.Weight}, {"fish", Mass, u.Fish}, {"temperature", Temperature, u.Temperature},
		{"pressure", Pressure, u.Pressure}}
}

// Validate refuses a unit that is unknown or measures something else, and names it.
func (u Units) Validate() error {
	for _, f := range u.fields() {
		if f.chosen == "" {
			continue
		}
		known, ok := units[f.chosen]
		if !ok || known.dimension != f.dimension {
			return fmt.Errorf("quantity: the unit of %s must be one of a %s, not %q", f.name, f.dimension, f.chosen)
		}
	}
	if u.Clock != "" && u.Clock != Hours24 && u.Clock != Hours12 {
		return fmt.Errorf("quantity: hours are written as %q or %q, not %q", Hours24, Hours12, u.Clock)
	}
	return nil
}

// decimals a value is shown with, by its unit; 0 for units that are not listed.
type decimals map[string]int

// show a value in SI in a unit, or in another where none was chosen.
func show(si float64, chosen, otherwise string, d decimals) string {
	if chosen == "" {
		chosen = otherwise
	}
	u := units[chosen]
	return plain((si-u.offset)/u.scale, d[chosen]) + " " + chosen
}

// Decimals as they are spoken of.
var (
	depthDecimals  = decimals{"m": 2, "ft": 1}
	coarseDecimals = decimals{"m": 1}
	waterDecimals  = decimals{"m": 1, "ft": 1}
	heightDecimals = decimals{"m": 1}
	windDecimals   = decimals{"m/s": 1}
	boatDecimals   = decimals{"kn": 1, "m/s": 1, "km/h": 1, "mph": 1}
	runDecimals    = decimals{"m/s": 2, "ft/s": 1, "kn": 1, "mph": 1, "km/h": 1}
	fishDecimals   = decimals{"kg": 1, "lb": 1}
)

// ShowDepth shows a depth or height: "0.34 m", "1.1 ft"; deep water more roughly: "22.0 m", "72 ft".
func (u Units) ShowDepth(m float64) string {
	if math.Abs(m) >= coarseDepth {
		return show(m, u.Depth, "m", coarseDecimals)
	}
	return show(m, u.Depth, "m", depthDecimals)
}

// ShowWater shows water over a mark, and how deep in it one fishes, as closely as a tide is predicted: "0.34 m", "2.0 m",
// "6.6 ft", "72 ft".
func (u Units) ShowWater(m float64) string {
	if math.Abs(m) >= 0.995 && math.Abs(m) < coarseDepth {
		return show(m, u.Depth, "m", waterDecimals)
	}
	return u.ShowDepth(m)
}

// coarseDepth and more is told to the decimetre or the foot, metres.
const coarseDepth = 9.995

// ShowHeight shows a height one judges by eye, a wave's: "0.8 m", "3 ft".
func (u Units) ShowHeight(m float64) string { return show(m, u.Depth, "m", heightDecimals) }

// ShowWarming shows a change of temperature: "0.5 °C", "0.9 °F".
func (u Units) ShowWarming(c float64) string {
	if u.Temperature == "°F" {
		return plain(c*9/5, 1) + " °F"
	}
	return plain(c, 1) + " °C"
}

// ShowSmall shows a short length such as a lure's: "9 cm", "3.5 in".
func (u Units) ShowSmall(m float64) string {
	if u.Tackle == "in" {
		return fmt.Sprintf("%s in", trimmed(math.Round(m/inch*2)/2))
	}
	return show(m, u.Tackle, "cm", nil)
}

// ShowShort shows a length of tackle: "40 cm", "1.2 m", "16 in", "4 ft".
func (u Units) ShowShort(m float64) string {
	inches := u.Tackle == "in"
	switch {
	case inches && m >= wholeFeet:
		return fmt.Sprintf("%s ft", trimmed(math.Round(m/foot*2)/2))
	case inches && m >= 0.15:
		return fmt.Sprintf("%s in", plain(m/inch, 0))
	case !inches && m >= 10:
		return show(m, "m", "m", nil)
	case !inches && m >= 1:
		return trimmed(math.Round(m*10)/10) + " m"
	}
	return u.ShowSmall(m)
}

// wholeFeet and more is told in feet and halves of them, metres.
const wholeFeet = 0.58

// ShowDistance shows how far off something is: "52 m", "171 ft".
func (u Units) ShowDistance(m float64) string { return show(m, u.Distance, "m", nil) }

// ShowWind shows a wind's speed: "7.0 m/s", "16 mph", "14 kn".
func (u Units) ShowWind(ms float64) string { return show(ms, u.Wind, "m/s", windDecimals) }

// ShowBoat shows a boat's speed: "5.0 kn".
func (u Units) ShowBoat(ms float64) string { return show(ms, u.Boat, "kn", boatDecimals) }

// ShowRun shows the speed of water or of a lure: "0.45 m/s", "1.5 ft/s".
func (u Units) ShowRun(ms float64) string { return show(ms, u.Run, "m/s", runDecimals) }

// Gravity is the standard one, m/s²: a line that breaks at 1 kg breaks at so many newtons.
const Gravity = 9.80665

// ShowLine shows a line's breaking strength (newtons) as lines are sold: "20 lb", in
// metric with kilograms beside it.
func (u Units) ShowLine(n float64) string {
	lb := fmt.Sprintf("%s lb", plain(n/Gravity/pound, 0))
	if u.Line == "lb" {
		return lb
	}
	return fmt.Sprintf("%s (%s kg)", lb, plain(n/Gravity, 0))
}

// ShowWeight shows a sinker's or lure's mass: "7 g", "1/4 oz".
func (u Units) ShowWeight(kg float64) string {
	if u.Weight == "oz" {
		return fmt.Sprintf("%s oz", ounces(kg/ounce))
	}
	// A 3.5 g head is none of 4 g; one of 7.09 is sold as 7.
	if g := kg * 1000; (u.Weight == "" || u.Weight == "g") && g < 15 && math.Abs(math.Round(g)-g) > 0.03*g {
		return trimmed(math.Round(g*10)/10) + " g"
	}
	return show(kg, u.Weight, "g", nil)
}

// ShowFish shows a fish's mass: "2.7 kg", "6.0 lb".
func (u Units) ShowFish(kg float64) string { return show(kg, u.Fish, "kg", fishDecimals) }

// ShowTemperature shows "17 °C" or "63 °F".
func (u Units) ShowTemperature(c float64) string { return show(c, u.Temperature, "°C", nil) }

// ounces writes the nearest common fraction, as weights are sold.
func ounces(oz float64) string {
	for _, parts := range []float64{1, 2, 4, 8, 16, 32} {
		n := math.Round(oz * parts)
		if n > 0 && math.Abs(n/parts-oz) <= 0.04*oz {
			if parts == 1 {
				return fmt.Sprintf("%.0f", n)
			}
			if n > parts {
				return fmt.Sprintf("%.0f %.0f/%.0f", math.Floor(n/parts), math.Mod(n, parts), parts)
			}
			return fmt.Sprintf("%.0f/%.0f", n, parts)
		}
	}
	return plain(oz, 2)
}

// plain writes a fixed number of decimals, a true minus, and never "−0".
func plain(x float64, decimals int) string {
	t := fmt.Sprintf("%.*f", decimals, math.Abs(x))
	zero := fmt.Sprintf("%.*f", decimals, 0.0)
	if x < 0 && t != zero {
		return "−" + t
	}
	return t
}

func trimmed(x float64) string { return fmt.Sprintf("%g", x) }

// ShowFishLength shows how long a fish is, as finely as it is measured: "40.6 cm", "27.5 in".
func (u Units) ShowFishLength(m float64) string {
	if u.Tackle == "in" {
		return trimmed(math.Round(m/inch*100)/100) + " in"
	}
	return trimmed(math.Round(m*1000)/10) + " cm"
}

// sixteenths of an inch, by which lengths of fish are told apart.
const sixteenths = 16

// ShowLittle shows a small difference of length: "3 mm", "1.2 cm", "1/2 in", "2 1/4 in".
func (u Units) ShowLittle(m float64) string {
	m = math.Abs(m)
	if u.Tackle != "in" {
		if m < 0.01-0.00005 {
			return trimmed(math.Round(m*1000)) + " mm"
		}
		return trimmed(math.Round(m*1000)/10) + " cm"
	}
	n := int(math.Round(m / inch * sixteenths))
	whole, of := n/sixteenths, sixteenths
	n %= sixteenths
	for n > 0 && n%2 == 0 {
		n, of = n/2, of/2
	}
	switch {
	case n == 0 && whole == 0 && m > 0:
		return "less than 1/16 in"
	case n == 0:
		return fmt.Sprintf("%d in", whole)
	case whole == 0:
		return fmt.Sprintf("%d/%d in", n, of)
	}
	return fmt.Sprintf("%d %d/%d in", whole, n, of)
}
