package kml

import (
	"archive/zip"
	"bytes"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/interchange/feature/featuretest"
)

func TestNamesSurvive(t *testing.T) { featuretest.NamesSurvive(t, Write, Read) }

const mark = `<kml><Placemark><name>post</name><Point><coordinates>-45,31</coordinates></Point></Placemark></kml>`

func packed(t *testing.T, name string, text []byte) []byte {
	var b bytes.Buffer
	z := zip.NewWriter(&b)
	f, err := z.Create("picture.png")
	require.NoError(t, err)
	_, _ = f.Write([]byte("not a picture"))
	f, err = z.Create(name)
	require.NoError(t, err)
	_, err = f.Write(text)
	require.NoError(t, err)
	require.NoError(t, z.Close())
	return b.Bytes()
}

func TestPackedFilesAreUnpacked(t *testing.T) {
	got, _, err := Read(packed(t, "doc.kml", []byte(mark)))
	require.NoError(t, err)
	require.Len(t, got, 1)
	assert.Equal(t, "post", got[0].Name)
	_, _, err = Read(packed(t, "doc.txt", []byte(mark)))
	assert.ErrorContains(t, err, "holds no .kml")
	bomb := packed(t, "doc.kml", make([]byte, mostUnpacked+1))
	assert.Less(t, len(bomb), 1<<20)
	_, _, err = Read(bomb)
	assert.ErrorContains(t, err, "unpacks to more than 64 MB")
	_, _, err = Read([]byte("PK\x03\x04 and nothing more"))
	assert.ErrorContains(t, err, "unpack it first")
}

func TestOddFiles(t *testing.T) {
	featuretest.Odd(t, Read, strings.Replace(mark, "-45,31", "", 1), strings.Replace(mark, "-45,31", ",", 1),
		strings.Replace(mark, "-45,31", "NaN,1", 1), strings.Replace(mark, "-45,31", "1,2 3,4", 1),
		"<kml><Placemark>"+strings.Repeat("<MultiGeometry>", 20_000), "<kml>"+strings.Repeat("<Folder>", 50_000),
		"<kml>"+strings.Repeat("<Placemark>", 20_000), "<kml>", "", "\x00")
}
