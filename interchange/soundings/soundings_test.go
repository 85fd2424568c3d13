package soundings

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const good = "lat;lon;depth_ft\n31,2;-45,1;10\n31,201;-45,1;12,5\n"

func TestReads(t *testing.T) {
	got, err := Read([]byte(good), 0.2)
	require.NoError(t, err)
	require.Len(t, got, 2)
	assert.InDelta(t, 0.2-3.048, got[0].ElevationM, 1e-9)
	assert.Equal(t, 31.201, got[1].Lat)
}

func TestMistakesAreNamed(t *testing.T) {
	for text, want := range map[string]string{
		"": "the file is empty", "lat,lon,z\n": "expected columns lat, lon", "lat,lon,depth_m,elevation_m\n": "says the same",
		"lat,lon,depth_m\n31,x,1\n": "line 2, column lon", "lat,lon,depth_m\n131,31,1\n": "swapped",
		"lat,lon,depth_m\n31,45,9999\n": "no depth near a shore",
		"lat,lon,depth_m\n31,45,\n":     "line 2, column depth_m: empty",
	} {
		got, err := Read([]byte(text), 0)
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, got)
	}
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(good))
	f.Fuzz(func(t *testing.T, raw []byte) {
		got, err := Read(raw, 0)
		if err != nil && (got != nil || !strings.HasPrefix(err.Error(), "line ")) {
			t.Fatalf("%v %v", got, err)
		}
	})
}
