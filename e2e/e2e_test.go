// Package e2e drives the real interface in Chromium as a person would.
package e2e

import (
	"encoding/base64"
	"encoding/json"
	"fmt"
	"os"
	"regexp"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/tide"
	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

var (
	kit      *testkit.Server
	chromium *browser.Browser
)

func TestMain(m *testing.M) {
	code := 1
	defer func() { os.Exit(code) }()
	var err error
	if kit, err = testkit.Start(); err != nil {
		fmt.Fprintln(os.Stderr, err)
		return
	}
	defer kit.Stop()
	if chromium, err = browser.Open(); err != nil {
		fmt.Fprintln(os.Stderr, err)
		return
	}
	defer chromium.Close()
	code = m.Run()
}

func open(t *testing.T, size browser.Size) *browser.Page {
	t.Helper()
	p, err := chromium.Page(kit.URL, size)
	require.NoError(t, err)
	t.Cleanup(p.Close)
	require.NoError(t, p.Go("/"))
	require.NoError(t, p.WaitText("Sign in"))
	return p
}

// signedIn is a page of somebody new who has what one of the scenario has, the log too:
// no test depends on what another left.
func signedIn(t *testing.T, like string, size browser.Size) *browser.Page {
	t.Helper()
	name := kit.Newcomer(t, like, testkit.ALog)
	p := open(t, size)
	require.NoError(t, p.SignIn(name, demo.Password))
	toWater(t, p)
	return p
}

// toWater from where one landed.
func toWater(t *testing.T, p *browser.Page) {
	t.Helper()
	require.NoError(t, p.Click("Water"))
	require.NoError(t, p.Wait(`document.querySelector('.water-head')`))
}

// setUp goes to a page of Set-up by its list.
func setUp(t *testing.T, p *browser.Page, room string) {
	t.Helper()
	if !eval[bool](t, p, `location.pathname.startsWith('/set-up')`) {
		require.NoError(t, p.Click("Set-up"))
		require.NoError(t, p.Wait(`location.pathname === '/set-up/you'`))
	}
	link := `document.querySelector('.setup-list a[href="/set-up/` + room + `"]')`
	require.NoError(t, p.Wait(`document.querySelector('.setup-list [aria-current=page]')`))
	_, err := browser.Eval[any](p, `(`+link+`.click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(link+`.getAttribute('aria-current') === 'page'`))
}

// address of a spot of the angler's in the API.
func address(p *browser.Page, spot string) string {
	return "/api/v1/spots/" + demo.IDOf(p.Angler, spot).String()
}

func eval[T any](t *testing.T, p *browser.Page, expression string) T {
	t.Helper()
	v, err := browser.Eval[T](p, expression)
	require.NoError(t, err)
	return v
}

// moment in words, from the ribbon.
func moment(t *testing.T, p *browser.Page) string {
	t.Helper()
	return eval[string](t, p, `document.querySelector('.ribbon [role=slider]').getAttribute('aria-valuetext')`)
}

var metres = regexp.MustCompile(`(−?[\d.]+) m`)

func level(t *testing.T, p *browser.Page) float64 {
	t.Helper()
	m := metres.FindStringSubmatch(moment(t, p))
	require.NotNil(t, m)
	v, err := strconv.ParseFloat(strings.Replace(m[1], "−", "-", 1), 64)
	require.NoError(t, err)
	return v
}

// depth over a mark in the list beside the section.
func depth(t *testing.T, p *browser.Page, kind string) string {
	t.Helper()
	return eval[string](t, p, `document.querySelector('[data-mark="`+kind+`"] .depth').innerText`)
}

// toTurn presses > until the ribbon stands on a high or low water.
func toTurn(t *testing.T, p *browser.Page, high bool) {
	t.Helper()
	for range 4 {
		before, was := level(t, p), moment(t, p)
		require.NoError(t, p.Type(">"))
		require.NoError(t, p.Wait(`document.querySelector('.ribbon [role=slider]').getAttribute('aria-valuetext') !== `+strconv.Quote(was)))
		require.NoError(t, p.Still())
		if (level(t, p) > before) == high {
			return
		}
	}
	t.Fatal("no such turn")
}

func choose(t *testing.T, p *browser.Page, spot string) {
	t.Helper()
	require.NoError(t, p.Click("Spot"))
	require.NoError(t, p.Click(spot))
	require.NoError(t, p.WaitText(spot))
	require.NoError(t, p.Wait(`document.querySelector('.ribbon svg')`))
}

// noViolations runs axe-core and fails on anything serious or critical.
func noViolations(t *testing.T, p *browser.Page, view string) {
	t.Helper()
	axe, err := os.ReadFile("../ui/node_modules/axe-core/axe.min.js")
	require.NoError(t, err)
	require.NoError(t, p.Still())
	_, err = browser.Eval[any](p, `(() => { `+string(axe)+`; return 1; })()`)
	require.NoError(t, err)
	type violation struct {
		ID, Impact, Help string
		Targets          []string
	}
	found := eval[[]violation](t, p, `window.axe.run(document, {resultTypes: ['violations']}).then((r) => r.violations
		.filter((v) => ['serious', 'critical'].includes(v.impact))
		.map((v) => ({ID: v.id, Impact: v.impact, Help: v.help, Targets: v.nodes.map((n) => n.target.join(' ')
			+ ': ' + (n.failureSummary ?? '').slice(0, 200))})))`)
	for _, v := range found {
		raw, _ := json.MarshalIndent(v, "", " ")
		assert.Fail(t, view+": "+v.ID, string(raw))
	}
}

func TestOneEvening(t *testing.T) {
	name := kit.Newcomer(t, "wren", testkit.ALog)
	p := open(t, browser.Desk)
	noViolations(t, p, "sign in")

	// A wrong password is said plainly, and what was typed stays.
	require.NoError(t, p.Fill("Name", name))
	require.NoError(t, p.Fill("Password", "wrong"))
	require.NoError(t, p.Click("Sign in"))
	require.NoError(t, p.WaitText("The name or the password is wrong."))
	require.NoError(t, p.SignIn(name, demo.Password))
	require.NoError(t, p.Wait(`location.pathname === '/ahead'`))
	toWater(t, p)

	choose(t, p, "Kettle Bar")
	noViolations(t, p, "water")

	// From low to high water by the keys: depth follows at once.
	toTurn(t, p, false)
	low, crestLow := level(t, p), depth(t, p, "crest")
	assert.Equal(t, "dry", crestLow)
	assert.Contains(t, eval[string](t, p, `document.querySelector('h1').innerText`), "The crest is dry")
	assert.Contains(t, eval[string](t, p, `document.body.innerText`), "You can get in and back")

	require.NoError(t, p.Click("Tie on"))
	press(t, p, "For")
	require.NoError(t, p.Click("Red drum"))
	advice := func() string {
		return eval[string](t, p, `document.querySelector('.choices').innerText`)
	}
	require.NoError(t, p.Wait(`document.querySelectorAll('.choice').length >= 3`))
	noViolations(t, p, "tie on")
	atLow := advice()
	toTurn(t, p, true)
	high := level(t, p)
	assert.Greater(t, high, low+0.5)
	// With the way shut the answer begins with that, and the choices are folded under it.
	require.NoError(t, p.Wait(`document.querySelector('.going.do-not') && !document.querySelector('.choices')`))
	assert.Contains(t, eval[string](t, p, `document.querySelector('.going').innerText`), "you cannot get in and back at")
	noViolations(t, p, "do not go")
	unfold(t, p)
	assert.NotEqual(t, atLow, advice())

	require.NoError(t, p.Click("Water"))
	require.NoError(t, p.Wait(`document.querySelector('[data-mark=crest]')`))
	crest, err := strconv.ParseFloat(strings.TrimSuffix(depth(t, p, "crest"), " m"), 64)
	require.NoError(t, err)
	assert.InDelta(t, high-0.70, crest, 0.011, "depth is level less elevation")

	// Dragging the ribbon moves the moment too.
	before := moment(t, p)
	box := eval[[]float64](t, p, `(() => { const r = document.querySelector('.ribbon svg').getBoundingClientRect(); return [r.x, r.y,
		r.width, r.height]; })()`)
	require.NoError(t, p.Drag(box[0]+300, box[1]+100, box[0]+700, box[1]+90))
	assert.NotEqual(t, before, moment(t, p))
	toTurn(t, p, false)

	// Overruling a reading changes its origin, and the advice with it.
	require.NoError(t, p.Wait(`document.querySelectorAll('.strip button').length >= 5`))
	require.NoError(t, p.Click("clarity"))
	require.NoError(t, p.Wait(`document.activeElement.closest('.overrule')`))
	require.NoError(t, p.Type("3\r"))
	require.NoError(t, p.Wait(`!document.querySelector('.overrule')`))
	require.NoError(t, p.Wait(`document.querySelector('.strip .observed')?.innerText.includes('3.0 m')`))

	// A time to come is not logged; the last low water is.
	require.NoError(t, p.Type("c"))
	require.NoError(t, p.WaitText("The ribbon shows a time to come"))
	require.NoError(t, p.Type("\x1b"))
	require.NoError(t, p.Wait(`!document.querySelector('[role=dialog] form')`))
	require.NoError(t, p.Click("now"))
	// What is seen now is kept at once, survives a reload, and can be taken back.
	require.NoError(t, p.Click("clarity"))
	require.NoError(t, p.Wait(`document.activeElement.closest('.overrule')`))
	require.NoError(t, p.Click("stained"))
	require.NoError(t, p.Wait(`document.querySelector('.strip .observed')?.innerText.includes('1.0 m')`))
	require.NoError(t, p.Go("/water"))
	require.NoError(t, p.Wait(`document.querySelector('.strip .observed')?.innerText.includes('1.0 m')`))
	require.NoError(t, p.Type("<"))
	require.NoError(t, p.Wait(`document.querySelector('.ribbon [role=slider]').getAttribute('aria-valuetext').includes('01:47')`))
	// What was seen at the end of a spell goes into the log with it.
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.strip .forecast')].some((e) => e.innerText.includes('clarity'))`))
	require.NoError(t, p.Click("clarity"))
	require.NoError(t, p.Wait(`document.activeElement.closest('.overrule')`))
	require.NoError(t, p.Type("2\r"))
	require.NoError(t, p.Wait(`document.querySelector('.strip .observed')?.innerText.includes('2.0 m')`))
	logBoth(t, p)
}

// logBoth logs a catch and a blank at the moment shown and finds both after a
// reload.
func logBoth(t *testing.T, p *browser.Page) {
	t.Helper()
	stage := moment(t, p)
	stage = stage[strings.LastIndex(stage, " m, ")+len(" m, "):]
	require.NoError(t, p.Type("c"))
	require.NoError(t, p.WaitText("Into the log"))
	noViolations(t, p, "quick entry")
	require.NoError(t, p.Click("Sought"))
	require.NoError(t, p.Click("Red drum"))
	require.NoError(t, p.Fill("Fished for", "20"))
	require.NoError(t, p.Fill("Length", "61"))
	require.NoError(t, p.Fill("Bait or lure", "White paddle tail"))
	require.NoError(t, p.Fill("Note", "first light, edge"))
	require.NoError(t, p.Click("Log the catch"))
	require.NoError(t, p.WaitText("The catch is in the log."))
	require.NoError(t, p.Wait(`!document.querySelector('[role=dialog] form')`))
	require.NoError(t, p.Type("b"))
	require.NoError(t, p.WaitText("Into the log"))
	require.NoError(t, p.Fill("Fished for", "10"))
	require.NoError(t, p.Click("Log the blank"))
	require.NoError(t, p.WaitText("The blank is in the log."))

	require.NoError(t, p.Click("Back"))
	require.NoError(t, p.Go("/back"))
	require.NoError(t, p.Wait(`document.querySelectorAll('[data-spell]').length > 2`))
	noViolations(t, p, "back")
	rows := eval[[]string](t, p, `[...document.querySelectorAll('[data-spell]')].slice(0, 2).map((e) => e.innerText)`)
	both := strings.Join(rows, "\n")
	assert.Contains(t, both, "1 red drum")
	assert.Contains(t, both, "61")
	assert.Contains(t, both, "Blank")
	// The stage is that of the middle of each spell: a low water's neighbours.
	for _, r := range rows {
		assert.Regexp(t, `slack, low water`, r)
	}
	// Its own readings are marked as such; the estimate by length is shown.
	require.NoError(t, p.Click("61 cm"))
	detail := eval[string](t, p, `[...document.querySelectorAll('[data-spell]')].find((e) => e.innerText.includes('61')).innerText`)
	assert.Contains(t, detail, "observed")
	assert.Contains(t, detail, "first light, edge")
	assert.Regexp(t, `about 2\.\d kg by its length, released`, detail)

	// Filters: only blanks, then by stage.
	require.NoError(t, p.Click("Blanks"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('[data-spell]')].every((e) => e.dataset.blank === 'true')`))
	require.NoError(t, p.Click("All"))
	require.NoError(t, p.Click("Tide stage"))
	require.NoError(t, p.Click("flood, middle third"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('[data-spell]')].every((e) => e.innerText.includes('flood, middle third'))`))
	assert.NotEmpty(t, stage)
}

func TestAnotherAnglerSeesNoneOfIt(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	text := func() string { return eval[string](t, p, `document.body.innerText`) }
	for _, path := range []string{"/water", "/tie-on", "/back"} {
		require.NoError(t, p.Go(path))
		require.NoError(t, p.Wait(`document.querySelector('.ribbon svg, [data-spell]')`))
		require.NoError(t, p.Still())
		assert.Contains(t, text(), "Candle Bar", path)
		for _, theirs := range []string{"Kettle Bar", "Long Strand", "Cutwater Pier", "Sedge Sound"} {
			assert.NotContains(t, text(), theirs, path)
		}
	}
	// Nor by any address.
	other := kit.Newcomer(t, "wren", testkit.NoLog)
	for _, path := range []string{"", "/state", "/ribbon"} {
		status := eval[int](t, p, `fetch('/api/v1/spots/`+demo.IDOf(other, "Kettle Bar").String()+path+`').then((r) => r.status)`)
		assert.Equal(t, 404, status, path)
	}
	setUp(t, p, "you")
	require.NoError(t, p.WaitText(p.Angler))
	require.NoError(t, p.Click("Sign out"))
	require.NoError(t, p.Wait(`!document.querySelector('.setup-list') && document.body.innerText.includes('Sign in')`))
	assert.Equal(t, 401, eval[int](t, p, `fetch('/api/v1/spots').then((r) => r.status)`))
}

func TestOnAPhone(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	for _, place := range []string{"Water", "Tie on", "Back", "Set-up"} {
		require.NoError(t, p.Click(place))
		require.NoError(t, p.Wait(`document.querySelector('.ribbon svg, .log, .setup .panel')`))
		require.NoError(t, p.Still())
		assert.Equal(t, 390, eval[int](t, p, `document.documentElement.scrollWidth`), "%s scrolls sideways", place)
		noViolations(t, p, place+" on a phone")
	}
	// Everything one taps on the beach is large enough (WCAG 2.2: 24 px).
	require.NoError(t, p.Click("Back"))
	small := eval[[]string](t, p, `[...document.querySelectorAll('.rail a, .rail button, .head button, .head .ant-select')]
		.filter((e) => { const r = e.getBoundingClientRect(); return r.width > 0 && (r.height < 24 || r.width < 24); }).map((e) =>
			e.innerText)`)
	assert.Empty(t, small)
	require.NoError(t, p.Click("Blank"))
	require.NoError(t, p.WaitText("Into the log"))
	noViolations(t, p, "quick entry on a phone")
}

func TestInGlareAndAtNight(t *testing.T) {
	for _, light := range []string{"glare", "night"} {
		p := signedIn(t, "wren", browser.Desk)
		_, err := browser.Eval[any](p, `localStorage.setItem('greypebble.light', '`+light+`')`)
		require.NoError(t, err)
		for _, path := range []string{"/water", "/tie-on", "/back", "/set-up/you"} {
			require.NoError(t, p.Go(path))
			if path == "/tie-on" {
				unfold(t, p)
			}
			require.NoError(t, p.Wait(`document.querySelector('.section svg, .choice, [data-spell], .sessions li')`))
			noViolations(t, p, path+" in "+light)
		}
	}
}

// What is entered while the server does not answer is kept here, and is in the log once
// when it does.
func TestNothingIsLostWhenTheServerFails(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Type("b"))
	require.NoError(t, p.WaitText("Into the log"))
	require.NoError(t, p.Click("Sought"))
	require.NoError(t, p.Click("Spotted seatrout"))
	require.NoError(t, p.Fill("Note", "the line was cut"))
	require.NoError(t, p.Signal(false))
	require.NoError(t, p.Click("Log the blank"))
	require.NoError(t, p.WaitText("Kept on this device"))
	require.NoError(t, p.WaitText("Kept here: 1."))
	require.NoError(t, p.Signal(true))
	require.NoError(t, p.Go("/back"))
	require.NoError(t, p.Wait(`document.querySelector('.back') && !document.querySelector('.unsent')`))
	require.NoError(t, p.Wait(`document.querySelectorAll('[data-spell]').length > 2`))
	n := eval[int](t, p, `fetch('/api/v1/spells?most=1000').then((r) => r.json()).then((d) => d.spells.filter((s) =>
		s.note === 'the line was cut').length)`)
	assert.Equal(t, 1, n)
}

// The first load stays within its budget of script: 350 kB gzip.
func TestFirstLoadIsSmall(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Go("/water"))
	require.NoError(t, p.Wait(`document.querySelector('.section svg')`))
	total := eval[float64](t, p, `performance.getEntriesByType('resource').filter((r) => r.name.endsWith('.js')).reduce((s, r) =>
		s + r.encodedBodySize, 0)`)
	assert.Positive(t, total)
	assert.LessOrEqual(t, total, 350_000.0)
	outside := eval[[]string](t, p, `performance.getEntriesByType('resource').map((r) => r.name).filter((n) =>
		!n.startsWith(location.origin))`)
	assert.Empty(t, outside, "nothing is fetched from elsewhere")
}

// handFile gives a table to the button that asks for a file.
func handFile(t *testing.T, p *browser.Page, button, name, text string) {
	t.Helper()
	handBytes(t, p, button, name, "text/csv", []byte(text))
}

// handBytes gives a file to the button that asks for one.
func handBytes(t *testing.T, p *browser.Page, button, name, kind string, raw []byte) {
	t.Helper()
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.file')].some((l) => l.innerText.includes('`+button+`'))`), "%s", button)
	_, err := browser.Eval[any](p, `(() => { const d = new DataTransfer();
		const bytes = Uint8Array.from(atob('`+base64.StdEncoding.EncodeToString(raw)+`'), (c) => c.charCodeAt(0));
		d.items.add(new File([bytes], '`+name+`', {type: '`+kind+`'}));
		const i = [...document.querySelectorAll('.file')].find((l) => l.innerText.includes('`+button+`')).querySelector('input');
			i.files = d.files; i.dispatchEvent(new Event('change', {bubbles: true})); return 1; })()`)
	require.NoError(t, err)
}

// A gauge record becomes a station that a water may follow.
func TestGaugeRecordBecomesAStation(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "waters/stations")
	require.NoError(t, p.WaitText("Tern Head"))
	hand := func(button, name, text string) { handFile(t, p, button, name, text) }
	give := func(text string) { hand("record", "harbour.csv", text) }
	hand("station", "bad.csv", "name,amplitude,phase_deg\nM2,1,1\n")
	require.NoError(t, p.WaitText("the unit is part of the name"))
	hand("station", "Far Point.csv", "name,amplitude_m,phase_deg\nZ0,1.1,0\nM2,0.7,12\nS2,0.2,40\n")
	require.NoError(t, p.WaitText("2 constituents, mean level 1.10 m above datum. Nothing is stored yet."))
	require.NoError(t, p.Click("Keep the station"))
	require.NoError(t, p.WaitText("Fallow Creek follows"))
	setUp(t, p, "waters/gauge")
	give("time,height_m\nyesterday,1\n")
	require.NoError(t, p.WaitText("line 2, column time: expected a time"))

	h, err := tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: 0.8, PhaseDeg: 77},
		{Name: "S2", AmplitudeM: 0.25, PhaseDeg: 99}}, 2.5)
	require.NoError(t, err)
	var b strings.Builder
	b.WriteString("time,height_m\n")
	for i := range 45 * 24 {
		at := testkit.Now.Add(time.Duration(i-46*24) * time.Hour)
		fmt.Fprintf(&b, "%s,%.3f\n", at.Format(time.RFC3339), h.Level(at))
	}
	give(b.String())
	require.NoError(t, p.WaitText("1080 readings"))
	text := eval[string](t, p, `document.querySelector('.analysis').innerText`)
	assert.Regexp(t, `M2\s+0\.80\d ± 0\.00\d\s+7[67]\.\d`, text)
	assert.Contains(t, text, "cannot be told from")
	noViolations(t, p, "set-up with an analysis")
	require.NoError(t, p.WaitText("Still wanted: where chart datum lies"))
	require.NoError(t, p.Fill("Chart datum above the gauge’s zero", "1.4"))
	require.NoError(t, p.Click("Keep as a station"))
	setUp(t, p, "waters/stations")
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.station')].some((e) => e.innerText.includes('harbour'))`))
	require.NoError(t, p.Click("Water"))
	require.NoError(t, p.Wait(`document.querySelector('.ribbon svg')`))
	before := level(t, p)
	setUp(t, p, "waters/stations")
	require.NoError(t, p.Click("Station of Fallow Creek"))
	require.NoError(t, p.Click("harbour"))
	require.NoError(t, p.Still())
	require.NoError(t, p.Click("Water"))
	require.NoError(t, p.Wait(`document.querySelector('.ribbon svg')`))
	was := strconv.Quote(fmt.Sprintf(" %.2f m", before))
	require.NoError(t, p.Wait(`!document.querySelector('.ribbon [role=slider]').getAttribute('aria-valuetext').includes(`+was+`)`))
}

// Today's surge: every depth and window follows, it shows as seen, and can be
// taken back.
func TestTheWaterStandsHigherThanPredicted(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	require.NoError(t, p.WaitText("Candle Bar"))
	require.NoError(t, p.Wait(`document.querySelector('[data-mark=edge] .depth')`))
	require.NoError(t, p.Wait(`document.querySelectorAll('.strip button').length >= 5`))
	before, edge := level(t, p), depth(t, p, "edge")
	chip := `[...document.querySelectorAll('.strip button')][0]`
	require.NoError(t, p.Click(eval[string](t, p, chip+`.querySelector('b').innerText`)))
	require.NoError(t, p.WaitText("% of a spring tide"))
	require.NoError(t, p.Fill("Higher than predicted by (lower: minus)", "0.4"))
	require.NoError(t, p.Click("So it stands at"))
	require.NoError(t, p.Wait(chip+`.className.includes('observed')`))
	assert.Contains(t, eval[string](t, p, chip+`.innerText`), "+0.40 m")
	require.NoError(t, p.Wait(`document.querySelector('[data-mark=edge] .depth').innerText !== `+strconv.Quote(edge)))
	assert.InDelta(t, before+0.4, level(t, p), 0.011)
	noViolations(t, p, "with a surge")
	require.NoError(t, p.Click(eval[string](t, p, chip+`.querySelector('b').innerText`)))
	require.NoError(t, p.Click("Back to the prediction"))
	require.NoError(t, p.Wait(`document.querySelector('[data-mark=edge] .depth').innerText === `+strconv.Quote(edge)))
	press(t, p, "Undo")
	require.NoError(t, p.Wait(chip+`.innerText.includes('+0.40 m')`))
}
