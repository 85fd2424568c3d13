package tide

import (
	"encoding/json"
	"math"
	"os"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The files in testdata hold harmonic constants of US NOAA (public domain) and
// TICON-4 (CC BY 4.0, attribution inside) and levels of an independent
// implementation of Schureman (1958) with f and u at each sample.

type stationFile struct {
	Constituents []struct {
		Name      string  `json:"name"`
		Amplitude float64 `json:"amplitude_m"`
		Phase     float64 `json:"phase_deg"`
	} `json:"constituents"`
	Tolerance map[string]float64 `json:"tolerance_mm"`
	Hourly    samples            `json:"hourly"`
	Year      samples            `json:"year6h"`
	Extremes  struct {
		Start, End time.Time
		Points     []struct {
			T     time.Time `json:"t"`
			Kind  string    `json:"kind"`
			Level float64   `json:"level_m"`
		} `json:"turning_points"`
	} `json:"extremes"`
}

type samples struct {
	Start time.Time `json:"start"`
	Step  int       `json:"step_s"`
	M     []float64 `json:"reference_m"`
}

func load[T any](t testing.TB, name string) T {
	t.Helper()
	var v T
	raw, err := os.ReadFile("testdata/" + name)
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(raw, &v))
	return v
}

func (f stationFile) harmonics(t testing.TB, z0 float64) *Harmonics {
	t.Helper()
	var list []Constituent
	for _, c := range f.Constituents {
		list = append(list, Constituent{c.Name, c.Amplitude, c.Phase})
	}
	h, err := NewHarmonics(list, z0)
	require.NoError(t, err)
	return h
}

var stations = []string{"tide_seattle.json", "tide_newport.json", "tide_ijmuiden.json"}

func TestLevelsAgreeWithIndependentImplementation(t *testing.T) {
	for _, name := range stations {
		f := load[stationFile](t, name)
		h := f.harmonics(t, 0)
		tolerance := f.Tolerance["schureman_node_factors_any_polynomials"] / 1000
		for _, s := range []samples{f.Hourly, f.Year} {
			require.NotEmpty(t, s.M)
			step := time.Duration(s.Step) * time.Second
			got := make([]float64, len(s.M))
			h.Series(got, s.Start, step)
			worst := 0.0
			for i, want := range s.M {
				worst = math.Max(worst, math.Abs(h.Level(s.Start.Add(time.Duration(i)*step))-want))
				worst = math.Max(worst, math.Abs(got[i]-want))
			}
			assert.Less(t, worst, tolerance, "%s, step %s", name, step)
			t.Logf("%s, step %s: worst %.2f mm of %.0f mm", name, step, worst*1000, tolerance*1000)
		}
	}
}

func TestTurnsAgreeWithIndependentImplementation(t *testing.T) {
	for _, name := range stations {
		f := load[stationFile](t, name)
		turns, err := f.harmonics(t, 0).Turns(f.Extremes.Start, f.Extremes.End)
		require.NoError(t, err)
		require.Len(t, turns, len(f.Extremes.Points), name)
		for i, want := range f.Extremes.Points {
			assert.WithinDuration(t, want.T, turns[i].Time, time.Minute, name)
			assert.InDelta(t, want.Level, turns[i].LevelM, 0.005, name)
			assert.Equal(t, want.Kind, turns[i].Kind.String(), name)
		}
	}
}

func TestArgumentsAndNodalFactorsAfterSchureman(t *testing.T) {
	f := load[struct {
		Rows []struct {
			T            time.Time            `json:"t"`
			Constituents map[string][]float64 `json:"constituents"`
		} `json:"rows"`
		Definition map[string]struct {
			Speed float64 `json:"speed_deg_per_h"`
		} `json:"definition"`
	}](t, "tide_args.json")
	require.Len(t, f.Rows, 10)
	for _, row := range f.Rows {
		l := longitudesAt(secondsSinceJ2000(row.T))
		n := nodesAt(l)
		for name, want := range row.Constituents {
			_, d, err := lookUp(name)
			require.NoError(t, err)
			fNow, u := d.nodal(&n)
			// A hundredth of a degree: the mean-longitude polynomials of 1900 and
			// of J2000 differ by as much.
			assert.InDelta(t, 0, wrap180(d.argument(l)-want[0]), 0.02, "V of %s at %s", name, row.T)
			assert.InDelta(t, 0, wrap180(u-want[1]), 0.02, "u of %s at %s", name, row.T)
			assert.InDelta(t, want[2], fNow, 0.0003, "f of %s at %s", name, row.T)
		}
	}
	for name, d := range f.Definition {
		speed, err := Speed(name)
		require.NoError(t, err)
		assert.InDelta(t, d.Speed, speed, 2e-6, name)
	}
}

func TestSecondaryPlacesOfTheNOAATables(t *testing.T) {
	f := load[struct {
		Stations []struct {
			Name      string  `json:"name"`
			Reference string  `json:"reference_file"`
			MSL       float64 `json:"msl_above_datum_m"`
			Offsets   struct {
				Height struct {
					High, Low float64
					Type      string
				}
				Time struct{ High, Low float64 }
			} `json:"offsets"`
			Extremes []struct {
				T     time.Time `json:"t"`
				Kind  string    `json:"kind"`
				Level float64   `json:"level_m"`
			} `json:"extremes"`
		} `json:"stations"`
	}](t, "tide_subordinate.json")
	require.NotEmpty(t, f.Stations)
	for _, s := range f.Stations {
		o := Offsets{
			LagHigh: time.Duration(s.Offsets.Time.High * float64(time.Minute)),
			LagLow:  time.Duration(s.Offsets.Time.Low * float64(time.Minute)),
		}
		if s.Offsets.Height.Type == "ratio" {
			o.FactorHigh, o.FactorLow = s.Offsets.Height.High, s.Offsets.Height.Low
		} else {
			o.DifferenceHighM, o.DifferenceLowM = s.Offsets.Height.High, s.Offsets.Height.Low
		}
		place, err := NewSecondary(load[stationFile](t, s.Reference).harmonics(t, s.MSL), o)
		require.NoError(t, err)
		first, last := s.Extremes[0].T, s.Extremes[len(s.Extremes)-1].T
		turns, err := place.Turns(first.Add(-2*time.Minute), last.Add(2*time.Minute))
		require.NoError(t, err)
		require.Len(t, turns, len(s.Extremes), s.Name)
		for i, want := range s.Extremes {
			assert.WithinDuration(t, want.T, turns[i].Time, time.Minute, s.Name)
			assert.InDelta(t, want.Level, turns[i].LevelM, 0.006, s.Name)
			assert.Equal(t, want.Kind, turns[i].Kind.String())
		}
	}
}
