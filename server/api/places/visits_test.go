package places_test

import (
	"net/http"
	"testing"
	"time"

	"greypebble/testkit"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func visitsOf(t *testing.T, c *testkit.Client, spot, query string) (out []visit) {
	t.Helper()
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+spot+"/windows?"+query, nil, &out))
	return out
}

type visit struct {
	Opens, Closes, Shuts *time.Time
	LimitedBy            string     `json:"limited_by"`
	Best                 *time.Time `json:"best_from"`
	SureFrom             *time.Time `json:"sure_from"`
}

// open a spot by taking the zone away that closes it.
func open(t *testing.T, c *testkit.Client, zone string) {
	var w struct{ Zones []struct{ ID, Name string } }
	require.Equal(t, http.StatusOK, c.Do("GET", "/waters/"+c.ID("Sedge Sound"), nil, &w))
	for _, z := range w.Zones {
		if z.Name == zone {
			require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/zones/"+z.ID, nil, nil))
			return
		}
	}
	t.Fatal("no such zone")
}

func TestWindowsWithAMargin(t *testing.T) {
	c := kit.Fresh(t, "wren")
	id := c.ID("Lantern Lake")
	assert.Empty(t, visitsOf(t, c, id, ""), "Lantern Refuge closes it from 1 November")
	open(t, c, "Lantern Refuge")
	plain, kept := visitsOf(t, c, id, ""), visitsOf(t, c, id, "margin_min=40")
	require.NotEmpty(t, plain)
	for _, v := range plain {
		if v.Closes != nil {
			assert.Contains(t, v.LimitedBy, "too little water over the sill")
			assert.Equal(t, v.Shuts, v.Closes)
		}
	}
	for _, v := range kept {
		if v.Closes != nil {
			assert.Equal(t, 40*time.Minute, v.Shuts.Sub(*v.Closes))
		}
	}
	day := visitsOf(t, c, id, "daylight=true&from=2026-11-20T00:00:00Z&to=2026-11-27T00:00:00Z")
	for _, v := range day {
		require.NotNil(t, v.Opens)
		assert.InDelta(t, 15, v.Opens.UTC().Hour(), 7, "in the light there, three hours behind UTC")
	}
	// A surge makes what is sure narrower.
	surgePath := "/waters/" + c.ID("Sedge Sound") + "/surge"
	require.Equal(t, http.StatusOK, c.Do("PUT", surgePath, object{"by_m": 0.6, "fade_h": 90}, nil))
	high := visitsOf(t, c, id, "")
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", surgePath, nil, nil))
	assert.NotEqual(t, plain, high, "the surge moves the windows")

	var ics string
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id+"/windows.ics?margin_min=20", nil, &ics))
	assert.Contains(t, ics, "BEGIN:VCALENDAR\r\n")
	assert.Contains(t, ics, "SUMMARY:Lantern Lake")
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("GET", "/spots/"+id+"/windows?from=2026-01-01T00:00:00Z&to=2027-01-01T00:00:00Z",
		nil, &p))
	assert.Contains(t, p.Detail, "62 days")
	assert.Equal(t, http.StatusNotFound, kit.Fresh(t, "moss").Do("GET", "/spots/"+id+"/windows", nil, nil))
}
