package api_test

import (
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/tide"
	"greypebble/demo"
	"greypebble/testkit"
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
	c := kit.As(t, "moss")
	id := demo.SpotID("Candle Bar")
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
		require.Equal(t, http.StatusNoContent, c.Do("PUT", "/spots/"+id+"/noted/"+ids[i], object{"time": k.Time.Add(30*time.Minute + jitter), "kind": k.Kind.String()}, nil))
	}
	var st spotTide
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id+"/tide", nil, &st))
	require.NotNil(t, st.Learned)
	assert.InDelta(t, 30, st.Learned.High, 5)
	assert.Greater(t, st.Learned.HighError, 3.0)
	assert.Equal(t, 6, st.Learned.Highs)
	other := kit.As(t, "wren")
	assert.Equal(t, http.StatusNotFound, other.Do("GET", "/spots/"+id+"/tide", nil, nil))
	assert.Equal(t, http.StatusNotFound, other.Do("DELETE", "/spots/"+id+"/noted/"+ids[0], nil, nil))
	assert.Equal(t, http.StatusNotFound, other.Do("PUT", "/spots/"+demo.SpotID("Kettle Bar")+"/noted/"+ids[0], object{"time": testkit.Now, "kind": "low"}, nil),
		"an id of someone else's note")

	put := func(o object) (int, problem) {
		var p problem
		return c.Do("PUT", "/spots/"+id+"/offsets", o, &p), p
	}
	status, p := put(object{"lag_high_min": 3000, "lag_low_min": 0})
	assert.Equal(t, http.StatusUnprocessableEntity, status)
	assert.Contains(t, p.Detail, "14 h")
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/spots/"+id+"/offsets", object{"lag_high_min": 30, "lag_low_min": 20, "factor_high": 0.9}, nil))
	defer func() {
		assert.Equal(t, http.StatusNoContent, c.Do("PUT", "/spots/"+id+"/offsets", object{"lag_high_min": 55, "lag_low_min": 55, "factor_high": 0.84, "factor_low": 0.84}, nil))
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
	c := kit.As(t, "moss")
	id := demo.SpotID("Candle Bar")
	before := sheetAt(t, c, id, testkit.Now)
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/spots/"+id+"/current", object{"seen_ms": 0.9}, nil))
	origin, u, _, _ := sheetAt(t, c, id, testkit.Now).of("current_ms")
	assert.Equal(t, "predicted", origin)
	_, rate, _, _ := before.of("tide_rate_m_per_h")
	assert.Equal(t, rate > 0, u > 0)
	assert.Less(t, u*u, 1.0)
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/spots/"+id+"/current", object{"seen_ms": 40}, &p))
	assert.Contains(t, p.Detail, "fastest run")
}

// A secondary station: offsets on another one, which a water may follow; never a
// chain, never removed from under what follows it.
func TestSecondaryStations(t *testing.T) {
	c := kit.As(t, "moss")
	var stations []struct {
		ID, Name  string
		Reference string  `json:"reference_id"`
		Range     float64 `json:"mean_spring_range_m"`
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/stations", nil, &stations))
	main := stations[0]
	id := uuid.NewString()
	creek := object{"name": "Creek head", "source": "noted by eye", "reference_id": main.ID, "offsets": object{"lag_high_min": 40, "lag_low_min": 75, "factor_high": 0.5, "factor_low": 0.5}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/stations/"+id, creek, nil))
	var cmp struct {
		High   float64 `json:"lag_high_min"`
		Low    float64 `json:"lag_low_min"`
		Factor float64
		Curve  []object
		Range  float64 `json:"mean_spring_range_b_m"`
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/tide/compare?a="+main.ID+"&b="+id, nil, &cmp))
	assert.InDelta(t, 40, cmp.High, 0.1)
	assert.InDelta(t, 75, cmp.Low, 0.1)
	assert.InDelta(t, 0.5, cmp.Factor, 1e-6)
	assert.InDelta(t, main.Range/2, cmp.Range, 1e-9)
	assert.Len(t, cmp.Curve, 3*72+1)

	chain := object{"name": "Further up", "source": "guess", "reference_id": id, "offsets": object{"lag_high_min": 9, "lag_low_min": 9}}
	var p problem
	assert.Contains(t, []int{http.StatusConflict, http.StatusUnprocessableEntity}, c.Do("PUT", "/stations/"+uuid.NewString(), chain, &p))
	assert.Contains(t, p.Detail, "constituents of its own")
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/stations/"+uuid.NewString(), object{"name": "x", "source": "y"}, &p))

	water := demo.WaterID("Fallow Creek").String()
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/waters/"+water+"/station", object{"station_id": id}, nil))
	assert.Equal(t, http.StatusConflict, c.Do("DELETE", "/stations/"+id, nil, &p))
	assert.Contains(t, p.Detail, "Fallow Creek follows this station")
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/waters/"+water+"/station", object{"station_id": main.ID}, nil))
	assert.Equal(t, http.StatusConflict, c.Do("DELETE", "/stations/"+main.ID, nil, &p))
	assert.Equal(t, http.StatusNotFound, kit.As(t, "wren").Do("DELETE", "/stations/"+id, nil, nil))
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/stations/"+id, nil, nil))
}

// A station's own table of turns, sent back, is the station again.
func TestATableMakesAStation(t *testing.T) {
	c := kit.As(t, "wren")
	var stations []struct{ ID string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/stations", nil, &stations))
	var table string
	require.Equal(t, http.StatusOK, c.Do("GET", "/stations/"+stations[0].ID+"/turns.csv?days=400", nil, &table))
	require.Greater(t, strings.Count(table, "\n"), 1500)
	var a struct {
		Constituents []struct {
			Name      string
			Amplitude float64 `json:"amplitude_m"`
		}
		Residual float64 `json:"residual_rms_m"`
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/tide/analyse?of=turns", table, &a))
	assert.Less(t, a.Residual, 0.002)
	for _, k := range a.Constituents {
		if k.Name == "M2" {
			assert.InDelta(t, 0.55, k.Amplitude, 0.002)
		}
	}
	var stream string
	require.Equal(t, http.StatusOK, c.Do("POST", "/tide/analyse/watch?of=turns", table, &stream))
	assert.Greater(t, strings.Count(stream, "event: progress"), 2)
	assert.Contains(t, stream, "event: done\ndata: {")
	require.Equal(t, http.StatusOK, c.Do("POST", "/tide/analyse/watch", "time,height_m\nnoon,1\n", &stream))
	assert.Contains(t, stream, "event: problem")
	assert.Contains(t, stream, "line 2, column time")
}
