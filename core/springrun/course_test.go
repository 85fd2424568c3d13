package springrun_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/springrun"
)

var march = time.Date(2026, 3, 10, 0, 0, 0, 0, time.UTC)

func likeliest(c *springrun.Course, t time.Time) int {
	best := 1
	for b := 1; b <= c.Bends(); b++ {
		if c.Share(t, b) > c.Share(t, best) {
			best = b
		}
	}
	return best
}

// The school moves upstream by days (common practice, no source): each week it is looked for further up,
// and before it comes, at the first bend.
func TestARunMovesUpByDays(t *testing.T) {
	c := springrun.Follow(6, springrun.Entry{At: march, SDDays: 3}, nil, march.AddDate(0, 0, -10), 40)
	assert.Equal(t, 1, likeliest(c, march.AddDate(0, 0, -8)))
	assert.Equal(t, 1, likeliest(c, march))
	assert.Equal(t, 3, likeliest(c, march.AddDate(0, 0, 7)))
	assert.Equal(t, 6, likeliest(c, march.AddDate(0, 0, 28)))
	assert.Less(t, c.Come(march.AddDate(0, 0, -8)), 0.05)
	assert.Greater(t, c.Come(march.AddDate(0, 0, 8)), 0.95)
}

// One bend out of place is the difference: after fish at the third the day before, the third and the
// fourth are where to go, not the second; and three blank hours at a bend send one past it.
func TestWhatWasMetCorrectsIt(t *testing.T) {
	enters := springrun.Entry{At: march, SDDays: 6}
	on := march.AddDate(0, 0, 5)
	fish := springrun.Follow(6, enters, []springrun.Met{{At: on, Bend: 3, Fish: 4, RodHours: 2}}, on, 14)
	assert.Greater(t, fish.Share(on, 3), 0.7)
	next := on.AddDate(0, 0, 2)
	assert.Greater(t, fish.Share(next, 3), fish.Share(next, 2)*3)
	assert.Greater(t, fish.Share(next, 4), fish.Share(next, 2))
	assert.Greater(t, fish.Factor(next, 3), 2.0)
	assert.Less(t, fish.Factor(next, 1), 0.5)

	free := springrun.Follow(6, enters, nil, on, 14)
	blank := springrun.Follow(6, enters, []springrun.Met{{At: on, Bend: 2, RodHours: 3}}, on, 14)
	assert.Less(t, blank.Share(on, 2), 0.5*free.Share(on, 2))
	assert.Greater(t, blank.Share(on, 3), free.Share(on, 3))
}

// Where nobody knows when the water warms, a fish says where the run is and a blank alone does not.
func TestWithoutWarmthOnlyAFishTells(t *testing.T) {
	assert.Nil(t, springrun.Follow(4, springrun.Entry{}, nil, march, 7))
	assert.Nil(t, springrun.Follow(4, springrun.Entry{}, []springrun.Met{{At: march, Bend: 2, RodHours: 3}}, march, 7))
	c := springrun.Follow(4, springrun.Entry{}, []springrun.Met{{At: march, Bend: 2, Fish: 1}}, march, 7)
	require.NotNil(t, c)
	assert.Equal(t, 2, likeliest(c, march))
	assert.InDelta(t, 1, (*springrun.Course)(nil).Factor(march, 2), 0)
}

func TestSharesAreShares(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		bends := rapid.IntRange(1, 9).Draw(t, "bends")
		enters := springrun.Entry{At: march.AddDate(0, 0, rapid.IntRange(-60, 60).Draw(t, "enters")),
			SDDays: rapid.Float64Range(0, 20).Draw(t, "sd")}
		var met []springrun.Met
		for range rapid.IntRange(0, 6).Draw(t, "met") {
			met = append(met, springrun.Met{At: march.AddDate(0, 0, rapid.IntRange(-20, 5).Draw(t, "day")),
				Bend: rapid.IntRange(0, bends+1).Draw(t, "bend"), Fish: rapid.IntRange(0, 2).Draw(t, "fish"),
				RodHours: rapid.Float64Range(0, 9).Draw(t, "hours")})
		}
		c := springrun.Follow(bends, enters, met, march, 30)
		require.NotNil(t, c)
		for d := range 30 {
			at := march.AddDate(0, 0, d)
			sum, factors := 0.0, 0.0
			for b := 1; b <= bends; b++ {
				require.GreaterOrEqual(t, c.Share(at, b), 0.0)
				sum += c.Share(at, b)
				factors += c.Factor(at, b)
			}
			require.InDelta(t, 1, sum, 1e-9)
			require.InDelta(t, float64(bends), factors, 1e-6, "on the mean of the bends nothing is gained")
		}
		// The mean bend never goes down where nothing more is met.
		before := 0.0
		for d := 6; d < 30; d++ {
			mean := 0.0
			for b := 1; b <= bends; b++ {
				mean += float64(b) * c.Share(march.AddDate(0, 0, d), b) * c.Come(march.AddDate(0, 0, d))
			}
			require.GreaterOrEqual(t, mean, before-1e-9)
			before = mean
		}
	})
}
