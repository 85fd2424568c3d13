package ground_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/ground"
)

// Corrected by where it was seen to shut, a way shuts just there: on legs above, for a hull below.
func TestAWayShutsWhereItWasSeenTo(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		manners := []ground.Manner{ground.OnFoot, ground.Wading, ground.Kayak, ground.Boat}
		out := ground.Passage{Name: "gut", ElevationM: rapid.Float64Range(-2, 3).Draw(t, "was thought"),
			Clear: rapid.Bool().Draw(t, "clear")}
		a := ground.Access{Manner: rapid.SampledFrom(manners).Draw(t, "manner"), Out: out, DraughtM: 0.4,
			In: ground.Passage{Name: "path", ElevationM: 3, Clear: true}}
		level := rapid.Float64Range(-2, 4).Draw(t, "level")
		found, err := a.ShutAt(level)
		require.NoError(t, err)
		step := 0.003
		if a.Manner == ground.Kayak || a.Manner == ground.Boat {
			step = -step
		}
		assert.False(t, found.Passable(level))
		assert.True(t, found.Passable(level-step), "and open just before")
		assert.Equal(t, a.In, found.In, "the way in is another")
		// There and back by one point: both are corrected.
		a.In = a.Out
		found, err = a.ShutAt(level)
		require.NoError(t, err)
		assert.Equal(t, found.In, found.Out)
	})
	_, err := ground.Access{Manner: "by balloon"}.ShutAt(1)
	require.Error(t, err)
}
