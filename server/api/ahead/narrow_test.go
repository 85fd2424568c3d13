package ahead_test

import (
	"fmt"
	"net/http"
	"net/url"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Who comes along, how far one cares to go and what one has narrow the windows; each of what is left
// stood among all of them.
func TestWindowsAreNarrowed(t *testing.T) {
	c := kit.Fresh(t, "wren")
	ask := func(more string) windows {
		var out windows
		require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows?from=2026-11-20T15:00:00Z&days=7&least=1&most=500"+more, nil, &out),
			more)
		return out
	}
	all := ask("")
	require.NotEmpty(t, all.Windows)
	for more, fits := range map[string]func(window) bool{
		"&along=cannot+wade": func(w window) bool { return w.Manner != "wading" },
		"&along=child": func(w window) bool {
			return w.Manner != "wading" && w.Manner != "kayak" && w.Place != "ledge" && w.Place != "rocky shore"
		},
	} {
		some := ask(more)
		assert.Less(t, some.Found, all.Found, more)
		assert.NotEmpty(t, some.Windows, more)
		for _, w := range some.Windows {
			assert.True(t, fits(w), "%s: %s", more, w.Says)
		}
	}
	// Ten minutes from a spot there is that spot, and not every other.
	var spots []struct {
		ID       string
		Lat, Lon float64
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots", nil, &spots))
	for _, sp := range spots {
		if sp.ID != all.Windows[0].SpotID {
			continue
		}
		near := ask("&within_min=10&home=" + url.QueryEscape(fmt.Sprintf("%v, %v", sp.Lat, sp.Lon)))
		assert.Equal(t, all.Windows[0].Spot, near.Windows[0].Spot)
		assert.Less(t, near.Found, all.Found)
	}
	// With the kit of the demo less is worth it than with all the book knows, and something is.
	own := ask("&kit=true")
	assert.NotEmpty(t, own.Windows)
	assert.LessOrEqual(t, own.Found, all.Found)
	var p problem
	require.Equal(t, 422, c.Do("GET", "/ahead/windows?within_min=10&home=nowhere", nil, &p))
	assert.Equal(t, "query.home", p.Errors[0].Location)
}

// What would spoil a window is told by value and in a sentence.
func TestWhatWouldSpoilAWindow(t *testing.T) {
	c := kit.Fresh(t, "wren")
	var all windows
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows?from=2026-11-20T15:00:00Z&days=3&least=1.2", nil, &all))
	seen := map[string]int{}
	for _, w := range all.Windows {
		var out struct {
			Spoilers []struct {
				Kind          string
				Value         float64
				Less, Forbids bool
			}
			Says            []string
			Edge, Low, High float64
		}
		at := fmt.Sprintf("/ahead/window?spot_id=%s&target=%s&from=%s&until=%s", w.SpotID, w.Target, w.BestFrom.Format(time.RFC3339),
			w.BestUntil.Format(time.RFC3339))
		require.Equal(t, http.StatusOK, c.Do("GET", at, nil, &out))
		require.Len(t, out.Says, max(1, len(out.Spoilers)))
		assert.InEpsilon(t, w.Edge, out.Edge, 0.3, "the middle of the hour is about as good as the hour")
		assert.True(t, out.Low < out.Edge && out.Edge < out.High)
		for _, s := range out.Spoilers {
			seen[s.Kind]++
			assert.Positive(t, s.Value)
		}
		if w.Manner == "kayak" {
			require.NotEmpty(t, out.Spoilers, w.Says)
			assert.True(t, out.Spoilers[0].Kind == "wind_speed_ms" && out.Spoilers[0].Forbids, "a kayak does not go in much wind: %s",
				out.Says)
		}
	}
	assert.Positive(t, seen["wind_speed_ms"])
	w := all.Windows[0]
	var p problem
	require.Equal(t, 422, c.Do("GET", fmt.Sprintf("/ahead/window?spot_id=%s&target=%s&from=%s&until=%s", w.SpotID, w.Target,
		w.BestFrom.Format(time.RFC3339), w.BestFrom.Format(time.RFC3339)), nil, &p))
	assert.Equal(t, "query.until", p.Errors[0].Location)
}

// What is asked at the same time is answered each by its own: nobody gets another's days.
func TestAskedAtOnceEachGetsItsOwn(t *testing.T) {
	c := kit.Fresh(t, "wren")
	asked := []string{"", "&along=child", "&along=cannot+wade", "&targets=red-drum", ""}
	alone := make([]windows, len(asked))
	at := func(more string) string {
		return "/ahead/windows?from=2026-11-20T15:00:00Z&days=3&least=1&most=500" + more
	}
	for i, more := range asked {
		require.Equal(t, http.StatusOK, c.Do("GET", at(more), nil, &alone[i]))
	}
	together := make([]windows, len(asked))
	var all sync.WaitGroup
	for i, more := range asked {
		all.Go(func() { assert.Equal(t, http.StatusOK, c.Device(t).Do("GET", at(more), nil, &together[i])) })
	}
	all.Wait()
	assert.Equal(t, alone, together)
	assert.NotEqual(t, alone[0].Found, alone[1].Found)
}
