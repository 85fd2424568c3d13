package e2e

import (
	"net"
	"net/http"
	"net/http/httptest"
	"sync/atomic"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// site is the program on an address of its own, which can go away and come back.
type site struct {
	t    *testing.T
	addr string
	http *http.Server
	// puts of outings it had.
	puts atomic.Int64
	// newer program: its service worker is another.
	newer atomic.Bool
}

func newSite(t *testing.T) *site {
	s := &site{t: t, addr: "127.0.0.1:0"}
	s.start()
	t.Cleanup(s.stop)
	return s
}

func (s *site) start() {
	l, err := (&net.ListenConfig{}).Listen(s.t.Context(), "tcp", s.addr)
	require.NoError(s.t, err)
	s.addr = l.Addr().String()
	s.http = &http.Server{Handler: http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if r.Method == http.MethodPut {
			s.puts.Add(1)
		}
		if r.URL.Path == "/sw.js" && s.newer.Load() {
			r.Header.Del("Accept-Encoding")
			r.Header.Del("If-None-Match")
			now := httptest.NewRecorder()
			kit.App.Handler.ServeHTTP(now, r)
			w.Header().Set("Content-Type", now.Header().Get("Content-Type"))
			_, _ = w.Write(append(now.Body.Bytes(), "\n// a newer program\n"...))
			return
		}
		kit.App.Handler.ServeHTTP(w, r)
	})}
	go func(h *http.Server) { _ = h.Serve(l) }(s.http)
}

func (s *site) stop() { _ = s.http.Close() }

// The whole chain with no signal and no server: the installed page starts cold, an outing of three spells, two fish
// and one lost is told, the clarity changes, the browser is killed in between; with the server back the
// log holds exactly it, once. Who signs in next on the device sees nothing of it.
func TestAnOutingWithoutSignalIsToldOnce(t *testing.T) {
	s := newSite(t)
	name := kit.Newcomer(t, "wren", testkit.ALog)
	dir := t.TempDir()
	chrome, err := browser.OpenIn(dir)
	require.NoError(t, err)
	open := func() *browser.Page {
		p, err := chrome.Own("http://"+s.addr, browser.Phone)
		require.NoError(t, err)
		return p
	}
	p := open()
	require.NoError(t, p.Go("/"))
	require.NoError(t, p.WaitText("Sign in"))
	require.NoError(t, p.SignIn(name, demo.Password))
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("Go fishing"))
	// Installed: the page, its manifest and what it needs with no signal.
	require.NoError(t, p.Wait(`(navigator.serviceWorker.getRegistration().then((r) => { window.installed = !!r?.active }),
		window.installed)`))
	manifest := eval[map[string]any](t, p, `fetch(document.querySelector('link[rel=manifest]').href).then((r) => r.json())`)
	assert.Equal(t, "/fish", manifest["start_url"])
	assert.Equal(t, "standalone", manifest["display"])
	for _, icon := range manifest["icons"].([]any) {
		src := icon.(map[string]any)["src"].(string)
		assert.Equal(t, 200, eval[int](t, p, "fetch(`"+src+"`).then((r) => r.status)"), src)
	}
	// What the core needs to answer by itself is sent behind that.
	require.NoError(t, p.Wait(`(async () => {
		window.packed = (await new Promise((done) => {
			const r = indexedDB.open('greypebble');
			r.onsuccess = () => {
				const q = r.result.transaction('packs').objectStore('packs').count();
				q.onsuccess = () => { r.result.close(); done(q.result) };
			};
		})) === 1;
	})(), window.packed`))
	require.NoError(t, p.Go("/ahead"))
	require.NoError(t, p.WaitText("Anything that is on"))
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("Ready for no signal, as of"))
	require.NoError(t, p.WaitText("Go fishing"))
	require.NoError(t, p.Still())

	// The server is gone and the device starts cold.
	s.stop()
	require.NoError(t, chrome.Quit())
	chrome, err = browser.OpenIn(dir)
	require.NoError(t, err)
	p = open()
	require.NoError(t, p.Go("/tie-on"))
	require.NoError(t, p.WaitText("No signal."))
	require.NoError(t, p.Wait(`document.querySelector('.choice-says')`))
	picture(t, p, "tie-no-signal")
	require.NoError(t, p.Go("/water"))
	require.NoError(t, p.Wait(`document.querySelector('.water-head')`))
	picture(t, p, "water-no-signal")
	require.NoError(t, p.Go("/ahead"))
	require.NoError(t, p.WaitText("Anything that is on"))
	// What nobody asked before is worked out here.
	require.NoError(t, p.Wait(firstWindow))
	require.NoError(t, p.Click("at any hour, ×1.2 or better"))
	require.NoError(t, p.Click("weekends"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('.window-when b')].every((w) => /^S(at|un)/.test(w.innerText)) &&
		`+firstWindow))
	picture(t, p, "ahead-no-signal")
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("Go fishing"))
	require.NoError(t, p.Fill("On the hook", "White paddle tail"))
	require.NoError(t, p.Click("Begin"))
	require.NoError(t, p.WaitText("Rod-hours"))
	require.NoError(t, p.Wait(`/With no signal nothing is known|The way|flood|ebb/.test(document.querySelector('.fish-now').innerText)`))
	require.NoError(t, p.Click("Hooked"))
	require.NoError(t, p.Click("Landed"))
	require.NoError(t, p.WaitText("No signal. Kept here: 3. As of"))
	require.NoError(t, p.Click("Change"))
	require.NoError(t, p.Fill("On the hook", "Jig"))
	require.NoError(t, p.Click("Fish this"))
	require.NoError(t, p.WaitText("Kept here: 4."))
	require.NoError(t, p.Click("More"))
	require.NoError(t, p.Fill("Clear to", "0.4"))
	require.NoError(t, p.Click("Keep it"))
	require.NoError(t, p.WaitText("Kept here: 5."))

	// Killed, not closed.
	chrome.Kill()
	chrome, err = browser.OpenIn(dir)
	require.NoError(t, err)
	p = open()
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("Rod-hours"))
	require.NoError(t, p.WaitText("Kept here: 5."))
	picture(t, p, "fish-cold")
	require.NoError(t, p.Click("Hooked"))
	require.NoError(t, p.Click("Lost"))
	require.NoError(t, p.WaitText("Kept here: 7."))
	require.NoError(t, p.Click("Change"))
	require.NoError(t, p.Fill("On the hook", "Crab"))
	require.NoError(t, p.Click("Fish this"))
	require.NoError(t, p.WaitText("Kept here: 8."))
	require.NoError(t, p.Click("Hooked"))
	require.NoError(t, p.Click("With length"))
	picture(t, p, "fish-length")
	require.NoError(t, p.Fill("Length", "61"))
	require.NoError(t, p.Wait(`(document.querySelector('.fish .panel .act.chosen').click(), true)`))
	require.NoError(t, p.WaitText("Kept here: 10."))
	assert.Zero(t, eval[int](t, p, `performance.getEntriesByType('resource').filter((r) => !r.name.startsWith(location.origin)).length`))

	s.start()
	// It may have been sent by itself meanwhile.
	require.NoError(t, p.Wait(`(document.querySelector('.fish-mail .plain')?.click(), true)`))
	require.NoError(t, p.WaitText("All told to the server."))
	want := "White paddle tail 1 1 fish on | Jig 1 0 fish on+lost | Crab 1 1 fish on"
	assert.Equal(t, want, eval[string](t, p, logOf))
	require.NoError(t, p.Click("Bite"))
	require.NoError(t, p.WaitText("Bite: noted."))
	require.NoError(t, p.WaitText("All told to the server."))
	require.NoError(t, p.Wait(`(`+logOf+`.then((l) => { window.logged = l }), window.logged?.endsWith('+bite'))`))
	assert.Equal(t, want+"+bite", eval[string](t, p, logOf))

	// Another on the same device.
	require.NoError(t, p.Go("/set-up/you"))
	require.NoError(t, p.WaitText("Sign out"))
	require.NoError(t, p.Click("Sign out"))
	require.NoError(t, p.WaitText("Sign in"))
	require.NoError(t, p.SignIn(kit.Newcomer(t, "wren", testkit.ALog), demo.Password))
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("Go fishing"))
	assert.Zero(t, eval[int](t, p, `(async () => {
		const open = (await indexedDB.databases()).filter((d) => d.name === 'greypebble').map((d) => new Promise((done) => {
			const r = indexedDB.open(d.name);
			r.onsuccess = () => done(r.result);
		}));
		let n = 0;
		for (const db of await Promise.all(open)) {
			const all = await new Promise((done) => {
				const r = db.transaction('touches').objectStore('touches').getAll();
				r.onsuccess = () => done(r.result);
			});
			n += all.length;
			db.close();
		}
		return n;
	})()`))
	chrome.Close()
}
