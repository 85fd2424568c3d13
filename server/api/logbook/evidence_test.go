package logbook_test

import (
	"math"
	"net/http"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

type multiplier struct{ Median, Low, High float64 }

type evidenceOut struct {
	Spells, LeftOut           int
	RodHours                  float64 `json:"rod_hours"`
	Catches, Dispersion, Left float64
	Base                      multiplier
	Rules                     []struct {
		Rule, Says, Part, Reads string
		Prior, Log              multiplier
		Spells                  int
		Shift                   float64 `json:"shift_sd"`
	}
}

func evidenceOf(t *testing.T, c *testkit.Client, target string) (e evidenceOut) {
	t.Helper()
	require.Equal(t, http.StatusOK, c.Do("GET", "/evidence?target="+target, nil, &e))
	return e
}

// What the log says of what is said: by the spells of the target, blanks included, the most moved first; each rule
// between narrower bounds than the book's, or as wide. One more good spell moves the usual catch up.
func TestWhatTheLogSays(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.ALog)
	e := evidenceOf(t, c, "red-drum")
	require.Positive(t, e.Spells)
	require.NotEmpty(t, e.Rules)
	shift := math.Inf(1)
	for _, r := range e.Rules {
		assert.LessOrEqual(t, math.Abs(r.Shift), shift)
		shift = math.Abs(r.Shift)
		assert.LessOrEqual(t, r.Log.High/r.Log.Low, r.Prior.High/r.Prior.Low*1.0001, r.Rule)
		assert.Positive(t, r.Spells)
		assert.Contains(t, r.Reads, "Said ×")
		assert.NotEmpty(t, r.Says)
	}
	assert.GreaterOrEqual(t, e.Dispersion, 1.0)

	spell := object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum", "started_at": "2026-11-19T12:00:00Z",
		"ended_at": "2026-11-19T14:00:00Z", "mark": "Gut"}
	id := uuid.NewString()
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+id, spell, nil))
	for range 12 {
		require.Equal(t, http.StatusOK, c.Do("PUT", "/catches/"+uuid.NewString(), object{"spell_id": id, "target": "red-drum",
			"caught_at": "2026-11-19T13:00:00Z"}, nil))
	}
	more := evidenceOf(t, c, "red-drum")
	assert.Equal(t, e.Spells+1, more.Spells)
	assert.InDelta(t, e.RodHours+2, more.RodHours, 1e-6)
	assert.InDelta(t, e.Catches+12, more.Catches, 1e-6)
	assert.Greater(t, more.Base.Median, e.Base.Median)

	var p problem
	require.Equal(t, 422, c.Do("GET", "/evidence?target=unicorn", nil, &p))
	assert.Equal(t, "query.target", p.Errors[0].Location)
}

// With nothing logged of a fish its usual catch is the book's, and nobody else's log has a say.
func TestALogIsOnesOwn(t *testing.T) {
	c := kit.As(t, kit.Newcomer(t, "wren", testkit.NoLog))
	e := evidenceOf(t, c, "red-drum")
	assert.Zero(t, e.Spells)
	assert.Empty(t, e.Rules)
	assert.InDelta(t, 1, e.Dispersion, 0)
	assert.Positive(t, e.Base.Median)
}
