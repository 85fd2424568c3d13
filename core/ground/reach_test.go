package ground

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// level ground of one elevation with cells of 10 m.
func levelGrid(t require.TestingT, rows, cols int, z float64) *Grid {
	const cell = 10 / perDegree
	g, err := NewGrid(0, 0, cell, cell, rows, cols)
	require.NoError(t, err)
	for i := range g.Z {
		g.Z[i] = float32(z)
	}
	return g
}

func TestReachOverOpenGround(t *testing.T) {
	g := levelGrid(t, 120, 120, -2)
	kayak := Access{Manner: Kayak}
	r := g.Reach(g.Centre(10, 10), 0, kayak)
	rapid.Check(t, func(t *rapid.T) {
		to := g.Centre(rapid.IntRange(0, 119).Draw(t, "row"), rapid.IntRange(0, 119).Draw(t, "col"))
		got, ok := r.At(to, 5)
		require.True(t, ok)
		bee := kayak.Straight(g.Centre(10, 10), to)
		assert.GreaterOrEqual(t, got.Seconds(), bee.Seconds()*0.99-0.2)
		assert.LessOrEqual(t, got.Seconds(), bee.Seconds()*1.09+0.2, "eight ways: at most 8.2 % round")
	})
}

func TestReachGoesRound(t *testing.T) {
	g := levelGrid(t, 60, 60, -1)
	for r := range 55 {
		g.Set(r, 30, 1) // a wall with a gap at its northern end
	}
	from, to := g.Centre(2, 10), g.Centre(2, 50)
	kayak := Access{Manner: Kayak}
	got, ok := g.Reach(from, 0, kayak).At(to, 5)
	require.True(t, ok)
	around := Distance(from, g.Centre(55, 30)) + Distance(g.Centre(55, 30), to)
	assert.InEpsilon(t, around/paddleMS, got.Seconds(), 0.09)
	// Higher water covers the wall.
	over, _ := g.Reach(from, 1.3, kayak).At(to, 5)
	assert.InEpsilon(t, 400/paddleMS, over.Seconds(), 0.02)
	for r := range 60 {
		g.Set(r, 30, 1)
	}
	_, ok = g.Reach(from, 0, kayak).At(to, 5)
	assert.False(t, ok, "shut in")
}

func TestReachByEveryManner(t *testing.T) {
	// Half the ground dry, half of it knee-deep, a hole nobody knows.
	g := levelGrid(t, 20, 40, 0.5)
	for r := range 20 {
		for c := 20; c < 40; c++ {
			g.Set(r, c, -0.4)
		}
		g.Set(r, 36, math.NaN())
	}
	seconds := func(a Access, col int) float64 {
		d, ok := g.Reach(g.Centre(10, 2), 0, a).At(g.Centre(10, col), 5)
		if !ok {
			return math.NaN()
		}
		return d.Seconds()
	}
	assert.InDelta(t, 150/walkMS, seconds(Access{Manner: OnFoot}, 17), 1.5)
	assert.True(t, math.IsNaN(seconds(Access{Manner: OnFoot}, 25)), "dry-shod no further")
	assert.InDelta(t, 175/walkMS+55/wadeMS, seconds(Access{Manner: Wading}, 25), 3, "wading is slower")
	assert.InDelta(t, 180/walkMS+50/paddleMS, seconds(Access{Manner: Kayak}, 25), 3, "carried to the water")
	assert.True(t, math.IsNaN(seconds(Access{Manner: Boat, DraughtM: 0.5}, 25)), "no boat floats")
	assert.True(t, math.IsNaN(seconds(Access{Manner: Wading}, 38)), "what nobody knows leads nowhere")
	d, ok := g.Reach(g.Centre(10, 2), 0, Access{Manner: OnFoot}).At(g.Centre(10, 25), 100)
	require.True(t, ok, "a pier leads out")
	assert.InDelta(t, 230/walkMS, d.Seconds(), 2)
	assert.Equal(t, time.Duration(0), Access{}.Straight(g.Centre(1, 1), g.Centre(1, 1)))
}

func TestClasses(t *testing.T) {
	for _, c := range []struct {
		depth float64
		name  string
	}{{-0.5, "dry"}, {0, "ankle"}, {0.2, "knee"}, {0.5, "thigh"}, {thighM, "over wading"}, {1.5, "boat"}, {9, "boat"}} {
		assert.Equal(t, c.name, ClassOf(c.depth).Name, c.depth)
	}
}
