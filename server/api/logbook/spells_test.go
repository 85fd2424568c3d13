package logbook_test

import (
	"net/http"
	"sync"
	"testing"

	"greypebble/testkit"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

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
	wren := kit.Fresh(t, "wren")
	bar := wren.Spots()["Kettle Bar"]
	id, fish := uuid.NewString(), uuid.NewString()
	spell := testkit.ASpell(bar.ID)
	spell["readings"] = []object{{"kind": "water_temp_c", "value": 59, "unit": "°F"}}
	spell["catches"] = []object{{"id": fish, "length_m": 0.62}}
	var out, again spellOut
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, spell, &out))
	assert.Equal(t, 1, out.Revision)
	assert.False(t, out.Blank)
	assert.NotEmpty(t, out.TideStage)
	assert.Equal(t, "bright", out.Light)
	require.Len(t, out.Readings, 9)
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
	stale := testkit.ASpell(bar.ID)
	stale["note"] = "from the desk"
	stale["revision"] = 1
	var p problem
	assert.Equal(t, http.StatusConflict, wren.Do("PUT", "/spells/"+id, stale, &p))
	assert.Contains(t, p.Detail, "note")
	assert.Contains(t, p.Detail, "readings")
	require.Equal(t, "body.revision", p.Errors[0].Location)
	stale["revision"] = p.Errors[0].Value
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, stale, &again), "told as what it goes over the other")
	assert.Equal(t, 3, again.Revision)

	one := object{"id": uuid.NewString(), "length_m": 0.4}
	stale["catches"] = []object{{"id": uuid.NewString()}, one}
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, stale, nil))
	one["length_m"] = 0.5
	require.Equal(t, http.StatusConflict, wren.Do("PUT", "/spells/"+id, stale, &p))
	assert.Equal(t, "body.catches[1].revision", p.Errors[0].Location)
	one["revision"] = p.Errors[0].Value
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, stale, nil))

	assert.Equal(t, http.StatusNoContent, wren.Do("DELETE", "/spells/"+id, nil, nil))
	assert.Equal(t, http.StatusNotFound, wren.Do("PUT", "/spells/"+id, stale, nil), "an edit of a spell deleted meanwhile")
}

func TestManyWritersOfOneSpellMakeOne(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	bar := wren.Spots()["Kettle Bar"]
	id := uuid.NewString()
	spell := testkit.ASpell(bar.ID)
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
	wren := kit.Fresh(t, "wren")
	bar := wren.Spots()["Kettle Bar"]
	id := uuid.NewString()
	spell := testkit.ASpell(bar.ID)
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
	wren := kit.Fresh(t, "wren")
	bar := wren.Spots()["Kettle Bar"]
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
		s := testkit.ASpell(bar.ID)
		change(s)
		var p problem
		assert.Equal(t, 422, wren.Do("PUT", "/spells/"+uuid.NewString(), s, &p), field)
		if assert.NotEmpty(t, p.Errors, field) {
			assert.Equal(t, field, p.Errors[0].Location)
		}
	}
}

func TestCatchesAndFilters(t *testing.T) {
	wren := kit.Fresh(t, "wren", testkit.ALog)
	bar := wren.Spots()["Kettle Bar"]
	id, fish := uuid.NewString(), uuid.NewString()
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, testkit.ASpell(bar.ID), nil))
	var c object
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/catches/"+fish, object{"spell_id": id, "length_m": 0.4, "kept": true,
		"target": "spotted_seatrout"}, &c))
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
