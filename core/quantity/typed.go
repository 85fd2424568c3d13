package quantity

import (
	"fmt"
	"math"
	"regexp"
	"strconv"
	"strings"
)

// smaller unit that may follow one without being named: "3 ft 6", "10 lb 4".
var smaller = map[string]string{"ft": "in", "lb": "oz", "m": "cm", "kg": "g", "h": "min", "min": "s"}

// spellings of units people type, in lower case, and what they mean.
var spellings = map[string]string{
	"'": "ft", "′": "ft", "feet": "ft", "foot": "ft", `"`: "in", "″": "in", "''": "in", "inch": "in", "inches": "in",
	"meter": "m", "metre": "m", "meters": "m", "metres": "m", "yard": "yd", "yards": "yd", "mile": "mi", "miles": "mi",
	"ounce": "oz", "ounces": "oz", "lbs": "lb", "pound": "lb", "pounds": "lb", "#": "lb", "gram": "g", "grams": "g", "gr": "g",
	"kilo": "kg", "kilos": "kg",
	"f": "°F", "°f": "°F", "ºf": "°F", "degf": "°F", "c": "°C", "°c": "°C", "ºc": "°C", "degc": "°C",
	"kt": "kn", "kts": "kn", "knots": "kn", "knot": "kn", "kmh": "km/h", "kph": "km/h", "ms": "m/s", "fps": "ft/s", "sec": "s",
	"mins": "min",
}

// fractions that have a character of their own.
var fractions = map[string]string{"½": "1/2", "¼": "1/4", "¾": "3/4", "⅛": "1/8", "⅜": "3/8", "⅝": "5/8", "⅞": "7/8", "⅓": "1/3",
	"⅔": "2/3"}

// term is a number, plain, whole and broken, or broken, and what follows it up to the next.
var term = regexp.MustCompile(`^\s*(\d+\s+\d+/\d+|\d+/\d+|\d*[.,]?\d+)\s*([^\d\s.,½¼¾⅛⅜⅝⅞⅓⅔-]*)\s*`)

// Typed reads what a person types where a measure of a dimension is asked for: "3 ft 6",
// "5'6\"", "1 1/2 oz", "½ oz", "54F", "12 kn", "1,2 m", and a bare number in the unit
// offered. It returns SI.
func Typed(d Dimension, text, offered string) (float64, error) {
	s := strings.ReplaceAll(strings.TrimSpace(text), "−", "-")
	for sign, plain := range fractions {
		s = strings.ReplaceAll(s, sign, " "+plain)
	}
	s = strings.TrimSpace(s)
	negative := strings.HasPrefix(s, "-")
	s = strings.TrimLeft(strings.TrimPrefix(s, "-"), " ")
	if s == "" {
		return 0, fmt.Errorf("quantity: %q does not start with a number", text)
	}
	total, last, named := 0.0, "", false
	for n := 0; s != ""; n++ {
		found := term.FindStringSubmatch(s)
		if found == nil || n > 0 && !named { // what follows a number without a unit is no part of it
			return 0, fmt.Errorf("quantity: %q cannot be read as a %s; expected something like %s", text, d, example(d, offered))
		}
		s = s[len(found[0]):]
		value, err := typedNumber(found[1])
		if err != nil {
			return 0, fmt.Errorf("quantity: %q holds no number that can be used", text)
		}
		symbol, err := typedUnit(found[2], n, last, offered)
		if err != nil {
			return 0, fmt.Errorf("quantity: %q: %w; expected something like %s", text, err, example(d, offered))
		}
		u := units[symbol]
		switch {
		case u.dimension != d:
			return 0, fmt.Errorf("quantity: %q is a %s, expected a %s", text, u.dimension, d)
		case n > 0 && (u.offset != 0 || smaller[last] != symbol):
			return 0, fmt.Errorf("quantity: in %q, %s does not follow %s", text, symbol, last)
		}
		if negative {
			value = -value
		}
		total += value*u.scale + u.offset
		last, named = symbol, found[2] != ""
	}
	if math.IsInf(total, 0) {
		return 0, fmt.Errorf("quantity: %q is too large", text)
	}
	return total, nil
}

// typedUnit by how it was spelled; none is the one offered, or the smaller of the last.
func typedUnit(s string, n int, last, offered string) (string, error) {
	s = strings.TrimSpace(s)
	switch {
	case s == "" && n == 0:
		return offered, nil
	case s == "" && smaller[last] != "":
		return smaller[last], nil
	case s == "":
		return "", fmt.Errorf("nothing smaller follows %s by itself", last)
	}
	if _, known := units[s]; known {
		return s, nil
	}
	lower := strings.ToLower(s)
	if meant, known := spellings[lower]; known {
		return meant, nil
	}
	if _, known := units[lower]; known {
		return lower, nil
	}
	return "", fmt.Errorf("there is no unit %q", s)
}

func typedNumber(s string) (float64, error) {
	if whole, broken, ok := strings.Cut(s, " "); ok {
		a, err := parseNumber(whole)
		if err != nil {
			return 0, err
		}
		b, err := parseNumber(strings.TrimSpace(broken))
		return a + b, err
	}
	if strings.Contains(s, "/") {
		return parseNumber(s)
	}
	return strconv.ParseFloat(strings.ReplaceAll(s, ",", "."), 64)
}

func example(d Dimension, offered string) string {
	switch d {
	case Length:
		return "1.2 m or 3 ft 6"
	case Mass:
		return "7 g, 1/4 oz or 10 lb"
	case Temperature:
		return "12 °C or 54 F"
	case Speed:
		return "5 m/s or 12 kn"
	case Pressure:
		return "1013 hPa or 29.92 inHg"
	}
	return strings.TrimSpace("10 " + offered)
}
