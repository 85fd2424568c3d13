package cases_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/cases"
)

// In the middle of what it feeds at, no fish is said to be cold or warm; below, none is said to be
// warm, and above, none cold.
func TestColdAndWarmAreSaidOfColdAndWarmWater(t *testing.T) {
	trade, err := cases.Builtin()
	require.NoError(t, err)
	said := map[string]int{}
	for i := range trade.Book.Targets {
		target := &trade.Book.Targets[i]
		for _, share := range []float64{-0.3, 0.25, 0.5, 0.75, 1.3} {
			c := target.Feeds.From + share*(target.Feeds.To-target.Feeds.From)
			shore := cases.Usual(target.Lives[0], time.June, c)
			shore.Foretold = true
			a, err := trade.Ask(shore, 3, target.ID)
			require.NoError(t, err)
			for _, choice := range a.Choices {
				for _, r := range choice.Reasons {
					switch r.Says {
					case "Cold for them":
						said[r.Says]++
						assert.Less(t, share, 0.2, "%s at %.1f °C", target.ID, c)
					case "Warm for them":
						said[r.Says]++
						assert.Greater(t, share, 0.8, "%s at %.1f °C", target.ID, c)
					}
				}
			}
		}
	}
	assert.Len(t, said, 2, "both are said somewhere: %v", said)
}
