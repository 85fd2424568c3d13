package tide

import (
	"fmt"
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// asTable is a year book: turns to the minute and to the centimetre.
func asTable(t *testing.T, p Predictor, from, to time.Time) []Turn {
	t.Helper()
	turns, err := p.Turns(from, to)
	require.NoError(t, err)
	for i := range turns {
		turns[i].Time = turns[i].Time.Round(time.Minute)
		turns[i].LevelM = math.Round(turns[i].LevelM*100) / 100
	}
	return turns
}

// A year's table of an independent station gives back its great constituents
// and predicts the next year's turns about as well as the table was printed.
func TestATableGivesBackTheStation(t *testing.T) {
	for _, file := range []string{"tide_seattle.json", "tide_newport.json", "tide_ijmuiden.json"} {
		f := load[stationFile](t, file)
		h := f.harmonics(t, 2)
		a, err := AnalyseTurns(asTable(t, h, day, day.AddDate(1, 0, 20)), nil)
		require.NoError(t, err)
		got := found(a)
		for _, c := range f.Constituents {
			name, _, err := lookUp(c.Name)
			require.NoError(t, err)
			if e, ok := got[name]; ok && c.Amplitude > 0.02 {
				assert.InDelta(t, c.Amplitude, e.AmplitudeM, 0.01*c.Amplitude+0.001, "%s %s", file, c.Name)
				assert.InDelta(t, 0, wrap180(c.Phase-e.PhaseDeg), 2, "%s %s", file, c.Name)
			}
		}
		list := make([]Constituent, len(a.Constituents))
		for i, e := range a.Constituents {
			list[i] = e.Constituent
		}
		again, err := NewHarmonics(list, a.Z0M)
		require.NoError(t, err)
		c, err := Compare(h, again, day.AddDate(1, 1, 0), day.AddDate(1, 2, 0))
		require.NoError(t, err)
		assert.Less(t, c.RMSM, 0.005, file)
		assert.Less(t, c.LagHigh.Abs(), time.Minute, file)
		assert.Less(t, c.LagLow.Abs(), time.Minute, file)
		t.Logf("%s: turns refitted to %.3f m rms, next year's levels to %.3f m", file, a.ResidualRMSM, c.RMSM)
	}
}

// A month's table is worth less, and says so: what it cannot tell apart is left
// out, and the month after comes out to a few centimetres.
func TestAMonthsTable(t *testing.T) {
	h := load[stationFile](t, "tide_newport.json").harmonics(t, 2)
	a, err := AnalyseTurns(asTable(t, h, day, day.AddDate(0, 1, 0)), nil)
	require.NoError(t, err)
	assert.NotEmpty(t, a.Excluded)
	list := make([]Constituent, len(a.Constituents))
	for i, e := range a.Constituents {
		list[i] = e.Constituent
	}
	again, err := NewHarmonics(list, a.Z0M)
	require.NoError(t, err)
	c, err := Compare(h, again, day.AddDate(0, 1, 0), day.AddDate(0, 2, 0))
	require.NoError(t, err)
	assert.Less(t, c.RMSM, 0.12)
}

// Half a year of a place with a yearly tide it cannot show: the shallow-water
// tides stay as small as they are, and the great ones right.
func TestHalfAYearsTable(t *testing.T) {
	list := []Constituent{{"M2", 0.55, 61}, {"S2", 0.19, 88}, {"N2", 0.115, 44}, {"K2", 0.052, 86}, {"NU2", 0.022, 47}, {"2N2", 0.014, 25},
		{"L2", 0.016, 80}, {"K1", 0.071, 128}, {"O1", 0.052, 131}, {"P1", 0.023, 127}, {"Q1", 0.01, 119}, {"M4", 0.018, 210},
		{"MS4", 0.009, 236}, {"SA", 0.055, 168}, {"SSA", 0.022, 40}}
	h, err := NewHarmonics(list, 0.95)
	require.NoError(t, err)
	a, err := AnalyseTurns(asTable(t, h, day, day.AddDate(0, 0, 200)), nil)
	require.NoError(t, err)
	got := found(a)
	assert.InDelta(t, 0.55, got["M2"].AmplitudeM, 0.01)
	assert.InDelta(t, 0.19, got["S2"].AmplitudeM, 0.01)
	assert.NotContains(t, got, "M6")
	assert.InDelta(t, 0.018, got["M4"].AmplitudeM, 0.015)
}

func TestATableThatWillNotDo(t *testing.T) {
	h := springy(t)
	table := asTable(t, h, day, day.AddDate(0, 0, 30))
	for says, turns := range map[string][]Turn{
		"at least 40": table[:20], "days": squeeze(table), "expected between": append([]Turn{{day, 99, High}}, table...),
	} {
		_, err := AnalyseTurns(turns, nil)
		assert.ErrorContains(t, err, says)
		assert.ErrorAs(t, err, new(UnusableRecordError))
	}
}

func squeeze(turns []Turn) []Turn {
	out := append([]Turn(nil), turns...)
	for i := range out {
		out[i].Time = out[0].Time.Add(time.Duration(i) * 20 * time.Minute)
	}
	return out
}

// Comparing a place with one made from it by offsets finds the offsets.
func TestCompareFindsOffsets(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		h, err := NewHarmonics([]Constituent{{"M2", 0.6, 40}, {"S2", 0.2, 80}, {"K1", 0.1, 130}}, 1)
		require.NoError(t, err)
		o := Offsets{LagHigh: time.Duration(rapid.IntRange(-90, 90).Draw(t, "high")) * time.Minute,
			LagLow: time.Duration(rapid.IntRange(-90, 90).Draw(t, "low")) * time.Minute}
		o.FactorHigh = rapid.Float64Range(0.4, 1.6).Draw(t, "factor")
		o.DifferenceHighM = rapid.Float64Range(-0.3, 0.3).Draw(t, "difference")
		o.FactorLow, o.DifferenceLowM = o.FactorHigh, o.DifferenceHighM
		s, err := NewSecondary(h, o)
		require.NoError(t, err)
		c, err := Compare(h, s, day, day.AddDate(0, 1, 0))
		require.NoError(t, err)
		assert.InDelta(t, o.LagHigh.Minutes(), c.LagHigh.Minutes(), 0.02)
		assert.InDelta(t, o.LagLow.Minutes(), c.LagLow.Minutes(), 0.02)
		assert.Less(t, c.LagHighScatter, 2*time.Second)
		assert.InDelta(t, o.FactorHigh, c.Factor, 1e-6)
		assert.InDelta(t, o.DifferenceHighM, c.DifferenceM, 1e-6)
	})
}

// Offsets one after the other are the same as together.
func TestOffsetsThen(t *testing.T) {
	a := Offsets{LagHigh: 20 * time.Minute, LagLow: 35 * time.Minute, FactorHigh: 0.9, FactorLow: 0.8, DifferenceHighM: 0.1,
		DifferenceLowM: -0.05}
	b := Offsets{LagHigh: -5 * time.Minute, LagLow: 10 * time.Minute, FactorHigh: 1.1, DifferenceHighM: 0.02}
	for _, k := range []Turn{{day, 1.7, High}, {day, 0.2, Low}} {
		want, got := b.turn(a.turn(k)), a.Then(b).turn(k)
		assert.InDelta(t, want.LevelM, got.LevelM, 1e-12)
		assert.Equal(t, want.Time, got.Time)
	}
	assert.True(t, Offsets{}.None())
	assert.True(t, Lagged(0, 1).None())
	assert.False(t, a.None())
}

// Slack is where the water hardly moves: about the turns, and nowhere else on a
// plain tide.
func TestSlack(t *testing.T) {
	c, err := Over(springy(t), day, day.AddDate(0, 0, 2))
	require.NoError(t, err)
	share, n := 0, 0
	for m := day; m.Before(day.AddDate(0, 0, 2)); m = m.Add(time.Minute) {
		s, err := c.Stage(m)
		require.NoError(t, err)
		if n++; s.Slack {
			share++
			assert.True(t, s.Elapsed < 0.1 || s.Elapsed > 0.9, "%v", s.Elapsed)
			assert.Contains(t, s.String(), fmt.Sprintf("slack, %s water", map[bool]Kind{true: s.Last.Kind,
				false: s.Next.Kind}[s.Elapsed < 0.5]))
		} else {
			assert.Contains(t, s.String(), "third")
		}
	}
	// |cos| below a tenth: 2·asin(0.1)/π of the time.
	assert.InDelta(t, 2*math.Asin(0.1)/math.Pi, float64(share)/float64(n), 0.02)
}
