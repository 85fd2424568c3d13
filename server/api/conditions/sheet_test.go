package conditions_test

import (
	"testing"
	"time"

	"greypebble/testkit"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestConditionsSayWhereTheyCameFrom(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	bar := wren.Spots()["Kettle Bar"]
	var out struct {
		Light    string
		Readings []struct {
			Kind, Origin, Unit string
			Value              float64
			AgeS               float64 `json:"age_s"`
		}
	}
	require.Equal(t, 200, wren.Do("GET", "/conditions?spot_id="+bar.ID+"&time=2026-11-20T15:30:00Z", nil, &out))
	kinds := map[string]string{}
	for _, r := range out.Readings {
		kinds[r.Kind] = r.Origin
	}
	assert.Equal(t, "forecast", kinds["water_temp_c"])
	assert.Equal(t, "predicted", kinds["tide_level_m"])
	assert.Contains(t, kinds, "dark_below_m")
	assert.Equal(t, "bright", out.Light)
	require.Equal(t, 200, wren.Do("GET", "/conditions?spot_id="+bar.ID+"&time=2027-11-20T15:30:00Z", nil, &out))
	for _, r := range out.Readings {
		if r.Kind == "clarity_secchi_m" {
			assert.Equal(t, "assumed", r.Origin, "beyond the forecast")
		}
	}
	assert.Equal(t, 404, kit.Fresh(t, "moss").Do("GET", "/conditions?spot_id="+bar.ID, nil, nil))
}

func TestTheConditionsSheet(t *testing.T) {
	c := kit.Fresh(t, "wren")
	s := c.Sheet(c.ID("Kettle Bar"), testkit.Now.Add(5*time.Hour))
	assert.Contains(t, []string{"glassy", "ripple", "chop", "rough"}, s.Surface.Word)
	require.NotNil(t, s.Trend)
	assert.GreaterOrEqual(t, s.Trend.Days, 2)
	require.Len(t, s.Warmth, 5)
	for _, w := range s.Warmth {
		require.Len(t, w.Points, 73, "36 h by half hours")
		if w.Name == "Channel" {
			require.NotNil(t, w.Now)
			_, around, _, _ := s.Of("water_temp_c")
			assert.InDelta(t, around, *w.Now, 1.2, "the channel is near the open water")
		}
	}
	require.NotEmpty(t, s.Bands)
	assert.Zero(t, s.Bands[0].FromM)
	for i, b := range s.Bands {
		assert.Len(t, b.Finishes, 7)
		assert.NotEmpty(t, b.Finishes[0].Why)
		if i > 0 {
			assert.Equal(t, s.Bands[i-1].ToM, b.FromM)
		}
	}
	kinds := map[string]bool{}
	for _, h := range s.History {
		kinds[h.Kind] = true
	}
	assert.True(t, kinds["wind_speed_ms"] && kinds["water_temp_c"])
	for _, kind := range []string{"wind_wave_m", "days_from_full", "days_from_new", "surface_light_lx", "tide_strength_pct"} {
		origin, _, _, _ := s.Of(kind)
		assert.NotEmpty(t, origin, kind)
	}
}
