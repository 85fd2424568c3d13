package e2e

import (
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// The log seen as days, as a table and as a year; filters stand in the address and are kept by a name; several spells are
// changed at once; what few catches say is told in its place.
func TestTheLogSeenThreeWays(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Click("Back"))
	require.NoError(t, p.Wait(`document.querySelector('.log-day')`))
	require.NoError(t, p.Pick("Target", "Red drum"))
	require.NoError(t, p.Wait(`new URLSearchParams(location.search).get('target') === 'red-drum'`))
	require.NoError(t, p.Fill("a name for this filter", "drum"))
	require.NoError(t, p.Click("Keep it"))
	require.NoError(t, p.WaitText("Forget drum"))
	require.NoError(t, p.Click("Table"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.log-table tbody tr').length > 3`))
	require.NoError(t, p.Pick("Columns", "Clarity"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.log-table th')].some((h) => h.innerText.trim() === 'Clarity')`))
	require.NoError(t, p.Wait(`(() => { const h = [...document.querySelectorAll('.log-table th')].find((h) => h.innerText.trim() ===
		'Fish');
		h.querySelector('button').click(); return true; })()`))
	require.NoError(t, p.Wait(`(document.activeElement.blur(),
		!document.querySelector('.ant-select-dropdown:not(.ant-select-dropdown-hidden)'))`))
	fish := `[...document.querySelectorAll('.log-table tbody tr')].map((r) => Number(r.children[` +
		`[...document.querySelectorAll('.log-table th')].findIndex((h) => h.innerText.trim().startsWith('Fish'))].innerText))`
	require.NoError(t, p.Wait(`((f) => f.length > 3 && f.every((n, i) => i === 0 || f[i - 1] >= n))(`+fish+`)`))
	require.NoError(t, p.Still())
	picture(t, p, "log-table")
	noViolations(t, p, "the log as a table")
	for i := range 2 {
		require.NoError(t, p.Wait(`(document.querySelectorAll('.log-table tbody input')[`+[]string{"0", "1"}[i]+`].click(), true)`))
	}
	require.NoError(t, p.WaitText("2 spells picked"))
	require.NoError(t, p.Fill("Offering", "Invented spoon"))
	require.NoError(t, p.Click("Write it to them"))
	spoons := func(n string) {
		require.NoError(t, p.Wait(`document.querySelector('.log-table').innerText.split('Invented spoon').length === `+n))
	}
	spoons("3")
	require.NoError(t, p.WaitText("2 spells are changed."))
	require.NoError(t, p.Click("Undo"))
	spoons("1")
	// Removed together, and brought back together with their fish.
	total := func() string { return eval[string](t, p, `document.querySelector('.sum').innerText`) }
	all := total()
	for i := range 2 {
		require.NoError(t, p.Wait(`(document.querySelectorAll('.log-table tbody input')[`+[]string{"0", "1"}[i]+`].click(), true)`))
	}
	require.NoError(t, p.Click("Remove them"))
	require.NoError(t, p.WaitText("Taken out: 2 spells."))
	require.NoError(t, p.Wait(`document.querySelector('.sum').innerText !== `+strconv.Quote(all)))
	require.NoError(t, p.Click("Undo"))
	require.NoError(t, p.Wait(`document.querySelector('.sum').innerText === `+strconv.Quote(all)))
	require.NoError(t, p.Click("Calendar"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.log-calendar rect.fished').length > 3`))
	assert.Greater(t, eval[int](t, p, `new Set([...document.querySelectorAll('.log-calendar rect.fished')].map((r) =>
		getComputedStyle(r).fillOpacity)).size`), 2, "the more rod-hours, the darker")
	require.NoError(t, p.Still())
	picture(t, p, "log-calendar")
	noViolations(t, p, "the log as a year")

	require.NoError(t, p.Click("By day"))
	require.NoError(t, p.Wait(`(() => { const d = document.querySelector('li[data-blank=false] details'); if (d) d.open = true;
		return d; })()`))
	require.NoError(t, p.Click("more of it"))
	require.NoError(t, p.Pick("Measured by", "a board"))
	require.NoError(t, p.Fill("Tag number", "GP 7"))
	require.NoError(t, p.Still())
	picture(t, p, "catch-more")
	require.NoError(t, p.Wait(`([...document.querySelectorAll('.catch-more button')].at(-1).click(), true)`))
	require.NoError(t, p.WaitText("measured by board, tag GP 7"))
	require.NoError(t, p.Click("Fish that come again"))
	require.NoError(t, p.WaitText("Weight for length"))
	require.NoError(t, p.WaitText("GP 7"))
	require.NoError(t, p.Pick("Target", "Red drum"))
	require.NoError(t, p.WaitText("Longest:"))
	require.NoError(t, p.Still())
	picture(t, p, "measures")
	noViolations(t, p, "fish that come again")

	phone := signedIn(t, "wren", browser.Phone)
	require.NoError(t, phone.Go("/back?seen=table&outcome=catch"))
	require.NoError(t, phone.Wait(`document.querySelectorAll('.log-table tbody tr').length > 3`))
	require.NoError(t, phone.Still())
	picture(t, phone, "log-table-phone")
	assert.LessOrEqual(t, eval[int](t, phone, `document.documentElement.scrollWidth`), 390)
}
