package api_test

import (
	"bytes"
	"encoding/json"
	"fmt"
	"maps"
	"math/rand/v2"
	"net/http"
	"net/url"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"go.yaml.in/yaml/v3"

	"greypebble/server/api"
	"greypebble/testkit"
)

func escaped(s string) string { return url.QueryEscape(s) }

// raw JSON that Go would not write.
type raw string

func (r raw) MarshalJSON() ([]byte, error) { return []byte(r), nil }

// numbers, texts and kinds that are odd.
var (
	long    = strings.Repeat("long ", 2000)
	numbers = []any{raw("1e308"), raw("-1e308"), raw("1e400"), -1, 0, 1e9, "12", "", nil, true, []any{}, object{}}
	texts   = []any{"", " ", long, "a\u0000b", "\u202egnol", "=1+1", "1500-01-01T00:00:00Z", "9999-12-31T23:59:59Z", "0001-01-01T00:00:00Z",
		"NaN", 5, nil, false, []any{}, object{}}
	others  = []any{nil, "x", 7, []any{}, object{}, []any{nil}}
	queries = []string{"", " ", "NaN", "Inf", "-1e308", "1e400", "-1", "0", "99999999999999999999", "x", "1500-01-01T00:00:00Z",
		"9999-12-31T23:59:59Z", "0001-01-01T00:00:00Z", "a\x00b", "\u202egnol", "é", long[:3000], "00000000-0000-0000-0000-000000000000"}
)

// mutant of a request.
type mutant struct {
	op, where string // the field that was changed, as a problem names it
	example
	sent any
}

// mutants of an example: each of its fields with each odd value, without it, and with one
// more that nobody knows.
func mutants(op string, e example) (out []mutant) {
	query := func(where string, change func(e *example)) {
		m := example{maps.Clone(e.path), maps.Clone(e.query), e.body}
		if m.query == nil {
			m.query = map[string]string{}
		}
		change(&m)
		out = append(out, mutant{op: op, where: where, example: m})
	}
	for k := range e.query {
		for _, v := range queries {
			query("query."+k, func(e *example) { e.query[k] = v })
		}
	}
	for k := range e.path {
		for _, v := range queries[1:] {
			query("path."+k, func(e *example) { e.path[k] = v })
		}
	}
	query("query.nobody_knows", func(e *example) { e.query["nobody_knows"] = "1" })
	switch body := e.body.(type) {
	case nil:
	case string:
		for _, text := range []string{"", "\x00", "[", "{}", long, strings.Repeat("[", 100_000), body[:len(body)/2],
			strings.ReplaceAll(body, "1", "1e999"), strings.ReplaceAll(body, "3", "NaN"), "\ufeff" + body,
			strings.ReplaceAll(body, ",", ";"), strings.ReplaceAll(body, "2026", "9999"), body + body} {
			m := e
			m.body = text
			out = append(out, mutant{op: op, where: "body", example: m})
		}
	default:
		plain := tree{}
		text, _ := json.Marshal(body)
		_ = json.Unmarshal(text, &plain)
		walk("body", plain, func(where string, odd any) {
			m := e
			copied, _ := json.Marshal(plain)
			m.body = string(copied)
			out = append(out, mutant{op: op, where: where, example: m, sent: odd})
		})
		for _, text := range []string{"", "null", "[]", "7", "{", `{"a":`, "\x00", strings.Repeat(`{"a":`, 20_000)} {
			m := e
			m.body = text
			out = append(out, mutant{op: op, where: "body", example: m})
		}
	}
	return out
}

// walk changes each field in turn, says so, and puts it back.
func walk(where string, m tree, say func(where string, odd any)) {
	for _, k := range slices.Sorted(maps.Keys(m)) {
		was, at := m[k], where+"."+k
		odd := others
		switch v := was.(type) {
		case float64:
			odd = numbers
		case string:
			odd = texts
		case tree:
			walk(at, v, say)
		case []any:
			for i := range v[:min(1, len(v))] {
				if inner, ok := v[i].(tree); ok {
					walk(fmt.Sprintf("%s[%d]", at, i), inner, say)
				}
			}
		}
		for _, o := range odd {
			m[k] = o
			say(at, o)
		}
		delete(m, k)
		say(at, "(left out)")
		m[k] = was
	}
	m["nobody_knows"] = 1
	say(where+".nobody_knows", 1)
	delete(m, "nobody_knows")
}

// related says that one location lies in the other.
func related(a, b string) bool { return strings.HasPrefix(a, b) || strings.HasPrefix(b, a) }

// beside are fields that are judged together: changing one makes the other wrong.
var beside = map[string]string{
	"body.ended_at": "body.started_at body.catches", "body.started_at": "body.ended_at body.catches", "body.caught_at": "body.spell_id",
	"query.from": "query.to", "query.to": "query.from", "body.to": "body.from", "body.from": "body.to",
	"body.name": "body", "path.id": "path body", "path.mark_id": "path body", "path.noted_id": "path body",
}

func named(where, location string) bool {
	if related(where, location) {
		return true
	}
	for _, b := range strings.Fields(beside[where]) {
		if related(b, location) {
			return true
		}
	}
	return false
}

// guarded operations make one wait after wrong passwords, or take only what is not there yet.
var guarded = []string{"POST /login", "POST /anglers", "POST /recover", "PUT /account/password", "POST /account/recovery-codes",
	"DELETE /account", "PUT /account/export", "POST /invites"}

// Every field of every request with odd values: the answer is sound or names the field, and
// nothing of it breaks what is read later.
func TestNothingOddThatIsSentBreaksAnything(t *testing.T) {
	c := kit.Fresh(t, "wren")
	spell := testkit.ASpell(c.ID("Kettle Bar"))
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+c.ID("a spell"), spell, nil))
	all := examples(c)
	doc, err := api.OpenAPI()
	require.NoError(t, err)
	var described tree
	require.NoError(t, yaml.Unmarshal(doc, &described))
	for path, item := range described["paths"].(tree) {
		for method, op := range item.(tree) {
			o := op.(tree)
			name := strings.ToUpper(method) + " " + strings.TrimPrefix(path, "/v1")
			if e, known := all[name]; o["parameters"] != nil || o["requestBody"] != nil {
				assert.True(t, known, "%s has no example", name)
				_ = e
			}
		}
	}
	var list []mutant
	for _, op := range slices.Sorted(maps.Keys(all)) {
		e := all[op]
		status, answer := ask(t, c, mutant{op: op, example: e})
		if method, _, _ := strings.Cut(op, " "); method != "DELETE" && !slices.Contains(guarded, op) {
			assert.Less(t, status, 400, "the example of %s: %.400s", op, answer)
		}
		list = append(list, mutants(op, e)...)
	}
	// In another order each time, so that what one wrote is there when the next is read.
	rand.Shuffle(len(list), func(i, j int) { list[i], list[j] = list[j], list[i] })
	list = list[:testkit.Times(len(list))]
	bad, seen := 0, map[int]int{}
	for _, m := range list {
		status, answer := ask(t, c, m)
		seen[status/100]++
		if wrong := m.wrong(status, answer); wrong != "" {
			bad++
			if bad <= 400 {
				sent, _ := json.Marshal(m.sent)
				t.Errorf("%s, %s = %.60s: %d %s %.300s", m.op, m.where, sent, status, wrong, answer)
			}
		}
		if strings.HasPrefix(m.op, "PUT") && status < 300 {
			m.stays(t, c)
		}
	}
	t.Logf("%d requests, %d answered wrongly, by class of status %v", len(list), bad, seen)
}

// wrong says what is wrong with an answer.
func (m mutant) wrong(status int, answer []byte) string {
	var p struct {
		Detail string
		Errors []struct{ Location, Message string }
	}
	switch {
	case status >= 500:
		return "is an error of ours"
	case status < 300:
		if bytes.HasPrefix(answer, []byte("{")) && !json.Valid(answer) {
			return "is not JSON"
		}
		return ""
	case json.Unmarshal(answer, &p) != nil || p.Detail == "":
		return "is no problem document"
	case (status == 429 || status == 403 || status == 401 || status == 409) && slices.Contains(guarded, m.op):
		return ""
	}
	for _, jargon := range []string{"strconv", "json:", "Go ", "float64", "expected length", "validation failed", "RFC 4122", "regex",
		"unmarshal", "nil", "quantity:", "ground:"} {
		if strings.Contains(p.Detail, jargon) {
			return "speaks to developers"
		}
	}
	if status == 404 || status == 409 || status == 401 || status == 405 {
		return ""
	}
	if len(p.Errors) == 0 {
		return "names no field"
	}
	for _, e := range p.Errors {
		if !named(m.where, e.Location) {
			return "names " + e.Location + ", which was not wrong"
		}
	}
	return ""
}

// stays: what was written does not break what is read.
func (m mutant) stays(t *testing.T, c *testkit.Client) {
	bar := c.ID("Kettle Bar")
	for _, path := range []string{"/spots", "/chart", "/spots/" + bar + "/ribbon", "/spells?most=5"} {
		var answer string
		require.Equal(t, http.StatusOK, c.Do("GET", path, nil, &answer), "after %s, %s = %.100v: %s %.300s", m.op, m.where, m.sent,
			path, answer)
		require.True(t, json.Valid([]byte(answer)), path)
	}
}

func ask(t *testing.T, c *testkit.Client, m mutant) (int, []byte) {
	method, path, _ := strings.Cut(m.op, " ")
	if m.op == "POST /anglers" || m.op == "POST /recover" { // they sign somebody else in
		c = kit.Client(t)
	}
	var answer string
	status := c.Do(method, m.address(path), m.body, &answer)
	return status, []byte(answer)
}
