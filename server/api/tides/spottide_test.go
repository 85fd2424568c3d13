package tides_test

import (
	"net/http"
	"testing"
	"time"

	"greypebble/core/tide"
	"greypebble/demo"
	"greypebble/testkit"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

type spotTide struct {
	Station struct{ ID, Name string }
	Offsets struct {
		High   float64 `json:"lag_high_min"`
		Low    float64 `json:"lag_low_min"`
		Factor float64 `json:"factor_high"`
	}
	Noted   []struct{ ID, Kind string }
	Learned *struct {
		High      float64 `json:"lag_high_min"`
		HighError float64 `json:"lag_high_error_min"`
		Highs     int
	}
	CannotSay string `json:"cannot_say"`
}

// An angler notes high waters half an hour after the station's; the lag is
// learned with its error, taken over, and the spot's turns follow.
func TestALagIsLearned(t *testing.T) {
	c := kit.Fresh(t, "moss")
	id := c.ID("Candle Bar")
	var before spotTide
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id+"/tide", nil, &before))
	assert.Equal(t, 55.0, before.Offsets.High)
	assert.Nil(t, before.Learned)

	h, err := tide.NewHarmonics(demo.Constituents(), 0.95)
	require.NoError(t, err)
	turns, err := h.Turns(testkit.Now.AddDate(0, 0, -10), testkit.Now)
	require.NoError(t, err)
	var ids []string
	for i, k := range turns[:12] {
		ids = append(ids, uuid.NewString())
		jitter := time.Duration(i%5-2) * 4 * time.Minute
		require.Equal(t, http.StatusNoContent, c.Do("PUT", "/spots/"+id+"/noted/"+ids[i],
			object{"time": k.Time.Add(30*time.Minute + jitter), "kind": k.Kind.String()}, nil))
	}
	var st spotTide
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id+"/tide", nil, &st))
	require.NotNil(t, st.Learned)
	assert.InDelta(t, 30, st.Learned.High, 5)
	assert.Greater(t, st.Learned.HighError, 3.0)
	assert.Equal(t, 6, st.Learned.Highs)
	other := kit.Fresh(t, "wren")
	assert.Equal(t, http.StatusNotFound, other.Do("GET", "/spots/"+id+"/tide", nil, nil))
	assert.Equal(t, http.StatusNotFound, other.Do("DELETE", "/spots/"+id+"/noted/"+ids[0], nil, nil))
	assert.Equal(t, http.StatusNotFound, other.Do("PUT", "/spots/"+c.ID("Kettle Bar")+"/noted/"+ids[0],
		object{"time": testkit.Now, "kind": "low"}, nil), "an id of someone else's note")

	put := func(o object) (int, problem) {
		var p problem
		return c.Do("PUT", "/spots/"+id+"/offsets", o, &p), p
	}
	status, p := put(object{"lag_high_min": 3000, "lag_low_min": 0})
	assert.Equal(t, http.StatusUnprocessableEntity, status)
	assert.Equal(t, "The lag at high water must be 840 min or less.", p.Detail)
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/spots/"+id+"/offsets",
		object{"lag_high_min": 30, "lag_low_min": 20, "factor_high": 0.9}, nil))
	defer func() {
		assert.Equal(t, http.StatusNoContent, c.Do("PUT", "/spots/"+id+"/offsets",
			object{"lag_high_min": 55, "lag_low_min": 55, "factor_high": 0.84, "factor_low": 0.84}, nil))
	}()
	var ribbon struct {
		Turns []struct {
			Time time.Time
			Kind string
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id+"/ribbon", nil, &ribbon))
	want, err := h.Turns(testkit.Now.Add(-5*time.Hour), testkit.Now.Add(36*time.Hour))
	require.NoError(t, err)
	for _, k := range ribbon.Turns {
		lag := 20 * time.Minute
		if k.Kind == "high" {
			lag = 30 * time.Minute
		}
		nearest := time.Hour
		for _, w := range want {
			if w.Kind.String() == k.Kind {
				nearest = min(nearest, k.Time.Sub(w.Time.Add(lag)).Abs())
			}
		}
		assert.Less(t, nearest, 2*time.Second)
	}
	for _, n := range ids {
		assert.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spots/"+id+"/noted/"+n, nil, nil))
	}
}

func TestCurrentOfASpot(t *testing.T) {
	c := kit.Fresh(t, "moss")
	id := c.ID("Candle Bar")
	before := c.Sheet(id, testkit.Now)
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/spots/"+id+"/current", object{"seen_ms": 0.9}, nil))
	origin, u, _, _ := c.Sheet(id, testkit.Now).Of("current_ms")
	assert.Equal(t, "predicted", origin)
	_, rate, _, _ := before.Of("tide_rate_m_per_h")
	assert.Equal(t, rate > 0, u > 0)
	assert.Less(t, u*u, 1.0)
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/spots/"+id+"/current", object{"seen_ms": 40}, &p))
	assert.Equal(t, "The fastest run must be 8 m/s or less.", p.Detail)
}
