// Package drawing holds what the core draws: strokes by what they are and words where they stand, which the
// page colours.
package drawing

import (
	"fmt"
	"strings"
)

// Ink says what a stroke is.
type Ink string

// Inks.
const (
	Line   Ink = "line"   // the main line, or a knot's standing line
	Leader Ink = "leader" // a leader, or a knot's end
	Behind Ink = "behind" // a knot's end where it passes behind
	Metal  Ink = "metal"  // hooks, swivels, sinkers
	Body   Ink = "body"   // lures, floats, beads
	Gap    Ink = "gap"    // clears what lies under a crossing
	Rule   Ink = "rule"   // dimension lines

	Water   Ink = "water"   // with light in it
	Dark    Ink = "dark"    // water where a mirror shows black
	Bed     Ink = "bed"     // ground
	Growth  Ink = "growth"  // what stands on it: grass, shell, timber, branches
	Surface Ink = "surface" // of the water
	Level   Ink = "level"   // of the water at another moment
	White   Ink = "white"   // broken water
	Person  Ink = "person"  // who fishes, their boat and what they stand on
	Fish    Ink = "fish"    // where they are taken to be
	Flight  Ink = "flight"  // of a cast
	Run     Ink = "run"     // of a lure or a bait, once it is in the water
	Other   Ink = "other"   // the same of a second choice
	Current Ink = "current" // which way the water goes
	Lane    Ink = "lane"    // the strip that is fished, from above
)

// Inks there are, those of rigs and knots first.
var Inks = []Ink{Line, Leader, Behind, Metal, Body, Gap, Rule, Water, Dark, Bed, Growth, Surface, Level, White, Person, Fish, Flight, Run,
	Other, Current, Lane}

// Stroke is a path in the form SVG has it.
type Stroke struct {
	Ink  Ink
	Path string
	// Filled shapes are closed.
	Filled bool
}

// Label is a word at a place; Anchor is start, middle or end.
type Label struct {
	X, Y         float64
	Text, Anchor string
	// Small ones are measures.
	Small bool
}

// Drawing on a sheet.
type Drawing struct {
	Width, Height float64
	// Says what is drawn, for who cannot see it.
	Says    string
	Strokes []Stroke
	Labels  []Label
}

// Stroke a path.
func (d *Drawing) Stroke(ink Ink, path string) {
	d.Strokes = append(d.Strokes, Stroke{ink, path, false})
}

// Fill a closed path.
func (d *Drawing) Fill(ink Ink, path string) { d.Strokes = append(d.Strokes, Stroke{ink, path, true}) }

// Word at a place; an empty one is left out.
func (d *Drawing) Word(x, y float64, anchor, text string, small bool) {
	if text != "" {
		d.Labels = append(d.Labels, Label{x, y, text, anchor, small})
	}
}

// Point of a drawing: x to the right, y down.
type Point [2]float64

// Smooth is a curve through points (Catmull–Rom, as Béziers).
func Smooth(p []Point) string {
	if len(p) < 2 {
		return ""
	}
	var b strings.Builder
	fmt.Fprintf(&b, "M%s", At(p[0]))
	for i := range len(p) - 1 {
		before, after := p[max(i-1, 0)], p[min(i+2, len(p)-1)]
		a := Point{p[i][0] + (p[i+1][0]-before[0])/6, p[i][1] + (p[i+1][1]-before[1])/6}
		c := Point{p[i+1][0] - (after[0]-p[i][0])/6, p[i+1][1] - (after[1]-p[i][1])/6}
		fmt.Fprintf(&b, "C%s %s %s", At(a), At(c), At(p[i+1]))
	}
	return b.String()
}

// Straight lines through points.
func Straight(p ...Point) string {
	var b strings.Builder
	for i, k := range p {
		b.WriteString(map[bool]string{true: "M", false: "L"}[i == 0])
		b.WriteString(At(k))
	}
	return b.String()
}

// At is a point as paths have it.
func At(p Point) string { return fmt.Sprintf("%.1f %.1f", p[0], p[1]) }

// Ellipse about a middle.
func Ellipse(x, y, rx, ry float64) string {
	return fmt.Sprintf("M%s a%.1f %.1f 0 1 0 %.1f 0 a%.1f %.1f 0 1 0 %.1f 0Z", At(Point{x - rx, y}), rx, ry, 2*rx, rx, ry, -2*rx)
}
