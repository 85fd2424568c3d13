package e2e

import (
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// Two lures compared: what it showed in words, as the fish and the hours are typed; what it takes before one begins.
func TestTwoLuresCompared(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Click("Back"))
	require.NoError(t, p.Click("Two lures compared"))
	require.NoError(t, p.WaitText("Fish and hours of both say what it showed."))
	// The fields of the second arm are those after the first's, by the keyboard.
	require.NoError(t, p.Fill("What, the one", "black"))
	require.NoError(t, p.Type("\t4\t1.5\t9\tchrome\t3\t1.5\t"))
	require.NoError(t, p.WaitText("This shows nothing yet: ×1.3 as many an hour on black"))
	require.NoError(t, p.WaitText("To tell ×2.0: about"))
	require.NoError(t, p.Still())
	picture(t, p, "compare")
	noViolations(t, p, "two lures compared")
	require.NoError(t, p.Fill("Fish landed", "13"))
	require.NoError(t, p.Type("\t"))
	require.NoError(t, p.WaitText("black brought ×4.3 as many an hour as chrome"))
	assert.Equal(t, 7, eval[int](t, p, `document.querySelectorAll('.compare-ratio text').length`))
	require.NoError(t, p.Click("The log"))
	require.NoError(t, p.WaitText("Catches"))

	phone := signedIn(t, "wren", browser.Phone)
	require.NoError(t, phone.Go("/back/compare"))
	require.NoError(t, phone.WaitText("Before you begin"))
	assert.LessOrEqual(t, eval[int](t, phone, `document.documentElement.scrollWidth`), 390)
}

// What the log says of what is said: by the target of the last spell at first, another when it is chosen; each rule twice
// on one scale, with the sentence that says the same; nothing where nothing was logged.
func TestWhatTheLogSaysOfWhatIsSaid(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Click("Back"))
	require.NoError(t, p.Click("What your log says of what is said"))
	require.NoError(t, p.Wait(`document.querySelector('.evidence-rules li')`))
	require.NoError(t, p.Pick("Target", "Red drum"))
	require.NoError(t, p.Wait(`/spells?, \d+ caught in/.test(document.querySelector('.evidence .sum')?.innerText)`))
	require.NoError(t, p.Still())
	picture(t, p, "evidence")
	noViolations(t, p, "evidence")
	assert.Equal(t, 2*eval[int](t, p, `document.querySelectorAll('.evidence-rules li').length`),
		eval[int](t, p, `document.querySelectorAll('.evidence-rules .whisker').length`))
	assert.Regexp(t, `Said ×.*; your .* says? ×`, eval[string](t, p, `document.querySelector('.evidence-rules li').innerText`))
	// Behind a rule stand its spells; against a condition the catch, in words too; and what would tell becomes a plan.
	require.NoError(t, p.Wait(`(document.querySelector('.behind summary').click(), document.querySelector('.behind tbody tr'))`))
	require.NoError(t, p.Wait(`document.querySelector('.curve .line')`))
	require.NoError(t, p.Pick("Against", "hour of the day"))
	require.NoError(t, p.Wait(`/: most at \d\d/.test(document.querySelector('.curves').innerText)`))
	require.NoError(t, p.Wait(`(document.querySelector('.curves').scrollIntoView({block: 'center'}), true)`))
	require.NoError(t, p.Still())
	picture(t, p, "evidence-curves")
	noViolations(t, p, "curves")
	require.NoError(t, p.WaitText("Was the advice right?"))
	require.NoError(t, p.WaitText("Of ten counts"))
	require.NoError(t, p.Pick("Target", "Weakfish"))
	require.NoError(t, p.WaitText("Nothing logged of Weakfish yet"))
	require.NoError(t, p.Pick("Target", "Red drum"))
	require.NoError(t, p.WaitText("What would tell"))
	require.NoError(t, p.Wait(`(document.querySelector('.evidence-lessons').scrollIntoView({block: 'center'}), true)`))
	require.NoError(t, p.Still())
	picture(t, p, "evidence-lessons")
	require.NoError(t, p.Click("Make it a plan"))
	require.NoError(t, p.WaitText("To learn: "))

	phone := signedIn(t, "wren", browser.Phone)
	require.NoError(t, phone.Go("/back/evidence"))
	require.NoError(t, phone.Wait(`document.querySelector('.evidence-rules li')`))
	require.NoError(t, phone.Still())
	picture(t, phone, "evidence-phone")
	assert.LessOrEqual(t, eval[int](t, phone, `document.documentElement.scrollWidth`), 390)
}

// Advice goes by the log; by the book where that is asked, or by both, each choice with both edges on one scale.
func TestAdviceByLogOrBook(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Click("Tie on"))
	require.NoError(t, p.Wait(`document.querySelector('.choice-says')`))
	require.NoError(t, p.Pick("Go by", "log and book"))
	require.NoError(t, p.WaitText("by the book ×"))
	require.NoError(t, p.Still())
	picture(t, p, "tie-log-and-book")
	noViolations(t, p, "by log and book")
	first := eval[[]string](t, p, `[document.querySelector('.choice-edge').innerText, document.querySelector('.choice-book').innerText]`)
	assert.NotContains(t, first[1], first[0], "wren's log moved something")
	require.NoError(t, p.Pick("Go by", "the book"))
	require.NoError(t, p.Wait(`!document.querySelector('.choice-book')`))
	require.NoError(t, p.Pick("Go by", "your log"))
	require.NoError(t, p.Wait(`document.querySelector('.choice-edge').innerText === `+strconv.Quote(first[0])))
}
