package sim

import (
	"math"
	"time"

	"greypebble/core/conditions"
)

// members of the made-up ensemble.
const members = 20

// astray is how far a member's weather may be ahead of itself or late at the end of the forecast: what
// goes wrong in a real one is mostly when a front comes.
const astray = 20 * time.Hour

// ensemble of made-up weather, kind by kind in one order, remembered by the half hour: its members come
// by the same ones.
type ensemble struct {
	weather Weather
	kinds   []conditions.Kind
	seen    map[int64][]float64
}

// at a time, NaN where there is nothing of a kind.
func (e *ensemble) at(t time.Time) []float64 {
	const grain = 30 * time.Minute
	t = t.Round(grain)
	if v, done := e.seen[t.Unix()]; done {
		return v
	}
	all := e.weather(t)
	v := make([]float64, len(e.kinds))
	for i, k := range e.kinds {
		v[i] = math.NaN()
		if one, known := all[k]; known {
			v[i] = one
		}
	}
	e.seen[t.Unix()] = v
	return v
}

// told of a moment that lies so far ahead: the mean of its members and their standard deviation, both
// nought apart at the beginning and growing with the time ahead. What was is known, and has none.
func (e *ensemble) told(t time.Time, ahead time.Duration) (mean, spread []float64) {
	if ahead <= 0 {
		return e.at(t), nil
	}
	grown := float64(ahead) / float64(daysAhead*24*time.Hour)
	n := len(e.kinds)
	sum, square, east, north := make([]float64, n), make([]float64, n), make([]float64, n), make([]float64, n)
	for i := range members {
		// Evenly from early to late, so that the mean lies on none of them. How strong it is goes wrong by
		// itself: in another order.
		share := 2*(float64(i)+0.5)/members - 1
		strong := 2*(float64(i*7%members)+0.5)/members - 1
		for k, v := range e.at(t.Add(time.Duration(share * grown * float64(astray)))) {
			v = off(e.kinds[k], v, strong*grown)
			sum[k] += v
			square[k] += v * v
			if e.kinds[k] == conditions.WindFrom {
				east[k] += math.Sin(v * math.Pi / 180)
				north[k] += math.Cos(v * math.Pi / 180)
			}
		}
	}
	mean, spread = make([]float64, n), make([]float64, n)
	for k := range e.kinds {
		if e.kinds[k] == conditions.WindFrom {
			// A direction's mean goes the short way round (Mardia and Jupp 2000, 2.2 and 2.3).
			length := math.Hypot(east[k], north[k]) / members
			mean[k] = math.Mod(math.Atan2(east[k], north[k])*180/math.Pi+360, 360)
			spread[k] = math.Sqrt(-2*math.Log(math.Min(length, 1))) * 180 / math.Pi
			continue
		}
		mean[k] = sum[k] / members
		spread[k] = math.Sqrt(math.Max(0, square[k]/members-mean[k]*mean[k]))
	}
	return mean, spread
}

// off a value by a share of what one may be wrong by a fortnight ahead: wind, swell and rain by four
// fifths of themselves, warmth by five degrees, cloud within the sky.
func off(k conditions.Kind, v, share float64) float64 {
	switch k {
	case conditions.AirTemp, conditions.WaterTemp:
		return v + 5*share
	case conditions.Cloud:
		return math.Max(0, math.Min(1, v+share/2))
	case conditions.WindFrom, conditions.Barometer:
		return v
	}
	return v * (1 + 0.8*share)
}
