package plan_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/plan"
	"greypebble/core/quantity"
)

// with one condition told over all the days.
func with(a plan.Asked, kind conditions.Kind, value float64) plan.Asked {
	for _, s := range a.Spots {
		var list []conditions.Reading
		s.Readings.Each(func(r *conditions.Reading) {
			if r.Kind != kind {
				list = append(list, *r)
			}
		})
		for h := range a.Days * 24 {
			list = append(list, conditions.Reading{Kind: kind, Value: value, Time: a.From.Add(time.Duration(h) * time.Hour),
				Origin: conditions.Forecast})
		}
		s.Readings = conditions.Sorted(list)
	}
	return a
}

// Where the forecast itself says what would spoil a window, there is no such window; a little short of
// it there is.
func TestWhatSpoilsAWindowWouldHaveKeptItAway(t *testing.T) {
	const least = 1.2
	o := look(t, asked(t, 3, 3, 4, 0.5))
	seen := map[conditions.Kind]int{}
	for _, at := range []int{bar, beach, pier} {
		list := o.Windows(plan.Wish{Spots: []int{at}, Least: least})
		for _, w := range list[:min(3, len(list))] {
			found, err := o.Spoilers(w, least)
			require.NoError(t, err)
			for _, s := range found {
				seen[s.Kind]++
				assert.NotEmpty(t, s.Says)
				short, past := s.Value*0.9, s.Value*1.15
				if s.Kind == conditions.Clarity { // told, it is as unsure as what is told; held, as what is assumed
					short = s.Value * 0.7
				}
				if s.Less {
					short, past = s.Value*1.5, s.Value*0.85
				}
				there := func(value float64) bool {
					other := look(t, with(asked(t, 3, 3, 4, 0.5), s.Kind, value))
					hour := int(w.BestFrom.Add(30*time.Minute).Sub(o.From) / time.Hour)
					return other.Places[at].State[hour] == plan.Open && other.Best(w.Target, at, hour) >= least
				}
				if short > 3.9 || s.Kind != conditions.WindSpeed {
					assert.True(t, there(short), "%s at %s: %v is not enough", s.Says, o.Asked.Spots[at].Name, short)
				}
				if s.Forbids {
					assert.False(t, there(past), "%s at %s", s.Says, o.Asked.Spots[at].Name)
				}
			}
		}
	}
	assert.Positive(t, seen[conditions.SwellHeight], "a beach is shut by its breakers")
	assert.Positive(t, seen[conditions.WindSpeed]+seen[conditions.Clarity])
}

// A limit of one's own is where one does not go.
func TestOnesOwnLimitSpoilsAWindow(t *testing.T) {
	a := asked(t, 2, 2, 4, 0.5)
	a.Limits = going.Limits{"breakers_m": {Think: 0.9, DoNot: 1}}
	o := look(t, a)
	list := o.Windows(plan.Wish{Spots: []int{beach}, Least: 0.5})
	require.NotEmpty(t, list)
	found, err := o.Spoilers(list[0], 0.2)
	require.NoError(t, err)
	require.Len(t, found, 2)
	assert.InDelta(t, 13.9, found[0].Value, 1e-9, "in a near gale nobody casts")
	found = found[1:]
	assert.Equal(t, conditions.SwellHeight, found[0].Kind)
	assert.True(t, found[0].Forbids)
	assert.InDelta(t, 0.9, found[0].Value, 0.4, "waves of nine seconds stand up a little as they break")
	assert.Contains(t, found[0].Says, "Swell from")
	assert.Equal(t, []string{found[0].Says}, plan.SaysSpoilers(found[:1]))
	assert.Len(t, plan.SaysSpoilers(nil), 1)
	// In feet for those who think in them.
	a.Units = quantity.US
	found, err = look(t, a).Spoilers(list[0], 0.2)
	require.NoError(t, err)
	assert.Contains(t, found[1].Says, " ft on:")
}
