package e2e

import (
	"fmt"
	"net/http"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// closing the whole sound, as a club passes it on.
const closing = `bylaws:
  - name: Sound nursery
    authority: Sedge Coast Fishery Board
    species: [any]
    status: closed
    area: the sound
    ring: 30 -46; 32 -46; 32 -44; 30 -44
    seasons: [11-15 to 12-15]
    source: Leaflet 5
    checked: 2026-06-02
`

// packed is that the device holds a pack with the rules that were just entered.
const packed = `(async () => {
	const db = await new Promise((done) => { const r = indexedDB.open('greypebble'); r.onsuccess = () => done(r.result); });
	const packs = db.transaction('packs').objectStore('packs');
	const all = await new Promise((done) => { const q = packs.getAll(); q.onsuccess = () => done(q.result); });
	db.close();
	window.packed = JSON.stringify(all).includes('Leaflet');
})(), window.packed === true`

// A season is entered as a sentence; with no signal a fish is judged at the margin, the bag fills, and it is said.
func TestAFishIsJudgedWithNoSignal(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	require.NoError(t, p.Go("/set-up/bylaws"))
	require.NoError(t, p.WaitText("Nothing is entered yet"))
	require.NoError(t, p.Click("Enter a rule"))
	require.NoError(t, p.Fill("Authority", "Sedge Coast Fishery Board"))
	require.NoError(t, p.Pick("Which fish", "Red drum"))
	require.NoError(t, p.Click("Add a season"))
	require.NoError(t, p.Fill("From 1", "11-01"))
	require.NoError(t, p.Fill("To 1", "11-30"))
	require.NoError(t, p.Fill("At least", "46"))
	require.NoError(t, p.Fill("A person and day", "2"))
	require.NoError(t, p.WaitText("Red drum, from 1 November to 30 November: 46 cm or more total length, 2 a person and day."))
	require.NoError(t, p.Fill("Source", "Leaflet 4"))
	require.NoError(t, p.Still())
	picture(t, p, "bylaw-form")
	noViolations(t, p, "a rule being entered")
	require.NoError(t, p.Click("Keep the rule"))
	require.NoError(t, p.WaitText("The rule is kept"))
	require.NoError(t, p.WaitText("Leaflet 4, checked"))
	require.NoError(t, p.WaitText("Looked over"))
	require.NoError(t, p.WaitText("othing is entered for"))
	require.NoError(t, p.Still())
	picture(t, p, "bylaws")
	noViolations(t, p, "bylaws")

	begin(t, p, "White paddle tail")
	require.NoError(t, p.WaitText("All told to the server."))
	require.NoError(t, p.Wait(packed))
	require.NoError(t, p.Signal(false))
	land := func(length string) {
		require.NoError(t, p.Click("Hooked"))
		require.NoError(t, p.Click("With length"))
		require.NoError(t, p.Fill("Length", length))
	}
	land("46.3")
	require.NoError(t, p.WaitText("Keeping is allowed"))
	require.NoError(t, p.WaitText("3 mm inside the limit: measure again"))
	require.NoError(t, p.Still())
	picture(t, p, "fish-keep")
	noViolations(t, p, "a fish that may be kept")
	require.NoError(t, p.Fill("Length", "44.5"))
	require.NoError(t, p.WaitText("1.5 cm short: the least is 46 cm"))
	require.NoError(t, p.WaitText("Release it"))
	require.NoError(t, p.Fill("Length", "52"))
	require.NoError(t, p.WaitText("2 of 2 left today"))
	keep := func() {
		require.NoError(t, p.Click("Kept it"))
		require.NoError(t, p.Wait(`(document.querySelector('.panel.form .act.chosen').click(), true)`))
		require.NoError(t, p.WaitText("Landed: noted."))
	}
	keep()
	require.NoError(t, p.WaitText("since the leader was checked"))
	land("53")
	require.NoError(t, p.WaitText("1 of 2 left today"))
	keep()
	land("54")
	require.NoError(t, p.WaitText("Release it"))
	require.NoError(t, p.WaitText("The bag of 2 is full"))
	picture(t, p, "fish-full")
	require.NoError(t, p.Click("Not now"))

	// The day's card, with no signal too.
	require.NoError(t, p.Click("Keep or release, care, the day’s card"))
	require.NoError(t, p.WaitText("In the hand"))
	require.NoError(t, p.Click("Card of the day"))
	require.NoError(t, p.WaitText("Left today"))
	require.NoError(t, p.WaitText("0 of 2"))
	require.NoError(t, p.WaitText("Kept: 2"))
	require.NoError(t, p.Still())
	picture(t, p, "day-card")
	noViolations(t, p, "the card of the day")
	assert.LessOrEqual(t, eval[int](t, p, `document.documentElement.scrollWidth`), 390)
}

// What is closed by a bylaw is closed everywhere, with no signal too: the water says so and nothing is advised.
func TestAClosedSeasonShutsThePlace(t *testing.T) {
	name := kit.Newcomer(t, "wren", testkit.ALog)
	c := kit.As(t, name)
	require.Equal(t, http.StatusOK, c.Do("PUT", "/plans/"+uuid.NewString(), testkit.APlan(c.ID("Kettle Bar")), nil))
	p := open(t, browser.Desk)
	require.NoError(t, p.SignIn(name, demo.Password))
	require.NoError(t, p.Go("/set-up/bylaws"))
	handFile(t, p, "Choose a file of rules", "board.yaml", closing)
	require.NoError(t, p.WaitText("1 rule would be added"))
	require.NoError(t, p.WaitText("Any fish, in the sound, from 15 November to 15 December: no fishing."))
	require.NoError(t, p.Still())
	picture(t, p, "bylaw-file")
	require.NoError(t, p.Click("Keep them"))
	require.NoError(t, p.WaitText("The rules are kept"))
	require.NoError(t, p.Wait(packed))
	require.NoError(t, p.Go("/water"))
	require.NoError(t, p.WaitText("Closed by Sound nursery"))
	// Each page once, since this browser keeps none of them.
	require.NoError(t, p.Click("Ahead"))
	require.NoError(t, p.WaitText("Anything that is on"))
	require.NoError(t, p.WaitText("Kettle Bar is closed then: Sound nursery."))
	eval[any](t, p, `document.querySelector('.plan-list').scrollIntoView({ block: 'center' }), true`)
	picture(t, p, "plans-closed")
	require.NoError(t, p.Click("Plan it"))
	require.NoError(t, p.WaitText("Nothing can be fished and left in time in those hours."))
	require.NoError(t, p.Click("Saturday"))
	require.NoError(t, p.WaitText("Kettle Bar cannot be fished from 07:00 to 09:30: Sound nursery closes it."))
	require.NoError(t, p.WaitText("07:00–09:30 Kettle Bar, no fishing then."))
	require.NoError(t, p.Still())
	picture(t, p, "plan-closed")
	require.NoError(t, p.Click("Tie on"))
	require.NoError(t, p.WaitText("Nothing may be taken here now."))
	require.NoError(t, p.Click("Water"))
	require.NoError(t, p.Signal(false))
	require.NoError(t, p.Click("Tie on"))
	require.NoError(t, p.WaitText("Nothing may be taken here now."))
	require.NoError(t, p.Still())
	picture(t, p, "tie-closed")
	require.NoError(t, p.Click("Ahead"))
	require.NoError(t, p.WaitText("Anything that is on"))
	require.NoError(t, p.Still())
	picture(t, p, "ahead-closed")
}

// A ruler is printed in true size, a card drawn beside it tells whether paper agrees, and its width corrects it.
func TestARulerIsPrintedInTrueSize(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Go("/fish/hand/ruler"))
	require.NoError(t, p.WaitText("Lay a bank card here"))
	require.NoError(t, p.Still())
	picture(t, p, "ruler")
	noViolations(t, p, "the ruler")
	require.NoError(t, p.OnPaper(true))
	const perMM = 96 / 25.4 // CSS pixels
	of := func(what string) float64 {
		return eval[float64](t, p, `document.querySelector('`+what+`').getBoundingClientRect().width`) / perMM
	}
	assert.InDelta(t, 250, of(".ruler-strip"), 0.2)
	assert.InDelta(t, 85.6, of(".ruler-card"), 0.2, "ISO/IEC 7810 ID-1")
	require.NoError(t, p.OnPaper(false))
	// A printer that shrank it to 97 %.
	require.NoError(t, p.Fill("The drawn card came out this wide", "8.3"))
	require.NoError(t, p.WaitText("Drawn at 103"))
	require.NoError(t, p.OnPaper(true))
	assert.InDelta(t, 250*85.6/83, of(".ruler-strip"), 0.3)
	picture(t, p, "ruler-paper")
	require.NoError(t, p.OnPaper(false))
}

// How a fish is treated goes by its size and the water, in the book's words or one's own; ice and bait are reckoned.
func TestAFishIsTreatedWell(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	require.NoError(t, p.Go("/fish/hand"))
	require.NoError(t, p.WaitText("Back it goes"))
	require.NoError(t, p.Pick("Which fish", "Red drum"))
	require.NoError(t, p.Fill("Length", "90"))
	require.NoError(t, p.WaitText("it is a breeder worth more in the water"))
	require.NoError(t, p.WaitText("Nothing is entered for red drum here"))
	require.NoError(t, p.Click("Nose to the right"))
	require.NoError(t, p.Still())
	picture(t, p, "hand")
	noViolations(t, p, "a fish in the hand")
	require.NoError(t, p.Click("Say it your way"))
	require.NoError(t, p.Fill("A breeder from", "100"))
	require.NoError(t, p.Click("Keep mine"))
	require.NoError(t, p.Wait(`!document.body.innerText.includes('it is a breeder worth')`))
	require.NoError(t, p.Go("/fish/hand/ice"))
	require.NoError(t, p.WaitText("of ice, and"))
	noViolations(t, p, "ice")
	require.NoError(t, p.Go("/fish/hand/bait"))
	require.NoError(t, p.WaitText("The first die after about"))
	require.NoError(t, p.Fill("Air pump", "3"))
	require.NoError(t, p.WaitText("They live 4 h and longer"))
	require.NoError(t, p.Still())
	picture(t, p, "live-bait")
	noViolations(t, p, "live bait")
}

// An area is drawn where the rule is written; half of one is no rule, and never one for everywhere.
func TestAnAreaIsDrawnForARule(t *testing.T) {
	name := kit.Newcomer(t, "wren", testkit.NoLog)
	p := open(t, browser.Desk)
	require.NoError(t, p.SignIn(name, demo.Password))
	require.NoError(t, p.Go("/set-up/bylaws"))
	require.NoError(t, p.Click("Enter a rule"))
	require.NoError(t, p.Pick("Which fish", "Red drum"))
	require.NoError(t, p.Fill("A person and day", "2"))
	require.NoError(t, p.Fill("Source", "Leaflet 4"))
	require.NoError(t, p.Pick("Where", "an area drawn here"))
	require.NoError(t, p.Wait(`!!document.querySelector('.map-view[data-moving=false] canvas')`))
	require.NoError(t, p.Fill("Called", "the inner flats"))
	eval[any](t, p, `document.querySelector('.map-view').scrollIntoView({ block: 'center' }), true`)
	save := `[...document.querySelectorAll('button')].find((b) => b.textContent === 'Keep the rule').disabled`
	corners := [][2]float64{{0.3, 0.3}, {0.7, 0.35}, {0.65, 0.75}}
	for n, q := range corners {
		require.NoError(t, p.Wait(save+" === true"))
		touchMap(t, p, q[0], q[1])
		require.NoError(t, p.Wait(fmt.Sprintf(`document.querySelector('[aria-label="Its corners"]').value.split(';').length === %d`, n+1)))
	}
	require.NoError(t, p.WaitText("3 corners."))
	require.NoError(t, p.WaitText("Red drum, in the inner flats: 2 a person and day."))
	require.NoError(t, p.Click("Take the last back"))
	require.NoError(t, p.Wait(save+" === true"))
	touchMap(t, p, 0.6, 0.7)
	require.NoError(t, p.WaitText("3 corners."))
	require.NoError(t, p.Still())
	picture(t, p, "bylaw-area")
	noViolations(t, p, "an area being drawn")
	require.NoError(t, p.Click("Keep the rule"))
	require.NoError(t, p.WaitText("The rule is kept"))
	var kept struct {
		Bylaws []struct {
			Area *struct {
				Name string
				Ring []struct{ Lat, Lon float64 }
			}
		}
	}
	require.Equal(t, http.StatusOK, kit.As(t, name).Do("GET", "/bylaws", nil, &kept))
	require.Len(t, kept.Bylaws, 1)
	require.NotNil(t, kept.Bylaws[0].Area)
	assert.Equal(t, "the inner flats", kept.Bylaws[0].Area.Name)
	assert.Len(t, kept.Bylaws[0].Area.Ring, 3)
	for _, q := range kept.Bylaws[0].Area.Ring {
		assert.InDelta(t, 31.2, q.Lat, 0.5)
		assert.InDelta(t, -45.1, q.Lon, 0.5)
	}
}
