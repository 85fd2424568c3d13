package profile

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/ground"
)

const good = "distance_ft;depth_ft\n100;10,5\n0;-2\n"

func TestReadsInOrderAndUnits(t *testing.T) {
	got, err := Read([]byte(good))
	require.NoError(t, err)
	require.Len(t, got, 2)
	assert.InDelta(t, 2*0.3048, got[0].ElevationM, 1e-12)
	assert.InDelta(t, 30.48, got[1].DistanceM, 1e-12)
	assert.InDelta(t, -10.5*0.3048, got[1].ElevationM, 1e-12)
}

func TestMistakesAreNamed(t *testing.T) {
	for text, want := range map[string]string{
		"":                                     "the file is empty",
		"d,z\n1,2\n":                           "distance_ft, distance_m",
		"distance_m,z\n1,2\n":                  "depth_ft, depth_m, elevation_ft, elevation_m",
		"distance_m,elevation_m,depth_m\n":     "says the same",
		"distance_m,elevation_m\n1,x\n":        "line 2, column elevation_m",
		"distance_m,elevation_m\n1,\n":         "line 2, column elevation_m: empty",
		"distance_m,elevation_m\n1,2\n":        "at least 2 points",
		"distance_m,elevation_m\n1,2\n1,3\n":   "greater than the one before",
		"distance_m,elevation_m\n1,2\n2,999\n": "within ±500 m",
		"distance_m,elevation_m\n" + strings.Repeat("1,2\n", Most+1): "more than 500 points",
	} {
		got, err := Read([]byte(text))
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, got)
	}
}

func TestRoundTrip(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(2, 60).Draw(t, "n")
		points := make([]ground.Point, n)
		d := rapid.Float64Range(-50, 50).Draw(t, "from")
		for i := range points {
			points[i] = ground.Point{DistanceM: d, ElevationM: rapid.Float64Range(-40, 40).Draw(t, "z")}
			d += rapid.Float64Range(0.1, 90).Draw(t, "on")
		}
		got, err := Read(Write(points))
		require.NoError(t, err)
		assert.Equal(t, points, got)
	})
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(good))
	f.Fuzz(func(t *testing.T, raw []byte) {
		if got, err := Read(raw); err != nil && got != nil {
			t.Fatalf("%v beside %v", got, err)
		}
	})
}
