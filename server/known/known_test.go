package known

import (
	"encoding/json"
	"os"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/ground"
	"greypebble/core/tide"
)

func all(t testing.TB) *Stations {
	s, err := Load()
	require.NoError(t, err)
	return s
}

// oracle is a file of check values: NOAA's constants (public domain) or TICON-4's (CC BY 4.0,
// attribution inside), and levels by an independent implementation of Schureman (1958).
type oracle struct {
	Station      struct{ ID string }
	Datum        string  `json:"chart_datum"`
	MSL          float64 `json:"msl_above_chart_datum_m"`
	Constituents []struct{ Name string }
	Tolerance    map[string]float64 `json:"tolerance_mm"`
	Hourly       struct {
		Start time.Time
		Step  int       `json:"step_s"`
		M     []float64 `json:"reference_m"`
	}
}

func read[T any](t testing.TB, name string) (out T) {
	raw, err := os.ReadFile("../../core/tide/testdata/" + name)
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(raw, &out))
	return out
}

// The stations the program carries, predicted by its own tide, come to the levels others
// found from the same constants.
func TestKnownStationsAgreeWithPublishedLevels(t *testing.T) {
	stations := all(t)
	for _, name := range []string{"tide_seattle.json", "tide_newport.json", "tide_ijmuiden.json"} {
		f := read[oracle](t, name)
		s := stations.ByID(f.Station.ID)
		require.NotNil(t, s, name)
		assert.Equal(t, f.Datum, s.Datum)
		assert.InDelta(t, f.MSL, s.Z0M, 0.0006, name)
		// The check leaves out what the library it was compared with has wrong.
		named := map[string]bool{}
		for _, c := range f.Constituents {
			n, known := tide.Canonical(c.Name)
			require.True(t, known, c.Name)
			named[n] = true
		}
		var list []tide.Constituent
		for _, c := range s.Constituents {
			if named[c.Name] {
				list = append(list, c)
			}
		}
		require.Len(t, list, len(named), name)
		h, err := tide.NewHarmonics(list, s.Z0M)
		require.NoError(t, err)
		// Phases are carried to a hundredth of a degree, amplitudes to a tenth of a millimetre.
		tolerance := f.Tolerance["schureman_node_factors_any_polynomials"]/1000 + 0.002
		for i, want := range f.Hourly.M {
			at := f.Hourly.Start.Add(time.Duration(i*f.Hourly.Step) * time.Second)
			if got := h.Level(at) - s.Z0M; got < want-tolerance || got > want+tolerance {
				t.Fatalf("%s at %s: %.4f, published %.4f", name, at, got, want)
			}
		}
	}
}

// Secondary ones, by the same file of check values as core/tide: NOAA, public domain.
func TestKnownSecondaryStationsAgree(t *testing.T) {
	stations := all(t)
	file := read[struct {
		Stations []struct {
			ID      string
			Offsets struct {
				Reference    string
				Height, Time struct{ High, Low float64 }
			}
		}
	}](t, "tide_subordinate.json")
	require.NotEmpty(t, file.Stations)
	for _, f := range file.Stations {
		s := stations.ByID(f.ID)
		require.NotNil(t, s, f.ID)
		assert.Equal(t, f.Offsets.Reference, s.Reference)
		assert.InDelta(t, f.Offsets.Time.High, s.Offsets.LagHigh.Minutes(), 1e-6)
		assert.InDelta(t, f.Offsets.Time.Low, s.Offsets.LagLow.Minutes(), 1e-6)
		high := s.Offsets.FactorHigh
		if s.Offsets.FactorHigh == 1 && f.Offsets.Height.High < 1 {
			high = s.Offsets.DifferenceHighM
		}
		assert.InDelta(t, f.Offsets.Height.High, high, 1e-3, f.ID)
	}
}

// Every station predicts: nothing is offered that cannot be used.
func TestEveryKnownStationPredicts(t *testing.T) {
	stations := all(t)
	assert.Greater(t, stations.Len(), 5700)
	bySource := map[string]int{}
	at := time.Date(2026, 11, 20, 9, 30, 0, 0, time.UTC)
	for _, s := range stations.list {
		bySource[s.Licence]++
		assert.NotEmpty(t, s.Name, s.ID)
		_, err := time.LoadLocation(s.Zone)
		require.NoError(t, err, s.ID)
		require.NoError(t, s.At.Validate(), s.ID)
		assert.LessOrEqual(t, len([]rune(s.Says())), 400, s.ID)
		of := s
		if s.Secondary() {
			of = stations.ByID(s.Reference)
		}
		h, err := tide.NewHarmonics(of.Constituents, of.Z0M)
		require.NoError(t, err, s.ID)
		p, err := tide.Follow(h, s.Offsets)
		require.NoError(t, err, s.ID)
		c, err := tide.Over(p, at, at)
		require.NoError(t, err, s.ID)
		assert.InDelta(t, 0, c.Level(at), 20, s.ID)
	}
	assert.Equal(t, map[string]int{"public domain": bySource["public domain"], "CC BY 4.0": bySource["CC BY 4.0"]}, bySource)
	assert.Greater(t, bySource["public domain"], 3400)
	assert.Greater(t, bySource["CC BY 4.0"], 2300)
}

func TestSearching(t *testing.T) {
	stations := all(t)
	hits := stations.Search("seattle", nil, 5)
	require.NotEmpty(t, hits)
	assert.Equal(t, "noaa/9447130", hits[0].ID)
	assert.Len(t, stations.Search("", nil, 7), 7)
	assert.Empty(t, stations.Search("no such place", nil, 7))
	near := stations.Search("", &ground.LatLon{Lat: 41.5, Lon: -71.33}, 3)
	require.Len(t, near, 3)
	assert.Equal(t, "noaa/8452660", near[0].ID)
	assert.Less(t, near[0].DistanceM, 2000.0)
	assert.LessOrEqual(t, near[0].DistanceM, near[1].DistanceM)
	assert.Equal(t, "helgoland de", fold("  HÉLGOLAND, de "))
}
