package ahead_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A month of a spot has its days, each with its waters, sun and moon.
func TestAMonthOfASpot(t *testing.T) {
	c := kit.Fresh(t, "wren")
	path := "/spots/" + c.ID("Kettle Bar") + "/month"
	var m struct {
		Spot, Month string
		Days        []struct {
			From    time.Time
			Turns   []struct{ Kind string }
			Sunrise []time.Time
			Moon    string
			LitPct  float64 `json:"lit_pct"`
			Visits  []string
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", path+"?month=2027-02", nil, &m))
	assert.Equal(t, "Kettle Bar", m.Spot)
	require.Len(t, m.Days, 28)
	visits, quarters := 0, map[string][]int{}
	for _, d := range m.Days {
		assert.GreaterOrEqual(t, len(d.Turns), 3)
		assert.Len(t, d.Sunrise, 1)
		if d.Moon != "" {
			quarters[d.Moon] = append(quarters[d.Moon], d.From.Day())
		}
		assert.InDelta(t, 50, d.LitPct, 50)
		visits += len(d.Visits)
	}
	assert.Greater(t, visits, 28, "the bar opens about twice a day")
	// The sun is eclipsed on 6 February 2027, the moon passes through the earth's half-shadow on the 20th: from memory.
	assert.Equal(t, map[string][]int{"new moon": {6}, "first quarter": {14}, "full moon": {20}, "last quarter": {28}}, quarters)
	require.Equal(t, http.StatusOK, c.Do("GET", path, nil, &m))
	assert.Equal(t, "2026-11", m.Month)
	var p problem
	require.Equal(t, 422, c.Do("GET", path+"?month=2027-13", nil, &p))
	assert.Equal(t, "query.month", p.Errors[0].Location)
}
