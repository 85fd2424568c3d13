package soundings

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/interchange/feature"
)

func point(properties map[string]string) feature.Feature {
	return feature.Feature{Kind: feature.Point, Parts: [][]feature.Position{{{Lat: 31.2, Lon: -45.1}}}, Properties: properties}
}

func TestPointsWithAHeight(t *testing.T) {
	up := -2.0
	ele := point(nil)
	ele.Parts[0][0].Ele = &up
	got, err := FromFeatures([]feature.Feature{point(map[string]string{"depth_ft": "10"}), point(map[string]string{"name": "none"}),
		{Kind: feature.Track}, ele, point(map[string]string{"elevation_m": "0.4"})}, 0.5)
	require.NoError(t, err)
	require.Len(t, got, 3, "what carries no height is passed over")
	assert.InDelta(t, 0.5-3.048, got[0].ElevationM, 1e-9)
	assert.InDelta(t, -1.5, got[1].ElevationM, 1e-9)
	assert.InDelta(t, 0.9, got[2].ElevationM, 1e-9)
	for want, bad := range map[string]feature.Feature{
		"expected a number":     point(map[string]string{"depth_m": "deep"}),
		"says the same":         point(map[string]string{"depth_m": "1", "elevation_m": "-1"}),
		"no depth near a shore": point(map[string]string{"depth_m": "9000"}), "no point carries a height": point(nil),
	} {
		got, err := FromFeatures([]feature.Feature{bad}, 0)
		assert.ErrorContains(t, err, want)
		assert.Empty(t, got)
	}
}
