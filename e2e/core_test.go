package e2e

import (
	"encoding/json"
	"fmt"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// asset of the built page by a pattern, as its address.
func asset(t *testing.T, pattern string) string {
	found, err := filepath.Glob("../ui/dist/assets/" + pattern)
	require.NoError(t, err)
	require.Len(t, found, 1, pattern)
	return "/assets/" + filepath.Base(found[0])
}

// compared asks the server and the core in the browser the same, and says what either answered.
const compared = `(async () => { try {
	await import(%q);
	const go = new Go();
	const bytes = await (await fetch(%q)).arrayBuffer();
	const { instance } = await WebAssembly.instantiate(bytes, go.importObject);
	void go.run(instance);
	const pack = await (await fetch('/api/v1/offline')).json();
	const began = performance.now();
	const taken = greyPebble('pack', JSON.stringify(pack));
	if (typeof taken !== 'string') throw taken;
	const packMs = performance.now() - began;
	const pairs = [], advice = [];
	for (const q of %s) {
		const r = await fetch('/api/v1' + q.path, { method: q.method, headers: { 'Content-Type': 'application/json' },
			body: q.body ? JSON.stringify(q.body) : undefined });
		const theirs = { status: r.status, body: await r.json() };
		const at = performance.now();
		const raw = greyPebble('ask', JSON.stringify({ ...q, now: pack.made_at }));
		if (q.path === '/advise') advice.push(performance.now() - at);
		if (typeof raw !== 'string') throw Error(JSON.stringify([q, theirs.status]) + raw);
		pairs.push({ q, theirs, ours: JSON.parse(raw) });
	}
	advice.sort((a, b) => a - b);
	return JSON.stringify({ pairs, packMs, adviceMs: advice[advice.length >> 1] });
} catch (e) { return JSON.stringify({ failed: String(e) + e?.stack }); } })()`

// The core answers in Chromium what the server answers, to the last digit shown; and is no larger than it
// may be, pressed as it is sent.
func TestTheCoreInTheBrowserAnswersAsTheServerDoes(t *testing.T) {
	core := asset(t, "core-*.wasm")
	pressed, err := os.Stat("../ui/dist" + core + ".br")
	require.NoError(t, err)
	assert.Less(t, pressed.Size(), int64(1_850_000))

	name := kit.Newcomer(t, "wren", testkit.NoLog)
	c := kit.As(t, name)
	asked, err := json.Marshal(c.Questions(42, 200))
	require.NoError(t, err)
	p := open(t, browser.Phone)
	require.NoError(t, p.SignIn(name, demo.Password))
	raw := eval[string](t, p, fmt.Sprintf(compared, asset(t, "wasm_exec-*.js"), core, asked))
	var out struct {
		Pairs []struct {
			Q            testkit.Question
			Theirs, Ours struct {
				Status int
				Body   any
			}
		}
		PackMs, AdviceMs float64
		Failed           string
	}
	require.NoError(t, json.Unmarshal([]byte(raw), &out))
	require.Empty(t, out.Failed)
	require.Len(t, out.Pairs, 200)
	answered := 0
	for _, k := range out.Pairs {
		require.Equal(t, k.Theirs.Status, k.Ours.Status, "%v: %v, %v", k.Q, k.Theirs.Body, k.Ours.Body)
		if k.Theirs.Status == 200 {
			answered++
			require.Empty(t, testkit.Differs("", k.Theirs.Body, k.Ours.Body), "%v", k.Q)
		}
	}
	assert.Greater(t, answered, 130)
	t.Logf("the pack is taken in %.0f ms, an advice takes %.1f ms; %d kB pressed", out.PackMs, out.AdviceMs, pressed.Size()/1000)
}
