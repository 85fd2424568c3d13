package quantity

import (
	"fmt"
	"math"
)

// System is how measures are shown.
type System int

// The two systems anglers speak in.
const (
	Metric System = iota
	US
)

// ParseSystem reads "metric" (also the empty text) or "us".
func ParseSystem(s string) (System, error) {
	switch s {
	case "", "metric":
		return Metric, nil
	case "us":
		return US, nil
	}
	return Metric, fmt.Errorf("quantity: system must be \"metric\" or \"us\", not %q", s)
}

// Depth shows a depth or height: "0.34 m", "1.1 ft".
func (s System) Depth(m float64) string {
	if s == US {
		return plain(m/foot, 1) + " ft"
	}
	return plain(m, 2) + " m"
}

// Small shows a short length such as a lure's: "9 cm", "3.5 in".
func (s System) Small(m float64) string {
	if s == US {
		return trimmed(math.Round(m/inch*2)/2) + " in"
	}
	return plain(m*100, 0) + " cm"
}

// Short shows a length of tackle: "40 cm", "1.2 m", "16 in", "4 ft".
func (s System) Short(m float64) string {
	switch {
	case s == US && m >= 0.9:
		return trimmed(math.Round(m/foot*2)/2) + " ft"
	case s == US && m >= 0.15:
		return plain(m/inch, 0) + " in"
	case s == Metric && m >= 1:
		return trimmed(math.Round(m*10)/10) + " m"
	}
	return s.Small(m)
}

// Distance shows how far off something is: "52 m", "171 ft".
func (s System) Distance(m float64) string {
	if s == US {
		return plain(m/foot, 0) + " ft"
	}
	return plain(m, 0) + " m"
}

// Wind shows a wind's speed: "7.0 m/s", "16 mph".
func (s System) Wind(ms float64) string {
	if s == US {
		return plain(ms*3600/mile, 0) + " mph"
	}
	return plain(ms, 1) + " m/s"
}

// gravity is the standard one, m/s².
const gravity = 9.80665

// Class shows a line's breaking strength (newtons) as lines are sold: "20 lb", in
// metric with kilograms beside it.
func (s System) Class(n float64) string {
	lb := n / gravity / pound
	if s == US {
		return plain(lb, 0) + " lb"
	}
	return fmt.Sprintf("%s lb (%s kg)", plain(lb, 0), plain(n/gravity, 0))
}

// Knots shows a boat's speed.
func (s System) Knots(ms float64) string { return plain(ms*3600/sea, 1) + " kn" }

// Weight shows a sinker's or lure's mass: "7 g", "1/4 oz".
func (s System) Weight(kg float64) string {
	if s == US {
		return ounces(kg/ounce) + " oz"
	}
	return plain(kg*1000, 0) + " g"
}

// Fish shows a fish's mass: "2.7 kg", "6.0 lb".
func (s System) Fish(kg float64) string {
	if s == US {
		return plain(kg/pound, 1) + " lb"
	}
	return plain(kg, 1) + " kg"
}

// Temperature shows "17 °C" or "63 °F".
func (s System) Temperature(c float64) string {
	if s == US {
		return plain(c*9/5+32, 0) + " °F"
	}
	return plain(c, 0) + " °C"
}

// Speed shows "0.45 m/s" or "1.5 ft/s".
func (s System) Speed(ms float64) string {
	if s == US {
		return plain(ms/foot, 1) + " ft/s"
	}
	return plain(ms, 2) + " m/s"
}

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
