package e2e

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// The bench: every calculation gives a result for the chosen spot and moment,
// says what is wrong, and goes into the log.
func TestTheBench(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	choose(t, p, "Kettle Bar")
	require.NoError(t, p.Click("Tie on"))
	require.NoError(t, p.Wait(`document.querySelector('.choices, .unfold')`)) // what comes late pushes the rest down
	require.NoError(t, p.Still())
	require.NoError(t, p.Click("The bench"))
	result := `document.querySelector('.bench-result')?.innerText ?? ''`
	require.NoError(t, p.Wait(result+`.includes('turns up')`))

	// 40 ft to 30 ft at 2 ft a turn is 5 turns (common practice).
	require.NoError(t, p.Fill("One turn brings in", "2 ft"))
	require.NoError(t, p.Fill("From, deep", "40 ft"))
	require.NoError(t, p.Fill("to, deep", "30 ft"))
	require.NoError(t, p.Wait(result+`.startsWith('5.0 turns up')`))
	noViolations(t, p, "bench")
	require.NoError(t, p.Click("Caught with this"))
	require.NoError(t, p.Wait(`document.querySelector('textarea')?.value === 'Reel turns: 5.0 turns up'`))
	require.NoError(t, p.Go("/tie-on/bench"))
	require.NoError(t, p.Wait(`document.querySelector('.bench-result')`))

	names := eval[[]string](t, p, `[...document.querySelectorAll('.bench-list a:not(.bench-back):not(.bench-play)')].map((a) =>
		a.innerText)`)
	require.Len(t, names, 15)
	for _, name := range names {
		require.NoError(t, p.Click(name))
		require.NoError(t, p.Wait(`document.querySelector('.bench-work h1').innerText === '`+name+`' && (`+result+`).length > 3`), name)
		assert.NotContains(t, eval[string](t, p, result), "NaN", name)
	}

	require.NoError(t, p.Click("Cadence"))
	require.NoError(t, p.Fill("The retrieve", "jiggle jiggle"))
	require.NoError(t, p.Wait(`document.querySelector('.bench-work [role=alert]')?.innerText.includes('"jiggle"')`))
	require.NoError(t, p.Fill("The retrieve", "wind 2 s pause 1 s"))
	require.NoError(t, p.Wait(result+`.includes('3.0 s a round')`))
	require.NoError(t, p.Click("Play"))
	require.NoError(t, p.Wait(`document.querySelector('.beats li.on')`))
	require.NoError(t, p.Click("Stop"))

	require.NoError(t, p.Click("A fish you see"))
	require.NoError(t, p.Wait(result+`.includes('Wait')`))
	require.NoError(t, p.Wait(`document.querySelector('.intercept .lands')`))
	noViolations(t, p, "moving fish")
	require.NoError(t, p.Fill("About how far", "90"))
	require.NoError(t, p.Wait(result+`.includes('Not from here: its path stays beyond the reach')`))
}

func TestTheBenchOnAPhone(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	require.NoError(t, p.Go("/tie-on/bench/interception"))
	require.NoError(t, p.Wait(`document.querySelector('.bench-result')`))
	assert.LessOrEqual(t, eval[int](t, p, `document.documentElement.scrollWidth`), 390)
	assert.Empty(t, eval[[]string](t, p, `[...document.querySelectorAll('.bench-work *')].filter((e) => e.getBoundingClientRect().right >
		innerWidth + 0.5).map((e) => e.className?.baseVal ?? e.className)`))
	assert.True(t, eval[bool](t, p, `(() => { const r = document.querySelector('.bench-list [aria-current]').getBoundingClientRect();
		return r.left >= 0 && r.right <= innerWidth; })()`), "the chosen one is in sight")
}

// A rule switched off leaves the advice, and comes back when it is believed again.
func TestARuleIsNotBelieved(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "book/rules")
	require.NoError(t, p.WaitText("The playbook"))
	row := `document.querySelector('[data-rule=moving-water]')`
	require.NoError(t, p.Wait(row))
	_, err := browser.Eval[any](p, `(`+row+`.querySelector('summary').scrollIntoView({block: 'center'}),
		`+row+`.querySelector('details').open = true, 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Click("I believe it"))
	require.NoError(t, p.Wait(row+`.querySelector('.mine')?.innerText === 'off'`))
	noViolations(t, p, "playbook")
	require.NoError(t, p.Go("/set-up/book/rules"))
	require.NoError(t, p.Wait(row+`?.querySelector('.mine')?.innerText === 'off'`), "it is kept")
	_, err = browser.Eval[any](p, `(`+row+`.querySelector('details').open = true, 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Click("As the playbook has it"))
	require.NoError(t, p.Wait(row+` && !`+row+`.querySelector('.mine')`))
}
