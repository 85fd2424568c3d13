package plan_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/advise"
	"greypebble/core/cases"
	"greypebble/core/conditions"
	"greypebble/core/plan"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/springrun"
	"greypebble/core/sweep"
)

// Spring runs: the bend is a position that moves upstream by days, and one bend out of place is the
// difference (common practice, no source). A place with the same water and ground, at each of eight
// bends: which is best follows the school, and fish met the day before settle it.
func TestTheBendOfARunMovesUpstreamByDays(t *testing.T) {
	from := time.Date(2026, 3, 10, 0, 0, 0, 0, time.UTC)
	var warming conditions.Year
	for m := range warming {
		warming[m] = conditions.Month{Mean: 5 + 2.5*float64(m), Spread: 0.25}
	}
	// White perch run from 9 °C on: by this water in the first days of March.
	usual := conditions.Sorted(nil).WithUsual(conditions.Usual{conditions.WaterTemp: warming})
	book, err := playbook.Builtin()
	require.NoError(t, err)
	perch, err := book.Target("white-perch")
	require.NoError(t, err)
	river := func(met ...springrun.Met) *plan.Outlook {
		a := plan.Asked{Book: book, Belief: rate.Priors{Book: book}, Units: quantity.Metric, From: from, Days: 14,
			Targets: []*playbook.Target{perch}}
		r := &springrun.River{Bends: 8, Readings: usual, Now: from, Met: map[string][]springrun.Met{"white-perch": met}}
		for bend := 1; bend <= 8; bend++ {
			shore := cases.Usual("river bend", 3, 10)
			shore.Time = from
			sp, err := shore.Spot()
			require.NoError(t, err)
			sp = sp.With(usual)
			sp.Bend, sp.River = bend, r
			a.Spots = append(a.Spots, sp)
		}
		return look(t, a)
	}
	best := func(o *plan.Outlook, day int) (at int) {
		worth := func(at int) float64 {
			e, n := mean(o, 0, at, func(h int, _ time.Time) bool { return h/24 == day })
			require.Positive(t, n)
			return e
		}
		for k := range 8 {
			if worth(k) > worth(at) {
				at = k
			}
		}
		return at + 1
	}
	free := river()
	assert.Less(t, best(free, 0), best(free, 6))
	assert.Less(t, best(free, 6), best(free, 13))
	met := river(springrun.Met{At: from.AddDate(0, 0, -1).Add(9 * time.Hour), Bend: 4, Fish: 5, RodHours: 2})
	assert.Equal(t, 4, best(met, 0))
	assert.Greater(t, best(met, 8), 5)
	blank := river(springrun.Met{At: from.AddDate(0, 0, -1).Add(9 * time.Hour), Bend: best(free, 0), RodHours: 4})
	assert.NotEqual(t, best(free, 0), best(blank, 0), "after four blank hours one tries another")

	// The same number wherever it is asked, and the reason told.
	for _, k := range []int{0, 3} {
		sp := met.Asked.Spots[k]
		at := from.Add(15 * time.Hour)
		one, open, err := sweep.Single(book, met.Asked.Belief, perch, sp, at)
		require.NoError(t, err)
		require.True(t, open)
		assert.InEpsilon(t, float64(met.Edges[0][k][15*6]), one.Value, 0.03)
		a, err := advise.Ask(advise.Question{Book: book, Target: perch, Belief: met.Asked.Belief, Units: quantity.Metric, Spot: sp,
			Time: at})
		require.NoError(t, err)
		require.NotEmpty(t, a.Choices)
		product, says := 1.0, ""
		for _, r := range a.Choices[0].Reasons {
			product *= r.Factor
			if r.Rule == advise.RunRule {
				says = r.Says
				assert.InEpsilon(t, sp.Run("white-perch", springrun.Warmth{From: 9, To: 15}, at), r.Factor, 1e-9)
			}
		}
		assert.InEpsilon(t, a.Choices[0].Edge.Value, product, 1e-6)
		assert.Equal(t, map[int]string{0: "The spring run is likely at another bend", 3: "The spring run is likely at this bend"}[k], says)
	}
}

// What the book has run up rivers does so in the warmth its rule speaks of.
func TestRunsAreInTheWarmthTheirRulesSay(t *testing.T) {
	book, err := playbook.Builtin()
	require.NoError(t, err)
	rules := map[string]string{"yellow-perch": "runs-in-order", "white-perch": "white-perch-run", "striped-bass": "striper-run"}
	n := 0
	for i := range book.Targets {
		w, runs := book.Targets[i].RunWarmth()
		if !runs {
			continue
		}
		n++
		r, known := book.Rule(rules[book.Targets[i].ID])
		require.True(t, known, book.Targets[i].ID)
		for c, want := range map[float64]float64{w.From - 3: 0, (w.From + w.To) / 2: 1, w.To + 3: 0} {
			f := playbook.Nothing()
			f.Say(playbook.Place, "river bend")
			f.Measure[playbook.WaterTemp] = c
			assert.InDelta(t, want, r.Weight(&f), 0.2, "%s at %v °C", book.Targets[i].ID, c)
		}
	}
	assert.Equal(t, 3, n)
}
