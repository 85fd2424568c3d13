package rigcard

import (
	"fmt"
	"math"
	"strings"
)

// Width of every drawing.
const Width = 340.0

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
)

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

// Drawing of a height.
type Drawing struct {
	Height  float64
	Strokes []Stroke
	Labels  []Label
}

func (d *Drawing) stroke(ink Ink, path string) {
	d.Strokes = append(d.Strokes, Stroke{ink, path, false})
}
func (d *Drawing) fill(ink Ink, path string) { d.Strokes = append(d.Strokes, Stroke{ink, path, true}) }

func (d *Drawing) word(x, y float64, anchor, text string, small bool) {
	if text != "" {
		d.Labels = append(d.Labels, Label{x, y, text, anchor, small})
	}
}

// point of a drawing.
type point struct{ x, y float64 }

// smooth is a curve through points (Catmull–Rom, as Béziers).
func smooth(p []point) string {
	if len(p) < 2 {
		return ""
	}
	var b strings.Builder
	fmt.Fprintf(&b, "M%s", at(p[0]))
	for i := range len(p) - 1 {
		before, after := p[max(i-1, 0)], p[min(i+2, len(p)-1)]
		a := point{p[i].x + (p[i+1].x-before.x)/6, p[i].y + (p[i+1].y-before.y)/6}
		c := point{p[i+1].x - (after.x-p[i].x)/6, p[i+1].y - (after.y-p[i].y)/6}
		fmt.Fprintf(&b, "C%s %s %s", at(a), at(c), at(p[i+1]))
	}
	return b.String()
}

// straight lines through points.
func straight(p ...point) string {
	var b strings.Builder
	for i, k := range p {
		b.WriteString(map[bool]string{true: "M", false: "L"}[i == 0])
		b.WriteString(at(k))
	}
	return b.String()
}

func at(p point) string { return fmt.Sprintf("%.1f %.1f", p.x, p.y) }

// ellipse about a middle.
func ellipse(x, y, rx, ry float64) string {
	return fmt.Sprintf("M%s a%.1f %.1f 0 1 0 %.1f 0 a%.1f %.1f 0 1 0 %.1f 0Z", at(point{x - rx, y}), rx, ry, 2*rx, rx, ry, -2*rx)
}

// wraps of a line about an axis from one x to another: n turns of a height. It gives the
// runs that pass behind the axis and those that pass before it.
func wraps(axisY, fromX, toX float64, n int, height float64) (behind, before [][]point) {
	const perTurn = 16
	var run []point
	front := true
	flush := func() {
		if len(run) > 1 {
			if front {
				before = append(before, run)
			} else {
				behind = append(behind, run)
			}
		}
	}
	steps := n * perTurn
	for i := 0; i <= steps; i++ {
		turn := 2 * math.Pi * float64(i) / perTurn
		p := point{fromX + (toX-fromX)*float64(i)/float64(steps), axisY + height*math.Cos(turn)}
		run = append(run, p)
		if now := math.Sin(turn+math.Pi/perTurn) >= 0; now != front || i == steps {
			flush()
			run, front = []point{p}, now
		}
	}
	return behind, before
}
