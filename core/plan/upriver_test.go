package plan_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"

	"greypebble/core/plan"
	"greypebble/core/springrun"
)

// What is said of a run: when it comes, or where it lies now and in a week; the stretch where one bend
// alone is not likely.
func TestARunIsSaidByItsBends(t *testing.T) {
	now := time.Date(2026, 3, 10, 9, 0, 0, 0, time.UTC)
	says := func(bends int, enters springrun.Entry, met ...springrun.Met) string {
		return plan.UpRiverOf("White perch", springrun.Follow(bends, enters, met, now.AddDate(0, 0, -1), springrun.Followed+1), now).Says
	}
	on := func(days int, sd float64) springrun.Entry {
		return springrun.Entry{At: now.AddDate(0, 0, days).Truncate(24 * time.Hour), SDDays: sd}
	}
	assert.Equal(t, "White perch: not in the river yet; by its warmth the spring run comes about 22 March, to the first bend.",
		says(6, on(12, 2)))
	assert.Equal(t, "White perch: not in the river yet, by its warmth.", says(6, on(80, 2)))
	assert.Equal(t, "White perch: the spring run is most likely at bend 3 now, between bends 3 and 6 in a week.",
		says(9, on(-7, 2), springrun.Met{At: now, Bend: 3, Fish: 2, RodHours: 1}))
	assert.Equal(t, "White perch: the spring run is most likely at bend 2, now and in a week.", says(2, on(-20, 2)))
	assert.Contains(t, says(9, on(-12, 8)), "between bends ")
}
