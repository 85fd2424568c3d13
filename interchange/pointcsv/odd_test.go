package pointcsv

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"greypebble/core/quantity"
	"greypebble/interchange/feature"
	"greypebble/interchange/feature/featuretest"
)

func TestNamesSurvive(t *testing.T) {
	featuretest.NamesSurvive(t, func(l []feature.Feature) ([]byte, error) { return Write(l, quantity.US), nil }, Read)
}

// A name that a spreadsheet would work out is a text for it (OWASP, "CSV Injection").
func TestFormulasAreDefused(t *testing.T) {
	raw := Write([]feature.Feature{{Kind: feature.Point, Name: `=HYPERLINK("x")`,
		Parts: [][]feature.Position{{{Lat: -31.5, Lon: -45}}}}}, quantity.Metric)
	assert.Contains(t, string(raw), `"'=HYPERLINK(""x"")",-31.5,-45,`)
}
