package book_test

import (
	"net/http"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestRigsKnotsAndPractice(t *testing.T) {
	wren, moss := kit.Fresh(t, "wren"), kit.Fresh(t, "moss")
	var card struct {
		Name    string
		Ways    []object
		Drawing struct {
			Height  float64
			Strokes []object
			Labels  []struct{ Text string }
		}
	}
	require.Equal(t, http.StatusOK, wren.Do("GET",
		"/rigs/fish-finder/card?leader_n=133&leader_of=fluorocarbon&weight_kg=0.05&hook=2%2F0+circle&offering=live-shrimp", nil, &card))
	var labels []string
	for _, l := range card.Drawing.Labels {
		labels = append(labels, l.Text)
	}
	assert.Contains(t, strings.Join(labels, "|"), "2/0 circle hook")
	assert.Contains(t, strings.Join(labels, "|"), "50 g")
	assert.Equal(t, http.StatusNotFound, wren.Do("GET", "/rigs/hammer/card", nil, nil))
	var knots []struct{ ID string }
	require.Equal(t, http.StatusOK, wren.Do("GET", "/knots", nil, &knots))
	assert.Len(t, knots, 8)

	cast := object{"seed": 7, "pace_ms": 0.5, "flight_speed_ms": 12, "reach_m": 30, "splash_clear_m": 1.8, "window_min_m": 0.15,
		"window_max_m": 0.6}
	var swim struct {
		XM []float64 `json:"x_m"`
	}
	require.Equal(t, http.StatusOK, wren.Do("POST", "/bench/practice", cast, &swim))
	assert.Greater(t, len(swim.XM), 500)
	cast["at_s"], cast["land_x_m"], cast["land_y_m"] = 0, swim.XM[0], 400
	var out struct {
		Strike bool
		Says   string
	}
	require.Equal(t, http.StatusOK, wren.Do("POST", "/bench/practice/throw", cast, &out))
	assert.Contains(t, out.Says, "beyond your reach")
	var usual struct {
		Turn    float64  `json:"length_per_turn_m"`
		FromKit []string `json:"from_kit"`
	}
	require.Equal(t, http.StatusOK, moss.Do("GET", "/bench/usual?spot_id="+moss.ID("Candle Bar"), nil, &usual))
	assert.Equal(t, 0.6, usual.Turn)
}
