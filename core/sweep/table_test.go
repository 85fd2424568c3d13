package sweep

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/core/ordinary"
	"greypebble/core/playbook"
)

// A table sums what all rules of the book come to.
func TestATableSumsWhatTheBookWeighs(t *testing.T) {
	b, err := playbook.Builtin()
	require.NoError(t, err)
	mean := func(r int) float64 { return b.Rules[r].Prior.Mean }
	rapid.Check(t, func(t *rapid.T) {
		target := &b.Targets[rapid.IntRange(0, len(b.Targets)-1).Draw(t, "target")]
		base := playbook.Nothing()
		for m := range base.Measure {
			base.Measure[m] = rapid.OneOf(rapid.Float64Range(-5, 50), rapid.Just(math.NaN())).Draw(t, "measure")
		}
		for w := range base.Word {
			if word := playbook.Word(w); !playbook.Offered(word) && word != playbook.Sign {
				base.Word[w] = 1 << rapid.IntRange(0, len(b.WordsOf(word))-1).Draw(t, "word")
			}
		}
		base.Fade(playbook.Month, "may", rapid.Float64Range(0, 0.5).Draw(t, "fade"))
		var spread Spread
		for m := range readingsOf {
			for i := range spread[m] {
				spread[m][i] = rapid.Float64Range(0, 30).Draw(t, "value")
			}
		}
		yard := ordinary.Measure(b, target, mean)
		tables := NewTables(b, []ordinary.Yardstick{yard}, []playbook.Facts{base}, mean, false)
		table := &tables.Marks[0]
		for _, how := range []How{Hourly, EachStep} {
			tables.Weigh(&base, &spread, how)
			table.Weigh(&base, &spread, how)
		}
		logs := make([]float64, 1)
		table.Logs(logs)

		sum, weights, absent := -yard.Log, make([]float64, len(b.Rules)), make([]float64, len(b.Rules))
		for k := range conditions.Scenarios {
			facts := base
			for m, of := range readingsOf {
				at := 0
				for j, d := range of {
					at |= int(conditions.High(k)>>d&1) << j
				}
				facts.Measure[m] = spread[m][at]
			}
			b.Weights(target.ID, &facts, weights)
			for i, w := range weights {
				if b.Rules[i].Part == playbook.Taken {
					continue
				}
				if w != w {
					w = yard.Rules[i]
				}
				sum += w * mean(i) / conditions.Scenarios
				if b.Rules[i].Presence() {
					absent[i] += w / conditions.Scenarios
				}
			}
		}
		want := math.Min(sum, ordinary.MostAbsent(slices.Max(absent)))
		if math.Abs(want-logs[0]) > 1e-9 {
			t.Fatalf("the table says %v, the book %v", logs[0], want)
		}
	})
}
