package tide

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Speeds in degrees an hour (Foreman 1977 and Schureman table 2a; from memory).
func TestCompoundsHaveTheirPublishedSpeeds(t *testing.T) {
	for name, speed := range map[string]float64{
		"M4": 57.9682084, "MS4": 58.9841042, "MN4": 57.4238337, "M6": 86.9523127, "2MS6": 87.9682084, "2SM6": 88.9841042, "S6": 90,
		"MSK6": 89.0662415, "MK3": 44.0251729, "2MK3": 42.9271398, "MO3": 42.9271398, "SO3": 43.9430356, "SK3": 45.0410686,
		"M8":   115.9364166,
		"2SM2": 31.0158958, "MSN2": 30.5443747, "MKS2": 29.0662415, "2MS2": 27.9682084, "2MN2": 29.5284789, "MNS2": 27.4238337,
		"2MK5": 73.0092771, "2SK5": 75.0410686, "2MO5": 71.9112440, "3MS8": 116.9523127, "2(MS)8": 117.9682084, "NO1": 14.4966939,
		"SO1":  16.0569644,
		"3MS4": 56.9523127, "2MNS4": 56.4079380, "3MK7": 101.9933813, "4MS10": 145.9364166, "2MSN4": 59.5284789,
		"MSM": 0.4715211, "MTM": 1.6424078, "MSQM": 2.1139288, "ALP1": 12.3827651, "UPS1": 16.6834764, "OQ2": 27.3509801,
		"ETA2": 30.6265120,
		"H1":   28.9430376, "H2": 29.0251729, "TAU1": 14.0251729, "BET1": 14.4145567, "GAM2": 28.9112506,
	} {
		got, err := Speed(name)
		require.NoError(t, err, name)
		assert.InDelta(t, speed, got, 3e-6, name)
	}
}

func TestEveryCompoundInTheListParses(t *testing.T) {
	for _, name := range compounds {
		parents, ok := parseCompound(name)
		assert.True(t, ok, name)
		assert.NotEmpty(t, parents, name)
	}
	// One that is in no list, but well formed.
	h, err := NewHarmonics([]Constituent{{"5M2S14", 0.01, 0}}, 0)
	require.NoError(t, err)
	assert.InDelta(t, 5*28.9841042+2*30, h.list[0].speed, 1e-5)
}

func FuzzConstituentName(f *testing.F) {
	for _, s := range []string{"M2", "2(MS)8", "MSN2", "((", "2(", "M(SK)2", "9999M9", "", "K", "🐟2"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, name string) {
		_, d, err := lookUp(name)
		if err != nil {
			assert.ErrorContains(t, err, "unknown constituent")
			return
		}
		assert.Less(t, d.speed(), 15.0*15)
	})
}
