package cases_test

import (
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/advise"
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

// A reason never speaks of what the choice does not have: a teaser on another rig, clear water or a high sun at
// night, shade where nothing throws any, low water at high water, a trotted bait that lies, a float that is none.
func TestReasonsSpeakOfWhatIsThere(t *testing.T) {
	trade, err := cases.Builtin()
	require.NoError(t, err)
	for i := range trade.Book.Targets {
		tg := &trade.Book.Targets[i]
		for _, place := range tg.Lives {
			for _, month := range []time.Month{1, 7} {
				for _, night := range []bool{false, true} {
					for _, high := range []bool{false, true} {
						s := cases.Usual(place, month, tg.Feeds.From+2)
						if night {
							s.Time = cases.On(month, 12, 23)
						}
						s.Elapsed = 0.04
						if high {
							s.Elapsed = 0.96
						}
						a, err := trade.Ask(s, 6, tg.ID)
						require.NoError(t, err)
						for k := range a.Choices {
							checkSaid(t, &a.Choices[k], place, night, high)
						}
					}
				}
			}
		}
	}
}

func checkSaid(t *testing.T, c *advise.Choice, place string, night, high bool) {
	t.Helper()
	var plus []string
	for _, r := range c.Reasons {
		if r.Factor > 1 {
			plus = append(plus, r.Says)
		}
	}
	for _, p := range c.For {
		plus = append(plus, p.Says)
	}
	what := c.Target.ID + ", " + place + ": " + c.Sentence
	for _, says := range plus {
		low := strings.ToLower(says)
		for word, there := range map[string]bool{
			"teaser":          c.Card.RigID == "jig-and-teaser",
			"trotted":         c.Card.Style == "drift" && c.Card.RigID == "paternoster",
			"trolled":         c.Card.Style == "troll",
			"under a float":   strings.Contains(c.Card.RigID, "float"),
			"bolt rig":        c.Card.RigID == "helicopter",
			"dragged":         c.Card.Style == "drag",
			"surface lure":    c.Card.RigID == "surface-leader",
			"high sun":        !night,
			"bright sun":      !night,
			"clear water":     !night,
			"clear enough":    !night,
			"low winter":      !high,
			"very low water":  !high,
			"high water lets": high,
		} {
			if strings.Contains(low, word) {
				assert.True(t, there, "%s: %q", what, says)
			}
		}
	}
}
