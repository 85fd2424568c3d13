package api_test

import (
	"encoding/json"
	"math"
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
	require.Equal(t, http.StatusOK, kit.Client(t).Do("POST", "/sky/day", object{"lat": 50.366, "lon": -4.1427, "date": "2026-06-21", "utc_offset_min": 0}, &d))
	rise, err := time.Parse(time.RFC3339, d["sunrise"].(string))
	require.NoError(t, err)
	raw, err := os.ReadFile("../../core/sky/testdata/sky.json")
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
	require.Equal(t, http.StatusOK, kit.Client(t).Do("POST", "/sky/day", object{"lat": 69.6, "lon": 19, "date": "2026-12-21"}, &d))
	assert.Nil(t, d["sunrise"])
	assert.Equal(t, true, d["sun_never_rises"])
	assert.Equal(t, 422, kit.Client(t).Do("POST", "/sky/day", object{"lat": 99, "lon": 19, "date": "2026-12-21"}, nil))
	assert.Equal(t, 422, kit.Client(t).Do("POST", "/sky/day", object{"lat": 9, "lon": 19, "date": "2026-02-30"}, nil))
}

// Values of the published formulae: Poole & Atkins (1929), Komar & Gaughan
// (1973), McCowan (1894).
func TestLightAndBreaking(t *testing.T) {
	c := kit.Client(t)
	var l struct {
		Attenuation float64 `json:"attenuation_per_m"`
		Fraction    float64
		Lux         float64
		Class       string
		DarkBelowM  float64 `json:"dark_below_m"`
	}
	require.Equal(t, 200, c.Do("POST", "/water/light", object{"secchi_m": 2, "depth_m": 18, "sun_altitude_deg": 60, "cloud_fraction": 0}, &l))
	assert.InDelta(t, 0.85, l.Attenuation, 1e-9)
	assert.InDelta(t, math.Exp(-15.3), l.Fraction, 1e-12)
	assert.Equal(t, "dark", l.Class)
	assert.Less(t, l.DarkBelowM, 18.0)
	var b struct {
		BreakerHeightM float64 `json:"breaker_height_m"`
		Bars           []struct {
			Breaks bool
			Stops  float64 `json:"stops_breaking_level_m"`
		}
	}
	require.Equal(t, 200, c.Do("POST", "/water/breaking", object{"swell_height_m": 1, "swell_period_s": 10, "level_m": 1,
		"bars": []object{{"elevation_m": 0}, {"elevation_m": -3}, {"elevation_m": 1.2}}}, &b))
	assert.InDelta(t, 1.547, b.BreakerHeightM, 0.001)
	assert.Equal(t, []bool{true, false, false}, []bool{b.Bars[0].Breaks, b.Bars[1].Breaks, b.Bars[2].Breaks})
	assert.Equal(t, 422, c.Do("POST", "/water/light", object{"secchi_m": 0, "depth_m": 1, "sun_altitude_deg": 60}, nil))
	assert.Equal(t, 422, c.Do("POST", "/water/breaking", object{"swell_height_m": 99, "swell_period_s": 10, "level_m": 1, "bars": []object{}}, nil))
}
