package e2e

import (
	"os"
	"path/filepath"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// picture of what is seen, into the directory PICTURES names; for looking at.
func picture(t *testing.T, p *browser.Page, name string) {
	t.Helper()
	dir := os.Getenv("PICTURES")
	if dir == "" {
		return
	}
	require.NoError(t, p.Still())
	png, err := p.Shot()
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(filepath.Join(dir, name+".png"), png, 0o600))
}

const (
	strangersPassword = "four words in a row"
	fresh             = `document.querySelector('.signin-form')`
)

// register a stranger who speaks of feet.
func register(t *testing.T, p *browser.Page, name string) {
	t.Helper()
	require.NoError(t, p.Go("/"))
	require.NoError(t, p.Wait(fresh))
	require.NoError(t, p.Click("Make an account"))
	require.NoError(t, p.Fill("Name", name))
	require.NoError(t, p.Fill("Password", strangersPassword))
	noViolations(t, p, "making an account")
	press(t, p, "Make the account")
	require.NoError(t, p.WaitText("Welcome, "+name))
	require.NoError(t, p.Click("Feet"))
	require.NoError(t, p.Click("6:40 pm"))
	picture(t, p, "ask-units")
	noViolations(t, p, "asking for units")
	press(t, p, "Go on")
	require.NoError(t, p.WaitText("Where do you fish?"))
}

// A stranger makes an account on a phone, a first water and a beach by template, reads
// depths and advice in feet, takes everything along, deletes the account, makes it again,
// brings everything back, and finds the same.
func TestAStrangerTakesItIntoUse(t *testing.T) {
	p := open(t, browser.Phone)
	name := "grebe " + strconv.Itoa(os.Getpid())
	register(t, p, name)
	picture(t, p, "begin")
	noViolations(t, p, "the ways to begin")
	press(t, p, "Make it")
	require.NoError(t, p.Wait(`document.querySelector('.land-map canvas')`))
	require.NoError(t, p.Fill("What you call the water", "Heron Bay"))
	require.NoError(t, p.Fill("Latitude, longitude", "41.48, -71.29"))
	require.NoError(t, p.Type("\r"))
	picture(t, p, "first-where")
	noViolations(t, p, "where")
	press(t, p, "Go on")
	require.NoError(t, p.WaitText("Newport"))
	picture(t, p, "first-tide")
	noViolations(t, p, "the tide")
	press(t, p, "Take it")
	require.NoError(t, p.WaitText("Beach with trough and bar"))
	picture(t, p, "first-kinds")
	noViolations(t, p, "kinds of place")
	require.NoError(t, p.Click("Beach with trough and bar"))
	require.NoError(t, p.Wait(`document.querySelector('.bend-asks input')`))
	require.NoError(t, p.Fill("How deep is the trough at low water?", "4 ft 6"))
	require.NoError(t, p.Fill("How deep is it over the bar at low water?", "1.5"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.profile .depth')].some((e) => e.textContent === '4.5 ft')`))
	picture(t, p, "first-bend")
	noViolations(t, p, "bending")
	require.NoError(t, p.Fill("What you call the spot", "Long Sand"))
	press(t, p, "Go on")
	require.NoError(t, p.WaitText("No depth in the way"))
	picture(t, p, "first-ways")
	press(t, p, "Show me the water")
	require.NoError(t, p.Wait(`document.querySelector('.section svg')`))
	require.NoError(t, p.Wait(`document.querySelector('[data-mark=trough] .depth')`))
	picture(t, p, "first-water")
	text := func() string { return eval[string](t, p, `document.querySelector('.main').innerText`) }
	assert.Contains(t, text(), " ft")
	assert.NotRegexp(t, `\d m\b`, text(), "no metres in feet")
	trough := depth(t, p, "trough")
	assert.Regexp(t, `^\d\.\d ft$`, trough)
	noViolations(t, p, "a first water")

	require.NoError(t, p.Click("Tie on"))
	require.NoError(t, p.Wait(`document.querySelector('.choices, .unfold, .going, .nothing')`))
	require.NoError(t, p.Still())
	picture(t, p, "first-tie-on")
	assert.NotRegexp(t, `\d (m|cm|g|kg|°C)\b`, text())

	before := eval[string](t, p, `fetch('/api/v1/spots').then((r) => r.text())`)
	section := eval[string](t, p, `fetch('/api/v1/spots/' + JSON.parse(`+strconv.Quote(before)+`)[0].id).then((r) => r.text())`)
	copied := eval[string](t, p, `fetch('/api/v1/account/export').then((r) => r.text())`)

	setUp(t, p, "you")
	picture(t, p, "you-phone")
	noViolations(t, p, "account")
	require.NoError(t, p.Click("Delete the account…"))
	require.NoError(t, p.WaitText("These go: 1 spot in 1 water, 1 tide station"))
	press(t, p, "Yes, all of it")
	require.NoError(t, p.Fill("Your password, to be sure it is you", strangersPassword))
	picture(t, p, "delete-phone")
	press(t, p, "Delete everything now")
	require.NoError(t, p.Wait(fresh))

	register(t, p, name)
	_, err := browser.Eval[any](p, `(() => { const d = new DataTransfer(); d.items.add(new File([`+strconv.Quote(copied)+`], 'mine.json',
		{type: 'application/json'})); const i = document.querySelector('.file input'); i.files = d.files;
		i.dispatchEvent(new Event('change', {bubbles: true})); return 1; })()`)
	require.NoError(t, err)
	require.NoError(t, p.Click("Water"))
	require.NoError(t, p.Wait(`document.querySelector('[data-mark=trough] .depth')`))
	assert.Equal(t, before, eval[string](t, p, `fetch('/api/v1/spots').then((r) => r.text())`))
	assert.Equal(t, section, eval[string](t, p,
		`fetch('/api/v1/spots/' + JSON.parse(`+strconv.Quote(before)+`)[0].id).then((r) => r.text())`))
	assert.Contains(t, text(), " ft", "the units came along")
}

// The invented coast is shown to somebody who has nothing yet, and taken away again.
func TestTheInventedCoastIsLookedAt(t *testing.T) {
	p := open(t, browser.Desk)
	register(t, p, "teal "+strconv.Itoa(os.Getpid()))
	picture(t, p, "begin-desk")
	press(t, p, "Show it")
	require.NoError(t, p.Wait(`document.querySelector('.ribbon svg')`))
	picture(t, p, "water-us")
	require.NoError(t, p.WaitText("The coast you look at is invented"))
	setUp(t, p, "units")
	picture(t, p, "units")
	noViolations(t, p, "units")
	require.NoError(t, p.Click("Metric"))
	// The page is drawn anew in the other units; what is pressed before that is lost with the old one.
	require.NoError(t, p.Wait(`document.querySelector('.units-each').innerText.includes('°C')`))
	require.NoError(t, p.Click("Water"))
	require.NoError(t, p.Wait(`/\d m /.test(document.querySelector('.moment-label')?.innerText ?? '')`))
	setUp(t, p, "waters")
	picture(t, p, "waters")
	noViolations(t, p, "waters")
	press(t, p, "Take the invented coast away")
	press(t, p, "Take it away")
	require.NoError(t, p.WaitText("Where do you fish?"))
}
