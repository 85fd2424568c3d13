package advice_test

import (
	"net/http"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A word an earlier program let in takes advice away from its own spot only, and says so.
func TestOneOddWordTakesNothingFromTheOtherSpots(t *testing.T) {
	c := kit.Fresh(t, "wren")
	bar, pier := c.ID("Kettle Bar"), c.ID("Cutwater Pier")
	_, err := kit.App.Store.DB().Exec(`UPDATE mark SET bottom = 'gravel' WHERE spot_id = ? ORDER BY distance_m LIMIT 1`, bar)
	require.NoError(t, err)
	ask := func(spot string, p any) int {
		return c.Do("POST", "/advise", object{"spot_id": spot, "target": "red-drum"}, p)
	}
	assert.Equal(t, http.StatusOK, ask(pier, nil))
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, ask(bar, &p))
	assert.Contains(t, p.Detail, `Gut of Kettle Bar: unknown bottom "gravel"`)
	for _, path := range []string{"/spots", "/chart", "/spots/" + bar, "/spots/" + bar + "/state", "/spots/" + bar + "/ribbon"} {
		assert.Equal(t, http.StatusOK, c.Do("GET", path, nil, nil), path)
	}
}

// A spot of which only the place is known is a full citizen.
func TestASpotWithNothingButAPosition(t *testing.T) {
	c := kit.Fresh(t, "wren")
	gpx := `<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1" creator="x">` +
		`<wpt lat="31.21" lon="-45.11"><name>Ninepin</name></wpt></gpx>`
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/import?format=gpx&place=pier&water_id="+c.ID("Sedge Sound"), gpx, nil))
	id := c.Spots()["Ninepin"].ID
	require.NotEmpty(t, id)
	var ribbon struct {
		Frames []struct {
			Level *float64 `json:"level_m"`
			Open  bool
			Light string
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id+"/ribbon", nil, &ribbon))
	require.NotEmpty(t, ribbon.Frames)
	assert.NotNil(t, ribbon.Frames[0].Level)
	assert.True(t, ribbon.Frames[0].Open)
	assert.NotEmpty(t, ribbon.Frames[0].Light)
	for _, path := range []string{"/spots/" + id, "/spots/" + id + "/state", "/spots/" + id + "/windows", "/spots/" + id +
		"/shelter", "/chart", "/conditions?spot_id=" + id, "/spots/" + id + "/pier", "/spots/" + id + "/tide"} {
		assert.Equal(t, http.StatusOK, c.Do("GET", path, nil, new(string)), path)
	}
	var a struct {
		Note    string
		Choices []object
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/advise", object{"spot_id": id, "target": "red-drum"}, &a))
	assert.Empty(t, a.Choices)
	assert.NotEmpty(t, a.Note, "why there is none")
	t.Log(a.Note)
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.NewString(), object{"spot_id": id, "target": "red-drum",
		"started_at": "2026-11-19T12:00:00Z", "ended_at": "2026-11-19T13:00:00Z"}, nil))
}
