package photo_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/photo"
)

func line(x, y, deg, length float64) photo.Line {
	s, c := math.Sincos(deg * math.Pi / 180)
	return photo.Line{A: photo.Point{X: x, Y: y}, B: photo.Point{X: x + c*length, Y: y + s*length}}
}

// A photo of any scale, turned any way, gives the fish its length.
func TestAFishBesideACard(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		scale := rapid.Float64Range(800, 4000).Draw(t, "pixels a metre")
		fish := rapid.Float64Range(0.2, 1.5).Draw(t, "fish")
		got, err := photo.Measure(line(10, 20, rapid.Float64Range(0, 360).Draw(t, "lies"), fish*scale),
			line(300, 5, rapid.Float64Range(0, 360).Draw(t, "card lies"), photo.Card*scale), photo.Card, 4)
		require.NoError(t, err)
		assert.InEpsilon(t, fish, got.M, 1e-9)
		assert.Less(t, got.Low, fish)
		assert.Greater(t, got.High, fish)
	})
}

// Touches off by what is said of them leave the length within its bounds four times in five, or a little oftener:
// the tilt is allowed for besides.
func TestTheBoundsHold(t *testing.T) {
	r := rand.New(rand.NewPCG(18, 7)) //nolint:gosec // the same each time
	const n, scale, fish, touch = 4000, 1500.0, 0.6, 5.0
	inside := 0
	for range n {
		off := func(p photo.Point) photo.Point {
			return photo.Point{X: p.X + touch*r.NormFloat64(), Y: p.Y + touch*r.NormFloat64()}
		}
		shake := func(l photo.Line) photo.Line { return photo.Line{A: off(l.A), B: off(l.B)} }
		tilted := 1 + 0.03*r.NormFloat64()
		got, err := photo.Measure(shake(line(0, 0, 30, fish*scale*tilted)), shake(line(0, 400, 10, photo.Card*scale)), photo.Card, touch)
		require.NoError(t, err)
		if got.Low <= fish && fish <= got.High {
			inside++
		}
	}
	assert.InDelta(t, 0.8, float64(inside)/n, 0.02)
}

func TestWhatCannotBeMeasured(t *testing.T) {
	card := line(0, 0, 0, 130)
	for name, ask := range map[string]func() (photo.Length, error){
		"no fish": func() (photo.Length, error) { return photo.Measure(line(0, 0, 0, 0), card, photo.Card, 4) },
		"small card": func() (photo.Length, error) {
			return photo.Measure(line(0, 0, 0, 500), line(0, 0, 0, 20), photo.Card, 4)
		},
		"no length": func() (photo.Length, error) { return photo.Measure(line(0, 0, 0, 500), card, math.NaN(), 4) },
		"a whale":   func() (photo.Length, error) { return photo.Measure(line(0, 0, 0, 9000), card, photo.Card, 4) },
	} {
		_, err := ask()
		require.Error(t, err, name)
	}
}
