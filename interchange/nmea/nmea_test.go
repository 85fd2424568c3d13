package nmea

import (
	"errors"
	"io"
	"math"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Sentences as the public descriptions of NMEA 0183 give them, from memory;
// checksums by the rule of the standard.
func TestSentences(t *testing.T) {
	day := time.Date(1994, 3, 23, 0, 0, 0, 0, time.UTC)
	clock := 12*time.Hour + 35*time.Minute + 19*time.Second
	for line, want := range map[string]Message{
		"$GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W*6A":       Position{48.1173, 11.516667, clock, day},
		"$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47":          Position{48.1173, 11.516667, clock, time.Time{}},
		"$GPVTG,054.7,T,034.4,M,005.5,N,010.2,K*48":                                  Course{54.7, 5.5 * 1852 / 3600},
		Sentence{"SD", "DPT", []string{"2.4", "0.3"}}.String():                       Depth{2.4, 0.3},
		Sentence{"SD", "DBT", []string{"7.8", "f", "2.4", "M", "1.3", "F"}}.String(): Depth{2.4, 0},
		Sentence{"YX", "MTW", []string{"17.75", "C"}}.String():                       WaterTemp{17.75},
		Sentence{"WI", "MWV", []string{"214.8", "R", "10", "N", "A"}}.String():       Wind{214.8, 10 * 1852.0 / 3600, false},
	} {
		got, err := Parse(line)
		require.NoError(t, err, line)
		if p, ok := want.(Position); ok {
			g := got.(Position)
			assert.InDelta(t, p.Lat, g.Lat, 1e-5)
			assert.InDelta(t, p.Lon, g.Lon, 1e-5)
			assert.Equal(t, p.TimeOfDay, g.TimeOfDay)
			assert.Equal(t, p.Date, g.Date)
			continue
		}
		assert.Equal(t, want, got, line)
	}
	south, err := Parse(Sentence{"GP", "GGA", []string{"000000", "3130.0", "S", "04500.0", "W", "1"}}.String())
	require.NoError(t, err)
	assert.Equal(t, Position{Lat: -31.5, Lon: -45}, south)
	assert.InDelta(t, 2.7, Depth{2.4, 0.3}.FromSurfaceM(), 1e-12)
	assert.InDelta(t, 2.4, Depth{2.4, -0.3}.FromSurfaceM(), 1e-12)
}

func TestWhatIsWrong(t *testing.T) {
	for line, want := range map[string]error{
		"$GPVTG,054.7,T,034.4,M,005.5,N,010.2,K*49": ErrChecksum,
		"$GPVTG,054.7,T,034.4,M,005.5,N":            ErrNotASentence,
		"GPVTG,054.7,T*48":                          ErrNotASentence,
		"":                                          ErrNotASentence,
		"$" + strings.Repeat("x", 500) + "*00":      ErrNotASentence,
	} {
		_, err := Parse(line)
		assert.ErrorIs(t, err, want, line)
	}
	for _, s := range []Sentence{
		{"SD", "DPT", []string{"deep", ""}}, {"SD", "DPT", []string{"-1", ""}}, {"YX", "MTW", []string{"400", "C"}},
		{"YX", "MTW", []string{"60", "F"}},
		{"GP", "RMC", []string{"123519", "A", "9907.0", "N", "01131.000", "E", "", "", "230394"}},
		{"GP", "RMC", []string{"123519", "A", "4807.0", "N", "01161.000", "E", "", "", "230394"}},
		{"GP", "RMC", []string{"126019", "A", "4807.0", "N", "01131.000", "E", "", "", "230394"}},
		{"GP", "RMC", []string{"123519", "A", "4807.0", "N", "01131.000", "E", "", "", "310294"}},
	} {
		_, err := Parse(s.String())
		assert.ErrorAs(t, err, &ValueError{}, s.String())
	}
	for _, s := range []Sentence{{"GP", "RMC", []string{"123519", "V", "", "", "", "", "", "", "230394"}},
		{"GP", "GGA", []string{"1", "", "", "", "", "0"}}, {"WI", "MWV", []string{"1", "R", "1", "N", "V"}}, {"GP", "ZZZ", []string{"1"}}} {
		m, err := Parse(s.String())
		assert.NoError(t, err, "no valid value is not an error")
		assert.Nil(t, m)
	}
}

func TestAStreamSurvivesGarbage(t *testing.T) {
	good := Sentence{"SD", "DPT", []string{"2.4", "0"}}.String()
	cut := good[:9]
	text := "\x00\xff noise\r\n" + good + "\r\n" + cut + good + "\r\n" + strings.Repeat("z", 5000) + "\r\n" + good[:len(good)-1] +
		"0\r\n" + good
	var f Faults
	n := 0
	for m, err := range Messages(strings.NewReader(text), &f) {
		require.NoError(t, err)
		assert.Equal(t, Depth{2.4, 0}, m)
		n++
	}
	assert.Equal(t, 3, n)
	assert.Positive(t, f.NotSentences)
	assert.Equal(t, 1, f.Checksums)

	broken := errors.New("cable")
	var last error
	for _, err := range Messages(io.MultiReader(strings.NewReader(good+"\n"), failing{broken}), &f) {
		last = err
	}
	assert.ErrorIs(t, last, broken)
}

type failing struct{ err error }

func (f failing) Read([]byte) (int, error) { return 0, f.err }

func FuzzParse(f *testing.F) {
	for _, s := range []string{"$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47", "$SDDPT,2.4,0*00", "$*00",
		"$GPRMC,,A,,,,,,,*00"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, line string) {
		// Also as the body of a sentence whose checksum is right.
		body, _, _ := strings.Cut(strings.TrimPrefix(line, "$"), "*")
		for _, text := range []string{line, Sentence{"GP", "", nil}.String(), "$" + body + "*" + hex(Checksum(body))} {
			m, err := Parse(text)
			if err != nil && m != nil {
				t.Fatal(text)
			}
			if p, ok := m.(Position); ok && (math.Abs(p.Lat) > 90 || math.Abs(p.Lon) > 180) {
				t.Fatalf("%q is at %v", text, p)
			}
		}
	})
}

func hex(b byte) string { return string("0123456789ABCDEF"[b>>4]) + string("0123456789ABCDEF"[b&15]) }
