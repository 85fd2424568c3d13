package advice_test

import (
	"net/http"
	"strings"
	"testing"

	"greypebble/testkit"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func clearKit(t *testing.T, c *testkit.Client) {
	var k kitAnswer
	require.Equal(t, http.StatusOK, c.Do("GET", "/kit", nil, &k))
	for _, i := range k.Items {
		require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/kit/"+i.ID, nil, nil))
	}
}

type kitAnswer struct {
	Items []struct {
		ID       string
		Name     string
		Revision int
		Kind     string
		WeightKg float64 `json:"weight_kg"`
	}
	Templates []object
}

// Advice picks from the kit first, names what is missing and the nearest owned, and
// says what not owned would be better.
func TestAdviceComesFromTheKit(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	clearKit(t, wren)
	bar := wren.Spots()["Kettle Bar"]
	body := func(more object) object {
		b := object{"spot_id": bar.ID, "target": "red-drum", "time": "2026-11-20T15:00:00Z"}
		for k, v := range more {
			b[k] = v
		}
		return b
	}
	var p problem
	assert.Equal(t, 422, wren.Do("POST", "/advise", body(object{"kit_only": true}), &p))
	assert.Contains(t, p.Detail, "no lure or bait in hand")
	own := func(b object) {
		b["in_hand"] = true
		require.Equal(t, http.StatusOK, wren.Do("PUT", "/kit/"+uuid.Must(uuid.NewV7()).String(), b, nil))
	}
	own(object{"kind": "lure", "name": "Old grey", "offering": "paddle-tail-white", "finish": "dark", "length_m": 0.1})
	own(object{"kind": "bait", "name": "Cut mullet, frozen", "offering": "cut-mullet"})
	own(object{"kind": "hook", "name": "2/0 circles", "size": "2/0", "pattern": "circle"})
	own(object{"kind": "sinker", "name": "4 oz grip", "pattern": "grip", "weight_kg": 0.113})
	var a choices
	require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", body(nil), &a))
	assert.True(t, a.Kit)
	require.Len(t, a.Choices, 2)
	for _, c := range a.Choices {
		assert.Contains(t, []string{"Old grey", "Cut mullet, frozen"}, c.Offering)
		assert.Equal(t, c.Offering, c.Uses[0])
		if c.Offering == "Cut mullet, frozen" {
			assert.Contains(t, c.Uses, "2/0 circles")
			assert.Contains(t, strings.Join(c.Lacks, "; "), "egg sinker (nearest you have: 4 oz grip, 113 g)")
			assert.Contains(t, strings.Join(c.Lacks, "; "), "fluorocarbon")
		}
	}
	require.NotNil(t, a.Beyond)
	assert.NotEqual(t, "Old grey", a.Beyond.Offering)
	require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", body(object{"kit_only": true}), &a))
	assert.Len(t, a.Choices, 2)
}

// Two things of one name are two things: each can be chosen and compared.
func TestTwoThingsOfOneNameAreTwo(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	clearKit(t, wren)
	for _, finish := range []string{"dark", "white"} {
		require.Equal(t, http.StatusOK, wren.Do("PUT", "/kit/"+uuid.Must(uuid.NewV7()).String(), object{"kind": "lure", "name": "Old one",
			"offering": "paddle-tail-" + finish, "length_m": 0.1, "in_hand": true}, nil))
	}
	ask := object{"spot_id": wren.ID("Kettle Bar"), "target": "red-drum", "time": "2026-11-20T15:00:00Z"}
	var a struct {
		Choices []struct {
			Offering string
			Edge     float64
			Card     struct {
				KitID string `json:"kit_id"`
			}
		}
	}
	require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", ask, &a))
	require.Len(t, a.Choices, 2)
	one, other := a.Choices[0], a.Choices[1]
	assert.Equal(t, one.Offering, other.Offering)
	assert.NotEqual(t, one.Card.KitID, other.Card.KitID)
	pick := func(id string) object {
		return object{"spot_id": ask["spot_id"], "target": "red-drum", "time": ask["time"], "offering": "Old one", "kit_id": id}
	}
	var c struct{ A, B struct{ Edge float64 } }
	require.Equal(t, http.StatusOK, wren.Do("POST", "/advise/compare", object{"a": pick(one.Card.KitID), "b": pick(other.Card.KitID)}, &c))
	assert.InDelta(t, one.Edge, c.A.Edge, 1e-9)
	assert.InDelta(t, other.Edge, c.B.Edge, 1e-9)
}
