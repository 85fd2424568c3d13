package e2e

import (
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// A trial is designed, fished block by block with an outing in hand, one block left out and fished again, and read: what was
// left out and looked at is said with it, and the log has what was fished.
func TestATrialIsDesignedFishedAndRead(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	require.NoError(t, p.Go("/back/trials"))
	require.NoError(t, p.WaitText("No trial yet."))
	require.NoError(t, p.Click("Design a trial"))
	require.NoError(t, p.Fill("What is to be found out", "Does dark beat white in the murk?"))
	require.NoError(t, p.Fill("Arm 1 is called", "dark"))
	require.NoError(t, p.Pick("Bait or lure of arm 1", "Dark paddle tail"))
	require.NoError(t, p.Fill("Arm 2 is called", "white"))
	require.NoError(t, p.Pick("Bait or lure of arm 2", "White paddle tail"))
	require.NoError(t, p.Fill("Rounds", "1"))
	require.NoError(t, p.Still())
	picture(t, p, "trial-design")
	noViolations(t, p, "a trial's design")
	require.NoError(t, p.Click("Keep the design"))
	require.NoError(t, p.WaitText("2 blocks of 15 min"))
	require.NoError(t, p.WaitText("Block 1 of 2"))

	at := eval[string](t, p, `location.pathname`)
	begin(t, p, "Live shrimp")
	require.NoError(t, p.WaitText("All told to the server."))
	require.NoError(t, p.Go(at))
	require.NoError(t, p.Click("Begin this block"))
	require.NoError(t, p.WaitText("End this block"))
	require.NoError(t, p.Wait(`/\d+:\d\d left/.test(document.querySelector('.trial-left').innerText)`))
	first := eval[string](t, p, `document.querySelector('.trial-now').innerText`)
	count := func(what, n string) {
		require.NoError(t, p.Wait(`(() => { const b = [...document.querySelectorAll('.trial-counters button')].find((b) =>
			b.innerText.endsWith('`+what+`')); return !b.disabled && (b.click(), true); })()`))
		require.NoError(t, p.WaitText(n+" "+what))
	}
	count("landed", "1")
	count("landed", "2")
	count("missed", "1")
	require.NoError(t, p.Still())
	picture(t, p, "trial-run")
	noViolations(t, p, "a trial in hand")
	require.NoError(t, p.Click("Leave this block out"))
	require.NoError(t, p.Wait(`(() => { const i = document.querySelector('.trial-run input'); i.scrollIntoView({block: 'center'});
		i.focus(); return true; })()`))
	require.NoError(t, p.Type("a boat ran through"))
	require.NoError(t, p.Click("Leave it out"))
	require.NoError(t, p.WaitText("Block 1 of 2"))
	require.NoError(t, p.Click("Begin this block"))
	count("landed", "1")
	require.NoError(t, p.Click("End this block"))
	require.NoError(t, p.WaitText("Block 2 of 2"))
	require.NoError(t, p.WaitText("1 of 2 blocks are fished."))
	require.NoError(t, p.Click("Look all the same"))
	require.NoError(t, p.WaitText("Blocks left out, 1: a boat ran through."))
	require.NoError(t, p.Click("Begin this block"))
	require.NoError(t, p.WaitText("End this block"))
	assert.NotEqual(t, first, eval[string](t, p, `document.querySelector('.trial-now').innerText`))
	require.NoError(t, p.Click("End this block"))
	require.NoError(t, p.WaitText("All blocks are fished."))
	require.NoError(t, p.Click("What did it show?"))
	require.NoError(t, p.WaitText("This shows nothing yet"))
	require.NoError(t, p.WaitText("Looks at the result before the end, 1"))
	require.NoError(t, p.Still())
	picture(t, p, "trial-result")
	noViolations(t, p, "a trial's result")

	// The outing in hand learnt of each block: spells with each arm's lure, and three fish.
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("All told to the server."))
	assert.Equal(t, 3, eval[int](t, p, `(async () => {
		const all = (await (await fetch('/api/v1/outings')).json()).outings;
		const one = await (await fetch('/api/v1/outings/' + all[0].id)).json();
		return one.spells.flatMap((s) => s.catches ?? []).length;
	})()`))
}

// Where a block's time is over the timer says swap, until it is ended.
func TestABlockThatIsOverSaysSwap(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	require.NoError(t, p.Go("/back/trials"))
	require.NoError(t, p.Click("Design a trial"))
	require.NoError(t, p.Fill("What is to be found out", "Does dark beat white?"))
	require.NoError(t, p.Fill("Arm 1 is called", "dark"))
	require.NoError(t, p.Pick("Bait or lure of arm 1", "Dark paddle tail"))
	require.NoError(t, p.Fill("Arm 2 is called", "white"))
	require.NoError(t, p.Pick("Bait or lure of arm 2", "White paddle tail"))
	require.NoError(t, p.Click("Keep the design"))
	require.NoError(t, p.WaitText("Begin this block"))
	// Begun on another device, sixteen minutes ago.
	began := testkit.Now.Add(-16 * time.Minute).Format(time.RFC3339)
	require.Equal(t, 200, eval[int](t, p, `(async () => (await fetch('/api/v1' + location.pathname.replace('/back', '') + '/blocks/`+
		uuid.NewString()+`', { method: 'PUT', headers: { 'Content-Type': 'application/json' },
		body: JSON.stringify({ turn: 0, started_at: '`+began+`' }) })).status)()`))
	require.NoError(t, p.Go(eval[string](t, p, `location.pathname`)))
	require.NoError(t, p.Wait(`document.querySelector('.trial-left.over[role=alert]')?.innerText === 'Swap now'`))
	require.NoError(t, p.Still())
	picture(t, p, "trial-swap")
	// A rest stops its clock: on the server it is taken off the hours fished.
	require.NoError(t, p.Click("Rest"))
	require.NoError(t, p.WaitText("Go on"))
	require.NoError(t, p.Wait(`document.querySelector('.trial-counters button').disabled`))
	require.NoError(t, p.Click("Go on"))
	require.NoError(t, p.Wait(`!document.querySelector('.trial-counters button').disabled`))
	require.NoError(t, p.Click("End this block"))
	require.NoError(t, p.WaitText("Begin this block"))
	require.NoError(t, p.Wait(`!document.querySelector('.trial-left.over')`))
}
