package plan_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/plan"
	"greypebble/core/playbook"
)

// warmed is a year of warmth: coldest in February, moved by so many months.
func warmed(mean, swing, later float64) plan.Year {
	var y conditions.Year
	for m := range y {
		y[m] = conditions.Month{Mean: mean - swing*math.Cos(2*math.Pi*(float64(m)-1-later)/12), Spread: 1.5}
	}
	return plan.Year{Usual: conditions.Usual{conditions.WaterTemp: y}}
}

func target(t *testing.T, id string) *playbook.Target {
	t.Helper()
	book, err := playbook.Builtin()
	require.NoError(t, err)
	out, err := book.Target(id)
	require.NoError(t, err)
	return out
}

// Spring runs: the river that warms first is run first, by as many days as it is ahead (common
// practice, no source).
func TestTheWaterThatWarmsFirstIsRunFirst(t *testing.T) {
	bass := target(t, "striped-bass")
	now := time.Date(2027, 1, 10, 0, 0, 0, 0, time.UTC)
	runs := plan.Runs(bass, map[string]plan.Year{"North river": warmed(12, 9, 0.5), "South river": warmed(15, 9, 0), "Dark pool": {}}, now)
	require.Len(t, runs, 2, "of the one nobody has measured nothing is said")
	assert.Equal(t, "South river", runs[0].Water)
	assert.True(t, runs[1].Warms.After(runs[0].Warms.AddDate(0, 0, 10)))
	for _, r := range runs {
		assert.True(t, r.Warms.Month() >= time.February && r.Warms.Month() <= time.June, r.Warms)
	}
}

// A year by months: a fish feeds in months as warm as it feeds in, is slow in others, and is away where
// the book or the cold has it so.
func TestAYearByMonths(t *testing.T) {
	now := time.Date(2027, 3, 1, 0, 0, 0, 0, time.UTC)
	book, err := playbook.Builtin()
	require.NoError(t, err)
	y := warmed(17, 9, 0)
	for i := range book.Targets {
		fish := &book.Targets[i]
		s := y.Seasons([]*playbook.Target{fish}, now)[0]
		for m, p := range s.Months {
			warm := y.Usual[conditions.WaterTemp][m].Mean
			switch p {
			case plan.Feeding, plan.Prime:
				assert.GreaterOrEqual(t, warm, fish.Feeds.From-1e-6, fish.ID)
				assert.LessOrEqual(t, warm, fish.Feeds.To+1e-6, fish.ID)
			case plan.Slow:
				assert.True(t, warm < fish.Feeds.From || warm > fish.Feeds.To, fish.ID)
			case plan.Unsaid:
				t.Errorf("%s: how warm it is is known", fish.ID)
			case plan.Away:
			}
		}
		assert.NotEmpty(t, s.Ahead)
		assert.Contains(t, s.Ahead, fish.Name)
		if !s.Warms.IsZero() {
			at, _ := y.Usual.At(conditions.WaterTemp, s.Warms)
			assert.InDelta(t, fish.Feeds.From, at.Mean, 0.2, fish.ID)
		}
	}
	// Nobody has said how warm it is: the book's months alone.
	s := plan.Year{}.Seasons([]*playbook.Target{target(t, "red-drum")}, now)[0]
	assert.True(t, s.Warms.IsZero())
	for _, p := range s.Months {
		assert.Contains(t, []plan.Presence{plan.Unsaid, plan.Prime, plan.Away}, p)
	}
	assert.Contains(t, s.Ahead, "say how warm the water usually is")
}

// South of the equator the book's months stand half a year on.
func TestTheSouthernYear(t *testing.T) {
	now := time.Date(2027, 3, 1, 0, 0, 0, 0, time.UTC)
	book, err := playbook.Builtin()
	require.NoError(t, err)
	for i := range book.Targets {
		fish := []*playbook.Target{&book.Targets[i]}
		north, south := plan.Year{}.Seasons(fish, now)[0], plan.Year{South: true}.Seasons(fish, now)[0]
		for m := range north.Months {
			assert.Equal(t, north.Months[m], south.Months[(m+6)%12], book.Targets[i].ID)
		}
	}
}

// Water that warms within the month is told with its day.
func TestTheNextFourWeeks(t *testing.T) {
	bass := target(t, "striped-bass")
	y := warmed(13, 9, 0)
	warms := y.Seasons([]*playbook.Target{bass}, time.Date(2027, 1, 10, 0, 0, 0, 0, time.UTC))[0].Warms
	require.False(t, warms.IsZero())
	says := y.Seasons([]*playbook.Target{bass}, warms.AddDate(0, 0, -14))[0].Ahead
	assert.Contains(t, says, warms.Format("2 January"))
	assert.Contains(t, says, "until the water warms to what it feeds in")
}
