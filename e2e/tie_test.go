package e2e

import (
	"os"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

const firstChoice = `document.querySelector('.choices .choice-says')?.innerText ?? ''`

// press the button with a text, wherever it is scrolled to.
func press(t *testing.T, p *browser.Page, text string) {
	t.Helper()
	require.NoError(t, p.Wait(`[...document.querySelectorAll('button, summary')].some((b) => b.innerText.trim().startsWith('`+text+`'))`),
		text)
	_, err := browser.Eval[any](p, `([...document.querySelectorAll('button, summary')].find((b) =>
		b.innerText.trim().startsWith('`+text+`')).click(), 1)`)
	require.NoError(t, err)
}

// What one sees on the water, what one owns and which side one takes change what is
// offered; what would change it and what cannot work are said.
func TestTieOnFollowsSignsKitAndSides(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	choose(t, p, "Kettle Bar")
	require.NoError(t, p.Click("Tie on"))
	unfold(t, p)
	require.NoError(t, p.Wait(firstChoice+` !== ''`))
	edge := `Number(document.querySelector('.choices .choice-edge').innerText.slice(1))`
	plain := eval[float64](t, p, edge)
	press(t, p, "You see")
	require.NoError(t, p.Click("birds"))
	require.NoError(t, p.Wait(edge+` > `+ftoa(plain)), "birds raise the edge")
	require.NoError(t, p.Click("birds"))
	require.NoError(t, p.Wait(edge+` === `+ftoa(plain)))
	require.NoError(t, p.Fill("Fish show at", "0.4"))
	require.NoError(t, p.Wait(`document.querySelector('.seen > summary').innerText.includes('fish at 0.4 m')`))
	require.NoError(t, p.Fill("Fish show at", ""))
	require.NoError(t, p.Click("fish tailing"))
	require.NoError(t, p.Wait(`document.querySelector('.shown').innerText.includes('To the fish')`), "the cast is to the fish")
	require.NoError(t, p.Click("fish tailing"))
	require.NoError(t, p.Wait(edge+` === `+ftoa(plain)))

	// The kit of the demo's angler was asked first.
	assert.Contains(t, eval[string](t, p, `document.querySelector('.card-lines').innerText`), "Your kit")
	require.NoError(t, p.Click("Only what I have"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.choice').length > 0`))
	require.NoError(t, p.Click("Only what I have"))

	require.NoError(t, p.Wait(`document.querySelector('.thresholds')?.innerText.includes('cannot work') ||
		document.querySelector('.thresholds li')`))
	require.NoError(t, p.Wait(`document.querySelector('.sketch path')`), "the rig is drawn")
	noViolations(t, p, "tie on")

	// Another hook for today only.
	hooks := `document.querySelector('.how').innerText + document.querySelector('.card-lines').innerText`
	require.NoError(t, p.Wait(`(`+hooks+`).length > 0`))
	press(t, p, "Today")
	require.NoError(t, p.Wait(`document.querySelector('[data-school=Q10]')`))
	noViolations(t, p, "sides")
	assert.Equal(t, 12, eval[int](t, p, `document.querySelectorAll('.positions > li').length`))
	press(t, p, "Today")

	// Two choices side by side.
	press(t, p, "Compare with")
	require.NoError(t, p.WaitText("is laid aside"))
	require.NoError(t, p.Type("cut"))
	require.NoError(t, p.Type("\r"))
	require.NoError(t, p.Wait(`document.querySelector('.detail .compare tbody tr')`),
		"where it was asked, typed")
	picture(t, p, "compared")
	require.NoError(t, p.Click("close"))
	press(t, p, "Compare with")
	require.NoError(t, p.WaitText("is laid aside"))
	_, err := browser.Eval[any](p, `(document.querySelectorAll('.choice')[1].click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.querySelector('.compare tbody tr')`))
	assert.Regexp(t, `in favour of the (first|second)|As good as even`, eval[string](t, p,
		`document.querySelector('.compare h2').innerText`))
	assert.True(t, eval[bool](t, p, `!!document.querySelector('.compare .place .ink-other')`), "both on one sheet")
	noViolations(t, p, "compare")
	require.NoError(t, p.Click("close"))
	require.NoError(t, p.Wait(`!document.querySelector('.compare')`))

	// Several targets at once.
	press(t, p, "For")
	require.NoError(t, p.Click("several"))
	require.NoError(t, p.Click("Spotted seatrout"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.choice-target').length > 0`))
	require.NoError(t, p.Click("Spotted seatrout"))
	require.NoError(t, p.Click("one only"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.choice-target').length === 0`))
}

func TestRigsKnotsAndThePracticeFish(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Go("/tie-on/cards/double-dropper"))
	require.NoError(t, p.Wait(`document.querySelector('.one-card .sketch')?.textContent.includes('Pyramid sinker')`))
	noViolations(t, p, "rig card")
	// On paper there is the card and nothing else.
	require.NoError(t, p.OnPaper(true))
	seen := func(what string) bool {
		return eval[bool](t, p, `(document.querySelector('`+what+`')?.getBoundingClientRect().height ?? 0) > 0`)
	}
	assert.True(t, seen(".one-card"))
	assert.False(t, seen(".rail"))
	assert.False(t, seen(".foot"))
	assert.Equal(t, "visible", eval[string](t, p, `getComputedStyle(document.querySelector('.main')).overflowY`), "no page is cut off")
	if where := os.Getenv("PAPER"); where != "" {
		picture, err := p.Shot()
		require.NoError(t, err)
		require.NoError(t, os.WriteFile(where, picture, 0o600))
	}
	require.NoError(t, p.OnPaper(false))
	require.NoError(t, p.Go("/tie-on/cards/clinch"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.knot-steps .sketch').length === 4`))
	require.NoError(t, p.Go("/tie-on/cards/all"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.one-card').length > 30`))

	require.NoError(t, p.Go("/tie-on/bench/practice"))
	require.NoError(t, p.Wait(`document.querySelector('.practice-water .fish')`))
	x := eval[float64](t, p, `document.querySelector('.practice-water').getBoundingClientRect().left + 200`)
	y := eval[float64](t, p, `document.querySelector('.practice-water').getBoundingClientRect().top + 20`)
	require.NoError(t, p.Touch(x, y))
	require.NoError(t, p.WaitText("0 of 1 throws"))
	require.NoError(t, p.Wait(`document.querySelector('.bench-result').innerText.includes('beyond your reach')`))
	noViolations(t, p, "practice")
}

// A thing is entered from the list, changed, duplicated and taken out again.
func TestTheKitIsQuickToEnter(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "kit")
	require.NoError(t, p.WaitText("Nothing entered yet"))
	noViolations(t, p, "an empty kit")
	require.NoError(t, p.Pick("Add a thing", "Metal spoon"))
	require.NoError(t, p.Wait(`document.querySelector('.kit-form')`))
	require.NoError(t, p.Fill("Name", "The dented one"))
	press(t, p, "Keep")
	require.NoError(t, p.Wait(`document.querySelector('.kit-name b')?.innerText === 'The dented one'`))
	press(t, p, "Duplicate")
	require.NoError(t, p.Wait(`document.querySelectorAll('.kit-name').length === 2`))
	noViolations(t, p, "kit")
	for n := 1; n >= 0; n-- {
		if eval[bool](t, p, `!document.querySelector('.kit-form')`) {
			_, err := browser.Eval[any](p, `(document.querySelector('.kit-name').click(), 1)`)
			require.NoError(t, err)
		}
		press(t, p, "Take out")
		require.NoError(t, p.Wait(`document.querySelectorAll('.kit-name').length === `+strconv.Itoa(n)))
	}
}

// A rule of one's own is written, is in the playbook, and goes again.
func TestARuleOfOnesOwn(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "book/rules")
	press(t, p, "Write a rule of your own")
	require.NoError(t, p.Fill("What it says", "Under the old post"))
	require.NoError(t, p.Pick("Condition 1", "level"))
	require.NoError(t, p.Fill("above", "1"))
	noViolations(t, p, "own rule")
	press(t, p, "Add the rule")
	require.NoError(t, p.WaitText("Your rule is in the playbook"))
	row := `document.querySelector('[data-rule=under-the-old-post]')`
	require.NoError(t, p.Wait(row))
	_, err := browser.Eval[any](p, `(`+row+`.querySelector('details').open = true, 1)`)
	require.NoError(t, err)
	press(t, p, "Take it out")
	require.NoError(t, p.Wait(`!`+row))
	press(t, p, "Undo")
	require.NoError(t, p.Wait(row))
}

func TestTieOnOnAPhone(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	for _, path := range []string{"/tie-on", "/tie-on/cards/fish-finder", "/tie-on/bench/practice", "/set-up/kit"} {
		require.NoError(t, p.Go(path))
		if path == "/tie-on" {
			unfold(t, p)
		}
		require.NoError(t, p.Wait(`document.querySelector('.choice, .one-card .sketch, .practice-water .fish, .kit-name')`), path)
		assert.LessOrEqual(t, eval[int](t, p, `document.documentElement.scrollWidth`), 390, path)
	}
}

// unfold what is folded away under a reason not to go.
func unfold(t *testing.T, p *browser.Page) {
	t.Helper()
	require.NoError(t, p.Wait(`document.querySelector('.choices, .unfold')`))
	_, err := browser.Eval[any](p, `(document.querySelector('.unfold')?.click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.querySelector('.choices')`))
}

// The first answer and its drawing stand on the first screen, on a desk and on a phone, and are told to who
// cannot see them.
func TestTheFirstAnswerNeedsNoScrolling(t *testing.T) {
	for name, size := range map[string]browser.Size{"desk": browser.Desk, "phone": browser.Phone} {
		p := signedIn(t, "wren", size)
		choose(t, p, "Kettle Bar")
		require.NoError(t, p.Go("/tie-on"))
		require.NoError(t, p.Wait(`document.querySelector('.ribbon svg')`))
		require.NoError(t, p.Type(strings.Repeat(".", 28))) // the way is open
		require.NoError(t, p.Wait(`document.querySelector('.shown .place path') && !document.querySelector('.going.do-not')`), name)
		require.NoError(t, p.Still())
		assert.True(t, eval[bool](t, p, `(() => { const top = document.querySelector('.ribbon').getBoundingClientRect().top;
			const in_ = (s) => { const r = document.querySelector(s).getBoundingClientRect(); return r.top >= 0 && r.bottom <= top + 1; };
			return in_('.choices .choice') && in_('.shown > .place'); })()`), name)
		assert.Regexp(t, `^From the side: .* of water over the `, eval[string](t, p,
			`document.querySelector('.shown .place').getAttribute('aria-label')`), name)
	}
}

// What one would do oneself is weighed beside the advice; one's own limits decide what it begins with.
func TestMyWayAndMyLimits(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	choose(t, p, "Kettle Bar")
	require.NoError(t, p.Click("Tie on"))
	unfold(t, p)
	require.NoError(t, p.Wait(firstChoice+` !== ''`))
	assert.Contains(t, eval[string](t, p, `document.querySelector('.parts').innerText`), "are they eating?")
	assert.Contains(t, eval[string](t, p, `document.querySelector('.expected').innerText`), "fish a rod-hour")
	assert.Contains(t, eval[string](t, p, `document.querySelector('.choice').innerText`), "the next")
	press(t, p, "And if I do it my way?")
	require.NoError(t, p.Pick("What", "Live finger mullet"))
	require.NoError(t, p.Click("What is it worth?"))
	require.NoError(t, p.WaitText("Your way:"))
	require.NoError(t, p.Wait(`document.querySelector('.detail h1').innerText.includes('Live finger mullet')`))
	noViolations(t, p, "my way")
	// It is laid aside and compared as it was typed, the rig with it.
	press(t, p, "Compare with")
	require.NoError(t, p.WaitText("is laid aside"))
	_, err := browser.Eval[any](p, `(document.querySelector('.choices .choice').click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.querySelector('.compare')?.innerText.includes('Live finger mullet')`))
	noViolations(t, p, "my way compared")
	require.NoError(t, p.Click("close"))

	setUp(t, p, "limits")
	require.NoError(t, p.Wait(`document.querySelector('.limits')`))
	require.NoError(t, p.Fill("Depth on the way, wading: do not go", "0.1"))
	require.NoError(t, p.Fill("Depth on the way, wading: think again", "0.05"))
	require.NoError(t, p.Click("Keep my limits"))
	require.NoError(t, p.WaitText("Your limits are kept."))
	noViolations(t, p, "limits")
	require.NoError(t, p.Click("Tie on"))
	require.NoError(t, p.WaitText("Do not wade"))
	setUp(t, p, "limits")
	require.NoError(t, p.Click("Back to the usual"))
	require.NoError(t, p.WaitText("Taken out: Your limits."))
}

func ftoa(x float64) string { return strconv.FormatFloat(x, 'f', -1, 64) }

// A side taken in Set-up is kept, and is taken back.
func TestASideIsTakenForGood(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "book/schools")
	side := `document.querySelector('.schools [data-school=Q6]')`
	require.NoError(t, p.Wait(side))
	assert.Contains(t, eval[string](t, p, side+`.innerText`), "The pilings gain.")
	require.NoError(t, p.Pick("On a pier:", "as far as you can"))
	require.NoError(t, p.Wait(side+`.innerText.includes('Marks away from the pilings gain.')`))
	require.NoError(t, p.Go("/set-up/book/schools"))
	require.NoError(t, p.Wait(side+`?.innerText.includes('Marks away from the pilings gain.')`), "it is kept")
	require.NoError(t, p.Pick("On a pier:", "beneath your feet (usual)"))
	require.NoError(t, p.Wait(side+`.innerText.includes('The pilings gain.')`))
}

// A target is copied under another name, can be sought, and goes again.
func TestATargetOfOnesOwn(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "book/targets")
	panel := `document.querySelector('.targets-panel')`
	require.NoError(t, p.Wait(panel))
	name := `[...` + panel + `.querySelectorAll('label')].find((l) => l.innerText.startsWith('Name')).querySelector('input')`
	_, err := browser.Eval[any](p, `(`+name+`.scrollIntoView({block: 'center'}), `+name+`.focus(), `+name+`.select(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Type("Pebble drum"))
	press(t, p, "Add Pebble drum")
	require.NoError(t, p.WaitText("Pebble drum is kept."))
	require.NoError(t, p.Wait(panel+`.innerText.includes('Pebble drum (yours)')`))
	require.NoError(t, p.Go("/tie-on"))
	require.NoError(t, p.Wait(firstChoice+` !== ''`))
	assert.True(t, eval[bool](t, p, `fetch('/api/v1/targets').then((r) => r.json()).then((l) => l.some((k) => k.id === 'pebble-drum'))`))
	require.NoError(t, p.Go("/set-up/book/targets"))
	require.NoError(t, p.Wait(panel))
	require.NoError(t, p.Fill("Target to read or change", "Pebble\r"))
	require.NoError(t, p.Wait(panel+`.innerText.includes('Pebble drum (yours)')`))
	press(t, p, "Take out")
	yours := `fetch('/api/v1/targets').then((r) => r.json()).then((l) => l.some((k) => k.id === 'pebble-drum'))`
	require.NoError(t, p.WaitText("Taken out: Pebble drum."))
	assert.False(t, eval[bool](t, p, yours))
	press(t, p, "Undo")
	require.NoError(t, p.Wait(yours))
}

// A kit comes in from a table; a table that is wrong says where, and nothing is kept.
func TestAKitFromATable(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "kit")
	require.NoError(t, p.WaitText("Nothing entered yet"))
	handFile(t, p, "Add from CSV", "kit.csv", "kind,name,weight_kg\nhead,Half ounce,0.014\nhead,Broken,heavy\n")
	require.NoError(t, p.WaitText("line 3, column weight_kg"))
	assert.Zero(t, eval[int](t, p, `document.querySelectorAll('.kit-name').length`))
	handFile(t, p, "Add from CSV", "kit.csv", "kind,name,weight_kg\nhead,Half ounce,0.014\nhead,Eighth,0.0035\n")
	require.NoError(t, p.Wait(`document.querySelectorAll('.kit-name').length === 2`))
	assert.Contains(t, eval[string](t, p, `document.querySelector('.kit').innerText`), "14 g")
}
