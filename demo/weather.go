package demo

import (
	"hash/fnv"
	"math"
	"math/rand/v2"
	"time"

	"greypebble/core/conditions"
)

// seed of everything drawn at random.
const seed = 20260512

// noise is smooth, repeatable and about standard normal: values fixed every
// period, blended by a cosine in between.
func noise(name string, t time.Time, period time.Duration) float64 {
	x := float64(t.Unix()) / period.Seconds()
	k := math.Floor(x)
	blend := (1 - math.Cos((x-k)*math.Pi)) / 2
	return knot(name, int64(k))*(1-blend) + knot(name, int64(k)+1)*blend
}

func knot(name string, k int64) float64 {
	h := fnv.New64a()
	_, _ = h.Write([]byte(name))
	return rand.New(rand.NewPCG(h.Sum64()^seed, uint64(k))).NormFloat64() //nolint:gosec // made-up weather
}

// Weather of the invented coast at any time, in the kinds of readings: seasons,
// days and spells of weather, the same for everyone who asks.
func Weather(t time.Time) map[conditions.Kind]float64 {
	year := 2 * math.Pi * float64(t.YearDay()) / 365.25
	hour := float64(t.Add(-3*time.Hour).Hour()) + float64(t.Minute())/60
	blow := noise("wind", t, 30*time.Hour)
	breeze := math.Max(0, math.Sin((hour-9)/12*math.Pi))
	wind := math.Max(0.3, 4.2+2.4*blow+1.6*breeze)
	from := math.Mod(210+70*noise("direction", t, 40*time.Hour)+720, 360)
	temp := 19 - 6.5*math.Cos(year-2*math.Pi*45/365.25) + 1.1*noise("temperature", t, 60*time.Hour) + 0.4*math.Sin((hour-10)/24*2*math.Pi)
	secchi := 1.25 * math.Exp(0.45*noise("clarity", t, 70*time.Hour)-0.09*(wind-4))
	cloud := math.Min(1, math.Max(0, 0.42+0.38*noise("cloud", t, 26*time.Hour)))
	air := temp - 1.5 - 2.5*math.Cos((hour-15)/24*2*math.Pi+math.Pi) + 1.5*noise("air", t, 40*time.Hour)
	swell := 0.7*math.Exp(0.45*noise("swell", t, 60*time.Hour)) + 0.03*wind
	rain := math.Max(0, 3*noise("rain", t, 9*time.Hour)-3) * cloud
	period := 8.5 * math.Exp(0.18*noise("period", t, 70*time.Hour))
	round := func(x, step float64) float64 { return math.Round(x/step) * step }
	out := map[conditions.Kind]float64{
		conditions.WindSpeed: round(wind, 0.1), conditions.WindFrom: round(from, 5), conditions.WaterTemp: round(temp, 0.1),
		conditions.Clarity: round(math.Min(math.Max(secchi, 0.2), 6), 0.05), conditions.Cloud: round(cloud, 0.05),
		conditions.AirTemp: round(air, 0.1), conditions.SwellHeight: round(swell, 0.1), conditions.SwellPeriod: round(period, 0.5),
		conditions.Rain: round(rain, 0.1),
	}
	// What else a forecast may give wanders about what is commonly assumed of it.
	for _, n := range conditions.Natures() {
		if _, made := out[n.Kind]; !made && n.CF != "" && !math.IsNaN(n.Assumed) {
			out[n.Kind] = round(math.Min(math.Max(n.Assumed*math.Exp(0.2*noise(n.CF, t, 30*time.Hour)), n.Min), n.Max), n.Step)
		}
	}
	return out
}

// forecastDays is how far the made-up forecast reaches.
const forecastDays = 7

// forecast of a water, three-hourly, from two days back.
func forecast(now time.Time) []conditions.Reading {
	start := now.UTC().Truncate(3*time.Hour).AddDate(0, 0, -2)
	var out []conditions.Reading
	for t := start; t.Before(now.AddDate(0, 0, forecastDays)); t = t.Add(3 * time.Hour) {
		w := Weather(t)
		for _, k := range conditions.Kinds() {
			if v, told := w[k]; told {
				out = append(out, conditions.Reading{Kind: k, Value: v, Time: t, Origin: conditions.Forecast,
					Source: "demo forecast, " + invented})
			}
		}
	}
	return out
}
