package format

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/interchange/feature"
)

// Every entry is told from the others and says what a form needs of it.
func TestTheTablesAreWhole(t *testing.T) {
	whole := func(k Kind, seen map[string]bool) {
		assert.Regexp(t, `^[a-z]+$`, k.ID)
		assert.False(t, seen[k.ID], k.ID)
		seen[k.ID] = true
		assert.NotEmpty(t, k.Name)
		assert.NotEmpty(t, k.Note)
		assert.Contains(t, k.MIME, "/")
		require.NotEmpty(t, k.Extensions)
		for _, e := range k.Extensions {
			assert.Regexp(t, `^\.[a-z]+$`, e)
			assert.False(t, seen[e], "%s is of two formats", e)
			seen[e] = true
		}
	}
	seen := map[string]bool{}
	for _, f := range OfPlaces() {
		whole(f.Kind, seen)
		got, err := PlacesBy(f.ID)
		require.NoError(t, err)
		assert.Equal(t, f.Name, got.Name)
	}
	seen = map[string]bool{}
	for _, f := range OfDepths() {
		whole(f.Kind, seen)
		got, err := DepthsBy(f.ID)
		require.NoError(t, err)
		assert.Equal(t, f.Name, got.Name)
	}
	_, err := PlacesBy("doc")
	assert.ErrorContains(t, err, `unknown format "doc"; known are gpx, geojson,`)
	_, err = DepthsBy("doc")
	assert.ErrorContains(t, err, "known are asc, xyz,")
	// What is handed out is a copy.
	OfPlaces()[0].ID = "spoilt"
	_, err = PlacesBy("gpx")
	assert.NoError(t, err)
}

// What a format writes it reads back: the same names at the same places.
func TestPlacesComeBackFromEveryFormat(t *testing.T) {
	low := -0.61
	want := []feature.Feature{
		{Kind: feature.Point, Name: "Reed gap", Comment: "<&> seen in spring", Type: "oyster bar",
			Parts: [][]feature.Position{{{Lat: 31.2002, Lon: -45.154, Ele: &low}}}},
		{Kind: feature.Point, Name: "Ünder the pier, \"third\"", Parts: [][]feature.Position{{{Lat: -10.5, Lon: 179.9999}}}},
	}
	for i, f := range append(OfPlaces(), OfPlaces()...) {
		u := quantity.Metric
		if i >= len(OfPlaces()) {
			u = quantity.US
		}
		raw, err := f.Write(want, u)
		require.NoError(t, err, f.ID)
		got, skipped, err := f.Read(raw)
		require.NoError(t, err, "%s: %s", f.ID, raw)
		assert.Empty(t, skipped, f.ID)
		require.Len(t, got, len(want), f.ID)
		for i := range want {
			assert.Equal(t, want[i].Name, got[i].Name, f.ID)
			assert.InDelta(t, want[i].Parts[0][0].Lat, got[i].Parts[0][0].Lat, 1e-7, f.ID)
			assert.InDelta(t, want[i].Parts[0][0].Lon, got[i].Parts[0][0].Lon, 1e-7, f.ID)
		}
		if f.ID == "csv" {
			assert.Contains(t, string(raw), "elevation_"+u.Of("depth"))
			require.NotNil(t, got[0].Parts[0][0].Ele)
			assert.InDelta(t, low, *got[0].Parts[0][0].Ele, 1e-6)
		}
		// Nothing is a file too, and no file is an error with words, not a panic.
		raw, err = f.Write(nil, u)
		require.NoError(t, err, f.ID)
		got, _, err = f.Read(raw)
		assert.Empty(t, got, f.ID)
		if err != nil {
			assert.NotContains(t, err.Error(), "EOF", f.ID)
		}
		_, _, err = f.Read([]byte("\x00\xff nonsense"))
		assert.Error(t, err, f.ID)
	}
}

const (
	ascii = "ncols 3\nnrows 2\nxllcorner -45.156\nyllcorner 31.195\ncellsize 0.001\n1 2 3\n4 5 6\n"
	pings = "lat,lon,depth_m\n31.2,-45.15,1\n31.2001,-45.15,2\n31.2,-45.1499,3\n31.2001,-45.1499,4\n"
)

func TestDepthsNeedTheirMeaning(t *testing.T) {
	asc, err := DepthsBy("asc")
	require.NoError(t, err)
	for field, m := range map[string]Meaning{"unit": {}, "sign": {Unit: "m"}} {
		_, _, err = asc.Read([]byte(ascii), m)
		var missing MeaningError
		require.ErrorAs(t, err, &missing)
		assert.Equal(t, field, missing.Field)
	}
	// 4 ft down from a zero 0.5 m above chart datum, in the south-west corner's cell.
	g, n, err := asc.Read([]byte(ascii), Meaning{Unit: "ft", Sign: "depth", DatumM: 0.5})
	require.NoError(t, err)
	assert.Zero(t, n)
	z := g.Elevation(ground.LatLon{Lat: 31.1955, Lon: -45.1555})
	assert.InDelta(t, 0.5-4*0.3048, z, 0.006)

	xyz, err := DepthsBy("xyz")
	require.NoError(t, err)
	_, _, err = xyz.Read([]byte(pings), Meaning{CellM: -1, ReachM: 30})
	var wrong MeaningError
	require.ErrorAs(t, err, &wrong)
	assert.Equal(t, "cell_m", wrong.Field)
	g, n, err = xyz.Read([]byte(pings), Meaning{CellM: 5, ReachM: 30})
	require.NoError(t, err)
	assert.Equal(t, 4, n)
	low, high := g.Range()
	assert.InDelta(t, -4, low, 0.6, "the outer cells lie beyond the outermost soundings")
	assert.InDelta(t, -1, high, 0.6)
	// A wrong file says where, and is not taken for a wrong meaning.
	_, _, err = xyz.Read([]byte(strings.Replace(pings, ",2\n", ",x\n", 1)), Meaning{CellM: 5, ReachM: 30})
	require.ErrorContains(t, err, "line 3, column depth_m")
	assert.NotErrorAs(t, err, &wrong)
}
