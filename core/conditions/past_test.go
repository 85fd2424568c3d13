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
