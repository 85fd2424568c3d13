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

type object = map[string]any

type problem struct {
	Status int
	Detail string
	Errors []struct{ Location, Message string }
}

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
