package tagcsv_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/interchange/tagcsv"
)

func TestAListOfTagsIsRead(t *testing.T) {
	list, err := tagcsv.Read([]byte("tag_number,tag_programme,species,time,lat,lon,length_cm\n"+
		"GP 0042,Invented tags,red drum,2026-06-01T06:00:00Z,38.51,-31.2,55\nA1,,,2026-06-02 06:00:00Z,38,-31,\n"), time.UTC)
	require.NoError(t, err)
	require.Len(t, list, 2)
	assert.InDelta(t, 0.55, list[0].LengthM, 1e-12)
	assert.Equal(t, "GP 0042", list[0].Number)
	assert.Zero(t, list[1].LengthM)
	for line, says := range map[string]string{
		",,,2026-06-01T06:00:00Z,38,-31,":     "column tag_number: expected the number",
		"A,,,yesterday,38,-31,":               "column time",
		"A,,,2026-06-01T06:00:00Z,98,-31,":    "column lat: expected degrees from -90",
		"A,,,2026-06-01T06:00:00Z,,-31,":      "column lat",
		"A,,,2026-06-01T06:00:00Z,38,-31,600": "between nought and 4 m",
	} {
		_, err := tagcsv.Read([]byte("tag_number,tag_programme,species,time,lat,lon,length_cm\n"+line+"\n"), time.UTC)
		assert.ErrorContains(t, err, says)
		assert.ErrorContains(t, err, "line 2")
	}
	_, err = tagcsv.Read([]byte("tag_number,time\n"), time.UTC)
	assert.ErrorContains(t, err, "is missing")
}

func FuzzRead(f *testing.F) {
	f.Add([]byte("tag_number,time,lat,lon,length_in\nA,2026-06-01T06:00:00Z,38,-31,20\n"))
	f.Fuzz(func(t *testing.T, raw []byte) {
		list, err := tagcsv.Read(raw, time.UTC)
		if err != nil {
			return
		}
		for _, l := range list {
			if l.Number == "" || math.Abs(l.Lat) > 90 || l.LengthM < 0 {
				t.Fatalf("%+v", l)
			}
		}
	})
}
