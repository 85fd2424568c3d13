package tides_test

import (
	"encoding/json"
	"net/http"
	"os"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestSkyDay(t *testing.T) {
	var d object
	// Plymouth, 2026-06-21, as in testdata/sky.json by astronomy-engine 2.1.19.
	require.Equal(t, http.StatusOK, kit.Fresh(t, "moss").Do("POST", "/sky/day", object{"lat": 50.366, "lon": -4.1427, "date": "2026-06-21",
		"utc_offset_min": 0}, &d))
	rise, err := time.Parse(time.RFC3339, d["sunrise"].(string))
	require.NoError(t, err)
	raw, err := os.ReadFile("../../../core/sky/testdata/sky.json")
	require.NoError(t, err)
	var f struct {
		Days []struct {
			Place, Date string
			Sunrise     []time.Time
		}
	}
	require.NoError(t, json.Unmarshal(raw, &f))
	for _, want := range f.Days {
		if want.Place == "plymouth_uk" && want.Date == "2026-06-21" {
			assert.WithinDuration(t, want.Sunrise[0], rise, 15*time.Second)
		}
	}
	require.Equal(t, http.StatusOK, kit.Fresh(t, "moss").Do("POST", "/sky/day", object{"lat": 69.6, "lon": 19, "date": "2026-12-21"}, &d))
	assert.Nil(t, d["sunrise"])
	assert.Equal(t, true, d["sun_never_rises"])
	assert.Equal(t, 422, kit.Fresh(t, "moss").Do("POST", "/sky/day", object{"lat": 99, "lon": 19, "date": "2026-12-21"}, nil))
	assert.Equal(t, 422, kit.Fresh(t, "moss").Do("POST", "/sky/day", object{"lat": 9, "lon": 19, "date": "2026-02-30"}, nil))
}
