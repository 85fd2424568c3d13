package api_test

import (
	"encoding/json"
	"fmt"
	"math"
	"net/http"
	"os"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/tide"
	"greypebble/demo"
	"greypebble/testkit"
)

var kit *testkit.Server

func TestMain(m *testing.M) {
	var err error
	if kit, err = testkit.Start(); err != nil {
		fmt.Fprintln(os.Stderr, err)
		os.Exit(1)
	}
	code := m.Run()
	kit.Stop()
	os.Exit(code)
}

type object = map[string]any

type problem struct {
	Status int
	Detail string
	Errors []struct{ Location, Message string }
}

type spot struct{ ID, Name, Place string }

func spotsOf(t *testing.T, c *testkit.Client) map[string]spot {
	var list []spot
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots", nil, &list))
	out := map[string]spot{}
	for _, s := range list {
		out[s.Name] = s
	}
	return out
}

func TestHealth(t *testing.T) {
	var h object
	assert.Equal(t, http.StatusOK, kit.Client(t).Do("GET", "/health", nil, &h))
	assert.Equal(t, object{"status": "ok", "database": "ok"}, h)
}

func TestNothingOfAnAnglersIsSeenWithoutSigningIn(t *testing.T) {
	id := uuid.NewString()
	for _, r := range [][2]string{{"GET", "/spots"}, {"GET", "/me"}, {"GET", "/spells"}, {"GET", "/catches"}, {"GET", "/spots/" + id},
		{"GET", "/spots/" + id + "/state"}, {"GET", "/spots/" + id + "/ribbon"}, {"DELETE", "/spells/" + id}} {
		var p problem
		assert.Equal(t, http.StatusUnauthorized, kit.Client(t).Do(r[0], r[1], nil, &p), r)
		assert.NotEmpty(t, p.Detail)
	}
	var p problem
	assert.Equal(t, http.StatusUnauthorized, kit.Client(t).Do("POST", "/login", object{"name": "wren", "password": "wrong"}, &p))
	assert.Equal(t, "The name or the password is wrong.", p.Detail)
}

// Values of testdata of core/tide: US NOAA constants, levels of an independent
// implementation of Schureman (1958).
func TestPredictThroughTheAPI(t *testing.T) {
	raw, err := os.ReadFile("../../core/tide/testdata/tide_newport.json")
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
	c := kit.Client(t)
	ask := func(from, to time.Time) {
		require.Equal(t, http.StatusOK, c.Do("POST", "/tide/predict", object{"constituents": f.Constituents, "z0_m": 0, "from": from, "to": to, "step_s": 3600}, &out))
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
		"unknown constituent \"X9\"": object{"constituents": []object{m2, {"name": "X9", "amplitude_m": 1, "phase_deg": 0}}, "from": from, "to": to, "step_s": 600},
		"ends":                       object{"constituents": []object{m2}, "from": to, "to": from, "step_s": 600},
		"at most 200000":             object{"constituents": []object{m2}, "from": from, "to": to, "step_s": 0.1},
		"body.step_s":                object{"constituents": []object{m2}, "from": from, "to": to, "step_s": 0},
		"body.from":                  object{"constituents": []object{m2}, "from": "yesterday", "to": to, "step_s": 60},
		"unexpected property":        object{"constituents": []object{m2}, "from": from, "to": to, "step_s": 60, "stp": 1},
		"body.constituents":          object{"constituents": []object{}, "from": from, "to": to, "step_s": 60},
		"":                           `{"constituents": [{"name":"M2","amplitude_m":1e999,"phase_deg":0}]}`,
	} {
		var p problem
		status := kit.Client(t).Do("POST", "/tide/predict", body, &p)
		assert.True(t, status == 422 || status == 400, "%s: %d", want, status)
		text := p.Detail
		for _, e := range p.Errors {
			text += " " + e.Location + " " + e.Message
		}
		assert.Contains(t, text, want)
	}
}

func TestSkyDay(t *testing.T) {
	var d object
	// Plymouth, 2026-06-21, as in testdata/sky.json by astronomy-engine 2.1.19.
	require.Equal(t, http.StatusOK, kit.Client(t).Do("POST", "/sky/day", object{"lat": 50.366, "lon": -4.1427, "date": "2026-06-21", "utc_offset_min": 0}, &d))
	rise, err := time.Parse(time.RFC3339, d["sunrise"].(string))
	require.NoError(t, err)
	raw, err := os.ReadFile("../../core/sky/testdata/sky.json")
	require.NoError(t, err)
	var f struct {
		Days []struct {
			Place, Date string
			Sunrise     []time.Time
		}
	}
	require.NoError(t, json.Unmarshal(raw, &f))
	for _, want := range f.Days {
		if want.Place == "plymouth_uk" && want.Date == "2026-06-21" {
			assert.WithinDuration(t, want.Sunrise[0], rise, 15*time.Second)
		}
	}
	require.Equal(t, http.StatusOK, kit.Client(t).Do("POST", "/sky/day", object{"lat": 69.6, "lon": 19, "date": "2026-12-21"}, &d))
	assert.Nil(t, d["sunrise"])
	assert.Equal(t, true, d["sun_never_rises"])
	assert.Equal(t, 422, kit.Client(t).Do("POST", "/sky/day", object{"lat": 99, "lon": 19, "date": "2026-12-21"}, nil))
	assert.Equal(t, 422, kit.Client(t).Do("POST", "/sky/day", object{"lat": 9, "lon": 19, "date": "2026-02-30"}, nil))
}

func TestSomeoneElsesIdsAreNotFound(t *testing.T) {
	wren, moss := kit.As(t, "wren"), kit.As(t, "moss")
	bar := spotsOf(t, wren)["Kettle Bar"]
	require.NotEmpty(t, bar.ID)
	assert.NotContains(t, spotsOf(t, moss), "Kettle Bar")
	for _, path := range []string{"/spots/" + bar.ID, "/spots/" + bar.ID + "/state", "/spots/" + bar.ID + "/ribbon"} {
		assert.Equal(t, http.StatusOK, wren.Do("GET", path, nil, nil), path)
		assert.Equal(t, http.StatusNotFound, moss.Do("GET", path, nil, nil), path)
	}
	assert.Equal(t, http.StatusNotFound, moss.Do("POST", "/advise", object{"spot_id": bar.ID, "target": "red drum"}, nil))

	spell := newSpell(bar.ID)
	id, fish := uuid.NewString(), uuid.NewString()
	assert.Equal(t, http.StatusNotFound, moss.Do("PUT", "/spells/"+id, spell, nil), "a spell at someone else's spot")
	spell["catches"] = []object{{"id": fish}}
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, spell, nil))
	mine := newSpell(spotsOf(t, moss)["Candle Bar"].ID)
	mine["revision"] = 1
	assert.Equal(t, http.StatusNotFound, moss.Do("PUT", "/spells/"+id, mine, nil), "over someone else's spell")
	assert.Equal(t, http.StatusNotFound, moss.Do("PUT", "/catches/"+fish, object{"spell_id": id}, nil))
	assert.Equal(t, http.StatusNotFound, moss.Do("DELETE", "/spells/"+id, nil, nil))
	var log struct{ Spells []object }
	require.Equal(t, http.StatusOK, moss.Do("GET", "/spells?most=1000&spot_id="+bar.ID, nil, &log))
	assert.Empty(t, log.Spells)
	assert.Equal(t, http.StatusNoContent, wren.Do("DELETE", "/spells/"+id, nil, nil))
}

func newSpell(spot string) object {
	return object{"spot_id": spot, "target": "red-drum", "started_at": "2026-11-19T12:00:00Z", "ended_at": "2026-11-19T13:00:00Z",
		"approach": "lure", "offering": "White paddle tail"}
}

type spellOut struct {
	ID         string
	Revision   int
	Blank      bool
	TideStage  string  `json:"tide_stage"`
	TideLevelM float64 `json:"tide_level_m"`
	Light      string
	Readings   []struct {
		Kind, Origin string
		Value        float64
	}
	Catches []struct {
		ID             string
		Target         string
		LengthM        *float64 `json:"length_m"`
		MassEstimateKg *float64 `json:"mass_estimate_kg"`
	}
}

func TestASpellIsFilledInAndWrittenOnce(t *testing.T) {
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
	id, fish := uuid.NewString(), uuid.NewString()
	spell := newSpell(bar.ID)
	spell["readings"] = []object{{"kind": "water_temp_c", "value": 59, "unit": "°F"}}
	spell["catches"] = []object{{"id": fish, "length_m": 0.62}}
	var out, again spellOut
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, spell, &out))
	assert.Equal(t, 1, out.Revision)
	assert.False(t, out.Blank)
	assert.NotEmpty(t, out.TideStage)
	assert.Equal(t, "bright", out.Light)
	require.Len(t, out.Readings, 8)
	for _, r := range out.Readings {
		if r.Kind == "water_temp_c" {
			assert.InDelta(t, 15, r.Value, 1e-9)
			assert.Equal(t, "observed", r.Origin)
		} else {
			assert.NotEqual(t, "observed", r.Origin)
		}
	}
	require.Len(t, out.Catches, 1)
	// 0.62 m of red drum ≈ 6 lb: common practice.
	assert.InDelta(t, 2.7, *out.Catches[0].MassEstimateKg, 0.4)

	// The level is that of the state at the middle of the spell.
	var state struct {
		LevelM float64 `json:"level_m"`
		Stage  struct{ Says string }
	}
	require.Equal(t, http.StatusOK, wren.Do("GET", "/spots/"+bar.ID+"/state?time=2026-11-19T12:30:00Z", nil, &state))
	assert.InDelta(t, state.LevelM, out.TideLevelM, 1e-9)
	assert.Equal(t, state.Stage.Says, out.TideStage)

	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, spell, &again))
	assert.Equal(t, out, again, "the same again changes nothing")

	spell["note"] = "from the phone"
	spell["revision"] = 1
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, spell, &again))
	assert.Equal(t, 2, again.Revision)
	stale := newSpell(bar.ID)
	stale["note"] = "from the desk"
	stale["revision"] = 1
	var p problem
	assert.Equal(t, http.StatusConflict, wren.Do("PUT", "/spells/"+id, stale, &p))
	assert.Contains(t, p.Detail, "note")
	assert.Contains(t, p.Detail, "readings")

	assert.Equal(t, http.StatusNoContent, wren.Do("DELETE", "/spells/"+id, nil, nil))
	assert.Equal(t, http.StatusNotFound, wren.Do("PUT", "/spells/"+id, stale, nil), "an edit of a spell deleted meanwhile")
}

func TestManyWritersOfOneSpellMakeOne(t *testing.T) {
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
	id := uuid.NewString()
	spell := newSpell(bar.ID)
	spell["catches"] = []object{{"id": uuid.NewString()}}
	var wait sync.WaitGroup
	ok := make(chan int, 8)
	for range 8 {
		wait.Go(func() { ok <- wren.Do("PUT", "/spells/"+id, spell, nil) })
	}
	wait.Wait()
	close(ok)
	for status := range ok {
		assert.Equal(t, http.StatusOK, status)
	}
	var log struct{ Spells []spellOut }
	require.Equal(t, http.StatusOK, wren.Do("GET", "/spells?most=1000", nil, &log))
	n := 0
	for _, s := range log.Spells {
		if s.ID == id {
			n++
			assert.Len(t, s.Catches, 1)
		}
	}
	assert.Equal(t, 1, n)
	wren.Do("DELETE", "/spells/"+id, nil, nil)
}

func TestNothingIsHalfDone(t *testing.T) {
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
	id := uuid.NewString()
	spell := newSpell(bar.ID)
	spell["catches"] = []object{{"id": uuid.NewString()}, {"id": uuid.NewString(), "target": "haddock"}}
	var p problem
	require.Equal(t, 422, wren.Do("PUT", "/spells/"+id, spell, &p))
	assert.Equal(t, "body.catches[1].target", p.Errors[0].Location)
	// A revision that cannot be: the second catch fails inside the transaction.
	spell["catches"] = []object{{"id": uuid.NewString()}, {"id": uuid.NewString(), "revision": 7}}
	require.Equal(t, 404, wren.Do("PUT", "/spells/"+id, spell, nil))
	var log struct{ Spells []spellOut }
	require.Equal(t, http.StatusOK, wren.Do("GET", "/spells?most=1000", nil, &log))
	for _, s := range log.Spells {
		assert.NotEqual(t, id, s.ID)
	}
}

func TestBadSpellsAreNamed(t *testing.T) {
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
	for field, change := range map[string]func(object){
		"body.ended_at":          func(s object) { s["ended_at"] = "2026-11-19T11:00:00Z" },
		"body.target":            func(s object) { s["target"] = "haddock" },
		"body.readings[0].value": func(s object) { s["readings"] = []object{{"kind": "water_temp_c", "value": -400}} },
		"body.readings[0].unit":  func(s object) { s["readings"] = []object{{"kind": "water_temp_c", "value": 4, "unit": "kn"}} },
		"body.readings[0].kind":  func(s object) { s["readings"] = []object{{"kind": "mood", "value": 4}} },
		"body.approach":          func(s object) { s["approach"] = "dynamite" },
		"body.rods":              func(s object) { s["rods"] = 40 },
		"body.catches[0].length_m": func(s object) {
			s["catches"] = []object{{"id": uuid.NewString(), "length_m": 40}}
		},
	} {
		s := newSpell(bar.ID)
		change(s)
		var p problem
		assert.Equal(t, 422, wren.Do("PUT", "/spells/"+uuid.NewString(), s, &p), field)
		if assert.NotEmpty(t, p.Errors, field) {
			assert.Equal(t, field, p.Errors[0].Location)
		}
	}
}

func TestCatchesAndFilters(t *testing.T) {
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
	id, fish := uuid.NewString(), uuid.NewString()
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, newSpell(bar.ID), nil))
	var c object
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/catches/"+fish, object{"spell_id": id, "length_m": 0.4, "kept": true, "target": "spotted_seatrout"}, &c))
	assert.Equal(t, "spotted-seatrout", c["target"])
	stage := c["tide_direction"].(string)
	find := func(query string) bool {
		var out struct{ Catches []object }
		require.Equal(t, http.StatusOK, wren.Do("GET", "/catches?most=1000"+query, nil, &out))
		for _, k := range out.Catches {
			if k["id"] == fish {
				return true
			}
		}
		return false
	}
	other := map[string]string{"flood": "ebb", "ebb": "flood"}[stage]
	assert.True(t, find(""))
	assert.True(t, find("&target=seatrout&spot_id="+bar.ID+"&stage="+stage))
	assert.False(t, find("&stage="+other))
	assert.False(t, find("&target=pompano"))
	assert.False(t, find("&spot_id="+uuid.NewString()))
	assert.False(t, find("&from=2026-11-20T00:00:00Z"))

	var log struct {
		Spells                 []spellOut
		Total, Blanks, Catches int
		RodHours               float64 `json:"rod_hours"`
	}
	require.Equal(t, http.StatusOK, wren.Do("GET", "/spells?outcome=blank&most=1000", nil, &log))
	require.NotEmpty(t, log.Spells, "blanks show")
	for _, s := range log.Spells {
		assert.True(t, s.Blank)
	}
	assert.Equal(t, log.Total, log.Blanks)
	require.Equal(t, http.StatusOK, wren.Do("GET", "/spells?most=1", nil, &log))
	assert.Len(t, log.Spells, 1)
	assert.Greater(t, log.Total, 20, "the summary is of all that match")
	assert.Positive(t, log.RodHours)
	wren.Do("DELETE", "/spells/"+id, nil, nil)
}

func TestAdviseOverTheAPI(t *testing.T) {
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
	type answer struct {
		Choices []struct {
			Sentence, Approach, Mark, Retrieve string
			Edge                               float64
			EdgeLow                            float64 `json:"edge_low"`
			EdgeHigh                           float64 `json:"edge_high"`
			DepthM                             float64 `json:"depth_m"`
			Reasons                            []struct {
				Rule, Says string
				Factor     float64
			}
			Cautions []string
		}
		Conditions []struct{ Kind, Origin string }
	}
	ask := func(secchi float64) answer {
		var a answer
		require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", object{"spot_id": bar.ID, "target": "seatrout", "time": "2026-11-20T15:00:00Z",
			"readings": []object{{"kind": "clarity_secchi_m", "value": secchi, "unit": "m"}}}, &a))
		return a
	}
	clear, murky := ask(3), ask(0.25)
	require.Len(t, clear.Choices, 3)
	assert.NotEqual(t, clear.Choices[0].Sentence, murky.Choices[0].Sentence)
	for _, c := range clear.Choices {
		product := 1.0
		for _, r := range c.Reasons {
			product *= r.Factor
		}
		assert.InDelta(t, 1, product/c.Edge, 1e-9)
		assert.Less(t, c.EdgeLow, c.EdgeHigh)
		assert.NotEmpty(t, c.Cautions)
		assert.False(t, math.IsNaN(c.DepthM))
	}
	for _, c := range clear.Conditions {
		if c.Kind == "clarity_secchi_m" {
			assert.Equal(t, "observed", c.Origin)
		}
	}
	var p problem
	assert.Equal(t, 422, wren.Do("POST", "/advise", object{"spot_id": bar.ID, "target": "haddock"}, &p))
	assert.Contains(t, p.Detail, "known are")
}

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

func TestOtherSitesAreRefusedAndHeadersAreStrict(t *testing.T) {
	req, err := http.NewRequest("POST", kit.URL+"/api/v1/login", strings.NewReader(`{"name":"wren","password":"grey-pebble"}`))
	require.NoError(t, err)
	req.Header.Set("Content-Type", "application/json")
	req.Header.Set("Origin", "https://elsewhere.example")
	res, err := http.DefaultClient.Do(req)
	require.NoError(t, err)
	defer res.Body.Close()
	assert.Equal(t, http.StatusForbidden, res.StatusCode)
	assert.Equal(t, "application/problem+json", res.Header.Get("Content-Type"))
	assert.Contains(t, res.Header.Get("Content-Security-Policy"), "default-src 'self'")
}

// Values of the published formulae: Poole & Atkins (1929), Komar & Gaughan
// (1973), McCowan (1894).
func TestLightAndBreaking(t *testing.T) {
	c := kit.Client(t)
	var l struct {
		Attenuation float64 `json:"attenuation_per_m"`
		Fraction    float64
		Lux         float64
		Class       string
		DarkBelowM  float64 `json:"dark_below_m"`
	}
	require.Equal(t, 200, c.Do("POST", "/water/light", object{"secchi_m": 2, "depth_m": 18, "sun_altitude_deg": 60, "cloud_fraction": 0}, &l))
	assert.InDelta(t, 0.85, l.Attenuation, 1e-9)
	assert.InDelta(t, math.Exp(-15.3), l.Fraction, 1e-12)
	assert.Equal(t, "dark", l.Class)
	assert.Less(t, l.DarkBelowM, 18.0)
	var b struct {
		BreakerHeightM float64 `json:"breaker_height_m"`
		Bars           []struct {
			Breaks bool
			Stops  float64 `json:"stops_breaking_level_m"`
		}
	}
	require.Equal(t, 200, c.Do("POST", "/water/breaking", object{"swell_height_m": 1, "swell_period_s": 10, "level_m": 1,
		"bars": []object{{"elevation_m": 0}, {"elevation_m": -3}, {"elevation_m": 1.2}}}, &b))
	assert.InDelta(t, 1.547, b.BreakerHeightM, 0.001)
	assert.Equal(t, []bool{true, false, false}, []bool{b.Bars[0].Breaks, b.Bars[1].Breaks, b.Bars[2].Breaks})
	assert.Equal(t, 422, c.Do("POST", "/water/light", object{"secchi_m": 0, "depth_m": 1, "sun_altitude_deg": 60}, nil))
	assert.Equal(t, 422, c.Do("POST", "/water/breaking", object{"swell_height_m": 99, "swell_period_s": 10, "level_m": 1, "bars": []object{}}, nil))
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

// A fortnight and a half of hourly levels from the constants of Newport (US
// NOAA) comes back as the constants that can be told apart in it.
func TestAnalyseOverTheAPI(t *testing.T) {
	h, err := tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: 0.5, PhaseDeg: 3}, {Name: "O1", AmplitudeM: 0.05, PhaseDeg: 200}}, 1.1)
	require.NoError(t, err)
	start := time.Date(2026, 3, 1, 0, 0, 0, 0, time.UTC)
	record := func(hours int) string {
		var b strings.Builder
		b.WriteString("time,height_m\n")
		for i := range hours {
			at := start.Add(time.Duration(i) * time.Hour)
			fmt.Fprintf(&b, "%s,%.4f\n", at.Format(time.RFC3339), h.Level(at))
		}
		return b.String()
	}
	var out struct {
		Constituents []struct {
			Name       string
			AmplitudeM float64 `json:"amplitude_m"`
			PhaseDeg   float64 `json:"phase_deg"`
		}
		Z0M          float64 `json:"z0_m"`
		ResidualRMSM float64 `json:"residual_rms_m"`
		Excluded     []struct{ Name, Reason string }
	}
	c := kit.Client(t)
	require.Equal(t, 200, c.Do("POST", "/tide/analyse", record(60*24), &out))
	assert.InDelta(t, 1.1, out.Z0M, 0.001)
	assert.Less(t, out.ResidualRMSM, 0.001)
	assert.NotEmpty(t, out.Excluded)
	for _, e := range out.Constituents {
		switch e.Name {
		case "M2":
			assert.InDelta(t, 0.5, e.AmplitudeM, 0.005)
			assert.InDelta(t, 3, e.PhaseDeg, 1)
		case "O1":
			assert.InDelta(t, 0.05, e.AmplitudeM, 0.0005)
		default:
			assert.Less(t, e.AmplitudeM, 0.002, e.Name)
		}
	}
	for want, body := range map[string]string{
		"at least 15 are needed": record(14 * 24),
		"line 2, column time":    "time,height_m\n01/02/2026,1\n",
		"expected columns":       "when,how\n1,2\n",
	} {
		var p problem
		assert.Equal(t, 422, c.Do("POST", "/tide/analyse", body, &p), want)
		assert.Contains(t, p.Detail, want)
	}
	assert.Equal(t, 422, c.Do("POST", "/tide/analyse?time_zone=Moon/Tranquility", record(16*24), nil))
}

func TestStations(t *testing.T) {
	wren, moss := kit.As(t, "wren"), kit.As(t, "moss")
	var list []struct {
		ID, Name     string
		Constituents []object
		SpringRangeM float64 `json:"mean_spring_range_m"`
		Waters       []struct{ ID, Name string }
	}
	require.Equal(t, 200, wren.Do("GET", "/stations", nil, &list))
	require.Len(t, list, 1)
	assert.InDelta(t, 1.48, list[0].SpringRangeM, 1e-9)
	require.Len(t, list[0].Waters, 2)
	old, water := list[0].ID, list[0].Waters[0].ID

	// Out as a file and in again, the same.
	for _, format := range []string{"json", "csv"} {
		var text string
		require.Equal(t, 200, wren.Do("GET", "/stations/"+old+"/file?format="+format, nil, &text))
		var back struct {
			Z0M          float64 `json:"z0_m"`
			Constituents []object
		}
		require.Equal(t, 200, kit.Client(t).Do("POST", "/stations/read", text, &back), format)
		assert.Equal(t, 0.95, back.Z0M)
		assert.ElementsMatch(t, list[0].Constituents, back.Constituents)
		assert.Equal(t, 404, moss.Do("GET", "/stations/"+old+"/file?format="+format, nil, nil))
	}
	assert.Equal(t, 422, kit.Client(t).Do("POST", "/stations/read", "name,amplitude\nM2,1\n", nil))

	id := uuid.NewString()
	station := object{"name": "My gauge", "source": "analysed", "z0_m": 1.2, "constituents": []object{{"name": "M2", "amplitude_m": 0.9, "phase_deg": 12}}}
	require.Equal(t, 200, wren.Do("PUT", "/stations/"+id, station, nil))
	require.Equal(t, 200, wren.Do("PUT", "/stations/"+id, station, nil), "again is the same")
	assert.Equal(t, 404, moss.Do("PUT", "/stations/"+id, station, nil))
	assert.Equal(t, 404, moss.Do("PUT", "/waters/"+water+"/station", object{"station_id": id}, nil))
	assert.Equal(t, 404, wren.Do("PUT", "/waters/"+demo.WaterID("Fallow Creek").String()+"/station", object{"station_id": id}, nil))
	var p problem
	bad := object{"name": "x", "source": "y", "z0_m": 1, "constituents": []object{{"name": "M2", "amplitude_m": -1, "phase_deg": 12}}}
	assert.Equal(t, 422, wren.Do("PUT", "/stations/"+uuid.NewString(), bad, &p))
	assert.Contains(t, p.Detail, "amplitude")

	require.Equal(t, 204, wren.Do("PUT", "/waters/"+water+"/station", object{"station_id": id}, nil))
	require.Equal(t, 200, wren.Do("GET", "/stations", nil, &list))
	require.Len(t, list, 2)
	for _, s := range list {
		assert.Len(t, s.Waters, 1)
	}
	require.Equal(t, 204, wren.Do("PUT", "/waters/"+water+"/station", object{"station_id": old}, nil))
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
