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

// ensemble of a moment that lies so far ahead: the mean of its members and their standard deviation,
// both nought apart at the beginning and growing with the time ahead. What was is known.
func ensemble(w Weather, t time.Time, ahead time.Duration) (mean, spread map[conditions.Kind]float64) {
	if ahead <= 0 {
		return w(t), nil
	}
	grown := float64(ahead) / float64(daysAhead*24*time.Hour)
	sum, square := map[conditions.Kind]float64{}, map[conditions.Kind]float64{}
	east, north := map[conditions.Kind]float64{}, map[conditions.Kind]float64{}
	for i := range members {
		// Evenly from early to late, so that the mean lies on none of them.
		share := 2*(float64(i)+0.5)/members - 1
		// How strong it is goes wrong by itself: in another order.
		strong := 2*(float64(i*7%members)+0.5)/members - 1
		for k, v := range w(t.Add(time.Duration(share * grown * float64(astray)))) {
			v = off(k, v, strong*grown)
			sum[k] += v
			square[k] += v * v
			east[k] += math.Sin(v * math.Pi / 180)
			north[k] += math.Cos(v * math.Pi / 180)
		}
	}
	mean, spread = map[conditions.Kind]float64{}, map[conditions.Kind]float64{}
	for k := range sum {
		if k == conditions.WindFrom {
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
