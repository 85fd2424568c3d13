package geojson

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/interchange/feature"
)

// The example of RFC 7946, section 1.5.
const rfc = `{"type": "FeatureCollection", "features": [
 {"type": "Feature", "geometry": {"type": "Point", "coordinates": [102.0, 0.5]}, "properties": {"prop0": "value0"}},
 {"type": "Feature", "geometry": {"type": "LineString", "coordinates": [[102.0, 0.0], [103.0, 1.0], [104.0, 0.0], [105.0, 1.0]]},
  "properties": {"prop0": "value0", "prop1": 0.0}},
 {"type": "Feature", "geometry": {"type": "Polygon", 
  "coordinates": [[[100.0, 0.0], [101.0, 0.0], [101.0, 1.0], [100.0, 1.0], [100.0, 0.0]]]},
  "properties": {"prop0": "value0", "prop1": {"this": "that"}}}]}`

func TestTheStandardsExample(t *testing.T) {
	got, skipped, err := Read([]byte(rfc))
	require.NoError(t, err)
	assert.Empty(t, skipped)
	require.Len(t, got, 3)
	assert.Equal(t, feature.Position{Lat: 0.5, Lon: 102}, got[0].Parts[0][0])
	assert.Equal(t, feature.Track, got[1].Kind)
	assert.Len(t, got[2].Parts[0], 4, "a ring is kept open")
	assert.JSONEq(t, `{"this": "that"}`, got[2].Properties["prop1"])
}

func TestMistakesAreNamed(t *testing.T) {
	for text, want := range map[string]string{
		"":                     "this is no JSON",
		`{"type": "Topology"}`: "not known",
		`{"type": "FeatureCollection", "features": [null]}`:                                                             "geojson",
		`{"type": "Feature", "geometry": {"type": "Point", "coordinates": [31.2, 145.0]}}`:                              "swapped",
		`{"type": "Feature", "geometry": {"type": "Point", "coordinates": [500000, 4000000]}}`:                          "not on Earth",
		`{"type": "FeatureCollection", "crs": {"properties": {"name": "urn:ogc:def:crs:EPSG::25830"}}, "features": []}`: "coordinate",
		`{"type": "Polygon", "coordinates": [[[0, 0], [1, 1]]]}`:                                                        "expected 3",
	} {
		got, _, err := Read([]byte(text))
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, got)
	}
}

func TestRoundTrip(t *testing.T) {
	text := rapid.StringMatching(`[A-Za-z é"]{0,9}`)
	rapid.Check(t, func(t *rapid.T) {
		part := func(n int) []feature.Position {
			var out []feature.Position
			for i := range n {
				out = append(out, feature.Position{Lat: rapid.Float64Range(-80, 80).Draw(t, "lat"), Lon: float64(i) +
					rapid.Float64Range(0, 0.9).Draw(t, "lon")})
			}
			return out
		}
		var list []feature.Feature
		for range rapid.IntRange(0, 5).Draw(t, "n") {
			f := feature.Feature{Kind: rapid.SampledFrom([]feature.Kind{feature.Point, feature.Track, feature.Route, feature.Area}).Draw(t,
				"kind"), Name: text.Draw(t, "name"), Description: text.Draw(t, "says")}
			n := map[feature.Kind]int{feature.Point: 1, feature.Track: 4, feature.Route: 3, feature.Area: 5}[f.Kind]
			f.Parts = [][]feature.Position{part(n)}
			if f.Kind == feature.Track && rapid.Bool().Draw(t, "two") {
				f.Parts = append(f.Parts, part(3))
			}
			list = append(list, f)
		}
		raw, err := Write(list)
		require.NoError(t, err)
		again, skipped, err := Read(raw)
		require.NoError(t, err)
		assert.Empty(t, skipped)
		require.Len(t, again, len(list))
		for i := range list {
			assert.Equal(t, list[i], again[i])
		}
	})
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(rfc))
	f.Fuzz(func(t *testing.T, raw []byte) {
		if got, _, err := Read(raw); err != nil && got != nil {
			t.Fatal("half read")
		}
	})
}
