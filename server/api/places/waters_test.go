package places_test

import (
	"fmt"
	"net/http"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestWaterItsDepthsAndFinds(t *testing.T) {
	c := kit.Fresh(t, "wren")
	water := "/waters/" + c.ID("Sedge Sound")
	var w struct {
		Name    string
		Outline [][]object
		Zones   []struct{ Name, Warning string }
		Grid    *struct {
			Rows, Cols              int
			South, West, DLat, DLon float64
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", water, nil, &w))
	require.NotNil(t, w.Grid)
	assert.Len(t, w.Zones, 3)
	assert.NotEmpty(t, w.Outline)
	var raw string
	require.Equal(t, http.StatusOK, c.Do("GET", water+"/grid.bin", nil, &raw))
	assert.Len(t, raw, 2*w.Grid.Rows*w.Grid.Cols)
	var low, high string
	require.Equal(t, http.StatusOK, c.Do("GET", water+"/depth.asc?time=2026-11-20T11:00:00Z", nil, &high))
	require.Equal(t, http.StatusOK, c.Do("GET", water+"/depth.asc?time=2026-11-20T17:00:00Z", nil, &low))
	assert.Contains(t, high, "ncols 900\nnrows 720\n")
	deep := func(asc string) (wet int) {
		for _, word := range strings.Fields(asc[strings.Index(asc, "NODATA"):])[2:] {
			if word[0] != '-' && word != "0" {
				wet++
			}
		}
		return wet
	}
	assert.Greater(t, deep(high), deep(low), "the tide floods and drains it")
	var finds []struct{ Kind, Why string }
	require.Equal(t, http.StatusOK, c.Do("GET", water+"/finds?level_m=0.95", nil, &finds))
	text := fmt.Sprint(finds)
	assert.Contains(t, text, "dug, not grown; 4 creeks join it")
	var cut struct {
		Section []object
		Bearing float64 `json:"bearing_deg"`
	}
	require.Equal(t, http.StatusOK, c.Do("GET", water+"/cut?from_lat=31.18&from_lon=-45.13&to_lat=31.185&to_lon=-45.13", nil, &cut))
	assert.Len(t, cut.Section, 40)
	assert.InDelta(t, 0, cut.Bearing, 1e-6)
	for _, path := range []string{water, water + "/grid.bin", water + "/depth.asc", water + "/finds"} {
		assert.Equal(t, http.StatusNotFound, kit.Fresh(t, "moss").Do("GET", path, nil, nil), path)
	}
	var chart struct {
		Spots []struct {
			Name     string
			Open     bool
			Warnings []string
			Marks    []object
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/chart", nil, &chart))
	assert.Len(t, chart.Spots, 13)
	warned := 0
	for _, s := range chart.Spots {
		if s.Name == "Lantern Lake" {
			require.Len(t, s.Warnings, 1)
			assert.Contains(t, s.Warnings[0], "invented for the demo")
		}
		warned += len(s.Warnings)
	}
	assert.Equal(t, 2, warned, "the refuge in its season, and the code of the grass")
	var state struct{ Cautions []string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+c.ID("Lantern Lake")+"/state", nil, &state))
	assert.Contains(t, state.Cautions[0], "Lantern Refuge", "before anything else")
	var shelter []struct{ Word string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+c.ID("Withy Bank")+"/shelter?wind_ms=9", nil, &shelter))
	require.Len(t, shelter, 16)
	assert.NotEqual(t, shelter[0].Word, shelter[8].Word, "a bank to the south, open water to the north")
	var pier struct {
		Under []struct {
			Try []float64 `json:"try_m"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+c.ID("Cutwater Pier")+"/pier", nil, &pier))
	assert.Len(t, pier.Under, 3)
}

func TestHowLongTheWayTakes(t *testing.T) {
	c := kit.Fresh(t, "wren")
	path := "/waters/" + c.ID("Sedge Sound") + "/reach?"
	reach := func(query string) map[string]*float64 {
		var list []struct {
			SpotID  string `json:"spot_id"`
			Minutes *float64
			Bee     bool `json:"bee_line"`
		}
		require.Equal(t, http.StatusOK, c.Do("GET", path+query, nil, &list))
		out := map[string]*float64{}
		for _, r := range list {
			assert.Equal(t, strings.Contains(query, "by=car") && r.Minutes != nil, r.Bee, "the ground is known, roads are not")
			out[r.SpotID] = r.Minutes
		}
		return out
	}
	// From beside Ladle Flat, at high and at low water.
	high := reach("lat=31.177&lon=-45.147&time=2026-11-20T11:12:00Z")
	near, lake := high[c.ID("Ladle Flat")], high[c.ID("Lantern Lake")]
	require.NotNil(t, near)
	require.NotNil(t, lake, "the sill is under water")
	assert.Less(t, *near, 25.0)
	assert.Greater(t, *lake, 40.0, "5 km at a paddle's pace")
	low := reach("lat=31.177&lon=-45.147&time=2026-11-20T17:22:00Z")
	assert.Nil(t, low[c.ID("Lantern Lake")], "the sill is dry")
	// What one has decides what is in reach.
	const from = "lat=31.177&lon=-45.147&time=2026-11-20T11:12:00Z&by="
	legs, kayak, car := reach(from+"legs"), reach(from+"kayak"), reach(from+"car")
	assert.Nil(t, legs[c.ID("Lantern Lake")], "nobody walks over the sill")
	assert.NotNil(t, kayak[c.ID("Lantern Lake")])
	assert.Nil(t, kayak[c.ID("Town Wall")])
	require.NotNil(t, car[c.ID("Town Wall")])
	assert.Less(t, *car[c.ID("Town Wall")], 60.0)
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("GET", path+from+"balloon", nil, nil))
	assert.Equal(t, http.StatusNotFound, kit.Fresh(t, "moss").Do("GET", path+"lat=31.177&lon=-45.147", nil, nil))
}
