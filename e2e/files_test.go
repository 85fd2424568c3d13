package e2e

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// A table with columns of its own comes in: its columns are mapped, its names are asked about, and it is taken back.
func TestATableOfOnesOwnIsTakenInAndBack(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Go("/back"))
	require.NoError(t, p.Click("In and out"))
	require.NoError(t, p.WaitText("A log of your own, taken in"))
	table := "When,Until,Water,Caught,Inches,Lure\n" +
		"11/18/2026 6:40 am,9:10 am,Kettle Bar,red drum,27.5,gold spoon\n" +
		"11/18/2026 6:40 am,9:10 am,Kettle Bar,pinfish,,gold spoon\n" +
		"11/17/2026 6:40 am,9:10 am,the old bar,red drum,22,gold spoon\n" +
		"11/16/2026 6:40 am,,Kettle Bar,,,gold spoon\n"
	handFile(t, p, "Choose a file", "mine.csv", table)
	require.NoError(t, p.WaitText("Which column is which"))
	for column, is := range map[string]string{"When": "time", "Until": "ended at", "Water": "spot", "Caught": "species",
		"Inches": "length in", "Lure": "offering"} {
		require.NoError(t, p.Pick(column+" is", is))
	}
	require.NoError(t, p.Still())
	picture(t, p, "log-mapped")
	noViolations(t, p, "columns of a log")
	require.NoError(t, p.Click("Read it so"))
	require.NoError(t, p.WaitText("What mine.csv would do"))
	require.NoError(t, p.WaitText("cannot be read"))
	require.NoError(t, p.Pick("Sought, where a line does not say", "Red drum"))
	require.NoError(t, p.Fill("Hours fished, where a line does not say", "2"))
	require.NoError(t, p.Pick("The spot “the old bar” is", "Kettle Bar"))
	require.NoError(t, p.Pick("The fish “pinfish” is", "another fish, none of these"))
	require.NoError(t, p.WaitText("3 new spells"))
	require.NoError(t, p.WaitText("Of 1 the hours are reckoned"))
	require.NoError(t, p.Still())
	picture(t, p, "log-coming")
	noViolations(t, p, "what a file would do")
	require.NoError(t, p.Click("Take 3 spells into the log"))
	require.NoError(t, p.WaitText("Taken in before"))
	require.NoError(t, p.WaitText("3 spells"))

	// Sent again it is known, columns, names and all.
	handFile(t, p, "Choose a file", "mine.csv", table)
	require.NoError(t, p.WaitText("What mine.csv would do"))
	require.NoError(t, p.Pick("Sought, where a line does not say", "Red drum"))
	require.NoError(t, p.Fill("Hours fished, where a line does not say", "2"))
	require.NoError(t, p.WaitText("3 are in the log already and left out"))
	require.NoError(t, p.Click("Leave it"))
	require.NoError(t, p.Click("Take mine.csv back"))
	require.NoError(t, p.WaitText("3 spells of mine.csv went"))
	require.NoError(t, p.Still())
	picture(t, p, "log-files")

	phone := signedIn(t, "wren", browser.Phone)
	require.NoError(t, phone.Go("/back/files"))
	handFile(t, phone, "Choose a file", "mine.csv", "spot,time,hours,target\n"+
		"Kettle Bar,2026-11-18 06:40,2,red drum\n")
	require.NoError(t, phone.WaitText("1 new spell"))
	require.NoError(t, phone.Still())
	picture(t, phone, "log-coming-phone")
	assert.LessOrEqual(t, eval[int](t, phone, `document.documentElement.scrollWidth`), 390)
}

// A fish is logged with its photo; what the camera wrote is kept only where one says so; what was seen without fishing
// stands beside.
func TestAFishWithItsPhotoAndWhatWasSeen(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Go("/back?outcome=catch"))
	require.NoError(t, p.Wait(`(() => { const d = document.querySelector('li[data-blank=false] details');
		if (d) d.open = true; return d; })()`))
	require.NoError(t, p.Click("more of it"))
	require.NoError(t, p.Click("Keep when, where and which way it was taken, for me alone"))
	handBytes(t, p, "Add a photo", "fish.jpg", "image/jpeg", testkit.APhoto())
	require.NoError(t, p.Wait(`document.querySelector('.photo-thumb img')?.naturalWidth > 0`))
	require.NoError(t, p.Wait(`(document.querySelector('.photo-thumb').click(),
		document.querySelector('.photo-sheet[open] img')?.naturalWidth > 600)`))
	require.NoError(t, p.WaitText("looking 180° from north"))
	require.NoError(t, p.Still())
	picture(t, p, "photo")
	noViolations(t, p, "a photo of a fish")
	require.NoError(t, p.Click("Close"))
	require.NoError(t, p.Pick("Fish", "another fish, none of these"))
	require.NoError(t, p.Fill("Its name", "pinfish"))
	require.NoError(t, p.Wait(`([...document.querySelectorAll('.catch-more .act')].at(-1).click(), true)`))
	require.NoError(t, p.WaitText("1 pinfish"))
	require.NoError(t, p.Wait(`!document.querySelector('.catch-more')`))
	require.NoError(t, p.Wait(`(() => {
		const all = [...document.querySelectorAll('li[data-blank=false] details[open] button')];
		const b = all.find((b) => b.innerText === 'more of it'); b?.click(); return !!b; })()`))
	handBytes(t, p, "Add a photo", "fish.heic", "image/heic", []byte("\x00\x00\x00\x18ftypheic\x00\x00\x00\x00"))
	require.NoError(t, p.WaitText("HEIC photo"))

	require.NoError(t, p.Click("Write down what you saw without fishing"))
	require.NoError(t, p.Click("birds"))
	require.NoError(t, p.Click("a run"))
	require.NoError(t, p.Fill("Where it went, what else", "Terns over the bar, going east."))
	require.NoError(t, p.Still())
	picture(t, p, "sighting-form")
	noViolations(t, p, "a sighting is written")
	require.NoError(t, p.Wait(`(document.querySelector('.sighting-form button[type=submit]').click(), true)`))
	require.NoError(t, p.WaitText("It is written down."))
	require.NoError(t, p.Go("/back"))
	require.NoError(t, p.WaitText("Birds, a run"))
	require.NoError(t, p.Still())
	picture(t, p, "sightings")
}
