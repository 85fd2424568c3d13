package sweep

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
)

// A table sums what all rules of the book come to.
func TestATableSumsWhatTheBookWeighs(t *testing.T) {
	b, err := playbook.Builtin()
	require.NoError(t, err)
	rapid.Check(t, func(t *rapid.T) {
		target := rapid.SampledFrom(b.Targets).Draw(t, "target").ID
		base := playbook.Nothing()
		for m := range base.Measure {
			base.Measure[m] = rapid.Float64Range(-5, 50).Draw(t, "measure")
		}
		plain := rapid.Bool().Draw(t, "plain")
		open := playbook.Offered
		if plain {
			open = playbook.Plain
		}
		for w := range base.Word {
			if word := playbook.Word(w); !plain || !playbook.Offered(word) && word != playbook.Sign {
				base.Word[w] = 1 << rapid.IntRange(0, len(b.WordsOf(word))-1).Draw(t, "word")
			}
		}
		var spread Spread
		for m := range readingOf {
			spread[m] = [2]float64{rapid.Float64Range(0, 30).Draw(t, "low"), rapid.Float64Range(0, 30).Draw(t, "high")}
		}
		mean := func(r int) float64 { return b.Rules[r].Prior.Mean }
		tables := NewTables(b, []string{target}, []playbook.Facts{base}, open, mean)
		table := &tables.Marks[0]
		tables.Weigh(&base, &spread)
		table.Weigh(&base, &spread)
		etas, means := make([][conditions.Scenarios]float64, 1), make([]float64, 1)
		table.Etas(etas)
		table.Means(means)
		all, weights := 0.0, make([]float64, len(b.Rules))
		for k := range conditions.Scenarios {
			facts := base
			for m := range readingOf {
				facts.Measure[m] = spread[m][conditions.High(k)>>readingOf[m]&1]
			}
			b.Weights(target, &facts, weights)
			eta := 0.0
			for i, w := range weights {
				eta += w * mean(i)
			}
			if math.Abs(eta-etas[0][k]) > 1e-9 {
				t.Fatalf("the table says %v, the book %v", etas[0][k], eta)
			}
			all += eta / conditions.Scenarios
		}
		if math.Abs(all-means[0]) > 1e-9 {
			t.Fatalf("the table's mean is %v, the book's %v", means[0], all)
		}
	})
}
