package conditions

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

func TestChangeAndTotal(t *testing.T) {
	now := time.Date(2026, 5, 2, 12, 0, 0, 0, time.UTC)
	at := func(h float64, k Kind, v float64, o Origin) Reading {
		return Reading{Kind: k, Value: v, Time: now.Add(time.Duration(h * float64(time.Hour))), Origin: o}
	}
	r := Sorted([]Reading{at(-24, WaterTemp, 14, Forecast), at(-23, WaterTemp, 15, Forecast), at(0, WaterTemp, 17, Observed),
		at(-30, Rain, 9, Forecast), at(-20, Rain, 3, Forecast), at(-20, Rain, 5, Observed), at(-2, Rain, 2, Forecast),
		at(1, Rain, 50, Forecast)})
	by, known := r.Change(WaterTemp, now, 24*time.Hour)
	assert.True(t, known)
	assert.InDelta(t, 3, by, 1e-9)
	_, known = r.Change(WaterTemp, now, 48*time.Hour)
	assert.False(t, known, "nothing was read then: what is assumed tells of no change")
	_, known = r.Change(Clarity, now, 24*time.Hour)
	assert.False(t, known)

	mm, known := r.Total(Rain, now, 24*time.Hour)
	assert.True(t, known)
	assert.InDelta(t, 7, mm, 1e-9, "each hour once, as it was seen; not what is older or to come")
	_, known = Readings{}.Total(Rain, now, 24*time.Hour)
	assert.False(t, known)
}

// Over the scenarios any three readings take each combination of low and high equally
// often: what sweeps rest on.
func TestAnyThreeReadingsAreEvenlyMixed(t *testing.T) {
	for left := range Draws {
		seen := map[uint8]int{}
		for k := range Scenarios {
			seen[High(k)&^(1<<left)]++
		}
		assert.Len(t, seen, 8, "without reading %d", left)
	}
	b := Believed{Clarity: {Reading{Kind: Clarity, Value: 1}, 0.3, 0}, WaterTemp: {Reading{Kind: WaterTemp, Value: 15}, 2, 0},
		WindSpeed: {Reading{Kind: WindSpeed, Value: 5}, 1, 0}, Cloud: {Reading{Kind: Cloud, Value: 0.5}, 0.2, 0}}
	low, high := b.Ends()
	for k := range Scenarios {
		v := b.Scenario(k)
		want := low.WaterTempC
		if High(k)>>DrawWaterTemp&1 == 1 {
			want = high.WaterTempC
		}
		assert.Equal(t, want, v.WaterTempC)
	}
}

// A mean counts each day once, and is none where too few days were told.
func TestTheMeanOfDays(t *testing.T) {
	now := time.Date(2026, 3, 1, 12, 0, 0, 0, time.UTC)
	var list []Reading
	for d := range 10 {
		for h := range 1 + 20*(d%2) { // some days are told by the hour, some once
			list = append(list, Reading{Kind: Cloud, Value: float64(d % 2), Time: now.Add(-time.Duration(d)*24*time.Hour -
				time.Duration(h)*time.Minute), Origin: Observed})
		}
	}
	mean, known := Sorted(list).Mean(Cloud, now, 14*24*time.Hour, 7)
	assert.True(t, known)
	assert.InDelta(t, 0.5, mean, 1e-9)
	_, known = Sorted(list[:3]).Mean(Cloud, now, 14*24*time.Hour, 7)
	assert.False(t, known)
}

// Levels are those seen and still fresh, the newest first, each once; what is foretold shows no fish.
func TestLevelsFishShowAt(t *testing.T) {
	now := time.Date(2026, 3, 1, 12, 0, 0, 0, time.UTC)
	at := func(m float64, ago time.Duration, o Origin) Reading {
		return Reading{Kind: FishDepth, Value: m, Time: now.Add(-ago), Origin: o}
	}
	r := Sorted([]Reading{at(14, 10*time.Minute, Observed), at(10, 0, Observed), at(12, 0, Observed), at(10, 5*time.Minute, Observed),
		at(5, time.Hour, Observed), at(7, 0, Forecast), at(8, -time.Minute, Observed)})
	assert.Equal(t, []float64{10, 12, 14}, r.Levels(FishDepth, now))
}
