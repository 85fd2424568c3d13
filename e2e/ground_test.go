package e2e

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// tones counts how much of the map's ground is dry or land, by its warm colours,
// and how much is water.
func tones(t *testing.T, p *browser.Page) (dry, wet int) {
	t.Helper()
	v := eval[[2]int](t, p, `(() => { const c = document.querySelector('.map-ground'); const d = c.getContext('2d').getImageData(0, 0,
		c.width, c.height).data;
		let dry = 0, wet = 0; for (let i = 0; i < d.length; i += 4) if (d[i + 3]) d[i] > d[i + 2] + 3 ? dry++ : d[i] + 3 < d[i + 2] ?
			wet++ : 0; return [dry, wet]; })()`)
	return v[0], v[1]
}

// onMap is the point of the screen at a share of the map's width and height.
func onMap(t *testing.T, p *browser.Page, x, y float64) (float64, float64) {
	t.Helper()
	r := eval[[4]float64](t, p, `(() => { const r = document.querySelector('.map-view').getBoundingClientRect(); return [r.x, r.y,
		r.width, r.height]; })()`)
	return r[0] + x*r[2], r[1] + y*r[3]
}

func touchMap(t *testing.T, p *browser.Page, x, y float64) {
	t.Helper()
	require.NoError(t, p.Wait(`document.querySelector('.map-view').dataset.moving === 'false'`))
	before := eval[int](t, p, `+document.querySelector('.map-view').dataset.touches`)
	a, b := onMap(t, p, x, y)
	require.NoError(t, p.Touch(a, b))
	// A single click waits for a second one.
	require.NoError(t, p.Wait(fmt.Sprintf(`!(+document.querySelector('.map-view')?.dataset.touches <= %d)`, before)))
}

// open map with its depths drawn.
func openMap(t *testing.T, p *browser.Page) {
	t.Helper()
	require.NoError(t, p.Click("Map"))
	require.NoError(t, p.Wait(`document.querySelector('.map-ground')?.width > 200 && document.querySelectorAll('.spot-list li').length >
		0`))
	require.NoError(t, p.Wait(`(() => { const c = document.querySelector('.map-ground'); return c.getContext('2d').getImageData(0, 0,
		c.width, c.height).data.some((v, i) => i % 4 === 3 && v > 0); })()`))
}

// toSection shows the section again, which the browser remembers.
func toSection(t *testing.T, p *browser.Page) {
	t.Helper()
	require.NoError(t, p.Click("Section"))
	require.NoError(t, p.Wait(`document.querySelector('.water[data-view=Section]')`))
}

// The map floods and drains with the ribbon; the list beside it says the same;
// spots are picked out; the keyboard moves it.
func TestTheMapFloodsAndDrains(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	openMap(t, p)
	toTurn(t, p, true)
	high := level(t, p)
	require.NoError(t, p.Wait(fmt.Sprintf(`Math.abs(document.querySelector('.map-view').dataset.level - %v) < 0.006`, high)))
	_, wetHigh := tones(t, p)
	toTurn(t, p, false)
	require.NoError(t, p.Wait(fmt.Sprintf(`Math.abs(document.querySelector('.map-view').dataset.level - %v) < 0.006`, level(t, p))))
	require.NoError(t, p.Still())
	dryLow, wetLow := tones(t, p)
	assert.Less(t, wetLow, wetHigh-wetHigh/100, "the ebb uncovers ground")
	assert.Positive(t, dryLow)

	all := eval[int](t, p, `document.querySelectorAll('.spot-list li').length`)
	assert.GreaterOrEqual(t, all, 12)
	require.NoError(t, p.Click("open now"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.spot-list button')].every((b) => b.dataset.open === 'true')`))
	assert.Less(t, eval[int](t, p, `document.querySelectorAll('.spot-list li').length`), all, "the back lake is shut at low water")
	require.NoError(t, p.Click("open now"))
	assert.Contains(t, eval[string](t, p, `document.querySelector('.spot-list').innerText`), "Ladle grass",
		"a zone's rule stands with its spot")

	// By keyboard: the map moves and nears, and a place is taken with Enter.
	_, err := browser.Eval[any](p, `(document.querySelector('.map-view').focus(), 1)`)
	require.NoError(t, err)
	scale := eval[string](t, p, `document.querySelector('.map-scale').innerText`)
	require.NoError(t, p.Type("++++"))
	require.NoError(t, p.Wait(`document.querySelector('.map-scale').innerText !== '`+scale+`'`))
	require.NoError(t, p.Click("The whole water"))
	require.NoError(t, p.Click("within reach"))
	_, err = browser.Eval[any](p, `(document.querySelector('.map-view').focus(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Type("\r"))
	list := `document.querySelector('.spot-list').innerText`
	require.NoError(t, p.Wait(`/\d min paddle|h paddle|h \d+ paddle/.test(`+list+`)`))
	// What one has decides what is in reach; what is not is left out.
	require.NoError(t, p.Pick("How you get about", "by car"))
	require.NoError(t, p.Wait(list+`.includes('by road, guessed') && !`+list+`.includes('Lantern Lake')`))
	require.NoError(t, p.Pick("How you get about", "on my legs"))
	require.NoError(t, p.Wait(`!`+list+`.includes('paddle') && !`+list+`.includes('by road')`))
	picture(t, p, "within-reach")
	noViolations(t, p, "within reach")
	require.NoError(t, p.Pick("How you get about", "as each is reached"))
	require.NoError(t, p.Wait(list+`.includes('paddle')`))

	require.NoError(t, p.Click("Stone Arm"))
	require.NoError(t, p.Wait(`document.querySelector('.head-spot').innerText.includes('Stone Arm')`))
	noViolations(t, p, "map")
}

// The way out of the back lake: when to be out, with the angler's own margin, on
// the ribbon too, and as a calendar.
func TestTheWayOutOfTheBackLake(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	choose(t, p, "Lantern Lake")
	says := `document.querySelector('.visits').innerText`
	require.NoError(t, p.Wait(says+`.includes('Lantern Refuge closes it all that time.')`))
	require.NoError(t, p.Wait(`document.querySelector('.water-side').innerText.includes('Closed by Lantern Refuge')`))
	require.NoError(t, p.Wait(`document.querySelector('.water-side').innerText.includes('Its rule holds from 1 November to 31 March')`),
		"with its season")
	_, err := browser.Eval[any](p, `(async () => {
		const spots = await (await fetch('/api/v1/spots')).json();
		const lake = spots.find((s) => s.name === 'Lantern Lake');
		const state = await (await fetch('/api/v1/waters/' + lake.water_id)).json();
		const zone = state.zones.find((z) => z.name === 'Lantern Refuge');
		await fetch('/api/v1/zones/' + zone.id, {method: 'DELETE'});
		location.reload();
	})()`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.querySelector('.visits') && `+says+`.includes('be out by')`))
	before := eval[string](t, p, says)
	assert.Contains(t, before, "too little water over the sill")
	assert.Regexp(t, `Opens \d\d:\d\d, be out by (\w+ )?\d\d:\d\d`, before)
	require.NoError(t, p.Pick("Margin", "60 min"))
	require.NoError(t, p.Wait(fmt.Sprintf(`%s !== %q && %s.includes('be out by')`, says, before, says)))
	require.NoError(t, p.Wait(`document.querySelectorAll('.ribbon .visit').length > 0`))
	calendar := eval[string](t, p, `fetch(document.querySelector('.visits a').href).then((r) => r.text())`)
	assert.Contains(t, calendar, "BEGIN:VEVENT")
	assert.Contains(t, calendar, "SUMMARY:Lantern Lake")
	noViolations(t, p, "visits")
	choose(t, p, "Kettle Bar")
	require.NoError(t, p.Wait(says+`.includes('best ')`), "where it is better for a part of the visit")
	require.NoError(t, p.Wait(`document.querySelectorAll('.ribbon .best').length > 0`))
}

// A spot put on the map, its section cut from the depths and then drawn by hand,
// flooded and drained, a snag noted, and the spot removed.
func TestASpotIsDrawn(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	openMap(t, p)
	require.NoError(t, p.Click("New spot"))
	touchMap(t, p, 0.62, 0.55)
	require.NoError(t, p.WaitText("A new spot"))
	require.NoError(t, p.Fill("Its name", "Ninepin Edge"))
	require.NoError(t, p.Wait(`document.querySelector('.map-ground')?.width > 200`))
	require.NoError(t, p.Click("Cut the section here"))
	touchMap(t, p, 0.4, 0.3)
	touchMap(t, p, 0.6, 0.7)
	circles := `document.querySelectorAll('.section-canvas circle').length`
	require.NoError(t, p.Wait(circles+` > 10`))
	require.NoError(t, p.Click("Begin anew"))
	require.NoError(t, p.Wait(circles+` === 0`))

	// Drawn by hand: three touches, then the outer point is dragged down.
	_, err := browser.Eval[any](p, `(document.querySelector('.section-canvas').scrollIntoView({block: 'center'}), 1)`)
	require.NoError(t, err)
	r := eval[[4]float64](t, p, `(() => { const r = document.querySelector('.section-canvas svg').getBoundingClientRect(); return [r.x,
		r.y, r.width, r.height]; })()`)
	for i, q := range [][2]float64{{0.12, 0.2}, {0.8, 0.6}} {
		require.NoError(t, p.Touch(r[0]+q[0]*r[2], r[1]+q[1]*r[3]))
		require.NoError(t, p.Wait(fmt.Sprintf(`%s === %d`, circles, i+1)))
	}
	point := eval[[2]float64](t, p, `(() => { const r =
		[...document.querySelectorAll('.section-canvas circle')].pop().getBoundingClientRect(); return [r.x + r.width / 2,
			r.y + r.height / 2]; })()`)
	value := `+[...document.querySelectorAll('.section-canvas circle')].pop().getAttribute('aria-valuenow')`
	was := eval[float64](t, p, value)
	require.NoError(t, p.Drag(point[0], point[1], point[0], point[1]+40))
	require.NoError(t, p.Wait(fmt.Sprintf(`%s < %v`, value, was-0.2)))
	// A file in place of it: wrong first, then right.
	handFile(t, p, "Read a CSV", "ninepin.csv", "distance_m,elevation_m\n0,2\n10,x\n")
	require.NoError(t, p.WaitText("ninepin.csv: line 3, column elevation_m"))
	handFile(t, p, "Read a CSV", "ninepin.csv", "distance_ft,depth_ft\n0,-6\n60,0\n120,8\n200,12\n")
	require.NoError(t, p.Wait(circles+` === 4`))
	require.NoError(t, p.Click("One more mark"))
	require.NoError(t, p.Fill("Name", "Old post"))
	require.NoError(t, p.Fill("Out", "30"))
	require.NoError(t, p.Fill("What was learned there", "leans to the east"))
	require.NoError(t, p.Click("catches line"))
	noViolations(t, p, "spot editor")
	require.NoError(t, p.Click("Keep the spot"))
	require.NoError(t, p.Wait(`document.querySelector('.head-spot').innerText.includes('Ninepin Edge')`))

	// It floods and drains, and what was learned stays visible when it is flooded.
	toSection(t, p)
	require.NoError(t, p.Wait(`document.querySelector('.section svg .surface')`))
	require.NoError(t, p.Wait(`document.querySelector('.marks').innerText.includes('leans to the east')`))
	require.NoError(t, p.Wait(`document.querySelector('.marks .snag')`))
	// 30 m out along 0, 18.3, 36.6 m: 0 to −2.44 m.
	toTurn(t, p, true)
	high := depth(t, p, "edge")
	toTurn(t, p, false)
	require.NoError(t, p.Wait(fmt.Sprintf(`document.querySelector('[data-mark=edge] .depth').innerText !== %q`, high)))

	require.NoError(t, p.Click("Change Ninepin Edge"))
	require.NoError(t, p.WaitText("Change Ninepin Edge"))
	require.NoError(t, p.Click("Remove"))
	require.NoError(t, p.Wait(`document.querySelector('.ant-popconfirm-buttons .ant-btn-primary')`))
	_, err = browser.Eval[any](p, `(document.querySelector('.ant-popconfirm-buttons .ant-btn-primary').click(), 1)`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`!document.querySelector('.head-spot').innerText.includes('Ninepin Edge')`))
}

// Reading the surf: breakers marked, bars told, the section improved, compared
// with what was expected.
func TestReadingTheSurf(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	choose(t, p, "Long Strand")
	require.NoError(t, p.Wait(`document.querySelector('.section svg')`))
	was := eval[string](t, p, `fetch('`+address(p, "Long Strand")+`').then((r) => r.json()).then((s) => JSON.stringify(s.written))`)
	require.NoError(t, p.Click("Mark the white water"))
	require.NoError(t, p.Click("Add a line of breakers"))
	require.NoError(t, p.WaitText("Bar 40 m out"))
	strip := `document.querySelector('.surf-strip svg')`
	_, err := browser.Eval[any](p, `(`+strip+`.scrollIntoView({block: 'center'}), 1)`)
	require.NoError(t, err)
	r := eval[[4]float64](t, p, `(() => { const r = `+strip+`.getBoundingClientRect(); return [r.x, r.y, r.width, r.height]; })()`)
	require.NoError(t, p.Touch(r[0]+0.72*r[2], r[1]+0.5*r[3]))
	require.NoError(t, p.WaitText("the road fish travel along the beach"))
	told := eval[string](t, p, `document.querySelector('.surf').innerText`)
	assert.Contains(t, told, "stops breaking when the water reaches")
	assert.Contains(t, told, "Rip currents")
	require.NoError(t, p.Wait(`document.querySelector('.surf-strip .better')`))
	noViolations(t, p, "surf")
	require.NoError(t, p.Click("Keep this section"))
	require.NoError(t, p.WaitText("The section is what the surf says it is."))
	now := eval[string](t, p, `fetch('`+address(p, "Long Strand")+`').then((r) => r.json()).then((s) => JSON.stringify(s.written))`)
	assert.NotEqual(t, was, now)
	choose(t, p, "Cutwater Pier")
	require.NoError(t, p.Wait(`document.querySelector('.pier-reading')?.innerText.includes('Deep end')`))
}

const features = `<?xml version="1.0"?><gpx version="1.1" creator="made up" xmlns="http://www.topografix.com/GPX/1/1">
<wpt lat="31.196" lon="-45.154"><name>Wren's Post</name><desc>a post in the creek</desc></wpt>
<wpt lat="31.197" lon="-45.153"></wpt></gpx>`

// Places and depths come in after a look at them, go out, and come in again
// without doubles.
func TestPlacesAndDepthsInAndOut(t *testing.T) {
	p := signedIn(t, "moss", browser.Desk)
	setUp(t, p, "files")
	require.NoError(t, p.WaitText("Places in and out"))
	handFile(t, p, "Choose a file of places", "day.txt", "x")
	require.NoError(t, p.WaitText("expected a file ending in"))
	handFile(t, p, "Choose a file of places", "day.gpx", strings.Replace(features, `lat="31.196"`, `lat="131.196"`, 1))
	require.NoError(t, p.Wait(`document.querySelector('.places [role=alert]')?.innerText.includes('day.gpx')`))
	handFile(t, p, "Choose a file of places", "day.gpx", features)
	require.NoError(t, p.WaitText("Nothing is stored yet"))
	require.NoError(t, p.WaitText("it has no name"))
	require.NoError(t, p.Click("Bring them in"))
	require.NoError(t, p.WaitText("1 spots brought into Fallow Creek; 1 passed over"))

	// Private spots stay here unless asked for.
	out := func(query string) string {
		return eval[string](t, p, `fetch('/api/v1/interchange/export?`+query+`').then((r) => r.text())`)
	}
	assert.NotContains(t, out("format=gpx"), "Wren&#39;s Post")
	whole := out("format=gpx&private=include")
	assert.Contains(t, whole, "a post in the creek")
	handFile(t, p, "Choose a file of places", "again.gpx", whole)
	require.NoError(t, p.Wait(`document.querySelector('.places-plan')?.innerText.includes('lies there already')`))

	setUp(t, p, "waters/ground")
	require.NoError(t, p.WaitText("Choose a file of depths"))
	handFile(t, p, "Choose a file of depths", "creek.asc",
		"ncols 4\nnrows 3\nxllcorner -45.156\nyllcorner 31.195\ncellsize 0.001\nNODATA_value -9999\n1 2 3 x\n")
	require.NoError(t, p.WaitText("read as an ESRI ASCII grid"))
	assert.True(t, eval[bool](t, p, `[...document.querySelectorAll('.depths button')].find((b) => b.innerText === 'Look at it').disabled`),
		"unit, sign and datum are asked")
	for _, c := range []string{"Its numbers are in", "ft", "and count", "downwards (depth)"} {
		require.NoError(t, p.Click(c))
	}
	require.NoError(t, p.Fill("from which datum", "chart datum"))
	require.NoError(t, p.Fill("which lies above chart datum", "0"))
	require.NoError(t, p.Click("Look at it"))
	require.NoError(t, p.Wait(`document.querySelector('.depths [role=alert]')?.innerText.includes('creek.asc: line 7')`))
	handFile(t, p, "Choose a file of depths", "creek.asc",
		"ncols 4\nnrows 3\nxllcorner -45.156\nyllcorner 31.195\ncellsize 0.001\nNODATA_value -9999\n1 2 3 4\n5 6 7 8\n-2 -3 -9999 10\n")
	require.NoError(t, p.Click("Look at it"))
	require.NoError(t, p.WaitText("3 × 4 cells"))
	require.NoError(t, p.WaitText("92 % of them known"))
	noViolations(t, p, "places and depths")
	require.NoError(t, p.Click("Keep these depths"))
	require.NoError(t, p.WaitText("The depths of Fallow Creek are those of creek.asc"))

	// The map is drawn from them.
	require.NoError(t, p.Click("Water"))
	openMap(t, p)
	require.NoError(t, p.Wait(`document.querySelector('.spot-list').innerText.includes("Wren's Post")`))
	assert.Contains(t, eval[string](t, p, `document.querySelector('.water-side').innerText`), "asc, datum chart datum")

	// A zone is drawn, says itself first at the spot inside, and goes.
	require.NoError(t, p.Click("Zones"))
	require.NoError(t, p.Click("Farther"))
	require.NoError(t, p.Click("Draw a zone"))
	for _, q := range [][2]float64{{0.1, 0.35}, {0.75, 0.35}, {0.75, 0.85}, {0.1, 0.85}} {
		touchMap(t, p, q[0], q[1])
	}
	require.NoError(t, p.Click("These are all"))
	require.NoError(t, p.Fill("Its name", "Heron ground"))
	require.NoError(t, p.Fill("The rule in words", "No take on a falling tide"))
	require.NoError(t, p.Fill("Where it stands", "invented for a test"))
	require.NoError(t, p.Click("Keep the zone"))
	require.NoError(t, p.WaitText("Heron ground (no take)"))
	require.NoError(t, p.Click("Spots"))
	require.NoError(t, p.Wait(`document.querySelector('.spot-list').innerText.includes('Heron ground')`))
	require.NoError(t, p.Click("Features"))
	require.NoError(t, p.Wait(`document.querySelector('.water-side').innerText.includes('What the depths suggest')`))
}

// What the depths suggest is taken as a mark or passed over, each with why.
func TestFeaturesAreTakenOrPassedOver(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	choose(t, p, "Kettle Bar")
	openMap(t, p)
	require.NoError(t, p.Click("Features"))
	rows := `document.querySelectorAll('.finds li').length`
	require.NoError(t, p.Wait(rows+` > 5`))
	n := eval[int](t, p, rows)
	assert.Contains(t, eval[string](t, p, `document.querySelector('.finds').innerText`), "falls")
	require.NoError(t, p.Click("Drop-off"))
	require.NoError(t, p.Click("Not worth it"))
	require.NoError(t, p.Wait(fmt.Sprintf(`%s === %d`, rows, n-1)))
	require.NoError(t, p.Click("Hole"))
	require.NoError(t, p.Click("Take as a mark"))
	require.NoError(t, p.Wait(`document.querySelector('.ant-message')?.innerText.includes('is a mark of Kettle Bar')`))
	require.NoError(t, p.Wait(fmt.Sprintf(`%s === %d`, rows, n-2)))
	toSection(t, p)
	require.NoError(t, p.Wait(`document.querySelector('.marks').innerText.includes('Suggested from the depths')`))
}

// The map on a phone: nothing is cut off, the key fits, the list can be reached.
func TestTheMapOnAPhone(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	openMap(t, p)
	out := eval[[]string](t, p, `[...document.querySelectorAll(
		'.depth-key li, .map-buttons button, .water-side button, .water-side .ant-select')]
		.filter((e) => { const r = e.getBoundingClientRect(); return r.left < -0.5 || r.right > innerWidth + 0.5; })
		.map((e) => e.innerText)`)
	assert.Empty(t, out)
	small := eval[[]string](t, p, `[...document.querySelectorAll('.map-buttons button, .water-side button')].filter((e) =>
		e.getBoundingClientRect().height < 24).map((e) => e.innerText)`)
	assert.Empty(t, small, "thumbs are wide")
	noViolations(t, p, "map on a phone")
}
