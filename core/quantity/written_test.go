package quantity

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func TestEndings(t *testing.T) {
	for unit, ending := range map[string]string{"ft": "ft", "°F": "f", "km/h": "kmh", "ft/s": "fts", "m/s": "ms", "oz": "oz"} {
		assert.Equal(t, ending, Ending(unit))
	}
}

// What is written in any unit there is a choice of is the same when read.
func TestWrittenIsReadTheSame(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		m := rapid.SampledFrom(Measures()).Draw(t, "measure")
		c := rapid.SampledFrom(m.Choices).Draw(t, "choice")
		si := rapid.Float64Range(0, 1000).Draw(t, "si")
		u := units[c.Unit]
		assert.InDelta(t, si, Written(si, c.Unit)*u.scale+u.offset, 1e-9)
	})
	assert.InDelta(t, 54, Written(12.2222222222, "°F"), 1e-6) // NIST SP 811, B.8
	assert.InDelta(t, 32.8083989501, Written(10, "ft"), 1e-9)
}
