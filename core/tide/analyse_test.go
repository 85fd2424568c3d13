package tide

import (
	"errors"
	"math"
	"math/rand/v2"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// gauge makes a record of a place: hourly readings with noise.
func gauge(h *Harmonics, from time.Time, days int, step time.Duration, noise float64, r *rand.Rand) []Sample {
	out := make([]Sample, int(time.Duration(days)*24*time.Hour/step))
	for i := range out {
		t := from.Add(time.Duration(i) * step)
		out[i] = Sample{t, h.Level(t) + noise*r.NormFloat64()}
	}
	return out
}

func chance() *rand.Rand { return rand.New(rand.NewPCG(7, 11)) }

func found(a Analysis) map[string]Estimate {
	out := map[string]Estimate{}
	for _, e := range a.Constituents {
		out[e.Name] = e
	}
	return out
}

// A year of a mixed tide by an independent station's constants: each
// constituent comes back to 1 % (or 1 mm where it is tiny) and 1°.
func TestAnalysisRecoversKnownConstituents(t *testing.T) {
	f := load[stationFile](t, "tide_seattle.json")
	h := f.harmonics(t, 2.024)
	a, err := Analyse(gauge(h, day, 400, time.Hour, 0, chance()), nil)
	require.NoError(t, err)
	got := found(a)
	checked := 0
	for _, c := range f.Constituents {
		name, _, err := lookUp(c.Name)
		require.NoError(t, err)
		e, ok := got[name]
		if !ok || c.Amplitude < 0.01 {
			continue
		}
		checked++
		assert.InDelta(t, c.Amplitude, e.AmplitudeM, 0.01*c.Amplitude+0.0005, c.Name)
		assert.InDelta(t, 0, wrap180(c.Phase-e.PhaseDeg), 1, c.Name)
	}
	assert.Greater(t, checked, 20)
	assert.InDelta(t, 2.024, a.Z0M, 0.002)
	assert.Less(t, a.ResidualRMSM, 0.005)
}

// A year of hourly readings ends an hour short of a year, and its yearly rise and fall is kept.
func TestAYearKeepsWhatTurnsOnceAYear(t *testing.T) {
	h, err := NewHarmonics([]Constituent{{"M2", 0.6, 40}, {"S2", 0.2, 80}, {"SA", 0.12, 210}}, 1)
	require.NoError(t, err)
	a, err := Analyse(gauge(h, day, 365, time.Hour, 0.05, chance()), nil)
	require.NoError(t, err)
	yearly := found(a)["SA"]
	assert.InDelta(t, 0.12, yearly.AmplitudeM, 0.01)
	assert.InDelta(t, 0, wrap180(yearly.PhaseDeg-210), 4)
}

func TestNoiseIsReflectedInTheErrors(t *testing.T) {
	h, err := NewHarmonics([]Constituent{{"M2", 0.6, 40}, {"S2", 0.2, 80}, {"K1", 0.1, 130}, {"O1", 0.07, 120},
		{"K2", 0.0544, 80}, {"P1", 0.0331, 130}}, 1)
	require.NoError(t, err)
	within, total := 0, 0
	for seed := range 6 {
		a, err := Analyse(gauge(h, day, 60, time.Hour, 0.05, rand.New(rand.NewPCG(uint64(seed), 3))), nil)
		require.NoError(t, err)
		got := found(a)
		for _, c := range []Constituent{{"M2", 0.6, 40}, {"S2", 0.2, 80}, {"K1", 0.1, 130}, {"O1", 0.07, 120},
			{"K2", 0.0544, 80}, {"P1", 0.0331, 130}} {
			total++
			if math.Abs(got[c.Name].AmplitudeM-c.AmplitudeM) < 2*got[c.Name].AmplitudeErrorM {
				within++
			}
		}
		assert.InDelta(t, 0.05, a.ResidualRMSM, 0.008)
	}
	assert.Greater(t, float64(within)/float64(total), 0.8, "two standard errors hold about 95 %")
}

func TestARecordIsRarelyClean(t *testing.T) {
	h, err := NewHarmonics([]Constituent{{"M2", 0.6, 40}, {"S2", 0.2, 80}, {"N2", 0.1, 20}, {"K1", 0.1, 130}, {"O1", 0.07, 120}}, 1)
	require.NoError(t, err)
	r := chance()
	record := gauge(h, day, 90, 30*time.Minute, 0.02, r)
	// A fortnight's gap, spikes, duplicates, disorder, and the gauge re-set.
	record = append(record[:1200], record[1900:]...)
	for range 60 {
		record[r.IntN(len(record))].HeightM += 3 * r.NormFloat64()
	}
	record = append(record, record[100], record[200], record[300])
	moved := day.AddDate(0, 0, 63)
	for i := range record {
		if !record[i].Time.Before(moved) {
			record[i].HeightM += 0.35
		}
	}
	r.Shuffle(len(record), func(i, j int) { record[i], record[j] = record[j], record[i] })
	told := 0.0
	a, err := Analyse(record, func(share float64) error {
		assert.GreaterOrEqual(t, share, told-0.5)
		told = share
		return nil
	})
	require.NoError(t, err)
	assert.Equal(t, 1.0, told)
	assert.Equal(t, 3, a.Duplicates)
	assert.Greater(t, a.Spikes, 30)
	require.Len(t, a.Shifts, 1)
	assert.WithinDuration(t, moved, a.Shifts[0].At, 2*time.Hour)
	assert.InDelta(t, 0.35, a.Shifts[0].ByM, 0.02)
	assert.True(t, a.LeastShiftM >= 0.02 && a.LeastShiftM < 0.35, "what can be found is told: %v m", a.LeastShiftM)
	got := found(a)
	assert.InDelta(t, 0.6, got["M2"].AmplitudeM, 0.006)
	assert.InDelta(t, 40, got["M2"].PhaseDeg, 1)
	assert.InDelta(t, 1, a.Z0M, 0.02)
}

func TestWhatCannotBeToldApartIsLeftOutAndSaidSo(t *testing.T) {
	names, out := choose(30*24, 1)
	assert.Contains(t, names, "M2")
	assert.Contains(t, names, "K1")
	assert.NotContains(t, names, "K2")
	reasons := map[string]string{}
	for _, e := range out {
		reasons[e.Name] = e.Reason
	}
	// Schureman: K2 and S2 part in 182.6 days, P1 and K1 likewise; 0.97 of that is asked.
	assert.Contains(t, reasons["K2"], "cannot be told from S2: 178 days")
	assert.Contains(t, reasons["P1"], "cannot be told from K1: 178 days")
	assert.Contains(t, reasons["SA"], "needs 355 days")
	year, _ := choose(365*24-1, 1)
	assert.Contains(t, year, "K2")
	assert.Contains(t, year, "SA")
	slow, out := choose(370*24, 5)
	assert.NotContains(t, slow, "M4")
	assert.NotEmpty(t, out)
	for _, n := range ranking {
		assert.Contains(t, catalogue, n)
	}
}

func TestUnusableRecordsAreRefusedWithTheReason(t *testing.T) {
	h, err := NewHarmonics([]Constituent{{"M2", 0.6, 40}}, 1)
	require.NoError(t, err)
	nonsense := gauge(h, day, 30, time.Hour, 0, chance())
	nonsense[4].HeightM = 999
	nan := gauge(h, day, 30, time.Hour, 0, chance())
	nan[9].HeightM = math.NaN()
	stuck := gauge(h, day, 30, time.Hour, 0, chance())
	for i := range stuck {
		stuck[i].HeightM = 1.2
	}
	for want, record := range map[string][]Sample{
		"at least 15 are needed": gauge(h, day, 12, time.Hour, 0, chance()),
		"different moments":      gauge(h, day, 30, 12*time.Hour, 0, chance()),
		"sample 5":               nonsense,
		"sample 10":              nan,
		"stuck":                  stuck,
		"0 different moments":    nil,
	} {
		_, err := Analyse(record, nil)
		assert.ErrorContains(t, err, want)
		assert.ErrorAs(t, err, &UnusableRecordError{})
	}
}

func TestALongRecordIsThinnedAndWorkCanBeEnded(t *testing.T) {
	h, err := NewHarmonics([]Constituent{{"M2", 0.6, 40}, {"S2", 0.2, 70}, {"K1", 0.1, 10}}, 1)
	require.NoError(t, err)
	record := make([]Sample, 2*mostFitted+7) // nine months, each 1.5 minutes
	from := time.Date(2025, 1, 1, 0, 0, 0, 0, time.UTC)
	for i := range record {
		at := from.Add(time.Duration(i) * 90 * time.Second)
		record[i] = Sample{at, h.Level(at)}
	}
	gone := errors.New("nobody waits for it")
	rounds := 0
	_, err = Analyse(record, func(float64) error {
		rounds++
		return gone
	})
	require.ErrorIs(t, err, gone)
	assert.Equal(t, 1, rounds)
	a, err := Analyse(record, nil)
	require.NoError(t, err)
	assert.LessOrEqual(t, a.Samples, mostFitted)
	for _, k := range a.Constituents {
		if k.Name == "M2" {
			assert.InDelta(t, 0.6, k.AmplitudeM, 1e-3)
			assert.InDelta(t, 40, k.PhaseDeg, 0.2)
		}
	}
}
