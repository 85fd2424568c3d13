package ground

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func zone() Zone {
	return Zone{Name: "Nursery", Kind: Seasonal, Says: "No bait-catcher's rigs", Source: "notice at the slip",
		Checked: day.AddDate(0, -2, 0), From: 1101, To: 315, Ring: about(middle, -100, -100, 100, -100, 100, 100, -100, 100)}
}

func TestZonesHoldInTheirSeason(t *testing.T) {
	z := zone()
	require.NoError(t, z.Validate())
	for md, holds := range map[time.Month]bool{1: true, 3: true, 6: false, 10: false, 12: true} {
		assert.Equal(t, holds, z.Holds(middle, time.Date(2026, md, 10, 12, 0, 0, 0, time.UTC)), md)
	}
	out := LatLon{middle.Lat + 0.01, middle.Lon}
	assert.False(t, z.Holds(out, time.Date(2026, 1, 10, 0, 0, 0, 0, time.UTC)))
	assert.Contains(t, z.Warning(day), "notice at the slip")
	assert.NotContains(t, z.Warning(day), "look it up again")
	assert.Contains(t, z.Warning(day.AddDate(2, 0, 0)), "look it up again")
}

func TestBadZonesAreNamed(t *testing.T) {
	for says, spoil := range map[string]func(z *Zone){
		"name": func(z *Zone) { z.Name = " " }, "source": func(z *Zone) { z.Source = "" },
		"day it was checked": func(z *Zone) { z.Checked = time.Time{} },
		"unknown kind":       func(z *Zone) { z.Kind = "forbidden" }, "season": func(z *Zone) { z.To = 0 },
		"points":         func(z *Zone) { z.Ring = z.Ring[:2] },
		"crosses itself": func(z *Zone) { z.Ring[1], z.Ring[2] = z.Ring[2], z.Ring[1] },
	} {
		z := zone()
		spoil(&z)
		assert.ErrorContains(t, z.Validate(), says)
	}
}

func TestReadingThePier(t *testing.T) {
	marks := []Mark{{Name: "Shore pilings", ElevationM: 1.2}, {Name: "Middle", ElevationM: -1}, {Name: "End", ElevationM: -2.8}}
	got := ReadPier(marks, 1.2)
	require.Len(t, got, 2, "the dry one is left out")
	assert.Equal(t, "End", got[0].Mark.Name)
	assert.InDeltaSlice(t, []float64{2, 3.8, 1, 3}, got[0].TryDepths, 1e-9)
	assert.InDelta(t, 1.1, got[1].TryDepths[0], 1e-9)
}

func TestZonesHoldOnDriftsAndAreas(t *testing.T) {
	z := zone()
	winter, summer := time.Date(2026, 1, 10, 0, 0, 0, 0, time.UTC), time.Date(2026, 7, 10, 0, 0, 0, 0, time.UTC)
	apart := about(middle, 900, 900)[0]
	for _, c := range []struct {
		says  string
		shape Ring
		area  bool
		holds bool
	}{
		{"a drift over it", about(middle, -300, 0, 300, 0), false, true},
		{"a drift past it", about(middle, -300, 150, 300, 150), false, false},
		{"a drift that ends in it", about(middle, 300, 0, 0, 0), false, true},
		{"an area around it", about(middle, -500, -500, 500, -500, 500, 500, -500, 500), true, true},
		{"an area beside it", about(middle, 200, 200, 500, 200, 500, 500), true, false},
		{"an open line around it", about(middle, -500, -500, 500, -500, 500, 500, -500, 500), false, false},
	} {
		points := append([]LatLon{apart}, c.shape...)
		assert.Equal(t, c.holds, z.HoldsOn(points, c.area, winter), c.says)
		assert.False(t, z.HoldsOn(points, c.area, summer), c.says)
	}
	assert.True(t, z.HoldsOn([]LatLon{middle}, false, winter))
	assert.False(t, z.HoldsOn([]LatLon{apart}, false, winter))
}
