package gpx

import (
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/interchange/feature"
)

// Another library, OpenLayers, reads written.gpx in ui/src/map/formats.test.ts,
// which also keeps openlayers.gpx to what that library writes.
func TestOthersReadAndWriteIt(t *testing.T) {
	list := feature.Sample()
	raw, err := Write(list, "a check")
	require.NoError(t, err)
	if os.Getenv("REWRITE") != "" {
		require.NoError(t, os.WriteFile("testdata/written.gpx", raw, 0o644))
	}
	kept, err := os.ReadFile("testdata/written.gpx")
	require.NoError(t, err)
	assert.Equal(t, string(kept), string(raw), "run with REWRITE=1 and look at what changed")

	theirs, err := os.ReadFile("testdata/openlayers.gpx")
	require.NoError(t, err)
	got, _, err := Read(theirs)
	require.NoError(t, err)
	require.Len(t, got, 3)
	byName := map[string]feature.Feature{}
	for _, f := range list {
		byName[f.Name] = f
	}
	for _, f := range got {
		want := byName[f.Name]
		require.Len(t, f.Parts, len(want.Parts), f.Name)
		for j, part := range f.Parts {
			require.Len(t, part, len(want.Parts[j]), f.Name)
			for k, p := range part {
				assert.InDelta(t, want.Parts[j][k].Lat, p.Lat, 1e-9)
				assert.InDelta(t, want.Parts[j][k].Lon, p.Lon, 1e-9)
			}
		}
	}
}
