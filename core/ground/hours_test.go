package ground_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/ground"
)

// Windows and moments agree, over seasons, nights and the change of the clock.
func TestHoursOfAGate(t *testing.T) {
	zone, err := time.LoadLocation("America/New_York")
	require.NoError(t, err)
	week := []time.Weekday{time.Monday, time.Tuesday, time.Wednesday, time.Thursday, time.Friday}
	park := ground.Timetable{{Days: week, Opens: 7 * 60, Closes: 19 * 60},
		{Days: []time.Weekday{time.Saturday, time.Sunday}, From: 401, To: 1031, Opens: 6 * 60, Closes: 22 * 60},
		{Days: []time.Weekday{time.Friday}, Opens: 20 * 60, Closes: 2 * 60}}
	for _, h := range park {
		require.NoError(t, h.Validate())
	}
	at := func(month time.Month, day, hour, minute int) time.Time {
		return time.Date(2027, month, day, hour, minute, 0, 0, zone)
	}
	assert.True(t, park.Open(at(3, 1, 7, 0)), "Monday at seven")
	assert.False(t, park.Open(at(3, 1, 19, 0)))
	assert.False(t, park.Open(at(3, 6, 12, 0)), "on Saturdays not before April")
	assert.True(t, park.Open(at(5, 1, 21, 59)))
	assert.True(t, park.Open(at(3, 6, 1, 59)), "Friday night reaches into Saturday")
	assert.False(t, park.Open(at(3, 6, 2, 0)))
	assert.True(t, ground.Timetable{}.Open(at(3, 6, 2, 0)), "what has no hours never shuts")
	rapid.Check(t, func(t *rapid.T) {
		from := at(1, 1, 0, 0).Add(time.Duration(rapid.IntRange(0, 365*24*12).Draw(t, "from")) * 5 * time.Minute)
		to := from.Add(time.Duration(rapid.IntRange(1, 20*24).Draw(t, "hours")) * time.Hour)
		windows := park.Windows(from, to, zone, "past its hours")
		for u := from; u.Before(to); u = u.Add(5 * time.Minute) {
			inside := false
			for _, w := range windows {
				inside = inside || !u.Before(w.Opens) && (w.Closes.IsZero() || u.Before(w.Closes))
			}
			assert.Equal(t, park.Open(u), inside, u)
		}
	})
}

func TestHoursThatAreNone(t *testing.T) {
	day := []time.Weekday{time.Monday}
	for _, h := range []ground.Hours{{}, {Days: day, Opens: 1440}, {Days: day, Closes: 1500}, {Days: day, From: 230, To: 401},
		{Days: day, From: 401}, {Days: []time.Weekday{9}}} {
		assert.Error(t, h.Validate(), h)
	}
}
