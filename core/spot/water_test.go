package spot

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/tide"
	"greypebble/core/water"
)

var january = time.Date(2026, 1, 20, 0, 0, 0, 0, time.UTC)

// sunTrap is a mud flat beside a channel on a plain tide.
func sunTrap(t *testing.T, weather map[conditions.Kind]float64) *Spot {
	t.Helper()
	h, err := tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: 0.6, PhaseDeg: 40},
		{Name: "S2", AmplitudeM: 0.2, PhaseDeg: 60}}, 0.9)
	require.NoError(t, err)
	var list []conditions.Reading
	for hour := range 24 * 5 {
		for k, v := range weather {
			list = append(list, conditions.Reading{Kind: k, Value: v, Time: january.Add(time.Duration(hour-48) * time.Hour),
				Origin: conditions.Forecast, Source: "made up"})
		}
	}
	return &Spot{Name: "Sun trap", Place: "oyster bar", Tide: h, LatLon: ground.LatLon{Lat: 31}, Readings: conditions.Sorted(list),
		Marks: []ground.Mark{{Name: "Flat", Kind: ground.Flat, Bottom: "mud", ElevationM: 0.4},
			{Name: "Channel", Kind: ground.Channel, Bottom: "mud", ElevationM: -3}}}
}

var mild = map[conditions.Kind]float64{conditions.WaterTemp: 11, conditions.AirTemp: 13, conditions.WindSpeed: 3, conditions.WindFrom: 0,
	conditions.Cloud: 0, conditions.Clarity: 0.8}

// One warm sunny day moves fish from the hole to the flat beside it: the flat
// is the warmer one in the afternoon and the cooler one before dawn (common
// practice, no source).
func TestFlatWarmsByDayAndCoolsByNight(t *testing.T) {
	s := sunTrap(t, mild)
	w, err := s.Warmth(january, january.Add(36*time.Hour))
	require.NoError(t, err)
	gap := func(hour float64) (sum float64) {
		n := 0.0
		for m := -90; m <= 90; m += 10 {
			at := january.Add(time.Duration(hour*60+float64(m)) * time.Minute)
			flat, wet := w.At(0, at)
			channel, _ := w.At(1, at)
			if wet {
				sum, n = sum+flat-channel, n+1
			}
		}
		require.Positive(t, n)
		return sum / n
	}
	assert.Greater(t, gap(15), 0.5)
	assert.Less(t, gap(30), 0.0)
	_, wet := w.At(0, january.Add(90*time.Hour))
	assert.False(t, wet, "outside the time asked for")
}

func TestSurfaceBySide(t *testing.T) {
	weather := map[conditions.Kind]float64{}
	for k, v := range mild {
		weather[k] = v
	}
	weather[conditions.WindSpeed] = 7
	s := sunTrap(t, weather)
	moment := func() Moment {
		c, err := tide.Over(s.Tide, january, january.Add(time.Hour))
		require.NoError(t, err)
		m, err := s.At(c, january)
		require.NoError(t, err)
		return m
	}
	m := moment()
	assert.False(t, m.Surface().Outlined)
	assert.Equal(t, water.Chop, m.Surface().Surface)
	rose := water.Rose{}
	for i := range rose {
		rose[i] = 6000
	}
	for _, i := range []int{31, 32, 33, 34, 35, 0, 1, 2, 3, 4, 5} {
		rose[i] = 30 // a bank to the north
	}
	s.Rose = &rose
	m = moment()
	assert.Equal(t, water.Lee, m.Surface().Side)
	assert.Less(t, m.Surface().WaveM, 0.12)
	_, known := m.Current()
	assert.False(t, known)
	s.Current = water.Setting{SeenMS: 0.8}
	m = moment()
	u, known := m.Current()
	assert.True(t, known)
	assert.Equal(t, u > 0, m.Stage.RateMPerH > 0)
	assert.Less(t, u, 1.0)
}

// Open water flushes: over a beach's bar it is never half a degree warmer than the sea beside it, however
// hot the sun; a lake behind a sill may be.
func TestMarksOfOpenWaterFlush(t *testing.T) {
	hot := map[conditions.Kind]float64{conditions.WaterTemp: 24, conditions.AirTemp: 33, conditions.WindSpeed: 1, conditions.Cloud: 0,
		conditions.Clarity: 2}
	most := func(place string) float64 {
		s := sunTrap(t, hot)
		s.Place, s.Marks[0].Kind, s.Marks[0].Bottom = place, ground.Bar, "sand"
		w, err := s.Warmth(january, january.Add(48*time.Hour))
		require.NoError(t, err)
		warmest := 0.0
		for at := january; at.Before(january.Add(48 * time.Hour)); at = at.Add(10 * time.Minute) {
			if c, wet := w.At(0, at); wet {
				warmest = math.Max(warmest, c-24)
			}
		}
		return warmest
	}
	assert.LessOrEqual(t, most("surf beach"), 0.5)
	assert.Greater(t, most("back lake"), 0.5)
}

// What was seen of the water moves every mark it speaks for.
func TestAnObservedTemperatureMovesEveryMark(t *testing.T) {
	s := sunTrap(t, mild)
	at := january.Add(38 * time.Hour)
	before, err := s.Warmth(at, at)
	require.NoError(t, err)
	var list []conditions.Reading
	s.Readings.Each(func(r *conditions.Reading) { list = append(list, *r) })
	seen := s.With(conditions.Sorted(append(list, conditions.Reading{Kind: conditions.WaterTemp, Value: 8, Time: at,
		Origin: conditions.Observed, Source: conditions.TheAngler})))
	after, err := seen.Warmth(at, at)
	require.NoError(t, err)
	for mark := range s.Marks {
		was, wet := before.At(mark, at)
		now, _ := after.At(mark, at)
		if wet {
			assert.InDelta(t, -3, now-was, 0.7, s.Marks[mark].Name)
		}
	}
}

// Air that nobody has told warms nothing: without sun, a flat in cold water stays about as cold.
func TestUntoldAirWarmsNothing(t *testing.T) {
	s := sunTrap(t, map[conditions.Kind]float64{conditions.WaterTemp: 3, conditions.Cloud: 1, conditions.WindSpeed: 6})
	w, err := s.Warmth(january, january.Add(48*time.Hour))
	require.NoError(t, err)
	wettest := 0
	for at := january; at.Before(january.Add(48 * time.Hour)); at = at.Add(10 * time.Minute) {
		for mark := range s.Marks {
			if c, wet := w.At(mark, at); wet {
				wettest++
				assert.Less(t, c, 4.0, "%s at %s", s.Marks[mark].Name, at)
			}
		}
	}
	assert.Positive(t, wettest)
}
