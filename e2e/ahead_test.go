package e2e

import (
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

const firstWindow = `document.querySelector('.window-list button')`

// One lands on what the coming days hold: what to think of now, every spot hour by hour, and the
// windows; a window or an hour that is touched is where one then is.
func TestOneLandsOnWhatIsAhead(t *testing.T) {
	name := kit.Newcomer(t, "wren", testkit.NoLog)
	p := open(t, browser.Desk)
	require.NoError(t, p.SignIn(name, demo.Password))
	require.NoError(t, p.Wait(`location.pathname === '/ahead'`))
	require.NoError(t, p.Wait(firstWindow))
	require.NoError(t, p.Still())
	assert.Regexp(t, `^(Now|Next)`, eval[string](t, p, `document.querySelector('h1').innerText`))
	rows := `[...document.querySelectorAll('.fortnight-row[data-spot]')].map((r) => r.dataset.spot)`
	all := eval[[]string](t, p, rows)
	assert.Len(t, all, eval[int](t, p, `fetch('/api/v1/spots').then((r) => r.json()).then((l) => l.length)`))
	assert.Equal(t, "Lantern Lake", all[len(all)-1], "what stays shut comes last")
	noViolations(t, p, "ahead")

	// Another fish: the rows follow, and the windows are for it.
	require.NoError(t, p.Fill("For which fish", "Florida pom\r"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.window-what')].every((w) => w.innerText.includes('Florida pompano'))`))
	assert.Contains(t, []string{"Long Strand", "Cutwater Pier", "Stone Arm"}, eval[[]string](t, p, rows)[0])
	require.NoError(t, p.Type("\x1b"))

	// At weekends only.
	require.NoError(t, p.Click("weekends"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.window-when b')].every((w) => /^S(at|un)/.test(w.innerText))`))
	require.NoError(t, p.Click("weekends"))

	// An hour that is touched says what is on then, and how sure that is.
	_, err := browser.Eval[any](p, `(() => { const c = document.querySelector('.skyline canvas'), r = c.getBoundingClientRect();
		c.dispatchEvent(new MouseEvent('click', { bubbles: true, clientX: r.left + r.width * 0.9, clientY: r.top + 9 })); return 1; })()`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.querySelector('.hour-opened')?.innerText.includes('four times in five')`))
	require.NoError(t, p.Still())
	assert.Regexp(t, `^(Long Strand|Cutwater Pier|Stone Arm), \w+ \d+ \w+ \d\d:\d\d\. .*Florida pompano ×`,
		eval[string](t, p, `document.querySelector('.hour-opened').innerText`))

	// With somebody who stays dry, what is waded to is left out; it is said what narrows the days.
	require.NoError(t, p.Click("However far, by any way, with anybody"))
	require.NoError(t, p.Click("someone who stays dry"))
	require.NoError(t, p.WaitText("someone who stays dry"))
	require.NoError(t, p.Still())
	assert.Equal(t, "someone who stays dry", eval[string](t, p, `document.querySelector('.ask-when summary').innerText`))
	_, err = browser.Eval[any](p, `(document.querySelector('.ask-when [aria-pressed="true"]').click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.querySelector('.ask-when summary').innerText.startsWith('However far')`))
	require.NoError(t, p.Click("However far, by any way, with anybody"))
	require.NoError(t, p.Still())

	// They go into a calendar as they are asked for.
	assert.Contains(t, eval[string](t, p, `fetch(document.querySelector('a[download="windows.ics"]').href).then((r) => r.text())`),
		"Florida pompano at ")

	// A window opens to what is said of it, and is where and when one then is.
	require.NoError(t, p.Still())
	told := strings.Fields(eval[string](t, p, firstWindow+`.innerText`))
	_, err = browser.Eval[any](p, `(`+firstWindow+`.click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.querySelector('.window-opened')?.innerText.includes('fish a rod-hour')`))
	noViolations(t, p, "a window opened")
	best := told[3][:5] // Wed 25 Nov 06:20–07:20
	require.NoError(t, p.Wait(`document.querySelector('.head-moment').innerText.includes('`+best+`')`))
	require.NoError(t, p.Click("What to tie on then"))
	require.NoError(t, p.Wait(`location.pathname === '/tie-on'`))
	require.NoError(t, p.Wait(`document.querySelector('main').innerText.includes('Florida pompano')`))
	assert.Contains(t, eval[string](t, p, `document.querySelector('.head-moment').innerText`), best)

	// An hour touched in a row that is shut then says so.
	require.NoError(t, p.Click("Ahead"))
	require.NoError(t, p.Wait(`document.querySelector('[data-spot="Lantern Lake"] canvas')`))
	require.NoError(t, p.Still())
	_, err = browser.Eval[any](p, `(document.querySelector('[data-spot="Lantern Lake"] canvas').dispatchEvent(
		new MouseEvent('click', {bubbles: true, clientX: 600})), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`/^Lantern Lake, .*A rule or its hours close it/.test(document.querySelector(".hour-opened")?.innerText)`))
	require.NoError(t, p.Wait(`document.querySelector('.head-spot').innerText.includes('Lantern Lake')`))
}

// A day is laid over several spots, in three ways that differ by place; a leg leads on to what to tie on.
func TestADayIsPlanned(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Click("Ahead"))
	require.NoError(t, p.Wait(firstWindow))
	require.NoError(t, p.Still())
	require.NoError(t, p.Pick("Spots at most", "3"))
	require.NoError(t, p.Click("Plan it"))
	plans := `document.querySelectorAll('.day-plans > li')`
	require.NoError(t, p.Wait(plans+`.length === 3`))
	assert.Regexp(t, `^Leave at \d\d:\d\d, back by \d\d:\d\d: as good as \d+ ordinary hours`,
		eval[string](t, p, plans+`[0].innerText`))
	picture(t, p, "plans")
	noViolations(t, p, "a day planned")
	require.NoError(t, p.Pick("Getting about", "by boat"))
	require.NoError(t, p.Click("Plan it"))
	require.NoError(t, p.WaitText("Allow more of them, another way to go, or other spots"), "no spot of this coast is reached by boat")
	require.NoError(t, p.Pick("Getting about", "as each is reached"))
	require.NoError(t, p.Click("Plan it"))
	require.NoError(t, p.Wait(plans+`.length === 3`))
	leg := eval[string](t, p, plans+`[0].querySelector('li').innerText`)
	require.NoError(t, p.Click("what to tie on"))
	require.NoError(t, p.Wait(`location.pathname === '/tie-on'`))
	spot := eval[string](t, p, `document.querySelector('.head-spot').innerText`)
	assert.Contains(t, leg, strings.TrimSpace(spot))
	assert.Contains(t, leg, eval[string](t, p, `document.querySelector('.head-moment b').innerText`))
}

// On a phone it is the windows, best first, and nothing is cut off.
func TestAheadOnAPhone(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	require.NoError(t, p.Click("Ahead"))
	require.NoError(t, p.Wait(firstWindow))
	require.NoError(t, p.Still())
	assert.Zero(t, eval[int](t, p, `document.querySelectorAll('canvas').length`))
	assert.Equal(t, 390, eval[int](t, p, `document.documentElement.scrollWidth`))
	small := eval[[]string](t, p, `[...document.querySelectorAll('.rail a, .rail button, .window-list button, .ahead .act')]
		.filter((e) => e.getBoundingClientRect().height < 44 || e.getBoundingClientRect().width < 44).map((e) => e.innerText)`)
	assert.Empty(t, small, "a thumb hits them")
	noViolations(t, p, "ahead on a phone")
	require.NoError(t, p.Click("The water there"))
	require.NoError(t, p.Wait(`location.pathname === '/water'`))
}

// A newcomer reads where to go on Saturday, plans a day over two spots, moves a stay, prints the sheet
// and takes the day as a calendar; changed and taken again it is the same event with a higher number.
func TestADayIsPlannedMovedPrintedAndCarried(t *testing.T) {
	name := kit.Newcomer(t, "wren", testkit.NoLog)
	p := open(t, browser.Desk)
	require.NoError(t, p.SignIn(name, demo.Password))
	require.NoError(t, p.Wait(firstWindow))
	require.NoError(t, p.Still())
	require.NoError(t, p.Click("weekends"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.window-when b')].every((w) => /^S(at|un)/.test(w.innerText))`))
	require.NoError(t, p.Still())
	assert.Contains(t, eval[string](t, p, `document.querySelector('.window-list').innerText`), "Sat 21 Nov")
	require.NoError(t, p.Click("Plan it"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.day-plans > li').length === 3`))
	two := `[...document.querySelectorAll('.day-plans > li')].find((l) => l.querySelectorAll('li').length === 2)`
	require.True(t, eval[bool](t, p, `!!`+two), "one of the three is over two spots")
	_, err := browser.Eval[any](p, `(`+two+`.querySelector('.ant-btn').click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.querySelectorAll('.day-stops > li').length === 2`))
	require.NoError(t, p.Still())
	picture(t, p, "plan")
	noViolations(t, p, "a plan")
	assert.NotEmpty(t, eval[string](t, p, `document.querySelector('.day-tell pre').innerText`))
	uid, first := calendarOf(t, p)

	// By the hand: its end is drawn an hour to the left. It stays there, and is kept.
	stay := `document.querySelectorAll('.day-line-leg')[1]`
	before := eval[string](t, p, stay+`.getAttribute('aria-valuetext')`)
	at := eval[struct{ X, Y, Hour float64 }](t, p, `(() => { const r = `+stay+`.querySelector('i').getBoundingClientRect();
		return { x: r.left + r.width / 2, y: r.top + r.height / 2, hour: document.querySelector('.day-line-track').clientWidth / 12 };
	})()`)
	require.NoError(t, p.Drag(at.X, at.Y, at.X-at.Hour, at.Y))
	set := `document.querySelector('.day-line-leg.pinned')?.getAttribute('aria-valuetext')`
	require.NoError(t, p.Wait(set))
	require.NoError(t, p.Still())
	after := eval[string](t, p, set)
	assert.Equal(t, before[:5], after[:5], "it begins when it did")
	assert.NotEqual(t, before, after)
	assert.Contains(t, eval[string](t, p, `document.querySelector('.day-sheet').innerText`), after)
	again, second := calendarOf(t, p)
	assert.Equal(t, uid, again)
	assert.Greater(t, second, first)

	// By the keys: all of it half an hour later.
	_, err = browser.Eval[any](p, `(document.querySelector('.day-line-leg.pinned').focus(), 1)`)
	require.NoError(t, err)
	for range 3 {
		require.NoError(t, p.Type(kb.ArrowRight))
	}
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.Wait(set+` && `+set+` !== '`+after+`'`))
	require.NoError(t, p.Still())
	_, third := calendarOf(t, p)
	assert.Greater(t, third, second)

	// What cannot be is told, and nothing is changed by it.
	_, err = browser.Eval[any](p, `(document.querySelector('.day-line-leg.pinned').focus(), 1)`)
	require.NoError(t, err)
	for range 30 {
		require.NoError(t, p.Type(kb.ArrowLeft))
	}
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.WaitText("What you set cannot be kept: "))

	// A spot that is not wanted is left out, and can be let in again.
	require.NoError(t, p.Click("Not there"))
	require.NoError(t, p.WaitText("Allow all spots again"))
	require.NoError(t, p.Still())

	// Whom to tell goes on to the sheet.
	require.NoError(t, p.Fill("Who is told where you go, and how they are reached", "Reed, at home"))
	require.NoError(t, p.Click("Keep that"))
	require.NoError(t, p.Wait(`document.querySelector('.day-tell pre')?.innerText.startsWith('For Reed, at home')`))

	// Kept on the device it is a page by itself: nothing is fetched, nothing runs, nothing is to be pressed.
	_, err = browser.Eval[any](p, `(URL.createObjectURL = (b) => { b.text().then((t) => { window.keptSheet = t; });
		return 'blob:kept'; }, 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Click("Keep it on this device, to read without signal"))
	require.NoError(t, p.Wait(`window.keptSheet`))
	alone := eval[struct {
		Says                     string
		Scripts, Buttons, Height int
	}](t, p, `(() => { const f = document.body.appendChild(document.createElement('iframe'));
		f.contentDocument.write(window.keptSheet);
		const d = f.contentDocument, out = { says: d.body.innerText, scripts: d.scripts.length,
			buttons: d.querySelectorAll('button, link, img').length, height: d.querySelector('.day-sheet').clientHeight };
		f.remove(); return out; })()`)
	assert.Contains(t, alone.Says, "For Reed, at home")
	assert.Contains(t, alone.Says, "What would spoil it")
	assert.Zero(t, alone.Scripts+alone.Buttons)
	assert.Positive(t, alone.Height)

	// On paper there is the sheet and nothing to press.
	require.NoError(t, p.OnPaper(true))
	shown := `[...document.querySelectorAll('.rail, .plan-head, .head, .day-sheet button')]
		.filter((e) => e.getClientRects().length > 0).length`
	assert.Zero(t, eval[int](t, p, shown))
	assert.True(t, eval[bool](t, p, `document.querySelector('.day-sheet').getClientRects().length > 0`))
	picture(t, p, "sheet-print")
	require.NoError(t, p.OnPaper(false))

	// Removed, it can be called back; it is on the list again.
	require.NoError(t, p.Click("Remove the plan"))
	require.NoError(t, p.Wait(`location.pathname === '/ahead'`))
	require.NoError(t, p.Click("Undo"))
	require.NoError(t, p.Wait(`document.querySelector('.plan-list a')`))
	_, err = browser.Eval[any](p, `(document.querySelector('.plan-list a').click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.querySelector('.day-sheet')`))
}

// calendarOf the plan on screen: its event's UID and number.
func calendarOf(t *testing.T, p *browser.Page) (uid string, sequence int) {
	t.Helper()
	text := eval[string](t, p, `fetch(document.querySelector('a[download="plan.ics"]').href).then((r) => r.text())`)
	u := regexp.MustCompile(`UID:(\S+)`).FindStringSubmatch(text)
	s := regexp.MustCompile(`SEQUENCE:(\d+)`).FindStringSubmatch(text)
	require.NotNil(t, u)
	require.NotNil(t, s)
	sequence, err := strconv.Atoi(s[1])
	require.NoError(t, err)
	return u[1], sequence
}

// The way from where one sets out is counted, and remembered on the device.
func TestTheWayFromHomeIsCounted(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Click("Ahead"))
	require.NoError(t, p.Wait(firstWindow))
	require.NoError(t, p.Still())
	require.NoError(t, p.Fill("Set out from", "somewhere\t"))
	require.NoError(t, p.WaitText("Two numbers in degrees"))
	require.NoError(t, p.Fill("Set out from", "31.3, -45.1\t"))
	require.NoError(t, p.Pick("Getting about", "by car"))
	require.NoError(t, p.Click("Plan it"))
	plan := `document.querySelector('.day-plans > li')`
	require.NoError(t, p.Wait(plan))
	minutes := func(text string) int {
		found := regexp.MustCompile(`(\d\d):(\d\d)`).FindStringSubmatch(text)
		require.NotNil(t, found, text)
		h, _ := strconv.Atoi(found[1])
		m, _ := strconv.Atoi(found[2])
		return 60*h + m
	}
	leave := minutes(eval[string](t, p, plan+`.querySelector('b').innerText`))
	arrive := minutes(eval[string](t, p, plan+`.querySelector('li').innerText`))
	assert.GreaterOrEqual(t, arrive-leave, 30, "a drive of ten kilometres and more, and the packing")
	picture(t, p, "home")
	require.NoError(t, p.Go("/ahead"))
	require.NoError(t, p.Wait(firstWindow))
	assert.Equal(t, "31.30000, -45.10000", eval[string](t, p, `document.querySelector('.day-home input').value`))
}

// With the server gone, what was worked out stays to be read and it is said that it is older; with the
// server back it is asked anew.
func TestAheadWithoutTheServer(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	require.NoError(t, p.Go("/ahead"))
	require.NoError(t, p.Wait(firstWindow))
	require.NoError(t, p.Still())
	windows := `document.querySelectorAll('.window-list > li').length`
	had := eval[int](t, p, windows)
	require.NoError(t, p.Signal(false))
	require.NoError(t, p.Click("at any hour, ×1.2 or better"))
	require.NoError(t, p.Click("weekends"))
	require.NoError(t, p.WaitText("What stands below was worked out before that."))
	assert.Equal(t, had, eval[int](t, p, windows))
	noViolations(t, p, "ahead without the server")
	require.NoError(t, p.Signal(true))
	require.NoError(t, p.Click("by day"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.window-when b')].every((w) => /^S(at|un)/.test(w.innerText))`))
	require.NoError(t, p.Wait(`!document.body.innerText.includes('What stands below')`))
}
