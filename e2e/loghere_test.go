package e2e

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// The log on one's own ground: dots in the section at the level they were fished, stones on the map, the same in words.
func TestTheLogOnTheSectionAndTheMap(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Go("/water"))
	require.NoError(t, p.Click("Section"))
	require.NoError(t, p.Wait(`document.querySelector('.section svg')`))
	require.NoError(t, p.Click("My log here"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.log-dots circle').length > 3`))
	dots := eval[int](t, p, `document.querySelectorAll('.log-dots circle.caught').length`)
	says := eval[string](t, p, `document.querySelector('.section-log').innerText`)
	assert.Contains(t, says, "spells from")
	assert.Positive(t, dots)
	require.NoError(t, p.Still())
	picture(t, p, "log-section")
	noViolations(t, p, "the log in the section")

	require.NoError(t, p.Click("Map"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.water-side .ant-segmented-item-label')].some((l) => l.innerText === 'Log' &&
		(l.click(), true))`))
	require.NoError(t, p.WaitText("rod-hours"))
	require.NoError(t, p.Pick("Target of the log", "Red drum"))
	require.NoError(t, p.WaitText("a rod-hour"))
	require.NoError(t, p.Still())
	picture(t, p, "log-map")
	noViolations(t, p, "the log on the map")
}
