package conditions_test

import (
	"fmt"
	"net/http"
	"net/url"
	"strings"
	"testing"
	"time"

	"greypebble/interchange/nmea"
	"greypebble/testkit"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What the angler sees is kept, goes first, says where it was taken, fades into
// the forecast again, and can be taken back.
func TestTheAnglersReadings(t *testing.T) {
	c := kit.Fresh(t, "wren")
	spot, water := c.ID("Cutwater Pier"), c.ID("Long Strand water")
	at := testkit.Now.Add(-40 * time.Minute)
	add := func(at time.Time, readings ...object) int {
		return c.Do("POST", "/waters/"+water+"/readings", object{"time": at, "spot_id": spot, "readings": readings}, nil)
	}
	require.Equal(t, http.StatusNoContent, add(at, object{"kind": "water_temp_c", "value": 59, "unit": "°F"},
		object{"kind": "clarity_secchi_m", "word": "stained"}))
	s := c.Sheet(spot, testkit.Now)
	origin, value, _, place := s.Of("water_temp_c")
	assert.Equal(t, "observed", origin)
	assert.InDelta(t, 15, value, 1e-9)
	assert.Equal(t, "Cutwater Pier", place)
	origin, value, says, _ := s.Of("clarity_secchi_m")
	assert.Equal(t, []any{"observed", "stained"}, []any{origin, says})
	assert.InDelta(t, 1, value, 1e-9)
	for _, r := range s.Readings {
		if r.Kind == "clarity_secchi_m" {
			assert.InDelta(t, 2400, r.Age, 1)
			assert.Greater(t, r.High/r.Low, 2.0, "a word is a wide reading")
		}
	}
	later, _, _, _ := c.Sheet(spot, testkit.Now.AddDate(0, 0, 2)).Of("clarity_secchi_m")
	assert.Equal(t, "forecast", later)

	// Expected for tomorrow: kept as expected, and before the service's.
	tomorrow := testkit.Now.Add(26 * time.Hour)
	require.Equal(t, http.StatusNoContent, add(tomorrow, object{"kind": "wind_speed_ms", "value": 11}))
	origin, value, says, _ = c.Sheet(spot, tomorrow).Of("wind_speed_ms")
	assert.Equal(t, []any{"forecast", 11.0, "strong breeze"}, []any{origin, value, says})

	back := "/waters/" + water + "/readings?kind=wind_speed_ms&time=" + url.QueryEscape(tomorrow.Format(time.RFC3339))
	assert.Equal(t, http.StatusNotFound, kit.Fresh(t, "moss").Do("DELETE", back, nil, nil), "someone else's water")
	assert.Equal(t, http.StatusNoContent, c.Do("DELETE", back, nil, nil))
	assert.Equal(t, http.StatusNotFound, c.Do("DELETE", back, nil, nil))
	_, value, _, _ = c.Sheet(spot, tomorrow).Of("wind_speed_ms")
	assert.NotEqual(t, 11.0, value)

	var file string
	require.Equal(t, http.StatusOK, c.Do("GET", "/waters/"+water+"/readings.csv", nil, &file))
	assert.Contains(t, file, "clarity_secchi_m,water_temp_c")
	assert.Contains(t, file, at.Format(time.RFC3339)+",1,15")

	for _, bad := range []struct {
		reading object
		says    string
	}{
		{object{"kind": "water_temp_c", "value": -400}, "between"}, {object{"kind": "wind_speed_ms", "value": 3, "unit": "kg"}, "kg"},
		{object{"kind": "clarity_secchi_m", "word": "soup"}, "muddy, stained, clear, gin clear"},
		{object{"kind": "wind_speed_ms", "word": "clear"}, "has no words"},
	} {
		var p problem
		assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/waters/"+water+"/readings",
			object{"readings": []object{bad.reading}}, &p))
		assert.Contains(t, p.Detail, bad.says)
		require.NotEmpty(t, p.Errors)
		assert.Contains(t, p.Errors[0].Location, "body.readings[0]")
	}
}

func TestLogsOfInstruments(t *testing.T) {
	c := kit.Fresh(t, "moss")
	water, spot := c.ID("Fallow Creek"), c.ID("Candle Bar")
	log := "time,water_temp_f\n2026-11-20 04:00,50\n2026-11-20 05:00,50.9\n2026-11-20 06:00,51.8\n"
	var out struct {
		Format string
		Kinds  []struct {
			Kind      string
			N         int
			Low, High float64
		}
		Kept      int
		Soundings int
		PassedBy  int `json:"passed_by"`
		From, To  time.Time
	}
	send := func(query, body string) int {
		out.Kinds = nil
		return c.Do("POST", "/waters/"+water+"/log?"+query, body, &out)
	}
	require.Equal(t, http.StatusOK, send("time_zone=Etc/GMT%2B3&name=sill.csv", log))
	require.Len(t, out.Kinds, 1)
	assert.Equal(t, 3, out.Kinds[0].N)
	assert.InDelta(t, 10, out.Kinds[0].Low, 1e-9)
	assert.Zero(t, out.Kept)
	assert.Equal(t, time.Date(2026, 11, 20, 7, 0, 0, 0, time.UTC), out.From)
	origin, _, _, _ := c.Sheet(spot, testkit.Now).Of("water_temp_c")
	assert.Equal(t, "forecast", origin, "only looked at so far")
	require.Equal(t, http.StatusOK, send("keep=true&time_zone=Etc/GMT%2B3&name=sill.csv", log))
	assert.Equal(t, 3, out.Kept)
	origin, value, _, _ := c.Sheet(spot, testkit.Now).Of("water_temp_c")
	assert.Equal(t, "observed", origin)
	assert.InDelta(t, 11, value, 1e-9)

	rmc := nmea.Sentence{Talker: "GP", Type: "RMC", Fields: []string{"080000", "A", "3115.100", "N", "04509.800", "W", "2", "90", "201126",
		"", "", "A"}}
	var text strings.Builder
	for i := range 30 {
		rmc.Fields[0] = fmt.Sprintf("08%02d00", i)
		text.WriteString(rmc.String() + "\n" + nmea.Sentence{Talker: "SD", Type: "DPT", Fields: []string{"2.5", "0.2"}}.String() + "\n" +
			nmea.Sentence{Talker: "YX", Type: "MTW", Fields: []string{"12.4", "C"}}.String() + "\nnoise\n")
	}
	require.Equal(t, http.StatusOK, send("name=creek.nmea", text.String()))
	assert.Equal(t, "nmea", out.Format)
	assert.Equal(t, []int{30, 30}, []int{out.Soundings, out.PassedBy})
	assert.Equal(t, 3, out.Kinds[0].N, "one temperature in ten minutes")

	for body, says := range map[string]string{
		"time,water_temp_c\n2026-11-20T06:00Z,-400\n": "line 2, column water_temp_c",
		"time,temperature\n":                          "expected a column time and one of",
		"$GPRMC":                                      "no sentences", "time,water_temp_c\n2031-01-01T00:00Z,12\n": "yet to come",
		"time,water_temp_c\n\xff": "not UTF-8",
	} {
		var p problem
		assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/waters/"+water+"/log?name=x", body, &p), body)
		assert.Contains(t, p.Detail, says)
	}
	assert.Equal(t, http.StatusNotFound, kit.Fresh(t, "wren").Do("POST", "/waters/"+water+"/log?keep=true&name=x", log, nil))
}
