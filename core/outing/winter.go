package outing

import "time"

// Packing up, unpacking and rigging takes so long between two spots (common practice, no source).
const Packing = 15 * time.Minute

// Winter by the calendar: its three months, of the hemisphere a latitude lies in (common practice, no
// source).
func Winter(t time.Time, latDeg float64) bool {
	first := time.December
	if latDeg < 0 {
		first = time.June
	}
	return (t.UTC().Month()-first+12)%12 < 3
}
