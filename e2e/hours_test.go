package e2e

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// A pier is given its hours where the spot is written, and is shut outside them.
func TestAPierIsGivenItsHours(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	id := eval[string](t, p, `fetch('/api/v1/spots').then((r) => r.json()).then((l) => l.find((s) => s.name === 'Cutwater Pier').id)`)
	require.NoError(t, p.Go("/water/edit/"+id))
	require.NoError(t, p.WaitText("It never shuts."))
	require.NoError(t, p.Still())
	require.NoError(t, p.Click("It has hours"))
	require.NoError(t, p.WaitText("On other days and out of season it is shut"))
	require.NoError(t, p.Fill("Hours 1 open at", "0800"))
	require.NoError(t, p.Fill("Hours 1 shut at", "1200"))
	require.NoError(t, p.Fill("Fee", "2 a rod"))
	_, err := browser.Eval[any](p, `(document.querySelector('.hours').scrollIntoView(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Still())
	picture(t, p, "hours")
	noViolations(t, p, "hours of a spot")
	require.NoError(t, p.Click("Keep the spot"))
	require.NoError(t, p.WaitText("is kept."))
	got := eval[string](t, p, `fetch('/api/v1/spots/`+id+`').then((r) => r.json()).then((s) => JSON.stringify(s.written.hours))`)
	assert.JSONEq(t, `[{"days":["mon","tue","wed","thu","fri","sat","sun"],"opens":"08:00","closes":"12:00"}]`, got)
}
