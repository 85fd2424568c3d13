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
	"greypebble/core/rate"
)

// A table sums what all rules of the book come to.
func TestATableSumsWhatTheBookWeighs(t *testing.T) {
	b, err := playbook.Builtin()
	require.NoError(t, err)
	mean := func(r int) float64 { return b.Rules[r].Prior.Mean }
	rapid.Check(t, func(t *rapid.T) {
		target := &b.Targets[rapid.IntRange(0, len(b.Targets)-1).Draw(t, "target")]
		base, spread := drawn(t, b)
		yard := ordinary.Measure(b, target, mean)
		tables := NewTables(b, []ordinary.Yardstick{yard}, []playbook.Facts{base}, rate.Priors{Book: b},
			Waters{Months: base.Word[playbook.Month] | base.Next[playbook.Month].Word})
		table := &tables.Marks[0]
		var span Span
		span.From(&base, &spread)
		tables.Hour(&base, &spread, &span)
		table.Hour(&base, &spread, &span)
		tables.Step(&base, &spread)
		table.Step(&base, &spread)
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

// drawn facts on a mark, and what is believed of its readings.
func drawn(t *rapid.T, b *playbook.Book) (base playbook.Facts, spread Spread) {
	base = playbook.Nothing()
	for m := range base.Measure {
		base.Measure[m] = rapid.OneOf(rapid.Float64Range(-5, 50), rapid.Float64Range(-1, 2), rapid.Just(math.NaN())).Draw(t, "measure")
	}
	for w := range base.Word {
		if word := playbook.Word(w); !playbook.Offered(word) && word != playbook.Sign {
			base.Word[w] = 1 << rapid.IntRange(0, len(b.WordsOf(word))-1).Draw(t, "word")
		}
	}
	base.Fade(playbook.Month, "may", rapid.Float64Range(0, 0.5).Draw(t, "fade"))
	for m := range readingsOf {
		for i := range spread[m] {
			spread[m][i] = rapid.Float64Range(0, 30).Draw(t, "value")
		}
	}
	if rapid.Bool().Draw(t, "no temperature") {
		for i := range spread[playbook.WaterTemp] {
			spread[playbook.WaterTemp][i] = math.NaN()
		}
	}
	return base, spread
}

// Within an hour only what may change is weighed again, and nothing is missed by it.
func TestWithinAnHourNothingIsMissed(t *testing.T) {
	b, err := playbook.Builtin()
	require.NoError(t, err)
	mean := func(r int) float64 { return b.Rules[r].Prior.Mean }
	yard := ordinary.Measure(b, &b.Targets[0], mean)
	rapid.Check(t, func(t *rapid.T) {
		facts, spreads := make([]playbook.Facts, 3), make([]Spread, 3)
		facts[0], spreads[0] = drawn(t, b)
		for j := 1; j < len(facts); j++ {
			facts[j], spreads[j] = facts[j-1], spreads[j-1]
			for m := range quick {
				if quick[m] && rapid.Bool().Draw(t, "moves") {
					facts[j].Measure[m] += rapid.Float64Range(-1, 1).Draw(t, "by")
					for i := range spreads[j][m] {
						spreads[j][m][i] *= rapid.Float64Range(0, 2).Draw(t, "times")
					}
				}
			}
			if rapid.IntRange(0, 3).Draw(t, "turns") == 0 {
				facts[j].Fade(playbook.Stage, "ebb", rapid.Float64Range(0, 0.5).Draw(t, "fade"))
			}
		}
		var hour Span
		hour.From(&facts[0], &spreads[0])
		for j := range facts {
			hour.Reach(&facts[0], &facts[j], spreads[j][playbook.SurfaceLight][:2])
			hour.reach(playbook.Depth, facts[j].Measure[playbook.Depth])
			for i := range spreads[j][playbook.MidLight] {
				hour.reach(playbook.MidLight, spreads[j][playbook.MidLight][i])
				hour.reach(playbook.BedLight, spreads[j][playbook.BedLight][i])
			}
		}
		tables := func() *Tables {
			return NewTables(b, []ordinary.Yardstick{yard}, facts[:1], rate.Priors{Book: b}, Waters{})
		}
		begin := func(tables *Tables, j int, span *Span) {
			tables.Hour(&facts[j], &spreads[j], span)
			tables.Marks[0].Hour(&facts[j], &spreads[j], span)
		}
		step := func(tables *Tables, j int) float64 {
			logs := make([]float64, 1)
			tables.Step(&facts[j], &spreads[j])
			tables.Marks[0].Step(&facts[j], &spreads[j])
			tables.Marks[0].Logs(logs)
			return logs[0]
		}
		through := tables()
		begin(through, 0, &hour)
		for j := range facts {
			var alone Span
			alone.From(&facts[j], &spreads[j])
			anew := tables()
			begin(anew, j, &alone)
			if want, got := step(anew, j), step(through, j); math.Abs(want-got) > 1e-9 {
				t.Fatalf("step %d comes to %v through the hour, %v by itself", j, got, want)
			}
		}
	})
}
