package plan_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/plan"
)

func TestWhoComesAlongNarrowsTheDay(t *testing.T) {
	alone := look(t, asked(t, 3, 3, 4, 0.7))
	a := asked(t, 3, 3, 4, 0.7)
	a.Company = going.Company{CannotWade: true}
	dry := look(t, a)
	a = asked(t, 3, 3, 4, 0.7)
	a.Company = going.Company{Child: true}
	child := look(t, a)
	require.Equal(t, ground.Wading, alone.Asked.Spots[bar].Access.Manner)
	waded := 0
	for h := range alone.Hours {
		if alone.Places[bar].State[h] == plan.Open {
			waded++
			assert.Equal(t, plan.DoNot, dry.Places[bar].State[h])
			assert.Equal(t, plan.DoNot, child.Places[bar].State[h])
			assert.Contains(t, child.Places[bar].Against[h], "child")
		}
		assert.Equal(t, alone.Places[pier].State[h], dry.Places[pier].State[h])
		if child.Places[beach].State[h] == plan.Open {
			assert.Equal(t, plan.Open, alone.Places[beach].State[h], "what a child may, one may alone")
		}
	}
	assert.Positive(t, waded)
	// Breakers one thinks twice of alone are no place for a child.
	a = asked(t, 2, 2, 4, 1.1)
	a.Company.Child = true
	assert.Equal(t, plan.DoNot, look(t, a).Places[beach].State[5])
	assert.Equal(t, plan.Open, look(t, asked(t, 2, 2, 4, 1.1)).Places[beach].State[5])
	// Of a rock the same.
	a.Spots[pier].Place = "ledge"
	assert.Contains(t, look(t, a).Places[pier].Against[5], "rock")
}

func TestHowFarIsCountedByRoadOrOverTheWater(t *testing.T) {
	o := look(t, asked(t, 1, 1, 4, 0.5))
	home := o.Asked.Spots[pier].LatLon
	assert.Contains(t, o.Within(home, 10*time.Minute), pier)
	far := home
	far.Lat += 0.9 // 100 km: by road two hours and more
	assert.Empty(t, o.Within(far, time.Hour))
	assert.Len(t, o.Within(far, 12*time.Hour), len(o.Asked.Spots))
}

func TestWhatOnesKitServesIsKept(t *testing.T) {
	o := look(t, asked(t, 3, 3, 4, 0.5))
	list := o.Windows(plan.Wish{Least: 1.2})
	require.NotEmpty(t, list)
	all, err := o.InKit(list, nil, 1.2)
	require.NoError(t, err)
	assert.Equal(t, list, all, "an empty kit is not asked")
	none, err := o.InKit(list, kit.Kit{{Kind: kit.Lure, Name: "Tiny fly", Offering: "tiny fly", InHand: true}}, 1.2)
	require.NoError(t, err)
	assert.Empty(t, none, "nothing is caught with what the book does not know")
	some, err := o.InKit(list, kit.Kit{{Kind: kit.Bait, Name: "Shrimp", Offering: "live-shrimp", InHand: true}}, 1)
	require.NoError(t, err)
	assert.NotEmpty(t, some)
	for _, w := range some {
		assert.Contains(t, list, w)
	}
}
