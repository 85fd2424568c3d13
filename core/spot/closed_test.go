package spot_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/bylaw"
	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/spot/spottest"
	"greypebble/core/tide"
)

// A season that begins on 1 November closes the place everywhere from that midnight on, by
// the place's own clock: the way, its words, the visits.
func TestASeasonClosesTheSpot(t *testing.T) {
	zone := time.FixedZone("there", -3*3600)
	s := *spottest.Coast(t)[0]
	s.Clock = zone
	season := ground.Zone{Name: "Nursery", Kind: ground.Seasonal, Says: "No fishing from 1 November to 28 February.", From: 1101, To: 228}
	midnight := time.Date(2026, 11, 1, 0, 0, 0, 0, zone)
	over := func(from, to time.Time) *tide.Curve {
		c, err := tide.Over(s.Tide, from.UTC(), to.UTC())
		require.NoError(t, err)
		return c
	}
	c := over(midnight.AddDate(0, 0, -2), midnight.AddDate(0, 0, 2))
	plain := s.Open(c)
	s.Zones = []ground.Zone{season}
	closed := s.Open(c)
	for at := midnight.AddDate(0, 0, -2); at.Before(midnight.AddDate(0, 0, 2)); at = at.Add(7 * time.Minute) {
		was := spot.GateAt(plain, at).Open
		assert.Equal(t, was && at.Before(midnight), spot.GateAt(closed, at).Open, at)
	}
	for _, v := range s.Visits(c, 0, spot.AnyHour) {
		assert.False(t, v.Closes.IsZero() || v.Closes.After(midnight), "a visit goes on into the season: %s", v.Says(zone, quantity.Metric))
	}
	after := over(midnight, midnight.AddDate(0, 0, 3))
	assert.Empty(t, s.Open(after))
	assert.Empty(t, s.Visits(after, 0, spot.AnyHour))
	assert.Equal(t, "Nursery closes it all that time.", s.NoVisit(after, 0, spot.AnyHour))
	title, says := s.SayWay(s.Open(after), midnight.Add(time.Hour), spot.Spoken{Zone: zone})
	assert.Equal(t, "Closed by Nursery", title)
	assert.Equal(t, "Its rule holds from 1 November to 28 February.", says)
	frames, err := s.Frames(after, spot.Spoken{Zone: zone})
	require.NoError(t, err)
	for _, f := range frames {
		assert.False(t, f.Open)
		assert.Equal(t, "Closed by Nursery", f.WayTitle)
	}

	s.Zones[0].Kind = ground.Voluntary
	assert.Equal(t, plain, s.Open(c), "a code closes nothing")
	s.Zones[0].Kind, s.Zones[0].From, s.Zones[0].To = ground.NoTake, 0, 0
	assert.Empty(t, s.Open(c))
}

func TestWhyThereIsNoVisit(t *testing.T) {
	s := *spottest.Coast(t)[0]
	dusk := time.Date(2026, 11, 20, 0, 0, 0, 0, time.UTC) // night there
	c, err := tide.Over(s.Tide, dusk, dusk.Add(6*time.Hour))
	require.NoError(t, err)
	require.NotEmpty(t, s.Visits(c, 0, spot.AnyHour))
	assert.Empty(t, s.Visits(c, 0, spot.ByDay))
	assert.Equal(t, "The way is open only in the dark.", s.NoVisit(c, 20*time.Minute, spot.ByDay), "not the margin's doing")
	assert.Equal(t, "No time is long enough for that margin.", s.NoVisit(c, 23*time.Hour, spot.AnyHour))
}

// A bylaw under which nothing may be fished for shuts the place in its hours, everywhere zones do.
func TestABylawClosesTheSpotInItsHours(t *testing.T) {
	zone := time.FixedZone("there", -3*3600)
	s := *spottest.Coast(t)[0]
	s.Clock = zone
	from := time.Date(2026, 11, 20, 0, 0, 0, 0, zone) // a Friday
	c, err := tide.Over(s.Tide, from.UTC(), from.AddDate(0, 0, 3).UTC())
	require.NoError(t, err)
	plain := s.Open(c)
	night := bylaw.Rule{Name: "Quiet nights", Species: []string{"any"}, Status: bylaw.Closed, Source: "a notice", CheckedOn: from,
		Hours: bylaw.Hours{Days: []time.Weekday{time.Saturday}, From: 22 * 60, To: 5 * 60}}
	s.Rules = []bylaw.Rule{night}
	shut := func(at time.Time) bool {
		local := at.In(zone)
		return local.Day() == 21 && local.Hour() >= 22 || local.Day() == 22 && local.Hour() < 5
	}
	closed := s.Open(c)
	for at := from; at.Before(from.AddDate(0, 0, 3)); at = at.Add(7 * time.Minute) {
		assert.Equal(t, spot.GateAt(plain, at).Open && !shut(at), spot.GateAt(closed, at).Open, at)
		assert.Equal(t, shut(at), s.Closing(at) != nil, at)
	}
	title, says := s.SayWay(closed, from.Add(47*time.Hour), spot.Spoken{Zone: zone})
	assert.Equal(t, "Closed by Quiet nights", title)
	assert.Equal(t, "Its rule holds on Saturday, 22:00 to 05:00.", says)
	s.Rules[0].Species = []string{"red drum"}
	assert.Equal(t, plain, s.Open(c), "one fish's season closes no place")
	assert.NotNil(t, s.Unsought(bylaw.Species{ID: "red-drum"}, from.Add(47*time.Hour)))
	assert.Nil(t, s.Unsought(bylaw.Species{ID: "red-drum"}, from))
}
