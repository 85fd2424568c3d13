package e2e

import (
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// installed page of somebody who has begun an outing on it, in a browser of its own.
func installed(t *testing.T, s *site) (chrome *browser.Browser, p *browser.Page, dir string) {
	t.Helper()
	name := kit.Newcomer(t, "wren", testkit.NoLog)
	dir = t.TempDir()
	chrome, err := browser.OpenIn(dir)
	require.NoError(t, err)
	t.Cleanup(chrome.Close)
	p, err = chrome.Own("http://"+s.addr, browser.Phone)
	require.NoError(t, err)
	require.NoError(t, p.Go("/"))
	require.NoError(t, p.WaitText("Sign in"))
	require.NoError(t, p.SignIn(name, demo.Password))
	require.NoError(t, p.Wait(`(navigator.serviceWorker.getRegistration().then((r) => { window.installed = !!r?.active }),
		window.installed)`))
	// From now on it stands between the page and the server.
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.Wait(`navigator.serviceWorker.controller`))
	require.NoError(t, p.WaitText("Go fishing"))
	require.NoError(t, p.Fill("On the hook", "Silver bar"))
	require.NoError(t, p.Click("Begin"))
	require.NoError(t, p.WaitText("Rod-hours"))
	require.NoError(t, p.WaitText("All told to the server."))
	return chrome, p, dir
}

// What a page could not send the browser sends when there is signal, though no page is open; to nobody else who has
// signed in by then.
func TestTheBrowserSendsWhatThePageCouldNot(t *testing.T) {
	s := newSite(t)
	_, p, _ := installed(t, s)
	s.stop()
	require.NoError(t, p.Click("Bite"))
	require.NoError(t, p.WaitText("Kept here: 1."))
	queued := `(async () => {
		if (!(await indexedDB.databases()).some((d) => d.name === 'workbox-background-sync')) return 0;
		const q = await new Promise((done) => { const r = indexedDB.open('workbox-background-sync'); r.onsuccess = () => done(r.result); });
		const n = await new Promise((done) => { const r = q.transaction('requests').objectStore('requests').count();
			r.onsuccess = () => done(r.result); });
		q.close();
		return n;
	})()`
	require.NoError(t, p.Wait(`(`+queued+`.then((n) => { window.queued = n }), window.queued > 0)`))
	// No page of the program is open: a picture is.
	require.NoError(t, p.Go("/pebble.svg"))
	before := s.puts.Load()
	s.start()
	require.NoError(t, p.Synced("http://"+s.addr, "workbox-background-sync:outings"))
	require.NoError(t, p.Wait(`(`+logOf+`.then((l) => { window.logged = l }), window.logged === 'Silver bar 1 0 bite')`))
	assert.Greater(t, s.puts.Load(), before)
	// The page, which knows nothing of it, sends it once more: it is there once.
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("All told to the server."))
	assert.Equal(t, "Silver bar 1 0 bite", eval[string](t, p, logOf))

	// Signed out before it was sent: it waits for its owner, and the browser forgets it.
	s.stop()
	require.NoError(t, p.Click("Missed"))
	require.NoError(t, p.WaitText("Kept here: 1."))
	require.NoError(t, p.Wait(`(`+queued+`.then((n) => { window.queued = n }), window.queued > 0)`))
	s.start()
	require.NoError(t, p.Go("/set-up/you"))
	require.NoError(t, p.WaitText("Sign out"))
	require.NoError(t, p.Click("Sign out"))
	require.NoError(t, p.WaitText("Sign in"))
	assert.Zero(t, eval[int](t, p, queued))
}

// The browser cleared away what was kept here while one fishes: what the page knows is written again, and the log
// holds all of it.
func TestWhatWasClearedAwayIsWrittenAgain(t *testing.T) {
	s := newSite(t)
	_, p, _ := installed(t, s)
	s.stop()
	require.NoError(t, p.Click("Bite"))
	require.NoError(t, p.WaitText("Kept here: 1."))
	assert.True(t, eval[bool](t, p, `new Promise((done) => { const r = indexedDB.deleteDatabase('greypebble');
		r.onsuccess = () => done(true); r.onerror = () => done(false); })`))
	require.NoError(t, p.Still())
	require.NoError(t, p.Click("Missed"))
	require.NoError(t, p.WaitText("Kept here: 2."))
	s.start()
	require.NoError(t, p.Wait(`(document.querySelector('.fish-mail .plain')?.click(), true)`))
	require.NoError(t, p.WaitText("All told to the server."))
	assert.Equal(t, "Silver bar 1 0 bite+missed", eval[string](t, p, logOf))
}

// A newer program comes while one fishes: the page goes on as it is, and the newer one takes over when it is closed,
// with the outing.
func TestANewerProgramWaitsForTheOutingsPage(t *testing.T) {
	s := newSite(t)
	chrome, p, dir := installed(t, s)
	s.newer.Store(true)
	require.NoError(t, p.Wait(`(navigator.serviceWorker.getRegistration().then((r) =>
		r.update().then(() => { window.waits = !!r.waiting })),
		window.waits)`))
	require.NoError(t, p.Click("Bite"))
	require.NoError(t, p.WaitText("Bite: noted."))
	require.NoError(t, p.WaitText("All told to the server."))
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("with Silver bar"))
	assert.True(t, eval[bool](t, p, `navigator.serviceWorker.getRegistration().then((r) => !!r.waiting)`), "a page of the old is open")

	require.NoError(t, chrome.Quit())
	chrome, err := browser.OpenIn(dir)
	require.NoError(t, err)
	t.Cleanup(chrome.Close)
	other, err := chrome.Own("http://"+s.addr, browser.Phone)
	require.NoError(t, err)
	require.NoError(t, other.Go("/fish"))
	require.NoError(t, other.Wait(`(navigator.serviceWorker.getRegistration().then((r) => { window.settled = !r.waiting }),
		window.settled)`))
	require.NoError(t, other.WaitText("with Silver bar"))
	require.NoError(t, other.Click("Missed"))
	require.NoError(t, other.WaitText("Missed: noted."))
	require.NoError(t, other.WaitText("All told to the server."))
	assert.Equal(t, "Silver bar 1 0 bite+missed", eval[string](t, other, logOf))
}

// Two tabs of one browser are one outing: each sees what the other told, and the log holds it once.
func TestTwoTabsAreOneOuting(t *testing.T) {
	s := newSite(t)
	chrome, p, _ := installed(t, s)
	other, err := chrome.Own("http://"+s.addr, browser.Phone)
	require.NoError(t, err)
	require.NoError(t, other.Go("/fish"))
	require.NoError(t, other.WaitText("with Silver bar"))
	tally := `[...document.querySelectorAll('.fish-tally dd')].map((d) => d.innerText).slice(0, 4).join()`
	tabs := []*browser.Page{p, other}
	for i := range 6 {
		require.NoError(t, tabs[i%2].Click("Bite"))
		for _, tab := range tabs {
			require.NoError(t, tab.Wait(tally+` === '0,0,0,`+string(rune('1'+i))+`'`))
		}
	}
	for _, tab := range tabs {
		require.NoError(t, tab.WaitText("All told to the server."))
	}
	said := eval[string](t, p, logOf)
	assert.Equal(t, 6, strings.Count(said, "bite"), said)
}

// An answer kept by an older program may want what a page of this one looks for: that page says so, the outing goes
// on, and with signal it is drawn.
func TestAPageThatCannotBeDrawnLeavesTheRest(t *testing.T) {
	s := newSite(t)
	_, p, _ := installed(t, s)
	require.NoError(t, p.Go("/ahead/seasons"))
	require.NoError(t, p.WaitText("The next four weeks"))
	emptied := `(async () => {
		const d = await new Promise((done) => { const r = indexedDB.open('greypebble'); r.onsuccess = () => done(r.result); });
		const store = d.transaction('known', 'readwrite').objectStore('known');
		const all = await new Promise((done) => { const r = store.getAll(); r.onsuccess = () => done(r.result); });
		const kept = all.find((k) => k.name.startsWith('/v1/seasons'));
		if (!kept) return 0;
		kept.value.body = new TextEncoder().encode('{}').buffer;
		await new Promise((done) => { store.put(kept).onsuccess = done; });
		d.close();
		return 1;
	})()`
	require.NoError(t, p.Wait(`(`+emptied+`.then((n) => { window.emptied = n }), window.emptied > 0)`))
	s.stop()
	require.NoError(t, p.Go("/ahead/seasons"))
	require.NoError(t, p.WaitText("This page could not be drawn."))
	require.NoError(t, p.WaitText("may be of an older program"))
	picture(t, p, "mishap-phone")
	require.NoError(t, p.Click("Fish"))
	require.NoError(t, p.WaitText("Rod-hours"))
	require.NoError(t, p.Click("Bite"))
	require.NoError(t, p.WaitText("Kept here: 1."))
	s.start()
	require.NoError(t, p.Go("/ahead/seasons"))
	require.NoError(t, p.WaitText("The next four weeks"))
}

// What is written with Catch, Blank and on a walk with the server stopped waits on the device, through the end of the
// browser, and is in the log once when it is heard; what the server refuses is shown with why, and can be changed.
func TestEntriesWithoutSignalAreKeptAndSentOnce(t *testing.T) {
	s := newSite(t)
	chrome, p, dir := installed(t, s)
	require.NoError(t, p.Go("/back"))
	require.NoError(t, p.WaitText("Silver bar"))
	assert.Equal(t, 200, eval[int](t, p, `fetch('/api/v1/bylaws/'+crypto.randomUUID(), {method: 'PUT',
		headers: {'Content-Type': 'application/json'}, body: JSON.stringify({species: ['red drum'], bag: 2, source: 'Leaflet 7',
		checked: '2026-11-01'})}).then((r) => r.status)`))
	require.NoError(t, p.Go("/back"))
	require.NoError(t, p.WaitText("Silver bar"))
	require.NoError(t, p.Wait(packed))
	s.stop()
	catch := func(length, many, verdict string) {
		t.Helper()
		require.NoError(t, p.Click("Catch"))
		require.NoError(t, p.WaitText("Into the log"))
		if many != "1" { // the next begins with what was sought last
			require.NoError(t, p.Click("Sought"))
			require.NoError(t, p.Click("Red drum"))
		}
		require.NoError(t, p.Fill("Length", length))
		require.NoError(t, p.Fill("How many", many))
		require.NoError(t, p.Click("kept"))
		require.NoError(t, p.WaitText(verdict))
		require.NoError(t, p.Click("Log the catch"))
		require.NoError(t, p.WaitText("Kept on this device"))
		require.NoError(t, p.Wait(`!document.querySelector('[role=dialog] form')`))
	}
	catch("52", "2", "Keeping is allowed")
	require.NoError(t, p.WaitText("2 red drum"))
	require.NoError(t, p.Click("Blank"))
	require.NoError(t, p.WaitText("Into the log"))
	require.NoError(t, p.Fill("Fished for", "40"))
	require.NoError(t, p.Click("Log the blank"))
	require.NoError(t, p.WaitText("Blank for red drum"))
	require.NoError(t, p.Click("Write down what you saw without fishing"))
	require.NoError(t, p.Click("birds"))
	require.NoError(t, p.Click("Keep it"))
	require.NoError(t, p.WaitText("Birds"))
	catch("390", "1", "Release it") // the two that wait here filled the bag
	require.NoError(t, p.WaitText("Kept here: 4."))
	picture(t, p, "unsent-phone")

	require.NoError(t, chrome.Quit())
	chrome, err := browser.OpenIn(dir)
	require.NoError(t, err)
	t.Cleanup(chrome.Close)
	p, err = chrome.Own("http://"+s.addr, browser.Phone)
	require.NoError(t, err)
	require.NoError(t, p.Go("/back"))
	require.NoError(t, p.WaitText("On this device, not in the log yet"))
	assert.Equal(t, 4, eval[int](t, p, `document.querySelectorAll('.unsent-row').length`))

	s.start()
	require.NoError(t, p.Wait(`(document.querySelector('.unsent-head .plain')?.click(),
		document.querySelectorAll('.unsent-row').length === 1)`))
	require.NoError(t, p.WaitText("The server refused it"))
	noViolations(t, p, "an entry that was refused")
	picture(t, p, "refused-phone")
	require.NoError(t, p.Click("Change"))
	require.NoError(t, p.WaitText("Change this spell"))
	require.NoError(t, p.Fill("Length", "61"))
	require.NoError(t, p.Click("Log the catch"))
	require.NoError(t, p.Wait(`!document.querySelector('.unsent')`))
	require.NoError(t, p.Wait(`document.querySelectorAll('.log [data-spell]').length === 4`))
	assert.Equal(t, "0,0,1,2", eval[string](t, p, `fetch('/api/v1/spells').then((r) => r.json())
		.then((l) => l.spells.map((s) => s.catches.length).sort().join())`))
	assert.Equal(t, "birds", eval[string](t, p, `fetch('/api/v1/sightings').then((r) => r.json())
		.then((l) => l.sightings.map((s) => s.signs.join()).join())`))
}

// A spell is changed with no signal that was changed elsewhere before: with signal it is said what of it, and mine goes
// over it when told to.
func TestASpellChangedOnTwoDevices(t *testing.T) {
	s := newSite(t)
	_, p, _ := installed(t, s)
	put := `((more) => fetch('/api/v1/spots').then((r) => r.json()).then((spots) => fetch('/api/v1/spells/` + uuid.NewString() + `', {
		method: 'PUT', headers: {'Content-Type': 'application/json'}, body: JSON.stringify({spot_id: spots[0].id, target: 'red-drum',
			started_at: '2026-11-19T12:00:00Z', ended_at: '2026-11-19T13:00:00Z', offering: 'Gold spoon', ...more})})))`
	assert.Equal(t, 200, eval[int](t, p, put+`({}).then((r) => r.status)`))
	require.NoError(t, p.Go("/back"))
	require.NoError(t, p.WaitText("Gold spoon"))
	assert.Equal(t, 200, eval[int](t, p, put+`({note: 'from the desk', revision: 1}).then((r) => r.status)`))
	s.stop()
	require.NoError(t, p.Wait(`([...document.querySelectorAll('.log summary')].find((e) => e.innerText.includes('Gold spoon')).click(),
		true)`))
	require.NoError(t, p.Click("Change"))
	require.NoError(t, p.WaitText("Change this spell"))
	require.NoError(t, p.Fill("Fished for", "40"))
	require.NoError(t, p.Click("Save"))
	require.NoError(t, p.WaitText("A spell for red drum, changed"))
	s.start()
	require.NoError(t, p.Wait(`(document.querySelector('.unsent-head .plain')?.click(),
		document.body.innerText.includes('It was changed elsewhere meanwhile; yours differs in the note and when it began.'))`))
	noViolations(t, p, "a spell changed on two devices")
	require.NoError(t, p.Wait(`(document.querySelector('.unsent').scrollIntoView(), true)`))
	picture(t, p, "clash-phone")
	require.NoError(t, p.Click("Write mine over it"))
	require.NoError(t, p.Wait(`document.querySelector('.back') && !document.querySelector('.unsent')`))
	assert.Equal(t, "40,,3", eval[string](t, p, `fetch('/api/v1/spells').then((r) => r.json()).then((l) => {
		const s = l.spells.find((s) => s.offering === 'Gold spoon');
		return [(Date.parse(s.ended_at) - Date.parse(s.started_at)) / 60000, s.note, s.revision].join() })`))
}

// A trial is fished with no signal: blocks, what came in them, what is next, through a reload; the server has each once.
func TestATrialIsFishedWithNoSignal(t *testing.T) {
	s := newSite(t)
	_, p, _ := installed(t, s)
	id := eval[string](t, p, `(async () => {
		const id = crypto.randomUUID();
		const spots = await fetch('/api/v1/spots').then((r) => r.json());
		const arm = (name, finish) => ({name, approach: 'lure', offering: 'Paddle tail', finish});
		await fetch('/api/v1/trials/' + id, {method: 'PUT', headers: {'Content-Type': 'application/json'}, body: JSON.stringify({
			question: 'Dark or white?', target: 'red-drum', spot_id: spots[0].id, block_min: 20, rounds: 2,
			arms: [arm('Dark', 'dark'), arm('White', 'white')]})});
		return id;
	})()`)
	require.NoError(t, p.Go("/back/trials/"+id))
	require.NoError(t, p.WaitText("Block 1 of 4"))
	s.stop()
	require.NoError(t, p.Click("Begin"))
	landed := `[...document.querySelectorAll('.trial-counters button')].find((b) => b.innerText.includes('landed'))`
	require.NoError(t, p.Wait(landed))
	for n := range 2 {
		require.NoError(t, p.Wait(`(`+landed+`.click(), true)`))
		require.NoError(t, p.Wait(landed+`.innerText.startsWith('`+string(rune('1'+n))+`')`))
	}
	require.NoError(t, p.Wait(`(document.querySelector('.trial-row .chosen').click(), true)`))
	require.NoError(t, p.WaitText("Block 2 of 4"))
	require.NoError(t, p.Click("Begin"))
	require.NoError(t, p.Wait(landed))
	require.NoError(t, p.Go("/back/trials/"+id))
	require.NoError(t, p.WaitText("Block 2 of 4"))
	require.NoError(t, p.Wait(landed))
	picture(t, p, "trial-unsent-phone")
	s.start()
	require.NoError(t, p.Wait(`(`+landed+`?.click(), true)`))
	blocks := `fetch('/api/v1/trials/` + id + `').then((r) => r.json()).then((t) => t.blocks.map((b) => [b.turn, b.landed ?? 0,
		!!b.ended_at].join()).join(' '))`
	require.NoError(t, p.Wait(`(`+blocks+`.then((b) => { window.had = b }), window.had === '0,2,true 1,1,false')`))
	require.NoError(t, p.Go("/back"))
	require.NoError(t, p.Wait(`document.querySelector('.back') && !document.querySelector('.unsent')`))
}
