package e2e

import (
	"fmt"
	"net/http"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// Where to look when it is in hand: begun from an advice, two fish by one kind of feature make a pattern, levels are
// struck out, rods in a row are brought to what pays, a boat's water is left to settle.
func TestWhereToLookInHand(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	require.NoError(t, p.Click("Tie on"))
	require.NoError(t, p.Wait(`document.querySelector('.choice-says')`))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.detail-log a')].some((a) => a.innerText === 'Go fish with this')`))
	offered := eval[string](t, p, `new URL(document.querySelector('.detail-log a').href).searchParams.get('offering')`)
	require.NoError(t, p.Click("Go fish with this"))
	require.NoError(t, p.WaitText("Go fishing"))
	require.NoError(t, p.Click("Tell somebody"))
	require.NoError(t, p.WaitText("If you have not heard from me by"))
	require.NoError(t, p.Still())
	picture(t, p, "fish-tell")
	noViolations(t, p, "an outing not begun")
	require.NoError(t, p.Click("Begin"))
	require.NoError(t, p.WaitText("with "+offered))
	require.NoError(t, p.WaitText("All told to the server."))
	require.NoError(t, p.WaitText("packing and way counted"))

	require.NoError(t, p.Click("Look"))
	require.NoError(t, p.WaitText("Rods in a row"))
	for range 2 {
		require.NoError(t, p.Click("dark rock"))
		require.NoError(t, p.WaitText("A cast"))
		require.NoError(t, p.Click("Not now"))
		require.NoError(t, p.Click("Hooked"))
		require.NoError(t, p.Click("Landed"))
		require.NoError(t, p.WaitText("Landed: noted."))
		require.NoError(t, p.Click("Look"))
		require.NoError(t, p.WaitText("A cast to"))
		// The name says by then how often it was cast to.
		require.NoError(t, p.Wait(`(() => {
			const b = [...document.querySelectorAll('.fish-look .fish-grid button')].find((b) => b.innerText.startsWith('dark rock:'));
			if (b) b.innerText = 'dark rock';
			return b;
		})()`))
	}
	require.NoError(t, p.WaitText("Fish came from dark rock"))

	// Two levels fish were marked at: the first is the next to try; touched, it is struck out and the other is.
	for _, m := range []string{"10", "14"} {
		require.NoError(t, p.Fill("Fish marked at", m))
		require.NoError(t, p.Click("Marked"))
		require.NoError(t, p.Wait(`[...document.querySelectorAll('.fish-levels')].at(-1)?.innerText.includes('`+
			map[string]string{"10": "9.5", "14": "13.5"}[m]+`')`))
	}
	next := func(state string) string {
		return `[...document.querySelectorAll('.fish-levels')].at(-1).querySelector('.` + state + ` button')`
	}
	require.NoError(t, p.Wait(`(() => { const b = `+next("next")+`; return b.innerText.includes('9.5 m down') && (b.click(), true); })()`))
	require.NoError(t, p.Wait(next("tried")+`?.innerText.includes('9.5 m down') && `+
		next("next")+`.innerText.includes('Next: 13.5 m down')`))
	require.NoError(t, p.Wait(`(`+next("next")+`.scrollIntoView({ block: 'center' }), true)`))
	require.NoError(t, p.Still())
	picture(t, p, "fish-marked")

	// Three rods out; the second takes a fish, and another is brought to it.
	for n, far := range []string{"30", "60", "90"} {
		require.NoError(t, p.Wait(`(() => {
			const row = [...document.querySelectorAll('.fish-look label')].find((l) => /^Rod \d out at/.test(l.innerText));
			window.rodLabel = row?.innerText.split('\n')[0].trim();
			return window.rodLabel;
		})()`))
		require.NoError(t, p.Fill(eval[string](t, p, `window.rodLabel`), far))
		require.NoError(t, p.Click("It is out"))
		require.NoError(t, p.WaitText(fmt.Sprintf("Rod %d at %s m", n+1, far)))
	}
	require.NoError(t, p.Wait(`(document.querySelectorAll('.fish-rod')[1].querySelector('button').click(), true)`))
	require.NoError(t, p.WaitText("Bring rod"))
	require.NoError(t, p.Still())
	picture(t, p, "fish-look")
	noViolations(t, p, "where to look")
	// A fish seen, touched twice three seconds apart.
	type spot struct{ X, Y, W, H float64 }
	plan := eval[spot](t, p, `(() => {
		const plan = document.querySelector('.fish-plan.seen');
		plan.scrollIntoView({ block: 'center' });
		const r = plan.getBoundingClientRect();
		return { x: r.x, y: r.y, w: r.width, h: r.height };
	})()`)
	require.NoError(t, p.Touch(plan.X+0.4*plan.W, plan.Y+0.6*plan.H))
	require.NoError(t, p.Wait(`(window.touchedAt ??= performance.now(), performance.now() > window.touchedAt + 3000)`))
	require.NoError(t, p.Touch(plan.X+0.43*plan.W, plan.Y+0.6*plan.H))
	require.NoError(t, p.WaitText("before its nose"))
	picture(t, p, "fish-seen")
	noViolations(t, p, "a fish seen")
	require.NoError(t, p.Click("Not now"))
	require.NoError(t, p.Click("More"))
	require.NoError(t, p.Click("A boat passed"))
	require.NoError(t, p.WaitText("give the water 10 to 15 min"))
	require.NoError(t, p.WaitText("1 rod to move"))
	require.NoError(t, p.Still())
	picture(t, p, "fish-boat")
	require.NoError(t, p.WaitText("All told to the server."))
	assert.Equal(t, 2, eval[int](t, p, `(async () => {
		const all = (await (await fetch('/api/v1/outings')).json()).outings;
		return (await (await fetch('/api/v1/outings/' + all[0].id)).json()).spells[0].casts;
	})()`))

	// What the bottom held is noted on the spot when it is over.
	require.NoError(t, p.Click("More"))
	require.NoError(t, p.Click("Snagged"))
	require.NoError(t, p.WaitText("Snagged: noted."))
	// What was found on the water: a depth at the mark, and that the way shut.
	require.NoError(t, p.Click("More"))
	deepAt := eval[string](t, p, `[...document.querySelectorAll('.fish-more label')].map((l) => l.innerText.split('\n')[0].trim())
		.find((l) => l.startsWith('Deep at'))`)
	require.NoError(t, p.Fill(deepAt, "2.75"))
	require.NoError(t, p.Click("Keep it"))
	require.NoError(t, p.WaitText("Depth sounded: noted."))
	require.NoError(t, p.Click("More"))
	require.NoError(t, p.Click("The way is shut"))
	require.NoError(t, p.WaitText("The way is shut: noted."))
	require.NoError(t, p.WaitText("All told to the server."))
	require.NoError(t, p.Click("End"))
	require.NoError(t, p.WaitText("End the outing?"))
	require.NoError(t, p.Wait(`(document.querySelector('.fish-end').click(), true)`))
	require.NoError(t, p.WaitText("The bottom held you at"))
	require.NoError(t, p.Click("Note the snag on the spot"))
	require.NoError(t, p.WaitText("is noted as a snag."))
	require.NoError(t, p.WaitText("You saw the way shut at"))
	require.NoError(t, p.WaitText("You sounded 2.75 m at "+strings.TrimPrefix(deepAt, "Deep at ")))
	require.NoError(t, p.Still())
	picture(t, p, "fish-over")
	noViolations(t, p, "an outing that is over")
	require.NoError(t, p.Click("Correct the spot by it"))
	require.NoError(t, p.WaitText("Corrected, by a level of"))
	assert.Equal(t, 1, eval[int](t, p, `fetch('/api/v1/spots/'+localStorage.getItem('greypebble.spot')).then((r) => r.json())
		.then((s) => s.marks.filter((m) => m.snag).length)`))
}

// A session that ended while one fished: what is touched is kept, and sent once one has signed in again. A device that
// has no room says so, and nobody takes a touch for kept.
func TestASessionThatEndedAndADeviceThatIsFull(t *testing.T) {
	name := kit.Newcomer(t, "wren", testkit.NoLog)
	p := open(t, browser.Phone)
	require.NoError(t, p.SignIn(name, demo.Password))
	toWater(t, p)
	begin(t, p, "Silver bar")
	require.NoError(t, p.WaitText("All told to the server."))
	require.Equal(t, http.StatusNoContent, kit.As(t, name).Do("DELETE", "/account/sessions", nil, nil))
	require.NoError(t, p.Click("Bite"))
	require.NoError(t, p.WaitText("Sign in again, and it is sent."))
	require.NoError(t, p.Go("/water"))
	require.NoError(t, p.WaitText("Sign in"))
	require.NoError(t, p.SignIn(name, demo.Password))
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("All told to the server."))
	assert.Equal(t, "Silver bar 1 0 bite", eval[string](t, p, logOf))

	eval[int](t, p, `(IDBObjectStore.prototype.add = () => { throw new DOMException('no room', 'QuotaExceededError') }, 0)`)
	require.NoError(t, p.Click("Missed"))
	require.NoError(t, p.WaitText("This device could not keep it"))
	assert.Equal(t, "Silver bar 1 0 bite", eval[string](t, p, logOf))
}

// An outing begun on one device is gone on with on another, which learns all of it.
func TestAnOutingIsGoneOnWithOnAnotherDevice(t *testing.T) {
	name := kit.Newcomer(t, "wren", testkit.NoLog)
	device := func() *browser.Page {
		p := open(t, browser.Phone)
		require.NoError(t, p.SignIn(name, demo.Password))
		toWater(t, p)
		return p
	}
	first := device()
	begin(t, first, "Silver bar")
	require.NoError(t, first.Click("Bite"))
	require.NoError(t, first.WaitText("Bite: noted."))
	require.NoError(t, first.WaitText("All told to the server."))

	second := device()
	require.NoError(t, second.Click("Fish"))
	require.NoError(t, second.WaitText("An outing goes on that was begun at"))
	require.NoError(t, second.Still())
	picture(t, second, "fish-elsewhere")
	noViolations(t, second, "an outing that goes on elsewhere")
	require.NoError(t, second.Click("Go on with it here"))
	require.NoError(t, second.WaitText("with Silver bar"))
	require.NoError(t, second.Click("Missed"))
	require.NoError(t, second.WaitText("Missed: noted."))
	require.NoError(t, second.WaitText("All told to the server."))
	assert.Equal(t, "Silver bar 1 0 bite+missed", eval[string](t, second, logOf))
	// The first, which knows nothing of it, tells on.
	require.NoError(t, first.Click("Bait robbed"))
	require.NoError(t, first.WaitText("Bait robbed: noted."))
	require.NoError(t, first.WaitText("All told to the server."))
	said := eval[string](t, second, logOf)
	for _, kind := range []string{"bite", "missed", "bait robbed"} {
		assert.Equal(t, 1, strings.Count(said, kind), said)
	}
}
