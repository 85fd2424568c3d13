package logger

import (
	"math"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/core/quantity"
)

const good = "time,water_temp_f,wind_speed_kn,note\n2026-11-20T06:00Z,59,10,mouth of the creek\n2026-11-20T06:10Z,59.9,,\n"

func TestReads(t *testing.T) {
	got, err := Read([]byte(good), nil, "logger at the sill")
	require.NoError(t, err)
	require.Len(t, got, 3, "an empty value is a gap, an unknown column passed over")
	byKind := map[conditions.Kind]float64{}
	for _, r := range got {
		assert.Equal(t, conditions.Observed, r.Origin)
		assert.Equal(t, "logger at the sill", r.Source)
		if r.Time.Minute() == 0 {
			byKind[r.Kind] = r.Value
		}
	}
	assert.InDelta(t, 15, byKind[conditions.WaterTemp], 1e-6)
	assert.InDelta(t, 5.144444, byKind[conditions.WindSpeed], 1e-6)
}

func TestMistakesAreNamed(t *testing.T) {
	for text, want := range map[string]string{
		"":                                 "the file is empty",
		"time,temperature\n":               "expected a column time and one of",
		"time,water_temp_c,water_temp_f\n": "says the same as water_temp_c",
		"time,water_temp_c\n2026-11-20T06:00Z,-400\n":                 "line 2, column water_temp_c: water_temp_c must be between",
		"time,water_temp_c\n2026-11-20T06:00Z,warm\n":                 "line 2, column water_temp_c: expected a number",
		"time,water_temp_c\n2026-11-20T06:00Z,12\nlater,12\n":         "line 3, column time",
		"time,water_temp_f\n2026-11-20T06:00Z,300\n":                  "must be between",
		"time,water_temp_c\n2026-11-20T06:00Z,12\n2026-11-20 07:00,1": "line 3, column time",
	} {
		got, err := Read([]byte(text), nil, "x")
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, got)
	}
}

func TestRoundTrip(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		spoken := rapid.SampledFrom([]quantity.Units{quantity.Metric, quantity.US, {Wind: "kn"}}).Draw(t, "spoken")
		var list []conditions.Reading
		for i := range rapid.IntRange(1, 20).Draw(t, "moments") {
			at := time.Unix(1.7e9+int64(i)*600, 0).UTC()
			for k, most := range map[conditions.Kind]float64{conditions.WaterTemp: 30, conditions.WindSpeed: 20} {
				if rapid.Bool().Draw(t, "there") {
					list = append(list, conditions.Reading{Kind: k,
						Value: math.Round(rapid.Float64Range(0, most).Draw(t, "value")*100) / 100, Time: at, Origin: conditions.Observed,
						Source: "x"})
				}
			}
		}
		if len(list) == 0 {
			return
		}
		again, err := Read(Write(list, spoken), nil, "x")
		require.NoError(t, err)
		assert.ElementsMatch(t, list, again)
	})
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(good))
	f.Fuzz(func(t *testing.T, raw []byte) {
		got, err := Read(raw, time.UTC, "x")
		if err != nil && (got != nil || !strings.HasPrefix(err.Error(), "line ")) {
			t.Fatalf("%v %v", got, err)
		}
	})
}

func TestAColumnNamesItsUnit(t *testing.T) {
	list := []conditions.Reading{{Kind: conditions.WaterTemp, Value: 15}, {Kind: conditions.WindSpeed, Value: 4.4704},
		{Kind: conditions.SwellHeight, Value: 0.9144}, {Kind: conditions.Rain, Value: 2}}
	assert.Equal(t, "time,rain_mm,swell_height_ft,water_temp_f,wind_speed_mph\n0001-01-01T00:00:00Z,2,3,59,10\n",
		string(Write(list, quantity.US)))
}
