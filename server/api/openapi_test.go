package api_test

import (
	"fmt"
	"maps"
	"os"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"go.yaml.in/yaml/v3"

	"greypebble/server/api"
)

type tree = map[string]any

// document of an API, with what its schemas hold written out as flat lines: "GET /v1/spots
// 200 body[].name string".
type document struct {
	schemas tree
	lines   map[string]bool
}

func read(t *testing.T, raw []byte) map[string]bool {
	var doc tree
	require.NoError(t, yaml.Unmarshal(raw, &doc))
	d := document{at(doc, "components", "schemas"), map[string]bool{}}
	for path, item := range doc["paths"].(tree) {
		for method, op := range item.(tree) {
			d.operation(strings.ToUpper(method)+" "+path, op.(tree))
		}
	}
	return d.lines
}

func at(m tree, keys ...string) tree {
	for _, k := range keys {
		next, ok := m[k].(tree)
		if !ok {
			return tree{}
		}
		m = next
	}
	return m
}

func (d document) operation(name string, op tree) {
	d.lines[name] = true
	for _, p := range list(op["parameters"]) {
		q := p.(tree)
		d.lines[fmt.Sprintf("%s %s parameter %s %v", name, q["in"], q["name"], at(q, "schema")["type"])] = true
	}
	for kind, c := range at(op, "requestBody", "content") {
		d.schema(name+" sent "+kind, at(c.(tree), "schema"), nil)
	}
	for status, r := range at(op, "responses") {
		for kind, c := range at(r.(tree), "content") {
			d.schema(name+" "+status+" "+kind, at(c.(tree), "schema"), nil)
		}
	}
}

func list(v any) []any {
	l, _ := v.([]any)
	return l
}

func (d document) schema(where string, s tree, within []string) {
	if ref, ok := s["$ref"].(string); ok {
		name := strings.TrimPrefix(ref, "#/components/schemas/")
		if slices.Contains(within, name) {
			return
		}
		d.schema(where, at(d.schemas, name), append(within, name))
		return
	}
	if s["type"] != nil {
		d.lines[fmt.Sprintf("%s: %v", where, s["type"])] = true
	}
	for _, word := range list(s["enum"]) {
		d.lines[fmt.Sprintf("%s = %v", where, word)] = true
	}
	for name, p := range at(s, "properties") {
		d.schema(where+"."+name, p.(tree), within)
	}
	if items := at(s, "items"); len(items) > 0 {
		d.schema(where+"[]", items, within)
	}
	if more, ok := s["additionalProperties"].(tree); ok {
		d.schema(where+"{}", more, within)
	}
}

// The API is stable: it may gain operations, parameters, fields and words, and loses none
// of those it had before the server was given its rooms (testdata/before.yaml).
func TestTheAPILosesNothing(t *testing.T) {
	raw, err := os.ReadFile("testdata/before.yaml")
	require.NoError(t, err)
	before := read(t, raw)
	require.Greater(t, len(before), 1500, "the document was read")
	raw, err = api.OpenAPI()
	require.NoError(t, err)
	now := read(t, raw)
	for _, line := range slices.Sorted(maps.Keys(before)) {
		if strings.HasSuffix(line, "cautions[]: string") && strings.Contains(line, "/v1/advise") {
			continue // they carry their severity now, see docs/decisions
		}
		assert.True(t, now[line], "lost: %s", line)
	}
}
