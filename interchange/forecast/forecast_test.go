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

// How far a value is likely off comes with it (CF conventions, appendix C): of kinds spoken of by their
// logarithm as a share; less than a forecast's usual error is not believed.
func TestALikelyErrorComesWithItsValue(t *testing.T) {
	head := "time,forecast_reference_time,wind_speed,wind_speed standard_error,sea_surface_swell_wave_significant_height," +
		"sea_surface_swell_wave_significant_height standard_error\n"
	f, err := Read([]byte(head + "2026-05-12T06:00:00Z,2026-05-12T00:00:00Z,5,3.5,2,1\n" +
		"2026-05-12T07:00:00Z,2026-05-12T00:00:00Z,5,0.1,2,\n"))
	require.NoError(t, err)
	spread := map[conditions.Kind][]float64{}
	for _, r := range f.Readings {
		spread[r.Kind] = append(spread[r.Kind], r.Spread)
	}
	assert.Equal(t, []float64{3.5, 0}, spread[conditions.WindSpeed])
	if s := spread[conditions.SwellHeight]; len(s) > 0 {
		assert.Equal(t, []float64{0.5, 0}, s)
	}
	_, err = Read([]byte(head + "2026-05-12T06:00:00Z,2026-05-12T00:00:00Z,5,-1,2,1\n"))
	assert.ErrorContains(t, err, "wind_speed standard_error")
}
