package places_test

import (
	"net/http"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A stranger's first water: a known station near by, a kind of place bent by two depths,
// and the spot says how deep it is.
func TestAFirstWaterFromATemplate(t *testing.T) {
	c := kit.Client(t)
	require.Equal(t, http.StatusOK, c.Do("POST", "/anglers", object{"name": "whimbrel", "password": "four words in a row"}, nil))
	var near struct {
		Stations []struct {
			ID        string
			Name      string
			TimeZone  string  `json:"time_zone"`
			DistanceM float64 `json:"distance_m"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/known-stations?lat=41.49&lon=-71.32", nil, &near))
	require.NotEmpty(t, near.Stations)
	assert.Equal(t, "Newport", near.Stations[0].Name)
	assert.Less(t, near.Stations[0].DistanceM, 3000.0)
	station, water, spot := uuid.NewString(), uuid.NewString(), uuid.NewString()
	var st struct {
		Source string
		Range  float64 `json:"mean_spring_range_m"`
	}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/stations/"+station+"/known", object{"known_id": near.Stations[0].ID}, &st))
	assert.Contains(t, st.Source, "public domain")
	assert.InDelta(t, 1.3, st.Range, 0.3)
	require.Equal(t, http.StatusOK, c.Do("PUT", "/waters/"+water, object{"name": "The bay", "time_zone": near.Stations[0].TimeZone,
		"station_id": station}, nil))

	var all []struct{ ID string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/templates?station_id="+station, nil, &all))
	assert.Len(t, all, 10)
	var pier struct {
		Low     float64 `json:"low_m"`
		Place   string
		Manner  string
		Section []object
		Marks   []object
		Asks    []struct {
			ID    string
			Value float64 `json:"value_m"`
		}
	}
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/templates/pier/bend", object{"station_id": station,
		"answers": object{"bar": 1}}, &p))
	require.Equal(t, http.StatusOK, c.Do("POST", "/templates/pier/bend", object{"station_id": station, "answers": object{"end": 4.0}},
		&pier))
	clear := object{"name": "", "elevation_m": 0, "clear": true}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spots/"+spot, object{"water_id": water, "name": "The long pier", "place": pier.Place,
		"lat": 41.49,
		"lon": -71.32, "manner": pier.Manner, "in": clear, "out": clear, "section": pier.Section, "marks": pier.Marks}, &p), p.Detail)
	var state struct {
		Marks []struct {
			Name  string
			Depth float64 `json:"depth_m"`
		}
		WayTitle string `json:"way_title"`
	}
	var raw string
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+spot+"/ribbon", nil, &raw))
	assert.Contains(t, raw, "You can get in and back")
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+spot+"/state", nil, &state))
	for _, k := range state.Marks {
		if k.Name == "end pilings" {
			assert.InDelta(t, 4.6, k.Depth, 1.2, "four metres at low water, and what the tide adds")
		}
	}

	// A secondary station brings the one it follows.
	require.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/stations/"+uuid.NewString()+"/known",
		object{"known_id": "noaa/9446969"}, &p))
	second, of := uuid.NewString(), uuid.NewString()
	require.Equal(t, http.StatusOK, c.Do("PUT", "/stations/"+second+"/known", object{"known_id": "noaa/9446969", "reference_id": of}, nil))
	var stations []struct {
		ID, Name  string
		Reference string `json:"reference_id"`
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/stations", nil, &stations))
	assert.Len(t, stations, 3)
}
