package sweep_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/bylaw"
	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/spot/spottest"
	"greypebble/core/sweep"
)

// One value alone is what the field has there, and it is less sure of itself the less sure the
// readings are.
func TestASingleEdgeIsThatOfTheField(t *testing.T) {
	book, err := playbook.Builtin()
	require.NoError(t, err)
	belief := rate.Priors{Book: book}
	from := time.Date(2026, 1, 10, 5, 0, 0, 0, time.UTC)
	told := func(spread float64) conditions.Readings {
		var list []conditions.Reading
		for h := -10 * 24; h < 49; h++ {
			for k, v := range map[conditions.Kind]float64{conditions.WaterTemp: 13 + math.Sin(float64(h)/5), conditions.WindSpeed: 5,
				conditions.Clarity: 0.9, conditions.Cloud: 0.5} {
				list = append(list, conditions.Reading{Kind: k, Value: v, Time: from.Add(time.Duration(h) * time.Hour),
					Origin: conditions.Forecast, Spread: spread * map[conditions.Kind]float64{conditions.WaterTemp: 2,
						conditions.WindSpeed: 2, conditions.Clarity: 0.4, conditions.Cloud: 0.2}[k]})
			}
		}
		return conditions.Sorted(list)
	}
	compared, shut := 0, 0
	spots := spottest.Coast(t)
	for _, s := range spots {
		s.Readings = told(0.5)
	}
	// In the morning one of them is shut by a bylaw to those after red drum.
	spots[0].Rules = []bylaw.Rule{{Species: []string{"red drum"}, Status: bylaw.Closed, Hours: bylaw.Hours{From: 6 * 60, To: 11 * 60}}}
	unsought := 0
	for _, id := range []string{"red-drum", "spotted-seatrout", "florida-pompano"} {
		target, err := book.Target(id)
		require.NoError(t, err)
		f, err := sweep.Sweep{Book: book, Belief: belief, Targets: []*playbook.Target{target}, Spots: spots, From: from, Hours: 36,
			Step: 10 * time.Minute}.Edges()
		require.NoError(t, err)
		for at, s := range spots {
			for h := 0; h < 36; h += 5 {
				when := from.Add(time.Duration(h) * time.Hour)
				want := float64(f.Edges[0][at][h*6])
				got, open, err := sweep.Single(book, belief, target, s, when)
				require.NoError(t, err)
				if !open {
					shut++
					if at == 0 && id == "red-drum" && s.Unsought(target.Species(), when) != nil {
						unsought++
					}
					assert.True(t, math.IsNaN(want))
					continue
				}
				compared++
				assert.InEpsilon(t, want, got.Value, 0.06, "but for where the bed began: %s for %s at %s", s.Name, id, when)
				assert.Less(t, got.Low, got.Value)
				assert.Greater(t, got.High, got.Value)
				unsure, _, err := sweep.Single(book, belief, target, s.With(told(3)), when)
				require.NoError(t, err)
				assert.Greater(t, unsure.High/unsure.Low, got.High/got.Low, "%s for %s at %s", s.Name, id, when)
			}
		}
	}
	assert.Greater(t, compared, 20)
	assert.Positive(t, shut)
	assert.Positive(t, unsought)
}
