package trial_test

import (
	"encoding/json"
	"math"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/trial"
)

// oracle is what R 4.2.2 gives (poisson.test, fisher.test solved to 1e-13, binom.test).
type oracle struct {
	Rates []struct {
		X1, X2, T1, T2 float64
		Ratio          *number `json:"rate_ratio"`
		Low            number  `json:"conf_low"`
		High           number  `json:"conf_high"`
		Low90          number  `json:"conf90_low"`
		High90         number  `json:"conf90_high"`
		P              float64 `json:"p_value"`
		Greater        float64 `json:"p_greater"`
	} `json:"poisson_rate_ratio"`
	Other []struct {
		X1, X2, T1, T2, R0 float64
		P                  float64 `json:"p_value"`
	} `json:"poisson_rate_ratio_other_null"`
	Fisher []struct {
		A, B, C, D int
		Odds       number  `json:"odds_ratio_conditional_mle"`
		Low        number  `json:"conf_low"`
		High       number  `json:"conf_high"`
		P          float64 `json:"p_value"`
	}
	Shares []struct {
		X, N     int
		Estimate float64
		Low      float64 `json:"conf_low"`
		High     float64 `json:"conf_high"`
		Low90    float64 `json:"conf90_low"`
		High90   float64 `json:"conf90_high"`
		P        float64 `json:"p_value_p0_half"`
	} `json:"clopper_pearson"`
}

// number that may be written as "Inf".
type number float64

func (n *number) UnmarshalJSON(raw []byte) error {
	if string(raw) == `"Inf"` {
		*n = number(math.Inf(1))
		return nil
	}
	return json.Unmarshal(raw, (*float64)(n))
}

func read(t *testing.T) (o oracle) {
	raw, err := os.ReadFile("testdata/stats.json")
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(raw, &o))
	require.NotEmpty(t, o.Rates)
	require.NotEmpty(t, o.Other)
	require.NotEmpty(t, o.Fisher)
	require.NotEmpty(t, o.Shares)
	return o
}

// alike to nine digits.
func alike(t *testing.T, want, got float64, what string) {
	t.Helper()
	switch {
	case math.IsInf(want, 0) || want == 0:
		assert.Equal(t, want, got, what) //nolint:testifylint // exactly nought or infinite
	default:
		assert.InEpsilon(t, want, got, 1e-9, what)
	}
}

func TestRatesAsRHasThem(t *testing.T) {
	o := read(t)
	for _, k := range o.Rates {
		a, b := trial.Arm{Fish: int(k.X1), Effort: k.T1}, trial.Arm{Fish: int(k.X2), Effort: k.T2}
		e, err := trial.RateRatio(a, b, 0.95, 1)
		require.NoError(t, err)
		if k.Ratio == nil {
			assert.True(t, math.IsNaN(e.Value))
		} else {
			alike(t, float64(*k.Ratio), e.Value, "ratio")
		}
		alike(t, float64(k.Low), e.Low, "low")
		alike(t, float64(k.High), e.High, "high")
		alike(t, k.P, e.P, "p")
		alike(t, k.Greater, trial.Better(a, b), "better")
		e, err = trial.RateRatio(a, b, 0.9, 1)
		require.NoError(t, err)
		alike(t, float64(k.Low90), e.Low, "low of nine in ten")
		alike(t, float64(k.High90), e.High, "high of nine in ten")
	}
	for _, k := range o.Other {
		e, err := trial.RateRatio(trial.Arm{Fish: int(k.X1), Effort: k.T1}, trial.Arm{Fish: int(k.X2), Effort: k.T2}, 0.95, k.R0)
		require.NoError(t, err)
		alike(t, k.P, e.P, "p against another ratio")
	}
}

func TestTablesAndSharesAsRHasThem(t *testing.T) {
	o := read(t)
	for _, k := range o.Fisher {
		e, err := trial.Table{A: k.A, B: k.B, C: k.C, D: k.D}.Fisher(0.95)
		require.NoError(t, err)
		alike(t, float64(k.Odds), e.Value, "odds ratio")
		alike(t, float64(k.Low), e.Low, "low")
		alike(t, float64(k.High), e.High, "high")
		alike(t, k.P, e.P, "p")
	}
	for _, k := range o.Shares {
		e, err := trial.Proportion(k.X, k.N, 0.95, 0.5)
		require.NoError(t, err)
		alike(t, k.Estimate, e.Value, "share")
		alike(t, k.Low, e.Low, "low")
		alike(t, k.High, e.High, "high")
		alike(t, k.P, e.P, "p")
		e, err = trial.Proportion(k.X, k.N, 0.9, 0.5)
		require.NoError(t, err)
		alike(t, k.Low90, e.Low, "low of nine in ten")
		alike(t, k.High90, e.High, "high of nine in ten")
	}
}

// Turned round, a comparison says the same the other way; twice the effort and twice the fish say more, not else.
func TestAComparisonTurnedRound(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		arm := func(name string) trial.Arm {
			return trial.Arm{Fish: rapid.IntRange(0, 40).Draw(t, name+" fish"), Effort: rapid.Float64Range(0.5, 60).Draw(t, name+" effort")}
		}
		a, b := arm("a"), arm("b")
		one, err := trial.RateRatio(a, b, 0.95, 1)
		require.NoError(t, err)
		other, err := trial.RateRatio(b, a, 0.95, 1)
		require.NoError(t, err)
		assert.InDelta(t, one.P, other.P, 1e-9)
		if a.Fish > 0 && b.Fish > 0 {
			assert.InEpsilon(t, 1/one.Low, other.High, 1e-6)
			assert.InEpsilon(t, 1/one.High, other.Low, 1e-6)
			assert.Less(t, one.Low, one.Value)
			assert.Greater(t, one.High, one.Value)
		}
		assert.True(t, one.P > 0 && one.P <= 1)

		table := trial.Table{A: rapid.IntRange(0, 15).Draw(t, "A"), B: rapid.IntRange(0, 15).Draw(t, "B"),
			C: rapid.IntRange(0, 15).Draw(t, "C"), D: rapid.IntRange(0, 15).Draw(t, "D")}
		f, err := table.Fisher(0.95)
		require.NoError(t, err)
		turned, err := trial.Table{A: table.C, B: table.D, C: table.A, D: table.B}.Fisher(0.95)
		require.NoError(t, err)
		assert.InDelta(t, f.P, turned.P, 1e-9)
		if f.Value > 0 && !math.IsInf(f.Value, 0) {
			assert.InEpsilon(t, 1/f.Value, turned.Value, 1e-6)
		}
	})
}

// What practitioners have run (common practice, no source for the counts): chrome 3 fish in as long as black brought
// 13; 4 to 3 in ninety minutes each.
func TestTrialsThatWereRun(t *testing.T) {
	few, err := trial.RateRatio(trial.Arm{Fish: 4, Effort: 1.5}, trial.Arm{Fish: 3, Effort: 1.5}, 0.95, 1)
	require.NoError(t, err)
	assert.Less(t, few.Low, 0.5, "four to three in ninety minutes shows nothing")
	assert.Greater(t, few.High, 5.0)
	assert.InDelta(t, 1, few.P, 1e-9)
	black, err := trial.RateRatio(trial.Arm{Fish: 13, Effort: 2}, trial.Arm{Fish: 3, Effort: 2}, 0.95, 1)
	require.NoError(t, err)
	assert.Greater(t, black.Low, 1.0)
	assert.InDelta(t, 0.02127, black.P, 1e-4, "2·(C(16,0)+C(16,1)+C(16,2)+C(16,3))/2¹⁶, by hand")
}

func TestWhatCannotBeCompared(t *testing.T) {
	ok := trial.Arm{Fish: 3, Effort: 2}
	for _, bad := range []trial.Arm{{-1, 2}, {3, 0}, {3, math.NaN()}, {3, math.Inf(1)}, {1 << 30, 2}} {
		_, err := trial.RateRatio(bad, ok, 0.95, 1)
		require.Error(t, err)
	}
	_, err := trial.RateRatio(ok, ok, 1, 1)
	require.Error(t, err)
	_, err = trial.Proportion(3, 2, 0.95, 0.5)
	require.Error(t, err)
	_, err = trial.Table{A: -1}.Fisher(0.95)
	require.Error(t, err)
}
