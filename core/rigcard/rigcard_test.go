package rigcard

import (
	"fmt"
	"greypebble/core/drawing"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/tackle"
)

var numbers = regexp.MustCompile(`-?\d+\.\d`)

// inside says whether everything drawn lies on the sheet. The arcs of ellipses carry
// relative numbers and are left out.
func inside(t *testing.T, d drawing.Drawing, what string) {
	t.Helper()
	assert.Positive(t, d.Height, what)
	assert.NotEmpty(t, d.Strokes, what)
	for _, s := range d.Strokes {
		require.NotContains(t, s.Path, "NaN", what)
		path, _, arc := strings.Cut(s.Path, " a")
		list := numbers.FindAllString(path, -1)
		for i := 0; i+1 < len(list) && !arc; i += 2 {
			x, _ := strconv.ParseFloat(list[i], 64)
			y, _ := strconv.ParseFloat(list[i+1], 64)
			assert.True(t, x >= 0 && x <= Width && y >= -1 && y <= d.Height+1, "%s: %v, %v lies off a sheet of %v × %v", what, x, y,
				Width, d.Height)
		}
	}
	for _, l := range d.Labels {
		if l.Small && l.Anchor == "start" {
			assert.LessOrEqual(t, len([]rune(l.Text)), widest+4, "%s: %q runs off the sheet", what, l.Text)
		}
		assert.True(t, l.Y > 0 && l.Y <= d.Height, "%s: %q at %v of %v", what, l.Text, l.Y, d.Height)
	}
}

func TestEveryRigIsDrawnWithItsMeasures(t *testing.T) {
	b, err := playbook.Builtin()
	require.NoError(t, err)
	drawn := map[string]bool{}
	for i := range b.Rigs {
		r := &b.Rigs[i]
		for j := range b.Offerings {
			o := &b.Offerings[j]
			for _, k := range o.On() {
				if k != r {
					continue
				}
				d := Rig(r, Tied{WeightKg: 0.0283, Hook: "3/0 circle", LeaderN: 30 * 4.448, LeaderOf: "fluorocarbon", Offering: o,
					Units: quantity.US})
				inside(t, d, r.ID+" with "+o.ID)
				all := fmt.Sprint(d.Labels)
				for _, p := range r.Pieces {
					drawn[p.Kind] = true
					if p.LengthM > 0 {
						assert.Contains(t, all, quantity.US.ShowShort(p.LengthM), "%s shows how long its %s is", r.ID, p.Kind)
					}
				}
				if r.LeaderM > 0 && r.Pieces[len(r.Pieces)-1].Kind != "dropper" && !r.Vertical {
					assert.Contains(t, all, "30 lb fluorocarbon", r.ID)
				}
			}
		}
		inside(t, Rig(r, Tied{}), r.ID+" untied")
	}
	for _, p := range playbook.PieceKinds {
		assert.True(t, drawn[p], "no rig shows a %s", p)
	}
}

// The turns drawn are those the bench tells: common practice, no source.
func TestKnotsAreTiedWithTheTurnsOfTheBench(t *testing.T) {
	knots := map[string]Knot{}
	for _, k := range Knots() {
		knots[k.ID] = k
		assert.GreaterOrEqual(t, len(k.Steps), 3, k.Name)
		for i, s := range k.Steps {
			inside(t, s.Drawing, fmt.Sprintf("%s, step %d", k.Name, i+1))
			assert.NotEmpty(t, s.Says)
		}
	}
	for material, id := range map[tackle.Material]string{tackle.Mono: "reversed-clinch", tackle.Fluoro: "clinch"} {
		name, turns, err := tackle.Knot(material, false)
		require.NoError(t, err)
		assert.Equal(t, strings.ToLower(knots[id].Name), name)
		assert.Contains(t, knots[id].Steps[1].Says, fmt.Sprintf("%d turns", turns))
	}
	_, turns, err := tackle.Knot(tackle.Mono, true)
	require.NoError(t, err)
	assert.Contains(t, knots["loop"].Steps[2].Says, fmt.Sprintf("%d turns", turns))
}

// A turn passes behind once and before once.
func TestWrapsPassBehindAndBefore(t *testing.T) {
	for n := 1; n <= 8; n++ {
		behind, before := wraps(0, 0, 100, n, 10)
		assert.Len(t, behind, n)
		assert.Len(t, before, n)
		for _, runs := range [][][]point{behind, before} {
			for _, run := range runs {
				for i := 1; i < len(run); i++ {
					assert.GreaterOrEqual(t, run[i][0], run[i-1][0])
				}
			}
		}
	}
}
