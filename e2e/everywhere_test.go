package e2e

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// mostShift is how far what one reads may be moved by what comes later: the limit of "good" of
// the Layout Instability specification's cumulative score is 0.1; half of it is asked here.
const mostShift = 0.05

// shifts adds up what moved since the page began, of its own accord.
const shifts = `new Promise((done) => {
	let sum = 0; const what = [];
	new PerformanceObserver((l) => { for (const e of l.getEntries()) if (!e.hadRecentInput) { sum += e.value;
		for (const s of e.sources) what.push((s.node?.className || s.node?.nodeName || '?') + ' ' + e.value.toFixed(3)); } })
		.observe({type: 'layout-shift', buffered: true});
	setTimeout(() => done({Sum: sum, What: what}), 50);
})`

// views are all the pages one can be on.
var views = []string{
	"/ahead", "/water", "/water/edit", "/tie-on", "/tie-on/bench", "/tie-on/cards", "/begin", "/back", "/set-up/you", "/set-up/units",
	"/set-up/limits", "/set-up/kit", "/set-up/book/targets", "/set-up/book/rules", "/set-up/book/schools", "/set-up/waters",
	"/set-up/waters/stations", "/set-up/waters/gauge", "/set-up/waters/spot-tide", "/set-up/waters/ground",
	"/set-up/waters/readings", "/set-up/waters/usual", "/set-up/files", "/ahead/seasons",
}

// Every page, in either system of units and in every light, has no fault axe finds, is no wider
// than the screen, says no number that ran away, and does not jump while it loads.
func TestEveryPageHoldsStill(t *testing.T) {
	settings := []struct {
		light, units string
		size         browser.Size
	}{{"day", "us", browser.Desk}, {"glare", "us", browser.Phone}}
	if testkit.Soaking() {
		settings = nil
		for _, light := range []string{"day", "glare", "night"} {
			for _, units := range []string{"metric", "us"} {
				for _, size := range []browser.Size{browser.Desk, browser.Phone} {
					settings = append(settings, struct {
						light, units string
						size         browser.Size
					}{light, units, size})
				}
			}
		}
	}
	for _, s := range settings {
		p := signedIn(t, "wren", s.size)
		_, err := browser.Eval[any](p, `localStorage.setItem('greypebble.light', '`+s.light+`')`)
		require.NoError(t, err)
		speakIn(t, p, s.units)
		require.NoError(t, p.Straggle(s.light+s.units+"a"))
		for _, path := range views {
			at := path + " in " + s.light + ", " + s.units
			require.NoError(t, p.Go(path))
			require.NoError(t, p.Wait(`document.querySelector('main h1, main h2')`), at)
			noViolations(t, p, at)
			assert.LessOrEqual(t, eval[int](t, p, `document.documentElement.scrollWidth`), int(s.size.Width), at)
			assert.NotRegexp(t, `\d\.\d{6,}|NaN|undefined`, eval[string](t, p, `document.body.innerText`), at)
			moved := eval[struct {
				Sum  float64
				What []string
			}](t, p, shifts)
			assert.LessOrEqual(t, moved.Sum, mostShift, "%s: %v", at, moved.What)
		}
	}
}

// speakIn a system of units from now on.
func speakIn(t *testing.T, p *browser.Page, units string) {
	t.Helper()
	if units == "metric" {
		return // as everybody begins
	}
	require.NoError(t, p.Go("/set-up/units"))
	require.NoError(t, p.Click("US"))
	require.NoError(t, p.Wait(`document.querySelector('.units-each').innerText.includes('°F')`))
}
