package demo

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/tide"
)

// Every spot of the demo can be reached and fished at some tide.
func TestEverySpotFishesAtSomeTide(t *testing.T) {
	spots, err := Spots()
	require.NoError(t, err)
	from := time.Date(2026, 11, 20, 0, 0, 0, 0, time.UTC)
	for _, s := range spots {
		c, err := tide.Over(s.Tide, from, from.AddDate(0, 0, 15))
		require.NoError(t, err)
		open := 0
		for at := from; at.Before(from.AddDate(0, 0, 15)); at = at.Add(30 * time.Minute) {
			level := c.Level(at)
			if !s.Access.Passable(level) {
				continue
			}
			for i := range s.Marks {
				if s.Marks[i].Fishable.Holds(s.Marks[i].Depth(level)) {
					open++
					break
				}
			}
		}
		assert.Greater(t, open, 24, "%s: half-hours of fifteen days", s.Name)
		t.Log(s.Name, open)
	}
}
