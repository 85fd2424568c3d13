package outing_test

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/outing"
)

// told an outing: a jig at the bar, then what is added, a minute apart.
func told(t require.TestingT, more ...outing.Touch) outing.Outing {
	list := []outing.Touch{{ID: "first", N: 1, Time: at(0), Kind: outing.Fish, Doing: doing("jig", 4)}}
	for i, k := range more {
		k.ID, k.N = fmt.Sprint("m", i), i+2
		if k.Time.IsZero() {
			k.Time = at(i + 1)
		}
		list = append(list, k)
	}
	o, err := outing.Of(list)
	require.NoError(t, err)
	return o
}

func cast(feature string) outing.Touch { return outing.Touch{Kind: outing.Cast, Note: feature} }

func did(k outing.Kind) outing.Touch { return outing.Touch{Kind: k} }

// Two fish by one kind of feature make the day's pattern; one does not, nor two by two.
func TestTheFeatureThatPays(t *testing.T) {
	o := told(t, cast("boiler"), cast("sand lane"), did(outing.Bite), cast("boiler"), did(outing.On), did(outing.Landed))
	f := o.Features()
	assert.Equal(t, []outing.Feature{{Name: "boiler", Casts: 2, Fish: 1, Signs: 1}, {Name: "sand lane", Casts: 1, Signs: 1}}, f)
	_, pays := o.Pays()
	assert.False(t, pays, "one fish is no pattern")
	assert.Equal(t, 3, o.Spells[0].Casts)

	o = told(t, cast("boiler"), did(outing.Landed), cast("pocket"), did(outing.Landed))
	_, pays = o.Pays()
	assert.False(t, pays)
	o = told(t, cast("boiler"), did(outing.Landed), cast("pocket"), did(outing.Lost), cast("boiler"), did(outing.Landed))
	best, pays := o.Pays()
	assert.True(t, pays)
	assert.Equal(t, "boiler", best.Name)
	// A fish hooked at one and landed after the next cast of another rod is of the first.
	o = told(t, cast("boiler"), did(outing.On), cast("pocket"), did(outing.Landed))
	assert.Equal(t, 1, o.Features()[0].Fish)
	assert.Equal(t, "boiler", o.Features()[0].Name)
}

func set(rod string, m float64) outing.Touch {
	return outing.Touch{Kind: outing.RodSet, Rod: rod, Set: &outing.Set{DistanceM: m}}
}

func landed(rod string, minute int) outing.Touch {
	return outing.Touch{Kind: outing.Landed, Rod: rod, Time: at(minute)}
}

// Four rods at different distances; the one at 95 m takes a fish: the others are brought there, but one scouts.
func TestRodsInARow(t *testing.T) {
	prior := outing.Rate{Fish: 1, RodHours: 3}
	spread := []outing.Touch{set("1", 35), set("2", 55), set("3", 75), set("4", 95)}
	o := told(t, spread...)
	r := o.RowOf(at(30), prior)
	require.Len(t, r.Rods, 4)
	assert.Empty(t, r.Moves, "nothing has paid yet")
	assert.Equal(t, at(1), r.Rods[0].Since)
	assert.Equal(t, at(21), r.Rods[0].CheckBait)

	o = told(t, append(spread, landed("4", 40), set("4", 95))...)
	r = o.RowOf(at(60), prior)
	require.Len(t, r.Moves, 2, "two are brought, the one that took it stays, one scouts")
	scouts := map[string]bool{"1": true, "2": true, "3": true}
	for _, m := range r.Moves {
		assert.InDelta(t, 95, m.ToM, 1e-9)
		assert.False(t, m.Scouts)
		delete(scouts, m.Rod)
	}
	assert.Len(t, scouts, 1)

	// All brought: one looks next door.
	o = told(t, append(spread, landed("4", 40), set("4", 95), set("1", 94), set("2", 93), set("3", 96))...)
	r = o.RowOf(at(70), prior)
	require.Len(t, r.Moves, 1)
	assert.True(t, r.Moves[0].Scouts)
	assert.NotEqual(t, 9.0, math.Floor(r.Moves[0].ToM/10))
	over := told(t, append(spread, did(outing.End))...)
	assert.Empty(t, over.RowOf(at(70), prior).Rods, "over")
}

// However the rods are set: hours add up to those they were out, and at least one rod scouts or stays.
func TestARowHoldsTogether(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var list []outing.Touch
		rods := rapid.IntRange(1, outing.MostInARow).Draw(t, "rods")
		for i := range rods {
			list = append(list, set(fmt.Sprint(i), rapid.Float64Range(0, 120).Draw(t, "m")))
		}
		for range rapid.IntRange(0, 20).Draw(t, "touches") {
			rod := fmt.Sprint(rapid.IntRange(0, rods-1).Draw(t, "rod"))
			switch rapid.IntRange(0, 2).Draw(t, "kind") {
			case 0:
				list = append(list, set(rod, rapid.Float64Range(0, 120).Draw(t, "m")))
			case 1:
				list = append(list, outing.Touch{Kind: outing.Landed, Rod: rod})
			default:
				list = append(list, outing.Touch{Kind: outing.Bite, Rod: rod})
			}
		}
		o := told(t, list...)
		end := at(200)
		r := o.RowOf(end, outing.Rate{Fish: 1, RodHours: 3})
		hours, fish := 0.0, 0
		for _, z := range r.Zones {
			hours += z.RodHours
			fish += z.Fish
		}
		want := 0.0
		for i := range rods {
			want += end.Sub(at(i + 1)).Hours()
		}
		require.InDelta(t, want, hours, 1e-6)
		require.Equal(t, fish, o.Total(end).Fish)
		require.Less(t, len(r.Moves), max(rods, 2))
		scouts := 0
		for _, m := range r.Moves {
			require.GreaterOrEqual(t, m.ToM, 0.0)
			if m.Scouts {
				scouts++
			}
		}
		require.LessOrEqual(t, scouts, 1)
		if fish == 0 {
			require.Empty(t, r.Moves)
		}
	})
}

// From a pier: half of the depth first, then up and down by halves; what was tried is struck out (common
// practice, no source).
func TestAColumnOfWaterIsSearched(t *testing.T) {
	c := outing.Column(8, []float64{4})
	var depths []float64
	for _, l := range c {
		depths = append(depths, l.DepthM)
	}
	assert.Equal(t, []float64{4, 2, 6, 1, 7, 3, 5}, depths)
	assert.True(t, c[0].Tried)
	assert.False(t, c[1].Tried)
	assert.Nil(t, outing.Column(2, nil), "one level")
	assert.InDelta(t, 8.5, outing.AboveFish(9), 1e-9, "most look up")
	assert.InDelta(t, 0.1, outing.AboveFish(0.3), 1e-9, "never out of the water")
}

// Marked at 10 and at 14 m: the first is fished from a little above it, then the next is named (case practice).
func TestMarkedFishOneLevelAfterTheOther(t *testing.T) {
	of := func(tried ...float64) []outing.Level { return outing.Marked([]float64{10, 14}, tried) }
	assert.Equal(t, []outing.Level{{DepthM: 9.5, Next: true}, {DepthM: 13.5}}, of())
	assert.Equal(t, []outing.Level{{DepthM: 9.5, Tried: true}, {DepthM: 13.5, Next: true}}, of(9.6))
	assert.Equal(t, []outing.Level{{DepthM: 9.5, Tried: true}, {DepthM: 13.5, Tried: true}}, of(9.6, 13.5))
	assert.Empty(t, outing.Marked(nil, []float64{3}))
}

// A boat's water settles in a quarter of an hour.
func TestABoatHasPassed(t *testing.T) {
	o := told(t, did(outing.Passed))
	assert.Equal(t, at(1), o.BoatPassed(at(10)))
	assert.True(t, o.BoatPassed(at(17)).IsZero())
	none := told(t)
	assert.True(t, none.BoatPassed(at(1)).IsZero())
}

func TestWhatNoRodIsSetTo(t *testing.T) {
	for _, k := range []outing.Touch{set("", 20), set("1", -3), set("1", 4000), {Kind: outing.RodSet, Rod: "1"},
		{Kind: outing.Bite, At: &outing.Place{Lat: 100}}} {
		k.ID, k.Time = "x", at(1)
		assert.Error(t, k.Validate(), k)
	}
}
