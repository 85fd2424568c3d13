package people_test

import (
	"bytes"
	"compress/gzip"
	"encoding/json"
	"io"
	"net/http"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

const password = "grey-pebble"

func TestSomeoneNewComesIn(t *testing.T) {
	c := kit.Client(t)
	var w struct {
		Registration string
		Least        int `json:"least_password"`
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/welcome", nil, &w))
	assert.Equal(t, "open", w.Registration)
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/anglers", object{"name": "curlew", "password": "short"}, &p))
	assert.Contains(t, p.Detail, "at least 10 characters; this one has 5")
	var me struct {
		Name     string
		Settings struct {
			Chosen bool
			Units  map[string]string
		}
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/anglers", object{"name": " curlew ", "password": "four words in a row"}, &me))
	assert.Equal(t, "curlew", me.Name)
	assert.False(t, me.Settings.Chosen)
	assert.Equal(t, "m", me.Settings.Units["depth"])
	var spots []object
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots", nil, &spots))
	assert.Empty(t, spots)
	assert.Equal(t, http.StatusConflict, kit.Client(t).Do("POST", "/anglers", object{"name": "CURLEW", "password": "four words in a row"},
		&p))
	assert.Contains(t, p.Detail, "Somebody else goes by that name")
}

// Units are a person's, and hold for every sentence said to them, on every device.
func TestSettingsHoldForWhatIsSaid(t *testing.T) {
	c := kit.Fresh(t, "wren")
	us := object{"depth": "ft", "tackle": "in", "distance": "ft", "wind": "mph", "boat": "kn", "run": "ft/s", "weight": "oz", "line": "lb",
		"fish": "lb", "temperature": "°F", "clock": "12 h"}
	var kept object
	require.Equal(t, http.StatusOK, c.Do("PUT", "/account/settings", object{"units": us, "week": "sunday", "chosen": true}, &kept))
	other := kit.As(t, c.Name)
	var me struct{ Settings object }
	require.Equal(t, http.StatusOK, other.Do("GET", "/me", nil, &me))
	assert.Equal(t, kept, me.Settings)
	var ribbon string
	require.Equal(t, http.StatusOK, other.Do("GET", "/spots/"+c.ID("Kettle Bar")+"/ribbon", nil, &ribbon))
	assert.Contains(t, ribbon, " ft")
	assert.NotRegexp(t, `\d m[ .,"]`, ribbon)
	assert.Regexp(t, `\d:\d\d (am|pm)`, ribbon)
	var p problem
	us["depth"] = "fathom"
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/account/settings", object{"units": us, "week": "sunday",
		"chosen": true}, &p))
	assert.Contains(t, p.Errors[0].Location, "body.units.depth")
}

func TestSessionsAreListedAndEnded(t *testing.T) {
	c := kit.Fresh(t, "moss")
	phone, laptop := kit.As(t, c.Name), kit.As(t, c.Name)
	list := func() (out struct {
		Sessions []struct {
			ID     string
			Device string
			Here   bool
		}
		Codes int `json:"recovery_codes"`
	}) {
		require.Equal(t, http.StatusOK, c.Do("GET", "/account/sessions", nil, &out))
		return out
	}
	all := list()
	require.Len(t, all.Sessions, 3)
	here := 0
	for _, j := range all.Sessions {
		if j.Here {
			here++
		}
	}
	assert.Equal(t, 1, here)
	for _, j := range all.Sessions {
		if !j.Here {
			require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/account/sessions/"+j.ID, nil, nil))
			break
		}
	}
	require.Len(t, list().Sessions, 2)
	ended := 0
	for _, d := range []*testkit.Client{phone, laptop} {
		if d.Do("GET", "/me", nil, nil) == http.StatusUnauthorized {
			ended++
		}
	}
	assert.Equal(t, 1, ended)

	var p problem
	assert.Equal(t, http.StatusForbidden, c.Do("PUT", "/account/password", object{"old": "wrong", "password": "another long one"}, &p))
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/account/password", object{"old": password, "password": "another long one"}, nil))
	assert.Equal(t, http.StatusOK, c.Do("GET", "/me", nil, nil), "here one stays")
	assert.Len(t, list().Sessions, 1, "other sessions end")
}

func TestARecoveryCodeLetsOneBackInOnce(t *testing.T) {
	c := kit.Fresh(t, "moss")
	var made struct{ Codes []string }
	require.Equal(t, http.StatusOK, c.Do("POST", "/account/recovery-codes", object{"password": password}, &made))
	require.Len(t, made.Codes, 8)
	lost := kit.Client(t)
	spoken := strings.ToUpper(strings.ReplaceAll(made.Codes[3], "-", " "))
	back := object{"name": c.Name, "code": spoken, "password": "a new long password"}
	require.Equal(t, http.StatusOK, lost.Do("POST", "/recover", back, nil))
	assert.Equal(t, http.StatusUnauthorized, c.Do("GET", "/me", nil, nil), "every other session ended")
	assert.Equal(t, http.StatusOK, lost.Do("GET", "/me", nil, nil))
	var p, q problem
	assert.Equal(t, http.StatusUnauthorized, kit.Client(t).Do("POST", "/recover", back, &p), "it is used up")
	back["name"] = "nobody by that name"
	assert.Equal(t, http.StatusUnauthorized, kit.Client(t).Do("POST", "/recover", back, &q))
	assert.Equal(t, p.Detail, q.Detail)
}

func TestInvitesAreShownOnceAndTakenBack(t *testing.T) {
	c := kit.Fresh(t, "moss")
	var made struct {
		ID, Code string
		Uses     int `json:"uses_left"`
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/invites", object{"note": "the pier lot", "uses": 3}, &made))
	assert.Len(t, made.Code, 19)
	assert.Equal(t, 3, made.Uses)
	var list []object
	require.Equal(t, http.StatusOK, c.Do("GET", "/invites", nil, &list))
	require.Len(t, list, 1)
	assert.NotContains(t, list[0], "code")
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/invites/"+made.ID, nil, nil))
	require.Equal(t, http.StatusOK, c.Do("GET", "/invites", nil, &list))
	assert.Empty(t, list)
}

// asked are the answers that together show everything a person entered.
func asked(t *testing.T, c *testkit.Client, bar, sound string) map[string]string {
	out := map[string]string{}
	at := "time=2026-11-20T09:30:00Z"
	for _, path := range []string{"/spots", "/waters", "/waters/" + sound, "/waters/" + sound + "/finds", "/waters/" + sound +
		"/readings.csv",
		"/waters/" + sound + "/grid.bin", "/spots/" + bar, "/spots/" + bar + "/state?" + at, "/spots/" + bar + "/ribbon", "/spots/" +
			bar + "/tide",
		"/spots/" + bar + "/visits", "/chart?" + at, "/conditions?spot_id=" + bar + "&" + at, "/spells?most=1000", "/catches?most=1000",
		"/kit",
		"/sightings", "/bylaws", "/imports", "/tags", "/photos/018f0000-0000-7000-8000-0000000000c7",
		"/trials", "/trials/018f0000-0000-7000-8000-0000000000c3",
		"/outings", "/outings/018f0000-0000-7000-8000-0000000000c2", "/plans",
		"/plans/018f0000-0000-7000-8000-0000000000c1", "/plans/018f0000-0000-7000-8000-0000000000c1/sheet", "/seasons",
		"/waters/" + sound + "/usual", "/spots/" + bar + "/month",
		"/playbook", "/targets", "/limits", "/stations", "/interchange/export?format=geojson&private=include",
		"/interchange/export?format=geojson&private=blur", "/interchange/kit.csv", "/interchange/playbook.yaml", "/account"} {
		var said string
		require.Equal(t, http.StatusOK, c.Do("GET", path, nil, &said), "%s: %s", path, said)
		out[path] = said
	}
	var advice string
	require.Equal(t, http.StatusOK, c.Do("POST", "/advise", object{"spot_id": bar, "target": "red-drum", "time": "2026-11-20T09:30:00Z"},
		&advice))
	out["advice"] = advice
	return out
}

// Export, delete, register, import: every answer of the API is the same as before.
func TestEverythingIsTakenAlongAndComesBack(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.ALog)
	bar, sound := c.ID("Kettle Bar"), c.ID("Sedge Sound")
	settle(t, c, bar, sound)
	before := asked(t, c, bar, sound)
	var copied string
	require.Equal(t, http.StatusOK, c.Do("GET", "/account/export", nil, &copied))
	assert.NotContains(t, copied, "argon2")
	var doc struct{ Tables map[string][]any }
	require.NoError(t, json.Unmarshal([]byte(copied), &doc))
	for table, rows := range doc.Tables {
		assert.NotEmpty(t, rows, "the scenario has nothing of %s: it is not tried", table)
	}

	next := kit.Client(t)
	require.Equal(t, http.StatusOK, next.Do("POST", "/anglers", object{"name": c.Name + " again", "password": "four words in a row"}, nil))
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, send(t, next, []byte(copied), &p), "ids of somebody else are refused")
	assert.Contains(t, p.Detail, "an id of it is taken")
	assert.Equal(t, http.StatusConflict, send(t, c, []byte(copied), &p))
	assert.Contains(t, p.Detail, "empty account only")

	assert.Equal(t, http.StatusForbidden, c.Do("DELETE", "/account", object{"password": "wrong"}, nil))
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/account", object{"password": password}, nil))
	assert.Equal(t, http.StatusUnauthorized, c.Do("GET", "/me", nil, nil))
	assert.Equal(t, http.StatusUnauthorized, kit.Client(t).Do("POST", "/login", object{"name": c.Name, "password": password}, nil))

	var zipped bytes.Buffer
	z := gzip.NewWriter(&zipped)
	_, err := z.Write([]byte(copied))
	require.NoError(t, err)
	require.NoError(t, z.Close())
	cut := zipped.Bytes()[:zipped.Len()/2]
	assert.Equal(t, http.StatusUnprocessableEntity, send(t, next, cut, &p), "half a file changes nothing")
	require.Equal(t, http.StatusOK, send(t, next, zipped.Bytes(), &p), p.Detail)
	for path, said := range asked(t, next, bar, sound) {
		assert.Equal(t, before[path], said, path)
	}
}

// settle what the scenario leaves out, so that each table has a row.
func settle(t *testing.T, c *testkit.Client, bar, sound string) {
	for path, body := range map[string]object{
		"/waters/" + sound + "/surge":                  {"by_m": 0.2, "fade_h": 24},
		"/waters/" + sound + "/feed":                   {"url": "http://127.0.0.1:1/forecast.csv"},
		"/spots/" + bar + "/noted/" + uuid.NewString(): {"time": "2026-11-18T12:00:00Z", "kind": "high"},
		"/playbook/schools/Q1":                         {"position": "all-day"},
		"/playbook/rules/moving-water":                 {"effect": "slight plus", "certainty": "firm"},
		"/playbook/own-rules/my-own": {"says": "Under the post on the ebb", "family": "mark", "effect": "strong plus", "certainty": "usual",
			"targets": []string{"red-drum"}, "when": []object{{"of": "stage", "any": []string{"ebb"}}}},
		"/limits": {"limits": []object{{"id": "kayak_wind_ms", "think": 3, "do_not": 4.5}}},
	} {
		var said string
		status := c.Do("PUT", path, body, &said)
		require.Less(t, status, 300, "%s: %s", path, said)
	}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/plans/018f0000-0000-7000-8000-0000000000c1", testkit.APlan(bar), nil))
	require.Equal(t, http.StatusOK, c.Do("PUT", "/trials/018f0000-0000-7000-8000-0000000000c3", testkit.ATrial(bar), nil))
	require.Equal(t, http.StatusOK, c.Do("PUT", "/trials/018f0000-0000-7000-8000-0000000000c3/blocks/018f0000-0000-7000-8000-0000000000c4",
		testkit.ABlock(), nil))
	require.Equal(t, http.StatusOK, c.Do("PUT", "/sightings/018f0000-0000-7000-8000-0000000000c6", testkit.ASighting(bar), nil))
	require.Equal(t, http.StatusOK, c.Do("PUT", "/bylaws/018f0000-0000-7000-8000-0000000000c8", testkit.ABylaw(), nil))
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/care/red-drum", testkit.Object{"breeder_m": 0.6, "handling": "Gently."}, nil))
	file := testkit.AFile("Kettle Bar")
	file["keep"] = true
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/log", file, nil))
	require.Equal(t, http.StatusNoContent, c.Do("POST", "/interchange/tags?list=A%20list",
		"tag_number,time,lat,lon\nA1,2026-06-01T06:00:00Z,38.5,-31\n", nil))
	var log struct{ Catches []struct{ ID string } }
	require.Equal(t, http.StatusOK, c.Do("GET", "/catches?most=1", nil, &log))
	require.Equal(t, http.StatusOK, c.PutPhoto("/photos/018f0000-0000-7000-8000-0000000000c7?keep=true&catch_id="+log.Catches[0].ID,
		testkit.APhoto()))
	require.Equal(t, http.StatusOK, c.Do("PUT", "/outings/018f0000-0000-7000-8000-0000000000c2", testkit.AnOuting(bar), nil))
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/waters/"+sound+"/usual", object{"kinds": []object{{"kind": "water_temp_c",
		"months": []object{{"month": 11, "mean": 16.5, "spread": 1.5}, {"month": 12, "mean": 13, "spread": 1.5}}}}}, nil))
}

func send(t *testing.T, c *testkit.Client, raw []byte, p *problem) int {
	t.Helper()
	req, err := http.NewRequest("PUT", kit.URL+"/api/v1/account/export", bytes.NewReader(raw))
	require.NoError(t, err)
	req.Header.Set("Content-Type", "application/octet-stream")
	res, err := c.Send(req)
	require.NoError(t, err)
	defer res.Body.Close()
	decode(t, res.Body, p)
	return res.StatusCode
}

func decode(t *testing.T, r io.Reader, p *problem) {
	raw, err := io.ReadAll(r)
	require.NoError(t, err)
	*p = problem{}
	_ = json.Unmarshal(raw, p)
}
