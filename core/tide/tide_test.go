package tide

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

var day = time.Date(2026, 5, 12, 0, 0, 0, 0, time.UTC)

// anyHarmonics draws a place with a handful of constituents of any kind.
func anyHarmonics(t *rapid.T) *Harmonics { return anyOf(t, Known()) }

func anyOf(t *rapid.T, from []string) *Harmonics {
	names := rapid.SliceOfNDistinct(rapid.SampledFrom(from), 1, 12, rapid.ID[string]).Draw(t, "names")
	var list []Constituent
	for _, n := range names {
		list = append(list, Constituent{n, rapid.Float64Range(0.001, 2).Draw(t, "amplitude"), rapid.Float64Range(0, 360).Draw(t, "phase")})
	}
	h, err := NewHarmonics(list, rapid.Float64Range(-1, 3).Draw(t, "z0"))
	if err != nil {
		t.Fatal(err)
	}
	return h
}

func anyTime(t *rapid.T) time.Time {
	return day.Add(time.Duration(rapid.Int64Range(-40*365*24*3600, 40*365*24*3600).Draw(t, "seconds")) * time.Second)
}

func TestSeriesIsThePlainSum(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		h, from := anyHarmonics(t), anyTime(t)
		step := time.Duration(rapid.IntRange(1, 7*24*3600).Draw(t, "step")) * time.Second
		got := make([]float64, rapid.IntRange(1, 600).Draw(t, "n"))
		h.Series(got, from, step)
		for i := range got {
			want := h.Level(from.Add(time.Duration(i) * step))
			if math.Abs(got[i]-want) > 1e-4 {
				t.Fatalf("sample %d of step %s: %v, plain sum %v", i, step, got[i], want)
			}
		}
	})
}

// Turns must be where dense sampling sees the slope change, and nowhere else.
func TestNoTurnIsLostOrInvented(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		h, from := anyHarmonics(t), anyTime(t)
		to := from.Add(2 * 24 * time.Hour)
		turns, err := h.Turns(from, to)
		if err != nil {
			t.Fatal(err)
		}
		rising := h.Rate(from) > 0
		seen := 0
		for at := from; !at.After(to); at = at.Add(time.Minute) {
			if now := h.Rate(at) > 0; now != rising {
				rising = now
				seen++
			}
		}
		// Sampling may miss a pair of turns inside one minute, never the reverse.
		if len(turns) < seen || (len(turns)-seen)%2 != 0 {
			t.Fatalf("%d turns, sampling sees %d", len(turns), seen)
		}
		for i := range turns {
			if i > 0 && turns[i].Kind == turns[i-1].Kind {
				t.Fatalf("two %s waters in a row at %s", turns[i].Kind, turns[i].Time)
			}
			if r := math.Abs(h.Rate(turns[i].Time)); r > 1e-3 {
				t.Fatalf("slope %v m/h at a turn", r)
			}
		}
	})
}

func TestBoundsHoldOverANodalCycle(t *testing.T) {
	for _, name := range Known() {
		_, d, err := lookUp(name)
		require.NoError(t, err)
		limit := maxNodalFactor(d)
		for at := day; at.Before(day.AddDate(19, 0, 0)); at = at.AddDate(0, 0, 3) {
			n := nodesAt(longitudesAt(secondsSinceJ2000(at)))
			f, _ := d.nodal(&n)
			require.LessOrEqual(t, f, limit, name)
			require.Greater(t, f, 0.0, name)
		}
	}
}

// Rule of twelfths: common practice, no source; a check for a sinusoidal tide.
func TestRuleOfTwelfths(t *testing.T) {
	h, err := NewHarmonics([]Constituent{{"S2", 1, 0}}, 1)
	require.NoError(t, err)
	turns, err := h.Turns(day, day.Add(24*time.Hour))
	require.NoError(t, err)
	low := turns[0]
	if low.Kind == High {
		low = turns[1]
	}
	for i, want := range []float64{1, 3, 6, 9, 11, 12} {
		risen := h.Level(low.Time.Add(time.Duration(i+1)*time.Hour)) - low.LevelM
		assert.InDelta(t, want/12*2, risen, 0.035, "after %d sixths", i+1)
	}
}

func TestStage(t *testing.T) {
	h, err := NewHarmonics([]Constituent{{"S2", 0.75, 0}}, 1)
	require.NoError(t, err)
	c, err := Over(h, day, day.Add(24*time.Hour))
	require.NoError(t, err)
	low, high := c.Turns()[0], c.Turns()[1]
	if low.Kind == High {
		low, high = high, c.Turns()[2]
	}
	for share, says := range map[float64]string{0.1: "flood, first third", 0.5: "flood, middle third", 0.9: "flood, last third"} {
		s, err := c.Stage(low.Time.Add(time.Duration(share * float64(high.Time.Sub(low.Time)))))
		require.NoError(t, err)
		assert.Equal(t, says, s.String())
		assert.InDelta(t, share, s.Elapsed, 1e-3)
		assert.Positive(t, s.RateMPerH)
		assert.InDelta(t, 1.5, s.RangeM, 1e-6)
	}
	s, err := At(h, high.Time.Add(time.Minute))
	require.NoError(t, err)
	assert.Equal(t, Ebb, s.Direction)
}

func TestOneLagAndFactorIsAShiftedScaledCurve(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		h := anyOf(t, []string{"M2", "S2", "N2", "K1", "O1", "M4"})
		lag := time.Duration(rapid.IntRange(-300, 300).Draw(t, "minutes")) * time.Minute
		f := rapid.Float64Range(0.2, 3).Draw(t, "factor")
		s, err := NewSecondary(h, Lagged(lag, f))
		if err != nil {
			t.Fatal(err)
		}
		c, err := Over(s, day, day.Add(24*time.Hour))
		if err != nil {
			t.Fatal(err)
		}
		for at := day; at.Before(day.Add(24 * time.Hour)); at = at.Add(37 * time.Minute) {
			want := f * h.Level(at.Add(-lag))
			if math.Abs(c.Level(at)-want) > 1e-3 {
				t.Fatalf("%s: %v, shifted and scaled %v", at, c.Level(at), want)
			}
		}
	})
}

func TestSecondaryIsContinuous(t *testing.T) {
	h := load[stationFile](t, "tide_seattle.json").harmonics(t, 2.024)
	s, err := NewSecondary(h, Offsets{LagHigh: 45 * time.Minute, LagLow: 97 * time.Minute, FactorHigh: 1.29, FactorLow: 1.08})
	require.NoError(t, err)
	c, err := Over(s, day, day.Add(5*24*time.Hour))
	require.NoError(t, err)
	before := c.Level(day)
	for at := day; at.Before(day.Add(5 * 24 * time.Hour)); at = at.Add(20 * time.Second) {
		now := c.Level(at)
		require.InDelta(t, before, now, 0.02, at)
		before = now
	}
}

func TestBadInputIsNamed(t *testing.T) {
	ok := Constituent{"M2", 1, 0}
	for want, list := range map[string][]Constituent{
		`unknown constituent "M22"`: {ok, {"M22", 1, 0}},
		"repeats":                   {ok, {"m2 ", 1, 0}},
		"amplitude":                 {{"K1", math.NaN(), 0}},
		"≥ 0":                       {{"K1", -1, 0}},
		"phase":                     {{"K1", 1, math.Inf(1)}},
		"no constituents":           {},
	} {
		_, err := NewHarmonics(list, 0)
		assert.ErrorContains(t, err, want)
	}
	_, err := NewHarmonics([]Constituent{ok}, math.NaN())
	assert.ErrorContains(t, err, "mean level")

	h, err := NewHarmonics([]Constituent{ok}, 0)
	require.NoError(t, err)
	_, err = h.Turns(day, day.Add(-time.Second))
	assert.ErrorAs(t, err, &ReversedError{})
	_, err = Over(h, day, day.Add(-time.Second))
	assert.ErrorAs(t, err, &ReversedError{})
	_, err = NewSecondary(h, Lagged(20*time.Hour, 1))
	assert.ErrorContains(t, err, "lag")
	_, err = NewSecondary(h, Lagged(0, math.Inf(1)))
	assert.ErrorContains(t, err, "factor")
}

func TestThirtySevenUsualAreKnown(t *testing.T) {
	for _, n := range usual37 {
		_, err := Speed(n)
		assert.NoError(t, err)
	}
	assert.Len(t, usual37, 37)
}

// The list US NOAA publishes for its stations.
var usual37 = []string{"M2", "S2", "N2", "K1", "M4", "O1", "M6", "MK3", "S4", "MN4", "NU2", "S6", "MU2", "2N2", "OO1",
	"LAM2", "S1", "M1", "J1", "MM", "SSA", "SA", "MSF", "MF", "RHO", "Q1", "T2", "R2", "2Q1", "P1", "2SM2", "M3", "L2", "2MK3",
	"K2", "M8", "MS4"}

func BenchmarkYear(b *testing.B) {
	var list []Constituent
	for i, n := range usual37 {
		list = append(list, Constituent{n, 0.1 + float64(i)/100, float64(i * 9)})
	}
	h, _ := NewHarmonics(list, 1)
	dst := make([]float64, 87600)
	b.ReportAllocs()
	for b.Loop() {
		h.Series(dst, day, 6*time.Minute)
	}
}
