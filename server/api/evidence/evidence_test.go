package evidence_test

import (
	"math"
	"net/http"
	"strings"
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
		assert.NotContains(t, r.Says, "{", "measures are in the angler's units")
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

// Measures within a rule's words are told in the angler's units, of every target.
func TestRulesSpeakTheAnglersUnits(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.ALog)
	for _, target := range []string{"red-drum", "spotted-seatrout", "florida-pompano"} {
		var said string
		require.Equal(t, http.StatusOK, c.Do("GET", "/evidence?target="+target, nil, &said))
		assert.NotContains(t, said, "°C}")
		assert.NotContains(t, said, " m}")
	}
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

// Spots by what an ordinary spell catches there, drawn towards each other where little was fished; the spells behind a
// rule, in which it applied most first.
func TestSpotsAndTheSpellsBehindARule(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.ALog)
	var e struct {
		evidenceOut
		Spots []struct {
			Name     string `json:"spot_name"`
			Spells   int
			RodHours float64 `json:"rod_hours"`
			Catches  float64
			Rate     multiplier
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/evidence?target=red-drum", nil, &e))
	require.NotEmpty(t, e.Spots)
	spells, last := 0, math.Inf(1)
	for _, s := range e.Spots {
		spells += s.Spells
		assert.LessOrEqual(t, s.Rate.Median, last, s.Name)
		last = s.Rate.Median
		assert.Less(t, s.Rate.Low, s.Rate.High)
	}
	assert.Equal(t, e.evidenceOut.Spells, spells)
	var behind struct {
		Spells []struct {
			SpotName string `json:"spot_name"`
			More     float64
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/evidence/rule?target=red-drum&rule="+e.Rules[0].Rule, nil, &behind))
	assert.Len(t, behind.Spells, e.Rules[0].Spells)
	for i := 1; i < len(behind.Spells); i++ {
		assert.GreaterOrEqual(t, behind.Spells[i-1].More, behind.Spells[i].More)
	}
	var p problem
	require.Equal(t, 422, c.Do("GET", "/evidence/rule?target=red-drum&rule=unicorn", nil, &p))
	assert.Equal(t, "query.rule", p.Errors[0].Location)
}

// The catch against one condition: every spell of which it is known is on the rug, effort is told with it, and a gut that
// fished at night alone has its peak there.
func TestTheCatchAgainstOneCondition(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	for day := range 16 {
		hour := []int{9, 22}[day%2]
		at := time.Date(2026, 11, 2+day, hour, 0, 0, 0, time.UTC)
		catches := []object{}
		for range 4 * (day % 2) {
			catches = append(catches, object{"id": uuid.NewString(), "target": "red-drum", "caught_at": at.Add(time.Hour)})
		}
		require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.NewString(), object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum",
			"started_at": at, "ended_at": at.Add(2 * time.Hour), "mark": "Gut", "catches": catches,
			"readings": []object{{"kind": "water_temp_c", "value": 15 + float64(day)/4}}}, nil))
	}
	type point struct{ X, Median, Low, High float64 }
	for by, in := range map[string][2]float64{"hour": {0, 24}, "moon": {0, 29.6}, "from_high": {-6.5, 6.5}, "temperature": {14, 20},
		"level": {-1, 4}, "wind": {0, 30}, "clarity": {0, 10}} {
		var k struct {
			From, To float64
			Unread   int
			Points   []point
			Rug      []struct{ X float64 }
			Most     *point
			Differ   bool
		}
		require.Equal(t, http.StatusOK, c.Do("GET", "/evidence/curve?target=red-drum&by="+by, nil, &k), by)
		assert.Equal(t, 16, k.Unread+len(k.Rug), by)
		for _, r := range k.Rug {
			assert.True(t, r.X >= in[0] && r.X <= in[1], "%s %v", by, r.X)
		}
		if by == "hour" {
			require.Len(t, k.Rug, 16)
			require.NotNil(t, k.Most)
			zone := time.FixedZone("", -3600)
			assert.InDelta(t, float64(time.Date(2026, 11, 2, 23, 0, 0, 0, time.UTC).In(zone).Hour()), k.Most.X, 2.5)
			assert.True(t, k.Differ)
		}
		if by == "temperature" {
			assert.Len(t, k.Rug, 16)
		}
	}
	var p problem
	require.Equal(t, 422, c.Do("GET", "/evidence/curve?target=red-drum&by=luck", nil, &p))
}

// Whether what was predicted came: of too few spells it says so; of enough, in a sentence with the three scores.
func TestWasItRight(t *testing.T) {
	var k struct {
		Spells, Fewest int
		Inside, Log    float64
		Reads          string
		Parts          []struct{ Catches, Inside float64 }
	}
	c := kit.Fresh(t, "wren", testkit.NoLog)
	require.Equal(t, http.StatusOK, c.Do("GET", "/evidence/calibration", nil, &k))
	assert.Zero(t, k.Spells)
	assert.Contains(t, k.Reads, "It takes 10 spells")
	c = kit.Fresh(t, "wren", testkit.ALog)
	require.Equal(t, http.StatusOK, c.Do("GET", "/evidence/calibration", nil, &k))
	assert.GreaterOrEqual(t, k.Spells, 10)
	assert.True(t, k.Inside > 0.4 && k.Inside <= 1, "%v", k.Inside)
	assert.Contains(t, k.Reads, "Of ten counts")
	require.NotEmpty(t, k.Parts)
	var p problem
	require.Equal(t, 422, c.Do("GET", "/evidence/calibration?target=unicorn", nil, &p))
}

// What would tell: spells of the next days, by day and where one can be, each at another spot, with the rules they teach.
func TestWhatWouldTell(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.ALog)
	var k struct {
		Lessons []struct {
			Spot     string `json:"spot_name"`
			Time     time.Time
			Drop     float64
			Expected float64
			Of       []string
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/evidence/lessons?target=red-drum", nil, &k))
	require.Len(t, k.Lessons, 3)
	seen, last := map[string]bool{}, 1.0
	for _, l := range k.Lessons {
		assert.False(t, seen[l.Spot])
		seen[l.Spot] = true
		assert.True(t, l.Drop > 0 && l.Drop <= last, "%v", l.Drop)
		last = l.Drop
		assert.NotEmpty(t, l.Of)
		assert.NotContains(t, strings.Join(l.Of, ""), "{")
		assert.True(t, l.Time.After(testkit.Now) && l.Time.Before(testkit.Now.AddDate(0, 0, 8)))
	}
}
