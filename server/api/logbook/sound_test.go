package logbook_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/testkit"
)

func TestCatchesLieInTheirSpellAndSpellsInThePast(t *testing.T) {
	c := kit.Fresh(t, "wren")
	bar := c.ID("Kettle Bar")
	id := uuid.NewString()
	spell := testkit.ASpell(bar)
	var p problem
	fish := func(o object) object {
		o["id"] = uuid.NewString()
		return o
	}
	spell["catches"] = []object{fish(object{"caught_at": "2026-11-19T14:30:00Z"})}
	require.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/spells/"+id, spell, &p))
	assert.Equal(t, "a catch lies within its spell, from 2026-11-19T12:00:00Z to 2026-11-19T13:00:00Z", p.Detail)
	assert.Equal(t, "body.catches[0].caught_at", p.Errors[0].Location)
	spell["catches"] = []object{fish(object{"caught_at": "2026-11-19T12:30:00Z"})}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+id, spell, nil))
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/catches/"+uuid.NewString(),
		object{"spell_id": id, "caught_at": "2026-11-18T12:30:00Z"}, &p))
	delete(spell, "catches")
	spell["ended_at"], spell["revision"] = "2026-11-19T12:10:00Z", 1
	require.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/spells/"+id, spell, &p), "its catch would lie outside")
	assert.Contains(t, p.Detail, "would lie outside it")

	ahead := testkit.ASpell(bar)
	ahead["started_at"], ahead["ended_at"] = testkit.Now.Add(-time.Hour), testkit.Now.Add(time.Hour)
	require.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/spells/"+uuid.NewString(), ahead, &p))
	assert.Contains(t, p.Detail, "which is to come")
	for _, year := range []string{"1500", "9999"} {
		odd := testkit.ASpell(bar)
		odd["started_at"], odd["ended_at"] = year+"-11-19T12:00:00Z", year+"-11-19T13:00:00Z"
		require.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/spells/"+uuid.NewString(), odd, &p))
		assert.Contains(t, p.Detail, "between the years 1900 and 2199")
	}
}

func TestAFishLongerThanAnyIsAskedAbout(t *testing.T) {
	c := kit.Fresh(t, "wren")
	spell := testkit.ASpell(c.ID("Kettle Bar"))
	spell["target"] = "florida-pompano"
	fish := object{"id": uuid.NewString(), "length_m": 3.95}
	spell["catches"] = []object{fish}
	id := uuid.NewString()
	var p problem
	require.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/spells/"+id, spell, &p))
	assert.Contains(t, p.Detail, "Florida pompano? The longest known measured about 64 cm.")
	assert.Equal(t, "body.catches[0].length_m", p.Errors[0].Location)
	fish["sure"] = true
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+id, spell, nil))
}

// A logger at the post read the water; the spell is changed by somebody who sends back what
// they were shown. It stays the logger's, at its time.
func TestALoggersReadingIsNotRewritten(t *testing.T) {
	c := kit.Fresh(t, "wren")
	at := time.Date(2026, 11, 19, 12, 20, 0, 0, time.UTC)
	name := c.ID("Sedge Sound")
	angler, err := kit.App.Store.AnglerByName(t.Context(), c.Name)
	require.NoError(t, err)
	require.NoError(t, kit.App.Store.AddReadings(t.Context(), angler.ID, uuid.MustParse(name), []conditions.Reading{
		{Kind: conditions.WaterTemp, Value: 13.4371, Time: at, Origin: conditions.Observed, Source: "logger at the post", Site: "post",
			Spread: 0.2}}))
	id := uuid.NewString()
	spell := testkit.ASpell(c.ID("Kettle Bar"))
	spell["readings"] = []object{{"kind": "clarity_secchi_m", "word": "stained"}}
	type reading struct {
		Kind, Source, Place, Origin string
		Value, Spread               float64
		Time                        time.Time
	}
	var out struct {
		Revision  int
		Readings  []reading
		TideStage string `json:"tide_stage"`
	}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+id, spell, &out))
	find := func(kind string) reading {
		for _, r := range out.Readings {
			if r.Kind == kind {
				return r
			}
		}
		return reading{}
	}
	before, clarity := find("water_temp_c"), find("clarity_secchi_m")
	assert.Equal(t, "logger at the post", before.Source)
	assert.Equal(t, "post", before.Place, "where it was read")
	assert.InDelta(t, 0.2, before.Spread, 1e-9)
	spell["note"], spell["revision"] = "changed", 1
	spell["readings"] = []object{{"kind": "water_temp_c", "value": 13.4}, {"kind": "clarity_secchi_m", "value": 1}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+id, spell, &out))
	assert.Equal(t, 2, out.Revision)
	assert.Equal(t, before, find("water_temp_c"))
	assert.Equal(t, clarity, find("clarity_secchi_m"))

	// What the logger stored is thinned out later; the spell keeps what it had.
	_, err = kit.App.Store.DB().Exec("DELETE FROM reading WHERE water_id = ? AND NOT own", name)
	require.NoError(t, err)
	spell["note"], spell["revision"] = "changed again", 2
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+id, spell, &out))
	assert.Equal(t, before, find("water_temp_c"))
}

func TestSlackInTheLogIsSlackAtTheSpot(t *testing.T) {
	c := kit.Fresh(t, "wren")
	bar := c.ID("Kettle Bar")
	var ribbon struct {
		Turns []struct{ Time time.Time }
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+bar+"/ribbon?from=2026-11-18T00:00:00Z&hours=30", nil, &ribbon))
	turn := ribbon.Turns[1].Time
	var state struct{ Stage struct{ Says string } }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+bar+"/state?time="+turn.Format(time.RFC3339), nil, &state))
	require.Contains(t, state.Stage.Says, "slack")
	spell := testkit.ASpell(bar)
	spell["started_at"], spell["ended_at"] = turn.Add(-20*time.Minute), turn.Add(20*time.Minute)
	var out struct {
		TideStage string `json:"tide_stage"`
	}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.NewString(), spell, &out))
	assert.Equal(t, state.Stage.Says, out.TideStage)
}

func TestACatchIsTakenBack(t *testing.T) {
	c, other := kit.Fresh(t, "wren"), kit.Fresh(t, "moss")
	id, fish := uuid.NewString(), uuid.NewString()
	spell := testkit.ASpell(c.ID("Kettle Bar"))
	spell["catches"] = []object{{"id": fish}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+id, spell, nil))
	assert.Equal(t, http.StatusNotFound, other.Do("DELETE", "/catches/"+fish, nil, nil))
	assert.Equal(t, http.StatusNoContent, c.Do("DELETE", "/catches/"+fish, nil, nil))
	assert.Equal(t, http.StatusNotFound, c.Do("DELETE", "/catches/"+fish, nil, nil))
	var log struct{ Spells []struct{ Blank bool } }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells", nil, &log))
	assert.True(t, log.Spells[0].Blank, "the spell stays, a blank")
}

// A target of one's own is logged and filtered by like any other.
func TestATargetOfOnesOwnIsLogged(t *testing.T) {
	c := kit.Fresh(t, "wren")
	require.Equal(t, http.StatusOK, c.Do("PUT", "/playbook/targets/pebble-fish", testkit.ATarget("Pebble fish"), nil))
	spell := testkit.ASpell(c.ID("Kettle Bar"))
	spell["target"] = "pebble-fish"
	spell["catches"] = []object{{"id": uuid.NewString(), "length_m": 0.3}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.NewString(), spell, nil))
	type named struct {
		TargetName string `json:"target_name"`
	}
	var log struct{ Spells []named }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells?target=pebble-fish", nil, &log))
	require.Len(t, log.Spells, 1)
	assert.Equal(t, "Pebble fish", log.Spells[0].TargetName)
	var fish struct{ Catches []named }
	require.Equal(t, http.StatusOK, c.Do("GET", "/catches?target=pebble-fish", nil, &fish))
	require.Len(t, fish.Catches, 1)
	assert.Equal(t, "Pebble fish", fish.Catches[0].TargetName)
}
