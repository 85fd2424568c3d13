package e2e

import (
	"bytes"
	"fmt"
	"math/rand/v2"
	"net"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// program is the one that is shipped, with a database of its own: what can be killed of it is.
type program struct {
	t            *testing.T
	binary, data string
	port         int
	cmd          *exec.Cmd
	out          bytes.Buffer
}

func newProgram(t *testing.T) *program {
	p := &program{t: t, binary: filepath.Join(t.TempDir(), "greypebble"), data: filepath.Join(t.TempDir(), "data")}
	out, err := exec.Command("go", "build", "-o", p.binary, "../cmd/greypebble").CombinedOutput()
	require.NoError(t, err, "%s", out)
	l, err := (&net.ListenConfig{}).Listen(t.Context(), "tcp", "127.0.0.1:0")
	require.NoError(t, err)
	p.port = l.Addr().(*net.TCPAddr).Port
	require.NoError(t, l.Close())
	p.start()
	t.Cleanup(func() { p.kill(); p.killDatabase() })
	return p
}

func (p *program) url() string { return fmt.Sprintf("http://127.0.0.1:%d", p.port) }

func (p *program) start() {
	p.cmd = exec.Command(p.binary, "demo", "--port", strconv.Itoa(p.port), "--data", p.data)
	p.cmd.Stdout, p.cmd.Stderr = &p.out, &p.out
	require.NoError(p.t, p.cmd.Start())
	again := time.NewTicker(100 * time.Millisecond)
	defer again.Stop()
	for deadline := time.Now().Add(90 * time.Second); ; <-again.C {
		req, err := http.NewRequestWithContext(p.t.Context(), http.MethodGet, p.url()+"/api/v1/health", nil)
		require.NoError(p.t, err)
		if res, err := http.DefaultClient.Do(req); err == nil {
			_ = res.Body.Close()
			if res.StatusCode == http.StatusOK {
				return
			}
		}
		require.True(p.t, time.Now().Before(deadline), "it does not start: %s", p.out.String())
	}
}

func (p *program) kill() {
	_ = p.cmd.Process.Kill()
	_ = p.cmd.Wait()
}

// killDatabase under it, as in a power cut.
func (p *program) killDatabase() {
	files, _ := filepath.Glob("/proc/[0-9]*/cmdline")
	for _, f := range files {
		line, err := os.ReadFile(filepath.Clean(f))
		if err != nil || !bytes.Contains(line, []byte("mariadbd")) || !bytes.Contains(line, []byte(p.data)) {
			continue
		}
		if pid, err := strconv.Atoi(filepath.Base(filepath.Dir(f))); err == nil {
			_ = syscall.Kill(pid, syscall.SIGKILL)
		}
	}
}

// kept are the touches of the outing in hand, on the device and on the server, as "kind kind …".
const keptTouches = `(async () => {
	const db = await new Promise((done) => {
		const r = indexedDB.open('greypebble');
		r.onsuccess = () => done(r.result);
	});
	const all = await new Promise((done) => {
		const r = db.transaction('touches').objectStore('touches').getAll();
		r.onsuccess = () => done(r.result);
	});
	db.close();
	const here = all.toSorted((a, b) => a.n - b.n);
	const there = here.length === 0 ? [] : (await (await fetch('/api/v1/outings/' + here[0].outing)).json()).touches;
	const list = (l) => l.map((t) => t.n + ' ' + t.id + ' ' + t.kind).join(', ');
	return [list(here), list((there ?? []).toSorted((a, b) => a.n - b.n)), here.map((t) => t.kind).join(' ')];
})()`

// Killed at random over an outing, the page, the program or its database, in the middle of a touch or
// between two: what was said to be kept is in the log, once, and nothing else is.
func TestKilledAtRandomNothingIsLostOrDoubled(t *testing.T) {
	prog := newProgram(t)
	dir := t.TempDir()
	chrome, err := browser.OpenIn(dir)
	require.NoError(t, err)
	open := func() *browser.Page {
		p, err := chrome.Own(prog.url(), browser.Phone)
		require.NoError(t, err)
		return p
	}
	p := open()
	require.NoError(t, p.Go("/"))
	require.NoError(t, p.WaitText("Sign in"))
	require.NoError(t, p.SignIn("wren", demo.Password))
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("Go fishing"))
	require.NoError(t, p.Wait(`(navigator.serviceWorker.getRegistration().then((r) => { window.installed = !!r?.active }),
		window.installed)`))
	// One signed in some days ago: a browser writes its cookies only after half a minute.
	require.NoError(t, chrome.Quit())
	chrome, err = browser.OpenIn(dir)
	require.NoError(t, err)
	p = open()
	require.NoError(t, p.Go("/fish"))
	require.NoError(t, p.WaitText("Go fishing"))
	require.NoError(t, p.Click("Begin"))
	require.NoError(t, p.WaitText("Rod-hours"))

	var said []string // what the page said is kept
	killed := map[string]int{}
	for n := range testkit.Times(100) {
		word := []string{"Bite", "Missed", "Bait robbed"}[rand.IntN(3)]
		victim := []string{"page", "program", "database"}[n%3]
		killed[victim]++
		require.NoError(t, p.Click(word))
		midway := rand.IntN(2) == 0
		if !midway {
			require.NoError(t, p.WaitText(word+": noted."))
			said = append(said, strings.ToLower(word))
		}
		<-time.NewTimer(time.Duration(rand.IntN(40)) * time.Millisecond).C // a moment that is drawn, not one that is waited for
		switch victim {
		case "page":
			chrome.Kill()
			chrome, err = browser.OpenIn(dir)
			require.NoError(t, err)
			p = open()
			require.NoError(t, p.Go("/fish"))
		case "program":
			prog.kill()
			prog.start()
		case "database":
			prog.killDatabase()
			prog.kill()
			prog.start()
		}
		require.NoError(t, p.WaitText("Rod-hours"))
	}
	require.NoError(t, p.Wait(`(document.querySelector('.fish-mail .plain')?.click(), true)`))
	require.NoError(t, p.WaitText("All told to the server."))
	kept := eval[[]string](t, p, keptTouches)
	assert.Equal(t, kept[0], kept[1], "the server has what the device has, once")
	// What was acknowledged is there, in its order; what was cut off in the middle may be there too.
	rest := strings.Fields(strings.ReplaceAll(kept[2], "bait robbed", "bait-robbed"))
	for _, one := range said {
		one = strings.ReplaceAll(one, " ", "-")
		at := -1
		for i, k := range rest {
			if k == one {
				at = i
				break
			}
		}
		require.GreaterOrEqual(t, at, 0, "%s was said to be kept, and is not: %s", one, kept[2])
		rest = rest[at+1:]
	}
	assert.LessOrEqual(t, len(strings.Split(kept[0], ", ")), testkit.Times(100)+1, "none twice")
	t.Logf("killed %v; %d acknowledged, kept: %s", killed, len(said), kept[2])
	chrome.Close()
}
