package logbook_test

import (
	"encoding/json"
	"net/http"
	"regexp"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

type coming struct {
	Spells, Catches, Blanks, Doubles, Reckoned int
	Kept                                       bool
	WantsOrder                                 bool `json:"wants_order"`
	Faults                                     []struct {
		Line   int
		Column string
		Says   string
	}
	UnknownSpots   []struct{ Name string } `json:"unknown_spots"`
	UnknownTargets []struct{ Name string } `json:"unknown_targets"`
	First          []struct {
		SpotName   string `json:"spot_name"`
		TimeZone   string `json:"time_zone"`
		TargetName string `json:"target_name"`
		StartedAt  string `json:"started_at"`
		Fish       int
		Double     bool
	}
}

func ask(c *testkit.Client, body object) (out coming, status int) {
	if body["name"] == nil {
		body["name"] = "f"
	}
	status = c.Do("POST", "/interchange/log", body, &out)
	return out, status
}

func total(t *testing.T, c *testkit.Client) int {
	t.Helper()
	var all struct{ Total int }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells?most=1", nil, &all))
	return all.Total
}

// A table somebody kept: names that are not known are asked about, then it is taken in whole, recognised when it is sent
// again, and taken back.
func TestAFileOfOnesOwnComesInAndGoes(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	before := total(t, c)
	file := "date,start,ended_at,spot,species,length_in,count,offering\n" +
		"11/18/2026,6:40 am,9:10 am,kettle bar,red drum,27.5,,cut mullet\n" +
		"11/18/2026,6:40 am,9:10 am,kettle bar,pinfish,,2,cut mullet\n" +
		"11/19/2026,6:40 am,9:10 am,The pier by the shed,,,0,shrimp\n"
	id := uuid.NewString()
	body := object{"id": id, "name": "fish.csv", "text": file, "target": "red-drum"}
	out, status := ask(c, body)
	require.Equal(t, http.StatusOK, status)
	assert.Equal(t, "The pier by the shed", out.UnknownSpots[0].Name)
	assert.Equal(t, "pinfish", out.UnknownTargets[0].Name)
	assert.False(t, out.Kept)
	assert.Equal(t, before, total(t, c), "what is only looked at changes nothing")
	body["keep"] = true
	var p problem
	require.Equal(t, 422, c.Do("POST", "/interchange/log", body, &p))
	assert.Equal(t, "body.text", p.Errors[0].Location)
	assert.Equal(t, before, total(t, c), "all or none")

	body["spots"] = object{"The pier by the shed": c.ID("Cutwater Pier")}
	body["targets"] = object{"pinfish": "other"}
	out, status = ask(c, body)
	require.Equal(t, http.StatusOK, status)
	assert.True(t, out.Kept)
	assert.Equal(t, []int{2, 3, 1, 0}, []int{out.Spells, out.Catches, out.Blanks, out.Doubles})
	assert.Equal(t, before+2, total(t, c))
	var log struct {
		Spells []struct {
			StartedAt string  `json:"started_at"`
			RodHours  float64 `json:"rod_hours"`
			TideStage string  `json:"tide_stage"`
			Catches   []struct {
				TargetName string   `json:"target_name"`
				Target     string   `json:"target"`
				LengthM    *float64 `json:"length_m"`
			}
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells?text=cut%20mullet&from=2026-11-18T00:00:00Z&to=2026-11-18T23:00:00Z", nil, &log))
	require.Len(t, log.Spells, 1)
	assert.InDelta(t, 2.5, log.Spells[0].RodHours, 1e-9)
	assert.NotEmpty(t, log.Spells[0].TideStage, "the water is worked out")
	kinds := map[string]int{}
	for _, f := range log.Spells[0].Catches {
		kinds[f.TargetName]++
	}
	assert.Equal(t, map[string]int{"Red drum": 1, "pinfish": 2}, kinds)

	// Sent again, under another name, it is known.
	again, status := ask(c, object{"id": uuid.NewString(), "text": file, "target": "red-drum", "spots": body["spots"],
		"targets": body["targets"]})
	require.Equal(t, http.StatusOK, status)
	assert.Equal(t, []int{0, 2}, []int{again.Spells, again.Doubles})
	assert.True(t, again.First[0].Double)
	assert.Equal(t, []string{"Kettle Bar", "Etc/GMT+3", "Red drum"},
		[]string{again.First[0].SpotName, again.First[0].TimeZone, again.First[0].TargetName})
	assert.Equal(t, 422, c.Do("POST", "/interchange/log", object{"id": uuid.NewString(), "name": "f", "text": file, "target": "red-drum",
		"spots": body["spots"], "targets": body["targets"], "keep": true}, nil))

	var list struct {
		Imports []struct {
			ID, Name        string
			Spells, Changed int
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/imports", nil, &list))
	require.Len(t, list.Imports, 1)
	assert.Equal(t, "fish.csv", list.Imports[0].Name)
	assert.Equal(t, 2, list.Imports[0].Spells)
	var gone struct{ Spells int }
	require.Equal(t, http.StatusOK, c.Do("DELETE", "/imports/"+id, nil, &gone))
	assert.Equal(t, 2, gone.Spells)
	assert.Equal(t, before, total(t, c))
	assert.Equal(t, 404, c.Do("DELETE", "/imports/"+id, nil, nil))
}

// A spell written down by hand and a line of a file from memory are one spell; one that was changed since is not taken
// back with its file.
func TestDoublesAndChangesAreSeen(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.NewString(), object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum",
		"started_at": "2026-11-18T07:40:00Z", "ended_at": "2026-11-18T09:00:00Z", "offering": "Shrimp"}, nil))
	file := "time,hours,spot,target,offering\n" +
		"2026-11-18T07:45:00Z,1.5,Kettle Bar,red drum,shrimp\n" + // by hand already
		"2026-11-18T07:45:00Z,1.5,Kettle Bar,red drum,mullet\n" + // with another bait
		"2026-11-19T07:45:00Z,1.5,Kettle Bar,red drum,shrimp\n"
	id := uuid.NewString()
	out, status := ask(c, object{"id": id, "text": file, "keep": true})
	require.Equal(t, http.StatusOK, status, "%+v", out)
	assert.Equal(t, []int{2, 1}, []int{out.Spells, out.Doubles})
	var log struct {
		Spells []struct {
			ID       string
			Revision int
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells?text=mullet", nil, &log))
	require.Len(t, log.Spells, 1)
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+log.Spells[0].ID, object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum",
		"started_at": "2026-11-18T07:45:00Z", "ended_at": "2026-11-18T09:15:00Z", "offering": "mullet", "note": "it rained",
		"revision": 1}, nil))
	var gone struct{ Spells int }
	require.Equal(t, http.StatusOK, c.Do("DELETE", "/imports/"+id, nil, &gone))
	assert.Equal(t, 1, gone.Spells)
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells?text=mullet", nil, &log))
	assert.Len(t, log.Spells, 1, "what was changed since stays")
}

func TestWhatAFileDoesNotSayIsAskedOrSaid(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	for says, body := range map[string]object{
		"how long was fished":   {"text": "time,spot,target\n2026-11-18 07:45,Kettle Bar,red drum\n"},
		"what was sought":       {"text": "time,spot,hours\n2026-11-18 07:45,Kettle Bar,1\n"},
		"which is to come":      {"text": "time,spot,target,hours\n2027-11-18 07:45,Kettle Bar,red drum,1\n"},
		"at most 24 h":          {"text": "time,spot,target,hours\n2026-11-18 07:45,Kettle Bar,red drum,30\n"},
		"ends before it begins": {"text": "time,spot,target,ended_at\n2026-11-18 07:45,Kettle Bar,red drum,2026-11-18 06:00\n"},
		"longest known":         {"text": "time,spot,target,hours,length_m\n2026-11-18 07:45,Kettle Bar,red drum,1,3.2\n"},
		"a length under 4 m": {"text": "time,spot,target,hours,length_m,species\n" +
			"2026-11-18 07:45,Kettle Bar,red drum,1,9,pinfish\n", "targets": object{"pinfish": "other"}},
		"expected a number": {"text": "time,spot,target,hours\n2026-11-18 07:45,Kettle Bar,red drum,long\n"},
		"none of the targets": {"text": "time,spot,target,hours\n2026-11-18 07:45,Kettle Bar,pinfish,1\n",
			"targets": object{"pinfish": "other"}},
		"lies within its spell": {"text": "what,spell_id,time,spot,target,hours\nspell,a,2026-11-18 07:45,Kettle Bar,red drum,1\n" +
			"catch,a,2026-11-18 17:45,Kettle Bar,red drum,\n"},
		"there is no spell \"b\" in": {"text": "what,spell_id,time,spot,target,hours\ncatch,b,2026-11-18 17:45,Kettle Bar,red drum,\n"},
	} {
		body["id"], body["name"] = uuid.NewString(), "f"
		out, status := ask(c, body)
		require.Equal(t, http.StatusOK, status, says)
		require.Len(t, out.Faults, 1, says)
		assert.Contains(t, out.Faults[0].Says, says)
		assert.GreaterOrEqual(t, out.Faults[0].Line, 2)
		body["keep"] = true
		assert.Equal(t, 422, c.Do("POST", "/interchange/log", body, nil), says)
	}
	out, _ := ask(c, object{"id": uuid.NewString(), "text": "time,spot,target\n2026-11-18 07:45,Kettle Bar,red drum\n", "hours": 2})
	assert.Equal(t, []int{1, 1}, []int{out.Spells, out.Reckoned})
	out, _ = ask(c, object{"id": uuid.NewString(), "text": "time,spot,target,hours\n4/5/2026 07:45,Kettle Bar,red drum,1\n"})
	assert.True(t, out.WantsOrder)
	out, _ = ask(c, object{"id": uuid.NewString(), "order": "dmy",
		"text": "time,spot,target,hours\n4/5/2026 07:45,Kettle Bar,red drum,1\n"})
	assert.Contains(t, out.First[0].StartedAt, "2026-05-04")
	// Half of a file only where that is asked for.
	half := object{"id": uuid.NewString(),
		"text": "time,spot,target,hours\n2026-11-18 07:45,Kettle Bar,red drum,1\nx,Kettle Bar,red drum,1\n",
		"keep": true, "partial": true}
	out, status := ask(c, half)
	require.Equal(t, http.StatusOK, status)
	assert.True(t, out.Kept)
	assert.Len(t, out.Faults, 1)
	for text, field := range map[string]string{"": "body.text", "a,b\n1,2\n": "body.text", "{": "body.text",
		`{"format":"other"}`: "body.text"} {
		var p problem
		require.Equal(t, 422, c.Do("POST", "/interchange/log", object{"id": uuid.NewString(), "name": "f", "text": text}, &p), text)
		assert.Equal(t, field, p.Errors[0].Location, text)
	}
}

// The log as a document comes back as it was, and so does its table but for what the water did.
func TestTheWholeLogComesBackAsItWas(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.ALog)
	spell := uuid.NewString()
	var p problem
	c.Do("PUT", "/spells/"+spell, object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum",
		"started_at": "2026-11-19T00:30:00Z", "ended_at": "2026-11-19T01:30:00Z", "offering": "=silver", "signs": []string{"birds"},
		"readings":     []object{{"kind": "water_temp_c", "value": 16.5}},
		"presentation": object{"offering_id": "live-shrimp"},
		"events":       []object{{"id": uuid.NewString(), "time": "2026-11-19T01:00:00Z", "kind": "missed"}},
		"catches": []object{{"id": uuid.NewString(), "target": "other", "species": "pinfish", "length_m": 0.2},
			{"id": uuid.NewString(), "length_m": 0.6, "hook_place": "lip"}}}, &p)
	require.Empty(t, p.Errors)
	documents := func() (doc string, table string) {
		require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/log.json", nil, &doc))
		require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/log.csv", nil, &table))
		return regexp.MustCompile(`"made_at": "[^"]*"`).ReplaceAllString(doc, `"made_at": ""`), table
	}
	doc, table := documents()
	emptied := func() {
		for {
			var all struct{ Spells []struct{ ID string } }
			require.Equal(t, http.StatusOK, c.Do("GET", "/spells?most=1000", nil, &all))
			if len(all.Spells) == 0 {
				return
			}
			for _, s := range all.Spells {
				require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spells/"+s.ID, nil, nil))
			}
		}
	}
	revisions := regexp.MustCompile(`"revision":\d+`)
	emptied()
	out, status := ask(c, object{"id": uuid.NewString(), "name": "log.json", "text": doc, "keep": true})
	require.Equal(t, http.StatusOK, status)
	require.Empty(t, out.Faults)
	back, tableBack := documents()
	assert.JSONEq(t, revisions.ReplaceAllString(doc, `"revision":1`), back)
	assert.Equal(t, table, tableBack)

	emptied()
	out, status = ask(c, object{"id": uuid.NewString(), "name": "log.csv", "text": table})
	require.Equal(t, http.StatusOK, status)
	require.Empty(t, out.Faults)
	out, status = ask(c, object{"id": uuid.NewString(), "name": "log.csv", "text": table, "keep": true})
	require.Equal(t, http.StatusOK, status)
	require.Empty(t, out.Faults)
	_, tableBack = documents()
	assert.Equal(t, table, tableBack, "what the water did is worked out alike")

	// Somebody else's file: ids that are taken are made anew, and theirs stays as it is.
	other := kit.Fresh(t, "tern", testkit.NoLog)
	var first struct{ Spells []json.RawMessage }
	require.NoError(t, json.Unmarshal([]byte(doc), &first))
	spots := object{"Kettle Bar": other.ID("Kettle Bar"), "Cutwater Pier": other.ID("Kettle Bar")}
	out, status = ask(other, object{"id": uuid.NewString(), "name": "log.csv", "text": table, "keep": true, "partial": true,
		"spots": spots})
	require.Equal(t, http.StatusOK, status)
	assert.Positive(t, out.Spells)
	_, tableBack = documents()
	assert.Equal(t, table, tableBack)
	out, status = ask(other, object{"id": uuid.NewString(), "name": "log.csv", "text": table, "partial": true, "spots": spots})
	require.Equal(t, http.StatusOK, status)
	assert.Zero(t, out.Spells, "and it is known again")
}
