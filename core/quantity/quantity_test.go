package quantity

import (
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Factors of NIST SP 811 (2008), appendix B.
func TestParse(t *testing.T) {
	for text, want := range map[string]Quantity{
		"8 in":    {0.2032, Length},
		"-0.5 ft": {-0.1524, Length},
		"−0.5 ft": {-0.1524, Length},
		"1/4 oz":  {0.00708738078125, Mass},
		"55 °F":   {115.0 / 9, Temperature},
		"32degF":  {0, Temperature},
		"10 kn":   {5.144444444444444, Speed},
		"40%":     {0.4, Fraction},
		"0.1 m/h": {0.1, RiseRate},
		"1.5 h":   {5400, Time},
		" 2e1 m ": {20, Length},
		"1000 lx": {1000, Illuminance},
	} {
		got, err := Parse(text)
		require.NoError(t, err, text)
		assert.Equal(t, want.Dimension, got.Dimension, text)
		assert.InDelta(t, want.SI, got.SI, 1e-9, text)
	}
}

func TestParseSaysWhatIsWrong(t *testing.T) {
	for text, want := range map[string]string{
		"8":         "no unit",
		"8 furlong": "unknown unit",
		"inches":    "does not start with a number",
		"":          "does not start with a number",
		"1/0 oz":    "does not start with a number",
		"NaN m":     "does not start with a number",
		"1e999 m":   "does not start with a number",
	} {
		_, err := Parse(text)
		assert.ErrorContains(t, err, want, text)
	}
	d, err := Difference(Temperature, "9 °F")
	require.NoError(t, err)
	assert.InDelta(t, 5, d, 1e-12)
	_, err = Of(Length, "5 °C")
	assert.ErrorContains(t, err, "expected a length")
}

func TestShow(t *testing.T) {
	assert.Equal(t, "0.34 m", Metric.Depth(0.341))
	assert.Equal(t, "−0.15 m", Metric.Depth(-0.15))
	assert.Equal(t, "0.00 m", Metric.Depth(-0.001))
	assert.Equal(t, "1.1 ft", US.Depth(0.341))
	assert.Equal(t, "9 cm", Metric.Small(0.09))
	assert.Equal(t, "3.5 in", US.Small(0.09))
	assert.Equal(t, "1/4 oz", US.Weight(0.007))
	assert.Equal(t, "1/8 oz", US.Weight(0.0035))
	assert.Equal(t, "3/16 oz", US.Weight(0.0053))
	assert.Equal(t, "1 1/2 oz", US.Weight(0.0425))
	assert.Equal(t, "63 °F", US.Temperature(17))
	assert.Equal(t, "6.0 lb", US.Fish(2.72))
}

func FuzzParse(f *testing.F) {
	for _, s := range []string{"8 in", "1/4 oz", "55 °F", "−3m", "//", "1/ m"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		q, err := Parse(s)
		if err == nil && (math.IsNaN(q.SI) || math.IsInf(q.SI, 0)) {
			t.Fatalf("%q became %v", s, q)
		}
		if err != nil && !strings.HasPrefix(err.Error(), "quantity: ") {
			t.Fatalf("%q: %v", s, err)
		}
	})
}

func TestTackleAndWeatherInBothSystems(t *testing.T) {
	for want, got := range map[string]string{
		"40 cm": Metric.Short(0.4), "1.2 m": Metric.Short(1.2), "3 m": Metric.Short(3), "16 in": US.Short(0.4), "4 ft": US.Short(1.2), "3.5 in": US.Short(0.09),
		"20 lb": US.Class(88.96), "20 lb (9 kg)": Metric.Class(88.96), "5.0 kn": US.Knots(2.5722), "52 m": Metric.Distance(51.9), "170 ft": US.Distance(51.9),
		"7.0 m/s": Metric.Wind(7), "16 mph": US.Wind(7),
	} {
		assert.Equal(t, want, got)
	}
}
