package advise

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/playbook"
)

// A rule of somebody's own about another fish moves the places of the rules behind it, by
// which a baseline knows them: it is another book.
func TestABookWithOneRuleMoreIsAnotherBook(t *testing.T) {
	w := newWorld(t)
	target, err := w.book.Target("red-drum")
	require.NoError(t, err)
	fingerprint := func(b *playbook.Book) uint64 { return Fingerprint(b, target, w.spots) }
	same, err := w.book.Over(playbook.Overlay{})
	require.NoError(t, err)
	assert.Equal(t, fingerprint(w.book), fingerprint(same), "found again")
	more, err := w.book.Over(playbook.Overlay{Files: []playbook.File{{Name: "rule mine", Data: []byte("rules:\n- {id: mine, says: x, " +
		"idea: mine, origin: my own, family: flow, effect: clear plus, certainty: usual, " +
		"targets: [florida-pompano], when: {mark: edge}}\n")}}})
	require.NoError(t, err)
	assert.NotEqual(t, fingerprint(w.book), fingerprint(more))
}
