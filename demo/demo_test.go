package demo

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/ground"
)

// The coast's parts agree: sections with depths, spots with the shore, ways with
// the tide that opens them.
func TestTheCoastAgreesWithItself(t *testing.T) {
	g, shores := terrain(), coastline()
	require.NoError(t, shores.Validate())
	for _, a := range []angler{wren(), moss()} {
		for _, sp := range a.spots {
			require.NoError(t, sp.Access.Validate(), sp.Name)
			assert.Contains(t, ground.Places, sp.Place)
			require.NotNil(t, sp.SectionFrom, sp.Name)
			section, err := ground.NewSection(sp.Section)
			require.NoError(t, err, sp.Name)
			for _, m := range sp.Marks {
				require.NoError(t, m.Validate())
				assert.InDelta(t, section.Elevation(m.DistanceM), m.ElevationM, 0.12, "%s: %s stands on its section", sp.Name, m.Name)
				at := ground.Toward(*sp.SectionFrom, sp.SectionBearing, m.DistanceM)
				assert.InDelta(t, g.Elevation(at), m.ElevationM, 0.45, "%s: %s stands on the ground", sp.Name, m.Name)
			}
		}
	}
	places := map[string]bool{}
	for _, sp := range wren().spots {
		places[sp.Place] = true
	}
	assert.GreaterOrEqual(t, len(places), 12, "spots of different kinds")
	for _, z := range zones("Sedge Sound") {
		require.NoError(t, z.Validate())
		assert.Contains(t, z.Source, "invented")
	}
}

// A dug canal, cuts in the bar and holes beside flats are there to be found.
func TestTheCoastHasWhatIsLookedFor(t *testing.T) {
	found := map[ground.MarkKind]int{}
	for _, f := range terrain().FindFeatures(meanLevel, 1) {
		found[f.Kind]++
	}
	assert.Positive(t, found[ground.Channel])
	assert.Positive(t, found[ground.Cut])
	assert.Positive(t, found[ground.Step])
}

// What is usual of the coast is what its made-up weather comes to.
func TestWhatIsUsualFollowsTheWeather(t *testing.T) {
	u := usually()
	require.NoError(t, u.Validate())
	for _, k := range conditions.UsualKinds {
		for month, m := range u[k] {
			assert.True(t, m.Known(), "%s of month %d", k, month+1)
		}
	}
	warm := u[conditions.WaterTemp]
	assert.Greater(t, warm[7].Mean, warm[1].Mean+8, "August over February")
}
