package tide

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A series of any place is what asking moment by moment gives, to a tenth of a
// millimetre, and its rate to a thousandth of a metre an hour.
func TestSampledIsTheCurve(t *testing.T) {
	h, err := NewHarmonics([]Constituent{{"M2", 0.6, 40}, {"S2", 0.2, 70}, {"K1", 0.15, 10}, {"O1", 0.1, 200}, {"M4", 0.08, 90},
		{"M6", 0.03, 10}, {"M8", 0.01, 30}}, 0.9)
	require.NoError(t, err)
	sec, err := NewSecondary(h, Offsets{LagHigh: 35 * time.Minute, LagLow: 70 * time.Minute, FactorHigh: 0.8, FactorLow: 0.9})
	require.NoError(t, err)
	from := time.Date(2026, 5, 12, 0, 0, 0, 0, time.UTC)
	surge, err := NewSurge(0.4, from.Add(30*time.Hour), 24*time.Hour)
	require.NoError(t, err)
	for name, p := range map[string]Predictor{"harmonics": h, "secondary": sec, "surged": WithSurge(sec, surge)} {
		c, err := Over(p, from, from.AddDate(0, 0, 14))
		require.NoError(t, err)
		const step = 10 * time.Minute
		levels, rates := make([]float64, 14*144), make([]float64, 14*144)
		c.Sampled(levels, rates, from, step)
		for i := range levels {
			at := from.Add(time.Duration(i) * step)
			if d := levels[i] - c.Level(at); d > 1e-4 || d < -1e-4 {
				t.Fatalf("%s at %s: off by %v m", name, at, d)
			}
		}
		// At a turn of a secondary place its stretch changes: the rate is taken across it.
		off := 0
		for i := range rates {
			if d := rates[i] - c.Rate(from.Add(time.Duration(i)*step)); d > 2e-3 || d < -2e-3 {
				off++
			}
		}
		assert.Less(t, off, len(rates)/50, name)
	}
}

// A memo gives the curves that asking without one gives, and asks each reference once.
func TestMemoOverIsOver(t *testing.T) {
	h, err := NewHarmonics([]Constituent{{"M2", 0.6, 40}, {"S2", 0.2, 70}}, 0.9)
	require.NoError(t, err)
	from := time.Date(2026, 5, 12, 0, 0, 0, 0, time.UTC)
	var m Memo
	for _, lag := range []time.Duration{0, 20 * time.Minute, 50 * time.Minute} {
		p, err := Follow(h, Lagged(lag, 0.9))
		require.NoError(t, err)
		plain, err := Over(p, from, from.AddDate(0, 0, 5))
		require.NoError(t, err)
		memo, err := m.Over(p, from, from.AddDate(0, 0, 5))
		require.NoError(t, err)
		assert.Equal(t, plain.Turns(), memo.Turns())
	}
	assert.LessOrEqual(t, len(m.found), 2)
	_, err = m.Over(h, from, from.Add(-time.Hour))
	assert.Error(t, err)
}

// Equal numbers, equal tide; a changed one shows.
func TestIdentifyTellsPlacesApart(t *testing.T) {
	numbers := func(p Predictor) (out []float64) {
		Identify(p, func(v ...float64) { out = append(out, v...) })
		return out
	}
	build := func(amplitude float64, lag time.Duration) Predictor {
		h, err := NewHarmonics([]Constituent{{"M2", amplitude, 40}}, 0.9)
		require.NoError(t, err)
		p, err := Follow(h, Lagged(lag, 1))
		require.NoError(t, err)
		return p
	}
	assert.Equal(t, numbers(build(0.6, time.Minute)), numbers(build(0.6, time.Minute)))
	assert.NotEqual(t, numbers(build(0.6, time.Minute)), numbers(build(0.61, time.Minute)))
	assert.NotEqual(t, numbers(build(0.6, time.Minute)), numbers(build(0.6, 2*time.Minute)))
}
