package gpx

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/interchange/feature"
	"greypebble/interchange/feature/featuretest"
)

func file(inner string) string {
	return `<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1" creator="x">` + inner + `</gpx>`
}

func TestNamesSurvive(t *testing.T) {
	featuretest.NamesSurvive(t, func(l []feature.Feature) ([]byte, error) { return Write(l, "x") }, Read)
}

func TestASegmentWithoutPointsIsNone(t *testing.T) {
	got, _, err := Read([]byte(file(`<trk><name>drift</name><trkseg></trkseg>` +
		`<trkseg><trkpt lat="31" lon="-45"/><trkpt lat="31.1" lon="-45"/></trkseg></trk>`)))
	require.NoError(t, err)
	require.Len(t, got, 1)
	require.Len(t, got[0].Parts, 1)
	assert.InDelta(t, 31, got[0].Parts[0][0].Lat, 0)
}

func TestOddFiles(t *testing.T) {
	featuretest.Odd(t, Read, file(`<wpt lat="" lon=""/>`), file(`<wpt lat="NaN" lon="1"/>`),
		file(`<wpt lat="31" lon="-45"><ele>deep</ele></wpt>`),
		file(`<wpt lat="31" lon="-45"><ele>1e400</ele></wpt>`), file(strings.Repeat("<trk>", 20_000)),
		file(strings.Repeat("<wpt>", 20_000)), "<gpx>", "PK\x03\x04", "")
	_, _, err := Read([]byte(file("\n" + `<wpt lat="" lon="1"/>`)))
	assert.EqualError(t, err, `line 2: expected a number like 31.214, not ""`)
	_, _, err = Read([]byte(file(`<wpt lat="31" lon="-45"><ele>deep</ele></wpt>`)))
	assert.ErrorContains(t, err, `not "deep"`)
}
