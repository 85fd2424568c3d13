package cases_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/cases"
)

// Every case of the trade holds, and is answered the same when it is asked again, by another copy of the
// program (case 45).
func TestCasesOfTheTrade(t *testing.T) {
	trade, err := cases.Builtin()
	require.NoError(t, err)
	another, err := cases.Builtin()
	require.NoError(t, err)
	for _, c := range cases.All() {
		t.Run(c.ID, func(t *testing.T) {
			a, err := trade.Answer(&c)
			require.NoError(t, err)
			for _, told := range a {
				require.NotEmpty(t, told.Choices, "%s: %s", told.Label, told.Note)
			}
			assert.NoError(t, c.Holds(a), c.Situation)
			again, err := another.Answer(&c)
			require.NoError(t, err)
			for i := range a {
				assert.Equal(t, cases.Answer(a[i].Advice), cases.Answer(again[i].Advice))
			}
		})
	}
}
