package spot_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/ground"
	"greypebble/core/spot/spottest"
)

// A copy that is reached in another way does not take over when the first one's way is open.
func TestWaysAreRememberedByManner(t *testing.T) {
	wading := spottest.Coast(t)[0].Remember()
	wading.Access.Others = []ground.Manner{ground.Kayak}
	by, there := wading.Access.By(ground.Kayak)
	require.True(t, there)
	kayak := wading.Reached(by)
	from := time.Date(2026, 5, 12, 0, 0, 0, 0, time.UTC)
	c, err := wading.Curve(from, from.Add(time.Hour))
	require.NoError(t, err)
	first := wading.WayOpen(c)
	assert.Equal(t, kayak.Access.Open(c), kayak.WayOpen(c))
	assert.NotEqual(t, first, kayak.WayOpen(c))
	assert.Equal(t, first, wading.WayOpen(c))
}
