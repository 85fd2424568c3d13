package store

import (
	"time"

	"greypebble/core/tide"
)

// offsets as columns of a station or a spot.
type offsets struct {
	LagHighS        int     `db:"lag_high_s"`
	LagLowS         int     `db:"lag_low_s"`
	FactorHigh      float64 `db:"factor_high"`
	FactorLow       float64 `db:"factor_low"`
	DifferenceHighM float64 `db:"difference_high_m"`
	DifferenceLowM  float64 `db:"difference_low_m"`
}

func offsetsOf(o tide.Offsets) offsets {
	o = o.Then(tide.Offsets{}) // factors left out become 1
	return offsets{int(o.LagHigh.Seconds()), int(o.LagLow.Seconds()), o.FactorHigh, o.FactorLow, o.DifferenceHighM, o.DifferenceLowM}
}

func (o offsets) tide() tide.Offsets {
	return tide.Offsets{LagHigh: time.Duration(o.LagHighS) * time.Second, LagLow: time.Duration(o.LagLowS) * time.Second,
		FactorHigh: o.FactorHigh, FactorLow: o.FactorLow, DifferenceHighM: o.DifferenceHighM, DifferenceLowM: o.DifferenceLowM}
}
