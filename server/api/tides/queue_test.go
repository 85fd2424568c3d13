package tides_test

import (
	"fmt"
	"net/http"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

// One analysis runs, two wait and are told their place; more are sent away, and who is not
// signed in before anything of theirs is read.
func TestAnalysesWaitTheirTurn(t *testing.T) {
	var b strings.Builder
	b.WriteString("time,height_m\n")
	for i := range 24 * 365 * 2 {
		fmt.Fprintf(&b, "%s,%.3f\n", testkit.Now.Add(time.Duration(i)*time.Hour).Format(time.RFC3339), 1+0.5*float64(i*7%12)/12)
	}
	record := b.String()
	assert.Equal(t, http.StatusUnauthorized, kit.Client(t).Do("POST", "/tide/analyse", record, nil))
	assert.Equal(t, http.StatusUnauthorized, kit.Client(t).Do("POST", "/bench/jig", object{}, nil), "nor the calculators")

	c := kit.Fresh(t, "moss")
	var mu sync.Mutex
	var streams []string
	refused := 0
	var wg sync.WaitGroup
	for range 8 {
		d := c.Device(t)
		wg.Add(1)
		go func() {
			defer wg.Done()
			var stream string
			status := d.Do("POST", "/tide/analyse/watch", record, &stream)
			mu.Lock()
			defer mu.Unlock()
			switch status {
			case http.StatusOK:
				streams = append(streams, stream)
			case http.StatusTooManyRequests:
				refused++
				assert.Contains(t, stream, "under way already")
			default:
				t.Errorf("status %d: %s", status, stream)
			}
		}()
	}
	wg.Wait()
	require.NotEmpty(t, streams)
	assert.Positive(t, refused)
	all := strings.Join(streams, "")
	assert.Contains(t, all, `event: waiting`+"\n"+`data: {"place":1}`)
	for _, s := range streams {
		assert.Contains(t, s, "event: done")
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/tide/analyse", record, new(string)), "afterwards all is as before")
}
