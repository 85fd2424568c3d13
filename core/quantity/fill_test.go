package quantity

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestMeasuresInAText(t *testing.T) {
	const text = "Hover it {60 cm} up behind {2 oz}, {4 kn}, below {14 °C}; {strike}"
	assert.Equal(t, "Hover it 60 cm up behind 57 g, 4.0 kn, below 14 °C; {strike}", Metric.Fill(text))
	assert.Equal(t, "Hover it 2 ft up behind 2 oz, 4.0 kn, below 57 °F; {strike}", US.Fill(text))
	assert.Equal(t, "12 lb (5 kg) mono", Metric.Fill("{12 lb} mono"))
	assert.Equal(t, "nothing", US.Fill("nothing"))
	assert.NoError(t, CheckFill(text, "strike"))
	assert.ErrorContains(t, CheckFill(text), "{strike}")
	assert.ErrorContains(t, CheckFill("{10 lx}"), "no measure")
}

func FuzzFill(f *testing.F) {
	f.Add("{60 cm}")
	f.Add("{{1 m}}")
	f.Add("{1e999 m}")
	f.Fuzz(func(t *testing.T, text string) {
		_ = US.Fill(text)
		if CheckFill(text) == nil {
			assert.NotRegexp(t, `\{[^{}]*\}`, Metric.Fill(text))
		}
	})
}
