package kml

import (
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/interchange/feature"
)

// Another library, OpenLayers, reads written.kml in ui/src/map/formats.test.ts,
// which also keeps openlayers.kml to what that library writes.
func TestOthersReadAndWriteIt(t *testing.T) {
	list := feature.Sample()
	raw, err := Write(list)
	require.NoError(t, err)
	if os.Getenv("REWRITE") != "" {
		require.NoError(t, os.WriteFile("testdata/written.kml", raw, 0o644))
	}
	kept, err := os.ReadFile("testdata/written.kml")
	require.NoError(t, err)
	assert.Equal(t, string(kept), string(raw), "run with REWRITE=1 and look at what changed")

	theirs, err := os.ReadFile("testdata/openlayers.kml")
	require.NoError(t, err)
	got, _, err := Read(theirs)
	require.NoError(t, err)
	require.Len(t, got, 5, "a geometry of two parts is read as two tracks")
	var want, read [][]feature.Place
	for _, f := range list {
		want = append(want, f.Parts...)
	}
	for _, f := range got {
		read = append(read, f.Parts...)
	}
	require.Len(t, read, len(want))
	for i := range want {
		require.Len(t, read[i], len(want[i]))
		for k, p := range read[i] {
			assert.InDelta(t, want[i][k].Lat, p.Lat, 1e-9)
			assert.InDelta(t, want[i][k].Lon, p.Lon, 1e-9)
		}
	}
}
