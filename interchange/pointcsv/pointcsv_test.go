package pointcsv

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/quantity"
	"greypebble/interchange/feature"
)

const good = "Name;Lat;Lon;Note\nOld post;31,2;-45,1;leans\n;31,3;-45,2;\n"

func TestReads(t *testing.T) {
	got, _, err := Read([]byte(good))
	require.NoError(t, err)
	require.Len(t, got, 2)
	assert.Equal(t, "leans", got[0].Description)
	assert.Equal(t, 31.2, got[0].Parts[0][0].Lat)
}

func TestMistakesAreNamed(t *testing.T) {
	for text, want := range map[string]string{
		"":                                          "the file is empty",
		"name,latitude,lon\n":                       "expected columns name, lat and lon",
		"name,lat,lon\na,131,31\n":                  "line 2, column lat",
		"name,lat,lon\na,x,31\n":                    "line 2, column lat",
		"name,lat,lon\na,,31\n":                     "empty",
		"name,lat,lon\na,31,999\n":                  "not on Earth",
		"name,lat,lon\na\n":                         "1 values",
		"name,lat,lon\n\xff,31,45\n":                "not UTF-8",
		"name,name,lat,lon\na,b,1,2\n":              "two such columns",
		"name,lat,lon,elevation_m\na,31,-45,deep\n": "column elevation_m",
		"name,lat,lon,elevation_m,elevation_ft\na,31,-45,1,3\n": "stands in another unit too",
	} {
		got, _, err := Read([]byte(text))
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, got)
	}
}

func TestRoundTrip(t *testing.T) {
	text := rapid.StringMatching(`[A-Za-z"';,é&<]([A-Za-z "';,é&<]{0,10}[A-Za-z"';,é&<])?`)
	rapid.Check(t, func(t *rapid.T) {
		list := rapid.SliceOfN(rapid.Custom(func(t *rapid.T) feature.Feature {
			p := feature.Position{Lat: rapid.Float64Range(-90, 90).Draw(t, "lat"), Lon: rapid.Float64Range(-180, 180).Draw(t, "lon")}
			if rapid.Bool().Draw(t, "ele") {
				e := rapid.Float64Range(-100, 100).Draw(t, "e")
				p.Ele = &e
			}
			return feature.Feature{Kind: feature.Point, Name: text.Draw(t, "name"), Type: text.Draw(t, "type"),
				Description: text.Draw(t, "note"), Parts: [][]feature.Position{{p}}}
		}), 1, 20).Draw(t, "list")
		got, _, err := Read(Write(list, quantity.Metric))
		require.NoError(t, err)
		assert.Equal(t, list, got)
	})
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(good))
	f.Fuzz(func(t *testing.T, raw []byte) {
		if got, _, err := Read(raw); err != nil && got != nil {
			t.Fatalf("%v beside %v", got, err)
		}
	})
}
