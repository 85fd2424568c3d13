package api_test

import (
	"net/http"
	"strings"
	"testing"

	"greypebble/testkit"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestHealth(t *testing.T) {
	var h object
	assert.Equal(t, http.StatusOK, kit.Client(t).Do("GET", "/health", nil, &h))
	assert.Equal(t, object{"status": "ok", "database": "ok"}, h)
}

func TestNothingOfAnAnglersIsSeenWithoutSigningIn(t *testing.T) {
	id := uuid.NewString()
	for _, r := range [][2]string{{"GET", "/spots"}, {"GET", "/me"}, {"GET", "/spells"}, {"GET", "/catches"}, {"GET", "/spots/" + id},
		{"GET", "/spots/" + id + "/state"}, {"GET", "/spots/" + id + "/ribbon"}, {"DELETE", "/spells/" + id}} {
		var p problem
		assert.Equal(t, http.StatusUnauthorized, kit.Client(t).Do(r[0], r[1], nil, &p), r)
		assert.NotEmpty(t, p.Detail)
	}
	var p problem
	assert.Equal(t, http.StatusUnauthorized, kit.Client(t).Do("POST", "/login", object{"name": "wren", "password": "wrong"}, &p))
	assert.Equal(t, "The name or the password is wrong.", p.Detail)
}

func TestSomeoneElsesIdsAreNotFound(t *testing.T) {
	wren, moss := kit.Fresh(t, "wren"), kit.Fresh(t, "moss")
	bar := wren.Spots()["Kettle Bar"]
	require.NotEmpty(t, bar.ID)
	assert.NotContains(t, moss.Spots(), "Kettle Bar")
	for _, path := range []string{"/spots/" + bar.ID, "/spots/" + bar.ID + "/state", "/spots/" + bar.ID + "/ribbon"} {
		assert.Equal(t, http.StatusOK, wren.Do("GET", path, nil, nil), path)
		assert.Equal(t, http.StatusNotFound, moss.Do("GET", path, nil, nil), path)
	}
	assert.Equal(t, http.StatusNotFound, moss.Do("POST", "/advise", object{"spot_id": bar.ID, "target": "red drum"}, nil))

	spell := testkit.ASpell(bar.ID)
	id, fish := uuid.NewString(), uuid.NewString()
	assert.Equal(t, http.StatusNotFound, moss.Do("PUT", "/spells/"+id, spell, nil), "a spell at someone else's spot")
	spell["catches"] = []object{{"id": fish}}
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spells/"+id, spell, nil))
	mine := testkit.ASpell(moss.Spots()["Candle Bar"].ID)
	mine["revision"] = 1
	assert.Equal(t, http.StatusNotFound, moss.Do("PUT", "/spells/"+id, mine, nil), "over someone else's spell")
	assert.Equal(t, http.StatusNotFound, moss.Do("PUT", "/catches/"+fish, object{"spell_id": id}, nil))
	assert.Equal(t, http.StatusNotFound, moss.Do("DELETE", "/spells/"+id, nil, nil))
	var log struct{ Spells []object }
	require.Equal(t, http.StatusOK, moss.Do("GET", "/spells?most=1000&spot_id="+bar.ID, nil, &log))
	assert.Empty(t, log.Spells)
	assert.Equal(t, http.StatusNoContent, wren.Do("DELETE", "/spells/"+id, nil, nil))
}

func TestOtherSitesAreRefusedAndHeadersAreStrict(t *testing.T) {
	req, err := http.NewRequest("POST", kit.URL+"/api/v1/login", strings.NewReader(`{"name":"wren","password":"grey-pebble"}`))
	require.NoError(t, err)
	req.Header.Set("Content-Type", "application/json")
	req.Header.Set("Origin", "https://elsewhere.example")
	res, err := http.DefaultClient.Do(req)
	require.NoError(t, err)
	defer res.Body.Close()
	assert.Equal(t, http.StatusForbidden, res.StatusCode)
	assert.Equal(t, "application/problem+json", res.Header.Get("Content-Type"))
	assert.Contains(t, res.Header.Get("Content-Security-Policy"), "default-src 'self'")
}

func TestWrongPasswordsMakeOneWait(t *testing.T) {
	name := kit.Newcomer(t, "moss", testkit.NoLog)
	c := kit.Client(t)
	var p problem
	for range 5 {
		assert.Equal(t, http.StatusUnauthorized, c.Do("POST", "/login", object{"name": name, "password": "wrong"}, &p))
	}
	assert.Equal(t, http.StatusTooManyRequests, c.Do("POST", "/login", object{"name": strings.ToUpper(name), "password": "grey-pebble"},
		&p), "even the right one, however the name is written")
	assert.Equal(t, "Too many wrong passwords. Try again in 1s.", p.Detail)
	kit.As(t, kit.Newcomer(t, "moss", testkit.NoLog)) // others sign in as ever
}

func TestNamesAreComparedByOneRule(t *testing.T) {
	name := kit.Newcomer(t, "wren", testkit.NoLog) // "wren 7"
	sign := func(as string) int {
		return kit.Client(t).Do("POST", "/login", object{"name": as, "password": "grey-pebble"}, nil)
	}
	assert.Equal(t, http.StatusOK, sign(strings.ToUpper(name)))
	assert.Equal(t, http.StatusUnauthorized, sign(strings.Replace(name, "e", "é", 1)))
}

func TestSessionsLastBeyond2038(t *testing.T) {
	c := kit.Fresh(t, "moss")
	_, err := kit.App.Store.DB().Exec(`UPDATE sessions SET expiry = '2040-02-03 04:05:06.7' WHERE angler_id =
		(SELECT id FROM angler WHERE name = ?)`, c.Name)
	require.NoError(t, err)
	var at string
	require.NoError(t, kit.App.Store.DB().QueryRow(`SELECT CAST(expiry AS CHAR) FROM sessions WHERE YEAR(expiry) = 2040`).Scan(&at))
	assert.Equal(t, "2040-02-03 04:05:06.700000", at)
}
