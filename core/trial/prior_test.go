package trial_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"greypebble/core/trial"
)

// Two ways that the book holds alike are as likely the better as each other; where a rule holds of one alone, it is worth
// what the rule says, as wide as that.
func TestThePriorOfTwoWays(t *testing.T) {
	believed := func(rule int) (mean, sd float64) { return []float64{math.Log(1.6), math.Log(1.25)}[rule], 0.3 }
	alike := trial.Between([]float64{1, 0.5}, []float64{1, 0.5}, believed)
	assert.Zero(t, alike.Mean)
	assert.InDelta(t, trial.Unknown.SD/2, alike.SD, 1e-12)
	one := trial.Between([]float64{1, 0}, []float64{0, 0}, believed)
	assert.InDelta(t, math.Log(1.6), one.Mean, 1e-12)
	assert.InDelta(t, math.Sqrt(0.09+alike.SD*alike.SD), one.SD, 1e-12)
	back := trial.Between([]float64{0, 0}, []float64{1, 0}, believed)
	assert.InDelta(t, -one.Mean, back.Mean, 1e-12, "the other way round it is the other way round")
	assert.InDelta(t, one.SD, back.SD, 1e-12)
}
