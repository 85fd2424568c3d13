package book_test

import (
	"net/http"
	"testing"

	"greypebble/testkit"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

type rulesOf struct {
	Rules []struct {
		ID, Effect, Certainty, Family string
		Off, Changed                  bool
		Factor                        float64
		BuiltEffect                   string `json:"built_effect"`
	}
	Offerings, Rigs, Targets []object
	Effects                  []string
}

func (r rulesOf) rule(t *testing.T, id string) int {
	for i := range r.Rules {
		if r.Rules[i].ID == id {
			return i
		}
	}
	t.Fatal("no such rule", id)
	return 0
}

type reasons struct {
	Choices []struct {
		Offering string
		Edge     float64
		Reasons  []struct {
			Rule   string
			Factor float64
		}
	}
}

func (r reasons) speaksOf(rule string) bool {
	for _, c := range r.Choices {
		for _, k := range c.Reasons {
			if k.Rule == rule {
				return true
			}
		}
	}
	return false
}

// An angler's changes lie over the playbook: advice follows them, others do not
// see them, and taking them back gives the old advice.
func TestAnglersChangeTheirPlaybook(t *testing.T) {
	wren, moss := kit.Fresh(t, "wren"), kit.Fresh(t, "moss")
	ask := func(c *testkit.Client, spot string) (r reasons) {
		require.Equal(t, http.StatusOK, c.Do("POST", "/advise", object{"spot_id": c.ID(spot), "target": "red-drum",
			"time": "2026-11-20T14:00:00Z"}, &r))
		require.NotEmpty(t, r.Choices)
		return r
	}
	get := func(c *testkit.Client) (r rulesOf) {
		require.Equal(t, http.StatusOK, c.Do("GET", "/playbook", nil, &r))
		return r
	}
	plain := ask(wren, "Kettle Bar")
	rule := plain.Choices[0].Reasons[0].Rule
	book := get(wren)
	assert.NotEmpty(t, book.Offerings)
	assert.NotEmpty(t, book.Rigs)
	assert.NotEmpty(t, book.Targets)
	assert.Contains(t, book.Effects, "hopeless")
	i := book.rule(t, rule)
	assert.False(t, book.Rules[i].Changed)

	path := "/playbook/rules/" + rule
	require.Equal(t, http.StatusNoContent, wren.Do("PUT", path, object{"off": true}, nil))
	assert.False(t, ask(wren, "Kettle Bar").speaksOf(rule), "switched off it has no effect")
	assert.True(t, get(wren).Rules[i].Off)
	assert.False(t, get(moss).Rules[i].Off, "another angler's playbook is their own")

	require.Equal(t, http.StatusNoContent, wren.Do("PUT", path, object{"effect": "hopeless"}, nil))
	now := get(wren).Rules[i]
	assert.Equal(t, "hopeless", now.Effect)
	assert.InDelta(t, 0.15, now.Factor, 1e-9)
	assert.True(t, now.Changed)
	assert.Less(t, ask(wren, "Kettle Bar").Choices[0].Edge, plain.Choices[0].Edge)

	// Said as the playbook has it, it is no change.
	require.Equal(t, http.StatusNoContent, wren.Do("PUT", path, object{"effect": now.BuiltEffect}, nil))
	assert.False(t, get(wren).Rules[i].Changed)
	assert.Equal(t, plain, ask(wren, "Kettle Bar"))

	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, wren.Do("PUT", path, object{"effect": "miracle"}, &p))
	assert.Contains(t, p.Detail, "miracle")
	assert.Equal(t, http.StatusNotFound, wren.Do("PUT", "/playbook/rules/nonsense", object{"off": true}, &p))
}
