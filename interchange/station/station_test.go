package station

import (
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/tide"
)

func TestRoundTrips(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := Station{Name: rapid.StringMatching(`[A-Za-z ']{1,20}`).Draw(t, "name"), Source: "test",
			Z0M: rapid.Float64Range(-3, 9).Draw(t, "z0")}
		for _, n := range rapid.SliceOfNDistinct(rapid.SampledFrom(tide.Known()), 1, 40, rapid.ID[string]).Draw(t, "names") {
			s.Constituents = append(s.Constituents, tide.Constituent{Name: n, AmplitudeM: rapid.Float64Range(0, 5).Draw(t, "a"),
				PhaseDeg: rapid.Float64Range(0, 360).Draw(t, "p")})
		}
		raw, err := s.JSON()
		if err != nil {
			t.Fatal(err)
		}
		back, err := Read(raw)
		if err != nil || !assert.ObjectsAreEqual(s, back) {
			t.Fatalf("%v %v", err, back)
		}
		back, err = Read(s.CSV())
		if err != nil || back.Z0M != s.Z0M || !assert.ObjectsAreEqual(s.Constituents, back.Constituents) {
			t.Fatalf("%v %v", err, back)
		}
	})
}

func TestOtherUnits(t *testing.T) {
	s, err := Read([]byte("\ufeffName,Amplitude_ft,phase_deg\nZ0,3,0\nM2,2.5,10\n"))
	require.NoError(t, err)
	assert.InDelta(t, 0.9144, s.Z0M, 1e-9)
	assert.InDelta(t, 0.762, s.Constituents[0].AmplitudeM, 1e-9)
}

func TestMistakesAreNamed(t *testing.T) {
	for text, want := range map[string]string{
		"":                         "line 1: empty",
		"name,phase_deg\nM2,1\n":   "the unit is part of the name",
		"name,amplitude_m\nM2,1\n": "column phase_deg: missing",
		"name,amplitude_m,phase_deg\nM2,high,1\n":      "line 2, column amplitude_m: expected a number",
		"name,amplitude_m,phase_deg\nM2,1\n":           "line 2: 2 values, expected 3",
		"name,amplitude_m,phase_deg\nM99,1,1\n":        `unknown constituent "M99"`,
		"name,amplitude_m,phase_deg\nM2,1,1\nm2,1,1\n": "repeats",
		"name,amplitude_m,phase_deg,name\nM2,1,1,x\n":  "two such columns",
		"name,amplitude_m,phase_deg\n":                 "no constituents",
		"{":                                            "line 1: expected JSON",
		`{"constituents":[]}`:                          "column z0_m: missing",
		`{"z0_m":1,"constituents":[{"name":"M2"}]}`:    "constituents[0]: expected name, amplitude_m and phase_deg",
	} {
		s, err := Read([]byte(text))
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, s.Constituents)
	}
}

func FuzzRead(f *testing.F) {
	f.Add([]byte("name,amplitude_m,phase_deg\nZ0,1,0\nM2,1,1\n"))
	f.Add([]byte(`{"z0_m":1,"constituents":[{"name":"M2","amplitude_m":1,"phase_deg":2}]}`))
	f.Fuzz(func(t *testing.T, raw []byte) {
		s, err := Read(raw)
		if err != nil {
			if !strings.HasPrefix(err.Error(), "line ") && !strings.HasPrefix(err.Error(), "tide: ") {
				t.Fatal(err)
			}
			return
		}
		for _, c := range s.Constituents {
			if math.IsNaN(c.AmplitudeM) || c.AmplitudeM < 0 {
				t.Fatal(c)
			}
		}
	})
}
