package tide

import (
	"math"
	"math/rand/v2"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// weather is noise as a gauge sees it: slow surges of some days, less of it by the day, and the gauge's own
// scatter.
type weather struct {
	r          *rand.Rand
	slow, fast float64
}

func (w *weather) next(hours float64) float64 {
	const days, half = 60.0, 6.0 // hours over which each part forgets itself
	a, b := math.Exp(-hours/days), math.Exp(-hours/half)
	w.slow = a*w.slow + 0.08*math.Sqrt(1-a*a)*w.r.NormFloat64()
	w.fast = b*w.fast + 0.03*math.Sqrt(1-b*b)*w.r.NormFloat64()
	return w.slow + w.fast + 0.02*w.r.NormFloat64()
}

// The errors stated hold what they say: of amplitudes and lags of records from two weeks to a year under
// red noise, one error holds 60 to 76 %, two 90 to 98 % (a normal law has 68 and 95).
func TestStatedErrorsHold(t *testing.T) {
	if testing.Short() {
		t.Skip("a simulation of many records")
	}
	type held struct{ within, twice, all int }
	var short, long held
	for _, of := range []struct {
		days, records int
		in            *held
	}{{16, 16, &short}, {21, 16, &short}, {30, 14, &short}, {45, 12, &short}, {60, 12, &short}, {90, 12, &long}, {200, 12, &long},
		{400, 8, &long}} {
		days, records := of.days, of.records
		r := rand.New(rand.NewPCG(5, uint64(days)))
		within, twice, all := 0, 0, 0
		for record := range records {
			truth := []Constituent{{"M2", 0.7, 40}, {"S2", 0.22, 75}, {"N2", 0.14, 20}, {"K1", 0.16, 130}, {"O1", 0.12, 115},
				{"M4", 0.05, 200}}
			if days < 200 { // inferred ones are given their share, give or take what is stated of it
				for _, k := range inferences {
					if slices.ContainsFunc(truth, func(c Constituent) bool { return c.Name == k.name }) {
						continue
					}
					for _, of := range truth {
						if of.Name == k.from {
							truth = append(truth, Constituent{k.name, of.AmplitudeM * k.share * (1 + shareIsOff*r.NormFloat64()),
								of.PhaseDeg + lagIsOff*r.NormFloat64()})
							break
						}
					}
				}
			}
			h, err := NewHarmonics(truth, 1)
			require.NoError(t, err)
			w := &weather{r: r}
			samples := make([]Sample, days*24)
			from := day.AddDate(0, 0, 11*record)
			for i := range samples {
				at := from.Add(time.Duration(i) * time.Hour)
				samples[i] = Sample{at, h.Level(at) + w.next(1)}
			}
			a, err := Analyse(samples, nil)
			require.NoError(t, err)
			got := found(a)
			for _, c := range truth {
				e, kept := got[c.Name]
				if !kept {
					continue
				}
				for _, off := range []float64{math.Abs(e.AmplitudeM-c.AmplitudeM) / e.AmplitudeErrorM,
					math.Abs(wrap180(e.PhaseDeg-c.PhaseDeg)) / e.PhaseErrorDeg} {
					all++
					if off < 1 {
						within++
					}
					if off < 2 {
						twice++
					}
				}
			}
		}
		of.in.within, of.in.twice, of.in.all = of.in.within+within, of.in.twice+twice, of.in.all+all
		t.Logf("%d days: one error holds %.0f %%, two %.0f %% of %d", days, 100*float64(within)/float64(all),
			100*float64(twice)/float64(all), all)
	}
	for what, h := range map[string]held{"of two weeks to two months": short, "of three months to a year": long} {
		one, two := float64(h.within)/float64(h.all), float64(h.twice)/float64(h.all)
		assert.True(t, one >= 0.6 && one <= 0.76, "records %s: one error holds %.3f", what, one)
		assert.True(t, two >= 0.9 && two <= 0.98, "records %s: two hold %.3f", what, two)
	}
}

// What is not there is not found: of a record with three constituents and noise hardly any other is kept.
func TestWhatTheNoiseDrownsIsLeftOut(t *testing.T) {
	h, err := NewHarmonics([]Constituent{{"M2", 0.6, 40}, {"S2", 0.2, 80}, {"O1", 0.05, 10}}, 1)
	require.NoError(t, err)
	a, err := Analyse(gauge(h, day, 200, time.Hour, 0.05, chance()), nil)
	require.NoError(t, err)
	got := found(a)
	for _, name := range []string{"M2", "S2", "O1"} {
		assert.Contains(t, got, name)
	}
	assert.LessOrEqual(t, len(got), 6, "%v", got)
	lost := 0
	for _, e := range a.Excluded {
		if len(e.Reason) > 4 && e.Reason[:4] == "lost" {
			lost++
		}
	}
	assert.Greater(t, lost, 20)
	for _, e := range a.Constituents {
		assert.GreaterOrEqual(t, e.AmplitudeM, 2.5*e.AmplitudeErrorM, e.Name)
	}
	// Nothing but noise is no tide.
	flat, err := NewHarmonics([]Constituent{{"M2", 0.0001, 0}}, 1)
	require.NoError(t, err)
	_, err = Analyse(gauge(flat, day, 60, time.Hour, 0.05, chance()), nil)
	if err != nil {
		assert.ErrorAs(t, err, &UnusableRecordError{})
	}
}
