package spot

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"greypebble/core/water"
)

func TestTheCompassInWords(t *testing.T) {
	of := func(on ...int) (holds [winds]bool) {
		for _, i := range on {
			holds[i] = true
		}
		return holds
	}
	assert.Equal(t, "NE to E", sayWinds(of(2, 3, 4)))
	assert.Equal(t, "NNW to NNE", sayWinds(of(15, 0, 1)), "over north")
	assert.Equal(t, "E, S", sayWinds(of(4, 8)))
	assert.Equal(t, "N, E to ESE, NW", sayWinds(of(0, 4, 5, 14)))
	assert.Empty(t, sayWinds(of()))
	assert.Equal(t, "anywhere", sayWinds(of(0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15)))
}

func TestShelterInWords(t *testing.T) {
	var s Shelter
	for i := range s.Surfaces {
		s.Surfaces[i].Surface = water.Chop
	}
	assert.Equal(t, "No wind of that strength leaves it quiet.", s.Says())
	for i := 2; i <= 6; i++ {
		s.Surfaces[i].Surface = water.Ripple
	}
	s.Surfaces[12].Surface = water.Rough
	assert.Equal(t, "Quiet in wind from NE to SE. Rough from W.", s.Says())
	for i := range s.Surfaces {
		s.Surfaces[i].Surface = water.Glassy
	}
	assert.Equal(t, "Quiet whichever way it blows.", s.Says())
	assert.Equal(t, 67.5, s.FromDeg(3))
}
