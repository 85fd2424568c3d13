package logbook_test

import (
	"math"
	"net/http"
	"testing"
	"time"

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

type choiceOut struct {
	Offering, Mark string
	Edge           float64
	Low            float64    `json:"edge_low"`
	High           float64    `json:"edge_high"`
	OfferingID     string     `json:"offering_id"`
	PerRodHour     multiplier `json:"per_rod_hour"`
}

// With nothing logged advice is the book's to the last digit, whatever it is asked to go by. A gut that fished well night
// after night is told from the book's: more is expected there, more surely, and only of whoever fished it.
func TestTheLogEntersAdvice(t *testing.T) {
	ask := func(c *testkit.Client, belief string) (choices []choiceOut) {
		var out struct{ Choices []choiceOut }
		body := object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum", "time": "2026-11-20T12:00:00Z"}
		if belief != "" {
			body["belief"] = belief
		}
		require.Equal(t, http.StatusOK, c.Do("POST", "/advise", body, &out))
		require.NotEmpty(t, out.Choices)
		return out.Choices
	}
	c := kit.Fresh(t, "wren", testkit.NoLog)
	before := ask(c, "book")
	assert.Equal(t, before, ask(c, "log"))
	assert.Equal(t, before, ask(c, ""))

	for day := range 15 {
		at := time.Date(2026, 11, 4+day, 12, 0, 0, 0, time.UTC)
		catches := []object{}
		for range 5 {
			catches = append(catches, object{"id": uuid.NewString(), "target": "red-drum", "caught_at": at.Add(time.Hour)})
		}
		require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.NewString(), object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum",
			"started_at": at, "ended_at": at.Add(2 * time.Hour), "mark": before[0].Mark, "catches": catches}, nil))
	}
	assert.Equal(t, before, ask(c, "book"))
	after := ask(c, "log")
	assert.Greater(t, after[0].PerRodHour.Median, 1.5*before[0].PerRodHour.Median)
	assert.Less(t, after[0].PerRodHour.High/after[0].PerRodHour.Low, before[0].PerRodHour.High/before[0].PerRodHour.Low)
	assert.NotEqual(t, after[0].Edge, before[0].Edge)
	assert.Less(t, after[0].High/after[0].Low, before[0].High/before[0].Low*1.0001)
	other := kit.As(t, kit.Newcomer(t, "wren", testkit.NoLog))
	assert.Equal(t, before[0].Edge, ask(other, "")[0].Edge)
}

// What was on the hook is read from a spell that says it: metal that out-fishes what the book thinks best is thought more
// of than the book thinks.
func TestWhatWasOnTheHookIsRead(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	var book struct{ Choices []choiceOut }
	question := object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum", "time": "2026-11-20T12:00:00Z", "most": 12}
	require.Equal(t, http.StatusOK, c.Do("POST", "/advise", question, &book))
	var advised struct {
		Choices []struct {
			Mark string
			Card struct {
				OfferingID string `json:"offering_id"`
				RigID      string `json:"rig_id"`
				Style      string
			}
		}
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/advise", question, &advised))
	worst := advised.Choices[len(advised.Choices)-1]
	touches := []object{}
	outing := uuid.NewString()
	tell := func(minute int, kind string, more object) {
		touch := object{"id": uuid.NewString(), "n": len(touches) + 1,
			"time": time.Date(2026, 11, 19, 12, minute, 0, 0, time.UTC), "kind": kind}
		for k, v := range more {
			touch[k] = v
		}
		touches = append(touches, touch)
	}
	tell(0, "fish", object{"doing": object{"spot_id": c.ID("Kettle Bar"), "mark": worst.Mark, "target": "red-drum", "rods": 1,
		"offering_id": worst.Card.OfferingID, "rig_id": worst.Card.RigID, "style": worst.Card.Style}})
	for n := range 20 {
		tell(2+2*n, "landed", nil)
	}
	tell(50, "end", nil)
	require.Equal(t, http.StatusOK, c.Do("PUT", "/outings/"+outing, object{"touches": touches}, nil))
	e := evidenceOf(t, c, "red-drum")
	parts := map[string]int{}
	for _, r := range e.Rules {
		parts[r.Part]++
	}
	assert.Positive(t, parts["taken"], "%v", parts)
	assert.Positive(t, parts["there"])
	assert.InDelta(t, 20, e.Catches, 0)
}
