package advice_test

import (
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What is worth doing now leads: a spot that can be fished, for a fish that lives there.
func TestTheOutlookBeginsWithTheBest(t *testing.T) {
	c := kit.Fresh(t, "wren")
	var o struct {
		Spots []struct {
			SpotID string `json:"spot_id"`
			Open   bool
			Target string
			Edge   *float64
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/outlook?time=2026-11-20T15:00:00Z", nil, &o))
	require.Len(t, o.Spots, len(c.Spots()))
	require.NotNil(t, o.Spots[0].Edge)
	assert.True(t, o.Spots[0].Open)
	var targets []struct {
		ID    string
		Lives []string
		Known bool
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/targets", nil, &targets))
	// The coast lies on the west of an Atlantic: fish of other coasts come last, and nowhere is best for one.
	known, kelp := map[string]bool{}, -1
	for i, k := range targets {
		known[k.ID] = k.Known
		if k.ID == "kelp-bass" {
			kelp = i
		}
		if i > 0 {
			assert.False(t, k.Known && !targets[i-1].Known, "%s comes after one that is not known here", k.ID)
		}
	}
	assert.True(t, known["red-drum"])
	assert.False(t, known["kelp-bass"])
	assert.Greater(t, kelp, 10)
	last := 100.0
	for _, s := range o.Spots {
		if s.Edge == nil {
			last = -1
			continue
		}
		assert.LessOrEqual(t, *s.Edge, last)
		assert.True(t, known[s.Target], s.Target)
		last = *s.Edge
		var at struct{ Place string }
		require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+s.SpotID, nil, &at))
		for _, k := range targets {
			if k.ID == s.Target {
				assert.Contains(t, k.Lives, at.Place)
			}
		}
	}
}
