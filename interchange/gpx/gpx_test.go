package gpx

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/interchange/feature"
)

const good = `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1">
 <wpt lat="31.2" lon="-45.1"><ele>-1.5</ele><time>2026-05-12T06:00:00Z</time><name>Snag</name>
  <cmt>learned at low water</cmt><sym>Dot</sym><extensions><a/></extensions></wpt>
 <rte><name>In</name><rtept lat="31.2" lon="-45.1"/><rtept lat="31.21" lon="-45.1"/></rte>
 <trk><name>Drift</name><trkseg><trkpt lat="31.2" lon="-45.1"><time>2026-05-12T06:00:00.5Z</time></trkpt></trkseg>
  <trkseg><trkpt lat="31.3" lon="-45.1"/></trkseg></trk>
 <trk><name>Nothing</name></trk>
</gpx>`

func TestReads(t *testing.T) {
	got, skipped, err := Read([]byte(good))
	require.NoError(t, err)
	require.Len(t, got, 3)
	assert.Equal(t, "Snag", got[0].Name)
	assert.Equal(t, -1.5, *got[0].Parts[0][0].Ele)
	assert.Len(t, got[2].Parts, 2)
	assert.Len(t, skipped, 2, "an empty track and extensions")
}

func TestMistakesAreNamed(t *testing.T) {
	wrap := func(s string) string { return `<gpx version="1.1">` + s + `</gpx>` }
	for text, want := range map[string]string{
		"":                               "no GPX",
		"<kml></kml>":                    "gpx",
		wrap(`<wpt lon="1"/>`):           "lat and lon are missing",
		wrap(`<wpt lat="x" lon="1"/>`):   "line 1",
		wrap(`<wpt lat="131" lon="1"/>`): "swapped",
		wrap(`<wpt lat="1" lon="999"/>`): "not on Earth",
		wrap(`<wpt lat="1" lon="1"><time>noon</time></wpt>`): "expected a time",
		"<gpx>\n<wpt": "line 2",
		`<?xml version="1.0" encoding="ISO-8859-1"?><gpx/>`: "expected UTF-8",
	} {
		got, _, err := Read([]byte(text))
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, got)
	}
}

// Everything the format can carry comes back.
func TestRoundTrip(t *testing.T) {
	text := rapid.StringMatching(`[A-Za-z<&> é"']{0,12}`)
	rapid.Check(t, func(t *rapid.T) {
		place := func() feature.Position {
			p := feature.Position{Lat: rapid.Float64Range(-90, 90).Draw(t, "lat"), Lon: rapid.Float64Range(-180, 180).Draw(t, "lon")}
			if rapid.Bool().Draw(t, "ele") {
				e := rapid.Float64Range(-100, 100).Draw(t, "e")
				p.Ele = &e
			}
			if rapid.Bool().Draw(t, "timed") {
				at := time.Unix(0, rapid.Int64Range(0, 4e18).Draw(t, "t")).UTC()
				p.Time = &at
			}
			return p
		}
		var points, routes, tracks []feature.Feature
		for range rapid.IntRange(0, 3).Draw(t, "points") {
			points = append(points, feature.Feature{Kind: feature.Point, Name: text.Draw(t, "n"), Comment: text.Draw(t, "c"),
				Description: text.Draw(t, "d"), Symbol: text.Draw(t, "s"), Type: text.Draw(t, "y"), Parts: [][]feature.Position{{place()}}})
		}
		for range rapid.IntRange(0, 2).Draw(t, "routes") {
			routes = append(routes, feature.Feature{Kind: feature.Route, Name: text.Draw(t, "n"),
				Parts: [][]feature.Position{{place(), place()}}})
		}
		for range rapid.IntRange(0, 2).Draw(t, "tracks") {
			tracks = append(tracks, feature.Feature{Kind: feature.Track, Name: text.Draw(t, "n"),
				Parts: [][]feature.Position{{place()}, {place(), place()}}})
		}
		list := append(append(points, routes...), tracks...)
		raw, err := Write(list, "test")
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
