package e2e

import (
	"net/http"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// moves says where the device is, and how it goes.
func moves(t *testing.T, p *browser.Page) {
	t.Helper()
	_, err := browser.Eval[any](p, `(window.fix = { latitude: 31.3, longitude: -45.1, heading: 40, speed: 2.2 },
		Object.defineProperty(navigator, 'geolocation', { configurable: true, value: {
			watchPosition: (f) => { const now = () => f({ coords: { ...window.fix } }); now(); return setInterval(now, 100); },
			clearWatch: (id) => clearInterval(id),
			getCurrentPosition: (f) => f({ coords: { ...window.fix } }),
		} }), 1)`)
	require.NoError(t, err)
}

// Casts along a shore leave a trail: touched where they went, with the steps walked in between; a place that showed
// nothing is not cast to again. Trolling, the place of a hook-up is kept, and the pass over it planned again.
func TestCastsLeaveATrailAndAPassIsPlannedAgain(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	moves(t, p)
	begin(t, p, "Silver bar")
	require.NoError(t, p.Click("Look"))
	require.NoError(t, p.WaitText("Rods in a row"))
	require.NoError(t, p.Click("Casts along the shore"))
	type box struct{ X, Y, W, H float64 }
	casts := 0
	castAt := func(x, y float64) {
		t.Helper()
		b := eval[box](t, p, `(() => { const plan = document.querySelector('.fish-plan.trail'); plan.scrollIntoView({ block: 'center' });
			const r = plan.getBoundingClientRect(); return { x: r.x, y: r.y, w: r.width, h: r.height }; })()`)
		require.NoError(t, p.Touch(b.X+x*b.W, b.Y+y*b.H))
		casts++
		require.NoError(t, p.Wait(`document.querySelectorAll('.fish-plan.trail circle').length === `+strconv.Itoa(casts)))
	}
	castAt(0.4, 0.4)
	castAt(0.6, 0.4)
	_, err := browser.Eval[any](p, `(window.fix.latitude += 0.0003, 1)`) // 33 m on
	require.NoError(t, err)
	require.NoError(t, p.Wait(`(window.told ??= performance.now(), performance.now() > window.told + 400)`))
	castAt(0.5, 0.5)
	require.NoError(t, p.Click("Not now"))
	require.NoError(t, p.Click("Bite"))
	require.NoError(t, p.WaitText("Bite: noted."))
	require.NoError(t, p.Click("Look"))
	require.NoError(t, p.Wait(`document.querySelector('.fish-plan.trail .sign') &&
		document.querySelectorAll('.fish-plan.trail .spent').length === 2`))
	assert.False(t, eval[bool](t, p, `document.body.innerText.includes('You cast there before')`))
	castAt(0.5, 0.7)
	castAt(0.5, 0.7)
	require.NoError(t, p.WaitText("You cast there before, and nothing showed"))
	require.NoError(t, p.Still())
	picture(t, p, "fish-trail")
	noViolations(t, p, "a trail")

	require.NoError(t, p.Click("Trolling"))
	require.NoError(t, p.Fill("Line out", "40"))
	require.NoError(t, p.Fill("The lure runs at", "4.5"))
	require.NoError(t, p.Click("I am trolling"))
	require.NoError(t, p.WaitText("At the next fish on"))
	require.NoError(t, p.Click("Not now"))
	require.NoError(t, p.Wait(`(window.on ??= performance.now(), performance.now() > window.on + 500)`))
	require.NoError(t, p.Click("Hooked"))
	require.NoError(t, p.Click("Landed"))
	_, err = browser.Eval[any](p, `(window.fix.latitude += 0.002, window.fix.longitude += 0.001, 1)`)
	require.NoError(t, err)
	require.NoError(t, p.WaitText("Over it again:"))
	require.NoError(t, p.Wait(`/Over it again: \d+ m to the \w+, then 040° at .*at 4\.50 m/.test(document.body.innerText)`))
	require.NoError(t, p.Still())
	picture(t, p, "fish-pass")
	noViolations(t, p, "a pass")
	require.NoError(t, p.WaitText("All told to the server."))
	// The wind in a word.
	require.NoError(t, p.Click("More"))
	require.NoError(t, p.Click("fresh breeze"))
	require.NoError(t, p.WaitText("The water: noted."))
	require.NoError(t, p.WaitText("All told to the server."))
	assert.InDelta(t, 9.3, eval[float64](t, p, `(async () => {
		const all = (await (await fetch('/api/v1/outings')).json()).outings;
		const o = await (await fetch('/api/v1/outings/' + all[0].id)).json();
		return o.spells.at(-1).readings.find((r) => r.kind === 'wind_speed_ms' && r.origin === 'observed').value;
	})()`), 0.2)
}

// A spell a hand changed in the log while it was told otherwise: both are shown, nothing is lost until one chooses.
func TestWhatAHandChangedIsAskedAbout(t *testing.T) {
	name := kit.Newcomer(t, "wren", testkit.NoLog)
	p := open(t, browser.Phone)
	require.NoError(t, p.SignIn(name, demo.Password))
	toWater(t, p)
	begin(t, p, "Silver bar")
	require.NoError(t, p.Click("Bite"))
	require.NoError(t, p.WaitText("Bite: noted."))
	require.NoError(t, p.WaitText("All told to the server."))
	c := kit.As(t, name)
	byHand := func() {
		t.Helper()
		var log struct{ Spells []testkit.Object }
		require.Equal(t, http.StatusOK, c.Do("GET", "/spells", nil, &log))
		s := log.Spells[0]
		edit := testkit.Object{"rods": 2, "note": "two rods, in truth"}
		for _, same := range []string{"spot_id", "target", "started_at", "ended_at", "revision"} {
			edit[same] = s[same]
		}
		require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+s["id"].(string), edit, nil))
	}
	byHand()
	require.NoError(t, p.Click("Hooked"))
	require.NoError(t, p.Click("Landed"))
	require.NoError(t, p.WaitText("Told twice"))
	require.NoError(t, p.Still())
	picture(t, p, "fish-clash")
	noViolations(t, p, "told twice")
	assert.Contains(t, eval[string](t, p, logOf), " 2 0 ", "the log is as it was")
	// It is there when the page comes back, and says what differs.
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("Told twice"))
	said := eval[string](t, p, `document.querySelector('.fish-clash').innerText`)
	assert.Contains(t, said, "two rods, in truth")
	assert.Contains(t, said, "Rods out\t2\t1")
	require.NoError(t, p.Click("Take what was told here"))
	require.NoError(t, p.Wait(`!document.querySelector('.fish-clash')`))
	assert.Contains(t, eval[string](t, p, logOf), "Silver bar 1 1 ")

	// And the other way about.
	byHand()
	require.NoError(t, p.Click("Missed"))
	require.NoError(t, p.WaitText("Told twice"))
	require.NoError(t, p.Click("Keep the log’s"))
	require.NoError(t, p.Wait(`!document.querySelector('.fish-clash')`))
	assert.Contains(t, eval[string](t, p, logOf), " 2 1 ")
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("All told to the server."))
	assert.False(t, eval[bool](t, p, `!!document.querySelector('.fish-clash')`))
}
