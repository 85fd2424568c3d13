package trial_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/trial"
)

// What a trial showed, and what it did not, in words (common practice, no source for the counts).
func TestWhatATrialShowedInWords(t *testing.T) {
	says := func(a, b trial.Arm) string {
		v, err := trial.Judge("black", "chrome", a, b)
		require.NoError(t, err)
		return v.Says
	}
	arm := func(fish int, hours float64) trial.Arm { return trial.Arm{Fish: fish, Effort: hours} }
	few := says(arm(4, 1.5), arm(3, 1.5))
	assert.Contains(t, few, "This shows nothing yet: ×1.3 as many an hour on black")
	assert.Contains(t, few, "h each would show it")
	assert.Equal(t, few, func() string { // whichever is named first
		v, err := trial.Judge("chrome", "black", arm(3, 1.5), arm(4, 1.5))
		require.NoError(t, err)
		return v.Says
	}())
	shown := says(arm(13, 2), arm(3, 2))
	assert.Contains(t, shown, "black brought ×4.3 as many an hour as chrome")
	assert.Contains(t, shown, "once in 47")
	assert.Equal(t, "Neither brought a fish: that says nothing of which is better.", says(arm(0, 3), arm(0, 3)))
	assert.Contains(t, says(arm(2, 3), arm(0, 3)), "shows nothing yet: only black brought any")
	assert.Contains(t, says(arm(0, 3), arm(9, 3)), "Only chrome brought any: anything from ×")
	assert.Contains(t, says(arm(100, 10), arm(99, 10)), "No number of hours")
	assert.NotContains(t, says(arm(5, 2), arm(5, 2)), "would show it")

	// Fish hooked foul are fish that did not see it well: chrome 7 of 10, black 1 of 14.
	e, words, err := trial.SaysShares("chrome", "black", trial.Table{A: 7, B: 3, C: 1, D: 13})
	require.NoError(t, err)
	assert.Less(t, e.P, 0.01)
	assert.Contains(t, words, "7 of 10 on chrome, 1 of 14 on black: the shares differ")
	_, words, err = trial.SaysShares("a", "b", trial.Table{A: 3, B: 1, C: 2, D: 2})
	require.NoError(t, err)
	assert.Equal(t, "3 of 4 on a, 2 of 4 on b: nothing that tells them apart.", words)
	_, words, err = trial.SaysShares("a", "b", trial.Table{A: 6, B: 2, C: 3, D: 6})
	require.NoError(t, err)
	assert.Contains(t, words, "that may be chance, it comes once in 7")
}
