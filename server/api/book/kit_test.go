package book_test

import (
	"net/http"
	"strings"
	"testing"

	"greypebble/testkit"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

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

func clearKit(t *testing.T, c *testkit.Client) {
	var k kitAnswer
	require.Equal(t, http.StatusOK, c.Do("GET", "/kit", nil, &k))
	for _, i := range k.Items {
		require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/kit/"+i.ID, nil, nil))
	}
}

func TestTheKitIsKeptAndIsNobodyElses(t *testing.T) {
	moss, wren := kit.Fresh(t, "moss"), kit.Fresh(t, "wren")
	clearKit(t, moss)
	id := "/kit/" + uuid.Must(uuid.NewV7()).String()
	head := object{"kind": "head", "name": "Quarter ounce", "weight_kg": 0.0071, "in_hand": true}
	var r struct{ Revision int }
	require.Equal(t, http.StatusOK, moss.Do("PUT", id, head, &r))
	assert.Equal(t, 1, r.Revision)
	require.Equal(t, http.StatusOK, moss.Do("PUT", id, head, &r), "the same again")
	assert.Equal(t, 1, r.Revision)
	head["name"] = "1/4 oz"
	assert.Equal(t, http.StatusConflict, moss.Do("PUT", id, head, nil), "written over without having seen it")
	head["revision"] = 1
	require.Equal(t, http.StatusOK, moss.Do("PUT", id, head, &r))
	assert.Equal(t, http.StatusNotFound, wren.Do("PUT", id, head, nil))
	assert.Equal(t, http.StatusNotFound, wren.Do("DELETE", id, nil, nil))
	var k kitAnswer
	require.Equal(t, http.StatusOK, moss.Do("GET", "/kit", nil, &k))
	require.Len(t, k.Items, 1)
	assert.Equal(t, "1/4 oz", k.Items[0].Name)
	assert.Greater(t, len(k.Templates), 40)

	for want, body := range map[string]object{
		"needs its weight":      {"kind": "head", "name": "x", "in_hand": true},
		`no offering "herring"`: {"kind": "bait", "name": "x", "offering": "herring", "in_hand": true},
		"is no bait":            {"kind": "bait", "name": "x", "offering": "minnow-plug", "in_hand": true},
		`unknown finish "plaid"`: {"kind": "lure", "name": "x", "offering": "minnow-plug", "finish": "plaid",
			"in_hand": true},
		"The kind must be one of: rod":             {"kind": "anchor", "name": "x", "in_hand": true},
		"The breaking load must be 5000 N or less": {"kind": "line", "name": "x", "material": "braid", "break_n": 99999, "in_hand": true},
	} {
		var p problem
		assert.Equal(t, 422, moss.Do("PUT", "/kit/"+uuid.Must(uuid.NewV7()).String(), body, &p), want)
		text := p.Detail
		for _, e := range p.Errors {
			text += e.Message
		}
		assert.Contains(t, text, want)
	}

	// Out as a table and in again: the same once more.
	var file string
	require.Equal(t, http.StatusOK, moss.Do("GET", "/interchange/kit.csv", nil, &file))
	assert.True(t, strings.HasPrefix(file, "kind,name,offering,length_cm,"), "in one's own units")
	var read struct {
		Items []object
		Kept  bool
	}
	require.Equal(t, http.StatusOK, moss.Do("POST", "/interchange/kit?preview=true", file, &read))
	assert.False(t, read.Kept)
	require.Equal(t, http.StatusOK, moss.Do("POST", "/interchange/kit", file, &read))
	assert.True(t, read.Kept)
	require.Equal(t, http.StatusOK, moss.Do("GET", "/kit", nil, &k))
	assert.Len(t, k.Items, 2)
	var p problem
	assert.Equal(t, 422, moss.Do("POST", "/interchange/kit", file+"head,no weight\n", &p))
	assert.Contains(t, p.Detail, "line 3")
}
