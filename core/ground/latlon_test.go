package ground

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
)

func FuzzParseLatLon(f *testing.F) {
	for _, s := range []string{"51.25,-3.1", " -40.5 , 170 ", "", ",", "91,0", "0,181", "NaN,0", "1,2,3", "1e400,0", "51.25"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, text string) {
		p, err := ParseLatLon(text)
		if err != nil {
			assert.Zero(t, p)
			return
		}
		assert.True(t, math.Abs(p.Lat) <= 90 && math.Abs(p.Lon) <= 180, "%v", p)
		again, err := ParseLatLon(fmt.Sprintf("%v,%v", p.Lat, p.Lon))
		assert.NoError(t, err)
		assert.Equal(t, p, again)
	})
}

func TestAPositionIsReadOrRefused(t *testing.T) {
	p, err := ParseLatLon(" -40.5 , 170")
	assert.NoError(t, err)
	assert.Equal(t, LatLon{-40.5, 170}, p)
	for _, bad := range []string{"", "51.25", "91,0", "0,181", "NaN,0", "1,2,3"} {
		_, err := ParseLatLon(bad)
		assert.ErrorContains(t, err, "expected latitude and longitude", bad)
	}
}
