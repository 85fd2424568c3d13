// Package spottest holds made-up spots for the tests of what stands on them.
package spottest

import (
	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"testing"

	"github.com/stretchr/testify/require"
)

// Coast is a made-up one: a bar, a beach and a pier on one semidiurnal tide.
func Coast(t testing.TB) []*spot.Spot {
	h, err := tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: 0.6, PhaseDeg: 40},
		{Name: "S2", AmplitudeM: 0.15, PhaseDeg: 70}}, 0.9)
	require.NoError(t, err)
	o := ground.LatLon{Lat: 31, Lon: -45}
	foot := ground.Access{Manner: ground.OnFoot, In: ground.Passage{Name: "the deck", ElevationM: 4},
		Out: ground.Passage{Name: "the deck", ElevationM: 4}}
	return []*spot.Spot{
		{Name: "Bar", Place: "oyster bar", Tide: h, LatLon: o,
			Access: ground.Access{Manner: ground.Wading, In: ground.Passage{Name: "the gut", ElevationM: 0.55},
				Out: ground.Passage{Name: "the gut", ElevationM: 0.55}},
			Marks: []ground.Mark{
				{ID: "crest", Name: "Crest", Kind: ground.Crest, ElevationM: 0.75, Bottom: "shell", Fishable: ground.Depths{MinM: 0.2}},
				{ID: "edge", Name: "Seaward edge", Kind: ground.EdgeMark, ElevationM: 0.1, Bottom: "shell",
					Fishable: ground.Depths{MinM: 0.3}},
				{ID: "channel", Name: "Channel", Kind: ground.Channel, ElevationM: -1.4, Bottom: "mud", Fishable: ground.Depths{MinM: 0.3}},
			}},
		{Name: "Beach", Place: "surf beach", Tide: h, LatLon: o, Access: foot,
			Marks: []ground.Mark{
				{ID: "trough", Name: "Inner trough", Kind: ground.Trough, ElevationM: -0.7, Bottom: "sand",
					Fishable: ground.Depths{MinM: 0.3}},
				{ID: "outer", Name: "Outer trough", Kind: ground.Trough, ElevationM: -2, Bottom: "sand",
					Fishable: ground.Depths{MinM: 0.3}},
			}},
		{Name: "Pier", Place: "pier", Tide: h, LatLon: o, Access: foot,
			Marks: []ground.Mark{{ID: "piling", Name: "Third piling", Kind: ground.Piling, ElevationM: -2.2, Bottom: "sand",
				Fishable: ground.Depths{MinM: 0.5}}}},
	}
}
