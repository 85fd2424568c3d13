package api_test

import (
	"fmt"
	"net/http"
	"sync"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/testkit"
)

// resource that anglers write by an id of their choosing.
type resource struct {
	name string
	path func(c *testkit.Client, id string) string
	// body with a word that tells one writing from another.
	body func(c *testkit.Client, id, word string) object
	// read the word and the revision of an id; false where the angler has none by it.
	read func(c *testkit.Client, id string) (word string, revision int, found bool)
}

// listed finds the thing of an id in a list, and a field of it.
func listed(c *testkit.Client, path, under, id, field string) (string, int, bool) {
	var out any
	if c.Do("GET", path, nil, &out) != http.StatusOK {
		return "", 0, false
	}
	list, _ := out.([]any)
	if o, ok := out.(map[string]any); ok {
		list, _ = o[under].([]any)
	}
	for _, one := range list {
		if o := one.(map[string]any); o["id"] == id {
			word, _ := o[field].(string)
			revision, _ := o["revision"].(float64)
			return word, int(revision), true
		}
	}
	return "", 0, false
}

func plainPath(prefix string) func(*testkit.Client, string) string {
	return func(_ *testkit.Client, id string) string { return prefix + id }
}

func home(c *testkit.Client) string {
	if c.ID("Kettle Bar") != "" && c.Do("GET", "/spots/"+c.ID("Kettle Bar"), nil, nil) == http.StatusOK {
		return c.ID("Kettle Bar")
	}
	return c.ID("Candle Bar")
}

// waterOf an angler like wren or moss, and their station.
func waterOf(c *testkit.Client) string {
	for _, name := range []string{"Sedge Sound", "Fallow Creek"} {
		if c.Do("GET", "/waters/"+c.ID(name), nil, nil) == http.StatusOK {
			return c.ID(name)
		}
	}
	return ""
}

func stationOf(c *testkit.Client) string {
	var list []struct{ ID, Name string }
	c.Do("GET", "/stations", nil, &list)
	for _, s := range list {
		if s.Name == "Tern Head" {
			return s.ID
		}
	}
	return ""
}

var resources = []resource{
	{"plan", plainPath("/plans/"), func(c *testkit.Client, _, word string) object {
		b := testkit.APlan(home(c))
		b["name"] = word
		return b
	}, func(c *testkit.Client, id string) (string, int, bool) {
		return listed(c, "/plans", "plans", id, "name")
	}},
	{"spot", plainPath("/spots/"), func(c *testkit.Client, _, word string) object {
		return object{"name": word, "place": "pier", "lat": 31.2, "lon": -45.1, "manner": "on foot", "water_id": waterOf(c),
			"in": object{"name": "stair", "elevation_m": 3}, "out": object{"name": "stair", "elevation_m": 3},
			"section": []object{{"distance_m": 0, "elevation_m": 2}, {"distance_m": 60, "elevation_m": -2}},
			"marks":   []object{{"id": uuid.NewSHA1(uuid.Nil, []byte(word)).String(), "name": word, "kind": "timber", "distance_m": 9}}}
	}, func(c *testkit.Client, id string) (string, int, bool) {
		var o struct {
			Name     string
			Revision int
			Marks    []struct{ Name string }
		}
		if c.Do("GET", "/spots/"+id, nil, &o) != http.StatusOK {
			return "", 0, false
		}
		if len(o.Marks) != 1 || o.Marks[0].Name != o.Name {
			return "torn: " + o.Name, o.Revision, true
		}
		return o.Name, o.Revision, true
	}},
	{"water", plainPath("/waters/"), func(c *testkit.Client, _, word string) object {
		return object{"name": word, "time_zone": "Etc/GMT+3", "station_id": stationOf(c)}
	}, func(c *testkit.Client, id string) (string, int, bool) {
		var o struct {
			Name     string
			Revision int
		}
		ok := c.Do("GET", "/waters/"+id, nil, &o) == http.StatusOK
		return o.Name, o.Revision, ok
	}},
	{"zone", func(c *testkit.Client, id string) string { return "/zones/" + id + "?water_id=" + waterOf(c) },
		func(_ *testkit.Client, _, word string) object {
			return object{"name": word, "kind": "no take", "says": word, "source": "invented", "checked_on": "2026-01-02",
				"ring": []object{{"lat": 31.2, "lon": -45.1}, {"lat": 31.2, "lon": -45}, {"lat": 31.3, "lon": -45}}}
		}, func(c *testkit.Client, id string) (string, int, bool) {
			return listed(c, "/waters/"+waterOf(c), "zones", id, "says")
		}},
	{"station", plainPath("/stations/"), func(_ *testkit.Client, _, word string) object {
		return object{"name": word, "source": word, "z0_m": 1, "constituents": []object{{"name": "M2", "amplitude_m": 0.5, "phase_deg": 10},
			{"name": "S2", "amplitude_m": 0.1, "phase_deg": 20}}}
	}, func(c *testkit.Client, id string) (string, int, bool) {
		return listed(c, "/stations", "", id, "source")
	}},
	{"kit", plainPath("/kit/"), func(_ *testkit.Client, _, word string) object {
		return object{"kind": "bait", "name": word, "offering": "cut-mullet", "in_hand": true}
	}, func(c *testkit.Client, id string) (string, int, bool) { return listed(c, "/kit", "items", id, "name") }},
	{"spell", plainPath("/spells/"), func(c *testkit.Client, _, word string) object {
		o := testkit.ASpell(home(c))
		o["note"] = word
		return o
	}, func(c *testkit.Client, id string) (string, int, bool) {
		return listed(c, "/spells?most=1000", "spells", id, "note")
	}},
	{"catch", plainPath("/catches/"), func(c *testkit.Client, _, word string) object {
		return object{"spell_id": c.ID("the spell of the catches"), "note": word}
	}, func(c *testkit.Client, id string) (string, int, bool) {
		return listed(c, "/catches?most=1000", "catches", id, "note")
	}},
}

// writing somebody was told is kept.
type writing struct {
	word     string
	revision int
}

// kept is what was acknowledged of one id of one resource.
type kept struct {
	mu    sync.Mutex
	by    map[string][]writing // by angler
	sent  int
	wrong []string
}

// Two anglers with two devices each write and read the same few ids of everything at once.
// Whoever was first owns an id, for the other it is not there; what was acknowledged is
// there, no two writings as one revision, and the last of them is what is read.
func TestWhatIsAcknowledgedIsReadAndNobodyElses(t *testing.T) {
	anglers := []*testkit.Client{kit.Fresh(t, "wren"), kit.Fresh(t, "moss")}
	for _, c := range anglers {
		require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+c.ID("the spell of the catches"), testkit.ASpell(home(c)), nil))
	}
	rounds := 0
	rapid.Check(t, func(rt *rapid.T) {
		if rounds++; rounds > testkit.Times(60) {
			return
		}
		type step struct {
			resource, id int
			again        bool
		}
		steps := func(name string) []step {
			return rapid.SliceOfN(rapid.Custom(func(rt *rapid.T) step {
				return step{rapid.IntRange(0, len(resources)-1).Draw(rt, "resource"), rapid.IntRange(0, 1).Draw(rt, "id"),
					rapid.Bool().Draw(rt, "again")}
			}), 4, 10).Draw(rt, name)
		}
		ids := [2]string{uuid.NewString(), uuid.NewString()}
		all := make([][2]kept, len(resources))
		for i := range all {
			for j := range all[i] {
				all[i][j].by = map[string][]writing{}
			}
		}
		var wg sync.WaitGroup
		for device := range 4 {
			c := anglers[device%2].Device(t)
			todo := steps(fmt.Sprintf("device %d", device))
			wg.Add(1)
			go func() {
				defer wg.Done()
				for n, s := range todo {
					writeAndNote(c, resources[s.resource], ids[s.id], fmt.Sprintf("%d of device %d in round %d", n, device, rounds),
						s.again, &all[s.resource][s.id])
				}
			}()
		}
		wg.Wait()
		for i, r := range resources {
			for j := range ids {
				settle(t, anglers, r, ids[j], &all[i][j])
			}
		}
	})
	assert.Greater(t, rounds, 1)
}

// writeAndNote writes over what is read, and notes what was acknowledged; sent again, it
// must be the same revision.
func writeAndNote(c *testkit.Client, r resource, id, word string, again bool, k *kept) {
	_, read, _ := r.read(c, id)
	body := r.body(c, id, word)
	body["revision"] = read
	var out struct{ Revision int }
	status := c.Do("PUT", r.path(c, id), body, &out)
	k.mu.Lock()
	defer k.mu.Unlock()
	k.sent++
	switch status {
	case http.StatusOK:
		k.by[c.Name] = append(k.by[c.Name], writing{word, out.Revision})
		if again {
			k.mu.Unlock()
			var second struct{ Revision int }
			status := c.Do("PUT", r.path(c, id), body, &second)
			k.mu.Lock()
			if status == http.StatusOK && second.Revision != out.Revision {
				k.wrong = append(k.wrong, fmt.Sprintf("%s sent again became revision %d, not %d", word, second.Revision, out.Revision))
			}
		}
	case http.StatusConflict, http.StatusNotFound:
	default:
		k.wrong = append(k.wrong, fmt.Sprintf("%s of %s: status %d", r.name, word, status))
	}
}

func settle(t *testing.T, anglers []*testkit.Client, r resource, id string, k *kept) {
	assert.Empty(t, k.wrong, r.name)
	if k.sent == 0 {
		return
	}
	if !assert.Len(t, k.by, 1, "%s %s was acknowledged to two anglers, or to nobody: %v", r.name, id, k.by) {
		return
	}
	for _, c := range anglers {
		word, revision, found := r.read(c, id)
		list, owner := k.by[c.Name]
		if !owner {
			assert.False(t, found, "%s of another is seen", r.name)
			continue
		}
		if !assert.True(t, found, "%s %s was acknowledged and is gone", r.name, id) {
			continue
		}
		seen := map[int]string{}
		last := writing{}
		for _, w := range list {
			assert.Empty(t, seen[w.revision], "%s: revision %d is %q and %q", r.name, w.revision, seen[w.revision], w.word)
			seen[w.revision] = w.word
			if w.revision > last.revision {
				last = w
			}
		}
		assert.Equal(t, last, writing{word, revision}, r.name)
	}
}

// Offsets that were acknowledged stay, whoever writes the spot beside them.
func TestOffsetsStayBesideASpotThatIsWritten(t *testing.T) {
	c := kit.Fresh(t, "wren")
	id := c.ID("Kettle Bar")
	var wg sync.WaitGroup
	wg.Add(1)
	stop := make(chan struct{})
	go func() {
		defer wg.Done()
		d := c.Device(t)
		for n := 0; ; n++ {
			select {
			case <-stop:
				return
			default:
			}
			var sp struct {
				Written  object
				Revision int
			}
			if d.Do("GET", "/spots/"+id, nil, &sp) != http.StatusOK {
				continue
			}
			sp.Written["note"], sp.Written["revision"] = fmt.Sprint(n), sp.Revision
			d.Do("PUT", "/spots/"+id, sp.Written, nil)
		}
	}()
	for n := range testkit.Times(600) {
		lag := 1 + n%60
		require.Equal(t, http.StatusNoContent, c.Do("PUT", "/spots/"+id+"/offsets", object{"lag_high_min": lag, "lag_low_min": lag}, nil))
		var o struct {
			Offsets struct {
				LagHigh float64 `json:"lag_high_min"`
			}
		}
		require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id+"/tide", nil, &o))
		require.InDelta(t, lag, o.Offsets.LagHigh, 1e-9, "an acknowledged offset was lost")
	}
	close(stop)
	wg.Wait()
}
