package api_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
)

func TestRibbonAgreesWithState(t *testing.T) {
	wren := kit.As(t, "wren")
	for _, sp := range spotsOf(t, wren) {
		var r struct {
			Frames []struct {
				Time    time.Time
				LevelM  float64   `json:"level_m"`
				DepthsM []float64 `json:"depths_m"`
				Stage   string
				Open    bool
			}
			Turns    []object
			Marks    []object
			Daylight []struct{ From, To time.Time }
		}
		require.Equal(t, http.StatusOK, wren.Do("GET", "/spots/"+sp.ID+"/ribbon?from=2026-11-20T03:00:00Z&hours=36", nil, &r))
		assert.GreaterOrEqual(t, len(r.Frames), 217+len(r.Turns)-2)
		assert.NotEmpty(t, r.Daylight)
		f := r.Frames[77]
		var s struct {
			LevelM float64 `json:"level_m"`
			Stage  struct{ Says string }
			Open   bool
			Marks  []struct {
				DepthM float64 `json:"depth_m"`
			}
		}
		require.Equal(t, http.StatusOK, wren.Do("GET", "/spots/"+sp.ID+"/state?time="+f.Time.Format(time.RFC3339), nil, &s))
		assert.InDelta(t, s.LevelM, f.LevelM, 1e-9)
		assert.Equal(t, s.Stage.Says, f.Stage)
		assert.Equal(t, s.Open, f.Open)
		for i, m := range s.Marks {
			assert.InDelta(t, m.DepthM, f.DepthsM[i], 1e-9)
		}
	}
}

func TestConditionsSayWhereTheyCameFrom(t *testing.T) {
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
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
	assert.Equal(t, 404, kit.As(t, "moss").Do("GET", "/conditions?spot_id="+bar.ID, nil, nil))
}

// "0.3 m more than predicted" shifts depths and windows, shows as observed, and
// fades.
func TestSurge(t *testing.T) {
	wren, moss := kit.As(t, "wren"), kit.As(t, "moss")
	bar := spotsOf(t, wren)["Kettle Bar"]
	water := "/waters/" + demo.WaterID("Sedge Sound").String() + "/surge"
	type state struct {
		LevelM float64 `json:"level_m"`
		Marks  []struct {
			DepthM float64 `json:"depth_m"`
		}
		Windows    []struct{ Opens, Closes *time.Time }
		Conditions []struct {
			Kind, Origin string
			Value        float64
		}
		Surge *struct {
			ByM float64 `json:"by_m"`
		}
		NextPeak *struct{ Springs bool } `json:"next_peak"`
	}
	at := func(time string) (s state) {
		require.Equal(t, 200, wren.Do("GET", "/spots/"+bar.ID+"/state?time="+time, nil, &s))
		return s
	}
	before := at("2026-11-20T14:00:00Z")
	require.NotNil(t, before.NextPeak)
	assert.Nil(t, before.Surge)
	require.Equal(t, 204, wren.Do("PUT", water, object{"by_m": 0.3, "seen_at": "2026-11-20T14:00:00Z", "fade_h": 24}, nil))
	after := at("2026-11-20T14:00:00Z")
	assert.InDelta(t, before.LevelM+0.3, after.LevelM, 1e-9)
	for i := range before.Marks {
		assert.InDelta(t, before.Marks[i].DepthM+0.3, after.Marks[i].DepthM, 1e-9)
	}
	assert.NotEqual(t, before.Windows, after.Windows)
	require.NotNil(t, after.Surge)
	found := false
	for _, c := range after.Conditions {
		if c.Kind == "tide_surge_m" {
			found = true
			assert.Equal(t, "observed", c.Origin)
			assert.InDelta(t, 0.3, c.Value, 1e-9)
		}
	}
	assert.True(t, found, "never silently")
	later := at("2026-11-22T14:00:00Z")
	assert.Nil(t, later.Surge)

	assert.Equal(t, 404, moss.Do("PUT", water, object{"by_m": 0.3, "seen_at": "2026-11-20T14:00:00Z", "fade_h": 24}, nil))
	assert.Equal(t, 404, moss.Do("DELETE", water, nil, nil))
	assert.Equal(t, 422, wren.Do("PUT", water, object{"by_m": 99, "seen_at": "2026-11-20T14:00:00Z", "fade_h": 24}, nil))
	require.Equal(t, 204, wren.Do("DELETE", water, nil, nil))
	assert.InDelta(t, before.LevelM, at("2026-11-20T14:00:00Z").LevelM, 1e-9)
}
