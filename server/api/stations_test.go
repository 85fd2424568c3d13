package api_test

import (
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
)

func TestStations(t *testing.T) {
	wren, moss := kit.As(t, "wren"), kit.As(t, "moss")
	var list []struct {
		ID, Name     string
		Constituents []object
		SpringRangeM float64 `json:"mean_spring_range_m"`
		Waters       []struct{ ID, Name string }
	}
	require.Equal(t, 200, wren.Do("GET", "/stations", nil, &list))
	require.Len(t, list, 1)
	assert.InDelta(t, 1.48, list[0].SpringRangeM, 1e-9)
	require.GreaterOrEqual(t, len(list[0].Waters), 2)
	old, water, waters := list[0].ID, list[0].Waters[0].ID, len(list[0].Waters)

	// Out as a file and in again, the same.
	for _, format := range []string{"json", "csv"} {
		var text string
		require.Equal(t, 200, wren.Do("GET", "/stations/"+old+"/file?format="+format, nil, &text))
		var back struct {
			Z0M          float64 `json:"z0_m"`
			Constituents []object
		}
		require.Equal(t, 200, kit.Client(t).Do("POST", "/stations/read", text, &back), format)
		assert.Equal(t, 0.95, back.Z0M)
		assert.ElementsMatch(t, list[0].Constituents, back.Constituents)
		assert.Equal(t, 404, moss.Do("GET", "/stations/"+old+"/file?format="+format, nil, nil))
	}
	assert.Equal(t, 422, kit.Client(t).Do("POST", "/stations/read", "name,amplitude\nM2,1\n", nil))

	id := uuid.NewString()
	station := object{"name": "My gauge", "source": "analysed", "z0_m": 1.2, "constituents": []object{{"name": "M2", "amplitude_m": 0.9, "phase_deg": 12}}}
	require.Equal(t, 200, wren.Do("PUT", "/stations/"+id, station, nil))
	require.Equal(t, 200, wren.Do("PUT", "/stations/"+id, station, nil), "again is the same")
	assert.Equal(t, 404, moss.Do("PUT", "/stations/"+id, station, nil))
	assert.Equal(t, 404, moss.Do("PUT", "/waters/"+water+"/station", object{"station_id": id}, nil))
	assert.Equal(t, 404, wren.Do("PUT", "/waters/"+demo.WaterID("Fallow Creek").String()+"/station", object{"station_id": id}, nil))
	var p problem
	bad := object{"name": "x", "source": "y", "z0_m": 1, "constituents": []object{{"name": "M2", "amplitude_m": -1, "phase_deg": 12}}}
	assert.Equal(t, 422, wren.Do("PUT", "/stations/"+uuid.NewString(), bad, &p))
	assert.Contains(t, p.Detail, "amplitude")

	require.Equal(t, 204, wren.Do("PUT", "/waters/"+water+"/station", object{"station_id": id}, nil))
	require.Equal(t, 200, wren.Do("GET", "/stations", nil, &list))
	require.Len(t, list, 2)
	of := map[string]int{}
	for _, s := range list {
		of[s.ID] = len(s.Waters)
	}
	assert.Equal(t, map[string]int{id: 1, old: waters - 1}, of)
	require.Equal(t, 204, wren.Do("PUT", "/waters/"+water+"/station", object{"station_id": old}, nil))
}
