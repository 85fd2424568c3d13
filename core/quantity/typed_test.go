package quantity

import (
	"encoding/json"
	"os"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func vectors[T any](t *testing.T, file string) (out []T) {
	raw, err := os.ReadFile(file)
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(raw, &out))
	return out
}

func dimension(t *testing.T, name string) Dimension {
	for d, n := range dimensionNames {
		if n == name {
			return Dimension(d)
		}
	}
	t.Fatalf("no dimension %s", name)
	return None
}

// The page reads the same file and must come to the same.
func TestTyped(t *testing.T) {
	for _, v := range vectors[struct {
		As, Offered, Text string
		SI                *float64
	}](t, "testdata/typed.json") {
		got, err := Typed(dimension(t, v.As), v.Text, v.Offered)
		if v.SI == nil {
			assert.Error(t, err, v.Text)
			continue
		}
		if assert.NoError(t, err, v.Text) {
			assert.InDelta(t, *v.SI, got, 1e-9, v.Text)
		}
	}
}

func TestSpokenAsThePageWritesThem(t *testing.T) {
	for _, v := range vectors[struct {
		System, Measure, Text string
		SI                    float64
	}](t, "testdata/spoken.json") {
		u, err := ParseUnits(v.System)
		require.NoError(t, err)
		show := map[string]func(float64) string{"depth": u.ShowDepth, "distance": u.ShowDistance, "tackle": u.ShowSmall, "wind": u.ShowWind,
			"boat": u.ShowBoat, "run": u.ShowRun, "weight": u.ShowWeight, "fish": u.ShowFish, "temperature": u.ShowTemperature}[v.Measure]
		assert.Equal(t, v.Text, show(v.SI), "%s %s", v.System, v.Measure)
	}
}

// What is shown in any unit one may choose is read back to what it was, as nearly as it was
// shown.
func TestWhatIsShownIsReadBack(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		m := rapid.SampledFrom(Measures()).Draw(t, "measure")
		c := rapid.SampledFrom(m.Choices).Draw(t, "choice")
		si := rapid.Float64Range(0.01, 30).Draw(t, "si")
		u := units[c.Unit]
		text := plain((si-u.offset)/u.scale, c.Decimals) + " " + c.Unit
		back, err := Typed(m.Dimension, text, m.Choices[0].Unit)
		if err != nil {
			t.Fatalf("%s: %v", text, err)
		}
		least := u.scale
		for range c.Decimals {
			least /= 10
		}
		if d := back - si; d > 0.51*least || d < -0.51*least {
			t.Fatalf("%s is %v, was %v", text, back, si)
		}
	})
}

func TestMeasuresHaveUnitsOfTheirDimension(t *testing.T) {
	for _, m := range Measures() {
		for _, c := range m.Choices {
			assert.Equal(t, m.Dimension, units[c.Unit].dimension, "%s in %s", m.ID, c.Unit)
		}
		assert.Equal(t, m.Choices[0].Unit, Metric.Of(m.ID))
		assert.NotEmpty(t, US.Of(m.ID))
	}
	for _, u := range []Units{Metric, US} {
		require.NoError(t, u.Validate())
	}
	assert.ErrorContains(t, Units{Depth: "lb"}.Validate(), "unit of depth")
	assert.ErrorContains(t, Units{Clock: "13 h"}.Validate(), "hours are written")
}

func TestHoursOfTheDay(t *testing.T) {
	at := time.Date(2026, 11, 20, 15, 4, 0, 0, time.UTC)
	assert.Equal(t, "15:04", Metric.ShowClock(at))
	assert.Equal(t, "3:04 pm", US.ShowClock(at))
}

func FuzzTyped(f *testing.F) {
	for _, s := range []string{"3 ft 6", "½ oz", "54F", "1 1/2", "-.5", "1/0", "9e9", "1.2.3", "３"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		for d, offered := range map[Dimension]string{Length: "m", Mass: "g", Temperature: "°C", Time: "min"} {
			if v, err := Typed(d, s, offered); err == nil {
				assert.False(t, v != v, s)
			} else {
				assert.True(t, strings.HasPrefix(err.Error(), "quantity: "))
			}
		}
	})
}
