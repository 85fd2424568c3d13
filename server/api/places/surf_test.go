package places_test

import (
	"net/http"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestSurfOverTheAPI(t *testing.T) {
	c := kit.Fresh(t, "wren")
	var out struct {
		Bars []struct {
			Elevation float64 `json:"elevation_m"`
			Stops     float64 `json:"stops_breaking_level_m"`
		}
		Troughs  []object
		Section  []object
		Cautions []string
	}
	body := object{"level_m": 1.2, "breaks": []object{{"distance_m": 85, "height_m": 0.78}, {"distance_m": 150, "height_m": 1.17}},
		"spot_id": c.ID("Long Strand"), "reach_m": 100}
	require.Equal(t, http.StatusOK, c.Do("POST", "/ground/surf", body, &out))
	require.Len(t, out.Bars, 2)
	assert.InDelta(t, 0.2, out.Bars[0].Elevation, 1e-9)
	assert.InDelta(t, 0.2+1.5, out.Bars[0].Stops, 1e-9)
	assert.Len(t, out.Troughs, 1)
	assert.Greater(t, len(out.Section), 5)
	assert.Contains(t, strings.Join(out.Cautions, " "), "Rip currents")
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/ground/surf",
		object{"level_m": 1, "breaks": []object{{"distance_m": 10, "height_m": -1}}}, &p))
}
