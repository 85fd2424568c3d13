package water

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// C8, from memory, dark water at noon: Secchi 2 m, 18 m deep leaves 2·10⁻⁷ of
// the surface light (Poole & Atkins 1929), noon becomes moonlight.
func TestBlackAtNoonAtEighteenMetres(t *testing.T) {
	k, err := Attenuation(2)
	require.NoError(t, err)
	left := Remaining(k, 18)
	assert.InDelta(t, 2e-7, left, 0.5e-7)
	assert.Equal(t, Dark, Class(left*Sky{SunAltitude: 60}.Surface()))
}

func TestLightFallsWithSunCloudAndDepth(t *testing.T) {
	before := 0.0
	for alt := -20.0; alt <= 90; alt++ {
		now := Sky{SunAltitude: alt}.Surface()
		assert.GreaterOrEqual(t, now, before)
		assert.Less(t, Sky{SunAltitude: alt, Cloud: 1}.Surface(), now)
		before = now
	}
	// Kasten & Czeplak 1980: an overcast sky leaves a quarter.
	assert.InDelta(t, 0.25, Sky{SunAltitude: 40, Cloud: 1}.Surface()/Sky{SunAltitude: 40}.Surface(), 1e-9)
	assert.InDelta(t, 1, Remaining(1, -2), 0)
}

func TestMoonlightCountsOnlyAboveTheHorizon(t *testing.T) {
	up := Sky{SunAltitude: -40, MoonAltitude: 50, MoonIllumination: 1}
	down := up
	down.MoonAltitude = -5
	assert.Greater(t, up.Surface(), 100*down.Surface())
	assert.Equal(t, Twilight, Class(up.Surface()))
	assert.Equal(t, Dark, Class(down.Surface()))
}

func TestSecchiMustBePositive(t *testing.T) {
	for _, s := range []float64{0, -1} {
		_, err := Attenuation(s)
		assert.ErrorContains(t, err, "Secchi")
	}
}

func TestDarkBelowIsWhereItTurnsDark(t *testing.T) {
	k, err := Attenuation(1.2)
	require.NoError(t, err)
	surface := Sky{SunAltitude: 30}.Surface()
	z := DarkBelow(surface, k)
	assert.Equal(t, Twilight, Class(surface*Remaining(k, z-0.01)))
	assert.Equal(t, Dark, Class(surface*Remaining(k, z+0.01)))
	assert.Zero(t, DarkBelow(0.01, k))
}
