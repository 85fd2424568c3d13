package files_test

import (
	"encoding/json"
	"fmt"
	"net/http"
	"strings"
	"testing"

	"greypebble/testkit"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestPlacesInAndOut(t *testing.T) {
	c := kit.Fresh(t, "moss")
	water := c.ID("Fallow Creek")
	file := `<gpx version="1.1" creator="x"><wpt lat="31.2002" lon="-45.154"><name>Reed gap</name><desc>seen in spring</desc></wpt>
		<wpt lat="31.3" lon="-45.1"/>
		<trk><name>Drift</name><trkseg><trkpt lat="31.2" lon="-45.15"/><trkpt lat="31.21" lon="-45.15"/></trkseg></trk></gpx>`
	var seen struct {
		Features []struct{ Kind, Name, Known string }
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/read?format=gpx", file, &seen))
	require.Len(t, seen.Features, 3)
	assert.Empty(t, seen.Features[0].Known)
	var done struct {
		Added   []string
		Skipped []struct{ What, Why string }
	}
	imported := "/interchange/import?format=gpx&water_id=" + water
	require.Equal(t, http.StatusOK, c.Do("POST", imported, file, &done))
	assert.Equal(t, []string{"Reed gap", "Drift"}, done.Added)
	assert.Len(t, done.Skipped, 1)
	require.Equal(t, http.StatusOK, c.Do("POST", imported, file, &done))
	assert.Empty(t, done.Added, "a second time nothing is added")
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/read?format=gpx", file, &seen))
	assert.Equal(t, "Reed gap", seen.Features[0].Known)
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", imported, strings.Replace(file, "31.2002", "131.2", 1), &p))
	assert.Contains(t, p.Detail, "swapped")
	assert.Equal(t, http.StatusNotFound, kit.Fresh(t, "wren").Do("POST", imported, file, nil))
	crossed := `{"type":"Polygon","coordinates":[[[0,0],[1,1],[1,0],[0,1],[0,0]]]}`
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/interchange/import?format=geojson&as=outline&water_id="+water, crossed,
		&p))
	assert.Contains(t, p.Detail, "crosses itself")

	for _, format := range []string{"gpx", "geojson", "kml", "csv"} {
		var out string
		require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/export?format="+format, nil, &out))
		assert.NotContains(t, out, "Candle Bar", "private spots stay")
		require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/export?format="+format+"&private=include", nil, &out))
		assert.Contains(t, out, "Candle Bar: Crest")
		require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/export?format="+format+"&private=blur&blur_m=3000", nil, &out))
		assert.Contains(t, out, "Candle Bar")
		assert.NotContains(t, out, "Crest")
	}
	// Out and in again: nothing new.
	var out string
	require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/export?format=gpx&private=include", nil, &out))
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/read?format=gpx", out, &seen))
	knownSpots := 0
	for _, f := range seen.Features {
		if f.Known != "" {
			knownSpots++
		}
	}
	assert.Len(t, seen.Features, knownSpots, "spots, their marks and shapes")
	var spots []struct{ ID, Name string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots", nil, &spots))
	for _, s := range spots {
		if s.Name == "Reed gap" || s.Name == "Drift" {
			assert.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spots/"+s.ID, nil, nil))
		}
	}
}

// GeoJSON has room for a whole spot: what goes out comes back with its section,
// ways and marks; other formats bring its place, and nothing comes twice.
func TestAWholeSpotGoesOutAndComesBack(t *testing.T) {
	wren, moss := kit.Fresh(t, "wren"), kit.Fresh(t, "moss")
	var raw, table string
	require.Equal(t, http.StatusOK, wren.Do("GET", "/interchange/export?format=geojson&private=include", nil, &raw))
	require.Equal(t, http.StatusOK, wren.Do("GET", "/interchange/export?format=csv&private=include", nil, &table))
	var out struct {
		Added   []string
		Skipped []object
	}
	sound := wren.ID("Sedge Sound")
	for format, text := range map[string]string{"geojson": raw, "csv": table} {
		out.Added, out.Skipped = nil, nil
		require.Equal(t, http.StatusOK, wren.Do("POST", "/interchange/import?format="+format+"&water_id="+sound, text, &out))
		assert.Empty(t, out.Added, "all of it is there")
	}
	creek := moss.ID("Fallow Creek")
	require.Equal(t, http.StatusOK, moss.Do("POST", "/interchange/import?format=geojson&water_id="+creek, raw, &out))
	assert.GreaterOrEqual(t, len(out.Added), 12)
	type written struct {
		Name     string
		Section  []object
		In, Out  object
		Manner   string
		Marks    []object
		Hazards  string
		FacesDeg *float64 `json:"faces_deg"`
	}
	get := func(c *testkit.Client, id string) (w struct{ Written written }) {
		require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id, nil, &w))
		for _, m := range w.Written.Marks {
			delete(m, "id")
		}
		return w
	}
	theirs := moss.Spots()
	for name, s := range wren.Spots() {
		assert.Equal(t, get(wren, s.ID), get(moss, theirs[name].ID), name)
	}
	for _, name := range out.Added {
		require.Equal(t, http.StatusNoContent, moss.Do("DELETE", "/spots/"+theirs[name].ID, nil, nil))
	}
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, moss.Do("POST", "/interchange/import?format=geojson&water_id="+creek,
		strings.Replace(raw, `\"manner\"`, `\"mannner\"`, 1), &p))
	assert.Contains(t, p.Detail+fmt.Sprint(p.Errors), "carries a spot that cannot be read")
}

// A whole spot in a file goes through the checks the API makes of one that is written.
func TestAWholeSpotInAFileIsCheckedLikeOneThatIsWritten(t *testing.T) {
	c := kit.Fresh(t, "wren")
	file := func(spot string) string {
		inner, err := json.Marshal(spot)
		require.NoError(t, err)
		return `{"type":"FeatureCollection","features":[{"type":"Feature","geometry":{"type":"Point","coordinates":[-45.1,31.2]},` +
			`"properties":{"name":"Ninepin","grey_pebble_spot":` + string(inner) + `}}]}`
	}
	const good = `{"water_id":"018f0000-0000-7000-8000-000000000001","name":"Ninepin","place":"pier","lat":31.2,"lon":-45.1,` +
		`"manner":"on foot","in":{"name":"stair","elevation_m":3},"out":{"name":"stair","elevation_m":3}}`
	for change, want := range map[[2]string]string{
		{`"lat":31.2`, `"lat":999`}:                               "The latitude must be 90 or less.",
		{`"Ninepin"`, `"` + strings.Repeat("x", 500) + `"`}:       "The name must not be longer than 80 characters.",
		{`"place":"pier"`, `"place":"moon"`}:                      `unknown kind of place "moon"`,
		{`"elevation_m":3`, `"elevation_m":1e300`}:                "The elevation must be 200 m or less.",
		{`"manner":"on foot"`, `"manner":"on foot","extra":1`}:    "The extra is not known here.",
		{`"manner":"on foot"`, `"manner":"on foot","marks":[{}]`}: "is missing",
	} {
		var p problem
		status := c.Do("POST", "/interchange/import?format=geojson&place=pier&water_id="+c.ID("Sedge Sound"),
			file(strings.ReplaceAll(good, change[0], change[1])), &p)
		assert.Equal(t, http.StatusUnprocessableEntity, status, change[1])
		assert.Contains(t, p.Detail, want)
		assert.NotContains(t, c.Spots(), "Ninepin", "nothing is half done")
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/import?format=geojson&place=pier&water_id="+c.ID("Sedge Sound"),
		file(good), nil))
	assert.Contains(t, c.Spots(), "Ninepin")
}
