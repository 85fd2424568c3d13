package tackle

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Common practice, no source: what an angler throws how far.
func TestReach(t *testing.T) {
	for kg, m := range map[float64]float64{0.0035: 17, 0.007: 24, 0.014: 34, 0.028: 48, 0.056: 67, 0.112: 95, 0.5: 110} {
		assert.InDelta(t, m, Reach(kg, 0, false), 1, "%v kg", kg)
	}
	assert.Less(t, Reach(0.056, 0, true), Reach(0.056, 0, false), "a soft bait is swung slowly")
	assert.InDelta(t, Reach(0.056, 0, false)*2/3, Reach(0.056, 14, false), 1.5, "a fresh wind in the face takes a third")
	assert.Greater(t, Reach(0.028, -8, false), Reach(0.028, 0, false))
	assert.InDelta(t, 110, Reach(0.17, -60, false), 1e-9, "no wind carries it beyond all bounds")
	assert.Zero(t, Reach(0, 0, false))
}

// What is sold: the least that does.
func TestSold(t *testing.T) {
	for need, buy := range map[float64]float64{0: 0.0009, 0.0269: 0.028, 0.029: 0.028, 0.031: 0.042, 0.133: 0.14, 0.31: 0.34, 2: 2} {
		assert.InDelta(t, buy, Sold(need), 1e-9, "%v kg", need)
	}
	assert.InDelta(t, 15*newton, SoldLine(16.5*newton), 1e-6)
	assert.InDelta(t, 6*newton, SoldLine(6.8*newton), 1e-6)
}

// A 1/32 oz head hangs on a few pounds, a spoon for the jetty on thirty (common practice, no source).
func TestLeadersFollowLureAndHook(t *testing.T) {
	assert.InDelta(t, 7*newton, LeaderOn(0.0009), newton)
	assert.InDelta(t, 20*newton, LeaderOn(0.0071), newton)
	assert.Greater(t, LeaderOn(0.021), 30*newton)
	assert.InDelta(t, 7*newton, LeaderThrough(-3), newton, "size 6")
	assert.InDelta(t, 43*newton, LeaderThrough(3), newton, "3/0")
}

// Two grams hang straight beside the wood in a lazy run, and are swept off in 0.9 m/s.
func TestPlumb(t *testing.T) {
	assert.Less(t, Plumb(3, 0.2, UsualLine, 45), 0.002)
	assert.Greater(t, Plumb(3, 0.9, UsualLine, 45), 0.0035*1.5)
	assert.Zero(t, Plumb(3, 0, UsualLine, 45))
}
