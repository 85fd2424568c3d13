package kml

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/interchange/feature"
)

const good = `<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document><Folder>
<Placemark><name>Sill</name><description>opens late</description>
<Point><coordinates>-45.1,31.2,0.4</coordinates></Point></Placemark></Folder><GroundOverlay><name>x</name></GroundOverlay>
<Placemark><name>Zone</name>
<Polygon><outerBoundaryIs><LinearRing><coordinates>0,0 1,0 1,1 0,0</coordinates></LinearRing></outerBoundaryIs></Polygon></Placemark>
<Placemark><name>Bare</name></Placemark></Document></kml>`

func TestReads(t *testing.T) {
	got, skipped, err := Read([]byte(good))
	require.NoError(t, err)
	require.Len(t, got, 2)
	assert.Equal(t, 0.4, *got[0].Parts[0][0].Ele)
	assert.Len(t, got[1].Parts[0], 3)
	assert.Len(t, skipped, 2)
}

func TestMistakesAreNamed(t *testing.T) {
	wrap := func(s string) string {
		return `<kml><Placemark><Point><coordinates>` + s + `</coordinates></Point></Placemark></kml>`
	}
	for text, want := range map[string]string{
		"": "no KML", "<gpx/>": "no KML", "<kml>\n<Placemark>": "line 2", wrap("31"): "expected longitude,latitude",
		wrap("a,b"):    "expected a number",
		wrap("31,145"): "swapped", wrap("0,0 1,1"): "expected 1",
	} {
		got, _, err := Read([]byte(text))
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, got)
	}
}

func TestRoundTrip(t *testing.T) {
	text := rapid.StringMatching(`[A-Za-z<& é"]{0,9}`)
	rapid.Check(t, func(t *rapid.T) {
		part := func(n int) []feature.Position {
			var out []feature.Position
			for i := range n {
				ele := 1 + rapid.Float64Range(0, 9).Draw(t, "ele")
				out = append(out, feature.Position{Lat: rapid.Float64Range(-80, 80).Draw(t, "lat"), Lon: float64(i) +
					rapid.Float64Range(0, 0.9).Draw(t, "lon"), Ele: &ele})
			}
			return out
		}
		var list []feature.Feature
		for range rapid.IntRange(0, 5).Draw(t, "n") {
			f := feature.Feature{Kind: rapid.SampledFrom([]feature.Kind{feature.Point, feature.Track, feature.Area}).Draw(t, "kind"),
				Name: text.Draw(t, "name"), Description: text.Draw(t, "says")}
			f.Parts = [][]feature.Position{part(map[feature.Kind]int{feature.Point: 1, feature.Track: 4, feature.Area: 5}[f.Kind])}
			list = append(list, f)
		}
		raw, err := Write(list)
		require.NoError(t, err)
		again, _, err := Read(raw)
		require.NoError(t, err)
		require.Len(t, again, len(list))
		for i := range list {
			assert.Equal(t, list[i], again[i])
		}
	})
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(good))
	f.Fuzz(func(t *testing.T, raw []byte) {
		if got, _, err := Read(raw); err != nil && got != nil {
			t.Fatal("half read")
		}
	})
}
