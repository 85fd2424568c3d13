package api_test

import (
	"greypebble/testkit"
	"net/http"
	"testing"

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
		"/conditions?spot_id=" + id, "/spells", "/spells?target=red-drum&stage=ebb", "/catches", "/kit", "/playbook",
		"/targets", "/stations", "/interchange/export?format=geojson", "/interchange/kit.csv",
		"/interchange/playbook.yaml", "/waters/" + water + "/readings.csv", "/waters/" + water + "/grid.bin"} {
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
	c := kit.Fresh(t, "wren")
	id := c.ID("Kettle Bar")
	get := func(path string) func() {
		return func() { require.Equal(t, http.StatusOK, c.Do("GET", path, nil, nil), path) }
	}
	for name, r := range map[string]struct {
		most int
		ask  func()
	}{
		"a spot at a moment": {8, get("/spots/" + id + "/state")},
		"its ribbon":         {8, get("/spots/" + id + "/ribbon")},
		"the chart":          {11, get("/chart")},
		"its conditions":     {9, get("/conditions?spot_id=" + id)},
		"a catch logged": {15, func() {
			spell := testkit.ASpell(id)
			spell["catches"] = []object{{"id": uuid.Must(uuid.NewV7()).String(), "target": "red-drum", "length_m": 0.5}}
			require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.Must(uuid.NewV7()).String(), spell, nil))
		}},
		"advice": {12, func() {
			require.Equal(t, http.StatusOK, c.Do("POST", "/advise", object{"spot_id": id, "target": "red-drum"}, nil))
		}},
	} {
		n := selects(t, r.ask)
		assert.LessOrEqual(t, n, r.most, name)
		assert.Positive(t, n, name)
		t.Logf("%s: %d", name, n)
	}
}
