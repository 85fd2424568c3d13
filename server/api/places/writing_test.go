package places_test

import (
	"fmt"
	"net/http"
	"testing"
	"time"

	"greypebble/testkit"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestASpotIsWrittenChangedAndRemoved(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.ALog)
	id, mark := uuid.NewString(), uuid.NewString()
	spot := object{"water_id": c.ID("Sedge Sound"), "name": "New hole", "place": "estuary", "lat": 31.18, "lon": -45.12, "manner": "boat",
		"draught_m": 0.4, "in": object{"name": "the bar", "elevation_m": -0.5}, "out": object{"name": "the bar", "elevation_m": -0.5},
		"hazards":      "a wreck",
		"section":      []object{{"distance_m": 0, "elevation_m": 1}, {"distance_m": 40, "elevation_m": -3}},
		"section_from": object{"lat": 31.18, "lon": -45.12}, "section_bearing_deg": 90,
		"shape": object{"area": true, "points": []object{{"lat": 31.18, "lon": -45.12}, {"lat": 31.181, "lon": -45.12},
			{"lat": 31.181, "lon": -45.119}}},
		"marks": []object{{"id": mark, "name": "Hole", "kind": "hole", "distance_m": 40, "elevation_m": -3, "snag": true,
			"note": "an old anchor"}}}
	var rev struct{ Revision int }
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spots/"+id, spot, &rev))
	assert.Equal(t, 1, rev.Revision)
	var got struct {
		Written  object
		Revision int
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id, nil, &got))
	again := got.Written
	again["name"], again["revision"] = "Old hole", got.Revision
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spots/"+id, again, &rev))
	assert.Equal(t, 2, rev.Revision)
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spots/"+id, again, &rev), "the same again")
	assert.Equal(t, 2, rev.Revision)
	var p problem
	again["name"] = "Older hole"
	assert.Equal(t, http.StatusConflict, c.Do("PUT", "/spots/"+id, again, &p), "written over a newer one")
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id, nil, &got))
	assert.Equal(t, "Old hole", got.Written["name"])
	assert.Equal(t, "an old anchor", got.Written["marks"].([]any)[0].(object)["note"])
	moss := kit.Fresh(t, "moss")
	assert.Equal(t, http.StatusNotFound, moss.Do("DELETE", "/spots/"+id, nil, nil))
	theirs := object{}
	for k, v := range spot {
		theirs[k] = v
	}
	theirs["water_id"] = moss.ID("Fallow Creek")
	assert.Equal(t, http.StatusNotFound, moss.Do("PUT", "/spots/"+id, theirs, nil), "someone else's id")
	for field, bad := range map[string]any{"place": "moon", "manner": "jet", "draught_m": 9,
		"section": []object{{"distance_m": 0, "elevation_m": 1}}, "shape": object{"area": true,
			"points": []object{{"lat": 31, "lon": -45}, {"lat": 31.1, "lon": -45}}}} {
		wrong := object{}
		for k, v := range spot {
			wrong[k] = v
		}
		wrong[field] = bad
		assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/spots/"+uuid.NewString(), wrong, &p), field)
	}
	assert.Equal(t, http.StatusConflict, c.Do("DELETE", "/spots/"+c.ID("Kettle Bar"), nil, &p))
	assert.Contains(t, p.Detail, "the log holds")
	assert.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spots/"+id, nil, nil))
	assert.Equal(t, http.StatusNotFound, c.Do("GET", "/spots/"+id, nil, nil))
}

func TestAMarkIsPutOnTheMap(t *testing.T) {
	c := kit.Fresh(t, "wren")
	id := c.ID("Crooked Creek")
	var before, after struct {
		Revision int
		Written  struct{ Marks []object }
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id, nil, &before))
	at := object{"lat": 31.1956, "lon": -45.1195}
	mark := "/spots/" + id + "/marks/" + uuid.NewString()
	require.Equal(t, http.StatusOK, c.Do("PUT", mark, object{"name": "Sunk limb", "kind": "timber", "at": at, "snag": true,
		"note": "two limbs"}, nil))
	require.Equal(t, http.StatusOK, c.Do("PUT", mark, object{"name": "Sunk limbs", "kind": "timber", "at": at, "snag": true}, nil),
		"written again, not twice")
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id, nil, &after))
	require.Len(t, after.Written.Marks, len(before.Written.Marks)+1)
	var found object
	for _, m := range after.Written.Marks {
		if m["name"] == "Sunk limbs" {
			found = m
		}
	}
	assert.NotZero(t, found["elevation_m"], "read from the depths")
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", mark,
		object{"name": "x", "kind": "timber", "at": object{"lat": 32, "lon": -45}}, &p))
	assert.Contains(t, p.Detail+fmt.Sprint(p.Errors), "a spot of its own")
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", mark, object{"name": "x", "kind": "wreckage", "at": at}, &p))
	assert.Equal(t, http.StatusNotFound, kit.Fresh(t, "moss").Do("PUT", mark, object{"name": "x", "kind": "timber", "at": at}, nil))
}

func TestAWaterIsRemovedWithWhatItHoldsOnlyWhenTold(t *testing.T) {
	c, other := kit.Fresh(t, "wren"), kit.Fresh(t, "moss")
	water := c.ID("Sedge Sound")
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.NewString(), testkit.ASpell(c.ID("Kettle Bar")), nil))
	assert.Equal(t, http.StatusNotFound, other.Do("DELETE", "/waters/"+water+"?everything=true", nil, nil))
	var p problem
	require.Equal(t, http.StatusConflict, c.Do("DELETE", "/waters/"+water, nil, &p))
	assert.Regexp(t, `^Sedge Sound holds \d+ spots, 1 spell.* and .*\. All of it would go with it\.$`, p.Detail)
	require.Equal(t, http.StatusOK, c.Do("GET", "/waters/"+water, nil, nil), "nothing went")
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/waters/"+water+"?everything=true", nil, nil))
	assert.Equal(t, http.StatusNotFound, c.Do("GET", "/waters/"+water, nil, nil))
	assert.Equal(t, http.StatusNotFound, c.Do("GET", "/spots/"+c.ID("Kettle Bar"), nil, nil))
	for _, path := range []string{"/spots", "/chart", "/spells", "/stations"} {
		assert.Equal(t, http.StatusOK, c.Do("GET", path, nil, new(string)), path)
	}
}

// A season closes a spot in the list, in its state, in its ribbon and in its windows.
func TestASeasonClosesEverywhere(t *testing.T) {
	c := kit.Fresh(t, "wren")
	bar := c.ID("Kettle Bar")
	var at struct{ Lat, Lon float64 }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+bar, nil, &at))
	ring := []object{{"lat": at.Lat - 0.01, "lon": at.Lon - 0.01}, {"lat": at.Lat - 0.01, "lon": at.Lon + 0.01},
		{"lat": at.Lat + 0.02, "lon": at.Lon}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/zones/"+uuid.NewString()+"?water_id="+c.ID("Sedge Sound"), object{"name": "Nursery",
		"kind": "seasonal", "says": "No fishing from 1 November", "source": "invented", "checked_on": "2026-10-01", "from_md": 1101,
		"to_md": 228, "ring": ring}, nil))
	for n := range 12 {
		when := testkit.Now.Add(time.Duration(n) * time.Hour).Format(time.RFC3339)
		var chart struct {
			Spots []struct {
				ID       string
				Open     bool
				ClosedBy string `json:"closed_by"`
			}
		}
		require.Equal(t, http.StatusOK, c.Do("GET", "/chart?time="+when, nil, &chart))
		for _, s := range chart.Spots {
			if s.ID == bar {
				assert.False(t, s.Open, when)
				assert.Equal(t, "Nursery", s.ClosedBy)
			}
		}
		var state struct {
			Open    bool
			Windows []object
		}
		require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+bar+"/state?time="+when, nil, &state))
		assert.False(t, state.Open)
		assert.Empty(t, state.Windows)
	}
	var visits struct {
		Visits []object
		Why    string
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+bar+"/visits", nil, &visits))
	assert.Empty(t, visits.Visits)
	assert.Equal(t, "Nursery closes it all that time.", visits.Why)
}
