package tides_test

import (
	"net/http"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A secondary station: offsets on another one, which a water may follow; never a
// chain, never removed from under what follows it.
func TestSecondaryStations(t *testing.T) {
	c := kit.Fresh(t, "moss")
	var stations []struct {
		ID, Name  string
		Reference string  `json:"reference_id"`
		Range     float64 `json:"mean_spring_range_m"`
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/stations", nil, &stations))
	main := stations[0]
	id := uuid.NewString()
	creek := object{"name": "Creek head", "source": "noted by eye", "reference_id": main.ID,
		"offsets": object{"lag_high_min": 40, "lag_low_min": 75, "factor_high": 0.5, "factor_low": 0.5}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/stations/"+id, creek, nil))
	var cmp struct {
		High   float64 `json:"lag_high_min"`
		Low    float64 `json:"lag_low_min"`
		Factor float64
		Curve  []object
		Range  float64 `json:"mean_spring_range_b_m"`
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/tide/compare?a="+main.ID+"&b="+id, nil, &cmp))
	assert.InDelta(t, 40, cmp.High, 0.1)
	assert.InDelta(t, 75, cmp.Low, 0.1)
	assert.InDelta(t, 0.5, cmp.Factor, 1e-6)
	assert.InDelta(t, main.Range/2, cmp.Range, 1e-9)
	assert.Len(t, cmp.Curve, 3*72+1)

	chain := object{"name": "Further up", "source": "guess", "reference_id": id, "offsets": object{"lag_high_min": 9, "lag_low_min": 9}}
	var p problem
	assert.Contains(t, []int{http.StatusConflict, http.StatusUnprocessableEntity}, c.Do("PUT", "/stations/"+uuid.NewString(), chain, &p))
	assert.Contains(t, p.Detail, "constituents of its own")
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/stations/"+uuid.NewString(), object{"name": "x", "source": "y"}, &p))

	water := c.ID("Fallow Creek")
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/waters/"+water+"/station", object{"station_id": id}, nil))
	assert.Equal(t, http.StatusConflict, c.Do("DELETE", "/stations/"+id, nil, &p))
	assert.Contains(t, p.Detail, "Fallow Creek follows this station")
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/waters/"+water+"/station", object{"station_id": main.ID}, nil))
	assert.Equal(t, http.StatusConflict, c.Do("DELETE", "/stations/"+main.ID, nil, &p))
	assert.Equal(t, http.StatusNotFound, kit.Fresh(t, "wren").Do("DELETE", "/stations/"+id, nil, nil))
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/stations/"+id, nil, nil))
}

// A station's own table of turns, sent back, is the station again.
func TestATableMakesAStation(t *testing.T) {
	c := kit.Fresh(t, "wren")
	var stations []struct{ ID string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/stations", nil, &stations))
	var table string
	require.Equal(t, http.StatusOK, c.Do("GET", "/stations/"+stations[0].ID+"/turns.csv?days=400", nil, &table))
	require.Greater(t, strings.Count(table, "\n"), 1500)
	var a struct {
		Constituents []struct {
			Name      string
			Amplitude float64 `json:"amplitude_m"`
		}
		Residual float64 `json:"residual_rms_m"`
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/tide/analyse?of=turns", table, &a))
	assert.Less(t, a.Residual, 0.002)
	for _, k := range a.Constituents {
		if k.Name == "M2" {
			assert.InDelta(t, 0.55, k.Amplitude, 0.002)
		}
	}
	var stream string
	require.Equal(t, http.StatusOK, c.Do("POST", "/tide/analyse/watch?of=turns", table, &stream))
	assert.Greater(t, strings.Count(stream, "event: progress"), 2)
	assert.Contains(t, stream, "event: done\ndata: {")
	require.Equal(t, http.StatusOK, c.Do("POST", "/tide/analyse/watch", "time,height_m\nnoon,1\n", &stream))
	assert.Contains(t, stream, "event: problem")
	assert.Contains(t, stream, "line 2, column time")
}

func TestStations(t *testing.T) {
	wren, moss := kit.Fresh(t, "wren"), kit.Fresh(t, "moss")
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
		require.Equal(t, 200, kit.Fresh(t, "moss").Do("POST", "/stations/read", text, &back), format)
		assert.Equal(t, 0.95, back.Z0M)
		assert.ElementsMatch(t, list[0].Constituents, back.Constituents)
		assert.Equal(t, 404, moss.Do("GET", "/stations/"+old+"/file?format="+format, nil, nil))
	}
	assert.Equal(t, 422, kit.Fresh(t, "moss").Do("POST", "/stations/read", "name,amplitude\nM2,1\n", nil))

	id := uuid.NewString()
	station := object{"name": "My gauge", "source": "analysed", "z0_m": 1.2,
		"constituents": []object{{"name": "M2", "amplitude_m": 0.9, "phase_deg": 12}}}
	require.Equal(t, 200, wren.Do("PUT", "/stations/"+id, station, nil))
	require.Equal(t, 200, wren.Do("PUT", "/stations/"+id, station, nil), "again is the same")
	assert.Equal(t, 404, moss.Do("PUT", "/stations/"+id, station, nil))
	assert.Equal(t, 404, moss.Do("PUT", "/waters/"+water+"/station", object{"station_id": id}, nil))
	assert.Equal(t, 404, wren.Do("PUT", "/waters/"+moss.ID("Fallow Creek")+"/station", object{"station_id": id}, nil))
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
