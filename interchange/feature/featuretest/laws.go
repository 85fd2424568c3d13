package featuretest

import (
	"strings"
	"testing"
	"time"
	"unicode"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/interchange/feature"
)

// names of whatever can be read: letters of any script, signs, what a spreadsheet would
// work out.
var names = rapid.Custom(func(t *rapid.T) string {
	s := rapid.StringOfN(rapid.RuneFrom(nil, unicode.L, unicode.N, unicode.P, unicode.S, unicode.M, unicode.Zs), 1, 30, -1).Draw(t, "name")
	return rapid.SampledFrom([]string{"", "=", "+", "-", "@", "'", "''="}).Draw(t, "begins") + s
}).Filter(func(s string) bool {
	return strings.TrimSpace(s) == s && !strings.ContainsRune(s, unicode.ReplacementChar) && strings.IndexFunc(s, noCharacter) < 0
})

func noCharacter(r rune) bool { return r&0xfffe == 0xfffe }

// NamesSurvive checks that names of points come back as they were written, whatever
// characters they hold.
func NamesSurvive(t *testing.T, write func([]feature.Feature) ([]byte, error),
	read func([]byte) ([]feature.Feature, []feature.Skipped, error)) {
	t.Helper()
	rapid.Check(t, func(t *rapid.T) {
		f := feature.Feature{Kind: feature.Point, Name: names.Draw(t, "name"), Parts: [][]feature.Position{{{Lat: 31, Lon: -45}}}}
		raw, err := write([]feature.Feature{f})
		require.NoError(t, err)
		got, _, err := read(raw)
		require.NoError(t, err)
		require.Len(t, got, 1)
		assert.Equal(t, f.Name, got[0].Name)
	})
}

// Odd files that no reader may take long over, panic on or take for 0°, 0°.
func Odd(t *testing.T, read func([]byte) ([]feature.Feature, []feature.Skipped, error), files ...string) {
	t.Helper()
	for _, text := range files {
		began := time.Now()
		got, _, err := read([]byte(text))
		assert.Less(t, time.Since(began), 5*time.Second, "%.60s", text)
		for _, f := range got {
			require.NoError(t, f.Check(), "%.60s", text)
			for _, part := range f.Parts {
				for _, p := range part {
					assert.False(t, p.Lat == 0 && p.Lon == 0, "%.60s became a place", text)
				}
			}
		}
		if err != nil {
			for _, jargon := range []string{"strconv", "Go ", " json: ", "float64", "unmarshal"} {
				assert.NotContains(t, err.Error(), jargon, "%.60s", text)
			}
		}
	}
}
