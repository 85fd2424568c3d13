package playbook

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/ground"
)

// Places of open maps (Natural Earth, 1:50 m), and fish an angler there would and would not name;
// ranges of fish are common knowledge of handbooks, from memory.
func TestFishOfACoast(t *testing.T) {
	book, err := Builtin()
	require.NoError(t, err)
	for _, c := range []struct {
		where string
		at    ground.LatLon
		coast Coast
		fish  string
		not   string
	}{
		{"Georgia, USA", ground.LatLon{Lat: 31.1, Lon: -81.4}, WestAtlantic, "red-drum", "kelp-bass"},
		{"Louisiana", ground.LatLon{Lat: 29.2, Lon: -90.1}, WestAtlantic, "spotted-seatrout", "california-halibut"},
		{"Massachusetts", ground.LatLon{Lat: 41.6, Lon: -70.5}, WestAtlantic, "striped-bass", "snook"},
		{"San Diego", ground.LatLon{Lat: 32.7, Lon: -117.2}, EastPacific, "kelp-bass", "red-drum"},
		{"Puget Sound", ground.LatLon{Lat: 47.7, Lon: -122.4}, EastPacific, "chinook-salmon", "barred-sand-bass"},
		{"Pacific side of Panama", ground.LatLon{Lat: 7.5, Lon: -80.0}, EastPacific, "", "red-drum"},
		{"Plymouth", ground.LatLon{Lat: 50.3, Lon: -4.1}, EastAtlantic, "black-seabream", "summer-flounder"},
		{"Marseille", ground.LatLon{Lat: 43.3, Lon: 5.3}, EastAtlantic, "gilthead-seabream", "striped-bass"},
		{"Lake Michigan", ground.LatLon{Lat: 43.0, Lon: -87.0}, GreatLakes, "lake-trout", "sheepshead"},
		{"Sydney", ground.LatLon{Lat: -33.9, Lon: 151.3}, "", "red-drum", ""},
	} {
		assert.Equal(t, c.coast, CoastAt(c.at), c.where)
		if fish, err := book.Target(c.fish); err == nil {
			assert.True(t, fish.KnownAt(c.at), "%s at %s", c.fish, c.where)
		}
		if fish, err := book.Target(c.not); err == nil {
			assert.False(t, fish.KnownAt(c.at), "%s at %s", c.not, c.where)
			mine := *fish
			mine.Custom = true
			assert.True(t, mine.KnownAt(c.at), "what one wrote oneself is of one's waters")
		}
	}
	for i := range book.Targets {
		assert.NotEmpty(t, book.Targets[i].Ranges, book.Targets[i].ID)
	}
	bare := book.Targets[0]
	bare.Ranges = nil
	source, err := bare.Source()
	require.NoError(t, err)
	with := func(text string) error {
		_, err := book.Over(Overlay{Files: []File{{"t.yaml", append(slices.Clone(source), []byte("    ranges: ["+text+"]\n")...)}}})
		return err
	}
	require.NoError(t, with("{coast: Great Lakes, south: 41, north: 50}"))
	for wrong, says := range map[string]string{
		"{coast: Moon, south: 1, north: 2}":          "Moon",
		"{coast: Great Lakes, south: 3, north: 2}":   "from its south to its north",
		"{coast: Great Lakes, south: -91, north: 2}": "latitude",
		"{coast: Great Lakes, south: 1}":             "north",
	} {
		assert.ErrorContains(t, with(wrong), says)
	}
}
