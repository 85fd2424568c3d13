package quantity

import "strings"

// Written is a value in SI as a file has it: the number in a unit, to all its places. An
// unknown unit leaves it as it is.
func Written(si float64, unit string) float64 {
	u, known := units[unit]
	if !known {
		return si
	}
	return (si - u.offset) / u.scale
}

// Ending of a column's name that tells the unit of its numbers: "ft", "kn", "f" for °F, "kmh"
// for km/h.
func Ending(unit string) string {
	return strings.ToLower(strings.NewReplacer("°", "", "/", "").Replace(unit))
}
