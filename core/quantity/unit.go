package quantity

import (
	"fmt"
	"math"
	"sort"
	"strconv"
	"strings"
)

// Dimension is what a quantity measures; the comment is its SI unit here.
type Dimension int

// Dimensions in use.
const (
	None        Dimension = iota // 1
	Length                       // m
	Speed                        // m/s
	RiseRate                     // m/h
	Temperature                  // °C
	Mass                         // kg
	Time                         // s
	Angle                        // deg
	Fraction                     // 0…1
	Illuminance                  // lx
	Pressure                     // Pa
)

var dimensionNames = [...]string{"number", "length", "speed", "rate of rise", "temperature", "mass", "time", "angle", "fraction",
	"illuminance", "pressure"}

func (d Dimension) String() string { return dimensionNames[d] }

// SI is the symbol of the unit values of the dimension are kept in.
func (d Dimension) SI() string {
	return [...]string{"", "m", "m/s", "m/h", "°C", "kg", "s", "deg", "", "lx", "Pa"}[d]
}

type unit struct {
	dimension     Dimension
	scale, offset float64 // SI = value·scale + offset
}

const (
	inch  = 0.0254
	foot  = 0.3048
	yard  = 0.9144
	mile  = 1609.344
	sea   = 1852.0
	pound = 0.45359237
	ounce = pound / 16
)

var units = map[string]unit{
	"m": {Length, 1, 0}, "cm": {Length, 0.01, 0}, "mm": {Length, 0.001, 0}, "km": {Length, 1000, 0},
	"in": {Length, inch, 0}, "ft": {Length, foot, 0}, "yd": {Length, yard, 0}, "mi": {Length, mile, 0}, "nmi": {Length, sea, 0},
	"m/s": {Speed, 1, 0}, "km/h": {Speed, 1 / 3.6, 0}, "kn": {Speed, sea / 3600, 0}, "kt": {Speed, sea / 3600, 0},
	"mph": {Speed, mile / 3600, 0}, "ft/s": {Speed, foot, 0},
	"m/h": {RiseRate, 1, 0}, "cm/h": {RiseRate, 0.01, 0}, "ft/h": {RiseRate, foot, 0},
	"°C": {Temperature, 1, 0}, "degC": {Temperature, 1, 0}, "°F": {Temperature, 5.0 / 9, -160.0 / 9},
	"degF": {Temperature, 5.0 / 9, -160.0 / 9},
	"C":    {Temperature, 1, 0}, "F": {Temperature, 5.0 / 9, -160.0 / 9}, "K": {Temperature, 1, -273.15},
	"kg": {Mass, 1, 0}, "g": {Mass, 0.001, 0}, "lb": {Mass, pound, 0}, "oz": {Mass, ounce, 0},
	"s": {Time, 1, 0}, "min": {Time, 60, 0}, "h": {Time, 3600, 0}, "d": {Time, 86400, 0},
	"deg": {Angle, 1, 0}, "°": {Angle, 1, 0}, "degrees": {Angle, 1, 0}, "%": {Fraction, 0.01, 0}, "fraction": {Fraction, 1, 0},
	"lx": {Illuminance, 1, 0}, "count": {None, 1, 0},
	"Pa": {Pressure, 1, 0}, "hPa": {Pressure, 100, 0}, "mbar": {Pressure, 100, 0}, "kPa": {Pressure, 1000, 0},
	// The conventional inch and millimetre of mercury (NIST SP 811, appendix B.8).
	"inHg": {Pressure, 3386.389, 0}, "mmHg": {Pressure, 133.3224, 0},
}

// Quantity is a value in SI and what it measures.
type Quantity struct {
	SI        float64
	Dimension Dimension
}

// Parse reads a number and a unit such as "8 in", "-0.5 ft", "1/4 oz", "55 °F",
// "40%". A missing or unknown unit is an error that lists what would do.
func Parse(text string) (Quantity, error) {
	v, u, err := split(text)
	if err != nil {
		return Quantity{}, err
	}
	return Quantity{v*u.scale + u.offset, u.dimension}, nil
}

// split reads the number and the unit of a text.
func split(text string) (float64, unit, error) {
	s := strings.TrimSpace(strings.ReplaceAll(text, "−", "-"))
	end := strings.LastIndexAny(s, "0123456789.") + 1
	number, symbol := strings.TrimSpace(s[:end]), strings.TrimSpace(s[end:])
	v, err := parseNumber(number)
	if err != nil {
		return 0, unit{}, fmt.Errorf("quantity: %q does not start with a number", text)
	}
	if symbol == "" {
		return 0, unit{}, fmt.Errorf("quantity: %q has no unit", text)
	}
	u, ok := units[symbol]
	if !ok {
		return 0, unit{}, fmt.Errorf("quantity: %q has the unknown unit %q; known are %s", text, symbol, strings.Join(Symbols(), ", "))
	}
	if math.IsInf(v*u.scale, 0) {
		return 0, unit{}, fmt.Errorf("quantity: %q is too large", text)
	}
	return v, u, nil
}

func parseNumber(s string) (float64, error) {
	if over, under, ok := strings.Cut(s, "/"); ok {
		a, err := parseNumber(over)
		if err != nil {
			return 0, err
		}
		b, err := parseNumber(under)
		if err != nil {
			return 0, err
		}
		if b == 0 {
			return 0, strconv.ErrRange
		}
		return a / b, nil
	}
	v, err := strconv.ParseFloat(s, 64)
	if err == nil && (math.IsNaN(v) || math.IsInf(v, 0)) {
		return 0, strconv.ErrRange
	}
	return v, err
}

// Of reads a quantity that must measure d.
func Of(d Dimension, text string) (float64, error) {
	v, u, err := expect(d, text)
	return v*u.scale + u.offset, err
}

// Difference reads a difference of two quantities of d: degrees carry no offset.
func Difference(d Dimension, text string) (float64, error) {
	v, u, err := expect(d, text)
	return v * u.scale, err
}

func expect(d Dimension, text string) (float64, unit, error) {
	v, u, err := split(text)
	if err == nil && u.dimension != d {
		err = fmt.Errorf("quantity: %q is a %s, expected a %s", text, u.dimension, d)
	}
	return v, u, err
}

// Symbols lists the known units in alphabetical order.
func Symbols() []string {
	list := make([]string, 0, len(units))
	for s := range units {
		list = append(list, s)
	}
	sort.Strings(list)
	return list
}
