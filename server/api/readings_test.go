package api_test

import (
	"fmt"
	"net/http"
	"net/url"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/interchange/nmea"
	"greypebble/testkit"
)

type sheet struct {
	Light    string
	Readings []struct {
		Kind, Says, Origin, Source, Place string
		Value, Low, High                  float64
		Age                               float64 `json:"age_s"`
	}
	Surface struct {
		Word, Side string
		Outlined   bool
	}
	Trend *struct {
		PerDay float64 `json:"per_day"`
		Days   int
	} `json:"water_temp_trend"`
	Warmth []struct {
		Name   string
		Now    *float64 `json:"now_c"`
		Points []struct{ C *float64 }
	}
	Bands []struct {
		Light    string
		FromM    float64                        `json:"from_m"`
		ToM      float64                        `json:"to_m"`
		Finishes []struct{ Finish, Why string } `json:"finishes"`
	}
	History []struct {
		Kind   string
		Points []struct{ Origin string }
	}
}

func (s sheet) of(kind string) (origin string, value float64, says, place string) {
	for _, r := range s.Readings {
		if r.Kind == kind {
			return r.Origin, r.Value, r.Says, r.Place
		}
	}
	return "", 0, "", ""
}

func sheetAt(t *testing.T, c *testkit.Client, spot string, at time.Time) (s sheet) {
	t.Helper()
	require.Equal(t, http.StatusOK, c.Do("GET", "/conditions?spot_id="+spot+"&time="+at.Format(time.RFC3339), nil, &s))
	return s
}

// What the angler sees is kept, goes first, says where it was taken, fades into
// the forecast again, and can be taken back.
func TestTheAnglersReadings(t *testing.T) {
	c := kit.As(t, "wren")
	spot, water := demo.SpotID("Cutwater Pier"), demo.WaterID("Long Strand water").String()
	at := testkit.Now.Add(-40 * time.Minute)
	add := func(at time.Time, readings ...object) int {
		return c.Do("POST", "/waters/"+water+"/readings", object{"time": at, "spot_id": spot, "readings": readings}, nil)
	}
	require.Equal(t, http.StatusNoContent, add(at, object{"kind": "water_temp_c", "value": 59, "unit": "°F"}, object{"kind": "clarity_secchi_m", "word": "stained"}))
	s := sheetAt(t, c, spot, testkit.Now)
	origin, value, _, place := s.of("water_temp_c")
	assert.Equal(t, "observed", origin)
	assert.InDelta(t, 15, value, 1e-9)
	assert.Equal(t, "Cutwater Pier", place)
	origin, value, says, _ := s.of("clarity_secchi_m")
	assert.Equal(t, []any{"observed", "stained"}, []any{origin, says})
	assert.InDelta(t, 1, value, 1e-9)
	for _, r := range s.Readings {
		if r.Kind == "clarity_secchi_m" {
			assert.InDelta(t, 2400, r.Age, 1)
			assert.Greater(t, r.High/r.Low, 2.0, "a word is a wide reading")
		}
	}
	later, _, _, _ := sheetAt(t, c, spot, testkit.Now.AddDate(0, 0, 2)).of("clarity_secchi_m")
	assert.Equal(t, "forecast", later)

	// Expected for tomorrow: kept as expected, and before the service's.
	tomorrow := testkit.Now.Add(26 * time.Hour)
	require.Equal(t, http.StatusNoContent, add(tomorrow, object{"kind": "wind_speed_ms", "value": 11}))
	origin, value, says, _ = sheetAt(t, c, spot, tomorrow).of("wind_speed_ms")
	assert.Equal(t, []any{"forecast", 11.0, "strong breeze"}, []any{origin, value, says})

	back := "/waters/" + water + "/readings?kind=wind_speed_ms&time=" + url.QueryEscape(tomorrow.Format(time.RFC3339))
	assert.Equal(t, http.StatusNotFound, kit.As(t, "moss").Do("DELETE", back, nil, nil), "someone else's water")
	assert.Equal(t, http.StatusNoContent, c.Do("DELETE", back, nil, nil))
	assert.Equal(t, http.StatusNotFound, c.Do("DELETE", back, nil, nil))
	_, value, _, _ = sheetAt(t, c, spot, tomorrow).of("wind_speed_ms")
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
		{object{"kind": "clarity_secchi_m", "word": "soup"}, "muddy, stained, clear, gin clear"}, {object{"kind": "wind_speed_ms", "word": "clear"}, "only clarity"},
	} {
		var p problem
		assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/waters/"+water+"/readings", object{"readings": []object{bad.reading}}, &p))
		assert.Contains(t, p.Detail, bad.says)
		require.NotEmpty(t, p.Errors)
		assert.Contains(t, p.Errors[0].Location, "body.readings[0]")
	}
}

func TestTheConditionsSheet(t *testing.T) {
	c := kit.As(t, "wren")
	s := sheetAt(t, c, demo.SpotID("Kettle Bar"), testkit.Now.Add(5*time.Hour))
	assert.Contains(t, []string{"glassy", "ripple", "chop", "rough"}, s.Surface.Word)
	require.NotNil(t, s.Trend)
	assert.GreaterOrEqual(t, s.Trend.Days, 2)
	require.Len(t, s.Warmth, 5)
	for _, w := range s.Warmth {
		require.Len(t, w.Points, 73, "36 h by half hours")
		if w.Name == "Channel" {
			require.NotNil(t, w.Now)
			_, around, _, _ := s.of("water_temp_c")
			assert.InDelta(t, around, *w.Now, 1.2, "the channel is near the open water")
		}
	}
	require.NotEmpty(t, s.Bands)
	assert.Zero(t, s.Bands[0].FromM)
	for i, b := range s.Bands {
		assert.Len(t, b.Finishes, 7)
		assert.NotEmpty(t, b.Finishes[0].Why)
		if i > 0 {
			assert.Equal(t, s.Bands[i-1].ToM, b.FromM)
		}
	}
	kinds := map[string]bool{}
	for _, h := range s.History {
		kinds[h.Kind] = true
	}
	assert.True(t, kinds["wind_speed_ms"] && kinds["water_temp_c"])
	for _, kind := range []string{"wind_wave_m", "days_from_full", "days_from_new", "surface_light_lx", "tide_strength_pct"} {
		origin, _, _, _ := s.of(kind)
		assert.NotEmpty(t, origin, kind)
	}
}

func TestLogsOfInstruments(t *testing.T) {
	c := kit.As(t, "moss")
	water, spot := demo.WaterID("Fallow Creek").String(), demo.SpotID("Candle Bar")
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
	origin, _, _, _ := sheetAt(t, c, spot, testkit.Now).of("water_temp_c")
	assert.Equal(t, "forecast", origin, "only looked at so far")
	require.Equal(t, http.StatusOK, send("keep=true&time_zone=Etc/GMT%2B3&name=sill.csv", log))
	assert.Equal(t, 3, out.Kept)
	origin, value, _, _ := sheetAt(t, c, spot, testkit.Now).of("water_temp_c")
	assert.Equal(t, "observed", origin)
	assert.InDelta(t, 11, value, 1e-9)

	rmc := nmea.Sentence{Talker: "GP", Type: "RMC", Fields: []string{"080000", "A", "3115.100", "N", "04509.800", "W", "2", "90", "201126", "", "", "A"}}
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
		"time,water_temp_c\n2026-11-20T06:00Z,-400\n": "line 2, column water_temp_c", "time,temperature\n": "expected a column time and one of",
		"$GPRMC": "no sentences", "time,water_temp_c\n2031-01-01T00:00Z,12\n": "yet to come", "time,water_temp_c\n\xff": "not UTF-8",
	} {
		var p problem
		assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/waters/"+water+"/log?name=x", body, &p), body)
		assert.Contains(t, p.Detail, says)
	}
	assert.Equal(t, http.StatusNotFound, kit.As(t, "wren").Do("POST", "/waters/"+water+"/log?keep=true&name=x", log, nil))
}
