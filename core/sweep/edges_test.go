package sweep_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/ordinary"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/scene"
	"greypebble/core/spot/spottest"
	"greypebble/core/sweep"
	"greypebble/core/tide"
)

// A sweep gives what the long way gives: there × feeding on the best mark, worked out moment by
// moment.
func TestEdgesAreWhatTheLongWayGives(t *testing.T) {
	book, err := playbook.Builtin()
	require.NoError(t, err)
	spots := spottest.Coast(t)
	from := time.Date(2026, 5, 12, 0, 0, 0, 0, time.UTC)
	for i, s := range spots {
		var list []conditions.Reading
		for h := range 15 * 24 {
			at := from.Add(time.Duration(h) * time.Hour)
			x := float64(h)/7 + float64(i)
			for k, v := range map[conditions.Kind]float64{conditions.WaterTemp: 17 + 3*math.Sin(x), conditions.WindSpeed: 4 +
				3*math.Cos(x), conditions.Clarity: 1 + 0.5*math.Sin(x/2), conditions.Cloud: 0.4} {
				list = append(list, conditions.Reading{Kind: k, Value: v, Time: at, Origin: conditions.Forecast})
			}
		}
		s.Readings = conditions.Sorted(list)
	}
	var targets []*playbook.Target
	for _, id := range []string{"red-drum", "spotted-seatrout", "florida-pompano"} {
		tg, err := book.Target(id)
		require.NoError(t, err)
		targets = append(targets, tg)
	}
	belief := rate.Priors{Book: book}
	f, err := sweep.Sweep{Book: book, Belief: belief, Targets: targets, Spots: spots, From: from, Hours: 14 * 24,
		Step: 10 * time.Minute}.Edges()
	require.NoError(t, err)
	compared, shut := 0, 0
	weights := make([]float64, len(book.Rules))
	for at, s := range spots {
		c, err := tide.Over(s.Tide, from, from.AddDate(0, 0, 14))
		require.NoError(t, err)
		warmth, err := s.WarmthBy(from, from.AddDate(0, 0, 14), time.Hour)
		require.NoError(t, err)
		for i := 0; i < 14*24*6; i += 54 { // every ninth hour, on the hour
			when := from.Add(time.Duration(i) * f.Step)
			m, err := s.At(c, when)
			require.NoError(t, err)
			m.Warmth = warmth
			base, err := scene.ScenariosOf(&m)
			require.NoError(t, err)
			for n, target := range targets {
				yard := ordinary.Measure(book, target, belief.Mean)
				best := math.Inf(-1)
				for k := range s.Marks {
					if !s.Access.Passable(m.LevelM) || !s.Marks[k].Fishable.Holds(s.Marks[k].Depth(m.LevelM)) {
						continue
					}
					sum := -yard.Log
					for _, facts := range base.On(&m, k) {
						book.Weights(target.ID, &facts, weights)
						for r, w := range weights {
							if w != w {
								w = yard.Rules[r]
							}
							if book.Rules[r].Part != playbook.Taken {
								sum += w * belief.Mean(r) / conditions.Scenarios
							}
						}
					}
					best = max(best, sum)
				}
				got := float64(f.Edges[n][at][i])
				if math.IsInf(best, -1) {
					assert.True(t, math.IsNaN(got), "%s at %s", s.Name, when)
					shut++
					continue
				}
				assert.InEpsilon(t, math.Exp(best), got, 0.002, "%s for %s at %s", s.Name, target.ID, when)
				compared++
			}
		}
	}
	assert.Greater(t, compared, 200)
	assert.Positive(t, shut)
}

func TestASweepNamesWhatIsWrong(t *testing.T) {
	_, err := sweep.Sweep{Step: 7 * time.Minute, Hours: 1}.Edges()
	assert.ErrorContains(t, err, "steps that divide an hour")
}
