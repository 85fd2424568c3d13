package e2e

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// logOf an outing as the server holds it: of each spell its rods, what was offered, its catches and events.
const logOf = `(async () => {
	const get = (path) => fetch('/api/v1' + path).then((r) => r.json());
	const all = (await get('/outings')).outings;
	if (all.length !== 1) return 'outings: ' + all.length;
	const o = await get('/outings/' + all[0].id);
	return o.spells.map((s) => [s.offering, s.rods, s.catches.length, (s.events ?? []).map((e) => e.kind).join('+')].join(' '))
		.join(' | ') + (o.ended_at ? ' end' : '');
})()`

// begin an outing from the page, with something on the hook.
func begin(t *testing.T, p *browser.Page, offering string) {
	t.Helper()
	require.NoError(t, p.Click("Fish"))
	require.NoError(t, p.WaitText("Go fishing"))
	require.NoError(t, p.Fill("On the hook", offering))
	require.NoError(t, p.Click("Begin"))
	require.NoError(t, p.WaitText("Rod-hours"))
}

// An outing told with one thumb: begun, bites, a fish in two touches, one taken back, the bait changed, ended; the
// log holds it once. With no signal nothing changes but that it is kept here.
func TestAnOutingIsToldByTouches(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	begin(t, p, "White paddle tail")
	require.NoError(t, p.WaitText("All told to the server."))
	require.NoError(t, p.Still())
	picture(t, p, "fish-going")
	noViolations(t, p, "an outing in hand")

	require.NoError(t, p.Click("Bite"))
	require.NoError(t, p.WaitText("Bite: noted."))
	// Two touches from here to a fish; from a screen that is off, one more wakes it. They are counted.
	eval[int](t, p, `(window.touched = 0, addEventListener('click', () => window.touched++, true), 0)`)
	require.NoError(t, p.Click("Hooked"))
	require.NoError(t, p.WaitText("Landed"))
	picture(t, p, "fish-hooked")
	require.NoError(t, p.Click("Landed"))
	require.NoError(t, p.WaitText("Landed: noted."))
	const wakes = 1
	assert.LessOrEqual(t, wakes+eval[int](t, p, `window.touched`), 3)
	require.NoError(t, p.Click("Missed"))
	require.NoError(t, p.WaitText("Missed: noted."))
	require.NoError(t, p.Click("Undo"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.fish-tally dd')].map((d) => d.innerText).slice(0, 4).join() === '1,0,0,1'`))

	require.NoError(t, p.WaitText("All told to the server."))

	// No signal: each touch is kept, and said to be.
	require.NoError(t, p.Signal(false))
	require.NoError(t, p.Click("Change"))
	require.NoError(t, p.WaitText("On the hook"))
	require.NoError(t, p.Fill("On the hook", "Jig"))
	require.NoError(t, p.Fill("Rods out", "2"))
	require.NoError(t, p.Still())
	picture(t, p, "fish-change")
	noViolations(t, p, "what is fished changes")
	require.NoError(t, p.Click("Fish this"))
	require.NoError(t, p.WaitText("No signal. Kept here: 1."))
	require.NoError(t, p.WaitText("with Jig, 2 rods"))
	require.NoError(t, p.Click("More"))
	require.NoError(t, p.WaitText("Seen on the water"))
	require.NoError(t, p.Still())
	picture(t, p, "fish-more")
	noViolations(t, p, "what happens less often")
	require.NoError(t, p.Click("birds"))
	require.NoError(t, p.WaitText("No signal. Kept here: 2."))
	require.NoError(t, p.Click("Hooked"))
	require.NoError(t, p.WaitText("With length"))
	require.NoError(t, p.Click("Lost"))
	require.NoError(t, p.WaitText("No signal. Kept here: 4."))
	picture(t, p, "fish-no-signal")

	require.NoError(t, p.Signal(true))
	// It may have been sent by itself meanwhile.
	require.NoError(t, p.Wait(`(document.querySelector('.fish-mail .plain')?.click(), true)`))
	require.NoError(t, p.WaitText("All told to the server."))
	assert.Equal(t, "White paddle tail 1 1 bite+fish on | Jig 2 0 seen+fish on+lost", eval[string](t, p, logOf))

	require.NoError(t, p.Click("End"))
	require.NoError(t, p.WaitText("End the outing?"))
	require.NoError(t, p.Wait(`(document.querySelector('.fish-end').click(), true)`))
	require.NoError(t, p.WaitText("The outing is over"))
	require.NoError(t, p.WaitText("1 fish in"))
	require.NoError(t, p.Still())
	picture(t, p, "fish-over")
	noViolations(t, p, "an outing that is over")
	require.NoError(t, p.WaitText("All told to the server."))
	assert.Equal(t, "White paddle tail 1 1 bite+fish on | Jig 2 0 seen+fish on+lost end", eval[string](t, p, logOf))
	require.NoError(t, p.Click("In the log"))
	require.NoError(t, p.WaitText("Jig"))
}

// The page may go at any moment, whatever was told before is there again; two pages tell one outing; who else
// signs in here sees nothing of it.
func TestAnOutingOutlivesItsPage(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	begin(t, p, "Dark paddle tail")
	require.NoError(t, p.WaitText("All told to the server."))
	require.NoError(t, p.Signal(false))
	for i := range 3 {
		require.NoError(t, p.Click("Bite"))
		require.NoError(t, p.WaitText(fmt.Sprintf("Kept here: %d", i+1)))
	}
	require.NoError(t, p.Signal(true))
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("Rod-hours"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.fish-tally dd')[3].innerText === '3'`))
	require.NoError(t, p.WaitText("All told to the server."))
	assert.Equal(t, "Dark paddle tail 1 0 bite+bite+bite", eval[string](t, p, logOf))

	// A device with no room says so, and nothing is taken for done.
	eval[int](t, p, `(IDBObjectStore.prototype.add = () => { throw new DOMException('no room', 'QuotaExceededError'); }, 1)`)
	require.NoError(t, p.Click("Missed"))
	require.NoError(t, p.WaitText("This device could not keep it"))
	assert.Equal(t, "0", eval[string](t, p, `document.querySelectorAll('.fish-tally dd')[2].innerText`))
}

// Where the way is shut it is said first, with why and when it opens; what the water warns of stands there until it
// is acknowledged, and not again.
func TestAnOutingBehindAShutWayIsWarned(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	require.NoError(t, p.Click("Fish"))
	require.NoError(t, p.WaitText("Go fishing"))
	require.NoError(t, p.Pick("Where", "Kettle Bar"))
	require.NoError(t, p.Click("Begin"))
	require.NoError(t, p.WaitText("The way is shut now: too deep at the gut on the way in. It opens at "))
	warned := eval[int](t, p, `document.querySelectorAll('.fish-cautions li').length`)
	require.NoError(t, p.Still())
	picture(t, p, "fish-shut")
	noViolations(t, p, "an outing behind a shut way")
	require.NotContains(t, eval[string](t, p, `document.querySelector('.fish').innerText`), "The way shuts in")
	if warned > 0 {
		require.NoError(t, p.Click("I have seen it"))
		require.NoError(t, p.Wait(`!document.querySelector('.fish-cautions')`))
		require.NoError(t, p.Click("Bite"))
		require.NoError(t, p.WaitText("Bite: noted."))
		assert.Zero(t, eval[int](t, p, `document.querySelectorAll('.fish-cautions li').length`))
	}
}
