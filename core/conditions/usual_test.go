package conditions

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// aYear of water temperature as a sine, coldest in February.
func aYear(mean, swing float64) Year {
	var out Year
	for m := range out {
		out[m] = Month{mean - swing*math.Cos(2*math.Pi*float64(m-1)/12), 1.5}
	}
	return out
}

// Where nobody told, the month's usual is believed; what somebody told goes before it.
func TestWhatIsUsualLiesBeyondTheForecast(t *testing.T) {
	day := time.Date(2026, 1, 20, 12, 0, 0, 0, time.UTC)
	told := Reading{Kind: WaterTemp, Value: 16, Time: day, Origin: Forecast, Source: "a service"}
	r := Sorted([]Reading{told}).WithUsual(Usual{WaterTemp: aYear(15, 7)})
	now := r.Believe(day)[WaterTemp]
	assert.InDelta(t, 16, now.Value, 1e-9)
	assert.True(t, now.Origin.Told())
	later := r.Believe(day.AddDate(0, 0, 10))[WaterTemp]
	assert.Equal(t, Usually, later.Origin)
	assert.False(t, later.Origin.Told())
	assert.InDelta(t, 8.2, later.Value, 0.4)
	assert.InDelta(t, 1.5, later.Spread, 1e-9)
	assert.False(t, math.IsNaN(r.Believe(day.AddDate(0, 0, 10)).Scenario(0).WaterTempC), "it is a temperature somebody knows")
	// Of what nothing is usual, the rest is as it was.
	assert.Equal(t, Assumed, r.Believe(day.AddDate(0, 0, 10))[WindSpeed].Origin)
	// Readings exchanged or changed keep it.
	assert.Equal(t, Usually, r.Instead(nil).Believe(day)[WaterTemp].Origin)
	assert.Equal(t, Usually, r.Changed(func(*Reading) {}).Believe(day.AddDate(0, 0, 10))[WaterTemp].Origin)
	// Over the middle of a month it is the month's own; there is no jump anywhere.
	before, _ := Usual{WaterTemp: aYear(15, 7)}.At(WaterTemp, time.Date(2026, 3, 15, 0, 0, 0, 0, time.UTC))
	assert.InDelta(t, aYear(15, 7)[2].Mean, before.Mean, 1e-9)
	for d := range 400 {
		at, known := Usual{WaterTemp: aYear(15, 7)}.At(WaterTemp, day.AddDate(0, 0, d))
		require.True(t, known)
		next, _ := Usual{WaterTemp: aYear(15, 7)}.At(WaterTemp, day.AddDate(0, 0, d+1))
		assert.Less(t, math.Abs(at.Mean-next.Mean), 0.2)
	}
}

// What is learned of a month is the mean of its days, and of few days nothing.
func TestWhatIsUsualIsLearned(t *testing.T) {
	var days []Daily
	for y := range 3 {
		for d := range 4 {
			days = append(days, Daily{time.Date(2023+y, 6, 1+d, 0, 0, 0, 0, time.UTC), 20 + float64(d)})
		}
	}
	days = append(days, Daily{time.Date(2025, 7, 1, 0, 0, 0, 0, time.UTC), 25})
	year := Learn(WaterTemp, days)
	assert.InDelta(t, 21.5, year[5].Mean, 1e-9)
	assert.InDelta(t, 1.17, year[5].Spread, 0.01)
	assert.False(t, year[6].Known(), "one day is no month")
	// Of clarity it is the middle of its logarithm.
	clear := Learn(Clarity, []Daily{{days[0].Day, 0.5}, {days[1].Day, 2}, {days[2].Day, 0.5},
		{days[3].Day, 2}, {days[4].Day, 1}, {days[5].Day, 0}})
	assert.InDelta(t, 1, clear[5].Mean, 1e-9)
}

func TestWhatCannotBeUsual(t *testing.T) {
	hot := aYear(15, 7)
	hot[3].Mean = 80
	assert.ErrorContains(t, Usual{WaterTemp: hot}.Validate(), "April")
	assert.Error(t, Usual{Rain: aYear(15, 7)}.Validate())
	sure := aYear(15, 7)
	sure[0].Spread = 0
	assert.Error(t, Usual{WaterTemp: sure}.Validate())
	assert.NoError(t, Usual{WaterTemp: aYear(15, 7)}.Validate())
}
