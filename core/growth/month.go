package growth

import (
	"time"

	"greypebble/core/tackle"
)

// InMonth is a fish that was weighed and measured, and when it was caught.
type InMonth struct {
	Measured
	Month time.Month
}

// MonthlyFat of fish: how many were weighed in a month, and how fat they were on the mean, 1 being usual.
type MonthlyFat struct {
	Month time.Month
	Fish  int
	Mean  float64
}

// FatByMonth against what is usual, months without a fish left out, January first.
func FatByMonth(list []InMonth, usual tackle.Curve) (out []MonthlyFat, err error) {
	var months [13]MonthlyFat
	for _, f := range list {
		fat, err := Fat(f.Measured, usual)
		if err != nil {
			return nil, err
		}
		m := &months[f.Month]
		m.Fish++
		m.Mean += (fat - m.Mean) / float64(m.Fish)
	}
	for m := time.January; m <= time.December; m++ {
		if months[m].Fish > 0 {
			months[m].Month = m
			out = append(out, months[m])
		}
	}
	return out, nil
}
