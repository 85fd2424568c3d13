package cases_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/cases"
	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/tide"
)

// Case 37: a ledge open from 04:30 to 07:00, low water in between, margin 20 min: the best is about low
// water and the first of the flood behind it, within what is sure and the margin, by day unless night is
// asked for; and the flood behind is said.
func TestTheBestOnALedge(t *testing.T) {
	s, err := cases.Shore{Place: "rocky shore", Manner: ground.OnFoot, Time: time.Date(2026, 6, 14, 5, 45, 0, 0, time.UTC), RangeM: 1.8,
		Marks: []cases.Mark{{Name: "Gully", Kind: ground.Gut, Bottom: "rock", DepthM: 1, AtM: 20}}}.Spot()
	require.NoError(t, err)
	low := time.Date(2026, 6, 14, 5, 45, 0, 0, time.UTC)
	c, err := tide.Over(s.Tide, low.Add(-12*time.Hour), low.Add(24*time.Hour))
	require.NoError(t, err)
	// The ledge stands out for an hour and a quarter on each side of low water.
	s.Access.In.ElevationM = c.Level(low.Add(75 * time.Minute))
	s.Access.Out.ElevationM = s.Access.In.ElevationM
	const margin = 20 * time.Minute
	at := func(when time.Time, light spot.Light) ground.Visit {
		for _, v := range s.Visits(c, margin, light) {
			if v.Holds(when) {
				return v
			}
		}
		t.Fatalf("no visit at %s", when)
		return ground.Visit{}
	}
	v := at(low, spot.AnyHour)
	assert.False(t, v.BestFrom.Before(v.SureFrom) || v.BestUntil.After(v.SureUntil), "best is sure: %s", v.Says(time.UTC, quantity.Metric))
	assert.False(t, v.BestUntil.After(v.Closes.Add(-margin)), "and within the margin")
	turn := turnWithin(t, c, v.Window)
	assert.True(t, v.BestFrom.Before(turn) && v.BestUntil.After(turn), "it holds low water: %s", v.Says(time.UTC, quantity.Metric))
	assert.InDelta(t, 30, v.BestUntil.Sub(turn).Minutes(), 1)
	assert.Less(t, turn.Sub(v.BestFrom), time.Hour+time.Minute)
	assert.Contains(t, v.Says(time.UTC, quantity.Metric), "the flood comes in behind you")

	// A low in the dark has no best unless night is asked for.
	s.Lon = 100
	night := low.Add(745 * time.Minute) // the next low, an hour after midnight there
	assert.True(t, at(night, spot.AnyHour).BestFrom.IsZero())
	assert.False(t, at(night, spot.NightToo).BestFrom.IsZero())
}

func turnWithin(t *testing.T, c *tide.Curve, w ground.Window) time.Time {
	t.Helper()
	for _, k := range c.Turns() {
		if k.Kind == tide.Low && k.Time.After(w.Opens) && k.Time.Before(w.Closes) {
			return k.Time
		}
	}
	t.Fatal("no low water in it")
	return time.Time{}
}
