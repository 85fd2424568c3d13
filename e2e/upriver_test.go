package e2e

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// The bends of a river are given their order in the form of a spot, and a run up it is seen in the seasons:
// the mouth at the bottom, the days across.
func TestTheBendsOfARiverAreCounted(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	last := eval[string](t, p, `(async () => {
		const sent = async (path, body) => {
			const r = await fetch('/api/v1' + path, {method: 'PUT', headers: {'Content-Type': 'application/json'},
				body: JSON.stringify(body)});
			if (!r.ok) throw new Error(path + ' ' + r.status + ' ' + await r.text());
		};
		const water = (await (await fetch('/api/v1/waters')).json()).find((w) => w.name === 'Sedge Sound').id;
		let id;
		for (const [i, bend] of [1, 2, 4, undefined].entries()) {
			id = crypto.randomUUID();
			const way = {name: '', elevation_m: 0, clear: true};
			await sent('/spots/' + id, {name: 'Heron Reach ' + (i + 1), place: 'river bend', lat: 38.2, lon: -45.1, manner: 'on foot', bend,
				water_id: water, in: way, out: way, section: [{distance_m: 0, elevation_m: 2}, {distance_m: 60, elevation_m: -4}],
				marks: [{id: crypto.randomUUID(), name: 'Edge', kind: 'edge', bottom: 'mud', distance_m: 25}]});
		}
		const months = [...Array(12)].map((_, m) => ({month: m + 1, mean: [6, 6, 6, 6, 6, 6, 6, 6, 6, 12, 18, 24][m], spread: 0.8}));
		await sent('/waters/' + water + '/usual', {kinds: [{kind: 'water_temp_c', months}]});
		return id;
	})()`)
	require.NoError(t, p.Go("/water/edit/"+last))
	require.NoError(t, p.WaitText("Bend, from the mouth"))
	require.NoError(t, p.Still())
	require.NoError(t, p.Fill("Bend, from the mouth", "5"))
	picture(t, p, "bend")
	noViolations(t, p, "a bend of a river")
	require.NoError(t, p.Click("Keep the spot"))
	require.NoError(t, p.WaitText("is kept."))
	assert.Equal(t, 5, eval[int](t, p, `fetch('/api/v1/spots/`+last+`').then((r) => r.json()).then((s) => s.written.bend)`))

	require.NoError(t, p.Go("/ahead/seasons"))
	require.NoError(t, p.WaitText("Up the rivers"))
	require.NoError(t, p.Still())
	_, err := browser.Eval[any](p, `(document.querySelector('.upriver').scrollIntoView({block: 'center'}), 1)`)
	require.NoError(t, err)
	rows := eval[[]string](t, p, `[...document.querySelector('.upriver tbody').rows].map((r) => r.cells[0].textContent)`)
	assert.Equal(t, []string{"5 · Heron Reach 4", "4 · Heron Reach 3", "3", "2 · Heron Reach 2", "1 · Heron Reach 1"}, rows)
	says := eval[string](t, p, `document.querySelector('.upriver figcaption').textContent`)
	assert.Contains(t, says, "Sedge Sound. ")
	assert.Regexp(t, `the spring run (is most likely|comes about)`, says)
	picture(t, p, fmt.Sprintf("upriver-%d", browser.Desk.Width))
	noViolations(t, p, "a run up a river")
}
