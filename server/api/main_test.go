package api_test

import (
	"net/http"
	"os"
	"testing"

	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

var kit *testkit.Server

func TestMain(m *testing.M) { os.Exit(testkit.Run(m, &kit)) }

type (
	object  = testkit.Object
	problem = testkit.Problem
)

type spot struct{ ID, Name, Place string }

func spotsOf(t *testing.T, c *testkit.Client) map[string]spot {
	var list []spot
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots", nil, &list))
	out := map[string]spot{}
	for _, s := range list {
		out[s.Name] = s
	}
	return out
}

func newSpell(spot string) object {
	return object{"spot_id": spot, "target": "red-drum", "started_at": "2026-11-19T12:00:00Z", "ended_at": "2026-11-19T13:00:00Z",
		"approach": "lure", "offering": "White paddle tail"}
}
