package conditions_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Values of the published formulae: Poole & Atkins (1929), Komar & Gaughan
// (1973), McCowan (1894).
func TestLightAndBreaking(t *testing.T) {
	c := kit.Fresh(t, "moss")
	var l struct {
		Attenuation float64 `json:"attenuation_per_m"`
		Fraction    float64
		Lux         float64
		Class       string
		DarkBelowM  float64 `json:"dark_below_m"`
	}
	require.Equal(t, 200, c.Do("POST", "/water/light", object{"secchi_m": 2, "depth_m": 18, "sun_altitude_deg": 60, "cloud_fraction": 0},
		&l))
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
	assert.Equal(t, 422, c.Do("POST", "/water/breaking", object{"swell_height_m": 99, "swell_period_s": 10, "level_m": 1,
		"bars": []object{}}, nil))
}
