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

// selects counts the SELECTs the database was asked while f ran; no other test runs
// meanwhile.
func selects(t *testing.T, f func()) int { return counted(t, "Com_select", f) }

// counted is by how much one of the database's counters rose while f ran.
func counted(t *testing.T, counter string, f func()) int {
	t.Helper()
	count := func() (n int) {
		var name string
		require.NoError(t, kit.App.Store.DB().QueryRow(`SHOW GLOBAL STATUS LIKE '`+counter+`'`).Scan(&name, &n))
		return n
	}
	before := count()
	f()
	return count() - before
}

// What is read needs no room on the disk, which may be full.
func TestReadingWritesNothingToTheDisk(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.ALog)
	id, water := c.ID("Kettle Bar"), c.ID("Sedge Sound")
	for _, path := range []string{"/health", "/me", "/spots", "/spots/" + id, "/spots/" + id + "/state", "/spots/" + id + "/ribbon",
		"/spots/" + id + "/tide", "/spots/" + id + "/windows", "/spots/" + id + "/shelter", "/chart",
		"/conditions?spot_id=" + id, "/offline", "/spells", "/spells?target=red-drum&stage=ebb", "/catches", "/kit", "/playbook",
		"/targets", "/stations", "/interchange/export?format=geojson", "/interchange/kit.csv",
		"/bylaws", "/interchange/playbook.yaml", "/waters/" + water + "/readings.csv", "/waters/" + water + "/grid.bin"} {
		assert.Zero(t, counted(t, "Created_tmp_disk_tables", func() {
			var answer string
			assert.Equal(t, http.StatusOK, c.Do("GET", path, nil, &answer), "%s: %.200s", path, answer)
		}), path)
	}
	assert.Zero(t, counted(t, "Created_tmp_disk_tables", func() {
		assert.Equal(t, http.StatusOK, c.Do("POST", "/advise", object{"spot_id": id, "target": "red-drum"}, nil))
	}))
}

// A request asks for what it needs by key, and for nothing twice: none asks more often the
// more an angler has.
func TestARequestAsksTheDatabaseLittle(t *testing.T) {
	type ask func(c *testkit.Client, id string)
	get := func(path string) ask {
		return func(c *testkit.Client, id string) {
			require.Equal(t, http.StatusOK, c.Do("GET", strings.ReplaceAll(path, "{id}", id), nil, nil), path)
		}
	}
	for name, r := range map[string]struct {
		// most when nothing of the angler's is kept yet, again when it is.
		most, again int
		ask         ask
	}{
		"a spot at a moment":  {12, 3, get("/spots/{id}/state")},
		"its ribbon":          {11, 2, get("/spots/{id}/ribbon")},
		"the chart":           {14, 5, get("/chart")},
		"its conditions":      {12, 3, get("/conditions?spot_id={id}")},
		"what a device needs": {27, 17, get("/offline")},
		"a catch logged": {18, 9, func(c *testkit.Client, id string) {
			spell := testkit.ASpell(id)
			spell["catches"] = []object{{"id": uuid.Must(uuid.NewV7()).String(), "target": "red-drum", "length_m": 0.5}}
			require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.Must(uuid.NewV7()).String(), spell, nil))
		}},
		"advice": {19, 9, func(c *testkit.Client, id string) {
			require.Equal(t, http.StatusOK, c.Do("POST", "/advise", object{"spot_id": id, "target": "red-drum"}, nil))
		}},
	} {
		c := kit.Fresh(t, "wren") // of whom nothing is kept yet
		id := c.ID("Kettle Bar")
		n := selects(t, func() { r.ask(c, id) })
		assert.LessOrEqual(t, n, r.most, name)
		assert.Positive(t, n, name)
		again := selects(t, func() { r.ask(c, id) })
		assert.LessOrEqual(t, again, r.again, "%s, again", name)
		t.Logf("%s: %d, again %d", name, n, again)
	}
}
