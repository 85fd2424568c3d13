package book_test

import (
	"net/http"
	"strings"
	"testing"

	"greypebble/testkit"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestTargetsAndRulesOfOnesOwn(t *testing.T) {
	moss, wren := kit.Fresh(t, "moss"), kit.Fresh(t, "wren")
	t.Cleanup(func() {
		moss.Do("DELETE", "/playbook/own-rules/under-the-post", nil, nil)
		moss.Do("DELETE", "/playbook/targets/pebble-fish", nil, nil)
		moss.Do("DELETE", "/playbook/targets/red-drum", nil, nil)
	})
	require.Equal(t, http.StatusOK, moss.Do("PUT", "/playbook/targets/pebble-fish", testkit.ATarget("Pebble fish"), nil))
	rule := object{"says": "Under the post on the ebb", "family": "mark", "effect": "strong plus", "certainty": "usual",
		"targets": []string{"pebble-fish"}, "when": []object{{"of": "stage", "any": []string{"ebb"}},
			{"of": "depth", "above": "0.5 m", "soft": "0.2 m"}}}
	require.Equal(t, http.StatusOK, moss.Do("PUT", "/playbook/own-rules/under-the-post", rule, nil))

	names := func(c interface {
		Do(method, path string, in, out any) int
	}) string {
		var list []struct{ ID, Name string }
		require.Equal(t, http.StatusOK, c.Do("GET", "/targets", nil, &list))
		var all []string
		for _, k := range list {
			all = append(all, k.Name)
		}
		return strings.Join(all, "|")
	}
	assert.Contains(t, names(moss), "Pebble fish")
	assert.NotContains(t, names(wren), "Pebble fish")

	var spot string
	for _, s := range moss.Spots() {
		spot = s.ID
		break
	}
	var a struct {
		Choices []struct {
			Reasons []struct{ Rule string }
		}
		Note string
	}
	require.Equal(t, http.StatusOK, moss.Do("POST", "/advise", object{"spot_id": spot, "target": "pebble-fish"}, &a))
	assert.Equal(t, 422, wren.Do("POST", "/advise", object{"spot_id": wren.Spots()["Kettle Bar"].ID, "target": "pebble-fish"}, nil))

	// Out as a file, gone, and in again to the same state.
	var file, again string
	var taken struct{ Source string }
	require.Equal(t, http.StatusOK, moss.Do("GET", "/interchange/playbook.yaml", nil, &file))
	require.Equal(t, http.StatusOK, moss.Do("DELETE", "/playbook/own-rules/under-the-post", nil, &taken))
	require.Equal(t, http.StatusOK, moss.Do("POST", "/interchange/playbook", taken.Source, nil), "what was taken out can be brought back")
	require.Equal(t, http.StatusOK, moss.Do("GET", "/interchange/playbook.yaml", nil, &again))
	assert.Equal(t, file, again)
	require.Equal(t, http.StatusOK, moss.Do("DELETE", "/playbook/own-rules/under-the-post", nil, nil))
	require.Equal(t, http.StatusOK, moss.Do("DELETE", "/playbook/targets/pebble-fish", nil, nil))
	assert.NotContains(t, names(moss), "Pebble fish")
	var kept struct{ Targets, Rules, Findings []string }
	require.Equal(t, http.StatusOK, moss.Do("POST", "/interchange/playbook", file, &kept))
	assert.Equal(t, []string{"pebble-fish"}, kept.Targets)
	assert.Equal(t, []string{"under-the-post"}, kept.Rules)
	require.Equal(t, http.StatusOK, moss.Do("GET", "/interchange/playbook.yaml", nil, &again))
	assert.Equal(t, file, again)
	assert.Equal(t, 422, moss.Do("POST", "/interchange/playbook", file+"- {id: half}\n", nil), "all or none")

	// A target with a rule of its own cannot go before the rule does.
	var p problem
	assert.Equal(t, http.StatusConflict, moss.Do("DELETE", "/playbook/targets/pebble-fish", nil, &p))
	assert.Contains(t, p.Detail, "still speaks of it")

	// Over one of the playbook's, and back.
	require.Equal(t, http.StatusOK, moss.Do("PUT", "/playbook/targets/red-drum", testkit.ATarget("My drum"), nil))
	assert.Contains(t, names(moss), "My drum")
	assert.NotContains(t, names(moss), "Red drum")
	require.Equal(t, http.StatusOK, moss.Do("DELETE", "/playbook/targets/red-drum", nil, nil))
	assert.Contains(t, names(moss), "Red drum")

	for want, body := range map[string]object{
		`unknown mark "postt"`:  {"of": "mark", "any": []string{"postt"}},
		`"3" has no unit`:       {"of": "depth", "above": "3", "soft": "1 m"},
		`unknown key "weather"`: {"of": "weather", "any": []string{"fine"}},
	} {
		rule["when"] = []object{body}
		assert.Equal(t, 422, moss.Do("PUT", "/playbook/own-rules/another", rule, &p), want)
		assert.Contains(t, p.Detail, want)
	}
	rule["when"] = []object{{"of": "depth", "above": "900 m", "soft": "1 m"}}
	var found struct{ Findings []string }
	require.Equal(t, http.StatusOK, moss.Do("PUT", "/playbook/own-rules/never", rule, &found))
	assert.Contains(t, strings.Join(found.Findings, "|"), "can never apply")
	require.Equal(t, http.StatusOK, moss.Do("DELETE", "/playbook/own-rules/never", nil, nil))
	bad := testkit.ATarget("x")
	bad["gone_below_c"] = 20
	assert.Equal(t, 422, moss.Do("PUT", "/playbook/targets/x", bad, &p))
	assert.Contains(t, p.Detail, "gone_below must be colder")
	assert.Equal(t, 422, moss.Do("PUT", "/playbook/targets/Not-An-Id", testkit.ATarget("x"), &p))
	assert.Contains(t, p.Detail, "small letters")
}
