package ahead_test

import (
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

func waypoints(n int) string {
	var b strings.Builder
	b.WriteString(`<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">`)
	for i := range n {
		fmt.Fprintf(&b, `<wpt lat="%.5f" lon="%.5f"><name>W%05d</name></wpt>`, 31+float64(i%200)/1000, -45.2+float64(i/200)/1000, i)
	}
	b.WriteString(`</gpx>`)
	return b.String()
}

// Thousands of waypoints that were brought along have no ground to say anything of: they are counted, and
// neither swept nor named one by one.
func TestWaypointsWithoutGroundAreNotSwept(t *testing.T) {
	c := kit.Fresh(t, "wren")
	took := func() (d bareDays, took time.Duration) {
		begin := time.Now()
		require.Equal(t, http.StatusOK, c.Do("GET", "/ahead?days=2", nil, &d))
		return d, time.Since(begin)
	}
	before, _ := took()
	assert.Zero(t, before.BareOf)
	_, short := took()
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/import?format=gpx&as=spots&water_id="+c.ID("Sedge Sound"),
		waypoints(20_000), nil))
	after, _ := took()
	again, long := took()
	assert.Equal(t, after, again)
	assert.Len(t, after.Spots, len(before.Spots))
	assert.Equal(t, 20_000, after.BareOf)
	assert.Len(t, after.Bare, 6)
	assert.Less(t, long, 10*short+20*time.Second, "%s with them, %s without", long, short)
}

type bareDays struct {
	days
	BareOf int `json:"bare_of"`
}

// spotAt is a bar like others at a place of its own.
func spotAt(t *testing.T, c *testkit.Client, name, water string, lat float64, level any) {
	t.Helper()
	var refused string
	way := object{"name": "the gut", "elevation_m": level}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spots/"+uuid.NewString(), object{"name": name, "place": "oyster bar", "lat": lat,
		"lon": -45.1, "manner": "wading", "water_id": water, "in": way, "out": way,
		"section": []object{{"distance_m": 0, "elevation_m": 1}, {"distance_m": 60, "elevation_m": -3}},
		"marks":   []object{{"id": uuid.NewString(), "name": "Edge", "kind": "edge", "distance_m": 45}}}, &refused), refused)
}

// Three hundred spots are looked over all the same.
func TestThreeHundredSpots(t *testing.T) {
	c := kit.Fresh(t, "wren")
	had := len(c.Spots())
	for i := range 300 - had {
		spotAt(t, c, fmt.Sprintf("Bar %d", i), c.ID("Sedge Sound"), 31+float64(i)/1000, 0.4)
	}
	begin := time.Now()
	var w windows
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows?targets=red-drum&targets=spotted-seatrout", nil, &w))
	assert.NotEmpty(t, w.Windows)
	t.Logf("300 spots in %s", time.Since(begin))
	var d days
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead?targets=red-drum", nil, &d))
	assert.Len(t, d.Spots, 300)
}

// Where everything is shut, the next opening is told; where nobody told the weather, that is.
func TestAllShutTellsTheNextOpening(t *testing.T) {
	c := kit.Fresh(t, "wren")
	for _, s := range c.Spots() {
		require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spots/"+s.ID, nil, nil))
	}
	// Waded at the lowest water of the fortnight only, after the days that are asked about begin.
	spotAt(t, c, "Low bar", c.ID("Sedge Sound"), 31.2, -0.65)
	var w windows
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows?days=14&least=0", nil, &w))
	assert.Regexp(t, `^Nothing is worth it before \w+ \d+ Nov at \d\d:\d\d: .* at Low bar, `, w.Now)
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows?days=1&least=0", nil, &w))
	assert.Regexp(t, `^Everything is shut\. The first to open is Low bar, \w+ \d+ Nov at \d\d:\d\d\.`, w.Now)
	// Far beyond any forecast the usual is assumed, and it is said.
	for _, s := range c.Spots() {
		require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spots/"+s.ID, nil, nil))
	}
	spotAt(t, c, "Bar", c.ID("Sedge Sound"), 31.2, 0.4)
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows?days=3&least=0.3&from=2027-05-01T00:00:00Z", nil, &w))
	require.NotEmpty(t, w.Windows)
	for _, k := range w.Windows {
		assert.False(t, k.Told)
		assert.Contains(t, k.Says, "nobody has told that day's weather yet")
	}
}

// Waters of several clocks stand on one page, each window told by its own; over the night the clocks go
// back a day of so many hours is laid by what the clock on the wall says, and nobody is sent home an hour
// late.
func TestSeveralClocksAndTheNightTheyChange(t *testing.T) {
	c := kit.Fresh(t, "wren")
	other := uuid.NewString()
	require.Equal(t, http.StatusOK, c.Do("PUT", "/waters/"+other, object{"name": "Far Sound", "time_zone": "America/New_York",
		"station_id": c.ID("wren station")}, nil))
	spotAt(t, c, "Far bar", other, 40.5, 0.4)
	var d struct {
		Waters []struct {
			Water    string
			TimeZone string `json:"time_zone"`
			Days     []struct{ From time.Time }
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead?from=2026-10-30T12:00:00Z&days=4", nil, &d))
	zones := map[string]bool{}
	for _, w := range d.Waters {
		zones[w.TimeZone] = true
		zone, err := time.LoadLocation(w.TimeZone)
		require.NoError(t, err)
		for i, k := range w.Days {
			assert.Equal(t, 0, k.From.In(zone).Hour(), "a day of %s begins at its own midnight", w.Water)
			if w.Water == "Far Sound" && i > 0 && k.From.In(zone).Day() == 2 {
				assert.Equal(t, 25*time.Hour, k.From.Sub(w.Days[i-1].From), "1 November 2026 has 25 hours there")
			}
		}
	}
	require.Greater(t, len(zones), 1)
	// Free from six to ten on the wall, on either side of the change.
	var w windows
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows?from=2026-10-30T12:00:00Z&days=5&least=0.2&most=200&free_from_h=6"+
		"&free_until_h=10", nil, &w))
	zone, err := time.LoadLocation("America/New_York")
	require.NoError(t, err)
	far := 0
	for _, k := range w.Windows {
		if k.Spot != "Far bar" {
			continue
		}
		far++
		assert.GreaterOrEqual(t, k.BestFrom.In(zone).Hour(), 6, k.Says)
		assert.LessOrEqual(t, k.BestUntil.In(zone).Hour(), 10, k.Says)
	}
	assert.Positive(t, far)
	// From midnight to noon across the change are thirteen hours.
	var p struct {
		Plans []struct {
			BackHome time.Time `json:"back_home"`
			Says     string
		}
		Why string
	}
	until := time.Date(2026, 11, 1, 12, 0, 0, 0, zone)
	require.Equal(t, http.StatusOK, c.Do("POST", "/plans/preview", object{"from": time.Date(2026, 11, 1, 0, 0, 0, 0, zone),
		"to": until, "targets": []string{}, "plans": 1}, &p))
	require.NotEmpty(t, p.Plans, p.Why)
	assert.False(t, p.Plans[0].BackHome.After(until))
	assert.Contains(t, p.Plans[0].Says, "back by")
}
