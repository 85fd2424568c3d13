package method

import (
	"math"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// beach falls from 2 m above datum to a trough 10 m from the waterline at 1 m, and over a bar to another.
var beach = []ground.Point{{DistanceM: 0, ElevationM: 2}, {DistanceM: 20, ElevationM: 1}, {DistanceM: 30, ElevationM: -0.5},
	{DistanceM: 45, ElevationM: 0.3}, {DistanceM: 80, ElevationM: -2}, {DistanceM: 200, ElevationM: -4}}

func at(t *testing.T, place string, m ground.Manner, levelM, runMS float64, section []ground.Point) (*spot.Moment, *ground.Section) {
	t.Helper()
	h, err := tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: 0.75}}, levelM)
	require.NoError(t, err)
	way := ground.Passage{Name: "the way", ElevationM: 0.4}
	s := &spot.Spot{Name: "A place", Place: place, Tide: h, Section: section, Access: ground.Access{Manner: m, In: way, Out: way},
		Current: water.Setting{SeenMS: runMS}}
	when := time.Date(2026, 6, 1, 10, 0, 0, 0, time.UTC)
	c, err := tide.Over(h, when, when)
	require.NoError(t, err)
	now, err := s.At(c, when)
	require.NoError(t, err)
	now.LevelM = levelM
	// In the middle of a rise.
	now.Stage.RateMPerH = water.SpringRate(1.5, now.Stage.Next.Time.Sub(now.Stage.Last.Time).Hours())
	g, _ := ground.NewSection(section)
	return &now, g
}

func mark(k ground.MarkKind, distance, elevation float64) *ground.Mark {
	return &ground.Mark{Name: "Mark", Kind: k, Bottom: "sand", DistanceM: distance, ElevationM: elevation}
}

// The waterline moves with the tide, and the near trough with it.
func TestWhereOneStands(t *testing.T) {
	k := mark(ground.Trough, 30, -0.5)
	for level, from := range map[float64]float64{1: 20, 0.3: 24, 1.5: 13} {
		m, g := at(t, "surf beach", ground.OnFoot, level, 0.3, beach)
		s := StandAt(m, g, k)
		assert.InDelta(t, from, s.WaterM, 2, "at %.1f m", level)
		assert.Less(t, s.AtM, s.WaterM)
		assert.False(t, s.Over)
		far := StandAt(m, g, mark(ground.Trough, 80, -2))
		assert.InDelta(t, s.WaterM, far.WaterM, 1e-9, "a bar that dries beyond the trough is no place to stand")
	}
	m, g := at(t, "surf beach", ground.OnFoot, 0.1, 0.3, beach)
	m.Spot.Access.In.ElevationM, m.Spot.Access.Out.ElevationM = -0.8, -0.8
	assert.Greater(t, StandAt(m, g, mark(ground.Trough, 80, -2)).WaterM, 45.0, "a way that deep leads out on to it")
	for _, afloat := range []ground.Manner{ground.Kayak, ground.Boat} {
		m, g = at(t, "reef", afloat, 1, 0.3, beach)
		s := StandAt(m, g, mark(ground.Bar, 45, -1))
		assert.True(t, s.Over && math.Abs(s.AtM-45) >= kayakOff, "off it, not on it: %v", s.AtM)
	}
	m, g = at(t, "pier", ground.OnFoot, 1, 0.3, beach)
	assert.True(t, StandAt(m, g, mark(ground.Piling, 80, -2)).Over, "one walks out over it")
	m, g = at(t, "oyster bar", ground.Wading, 1, 0.3, beach)
	s := StandAt(m, g, mark(ground.Trough, 80, -2))
	assert.LessOrEqual(t, 1-g.Elevation(s.AtM), 0.75, "no deeper than the thigh")
	m, _ = at(t, "seawall", ground.OnFoot, 1, 0.3, nil)
	assert.True(t, StandAt(m, nil, mark(ground.EdgeMark, 2, -1)).Over, "at one's feet")
}

// The way of fishing and the place say where the line goes.
func TestTheCastFollowsTheWay(t *testing.T) {
	book, err := playbook.Builtin()
	require.NoError(t, err)
	for _, c := range []struct {
		place  string
		manner ground.Manner
		mark   ground.MarkKind
		rig    string
		style  string
		run    float64
		kind   Kind
		says   string
	}{
		{"surf beach", ground.OnFoot, ground.Trough, "double-dropper", "still", 0.3, To, "flick of the wrist"},
		{"surf beach", ground.OnFoot, ground.Trough, "plug-straight", "roll", 0.3, Along, "parallel to the beach"},
		{"dug canal", ground.Kayak, ground.Step, "jig-head", "hop", 0.3, Steps, "down the steps"},
		{"dug canal", ground.Kayak, ground.Step, "fish-finder", "still", 0.3, To, "On to the step itself"},
		{"overhung bank", ground.Kayak, ground.Pocket, "weedless-hook", "twitch", 0.3, Under, "skipped in under"},
		{"overhung bank", ground.Kayak, ground.Pocket, "popping-float", "pop", 0.3, Drift, "under the branches"},
		{"pier", ground.OnFoot, ground.Piling, "close-weight", "still", 0.3, Down, "Straight down, close to the wood"},
		{"pier", ground.OnFoot, ground.Piling, "sliding-float", "drift", 0.3, Drift, "drift past them"},
		{"pier", ground.OnFoot, ground.Piling, "sliding-float", "drift", 0.02, To, "let it hang"},
		{"reef", ground.Boat, ground.Rock, "vertical-jig", "lift", 0.3, Down, "Straight down over it"},
		{"reef", ground.Boat, ground.Rock, "paternoster", "drift", 0.6, Trot, "Down-tide of the boat"},
		{"reef", ground.Boat, ground.Rock, "fish-finder", "still", 0.6, To, "Anchor"},
		{"ledge", ground.Boat, ground.EdgeMark, "troll-light", "troll", 0.3, Trolled, "behind the boat"},
		{"estuary", ground.OnFoot, ground.Channel, "jig-head", "hop", 0.3, Through, "swings through"},
		{"estuary", ground.OnFoot, ground.Channel, "light-slider", "drift", 0.3, Drift, "drift through"},
		{"grass flat", ground.Kayak, ground.Hole, "plain-leader", "twitch", 0.3, Past, "past it"},
		{"grass flat", ground.Kayak, ground.Flat, "surface-leader", "walk", 0.3, Fan, "Short casts first"},
		{"oyster bar", ground.Kayak, ground.EdgeMark, "weedless-hook", "stop and go", 0.3, Along, "along it, not across"},
		{"timbered creek", ground.Kayak, ground.Timber, "weedless-hook", "twitch", 0.3, To, "down-tide side"},
	} {
		m, g := at(t, c.place, c.manner, 1, c.run, beach)
		rig, known := book.Rig(c.rig)
		require.True(t, known, c.rig)
		elevation := -0.5
		if c.place == "reef" {
			elevation = -8
		}
		f := Fished{Moment: m, Section: g, Mark: mark(c.mark, 30, elevation), Rig: rig, ReachM: 60}
		for i := range rig.Ways {
			if rig.Ways[i].Style == c.style {
				f.Way = &rig.Ways[i]
			}
		}
		require.NotNil(t, f.Way, c.rig)
		got := f.Cast()
		assert.Equal(t, c.kind, got.Kind, "%s on %s at a %s", c.rig, c.mark, c.place)
		assert.Contains(t, got.Says(quantity.Metric), c.says)
	}
}

// Whatever the way: no throw is longer than it flies, still bait is not cast along, nothing goes past
// branches, and what is said in feet has no metres in it.
func TestCastsKeepWithinReach(t *testing.T) {
	book, err := playbook.Builtin()
	require.NoError(t, err)
	marks := []ground.MarkKind{ground.EdgeMark, ground.Trough, ground.Hole, ground.Flat, ground.Rock, ground.Pocket, ground.Step,
		ground.Channel}
	for _, place := range ground.Places {
		for _, manner := range []ground.Manner{ground.OnFoot, ground.Wading, ground.Kayak, ground.Boat} {
			m, g := at(t, place, manner, 1, 0.3, beach)
			for i := range book.Rigs {
				for _, kind := range marks {
					for j := range book.Rigs[i].Ways {
						f := Fished{Moment: m, Section: g, Mark: mark(kind, 60, -1), Rig: &book.Rigs[i], Way: &book.Rigs[i].Ways[j],
							ReachM: 25}
						c := f.Cast()
						says := c.Says(quantity.US)
						if manner == ground.OnFoot && c.Kind != Down && c.Kind != Trolled {
							assert.LessOrEqual(t, c.OffM, 25+1e-9)
						}
						assert.NotRegexp(t, `\d m\b`, says)
						if f.Way.Style == "still" {
							assert.NotContains(t, strings.ToLower(says), "along it")
						}
						if place == "overhung bank" && kind == ground.Pocket && c.Kind != Down && c.Kind != Trolled {
							assert.NotContains(t, says, "ast it", says)
						}
					}
				}
			}
		}
	}
}
