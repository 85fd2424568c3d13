package turns

import (
	"math"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/quantity"
	"greypebble/core/tide"
)

const good = "time;height_ft;kind\n2026-05-12 06:00;5,5;High\n2026-05-12 12:10;0,4;LW\n2026-05-12 18:30;5,2;hw\n"

func TestReads(t *testing.T) {
	got, err := Read([]byte(good), time.FixedZone("", -3*3600))
	require.NoError(t, err)
	require.Len(t, got, 3)
	assert.Equal(t, time.Date(2026, 5, 12, 9, 0, 0, 0, time.UTC), got[0].Time)
	assert.InDelta(t, 5.5*0.3048, got[0].LevelM, 1e-12)
	assert.Equal(t, []tide.Kind{tide.High, tide.Low, tide.High}, []tide.Kind{got[0].Kind, got[1].Kind, got[2].Kind})
	bare, err := Read([]byte("time,height_m\n2026-05-12T06:00Z,1.7\n2026-05-12T12:10Z,0.2\n2026-05-12T18:30Z,1.5\n"), nil)
	require.NoError(t, err)
	assert.Equal(t, []tide.Kind{tide.High, tide.Low, tide.High}, []tide.Kind{bare[0].Kind, bare[1].Kind, bare[2].Kind},
		"told from the neighbours")
}

func TestMistakesAreNamed(t *testing.T) {
	for text, want := range map[string]string{
		"":                                   "the file is empty",
		"time,kind\n":                        "expected columns time and height_m",
		good + "soon;1;high\n":               "line 5, column time",
		good + "2026-05-12 18:30;1;low\n":    "line 5, column time: not later",
		good + "2026-05-13 00:40;;low\n":     "line 5, column height_ft: empty",
		good + "2026-05-13 00:40;9999;low\n": "line 5, column height_ft: a height of",
		good + "2026-05-13 00:40;1;slack\n":  "line 5, column kind: expected high or low",
	} {
		got, err := Read([]byte(text), time.UTC)
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, got)
	}
}

func TestRoundTrip(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var list []tide.Turn
		at := time.Unix(rapid.Int64Range(0, 4e9).Draw(t, "start"), 0).UTC()
		for range rapid.IntRange(1, 30).Draw(t, "turns") {
			at = at.Add(time.Duration(rapid.IntRange(60, 50000).Draw(t, "gap")) * time.Second)
			kind := tide.Low
			if rapid.Bool().Draw(t, "high") {
				kind = tide.High
			}
			list = append(list, tide.Turn{Time: at, LevelM: math.Round(rapid.Float64Range(-9, 9).Draw(t, "level")*1000) / 1000, Kind: kind})
		}
		again, err := Read(Write(list, quantity.Metric), nil)
		require.NoError(t, err)
		assert.Equal(t, list, again)
		feet, err := Read(Write(list, quantity.US), nil)
		require.NoError(t, err)
		for i := range feet {
			assert.InDelta(t, list[i].LevelM, feet[i].LevelM, 0.0016, "a hundredth of a foot")
		}
	})
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(good))
	f.Fuzz(func(t *testing.T, raw []byte) {
		got, err := Read(raw, time.UTC)
		if err != nil && (got != nil || !strings.HasPrefix(err.Error(), "line ")) {
			t.Fatalf("%v %v", got, err)
		}
	})
}
