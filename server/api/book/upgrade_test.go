package book_test

import (
	"context"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/server/store"
)

// What was kept for an earlier book and speaks of what this one does not know is listed and
// takes nothing else away; it can be taken out, and what is written meanwhile is kept.
func TestWhatTheBookNoLongerKnowsIsSetAside(t *testing.T) {
	c := kit.Fresh(t, "moss")
	a, err := kit.App.Store.AnglerByName(context.Background(), c.Name)
	require.NoError(t, err)
	source := "rules:\n- {id: old, says: x, idea: mine, origin: my own, family: flow, effect: clear plus, certainty: usual, " +
		"targets: [a-fish-of-yesterday], when: {place: pier}}\n"
	require.NoError(t, kit.App.Store.PutCustom(context.Background(), a.ID, store.CustomRule, "old", []byte(source)))
	require.NoError(t, kit.App.Store.PutSchool(context.Background(), a.ID, "Q6", "sideways"))

	var book struct {
		Rules    []struct{ ID string }
		SetAside []struct{ Kind, ID, Why string } `json:"set_aside"`
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/playbook", nil, &book))
	require.Len(t, book.SetAside, 2)
	assert.Equal(t, "rule old", book.SetAside[0].Kind+" "+book.SetAside[0].ID)
	assert.Contains(t, book.SetAside[0].Why, "a-fish-of-yesterday")
	assert.Equal(t, "school Q6", book.SetAside[1].Kind+" "+book.SetAside[1].ID)
	assert.Greater(t, len(book.Rules), 300)
	assert.Equal(t, http.StatusOK, c.Do("GET", "/targets", nil, nil))
	assert.Equal(t, http.StatusOK, c.Do("POST", "/advise", object{"spot_id": c.ID("Candle Bar"), "target": "red-drum"}, nil))

	// Another rule is written and taken out beside it.
	rule := object{"says": "Under the old post", "family": "place", "effect": "clear plus", "certainty": "usual",
		"targets": []string{"red-drum"}, "when": []object{{"of": "place", "any": []string{"pier"}}}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/playbook/own-rules/new", rule, nil))
	require.Equal(t, http.StatusOK, c.Do("DELETE", "/playbook/own-rules/new", nil, nil))
	require.Equal(t, http.StatusOK, c.Do("DELETE", "/playbook/own-rules/old", nil, nil))
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/playbook/schools/Q6", object{"position": ""}, nil))
	require.Equal(t, http.StatusOK, c.Do("GET", "/playbook", nil, &book))
	assert.Empty(t, book.SetAside)
}
