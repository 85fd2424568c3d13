package trials_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

type turn struct {
	N   int
	Arm string
	Rod string
}

type told struct {
	Revision int
	Turns    []turn
	Blocks   []struct {
		RodHours float64 `json:"rod_hours"`
	}
	Next     *turn
	Unalike  []string
	Changed  []string
	LastsMin float64 `json:"lasts_min"`
	Shows    []struct {
		TwoToOne float64 `json:"two_to_one"`
	}
}

type shown struct {
	Arms []struct {
		Name     string
		Landed   int
		Foul     int
		RodHours float64 `json:"rod_hours"`
		Rate     estimate
	}
	Pairs []struct {
		First, Second, Says string
		Shown               bool
		Ratio, Believed     estimate
	}
	Warnings      []string
	Done, Planned int
}

// A trial designed, fished turn by turn and read: the next turn is the first not fished, a look before the end is counted, a
// question that changes after the first block is said, a dropped block is fished again, and 12 to 2 over four rounds shows.
func TestATrialIsDesignedFishedAndRead(t *testing.T) {
	c := kit.Fresh(t, "wren")
	id := "/trials/" + uuid.NewString()
	design := testkit.ATrial(c.ID("Kettle Bar"))
	design["rounds"] = 4
	var k told
	require.Equal(t, http.StatusOK, c.Do("PUT", id, design, &k))
	require.Len(t, k.Turns, 8)
	assert.Empty(t, k.Unalike, "the lures differ and nothing else")
	assert.InDelta(t, 120, k.LastsMin, 1e-9)
	assert.Greater(t, k.Shows[3].TwoToOne, k.Shows[0].TwoToOne)
	again := told{}
	require.Equal(t, http.StatusOK, c.Do("PUT", id, design, &again), "sent again")
	assert.Equal(t, k.Turns, again.Turns)

	at := testkit.Now.Add(-5 * time.Hour)
	fish := func(n int, landed int, more object) string {
		block := uuid.NewString()
		body := object{"turn": n, "started_at": at.Add(time.Duration(n*20) * time.Minute),
			"ended_at": at.Add(time.Duration(n*20+15) * time.Minute),
			"landed":   landed}
		for key, v := range more {
			body[key] = v
		}
		require.Equal(t, http.StatusOK, c.Do("PUT", id+"/blocks/"+block, body, nil))
		return block
	}
	brings := map[string]int{"dark": 3, "white": 0}
	fish(0, brings[k.Turns[0].Arm], object{"dropped": "a boat ran through"})
	require.Equal(t, http.StatusOK, c.Do("GET", id, nil, &k))
	assert.Equal(t, 0, k.Next.N, "a dropped one is fished again")
	for n := range 7 {
		fish(n, brings[k.Turns[n].Arm], nil)
	}
	var r shown
	require.Equal(t, http.StatusOK, c.Do("GET", id+"/result", nil, &r))
	assert.Equal(t, 7, r.Done)
	fish(7, brings[k.Turns[7].Arm], nil)
	k = told{}
	require.Equal(t, http.StatusOK, c.Do("GET", id, nil, &k))
	assert.Nil(t, k.Next)
	design["question"], design["revision"] = "Does white beat dark?", k.Revision
	require.Equal(t, http.StatusOK, c.Do("PUT", id, design, &k))
	require.Len(t, k.Changed, 1)
	r = shown{}
	require.Equal(t, http.StatusOK, c.Do("GET", id+"/result", nil, &r))
	require.Len(t, r.Pairs, 1)
	assert.True(t, r.Pairs[0].Shown, "12 to nothing")
	assert.Contains(t, r.Pairs[0].Says, "Only dark brought any")
	assert.Greater(t, *r.Pairs[0].Believed.Low+*r.Pairs[0].Believed.High, 0.0)
	require.Len(t, r.Warnings, 3, "%v", r.Warnings)
	assert.Contains(t, r.Warnings[0], "the question was changed")
	assert.Contains(t, r.Warnings[1], "a boat ran through")
	assert.Contains(t, r.Warnings[2], "before the end, 1")
	for _, a := range r.Arms {
		assert.InDelta(t, 1, a.RodHours, 1e-9, a.Name)
	}

	// An arm joins: it is in the rounds to come only.
	design["arms"] = append(design["arms"].([]object), object{"name": "glow", "approach": "lure"})
	design["rounds"], design["revision"] = 6, k.Revision
	require.Equal(t, http.StatusOK, c.Do("PUT", id, design, &k))
	assert.Len(t, k.Turns, 8+6)
	require.NotNil(t, k.Next)
	var list struct{ Trials []struct{ Question string } }
	require.Equal(t, http.StatusOK, c.Do("GET", "/trials", nil, &list))
	require.Len(t, list.Trials, 1)
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", id, nil, nil))
	assert.Equal(t, http.StatusNotFound, c.Do("GET", id, nil, nil))
}

func TestWhatATrialCannotBe(t *testing.T) {
	c := kit.Fresh(t, "wren")
	id := "/trials/" + uuid.NewString()
	for at, change := range map[string]func(object){
		"body.arms[1].name": func(o object) { o["arms"].([]object)[1]["name"] = "dark" },
		"body.target":       func(o object) { o["target"] = "unicorn" },
		"body.question":     func(o object) { o["question"] = "  " },
	} {
		o := testkit.ATrial(c.ID("Kettle Bar"))
		change(o)
		var p problem
		require.Equal(t, 422, c.Do("PUT", id, o, &p), at)
		assert.Equal(t, at, p.Errors[0].Location)
	}
	require.Equal(t, http.StatusOK, c.Do("PUT", id, testkit.ATrial(c.ID("Kettle Bar")), nil))
	for at, change := range map[string]object{"body.turn": {"turn": 9}, "body.arm": {"turn": nil, "arm": "glow"},
		"body.ended_at": {"ended_at": "2026-11-19T11:00:00Z"}, "body": {"foul": 7}} {
		b := testkit.ABlock()
		for k, v := range change {
			b[k] = v
			if v == nil {
				delete(b, k)
			}
		}
		var p problem
		require.Equal(t, 422, c.Do("PUT", id+"/blocks/"+uuid.NewString(), b, &p), at)
		assert.Equal(t, at, p.Errors[0].Location)
	}
}
