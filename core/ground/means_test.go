package ground

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestWhatOneHasDecidesHowOneGoes(t *testing.T) {
	for _, c := range []struct {
		access Access
		by     Means
		manner Manner
		there  bool
	}{
		{Access{Manner: Kayak}, AsEach, Kayak, true},
		{Access{Manner: Kayak}, OnLegs, "", false},
		{Access{Manner: Kayak, Others: []Manner{Wading}}, OnLegs, Wading, true},
		{Access{Manner: OnFoot, Others: []Manner{Wading}}, OnLegs, Wading, true}, // wading reaches further
		{Access{Manner: OnFoot}, ByCar, OnFoot, true},
		{Access{Manner: OnFoot, Others: []Manner{Boat}, DraughtM: 0.4}, ByBoat, Boat, true},
		{Access{Manner: OnFoot}, ByBoat, "", false},
		{Access{Manner: Boat}, ByCar, "", false},
	} {
		got, there := c.access.ByMeans(c.by)
		require.Equal(t, c.there, there, "%v by %q", c.access, c.by)
		if there {
			assert.Equal(t, c.manner, got.Manner, "%v by %q", c.access, c.by)
			assert.Equal(t, c.access.DraughtM, got.DraughtM)
		}
	}
	for _, m := range AllMeans {
		assert.NoError(t, m.Validate())
		assert.NotEmpty(t, m.manners(), m)
	}
	assert.NoError(t, AsEach.Validate())
	assert.ErrorContains(t, Means("mule").Validate(), "legs, kayak, boat, car")
}

// 45 km of bee line are 58.5 km of road: an hour and 18 minutes, and the minutes to park.
func TestADriveIsGuessedFromTheBeeLine(t *testing.T) {
	from := LatLon{Lat: 40, Lon: -70}
	to := LatLon{Lat: 40 + 45000/perDegree, Lon: -70}
	assert.InDelta(t, (78*time.Minute + parks).Seconds(), Drive(from, to).Seconds(), 20)
	assert.Equal(t, parks, Drive(from, from))
}
