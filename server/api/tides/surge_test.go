package tides_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// "0.3 m more than predicted" shifts depths and windows, shows as observed, and
// fades.
func TestSurge(t *testing.T) {
	wren, moss := kit.Fresh(t, "wren"), kit.Fresh(t, "moss")
	bar := wren.Spots()["Kettle Bar"]
	water := "/waters/" + wren.ID("Sedge Sound") + "/surge"
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
	require.Equal(t, 200, wren.Do("PUT", water, object{"by_m": 0.3, "seen_at": "2026-11-20T14:00:00Z", "fade_h": 24}, nil))
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
