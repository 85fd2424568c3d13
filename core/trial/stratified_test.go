package trial_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat/distuv"
	"pgregory.net/rapid"

	"greypebble/core/trial"
)

// One block is a plain comparison; many with the same efforts are their sum.
func TestBlocksInCommon(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		e1, e2 := rapid.Float64Range(0.2, 3).Draw(t, "effort"), rapid.Float64Range(0.2, 3).Draw(t, "other")
		var list []trial.Block
		var a, b trial.Arm
		for range rapid.IntRange(1, 6).Draw(t, "blocks") {
			k := trial.Block{First: trial.Arm{Fish: rapid.IntRange(0, 8).Draw(t, "x"), Effort: e1},
				Second: trial.Arm{Fish: rapid.IntRange(0, 8).Draw(t, "y"), Effort: e2}}
			list = append(list, k)
			a.Fish, a.Effort = a.Fish+k.First.Fish, a.Effort+e1
			b.Fish, b.Effort = b.Fish+k.Second.Fish, b.Effort+e2
		}
		got, err := trial.Stratified(list, 0.95)
		require.NoError(t, err)
		want, err := trial.RateRatio(a, b, 0.95, 1)
		require.NoError(t, err)
		assert.InDelta(t, want.P, got.P, 1e-9)
		if a.Fish > 0 && b.Fish > 0 {
			assert.InEpsilon(t, want.Value, got.Value, 1e-9)
			assert.InEpsilon(t, want.Low, got.Low, 1e-6)
			assert.InEpsilon(t, want.High, got.High, 1e-6)
		}
	})
}

// A school that comes and goes does not mislead where blocks are kept apart: pooled it does (a sum in which the
// first arm was fished longer while the fish were there).
func TestWhatDiffersFromBlockToBlockHasNoSay(t *testing.T) {
	list := []trial.Block{
		{First: trial.Arm{Fish: 30, Effort: 3}, Second: trial.Arm{Fish: 10, Effort: 1}},
		{First: trial.Arm{Fish: 1, Effort: 1}, Second: trial.Arm{Fish: 3, Effort: 3}},
	}
	apart, err := trial.Stratified(list, 0.95)
	require.NoError(t, err)
	assert.InDelta(t, 1, apart.Value, 1e-9)
	pooled, err := trial.RateRatio(trial.Arm{Fish: 31, Effort: 4}, trial.Arm{Fish: 13, Effort: 4}, 0.95, 1)
	require.NoError(t, err)
	assert.Greater(t, pooled.Low, 1.0)
}

// Under a wide prior what is believed is what the fish say; under a narrow one, what was believed before; with no
// fish, the prior. Where all is drawn from the prior, the truth lies within four times in five.
func TestWhatIsBelievedOfATrial(t *testing.T) {
	block := func(x, y int, hours float64) []trial.Block {
		return []trial.Block{{First: trial.Arm{Fish: x, Effort: hours}, Second: trial.Arm{Fish: y, Effort: hours}}}
	}
	wide, err := trial.Believed(block(400, 200, 100), 0, 5, 0.8)
	require.NoError(t, err)
	assert.InDelta(t, 2, wide.Value, 0.02)
	narrow, err := trial.Believed(block(4, 2, 1), math.Log(1.25), 0.01, 0.8)
	require.NoError(t, err)
	assert.InDelta(t, 1.25, narrow.Value, 0.01)
	none, err := trial.Believed(block(0, 0, 2), math.Log(1.6), 0.3, 0.8)
	require.NoError(t, err)
	assert.InDelta(t, 1.6, none.Value, 0.001)
	assert.InDelta(t, 1.6*math.Exp(1.28155*0.3), none.High, 0.005)
	assert.InDelta(t, 0.9414, none.P, 0.002, "Φ(ln 1.6 / 0.3)")

	src := rand.NewPCG(17, 3)
	r := rand.New(src) //nolint:gosec // the same each time
	inside, n := 0, 1500
	for range n {
		theta := math.Log(1.3) + 0.5*r.NormFloat64()
		base := math.Exp(0.5 * r.NormFloat64())
		fish := func(rate float64) int { return int(distuv.Poisson{Lambda: rate, Src: src}.Rand()) }
		e, err := trial.Believed([]trial.Block{
			{First: trial.Arm{Fish: fish(2 * base * math.Exp(theta)), Effort: 2}, Second: trial.Arm{Fish: fish(2 * base), Effort: 2}},
			{First: trial.Arm{Fish: fish(3 * math.Exp(theta)), Effort: 1}, Second: trial.Arm{Fish: fish(6), Effort: 2}},
		}, math.Log(1.3), 0.5, 0.8)
		require.NoError(t, err)
		if e.Low <= math.Exp(theta) && math.Exp(theta) <= e.High {
			inside++
		}
	}
	assert.InDelta(t, 0.8, float64(inside)/float64(n), 0.03)
}

// What a trial can show is what trials drawn at random show.
func TestPowerIsHowOftenATrialShowsIt(t *testing.T) {
	src := rand.NewPCG(4, 3)
	for _, k := range []struct{ ratio, rate, hours float64 }{{2, 2, 8}, {4.0 / 3, 3, 5}, {0.25, 1.5, 10}} {
		shown, n := 0, 4000
		for range n {
			a := trial.Arm{Fish: int(distuv.Poisson{Lambda: k.ratio * k.rate * k.hours, Src: src}.Rand()), Effort: k.hours}
			b := trial.Arm{Fish: int(distuv.Poisson{Lambda: k.rate * k.hours, Src: src}.Rand()), Effort: k.hours}
			e, err := trial.RateRatio(a, b, 0.95, 1)
			require.NoError(t, err)
			if e.P <= 0.05 {
				shown++
			}
		}
		assert.InDelta(t, float64(shown)/float64(n), trial.Power(k.ratio, k.rate, k.hours, 0.95), 0.025, k)
	}
	// Two to one is told in an afternoon or two, four to three takes a season.
	two, err := trial.Hours(2, 2, 0.95, 0.8)
	require.NoError(t, err)
	four, err := trial.Hours(4.0/3, 2, 0.95, 0.8)
	require.NoError(t, err)
	assert.InDelta(t, 0.8, trial.Power(2, 2, two, 0.95), 0.03)
	assert.Greater(t, four, 5*two)
	_, err = trial.Hours(1.01, 0.1, 0.95, 0.8)
	require.ErrorIs(t, err, trial.ErrTooLong)
	_, err = trial.Hours(1, 1, 0.95, 0.8)
	require.Error(t, err)
}

// By hand (Holm 1979): 0.01·3, then 0.03·2, and 0.04 no less than that.
func TestSeveralComparisonsAtOnce(t *testing.T) {
	assert.InDeltaSlice(t, []float64{0.06, 0.03, 0.06}, trial.Holm([]float64{0.03, 0.01, 0.04}), 1e-12)
	assert.Empty(t, trial.Holm(nil))
}
