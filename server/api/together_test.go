package api_test

import (
	"fmt"
	"net/http"
	"sync"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

// Readers and writers at once, two anglers of them: every answer is whole and of the one
// who asked, and every write is there in the end.
func TestReadersAndWritersTogether(t *testing.T) {
	type one struct {
		c    *testkit.Client
		spot string
	}
	var all []one
	for range 2 {
		c := kit.Fresh(t, "wren")
		all = append(all, one{c, c.ID("Kettle Bar")})
	}
	const rounds = 12
	var wg sync.WaitGroup
	run := func(f func(n int)) {
		wg.Add(1)
		go func() {
			defer wg.Done()
			for n := range rounds {
				f(n)
			}
		}()
	}
	for _, a := range all {
		run(func(int) { // the log
			assert.Equal(t, http.StatusOK, a.c.Do("PUT", "/spells/"+uuid.Must(uuid.NewV7()).String(), testkit.ASpell(a.spot), nil))
		})
		run(func(n int) { // what is seen
			body := object{"time": "2026-11-20T09:00:00Z", "readings": []object{{"kind": "water_temp_c", "value": 10 + n}}}
			status := a.c.Do("POST", "/waters/"+a.c.ID("Sedge Sound")+"/readings", body, nil)
			assert.Less(t, status, 300)
		})
		run(func(n int) { // the spot itself, as two pages would: one of them may be too late
			var sp struct {
				Written  object
				Revision int
			}
			if !assert.Equal(t, http.StatusOK, a.c.Do("GET", "/spots/"+a.spot, nil, &sp)) {
				return
			}
			sp.Written["note"], sp.Written["revision"] = fmt.Sprint("note ", n), sp.Revision
			assert.Contains(t, []int{http.StatusOK, http.StatusConflict}, a.c.Do("PUT", "/spots/"+a.spot, sp.Written, nil))
		})
		run(func(int) {
			var r struct {
				Frames []struct {
					Depths []float64 `json:"depths_m"`
				}
				Marks []struct{ ID string }
			}
			assert.Equal(t, http.StatusOK, a.c.Do("GET", "/spots/"+a.spot+"/ribbon", nil, &r))
			for _, f := range r.Frames {
				if !assert.Len(t, f.Depths, len(r.Marks)) {
					return
				}
			}
		})
		run(func(int) {
			for _, path := range []string{"/chart", "/stations", "/playbook", "/kit", "/bench/usual?spot_id=" + a.spot,
				"/interchange/export?format=gpx", "/spells"} {
				assert.Equal(t, http.StatusOK, a.c.Do("GET", path, nil, new(string)), path)
			}
			assert.Equal(t, http.StatusOK, a.c.Do("POST", "/advise", object{"spot_id": a.spot, "target": "red-drum"}, nil))
		})
	}
	wg.Wait()
	for i, a := range all {
		var log struct{ Total int }
		require.Equal(t, http.StatusOK, a.c.Do("GET", "/spells?most=1000", nil, &log))
		assert.Equal(t, rounds, log.Total)
		other := all[1-i]
		assert.Equal(t, http.StatusNotFound, a.c.Do("GET", "/spots/"+other.spot, nil, nil))
	}
}
