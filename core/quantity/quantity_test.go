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
	assert.Equal(t, "0.34 m", Metric.ShowDepth(0.341))
	assert.Equal(t, "−0.15 m", Metric.ShowDepth(-0.15))
	assert.Equal(t, "0.00 m", Metric.ShowDepth(-0.001))
	assert.Equal(t, "1.1 ft", US.ShowDepth(0.341))
	assert.Equal(t, "0.34 m", Metric.ShowWater(0.341))
	assert.Equal(t, "1.0 m", Metric.ShowWater(0.997))
	assert.Equal(t, "2.0 m", Metric.ShowWater(2.013))
	assert.Equal(t, "6.6 ft", US.ShowWater(2.013))
	assert.Equal(t, "72 ft", US.ShowWater(22))
	assert.Equal(t, "9 cm", Metric.ShowSmall(0.09))
	assert.Equal(t, "3.5 in", US.ShowSmall(0.09))
	assert.Equal(t, "1/4 oz", US.ShowWeight(0.007))
	assert.Equal(t, "1/8 oz", US.ShowWeight(0.0035))
	assert.Equal(t, "3/16 oz", US.ShowWeight(0.0053))
	assert.Equal(t, "1 1/2 oz", US.ShowWeight(0.0425))
	assert.Equal(t, "63 °F", US.ShowTemperature(17))
	assert.Equal(t, "6.0 lb", US.ShowFish(2.72))
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
		"40 cm": Metric.ShowShort(0.4), "1.2 m": Metric.ShowShort(1.2), "3 m": Metric.ShowShort(3), "16 in": US.ShowShort(0.4),
		"4 ft": US.ShowShort(1.2), "3.5 in": US.ShowShort(0.09),
		"20 lb": US.ShowLine(88.96), "20 lb (9 kg)": Metric.ShowLine(88.96), "5.0 kn": US.ShowBoat(2.5722),
		"52 m": Metric.ShowDistance(51.9), "170 ft": US.ShowDistance(51.9),
		"7.0 m/s": Metric.ShowWind(7), "16 mph": US.ShowWind(7),
	} {
		assert.Equal(t, want, got)
	}
}

// People mix units: each is a choice of its own, and one that is left out is metric.
func TestUnitsMayBeMixed(t *testing.T) {
	mixed := Units{Depth: "ft", Wind: "kn", Weight: "oz", Fish: "lb"}
	require.NoError(t, mixed.Validate())
	for want, got := range map[string]string{
		"1.1 ft": mixed.ShowDepth(0.341), "14 kn": mixed.ShowWind(7), "1/4 oz": mixed.ShowWeight(0.007), "6.0 lb": mixed.ShowFish(2.72),
		"17 °C": mixed.ShowTemperature(17), "9 cm": mixed.ShowSmall(0.09), "52 m": mixed.ShowDistance(52), "0.45 m/s": mixed.ShowRun(0.45),
	} {
		assert.Equal(t, want, got)
	}
	for _, u := range []Units{Metric, US} {
		require.NoError(t, u.Validate())
	}
	assert.ErrorContains(t, Units{Wind: "ft"}.Validate(), "wind")
	assert.ErrorContains(t, Units{Depth: "fathom"}.Validate(), "fathom")
	_, err := ParseUnits("imperial")
	assert.ErrorContains(t, err, "imperial")
}

// The standard atmosphere is 101 325 Pa, 1013.25 hPa, 760 mmHg, 29.921 inHg (NIST SP 811).
func TestTheStandardAtmosphere(t *testing.T) {
	for _, text := range []string{"101325 Pa", "1013.25 hPa", "1013.25 mbar", "101.325 kPa", "760 mmHg", "29.9213 inHg"} {
		v, err := Of(Pressure, text)
		require.NoError(t, err)
		assert.InDelta(t, 101325, v, 1, text)
	}
	assert.Equal(t, "inHg", US.Of("pressure"))
	assert.Equal(t, "hPa", Units{}.Of("pressure"), "settings of before it could be chosen")
}
