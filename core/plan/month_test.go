package plan_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/plan"
	"greypebble/core/tide"
)

// A month has its days, all its turns once and in order, and every visit on the day it begins; days the
// clock is changed on are as long as they are.
func TestAMonthOnPaper(t *testing.T) {
	sp := *asked(t, 3, 1, 1, 0.5).Spots[bar]
	zone, err := time.LoadLocation("America/New_York")
	require.NoError(t, err)
	sp.Clock = zone
	for _, month := range []time.Month{time.February, time.March, time.November} {
		days, err := plan.Month(&sp, 2027, month, 20*time.Minute)
		require.NoError(t, err)
		assert.Len(t, days, time.Date(2027, month+1, 0, 0, 0, 0, 0, time.UTC).Day())
		var last time.Time
		turns, long := 0, map[time.Duration]int{}
		for i, d := range days {
			assert.Equal(t, i+1, d.From.In(zone).Day())
			for _, k := range d.Turns {
				assert.True(t, k.Time.After(last))
				assert.Equal(t, d.From.In(zone).Day(), k.Time.In(zone).Day())
				last = k.Time
				turns++
			}
			for _, v := range d.Visits {
				if !v.Opens.IsZero() {
					assert.Equal(t, d.From.In(zone).Day(), v.Opens.In(zone).Day())
				}
			}
			require.Len(t, d.Sun.Sunrise, 1)
			long[d.Sun.End.Sub(d.Sun.Start)]++
		}
		// Two highs and two lows a lunar day of 24 h 50 min.
		assert.InDelta(t, float64(len(days))*24/24.84*4, turns, 2)
		switch month {
		case time.March:
			assert.Equal(t, 1, long[23*time.Hour])
		case time.November:
			assert.Equal(t, 1, long[25*time.Hour])
		default:
			assert.Equal(t, len(days), long[24*time.Hour])
		}
	}
	_, err = plan.Month(&sp, 1800, time.May, 0)
	assert.ErrorIs(t, err, plan.ErrNoMonth)
}

// Where there is one high water in a lunar day, some day of the month has none: it has its line all the
// same, and the days ahead are worked out through it.
func TestADayWithoutHighWater(t *testing.T) {
	h, err := tide.NewHarmonics([]tide.Constituent{{Name: "K1", AmplitudeM: 0.2, PhaseDeg: 30}, {Name: "O1", AmplitudeM: 0.4,
		PhaseDeg: 10}}, 0.8)
	require.NoError(t, err)
	a := asked(t, 14, 14, 3, 0.5)
	for _, sp := range a.Spots {
		sp.Tide = h
	}
	days, err := plan.Month(a.Spots[bar], 2026, time.May, 20*time.Minute)
	require.NoError(t, err)
	require.Len(t, days, 31)
	without := 0
	for _, d := range days {
		highs := 0
		for _, k := range d.Turns {
			if k.Kind == tide.High {
				highs++
			}
		}
		if highs == 0 {
			without++
		}
		assert.LessOrEqual(t, highs, 1)
	}
	assert.Positive(t, without)
	o := look(t, a)
	for _, at := range []int{beach, pier} {
		for h, s := range o.Places[at].State {
			assert.NotEqual(t, plan.Shut, s, "hour %d", h)
			if s == plan.Open {
				assert.Positive(t, o.Best(0, at, h))
			}
		}
	}
	assert.NotEmpty(t, o.Windows(plan.Wish{Least: 1}))
	d := plan.Day{From: o.From, Until: o.From.Add(24 * time.Hour), Spots: []int{bar, beach, pier}, Legs: 3,
		Way: func(_, _ int) (time.Duration, bool) { return 20 * time.Minute, true }}
	_, found, err := o.Itinerary(d)
	require.NoError(t, err)
	assert.True(t, found)
}
