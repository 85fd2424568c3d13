package conditions

import (
	"greypebble/core/quantity"
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

var now = time.Date(2026, 5, 12, 10, 0, 0, 0, time.UTC)

func reading(k Kind, v float64, ago time.Duration, o Origin) Reading {
	return Reading{Kind: k, Value: v, Time: now.Add(-ago), Origin: o, Source: "test"}
}

func TestOrderOfTrust(t *testing.T) {
	fresh := reading(WaterTemp, 15, 2*time.Hour, Observed)
	old := reading(WaterTemp, 12, 30*time.Hour, Observed)
	ancient := reading(WaterTemp, 5, 300*time.Hour, Observed)
	later := reading(WaterTemp, 20, -time.Hour, Observed)
	forecast := reading(WaterTemp, 16, -time.Hour, Forecast)
	predicted := reading(WaterTemp, 17, time.Hour, Predicted)
	far := reading(WaterTemp, 30, 20*time.Hour, Forecast)
	for name, c := range map[string]struct {
		of   []Reading
		want float64
		from Origin
	}{
		"fresh observation first":            {[]Reading{forecast, fresh, old}, 15, Observed},
		"forecast before an old observation": {[]Reading{old, forecast}, 16, Forecast},
		"forecast before a prediction":       {[]Reading{predicted, forecast}, 16, Forecast},
		"old observation before assuming":    {[]Reading{old, far}, 12, Observed},
		"too old":                            {[]Reading{ancient}, 18, Assumed},
		"what will be seen is not known":     {[]Reading{later}, 18, Assumed},
		"nothing":                            {nil, 18, Assumed},
	} {
		got := Believe(c.of, now)[WaterTemp]
		assert.Equal(t, c.want, got.Value, name)
		assert.Equal(t, c.from, got.Origin, name)
		assert.Positive(t, got.Spread, name)
	}
	spread := func(r ...Reading) float64 { return Believe(r, now)[WaterTemp].Spread }
	assert.Less(t, spread(fresh), spread(forecast))
	assert.Less(t, spread(fresh), spread(old))
	assert.Less(t, spread(forecast), spread())
}

func TestEveryKindIsAlwaysBelieved(t *testing.T) {
	b := Believe(nil, now)
	for _, n := range Natures() {
		k := n.Kind
		if math.IsNaN(n.Assumed) {
			assert.NotContains(t, b, k, "nothing is assumed of it")
			continue
		}
		assert.Equal(t, Assumed, b[k].Origin)
		assert.NoError(t, b[k].Validate())
	}
}

func TestUncertainValuesStayPossible(t *testing.T) {
	c := Believe(nil, now)[Clarity]
	assert.InDelta(t, c.Value*math.Exp(c.Spread), c.At(1), 1e-12)
	w := Believe(nil, now)[WindSpeed]
	assert.Zero(t, w.At(-10))
}

func TestImpossibleReadingsAreRefused(t *testing.T) {
	for want, r := range map[string]Reading{
		"between -2.5 and 40 °C": reading(WaterTemp, -400, 0, Observed),
		"clarity_secchi_m must":  reading(Clarity, 0, 0, Observed),
		"unknown kind":           reading("water_temp_f", 60, 0, Observed),
		"unknown origin":         reading(WaterTemp, 10, 0, "guessed"),
		"wind_speed_ms":          reading(WindSpeed, math.NaN(), 0, Observed),
	} {
		assert.ErrorContains(t, r.Validate(), want)
	}
}

func TestScenariosHaveTheSpreadOfTheReadings(t *testing.T) {
	b := Believe([]Reading{reading(WaterTemp, 15, 0, Observed), reading(WindSpeed, 20, 0, Observed)}, now)
	var temp, wind, both, square float64
	for k := range Scenarios {
		v := b.Scenario(k)
		temp += v.WaterTempC - 15
		wind += v.WindSpeedMS - 20
		both += (v.WaterTempC - 15) * (v.WindSpeedMS - 20)
		square += (v.WaterTempC - 15) * (v.WaterTempC - 15)
	}
	assert.InDelta(t, 0, temp, 1e-9)
	assert.InDelta(t, 0, wind, 1e-9)
	assert.InDelta(t, 0, both, 1e-9)
	assert.InDelta(t, b[WaterTemp].Spread*b[WaterTemp].Spread, square/Scenarios, 1e-9)
}

func TestUnitsAreConvertedAndChecked(t *testing.T) {
	v, err := InUnit(WaterTemp, 50, "°F")
	assert.NoError(t, err)
	assert.InDelta(t, 10, v, 1e-9)
	v, err = InUnit(Cloud, 40, "%")
	assert.NoError(t, err)
	assert.InDelta(t, 0.4, v, 1e-9)
	v, err = InUnit(Clarity, 1.5, "")
	assert.NoError(t, err)
	assert.Equal(t, 1.5, v)
	_, err = InUnit(Clarity, 1.5, "°C")
	assert.ErrorContains(t, err, "expected a length")
}

func TestForecastHoursAreBlended(t *testing.T) {
	quarter := func(k Kind, a, b float64) Value {
		return Believe([]Reading{reading(k, a, 45*time.Minute, Forecast), reading(k, b, -135*time.Minute, Forecast)}, now)[k]
	}
	v := quarter(WaterTemp, 12, 16)
	assert.InDelta(t, 13, v.Value, 1e-12)
	assert.Zero(t, v.Age)
	assert.InDelta(t, 355, quarter(WindFrom, 350, 10).Value, 1e-9, "the short way round")
	assert.InDelta(t, 5, quarter(WindFrom, 10, 350).Value, 1e-9)
	// A prediction on one side and a forecast on the other are not mixed.
	mixed := Believe([]Reading{reading(WaterTemp, 12, time.Hour, Predicted), reading(WaterTemp, 16, -time.Hour, Forecast)}, now)[WaterTemp]
	assert.Equal(t, 16.0, mixed.Value)
}

func TestTheAnglersExpectationGoesFirst(t *testing.T) {
	service := reading(WindSpeed, 9, 0, Forecast)
	own := reading(WindSpeed, 3, -time.Hour, Forecast)
	own.Source = TheAngler
	assert.Equal(t, 3.0, Believe([]Reading{service, own}, now)[WindSpeed].Value)
	seen := reading(WindSpeed, 6, time.Hour, Observed)
	assert.Equal(t, 6.0, Believe([]Reading{service, own, seen}, now)[WindSpeed].Value)
}

// What was seen during a spell, or noted just after it, holds for the spell.
func TestSeenDuringASpell(t *testing.T) {
	during := func(ago time.Duration) Origin {
		r := Sorted([]Reading{reading(Clarity, 2, ago, Observed), reading(Clarity, 1, 0, Forecast)})
		return r.BelieveDuring(now.Add(-30*time.Minute), now.Add(30*time.Minute))[Clarity].Origin
	}
	assert.Equal(t, Observed, during(-20*time.Minute))
	assert.Equal(t, Observed, during(-40*time.Minute))
	assert.Equal(t, Forecast, during(-50*time.Minute))
	assert.Equal(t, Observed, during(2*time.Hour))
}

func TestAReadingsOwnSpreadCounts(t *testing.T) {
	word := reading(Clarity, 1, time.Hour, Observed)
	word.Spread = 0.4
	assert.Equal(t, 0.4, Believe([]Reading{word}, now)[Clarity].Spread)
	word.Spread = -1
	assert.ErrorContains(t, word.Validate(), "spread")
}

func TestTrend(t *testing.T) {
	var warming []Reading
	for h := range 24 * 6 { // 0.5 °C a day under a daily swing of 2 °C
		at := float64(h) - 24*5
		warming = append(warming, reading(WaterTemp, 14+at/48+2*math.Sin(at/24*2*math.Pi), -time.Duration(at)*time.Hour, Forecast))
	}
	got, ok := TrendOf(warming, WaterTemp, now)
	assert.True(t, ok)
	assert.InDelta(t, 0.5, got.PerDay, 0.02)
	assert.Equal(t, 4, got.Days)
	assert.Equal(t, "has warmed by 0.5 °C a day over the last 4 days", got.Says(quantity.Metric))
	assert.Equal(t, "has cooled by 0.9 °F a day over the last 3 days", Trend{-0.5, 3}.Says(quantity.US))
	assert.Equal(t, "has kept over the last 2 days", Trend{0.04, 2}.Says(quantity.Metric))
	_, ok = TrendOf(warming[:10], WaterTemp, now)
	assert.False(t, ok, "half a day is no trend")
	_, ok = TrendOf(nil, WaterTemp, now)
	assert.False(t, ok)
}
