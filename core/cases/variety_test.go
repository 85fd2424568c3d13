package cases_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/cases"
)

// Over a year of places, targets and waters every offering, rig and way of the book is among the first
// three somewhere, and no answer is first more than a tenth of the time.
func TestEverythingInTheBookLeadsSomewhere(t *testing.T) {
	trade, err := cases.Builtin()
	require.NoError(t, err)
	v, err := trade.Variety(nil)
	require.NoError(t, err)
	assert.Empty(t, v.Missing)
	answer, share := v.Commonest()
	assert.Less(t, share, 0.1, answer)
	t.Log(v.Lines())
}
