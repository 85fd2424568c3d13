package kit

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"greypebble/core/tackle"
)

func TestTemplatesAreValid(t *testing.T) {
	kinds := map[Kind]int{}
	for _, i := range Templates() {
		assert.NoError(t, i.Validate(), i.Name)
		kinds[i.Kind]++
	}
	for _, k := range Kinds {
		if k != Lure && k != Bait { // those come from the playbook
			assert.Positive(t, kinds[k], k)
		}
	}
}

func TestMistakesAreNamed(t *testing.T) {
	for want, i := range map[string]Item{
		`unknown kind "anchor"`:                      {Kind: "anchor", Name: "x"},
		"needs a name of 1 to 80 letters":            {Kind: Rod},
		"needs its length":                           {Kind: Rod, Name: "x"},
		"needs its turn, or ratio and spool":         {Kind: Reel, Name: "x", Ratio: 5},
		"diameter must be between 0 and 0.005 m":     {Kind: Line, Name: "x", DiameterM: 0.3},
		`unknown material "string"`:                  {Kind: Line, Name: "x", Material: "string"},
		`unknown pattern "egg"; known are circle, J`: {Kind: Hook, Name: "x", Pattern: "egg"},
		"needs its offering":                         {Kind: Bait, Name: "x"},
		"weight must be":                             {Kind: Head, Name: "x", WeightKg: math.NaN()},
	} {
		assert.ErrorContains(t, i.Validate(), want)
	}
}

// Hooks in a row: common practice, no source.
func TestHooksStandInARow(t *testing.T) {
	row := []string{"12", "8", "6", "4", "2", "1", "1/0", "2/0", "3/0", "6/0"}
	for i := 1; i < len(row); i++ {
		assert.Greater(t, HookNumber(row[i]), HookNumber(row[i-1]), row[i])
	}
	assert.True(t, math.IsNaN(HookNumber("big")) && math.IsNaN(HookNumber("x/0")))
}

func TestTheNearestOwned(t *testing.T) {
	k := Kit{
		{ID: "a", Kind: Head, Name: "1/8", WeightKg: 0.0035, InHand: true},
		{ID: "b", Kind: Head, Name: "1/2", WeightKg: 0.0142, InHand: true},
		{ID: "h", Kind: Head, Name: "at home", WeightKg: 0.007},
		{Kind: Hook, Name: "2/0 circle", Pattern: "circle", Size: "2/0", InHand: true},
		{Kind: Hook, Name: "1/0 J", Pattern: "J", Size: "1/0", InHand: true},
		{Kind: Sinker, Name: "1 oz egg", Pattern: "egg", WeightKg: 0.028, InHand: true},
		{Kind: Reel, Name: "r", Ratio: 6, SpoolM: 0.04, InHand: true},
	}
	h, fit := k.HeadFor(0.007, 1)
	assert.Equal(t, Near, fit, "the 7 g head is at home")
	assert.Contains(t, []string{"1/8", "1/2"}, h.Name)
	h, fit = k.HeadFor(0.01, 0.005)
	assert.Equal(t, "1/8", h.Name, "none heavier than asked")
	assert.Equal(t, Near, fit)
	_, fit = k.HeadFor(0.01, 0.001)
	assert.Equal(t, Missing, fit)
	hook, fit := k.HookFor("circle", "3/0")
	assert.Equal(t, "2/0 circle", hook.Name)
	assert.Equal(t, Fits, fit)
	hook, fit = k.HookFor("J", "3/0")
	assert.Equal(t, "1/0 J", hook.Name, "a pattern weighs more than a size")
	assert.Equal(t, Near, fit)
	s, fit := k.SinkerFor("pyramid", 0.028)
	assert.Equal(t, "1 oz egg", s.Name)
	assert.Equal(t, Near, fit)
	_, fit = k.LeaderFor("fluorocarbon", 90)
	assert.Equal(t, Missing, fit)
	turn, ok := k.Turn()
	want, _ := tackle.TurnLength(6, 0.04)
	assert.True(t, ok)
	assert.Equal(t, want, turn)
	assert.True(t, k.Empty(), "nothing to tie on")
}

// The nearest is never farther off than any other.
func TestNothingOwnedIsNearer(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var k Kit
		for range rapid.IntRange(1, 8).Draw(t, "heads") {
			k = append(k, Item{Kind: Head, WeightKg: rapid.Float64Range(0.0005, 0.1).Draw(t, "kg"), InHand: true})
		}
		want := rapid.Float64Range(0.0005, 0.1).Draw(t, "want")
		got, _ := k.HeadFor(want, 1)
		for _, i := range k {
			if math.Abs(math.Log(i.WeightKg/want)) < math.Abs(math.Log(got.WeightKg/want))-1e-12 {
				t.Fatalf("%v is nearer to %v than %v", i.WeightKg, want, got.WeightKg)
			}
		}
	})
}
