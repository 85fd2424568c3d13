package e2e

import (
	"fmt"
	"os"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// What is taken out can be brought back for a while.
func TestWhatIsTakenOutComesBack(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Click("Back"))
	require.NoError(t, p.Wait(`document.querySelectorAll('[data-spell]').length > 3`))
	newest := eval[string](t, p, `document.querySelector('[data-spell]').dataset.spell`)
	was := eval[string](t, p, `document.querySelector('[data-spell]').innerText`)
	_, err := browser.Eval[any](p, `(document.querySelector('[data-spell] summary, [data-spell] button').click(), 1)`)
	require.NoError(t, err)
	press(t, p, "Remove")
	require.NoError(t, p.Wait(`!document.querySelector('[data-spell="`+newest+`"]')`))
	press(t, p, "Undo")
	require.NoError(t, p.Wait(`document.querySelector('[data-spell="`+newest+`"]')`))
	assert.Equal(t, strings.Fields(was)[:6], strings.Fields(eval[string](t, p,
		`document.querySelector('[data-spell="`+newest+`"]').innerText`))[:6])

	setUp(t, p, "waters")
	address := `document.querySelector('.feed-address input').value`
	require.NoError(t, p.Fill("Forecast address", "https://127.0.0.1/csv"))
	press(t, p, "Try it")
	require.NoError(t, p.WaitText("It did not go well"), "what came of it is said, and the address is kept")
	press(t, p, "Take it away")
	require.NoError(t, p.Wait(address+` === ''`))
	press(t, p, "Undo")
	require.NoError(t, p.Wait(address+` === 'https://127.0.0.1/csv'`))
}

// A record with columns of its own names, in feet, is asked about and then read; the next of
// the kind is read at once.
func TestColumnsOfOtherNamesAreMapped(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "waters/gauge")
	var b strings.Builder
	b.WriteString("Date Time, Water Level, Quality\n")
	for i := range 20 * 24 {
		at := testkit.Now.Add(time.Duration(i-20*24) * time.Hour)
		fmt.Fprintf(&b, "%s, %.2f, v\n", at.Format(time.RFC3339), 5+2*float64(i%12)/12)
	}
	handFile(t, p, "record", "pier.csv", b.String())
	require.NoError(t, p.WaitText("Which column is which?"))
	require.NoError(t, p.WaitText("Still wanted: height of the water"))
	noViolations(t, p, "mapping columns")
	require.NoError(t, p.Pick("Water Level is", "height ft"))
	press(t, p, "Read it so")
	require.NoError(t, p.WaitText("480 readings"))
	picture(t, p, "mapped")
	handFile(t, p, "record", "again.csv", b.String())
	require.NoError(t, p.Wait(`!document.querySelector('.map-columns')`))
	require.NoError(t, p.WaitText("480 readings"))
}

// Enlarged to twice its size, or on a phone on its side, there is room for what is read.
func TestAShortScreenLeavesRoom(t *testing.T) {
	for name, size := range map[string]browser.Size{"enlarged": {Width: 640, Height: 400}, "on its side": {Width: 844, Height: 390}} {
		angler := kit.Newcomer(t, "wren", testkit.NoLog)
		p := open(t, size)
		require.NoError(t, p.Fill("Name", angler))
		require.NoError(t, p.Fill("Password", demo.Password))
		require.NoError(t, p.Click("Sign in"))
		require.NoError(t, p.Wait(`document.querySelector('.ribbon-line')`), name)
		for _, path := range []string{"/water", "/tie-on", "/back", "/set-up/units"} {
			require.NoError(t, p.Go(path))
			require.NoError(t, p.Wait(`document.querySelector('.main')`))
			require.NoError(t, p.Still())
			assert.Greater(t, eval[float64](t, p, `document.querySelector('.main').clientHeight`), 200.0, "%s %s", name, path)
			assert.LessOrEqual(t, eval[int](t, p, `document.documentElement.scrollWidth`), int(size.Width), "%s %s", name, path)
		}
		picture(t, p, "short "+name)
	}
}

// A form with changes asks before it is left.
func TestAChangedFormAsksBeforeItIsLeft(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	choose(t, p, "Kettle Bar")
	require.NoError(t, p.Click("Change Kettle Bar"))
	require.NoError(t, p.Fill("Hazards", "a wreck"))
	require.NoError(t, p.Click("Tie on"))
	require.NoError(t, p.WaitText("Leave what you changed?"))
	noViolations(t, p, "leaving a form")
	press(t, p, "Stay")
	require.NoError(t, p.Wait(`location.pathname.startsWith('/water/edit')`))
	require.NoError(t, p.Wait(`!document.querySelector('.ant-modal-confirm')`))
	require.NoError(t, p.Click("Tie on"))
	press(t, p, "Go without it")
	require.NoError(t, p.Wait(`location.pathname === '/tie-on'`))
	// The question gives the focus back where it was as it goes.
	require.NoError(t, p.Wait(`!document.querySelector('.ant-modal-confirm')`))

	// An entry half made, and a thing of the kit that another is opened over.
	require.NoError(t, p.Click("Catch"))
	// What slides in takes the focus once it stands.
	require.NoError(t, p.Wait(`document.querySelector('.entry')`))
	require.NoError(t, p.Still())
	require.NoError(t, p.Fill("Note", "under the lamp"))
	require.NoError(t, p.Wait(`document.querySelector('.entry textarea').value === 'under the lamp'`))
	require.NoError(t, p.Click("Close"))
	require.NoError(t, p.WaitText("Leave what you changed?"))
	press(t, p, "Stay")
	require.NoError(t, p.Wait(`document.querySelector('.entry textarea').value === 'under the lamp'`))
	require.NoError(t, p.Click("Close"))
	press(t, p, "Go without it")
	require.NoError(t, p.Wait(`!document.querySelector('.entry')`))
	setUp(t, p, "kit")
	things := `document.querySelectorAll('.kit-name')`
	require.NoError(t, p.Wait(things+`.length > 2`))
	_, err := browser.Eval[any](p, `(`+things+`[0].click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Fill("Name", "The old one"))
	_, err = browser.Eval[any](p, `(`+things+`[1].click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.WaitText("Leave what you changed?"))
	press(t, p, "Stay")
	press(t, p, "Keep")
	require.NoError(t, p.Wait(`[...`+things+`].some((b) => b.innerText.startsWith('The old one'))`))
	_, err = browser.Eval[any](p, `(`+things+`[3].click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(things+`[3].getAttribute('aria-expanded') === 'true'`), "what is kept may be left")
}

// What is refused is said above the button that was pressed, and what was typed is still there.
func TestAFaultStandsAboveItsButton(t *testing.T) {
	for _, c := range []struct{ room, fill, with, press, refused string }{
		{"kit", "Name", " ", "Keep", "name"},
		{"book/targets", "Hooks", "\b", "Keep for me", "hooks"},
		{"waters", "Forecast address", "ftp://forecast", "Try it", "http"},
	} {
		p := signedIn(t, "wren", browser.Phone)
		require.NoError(t, p.Go("/set-up/"+c.room))
		if c.room == "kit" {
			require.NoError(t, p.Wait(`document.querySelector('.kit-name')`))
			_, err := browser.Eval[any](p, `(document.querySelector('.kit-name').click(), 1)`)
			require.NoError(t, err)
		}
		require.NoError(t, p.Fill(c.fill, c.with))
		press(t, p, c.press)
		alert := `document.querySelector('main [role=alert]')`
		require.NoError(t, p.Wait(alert), "%s", c.room)
		assert.Contains(t, eval[string](t, p, alert+`.innerText`), c.refused)
		above := eval[float64](t, p, `[...document.querySelectorAll('main button')].find((b) => b.innerText.trim() === '`+c.press+
			`').getBoundingClientRect().top - `+alert+`.getBoundingClientRect().bottom`)
		assert.True(t, above >= 0 && above < 60, "%s: %v px above", c.room, above)
		picture(t, p, "fault "+strings.ReplaceAll(c.room, "/", " "))
	}
}

// A catch begun while something to tie on is shown starts from that.
func TestAnEntryStartsFromTheScreen(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	choose(t, p, "Kettle Bar")
	require.NoError(t, p.Click("Tie on"))
	unfold(t, p)
	require.NoError(t, p.Wait(`document.querySelectorAll('.choice').length > 1`))
	_, err := browser.Eval[any](p, `(document.querySelectorAll('.choice')[1].click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Still())
	told := eval[string](t, p, `document.querySelector('.detail h1').innerText`)
	require.NoError(t, p.Click("Catch"))
	require.NoError(t, p.Wait(`document.querySelector('.entry')`))
	assert.Contains(t, told, eval[string](t, p, `document.querySelector('.entry #offering').value`))
	assert.NotEmpty(t, eval[string](t, p, `document.querySelector('.entry #offering').value`))
}

// focused says what the keyboard stands on: its label, or what is written on it.
const focused = `(() => { const e = document.activeElement; return (e.getAttribute('aria-label') || e.labels?.[0]?.innerText ||
	e.innerText || '').trim(); })()`

// tabTo a control by the keyboard alone.
func tabTo(t *testing.T, p *browser.Page, label string) {
	t.Helper()
	var seen []string
	for range 90 {
		at := eval[string](t, p, focused)
		if strings.HasPrefix(at, label) {
			return
		}
		seen = append(seen, at)
		require.NoError(t, p.Type("\t"))
	}
	t.Fatalf("the keyboard does not come to %q; it came to %q", label, seen)
}

func enter(t *testing.T, p *browser.Page, label, text string) {
	t.Helper()
	tabTo(t, p, label)
	require.NoError(t, p.Type(text))
}

// The stranger's way once more, with nothing but keys: account, first water, depths in feet,
// and the end of the account.
func TestAStrangerWithAKeyboard(t *testing.T) {
	p := open(t, browser.Desk)
	require.NoError(t, p.Wait(fresh))
	tabTo(t, p, "Make an account")
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.WaitText("10 characters or more"))
	enter(t, p, "Name", "avocet "+strconv.Itoa(os.Getpid()))
	enter(t, p, "Password", strangersPassword)
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.WaitText("Welcome, avocet"))
	for _, press := range []string{"Feet", "6:40 pm", "Go on"} {
		tabTo(t, p, press)
		require.NoError(t, p.Type("\r"))
	}
	require.NoError(t, p.WaitText("Where do you fish?"))
	tabTo(t, p, "Make it")
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.Wait(`document.querySelector('.land-map canvas')`))
	enter(t, p, "What you call the water", "Heron Bay")
	enter(t, p, "Latitude, longitude", "41.48, -71.29\r")
	tabTo(t, p, "Go on")
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.WaitText("Newport"))
	tabTo(t, p, "Take it: Newport")
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.WaitText("Rock ledge"))
	tabTo(t, p, "Pier")
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.Wait(`document.querySelector('.bend-asks input')`))
	enter(t, p, "How deep is it at its end at low water?", "12 ft 6")
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.profile .depth')].some((e) => e.textContent === '12.5 ft')`))
	tabTo(t, p, "Go on")
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.WaitText("How do you get there?"))
	tabTo(t, p, "Show me the water")
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.Wait(`document.querySelector('.section svg')`))
	assert.Contains(t, eval[string](t, p, `document.querySelector('.main').innerText`), " ft")
	tabTo(t, p, "Set-up")
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.WaitText("Delete the account"))
	tabTo(t, p, "Delete the account…")
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.WaitText("These go: 1 spot"))
	tabTo(t, p, "Yes, all of it")
	require.NoError(t, p.Type("\r"))
	enter(t, p, "Your password, to be sure it is you", strangersPassword+"\r")
	require.NoError(t, p.Wait(fresh))
}

// A page begins at its top wherever the one before it was scrolled to; one gone back to stands where it was left.
func TestAPageBeginsAtItsTop(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	top := func() float64 { return eval[float64](t, p, `document.querySelector('#main').scrollTop`) }
	down := func() {
		t.Helper()
		require.NoError(t, p.Wait(`document.querySelector('#main').scrollHeight > document.querySelector('#main').clientHeight + 150`))
		eval[any](t, p, `document.querySelector('#main').scrollTo(0, 100), true`)
		require.NoError(t, p.Wait(`document.querySelector('#main').scrollTop === 100`))
	}
	setUp(t, p, "book/rules") // here already when it is come to again
	require.NoError(t, p.WaitText("Write a rule of your own"))
	for range 2 {
		setUp(t, p, "you")
		require.NoError(t, p.WaitText("Recovery codes"))
		down()
		setUp(t, p, "book/rules")
		require.NoError(t, p.WaitText("Write a rule of your own"))
		assert.Zero(t, top())
	}
	setUp(t, p, "you")
	require.NoError(t, p.WaitText("Recovery codes"))
	down()
	require.NoError(t, p.Click("Back"))
	require.NoError(t, p.Wait(`location.pathname === '/back'`))
	require.NoError(t, p.WaitText("Blank for Florida pompano"))
	assert.Zero(t, top())
	eval[any](t, p, `history.back(), true`)
	require.NoError(t, p.WaitText("Recovery codes"))
	require.NoError(t, p.Wait(`document.querySelector('#main').scrollTop === 100`))
}
