package device_test

import (
	"encoding/json"
	"fmt"
	"net/http"
	"net/url"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
	"greypebble/wasm/call"
)

type part struct {
	Name string `json:"name"`
	Mark string `json:"mark"`
	Data string `json:"data"`
}

func packOf(t *testing.T, c *testkit.Client, have ...string) (parts []part) {
	var out struct{ Parts []part }
	query := url.Values{"have": have}
	require.Equal(t, http.StatusOK, c.Do("GET", "/offline?"+query.Encode(), nil, &out))
	return out.Parts
}

// device with what the server gave it.
func device(t *testing.T, c *testkit.Client) *call.Core {
	core := new(call.Core)
	in, err := json.Marshal(object{"parts": packOf(t, c)})
	require.NoError(t, err)
	out, err := core.Call("pack", in)
	require.NoError(t, err)
	assert.JSONEq(t, fmt.Sprintf(`{"spots":%d}`, len(c.Spots())), string(out))
	return core
}

// same says that the device answers as the server does.
func same(t *testing.T, c *testkit.Client, core *call.Core, q testkit.Question) (status int) {
	var body, theirs any
	if q.Body != nil {
		body = q.Body
	}
	status = c.Do(q.Method, q.Path, body, &theirs)
	in, err := json.Marshal(object{"path": q.Path, "body": body, "now": testkit.Now})
	require.NoError(t, err)
	raw, err := core.Call("ask", in)
	require.NoError(t, err, q.Path)
	var ours struct {
		Status int
		Body   any
	}
	require.NoError(t, json.Unmarshal(raw, &ours))
	require.Equal(t, status, ours.Status, "%s %v: %v, %v", q.Path, q.Body, theirs, ours.Body)
	if status == http.StatusOK {
		differs := testkit.Differs("", theirs, ours.Body)
		require.Empty(t, differs, "%s %v", q.Path, q.Body)
		return status
	}
	problem := func(v any) any { p := v.(map[string]any); return []any{p["detail"], p["errors"]} }
	require.Equal(t, problem(theirs), problem(ours.Body), "%s %v", q.Path, q.Body)
	return status
}

// The device answers as the server does, to the last digit shown: tides, conditions, advice, by one's own book,
// kit and limits; and refuses the same in the same words.
func TestADeviceAnswersAsTheServerDoes(t *testing.T) {
	c := kit.Fresh(t, "wren")
	// Something of one's own, that the answers must show.
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/playbook/schools/Q4", object{"position": "ignore"}, nil))
	require.Equal(t, http.StatusOK, c.Do("PUT", "/waters/"+c.ID("Sedge Sound")+"/surge",
		object{"by_m": 0.3, "seen_at": testkit.Now.Add(-time.Hour), "fade_h": 30}, nil))
	core := device(t, c)
	statuses := map[int]int{}
	for _, q := range c.Questions(16, 200) {
		statuses[same(t, c, core, q)]++
	}
	assert.Greater(t, statuses[http.StatusOK], 130, statuses)
	bar := c.Spots()["Kettle Bar"].ID
	for _, q := range []testkit.Question{
		{Method: "GET", Path: "/spots/" + c.ID("no such spot") + "/state"},
		{Method: "POST", Path: "/advise", Body: object{"spot_id": bar, "target": "unicorn"}},
		{Method: "POST", Path: "/advise", Body: object{"spot_id": bar}},
		{Method: "POST", Path: "/advise", Body: object{"spot_id": bar, "target": "red-drum", "signs": []string{"comets"}}},
		{Method: "POST", Path: "/advise", Body: object{"spot_id": bar, "target": "red-drum",
			"readings": []object{{"kind": "water_temp_c", "value": 900}}}},
		{Method: "GET", Path: "/spots/" + bar + "/ribbon?from=2150-01-01T00:00:00Z"},
	} {
		assert.Greater(t, same(t, c, core, q), 399, q.Path)
	}
}

// A device is sent only what it has not got, and what a stranger has never.
func TestOnlyWhatADeviceHasNotGotIsSent(t *testing.T) {
	c := kit.Fresh(t, "wren")
	marks := func(parts []part) (out []string) {
		for _, p := range parts {
			out = append(out, p.Mark)
		}
		return out
	}
	first := packOf(t, c)
	var names []string
	for _, p := range first {
		names = append(names, p.Name)
		assert.NotEmpty(t, p.Data)
		assert.NotContains(t, p.Data, "moss", "nothing of somebody else's")
	}
	assert.Equal(t, []string{"mine", "tides", "spots"}, names[:3])
	require.Greater(t, len(names), 4, "two waters at least")
	again := packOf(t, c, marks(first)...)
	assert.Equal(t, marks(first), marks(again), "nothing was written meanwhile")
	for _, p := range again {
		assert.Empty(t, p.Data, p.Name)
	}
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/playbook/schools/Q4", object{"position": "ignore"}, nil))
	require.Less(t, c.Do("POST", "/waters/"+c.ID("Sedge Sound")+"/readings",
		object{"time": testkit.Now, "readings": []object{{"kind": "water_temp_c", "value": 17}}}, nil), 300)
	changed := 0
	for _, p := range packOf(t, c, marks(first)...) {
		if p.Data != "" {
			changed++
			assert.Contains(t, []string{"mine", "water " + c.ID("Sedge Sound")}, p.Name)
		}
	}
	assert.Equal(t, 2, changed)
}
