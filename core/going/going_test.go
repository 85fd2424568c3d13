package going_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/spot/spottest"
	"greypebble/core/tide"
)

type seen = map[conditions.Kind]float64

var noon = time.Date(2026, 6, 15, 15, 0, 0, 0, time.UTC) // by the sun at 45° west

// going by a manner to a kind of place, in water as it is seen.
func assess(t *testing.T, place string, manner ground.Manner, is seen, l going.Limits, change func(*spot.Moment)) []going.Caution {
	t.Helper()
	s := spottest.Coast(t)[2]
	facing := 180.0
	s.Place, s.Access.Manner, s.FacesDeg = place, manner, &facing
	if manner == ground.Kayak || manner == ground.Boat {
		s.Access.In.ElevationM, s.Access.Out.ElevationM = -9, -9
	}
	var list []conditions.Reading
	for k, v := range is {
		list = append(list, conditions.Reading{Kind: k, Value: v, Time: noon, Origin: conditions.Observed})
	}
	s.Readings = conditions.Sorted(list)
	c, err := tide.Over(s.Tide, noon, noon.Add(14*time.Hour))
	require.NoError(t, err)
	m, err := s.At(c, noon)
	require.NoError(t, err)
	if change != nil {
		change(&m)
	}
	return going.Assess(&m, c, l, quantity.Metric)
}

func find(list []going.Caution, id string) going.Severity {
	for _, c := range list {
		if c.ID == id {
			return c.Severity
		}
	}
	return -1
}

// The table of usual limits: common practice, no source.
func TestUsualLimitsByManner(t *testing.T) {
	const wind, from, swell, period, water = conditions.WindSpeed, conditions.WindFrom, conditions.SwellHeight, conditions.SwellPeriod,
		conditions.WaterTemp
	for _, k := range []struct {
		place  string
		manner ground.Manner
		is     seen
		id     string
		want   going.Severity
	}{
		{"grass flat", ground.Kayak, seen{wind: 5, from: 180}, "wind", -1},
		{"grass flat", ground.Kayak, seen{wind: 6, from: 180}, "wind", going.Think},
		{"grass flat", ground.Kayak, seen{wind: 10, from: 180}, "wind", going.DoNot},
		{"grass flat", ground.Kayak, seen{wind: 5, from: 0}, "wind", going.Think},
		{"grass flat", ground.Kayak, seen{wind: 7.5, from: 10}, "wind", going.DoNot},
		{"grass flat", ground.Kayak, seen{}, "wind", going.Note},
		{"reef", ground.Kayak, seen{wind: 1, swell: 0.5, period: 8}, "waves", going.Think},
		{"reef", ground.Kayak, seen{wind: 1, swell: 1, period: 8}, "waves", going.DoNot},
		{"grass flat", ground.Kayak, seen{wind: 1, swell: 3, period: 8}, "waves", -1}, // no swell gets there
		{"reef", ground.Boat, seen{wind: 9, from: 180}, "wind", going.Think},
		{"reef", ground.Boat, seen{wind: 12, from: 180}, "wind", going.DoNot},
		{"reef", ground.Boat, seen{wind: 1, swell: 1.4, period: 8}, "waves", going.DoNot},
		{"surf beach", ground.OnFoot, seen{swell: 0.7, period: 8}, "surf", -1},
		{"surf beach", ground.OnFoot, seen{swell: 1, period: 8}, "surf", going.Think},
		{"surf beach", ground.OnFoot, seen{swell: 2, period: 9}, "surf", going.DoNot},
		{"surf beach", ground.OnFoot, seen{}, "surf", -1},
		{"jetty", ground.OnFoot, seen{swell: 3, period: 12}, "run-up", going.DoNot},
		{"jetty", ground.OnFoot, seen{swell: 0.3, period: 6}, "run-up", -1},
		{"oyster bar", ground.Wading, seen{water: 14}, "cold", going.Think},
		{"oyster bar", ground.OnFoot, seen{water: 14}, "cold", going.Note},
		{"oyster bar", ground.Wading, seen{water: 16}, "cold", -1},
	} {
		got := assess(t, k.place, k.manner, k.is, nil, nil)
		assert.Equal(t, k.want, find(got, k.id), "%s, %s, %v: %v", k.place, k.manner, k.is, got)
		for i := 1; i < len(got); i++ {
			assert.LessOrEqual(t, got[i].Severity, got[i-1].Severity, "gravest first")
		}
	}
}

// Each angler sets their own.
func TestOnesOwnLimits(t *testing.T) {
	is := seen{conditions.WindSpeed: 6.5, conditions.WindFrom: 180}
	assert.Equal(t, going.Think, find(assess(t, "grass flat", ground.Kayak, is, nil, nil), "wind"))
	bold := going.Limits{"kayak_wind_ms": {Think: 9, DoNot: math.NaN()}, "kayak_offshore_wind_ms": {Think: 9, DoNot: 12}}
	assert.Equal(t, going.Severity(-1), find(assess(t, "grass flat", ground.Kayak, is, bold, nil), "wind"))
	for id, l := range map[string]going.Level{"swell_m": {1, 2}, "kayak_wind_ms": {9, 4}, "breakers_m": {-1, 2}, "rock_clear_m": {1, 2}} {
		assert.Error(t, going.Limits{id: l}.Validate(), id)
	}
	assert.NoError(t, bold.Validate())
	for _, k := range going.Table() {
		assert.NoError(t, going.Limits{k.ID: k.House}.Validate(), k.ID)
	}
}

func TestSignsAndNight(t *testing.T) {
	with := func(signs ...string) func(*spot.Moment) { return func(m *spot.Moment) { m.Signs = signs } }
	for _, manner := range []ground.Manner{ground.Kayak, ground.Boat, ground.OnFoot} {
		got := assess(t, "pier", manner, seen{}, nil, with("thunder"))
		assert.Equal(t, "thunder", got[0].ID)
		assert.Equal(t, going.DoNot, got[0].Severity)
	}
	assert.Equal(t, going.DoNot, find(assess(t, "grass flat", ground.Kayak, seen{}, nil, with("fog")), "fog"))
	assert.Equal(t, going.Note, find(assess(t, "pier", ground.OnFoot, seen{}, nil, with("crowd")), "crowd"))
	dark := func(m *spot.Moment) { m.Sun.Altitude = -20 }
	assert.Equal(t, going.Note, find(assess(t, "pier", ground.OnFoot, seen{}, nil, dark), "night"))
	assert.Equal(t, going.Think, find(assess(t, "grass flat", ground.Kayak, seen{}, nil, dark), "light"))
	assert.Equal(t, going.DoNot, find(assess(t, "surf beach", ground.Wading, seen{}, nil, dark), "surf at night"))
}

// The ebb against the swell in an inlet.
func TestTheInletOnTheEbb(t *testing.T) {
	ebb := func(m *spot.Moment) { m.Stage.Direction, m.Stage.Slack = tide.Ebb, false }
	flood := func(m *spot.Moment) { m.Stage.Direction = tide.Flood }
	is := seen{conditions.SwellHeight: 1, conditions.SwellPeriod: 8, conditions.WindSpeed: 1}
	assert.Equal(t, going.Think, find(assess(t, "harbour mouth", ground.Boat, is, nil, ebb), "inlet"))
	assert.Equal(t, going.Severity(-1), find(assess(t, "harbour mouth", ground.Boat, is, nil, flood), "inlet"))
	is[conditions.SwellHeight] = 2
	assert.Equal(t, going.DoNot, find(assess(t, "harbour mouth", ground.Boat, is, nil, ebb), "inlet"))
}

// The way back: a note three hours before, think an hour before, do not within the margin.
func TestTheWayBack(t *testing.T) {
	s := spottest.Coast(t)[0] // the gut at 0.55 m is waded to the thigh until the tide stands at 1.30 m
	c, err := tide.Over(s.Tide, noon, noon.AddDate(0, 0, 8))
	require.NoError(t, err)
	met := map[going.Severity]bool{}
	for at := noon; at.Before(noon.AddDate(0, 0, 7)); at = at.Add(10 * time.Minute) {
		m, err := s.At(c, at)
		require.NoError(t, err)
		got := find(going.Assess(&m, c, nil, quantity.Metric), "way")
		w, open := ground.NextClose(s.Access.Open(c), at)
		left := w.Closes.Sub(at)
		switch {
		case !open || left <= 20*time.Minute:
			assert.Equal(t, going.DoNot, got)
		case left <= time.Hour:
			assert.Equal(t, going.Think, got)
		case left <= 3*time.Hour:
			assert.Equal(t, going.Note, got)
		default:
			assert.Equal(t, going.Severity(-1), got)
		}
		met[got] = true
	}
	assert.Len(t, met, 4)
}
