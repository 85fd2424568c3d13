package tide

import (
	"math"
	"math/rand/v2"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func springy(t *testing.T) *Harmonics {
	h, err := NewHarmonics([]Constituent{{"M2", 0.6, 40}, {"S2", 0.2, 80}, {"K1", 0.1, 130}, {"O1", 0.07, 120}}, 1)
	require.NoError(t, err)
	return h
}

// Springs follow when M2 and S2 are in phase: half of 29.53 days apart, neaps
// midway. The range then is near 2·(M2+S2), at neaps near 2·(M2−S2).
func TestSpringsAndNeaps(t *testing.T) {
	h := springy(t)
	assert.InDelta(t, 1.6, h.MeanSpringRange(), 1e-12)
	peaks, err := Peaks(h, day, day.AddDate(0, 0, 60))
	require.NoError(t, err)
	require.GreaterOrEqual(t, len(peaks), 8)
	for i, p := range peaks {
		if i > 0 {
			assert.NotEqual(t, peaks[i-1].Springs, p.Springs, "they take turns")
			assert.InDelta(t, 7.4, p.Time.Sub(peaks[i-1].Time).Hours()/24, 1.6)
		}
		if p.Springs {
			assert.InDelta(t, 100, Strength(p.RangeM, h.MeanSpringRange()), 25)
		} else {
			assert.Less(t, Strength(p.RangeM, h.MeanSpringRange()), 75.0)
		}
	}
	s, err := NewSecondary(h, Lagged(time.Hour, 0.5))
	require.NoError(t, err)
	assert.InDelta(t, 0.8, s.MeanSpringRange(), 1e-12)
	diurnal, err := NewHarmonics([]Constituent{{"K1", 0.5, 0}, {"O1", 0.4, 0}, {"M2", 0.1, 0}}, 1)
	require.NoError(t, err)
	assert.InDelta(t, 1.8, diurnal.MeanSpringRange(), 1e-12)
	assert.Zero(t, Strength(1, 0))
}

func TestLagAndFactorAreLearned(t *testing.T) {
	h := springy(t)
	r := rand.New(rand.NewPCG(5, 6))
	turns, err := h.Turns(day, day.AddDate(0, 0, 12))
	require.NoError(t, err)
	note := func(n int) []Noted {
		var out []Noted
		for _, k := range turns[:n] {
			lag := 70 * time.Minute
			if k.Kind == Low {
				lag = 95 * time.Minute
			}
			out = append(out, Noted{k.Time.Add(lag + time.Duration(r.NormFloat64()*10*float64(time.Minute))), k.Kind, 0.8*k.LevelM +
				0.03*r.NormFloat64()})
		}
		return out
	}
	l, err := Learn(h, note(40))
	require.NoError(t, err)
	assert.InDelta(t, 70, l.LagHigh.Minutes(), 3*l.LagHighError.Minutes()+1)
	assert.InDelta(t, 95, l.LagLow.Minutes(), 3*l.LagLowError.Minutes()+1)
	assert.InDelta(t, 0.8, l.FactorHigh, 3*l.FactorError+0.01)
	assert.Less(t, l.LagHighError, 6*time.Minute)
	few, err := Learn(h, note(2))
	require.NoError(t, err)
	assert.Greater(t, few.LagHighError, l.LagHighError, "fewer notes, less sure")

	// One kind only, no height read.
	only, err := Learn(h, []Noted{{turns[0].Time.Add(time.Hour), turns[0].Kind, math.NaN()}})
	require.NoError(t, err)
	assert.Equal(t, only.LagHigh, only.LagLow)
	assert.Equal(t, 1.0, only.FactorHigh)
	assert.True(t, math.IsInf(only.FactorError, 1))
	_, err = Learn(h, nil)
	assert.ErrorContains(t, err, "no high or low water")
	flat, err := NewHarmonics([]Constituent{{"SA", 0.1, 0}}, 1)
	require.NoError(t, err)
	_, err = Learn(flat, []Noted{{day, High, 1}})
	assert.ErrorContains(t, err, "noted water 1")
}
