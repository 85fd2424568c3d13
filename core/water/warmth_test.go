package water

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var winterDay = time.Date(2026, 1, 20, 0, 0, 0, 0, time.UTC)

// day is a day on the coast at 31° north with the sun's altitude by the usual
// formula for a declination.
func day(declination, airC, wind, cloud float64, level func(time.Time) float64) Surroundings {
	return Surroundings{
		Weather: func(t time.Time) Weather {
			hour := t.Sub(winterDay).Hours()
			h := (math.Mod(hour, 24) - 12) * 15 * math.Pi / 180
			lat, d := 31*math.Pi/180, declination*math.Pi/180
			alt := math.Asin(math.Sin(lat)*math.Sin(d)+math.Cos(lat)*math.Cos(d)*math.Cos(h)) * 180 / math.Pi
			return Weather{AirC: airC + 4*math.Cos((math.Mod(hour, 24)-15)*math.Pi/12), WindMS: wind, Cloud: cloud, SunAltitude: alt}
		},
		Level:       level,
		Around:      func(time.Time) float64 { return 11 },
		Attenuation: 1.7,
	}
}

func tidal(t time.Time) float64 {
	return 0.75 + 0.6*math.Cos(2*math.Pi*(t.Sub(winterDay).Hours()-1)/12.42)
}

// warmer than the open water (11 °C) the column is at its warmest on the second
// afternoon.
func warmer(t *testing.T, bed Bed, s Surroundings) float64 {
	t.Helper()
	series, _, err := Warming(bed, s, winterDay, winterDay.Add(48*time.Hour), 5*time.Minute)
	require.NoError(t, err)
	most := math.Inf(-1)
	for _, w := range series {
		if h := w.Time.Sub(winterDay).Hours() - 24; h >= 10 && h <= 18 && !math.IsNaN(w.WaterC) {
			most = math.Max(most, w.WaterC-11)
		}
	}
	return most
}

// Common practice, no source: dark mud in winter sun runs 2–3 °F (1.1–1.7 °C)
// warmer, and that is a big difference. The order of it, not the figure.
func TestSunnyWinterDayOverShallowMud(t *testing.T) {
	mud := BedOf("mud", 0.2)
	sunny := warmer(t, mud, day(-20, 12, 3, 0, tidal))
	assert.InDelta(t, 1.4, sunny, 0.7, "°C")
	assert.Less(t, warmer(t, mud, day(-20, 12, 3, 1, tidal)), sunny/2, "cloud")
	assert.Less(t, warmer(t, BedOf("mud", -6), day(-20, 12, 3, 0, tidal)), sunny/3, "a deep channel hardly notices")
	assert.Less(t, warmer(t, BedOf("sand", 0.2), day(-20, 12, 3, 0, tidal)), sunny, "pale sand throws light back")
}

func TestColdNightCoolsTheFlatMore(t *testing.T) {
	s := day(-20, 2, 6, 0, func(time.Time) float64 { return 0.8 })
	after := func(bed Bed) float64 {
		series, _, err := Warming(bed, s, winterDay.Add(18*time.Hour), winterDay.Add(30*time.Hour), 5*time.Minute)
		require.NoError(t, err)
		return series[len(series)-1].WaterC
	}
	assert.Less(t, after(BedOf("mud", 0.3)), after(BedOf("mud", -5))-1)
}

// The budget adds up to what is stored, to 1 % of what passed; and the flows
// integrated again from the series with another rule say the same.
func TestEnergyCloses(t *testing.T) {
	for name, bed := range map[string]Bed{"flat": BedOf("mud", 0.2), "drying": BedOf("mud", 0.9), "channel": BedOf("sand", -4)} {
		s := day(5, 15, 4, 0.3, tidal)
		series, heat, err := Warming(bed, s, winterDay, winterDay.Add(72*time.Hour), 5*time.Minute)
		require.NoError(t, err)
		passed := math.Abs(heat.Sun) + math.Abs(heat.LongWave) + math.Abs(heat.Evaporation) + math.Abs(heat.Sensible)
		require.Greater(t, passed, 1e7)
		assert.InDelta(t, heat.Stored, heat.Gained(), 0.01*passed, name)

		c := column{bed: bed, in: s, deep: series[0].BedC}
		again := 0.0
		for i := 0; i+1 < len(series); i++ { // trapezium over the series as given
			for _, w := range series[i : i+2] {
				f := c.flows(s.Weather(w.Time), w.WaterC, w.BedC, w.DepthM)
				if w.DepthM == 0 {
					f.sunWater, f.toBed = 0, 0
				}
				again += 150 * (f.sunWater + f.sunBed + f.air.Sum() - f.toDeep)
			}
		}
		assert.InDelta(t, heat.Gained()-heat.Tide, again, 0.02*passed, "%s: flows of the series", name)
	}
}

// Worked values of the published formulae.
func TestHeatFormulae(t *testing.T) {
	assert.InDelta(t, 880, Sunshine(90, 0), 1e-9, "Kasten & Czeplak 1980: 910 − 30")
	assert.InDelta(t, 220, Sunshine(90, 1), 1e-9, "a quarter under full cloud")
	assert.Zero(t, Sunshine(-3, 0))
	assert.InDelta(t, 2338, vapourPressure(20), 10, "saturation at 20 °C, usual steam table 2338 Pa")
	assert.InDelta(t, 0.03, reflected(90), 0.01)
	// A surface as warm as the air, in saturated air: no sensible heat, hardly any
	// evaporation (2 % for the salt).
	x := exchange(15, Weather{AirC: 15, WindMS: 5, Humidity: 0.98, Cloud: 1}, 1)
	assert.Zero(t, x.Sensible)
	assert.InDelta(t, 0, x.Evaporation, 1e-9)
	// Stefan–Boltzmann: warming by 1 K at 15 °C costs 4εσT³ = 5.3 W/m².
	y := exchange(16, Weather{AirC: 15, WindMS: 5, Humidity: 0.98, Cloud: 1}, 1)
	assert.InDelta(t, 5.3, x.LongWave-y.LongWave, 0.1)
}
