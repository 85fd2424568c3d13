package spot_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/spot/spottest"
	"greypebble/core/tide"
	"greypebble/core/water"
)

func momentAt(t *testing.T, s *spot.Spot, at time.Time) *spot.Moment {
	t.Helper()
	c, err := tide.Over(s.Tide, at, at.Add(time.Hour))
	require.NoError(t, err)
	m, err := s.At(c, at)
	require.NoError(t, err)
	return &m
}

func TestWhatACalculationStartsFrom(t *testing.T) {
	at := time.Date(2026, 5, 12, 9, 0, 0, 0, time.UTC)
	s := spottest.Coast(t)[0]
	s.Marks = []ground.Mark{{Kind: ground.Crest, ElevationM: 0.7, DistanceM: 40}, {Kind: ground.EdgeMark, ElevationM: -1.53}}
	m := momentAt(t, s, at)
	assert.InDelta(t, m.LevelM+1.53, m.CastDepth(), 0.05)
	s.Marks[0].ElevationM, s.Marks[1].ElevationM = 4, 4
	assert.Equal(t, 2.0, momentAt(t, s, at).CastDepth(), "a usual one where all is dry")
	assert.Equal(t, 0.3, m.CastRun(), "a usual one where nothing is known")
	s.Current = water.Setting{SeenMS: 0.9}
	fast := 0.0
	for h := range 12 {
		run := momentAt(t, s, at.Add(time.Duration(h)*time.Hour)).CastRun()
		assert.GreaterOrEqual(t, run, 0.0)
		fast = max(fast, run)
	}
	assert.Greater(t, fast, 0.3)

	s.Access.Manner = ground.Wading
	assert.Equal(t, 40.0, s.CastsFrom())
	s.Access.Manner = ground.OnFoot
	assert.Zero(t, s.CastsFrom())
}
