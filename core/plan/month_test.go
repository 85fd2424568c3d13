package plan_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/plan"
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
