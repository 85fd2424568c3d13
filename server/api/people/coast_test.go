package people_test

import (
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The invented coast can be looked at in an account of one's own, and goes in one go, with
// nothing left and nothing else taken.
func TestTheInventedCoastComesAndGoes(t *testing.T) {
	c := kit.Client(t)
	require.Equal(t, http.StatusOK, c.Do("POST", "/anglers", object{"name": "sandpiper", "password": "four words in a row"}, nil))
	require.Equal(t, http.StatusNoContent, c.Do("POST", "/account/invented-coast", nil, nil))
	require.Equal(t, http.StatusNoContent, c.Do("POST", "/account/invented-coast", nil, nil), "twice is once")
	var me struct{ Invented bool }
	require.Equal(t, http.StatusOK, c.Do("GET", "/me", nil, &me))
	assert.True(t, me.Invented)
	spots := c.Spots()
	require.Contains(t, spots, "Kettle Bar")
	assert.Equal(t, http.StatusOK, c.Do("POST", "/advise", object{"spot_id": spots["Kettle Bar"].ID, "target": "red-drum"}, nil))
	var log struct{ Spells []object }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells?most=5", nil, &log))
	assert.NotEmpty(t, log.Spells)

	own := "0193a1b2-0000-7000-8000-0000000000aa"
	require.Equal(t, http.StatusOK, c.Do("PUT", "/stations/"+own+"/known", object{"known_id": "noaa/8452660"}, nil))
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/account/invented-coast", nil, nil))
	require.Equal(t, http.StatusOK, c.Do("GET", "/me", nil, &me))
	assert.False(t, me.Invented)
	var left map[string]int
	require.Equal(t, http.StatusOK, c.Do("GET", "/account", nil, &left))
	assert.Equal(t, map[string]int{"waters": 0, "stations": 1, "spots": 0, "spells": 0, "catches": 0, "readings": 0, "kit": 0,
		"rules": 0}, left)
}
