package trial_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/trial"
)

func pair(t *testing.T, r *trial.Result, first, second string) *trial.Pair {
	for i := range r.Pairs {
		if r.Pairs[i].First == first && r.Pairs[i].Second == second {
			return &r.Pairs[i]
		}
	}
	require.Fail(t, "no such pair", "%s and %s", first, second)
	return nil
}

// Chrome 3 fish and 7 foul-hooked, black 13 and 1, glow 9 and 1 in half the time: rates by the hour with their bounds,
// foul-hooking as a sign of not being seen; and what three arms at once show.
func TestChromeBlackAndGlow(t *testing.T) {
	var blocks []trial.Fished
	for round := range 6 {
		of := func(arm string, hours float64, landed, lost, foul int) {
			blocks = append(blocks, trial.Fished{Round: round, Arm: arm, RodHours: hours, Landed: landed, Lost: lost, Foul: foul})
		}
		of("chrome", 0.5, []int{1, 0, 1, 0, 1, 0}[round], []int{1, 1, 1, 1, 2, 1}[round], []int{1, 1, 1, 1, 2, 1}[round])
		of("black", 0.5, []int{2, 2, 2, 2, 3, 2}[round], 0, []int{0, 0, 1, 0, 0, 0}[round])
		if round < 3 {
			of("glow", 0.5, 3, 0, []int{0, 1, 0}[round])
		}
	}
	r, err := trial.ResultOf(blocks, trial.Kept{Planned: 15}, nil)
	require.NoError(t, err)
	require.Len(t, r.Arms, 3)
	chrome, black, glow := r.Arms[0], r.Arms[1], r.Arms[2]
	assert.Equal(t, 3, chrome.Landed)
	assert.Equal(t, 7, chrome.Foul)
	assert.InDelta(t, 1, chrome.Rate.Value, 1e-9)
	// Garwood (1936), as in Pearson and Hartley, Biometrika Tables for Statisticians I, table 40: 3 from 0.619 to 8.77, 13 from
	// 6.92 to 22.23, 9 from 4.12 to 17.08.
	assert.InDelta(t, 0.619/3, chrome.Rate.Low, 0.001)
	assert.InDelta(t, 8.77/3, chrome.Rate.High, 0.002)
	assert.InDelta(t, 6.92/3, black.Rate.Low, 0.002)
	assert.InDelta(t, 22.23/3, black.Rate.High, 0.002)
	assert.InDelta(t, 4.12/1.5, glow.Rate.Low, 0.004)
	assert.InDelta(t, 17.08/1.5, glow.Rate.High, 0.004)
	p := pair(t, r, "chrome", "black")
	assert.InDelta(t, 3.0/13, p.Ratio.Value, 0.01)
	assert.InDelta(t, 0.0213, p.Ratio.P, 0.002)
	assert.Contains(t, p.FoulSays, "chrome may not be seen well")
	assert.GreaterOrEqual(t, p.Closed, p.Ratio.P, "three comparisons at once")
	assert.False(t, p.Shown, "0.021 is no longer enough among three")
	assert.Contains(t, p.Says, "it is not shown")
	assert.InDelta(t, 2.0/3, pair(t, r, "black", "glow").Ratio.Value, 0.05, "by the three rounds both were fished in")
	assert.Empty(t, r.Warnings)
}

// Four to three in ninety minutes shows nothing, and it is said how much more it would take.
func TestFourToThreeShowsNothing(t *testing.T) {
	r, err := trial.ResultOf([]trial.Fished{{Arm: "a", RodHours: 0.75, Landed: 4}, {Arm: "b", RodHours: 0.75, Landed: 3}},
		trial.Kept{Planned: 2}, nil)
	require.NoError(t, err)
	p := r.Pairs[0]
	assert.False(t, p.Shown)
	assert.Contains(t, p.Says, "This shows nothing yet")
	assert.Contains(t, p.Says, "h each would show it")
	assert.True(t, p.Believed.Low < 1 && p.Believed.High > 1)
}

// A teaser's fish and one taken where the arm did not fish are not the arm's; an action changed half-way is an arm of its
// own; a dropped block is left out and said, as are looks before the end and a question that changed.
func TestWhatIsNotCredited(t *testing.T) {
	blocks := []trial.Fished{
		{Round: 0, Arm: "jig", RodHours: 1, Landed: 1, OnTeaser: 4}, {Round: 0, Arm: "spoon", RodHours: 1, Landed: 1, SetApart: 3},
		{Round: 1, Arm: "jig", RodHours: 1, Landed: 2, Action: "dead slow"}, {Round: 1, Arm: "spoon", RodHours: 1},
		{Round: 2, Arm: "jig", RodHours: 1, Landed: 9, Dropped: "the line was snagged throughout"},
	}
	r, err := trial.ResultOf(blocks, trial.Kept{Planned: 6, Peeks: 2, Changed: []string{"The question was changed."}}, nil)
	require.NoError(t, err)
	require.Len(t, r.Arms, 3)
	assert.Equal(t, 1, r.Arms[0].Landed)
	assert.Equal(t, 4, r.Arms[0].OnTeaser)
	assert.Equal(t, 3, r.Arms[1].SetApart)
	assert.Equal(t, "jig, dead slow", r.Arms[2].Name)
	require.Len(t, r.Warnings, 4)
	assert.Equal(t, "The question was changed.", r.Warnings[0])
	assert.Contains(t, r.Warnings[1], "snagged throughout")
	assert.Contains(t, r.Warnings[2], "before the end, 2")
	assert.Contains(t, r.Warnings[3], "4 of 6")
	assert.Contains(t, pair(t, r, "jig", "jig, dead slow").Says, "never fished in one round")
}

// By species apart, where several were caught.
func TestSpeciesApart(t *testing.T) {
	r, err := trial.ResultOf([]trial.Fished{
		{Arm: "a", RodHours: 2, Landed: 6, Species: map[string]int{"red-drum": 5, "bluefish": 1}},
		{Arm: "b", RodHours: 2, Landed: 6, Species: map[string]int{"red-drum": 1, "bluefish": 5}}}, trial.Kept{Planned: 2}, nil)
	require.NoError(t, err)
	require.Len(t, r.Pairs[0].Species, 2)
	assert.Equal(t, "bluefish", r.Pairs[0].Species[0].Target)
	assert.InDelta(t, 0.2, r.Pairs[0].Species[0].Ratio.Value, 1e-6)
	assert.InDelta(t, 5, r.Pairs[0].Species[1].Ratio.Value, 1e-6)
	assert.InDelta(t, 1, r.Pairs[0].Ratio.Value, 1e-6)
}
