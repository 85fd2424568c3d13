package geojson

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"

	"greypebble/interchange/feature/featuretest"
)

func TestNamesSurvive(t *testing.T) { featuretest.NamesSurvive(t, Write, Read) }

// A coordinate that is empty or null is no place, and a file nested on purpose is refused in
// the time it takes to read it.
func TestOddFiles(t *testing.T) {
	nested := func(n int) string {
		return strings.Repeat(`{"type":"GeometryCollection","geometries":[`, n) + `{"type":"Point","coordinates":[1,2]}` +
			strings.Repeat("]}", n)
	}
	wide := `{"type":"GeometryCollection","geometries":[` + strings.Repeat(`{"type":"Point","coordinates":[1,2]},`, 30_000) +
		`{"type":"Point","coordinates":[1,2]}]}`
	files := []string{
		`{"type":"Point","coordinates":[]}`, `{"type":"Point","coordinates":[null,null]}`, `{"type":"Point","coordinates":null}`,
		`{"type":"Point"}`, `{"type":"Point","coordinates":["1","2"]}`, `{"type":"Point","coordinates":[1e999,2]}`,
		`{"type":"LineString","coordinates":[[1,2],null]}`, `{"type":"LineString","coordinates":[[],[1,2]]}`,
		`{"type":"Polygon","coordinates":[[]]}`, `{"type":"Polygon","coordinates":[null]}`,
		`{"type":"MultiPolygon","coordinates":[[[[1,2],[1]]]]}`,
		`{"type":"Feature","geometry":7}`, `{"type":"Feature","geometry":{"type":"Blob"}}`, `{"type":"FeatureCollection","features":{}}`,
		`[`, `{`, `7`, `null`, ``, "\x00", nested(4000), nested(200_000), wide,
	}
	featuretest.Odd(t, Read, files...)
	for _, text := range files[:9] {
		got, _, err := Read([]byte(text))
		assert.True(t, err != nil || len(got) == 0, text)
	}
	_, _, err := Read([]byte(`{"type":"FeatureCollection","features":[{"type":"Feature",` +
		`"geometry":{"type":"Point","coordinates":[null,2]}}]}`))
	assert.EqualError(t, err, "geojson: feature 1: Point: expected [longitude, latitude], not [null,2]")
	_, _, err = Read([]byte("{\n \"type\": x}"))
	assert.ErrorContains(t, err, "line 2, column 10")
}
