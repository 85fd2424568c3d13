package forecast

import (
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
)

const good = "time,forecast_reference_time,wind_speed,sea_surface_temperature,x_wind,cloud_area_fraction\n" +
	"2026-11-20T06:00:00Z,2026-11-20T00:00:00Z,4.5,291.65,1,0.25\n2026-11-20T07:00:00Z,2026-11-20T00:00:00Z,5,,2,0.5\n"

func TestReads(t *testing.T) {
	f, err := Read([]byte(good))
	require.NoError(t, err)
	assert.Equal(t, time.Date(2026, 11, 20, 0, 0, 0, 0, time.UTC), f.Issued)
	require.Len(t, f.Readings, 5, "a gap and a name not known are passed over")
	b := conditions.Believe(f.Readings, time.Date(2026, 11, 20, 6, 0, 0, 0, time.UTC))
	assert.InDelta(t, 18.5, b[conditions.WaterTemp].Value, 1e-9)
	assert.Equal(t, 4.5, b[conditions.WindSpeed].Value)
	assert.Equal(t, conditions.Forecast, b[conditions.Cloud].Origin)
}

func TestMistakesAreNamed(t *testing.T) {
	for text, want := range map[string]string{
		"":                                      "line 1: empty",
		"time,wind_speed\n":                     "column forecast_reference_time: missing",
		"time,forecast_reference_time,rain\n":   "no column has a CF standard name",
		strings.Replace(good, "4.5", "calm", 1): "line 2, column wind_speed: expected a number",
		strings.Replace(good, "291.65", "18.5", 1):               "line 2, column sea_surface_temperature: water_temp_c must be between",
		strings.Replace(good, ",2,0.5", "", 1):                   "line 3: 4 values, expected 6: the file is cut",
		strings.Replace(good, "2026-11-20T06:00:00Z", "soon", 1): "line 2, column time",
		strings.SplitAfter(good, "\n")[0]:                        "no rows",
		good[:len(good)-2]:                                       "the last line does not end: the file is cut",
		"<html>Bad gateway</html>":                               "column time: missing",
		strings.Replace(good, "x_wind", "wind_speed", 1):         "two such columns",
	} {
		f, err := Read([]byte(text))
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, f.Readings)
	}
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(good))
	f.Fuzz(func(t *testing.T, raw []byte) {
		got, err := Read(raw)
		if err != nil && (len(got.Readings) > 0 || !strings.HasPrefix(err.Error(), "line ")) {
			t.Fatal(err)
		}
		for _, r := range got.Readings {
			if r.Validate() != nil {
				t.Fatal(r)
			}
		}
	})
}
