package trials_test

import (
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

type estimate struct {
	Value, Low, High *float64
	P                float64
	Shown            bool
	HoursEach        float64 `json:"hours_each"`
	Says             string
}

type problem struct {
	Detail string
	Errors []struct{ Location string }
}

// What two lures showed, over the API: as R has it (poisson.test, fisher.test), in words, and what it would take.
func TestTwoLuresCompared(t *testing.T) {
	c := kit.Fresh(t, "wren")
	var e estimate
	require.Equal(t, http.StatusOK, c.Do("POST", "/stats/rate-ratio", object{"first": object{"name": "black", "fish": 12, "hours": 40},
		"second": object{"name": "chrome", "fish": 5, "hours": 38}}, &e))
	assert.InDelta(t, 2.28, *e.Value, 1e-9)
	assert.InDelta(t, 0.7476935994641754, *e.Low, 1e-9)
	assert.InDelta(t, 8.261182062746254, *e.High, 1e-9)
	assert.InDelta(t, 0.1456967342371324, e.P, 1e-9)
	assert.False(t, e.Shown)
	assert.Greater(t, e.HoursEach, 60.0)
	assert.Contains(t, e.Says, "This shows nothing yet: ×2.3 as many an hour on black")

	e = estimate{}
	require.Equal(t, http.StatusOK, c.Do("POST", "/stats/rate-ratio", object{"first": object{"fish": 9, "hours": 3},
		"second": object{"fish": 0, "hours": 3}}, &e))
	assert.Nil(t, e.High, "without end")
	assert.True(t, e.Shown)

	e = estimate{}
	require.Equal(t, http.StatusOK, c.Do("POST", "/stats/fisher", object{"first": object{"so": 8, "of": 10},
		"second": object{"so": 1, "of": 6}}, &e))
	assert.InDelta(t, 15.465819716920992, *e.Value, 1e-6)
	assert.InDelta(t, 0.034965034965034975, e.P, 1e-9)

	e = estimate{}
	require.Equal(t, http.StatusOK, c.Do("POST", "/stats/proportion", object{"so": 1, "of": 12}, &e))
	assert.InDelta(t, 0.384796165151, *e.High, 1e-9)

	var p struct {
		Power     *float64
		HoursEach *float64 `json:"hours_each"`
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/trials/power", object{"ratio": 2, "rate": 2, "hours": 10}, &p))
	assert.InDelta(t, 0.7, *p.Power, 0.15)
	assert.InDelta(t, 12, *p.HoursEach, 3)
	p.HoursEach = nil
	require.Equal(t, http.StatusOK, c.Do("POST", "/trials/power", object{"ratio": 1.01, "rate": 0.1}, &p))
	assert.Nil(t, p.HoursEach)

	for path, bad := range map[string]object{
		"/stats/rate-ratio": {"first": object{"fish": 3, "hours": 0}, "second": object{"fish": 3, "hours": 1}},
		"/stats/fisher":     {"first": object{"so": 3, "of": 2}, "second": object{"so": 0, "of": 1}},
		"/stats/proportion": {"so": 3, "of": 2},
		"/trials/power":     {"ratio": 1, "rate": 1},
	} {
		var p problem
		assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", path, bad, &p), path)
		require.NotEmpty(t, p.Errors, path)
		assert.NotEmpty(t, p.Errors[0].Location)
	}
}
