package e2e

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// A fish measured on a photo by the card beside it: four touches, an estimate with its bounds, kept with the fish.
func TestALengthFromAPhoto(t *testing.T) {
	p := signedIn(t, "wren", browser.Phone)
	begin(t, p, "Silver bar")
	require.NoError(t, p.Click("Hooked"))
	require.NoError(t, p.Click("With length"))
	require.NoError(t, p.WaitText("Measure it on a photo"))
	// A made-up photo: a card of 130 pixels, a fish of 900: 0.593 m.
	_, err := browser.Eval[any](p, `new Promise((done) => {
		const c = Object.assign(document.createElement('canvas'), { width: 1200, height: 800 });
		const g = c.getContext('2d');
		g.fillStyle = '#9a8f78'; g.fillRect(0, 0, 1200, 800);
		g.fillStyle = '#e8e6e1'; g.fillRect(200, 560, 130, 82);
		g.fillStyle = '#6b7d86'; g.beginPath(); g.ellipse(560, 400, 410, 120, 0, 0, 7); g.fill();
		g.beginPath(); g.moveTo(930, 400); g.lineTo(1050, 320); g.lineTo(1020, 400); g.lineTo(1050, 480); g.fill();
		c.toBlob((b) => {
			const list = new DataTransfer();
			list.items.add(new File([b], 'fish.png', { type: 'image/png' }));
			const input = document.querySelector('.fish-photo input[type=file]');
			input.files = list.files;
			input.dispatchEvent(new Event('change', { bubbles: true }));
			done(1);
		});
	})`)
	require.NoError(t, err)
	require.NoError(t, p.Wait(`document.querySelector('.fish-plan.photo')?.viewBox.baseVal.width === 1200`))
	require.NoError(t, p.Still())
	type at struct{ X, Y float64 }
	for i, pixel := range [][2]string{{"200", "600"}, {"330", "600"}, {"150", "400"}, {"1050", "400"}} {
		// Once to draw it near, once exactly.
		for range 2 {
			to := eval[at](t, p, `(() => { const s = document.querySelector('.fish-plan.photo'); s.scrollIntoView({ block: 'center' });
				const q = new DOMPoint(`+pixel[0]+`, `+pixel[1]+`).matrixTransform(s.getScreenCTM()); return { x: q.x, y: q.y }; })()`)
			near := eval[float64](t, p, `document.querySelector('.fish-plan.photo').viewBox.baseVal.width`)
			require.NoError(t, p.Touch(to.X, to.Y))
			require.NoError(t, p.Wait(fmt.Sprintf(`document.querySelector('.fish-plan.photo').viewBox.baseVal.width !== %v`, near)))
		}
		require.NoError(t, p.Wait(`document.querySelectorAll('.fish-plan.photo circle').length === `+string(rune('1'+i))))
	}
	require.NoError(t, p.WaitText(": an estimate."))
	require.NoError(t, p.Still())
	picture(t, p, "fish-photo")
	noViolations(t, p, "a length from a photo")
	require.NoError(t, p.Click("Take it"))
	require.NoError(t, p.WaitText("Length from a photo,"))
	require.NoError(t, p.Wait(`(document.querySelector('.fish .panel .act.chosen').click(), true)`))
	require.NoError(t, p.WaitText("Landed: noted."))
	require.NoError(t, p.WaitText("All told to the server."))
	type caught struct {
		LengthM float64 `json:"length_m"`
		Note    string
	}
	fish := eval[caught](t, p, `(async () => {
		const all = (await (await fetch('/api/v1/outings')).json()).outings;
		return (await (await fetch('/api/v1/outings/' + all[0].id)).json()).spells[0].catches[0];
	})()`)
	assert.InDelta(t, 0.593, fish.LengthM, 0.02)
	assert.Contains(t, fish.Note, "Length from a photo, ")
}
