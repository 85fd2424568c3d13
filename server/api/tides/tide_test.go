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

// Values of testdata of core/tide: US NOAA constants, levels of an independent
// implementation of Schureman (1958).
func TestPredictThroughTheAPI(t *testing.T) {
	raw, err := os.ReadFile("../../../core/tide/testdata/tide_newport.json")
	require.NoError(t, err)
	var f struct {
		Constituents []object
		Hourly       struct {
			Start time.Time
			M     []float64 `json:"reference_m"`
		}
		Extremes struct {
			Start, End time.Time
			Points     []struct {
				T     time.Time `json:"t"`
				Kind  string
				Level float64 `json:"level_m"`
			} `json:"turning_points"`
		}
	}
	require.NoError(t, json.Unmarshal(raw, &f))
	var out struct {
		Heights []struct {
			Time   time.Time
			Height float64 `json:"height_m"`
		}
		Turns []struct {
			Time   time.Time
			Height float64 `json:"height_m"`
			Kind   string
		}
	}
	c := kit.Fresh(t, "moss")
	ask := func(from, to time.Time) {
		require.Equal(t, http.StatusOK, c.Do("POST", "/tide/predict", object{"constituents": f.Constituents, "z0_m": 0, "from": from,
			"to": to, "step_s": 3600}, &out))
	}
	ask(f.Hourly.Start, f.Hourly.Start.Add(72*time.Hour))
	require.Len(t, out.Heights, 73)
	for i, h := range out.Heights {
		assert.InDelta(t, f.Hourly.M[i], h.Height, 0.002)
	}
	ask(f.Extremes.Start, f.Extremes.End)
	require.Len(t, out.Turns, len(f.Extremes.Points))
	for i, p := range f.Extremes.Points {
		assert.WithinDuration(t, p.T, out.Turns[i].Time, time.Minute)
		assert.Equal(t, p.Kind, out.Turns[i].Kind)
	}
}

func TestBadPredictionsAreNamed(t *testing.T) {
	m2 := object{"name": "M2", "amplitude_m": 1, "phase_deg": 0}
	from, to := "2026-01-01T00:00:00Z", "2026-01-02T00:00:00Z"
	for want, body := range map[string]any{
		"unknown constituent \"X9\"": object{"constituents": []object{m2, {"name": "X9", "amplitude_m": 1, "phase_deg": 0}}, "from": from,
			"to": to, "step_s": 600},
		"ends":              object{"constituents": []object{m2}, "from": to, "to": from, "step_s": 600},
		"at most 200000":    object{"constituents": []object{m2}, "from": from, "to": to, "step_s": 0.1},
		"body.step_s":       object{"constituents": []object{m2}, "from": from, "to": to, "step_s": 0},
		"body.from":         object{"constituents": []object{m2}, "from": "yesterday", "to": to, "step_s": 60},
		"is not known here": object{"constituents": []object{m2}, "from": from, "to": to, "step_s": 60, "stp": 1},
		"body.constituents": object{"constituents": []object{}, "from": from, "to": to, "step_s": 60},
		"":                  `{"constituents": [{"name":"M2","amplitude_m":1e999,"phase_deg":0}]}`,
	} {
		var p problem
		status := kit.Fresh(t, "moss").Do("POST", "/tide/predict", body, &p)
		assert.True(t, status == 422 || status == 400, "%s: %d", want, status)
		text := p.Detail
		for _, e := range p.Errors {
			text += " " + e.Location + " " + e.Message
		}
		assert.Contains(t, text, want)
	}
}
