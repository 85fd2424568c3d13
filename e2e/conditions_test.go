package e2e

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/quantity"
	"greypebble/core/tide"
	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/interchange/turns"
	"greypebble/testkit"
)

// The sheet: every reading with its origin; one touch overrules it, from then on
// it is the angler's; the ribbon still moves beside it.
func TestConditionsSheet(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	require.NoError(t, p.WaitText("Candle Bar"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.strip button').length >= 5`))
	require.NoError(t, p.Click("all"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.sheet-readings li').length >= 7 && document.querySelector('.warmth svg path')`))
	noViolations(t, p, "conditions sheet")
	text := eval[string](t, p, `document.querySelector('.sheet-body').innerText`)
	for _, says := range []string{"breeze", "of springs", "bright", "muddy 0.1 to 0.5 m", "Surface", "Moon", "over the last"} {
		assert.Contains(t, text, says)
	}
	air := `[...document.querySelectorAll('.sheet-readings li')].find((e) => e.innerText.startsWith('air'))`
	require.NoError(t, p.Wait(air+`.querySelector('.cond').innerText.includes('forecast')`))
	_, err := browser.Eval[any](p, `(`+air+`.querySelector('button').click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.activeElement.closest('.overrule')`))
	require.NoError(t, p.Type("7.5\r"))
	require.NoError(t, p.Wait(air+`.innerText.includes('7.5 °C') && `+air+`.querySelector('.cond').innerText.includes('you')`))
	before := eval[string](t, p, `document.querySelector('.sheet .ant-drawer-title').innerText`)
	require.NoError(t, p.Type("..."))
	require.NoError(t, p.Wait(`document.querySelector('.sheet .ant-drawer-title').innerText !== '`+before+`'`))
	require.NoError(t, p.Type(",,,"))
	require.NoError(t, p.Wait(`document.querySelector('.sheet .ant-drawer-title').innerText === '`+before+`'`))
	_, err = browser.Eval[any](p, `(`+air+`.querySelector('button').click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Click("Take it back"))
	require.NoError(t, p.Wait(air+`.querySelector('.cond').innerText.includes('forecast')`))
}

// The ribbon says at once how the water lies: its surface, springs or neaps, the
// dark water; at 1280 and at 390 px no word is cut or lies on another.
func TestRibbonIsLegible(t *testing.T) {
	for _, size := range []browser.Size{browser.Desk, browser.Phone} {
		p := signedIn(t, "wren", size)
		require.NoError(t, p.Wait(`document.querySelector('.ribbon .surface-run text') && document.querySelector('.ribbon .peak') &&
			document.querySelector('.ribbon .gloom')`))
		assert.Regexp(t, "glassy|ripple|chop|rough", eval[string](t, p,
			`[...document.querySelectorAll('.surface-run text')].map((e) => e.textContent).join(' ')`))
		assert.Regexp(t, "springs|neaps", eval[string](t, p, `[...document.querySelectorAll('.peak')].map((e) => e.textContent).join(' ')`))
		cut := eval[[]string](t, p, `(() => { const w = innerWidth; const all = [...document.querySelectorAll('.ribbon text')].map((e) =>
			[e, e.getBoundingClientRect()]);
			const out = []; for (const [e, r] of all) if (r.left < 0 || r.right > w) out.push('cut: ' + e.textContent);
			for (let i = 0; i < all.length; i++) for (let j = i + 1; j < all.length; j++) { const [a, r] = all[i], [b, s] = all[j];
				const over = Math.min(r.right, s.right) - Math.max(r.left, s.left), down = Math.min(r.bottom, s.bottom) - Math.max(r.top,
					s.top);
				if (over > 3 && down > 7) out.push(a.textContent + ' on ' + b.textContent); } return out; })()`)
		assert.Empty(t, cut)
	}
}

// Set-up: a table of turns becomes a station, with progress; a secondary place
// is compared with its reference; a lag is learned from noted waters.
func TestTidesOfOnesOwn(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "waters/gauge")

	h, err := tide.NewHarmonics(demo.Constituents(), 0.95)
	require.NoError(t, err)
	list, err := h.Turns(testkit.Now.AddDate(0, 0, -200), testkit.Now)
	require.NoError(t, err)
	require.NoError(t, p.Click("Table of high and low waters"))
	handFile(t, p, "table", "yearbook.csv", "time,height_m,kind\n2026-01-01T06:00Z,99,high\n")
	require.NoError(t, p.WaitText("a height of 99 m cannot be"))
	handFile(t, p, "table", "yearbook.csv", string(turns.Write(list, quantity.Metric)))
	require.NoError(t, p.WaitText(fmt.Sprintf("%d high and low waters", len(list))))
	assert.Regexp(t, `M2\s+0\.5[45]\d`, eval[string](t, p, `document.querySelector('.analysis').innerText`))

	setUp(t, p, "waters/stations")
	require.NoError(t, p.WaitText("Tern Head"))
	require.NoError(t, p.Click("Add a secondary place"))
	require.NoError(t, p.Fill("Name of the place", "Creek head"))
	require.NoError(t, p.Fill("Where its figures come from", "by eye"))
	require.NoError(t, p.Fill("High water later by", "40"))
	require.NoError(t, p.Fill("Low water later by", "65"))
	require.NoError(t, p.Click("Keep the place"))
	require.NoError(t, p.WaitText("follows Tern Head: high +40 min"))
	for _, c := range []string{"First station", "Tern Head", "Second station", "Creek head"} {
		require.NoError(t, p.Click(c))
		require.NoError(t, p.Still())
	}
	require.NoError(t, p.WaitText("has high water 40 min later (± 0) and low water 65 min later"))
	noViolations(t, p, "set-up with a comparison")
	creek := `[...document.querySelectorAll('.station')].find((s) => s.innerText.includes('Creek head'))`
	_, err = browser.Eval[any](p, `(`+creek+`.open = true, 1)`)
	require.NoError(t, err)
	press(t, p, "Remove")
	require.NoError(t, p.Wait(`!`+creek))
	press(t, p, "Undo")
	require.NoError(t, p.Wait(creek))

	setUp(t, p, "waters/spot-tide")
	// Two low waters noted where the ribbon stands learn a lag.
	require.NoError(t, p.Wait(`document.querySelector('.ribbon svg')`))
	require.NoError(t, p.Type("<"))
	require.NoError(t, p.Still())
	low := !strings.Contains(moment(t, p), "high")
	if low {
		require.NoError(t, p.Click("Low water"))
	}
	require.NoError(t, p.Click("It stood at"))
	require.NoError(t, p.WaitText("1 notes say"))
	require.NoError(t, p.Click("Use what was learned"))
	require.NoError(t, p.WaitText("now follows these figures"))
	require.NoError(t, p.Click("Forget"))
	require.NoError(t, p.Wait(`!document.querySelector('.noted')`))

	// Back to its own figures, by hand.
	own := []string{"55", "55", "0.84", "0.84", "0", "0"}
	for i, label := range []string{"High water later by", "Low water later by", "High water times", "Low water times", "High water plus",
		"Low water plus"} {
		require.NoError(t, p.Fill(label, own[i]))
	}
	// What was said before is gone first, so that the message is this one's.
	require.NoError(t, p.Wait(`document.querySelectorAll('.ant-message-notice').length === 0`))
	require.NoError(t, p.Click("Use these"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.ant-message-notice').length > 0`))
	require.NoError(t, p.Go("/set-up/waters/spot-tide"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.offsets input')].map((e) => e.value).join(' ') === '`+strings.Join(own,
		" ")+`'`))
}

func TestALogIsLookedAtBeforeItIsKept(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "waters/readings")
	require.NoError(t, p.WaitText("Logs of instruments"))
	handFile(t, p, "Choose a log", "sill.csv", "time,water_temp_c\n2026-11-20T06:00Z,-400\n")
	require.NoError(t, p.WaitText("sill.csv: line 2, column water_temp_c"))
	handFile(t, p, "Choose a log", "sill.csv", "time,water_temp_c\n2026-11-19T06:00Z,12.5\n2026-11-19T07:00Z,12.7\n")
	require.NoError(t, p.WaitText("Nothing is stored yet"))
	require.NoError(t, p.WaitText("2 of water temperature, 12.5 °C to 12.7 °C"))
	require.NoError(t, p.Click("Keep these readings"))
	require.NoError(t, p.WaitText("2 readings are kept for Fallow Creek"))
}
