// Package featuretest checks the formats of places against another library's.
package featuretest

import (
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/interchange/feature"
)

// Sample holds one feature of each kind. Its places are invented, on the open
// ocean.
func Sample() []feature.Feature {
	ele := func(m float64) *float64 { return &m }
	return []feature.Feature{
		{Kind: feature.Point, Name: "Drowned post", Description: "learned at dead low water",
			Parts: [][]feature.Position{{{Lat: 31.2125, Lon: -45.1375, Ele: ele(-1.5)}}}},
		{Kind: feature.Track, Name: "Ebb drift", Parts: [][]feature.Position{{{Lat: 31.2, Lon: -45.1}, {Lat: 31.201, Lon: -45.1025}},
			{{Lat: 31.203, Lon: -45.104}, {Lat: 31.204, Lon: -45.105}}}},
		{Kind: feature.Route, Name: "Way in", Parts: [][]feature.Position{{{Lat: 31.19, Lon: -45.09}, {Lat: 31.195, Lon: -45.095}}}},
		{Kind: feature.Area, Name: "Eelgrass",
			Parts: [][]feature.Position{{{Lat: 31.2, Lon: -45.2}, {Lat: 31.2, Lon: -45.19}, {Lat: 31.21, Lon: -45.19},
				{Lat: 31.21, Lon: -45.2}}}},
	}
}

// BesideOpenLayers checks a format both ways: what is written stays as
// testdata/written.* has it, which that library reads in
// ui/src/map/formats.test.ts; what that library writes, kept by the same test as
// testdata/openlayers.*, is read here.
func BesideOpenLayers(t *testing.T, format string, write func([]feature.Feature) ([]byte, error),
	read func([]byte) ([]feature.Feature, []feature.Skipped, error)) {
	t.Helper()
	list := Sample()
	raw, err := write(list)
	require.NoError(t, err)
	ours := "testdata/written." + format
	if os.Getenv("REWRITE") != "" {
		require.NoError(t, os.WriteFile(ours, raw, 0o600))
	}
	kept, err := os.ReadFile(ours)
	require.NoError(t, err)
	assert.Equal(t, string(kept), string(raw), "run with REWRITE=1 and look at what changed")

	theirs, err := os.ReadFile("testdata/openlayers." + format)
	require.NoError(t, err)
	got, _, err := read(theirs)
	require.NoError(t, err)
	require.NotEmpty(t, got)
	// The parts of one geometry may come as features of their own.
	want := map[string][][]feature.Position{}
	for _, f := range list {
		want[f.Name] = f.Parts
	}
	for _, f := range got {
		for _, part := range f.Parts {
			require.NotEmpty(t, want[f.Name], f.Name)
			first := want[f.Name][0]
			want[f.Name] = want[f.Name][1:]
			require.Len(t, part, len(first), f.Name)
			for k, p := range part {
				assert.InDelta(t, first[k].Lat, p.Lat, 1e-9)
				assert.InDelta(t, first[k].Lon, p.Lon, 1e-9)
			}
		}
	}
	for name, left := range want {
		if name == "Eelgrass" && format == "gpx" {
			continue // GPX has no areas, and that library writes none
		}
		assert.Empty(t, left, name)
	}
}
