package tide

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A month of readings of places whose K2, P1 and NU2 stand to their neighbours nearly as in the
// equilibrium tide: they are inferred, the neighbours come out right, and the stated errors hold.
func TestShortRecordsInferWhatTheyCannotTellApart(t *testing.T) {
	r := chance()
	within, twice, all := 0, 0, 0
	worst := 0.0
	for place := range 12 {
		true1 := map[string]Constituent{}
		var list []Constituent
		add := func(name string, amplitude, phase float64) {
			true1[name] = Constituent{name, amplitude, phase}
			list = append(list, true1[name])
		}
		about := func(k string) Constituent { return true1[k] }
		add("M2", 0.8+0.2*r.Float64(), 360*r.Float64())
		add("S2", 0.25+0.1*r.Float64(), 360*r.Float64())
		add("N2", 0.15+0.05*r.Float64(), 360*r.Float64())
		add("K1", 0.2+0.2*r.Float64(), 360*r.Float64())
		add("O1", 0.15+0.1*r.Float64(), 360*r.Float64())
		for _, k := range inferences[:3] {
			of := about(k.from)
			add(k.name, of.AmplitudeM*k.share*(1+shareIsOff*r.NormFloat64()), of.PhaseDeg+lagIsOff*r.NormFloat64())
		}
		h, err := NewHarmonics(list, 1)
		require.NoError(t, err)
		a, err := Analyse(gauge(h, day.AddDate(0, place, 0), 30, time.Hour, 0.05, r), nil)
		require.NoError(t, err)
		got := found(a)
		for name, want := range true1 {
			e := got[name]
			require.Positive(t, e.AmplitudeM, name)
			off := math.Abs(e.AmplitudeM - want.AmplitudeM)
			all++
			if off < e.AmplitudeErrorM {
				within++
			}
			if off < 2*e.AmplitudeErrorM {
				twice++
			}
			if name == "K1" || name == "S2" {
				worst = max(worst, off/want.AmplitudeM)
			}
		}
		assert.Equal(t, "K1", got["P1"].InferredFrom)
		assert.Empty(t, got["K1"].InferredFrom)
	}
	t.Logf("within one error %d, two %d of %d; K1 and S2 at worst %.0f %% off", within, twice, all, 100*worst)
	assert.InDelta(t, 0.68, float64(within)/float64(all), 0.14)
	assert.Greater(t, float64(twice)/float64(all), 0.88)
	assert.Less(t, worst, 0.2)
}
