package rigcard

import "fmt"

// Knot with the steps it is tied in.
type Knot struct {
	ID, Name string
	// For says what it is tied for.
	For   string
	Steps []Step
}

// Step of a knot.
type Step struct {
	Says    string
	Drawing Drawing
}

// Turns of each knot: common practice, no source. Fluorocarbon abrades itself and takes
// fewer.
const (
	clinchTurns   = 6
	reversedTurns = 7
	loopTurns     = 5
	leaderTwists  = 7
	doubledWraps  = 3
	stopWraps     = 5
	dropperTurns  = 3
)

const (
	knotHeight = 120.0
	mid        = 56.0
	eyeX       = 292.0
)

// sketch of a step.
func sketch() *Drawing { return &Drawing{Height: knotHeight} }

// eye of a hook at the right.
func (d *Drawing) eye() {
	d.stroke(Metal, ellipse(eyeX, mid, 10, 10))
	d.stroke(Metal, straight(point{eyeX + 10, mid}, point{Width - 4, mid}))
}

// over draws a line that passes over what is there.
func (d *Drawing) over(ink Ink, p ...point) {
	path := smooth(p)
	d.stroke(Gap, path)
	d.stroke(ink, path)
}

// coil wraps the end about what lies along the middle.
func (d *Drawing) coil(fromX, toX float64, n int, height float64, along func()) {
	behind, before := wraps(mid, fromX, toX, n, height)
	for _, run := range behind {
		d.stroke(Behind, smooth(run))
	}
	along()
	for _, run := range before {
		d.over(Leader, run...)
	}
}

func (d *Drawing) standing(toX float64) { d.stroke(Line, straight(point{6, mid}, point{toX, mid})) }

// tight coil at the right, the standing line out of it.
func tight(turns int, atX float64) *Drawing {
	d := sketch()
	width := float64(turns) * 7
	d.coil(atX, atX-width, turns, 9, func() { d.standing(atX) })
	d.over(Leader, point{atX - width, mid + 9}, point{atX - width - 6, mid + 16}, point{atX - width - 4, mid + 24})
	return d
}

// Knots of the book.
func Knots() []Knot {
	return []Knot{clinch(), reversed(), loop(), doubled(), leaderToLoop(), stop(), dropper(), haywire()}
}

func clinch() Knot {
	through := func(d *Drawing) {
		d.standing(eyeX)
		d.eye()
	}
	one := sketch()
	through(one)
	one.over(Leader, point{eyeX, mid}, point{eyeX - 8, mid + 20}, point{eyeX - 60, mid + 26}, point{eyeX - 140, mid + 24})
	two := sketch()
	two.coil(eyeX-44, eyeX-44-clinchTurns*22, clinchTurns, 15, func() { through(two) })
	two.over(Leader, point{eyeX, mid}, point{eyeX - 12, mid + 17}, point{eyeX - 44, mid + 15})
	three := sketch()
	three.coil(eyeX-44, eyeX-44-clinchTurns*22, clinchTurns, 15, func() { through(three) })
	three.over(Leader, point{eyeX, mid}, point{eyeX - 12, mid + 17}, point{eyeX - 44, mid + 15})
	end := eyeX - 44 - clinchTurns*22.0
	three.over(Leader, point{end, mid + 15}, point{end - 10, mid + 34}, point{end + 60, mid + 44}, point{eyeX - 40, mid + 36},
		point{eyeX - 20, mid + 6}, point{eyeX - 26, mid - 24})
	four := tight(clinchTurns, eyeX-11)
	four.eye()
	return Knot{"clinch", "Clinch", "a hook or lure on fluorocarbon, which abrades itself: fewer turns", []Step{
		{"Through the eye and back.", *one},
		{fmt.Sprintf("%d turns about the standing line, away from the eye.", clinchTurns), *two},
		{"The end back through the small loop at the eye.", *three},
		{"Wet it and draw tight; trim.", *four}}}
}

func reversed() Knot {
	through := func(d *Drawing) {
		d.standing(eyeX)
		d.eye()
	}
	from := eyeX - 40 - reversedTurns*20.0
	one := sketch()
	through(one)
	one.over(Leader, point{eyeX, mid}, point{eyeX - 10, mid + 22}, point{from + 30, mid + 28}, point{from - 6, mid + 22},
		point{from, mid + 14})
	two := sketch()
	two.coil(from, eyeX-40, reversedTurns, 14, func() {
		through(two)
		two.over(Leader, point{eyeX, mid}, point{eyeX - 10, mid + 24}, point{from + 30, mid + 32}, point{from - 8, mid + 26},
			point{from, mid + 14})
	})
	three := sketch()
	three.coil(from, eyeX-40, reversedTurns, 14, func() {
		through(three)
		three.over(Leader, point{eyeX, mid}, point{eyeX - 10, mid + 24}, point{from + 30, mid + 32}, point{from - 8, mid + 26},
			point{from, mid + 14})
	})
	three.over(Leader, point{eyeX - 40, mid + 14}, point{eyeX - 24, mid + 20}, point{eyeX - 22, mid + 40})
	four := tight(reversedTurns, eyeX-11)
	four.eye()
	return Knot{"reversed-clinch", "Reversed clinch", "a hook or lure on monofilament", []Step{
		{"Through the eye, and lay the end along the line.", *one},
		{fmt.Sprintf("%d turns back towards the eye, over both.", reversedTurns), *two},
		{"The end out through the loop at the eye.", *three},
		{"Wet it and draw tight; trim.", *four}}}
}

func loop() Knot {
	overhand := func(d *Drawing) {
		d.stroke(Line, straight(point{6, mid}, point{150, mid}))
		d.over(Line, point{150, mid}, point{176, mid - 4}, point{184, mid - 22}, point{166, mid - 26}, point{158, mid - 8},
			point{172, mid + 14}, point{196, mid + 10})
	}
	one := sketch()
	overhand(one)
	one.over(Line, point{196, mid + 10}, point{250, mid + 4}, point{eyeX, mid})
	one.eye()
	two := sketch()
	overhand(two)
	two.over(Line, point{196, mid + 10}, point{250, mid + 20}, point{eyeX, mid})
	two.eye()
	two.over(Leader, point{eyeX, mid}, point{eyeX - 30, mid - 22}, point{220, mid - 24}, point{176, mid - 12}, point{140, mid + 16})
	three := sketch()
	three.coil(138, 138-loopTurns*20, loopTurns, 13, func() {
		overhand(three)
		three.over(Line, point{196, mid + 10}, point{250, mid + 20}, point{eyeX, mid})
		three.eye()
	})
	three.over(Leader, point{eyeX, mid}, point{eyeX - 30, mid - 22}, point{220, mid - 24}, point{176, mid - 12}, point{138, mid + 13})
	four := sketch()
	four.coil(200, 200-loopTurns*8, loopTurns, 9, func() { four.standing(200) })
	four.stroke(Leader, smooth([]point{{200, mid}, {236, mid - 20}, {eyeX - 4, mid - 6}, {eyeX, mid}, {eyeX - 4, mid + 6}, {236, mid + 20},
		{200, mid}}))
	four.eye()
	return Knot{"loop", "Loop knot", "a lure that is to move freely", []Step{
		{"A loose overhand a hand's breadth from the end, then through the eye.", *one},
		{"Back through the overhand, the way it came out.", *two},
		{fmt.Sprintf("%d turns about the standing line, and through the overhand again.", loopTurns), *three},
		{"Wet it, draw tight with the loop as small as the lure likes; trim.", *four}}}
}

func doubled() Knot {
	one := sketch()
	one.stroke(Line, smooth([]point{{6, mid - 8}, {180, mid - 8}, {296, mid - 8}, {318, mid}, {296, mid + 8}, {180, mid + 8},
		{60, mid + 8}}))
	one.word(240, mid+34, "middle", "30 to 40 cm", true)
	two := sketch()
	two.stroke(Line, straight(point{6, mid - 4}, point{110, mid - 4}))
	two.stroke(Line, straight(point{40, mid + 4}, point{110, mid + 4}))
	for _, off := range []float64{-4, 4} {
		two.over(Leader, point{110, mid + off}, point{150, mid + off}, point{176, mid - 20 + off}, point{150, mid - 34 + off},
			point{130, mid - 10 + off}, point{150, mid + 22 + off}, point{200, mid + 16 + off}, point{320, mid + 12 + off})
	}
	three := sketch()
	three.coil(120, 120+doubledWraps*26, doubledWraps, 17, func() {
		for _, off := range []float64{-4, 4} {
			three.stroke(Line, straight(point{6, mid + off}, point{210, mid + off}))
		}
	})
	for _, off := range []float64{-5, 5} {
		three.over(Leader, point{198, mid + 17}, point{230, mid + 8 + off}, point{322, mid + off})
	}
	four := sketch()
	four.coil(150, 150+doubledWraps*10, doubledWraps, 10, func() { four.standing(150) })
	four.stroke(Line, smooth([]point{{180, mid - 4}, {240, mid - 9}, {316, mid - 6}, {324, mid}, {316, mid + 6}, {240, mid + 9},
		{180, mid + 4}}))
	four.over(Leader, point{150, mid + 8}, point{140, mid + 18}, point{132, mid + 20})
	return Knot{"doubled-line", "Doubled line", "a loop in braid or mono that takes the leader", []Step{
		{"Fold the line back on itself.", *one},
		{"An overhand with the doubled part.", *two},
		{fmt.Sprintf("Through again until there are %d wraps.", doubledWraps), *three},
		{"Wet it and draw all four strands tight; trim.", *four}}}
}

func leaderToLoop() Knot {
	strands := func(d *Drawing) {
		d.stroke(Line, smooth([]point{{6, mid - 7}, {200, mid - 7}, {286, mid - 7}, {300, mid}, {286, mid + 7}, {200, mid + 7},
			{6, mid + 7}}))
	}
	one := sketch()
	strands(one)
	one.over(Leader, point{334, mid + 30}, point{290, mid + 20}, point{270, mid}, point{220, mid - 26})
	two := sketch()
	two.coil(250, 250-leaderTwists*22, leaderTwists, 17, func() { strands(two) })
	two.over(Leader, point{334, mid + 30}, point{290, mid + 20}, point{272, mid + 2}, point{250, mid + 17})
	three := sketch()
	three.coil(250, 250-leaderTwists*22, leaderTwists, 17, func() { strands(three) })
	three.over(Leader, point{334, mid + 30}, point{290, mid + 20}, point{272, mid + 2}, point{250, mid + 17})
	end := 250 - leaderTwists*22.0
	three.over(Leader, point{end, mid + 17}, point{end - 8, mid + 38}, point{180, mid + 46}, point{286, mid + 34}, point{284, mid + 2},
		point{266, mid - 26})
	four := tight(leaderTwists, 230)
	four.over(Leader, point{230, mid}, point{280, mid + 2}, point{334, mid})
	return Knot{"leader-to-loop", "Leader to loop", "a leader on doubled line", []Step{
		{"The leader up through the loop.", *one},
		{fmt.Sprintf("%d twists about both strands, back along the line.", leaderTwists), *two},
		{"Out of the loop on the side it came in.", *three},
		{"Wet it and draw slowly tight; trim.", *four}}}
}

func stop() Knot {
	one := sketch()
	one.stroke(Line, straight(point{6, mid}, point{334, mid}))
	one.over(Leader, point{80, mid + 26}, point{150, mid + 8}, point{230, mid + 8}, point{254, mid + 22}, point{230, mid + 34},
		point{150, mid + 34})
	two := sketch()
	two.coil(216, 216-stopWraps*20, stopWraps, 15, func() {
		two.stroke(Line, straight(point{6, mid}, point{334, mid}))
		two.stroke(Leader, straight(point{96, mid + 4}, point{240, mid + 4}))
	})
	two.over(Leader, point{240, mid + 4}, point{256, mid + 18}, point{236, mid + 26}, point{216, mid + 15})
	three := sketch()
	three.coil(190, 190-stopWraps*8, stopWraps, 8, func() { three.stroke(Line, straight(point{6, mid}, point{334, mid})) })
	three.over(Leader, point{190, mid + 8}, point{206, mid + 12})
	three.over(Leader, point{150, mid + 8}, point{134, mid + 12})
	return Knot{"stop", "Stop knot", "a sliding float: it slips through the rings and holds the bead", []Step{
		{"A short piece of line along the main line, folded back.", *one},
		{fmt.Sprintf("%d turns about both, and through its own loop.", stopWraps), *two},
		{"Wet it and draw tight; it still slides when pushed. Leave ends of a finger's breadth.", *three}}}
}

func dropper() Knot {
	one := sketch()
	one.stroke(Line, smooth([]point{{6, mid - 10}, {120, mid - 10}, {210, mid + 4}, {222, mid + 40}, {170, mid + 52}, {118, mid + 40},
		{130, mid + 4}, {220, mid - 10}, {334, mid - 10}}))
	two := sketch()
	for _, side := range [][2]float64{{170, 170 - dropperTurns*20}, {182, 182 + dropperTurns*20}} {
		two.coil(side[0], side[1], dropperTurns, 12, func() { two.stroke(Line, straight(point{6, mid}, point{334, mid})) })
	}
	two.stroke(Leader, smooth([]point{{110, mid + 12}, {130, mid + 46}, {176, mid + 56}, {222, mid + 46}, {242, mid + 12}}))
	three := sketch()
	for _, side := range [][2]float64{{170, 170 - dropperTurns*14}, {182, 182 + dropperTurns*14}} {
		three.coil(side[0], side[1], dropperTurns, 9, func() { three.stroke(Line, straight(point{6, mid}, point{334, mid})) })
	}
	three.over(Leader, point{172, mid}, point{160, mid + 30}, point{176, mid + 54}, point{192, mid + 30}, point{180, mid})
	return Knot{"dropper-loop", "Dropper loop", "a hook standing off the line", []Step{
		{"A loop in the middle of the line.", *one},
		{fmt.Sprintf("Twist %d turns on each side of the middle.", dropperTurns), *two},
		{"Pull the loop through the middle, wet it and draw tight.", *three}}}
}

func haywire() Knot {
	one := sketch()
	one.stroke(Line, straight(point{6, mid}, point{eyeX, mid}))
	one.eye()
	one.over(Leader, point{eyeX, mid}, point{eyeX - 20, mid + 20}, point{eyeX - 80, mid + 40})
	two := sketch()
	for i := range 4 {
		x := eyeX - 30 - float64(i)*24
		up := float64(1 - 2*(i%2))
		two.over(Line, point{x, mid - 9*up}, point{x - 12, mid}, point{x - 24, mid + 9*up})
		two.over(Leader, point{x, mid + 9*up}, point{x - 12, mid}, point{x - 24, mid - 9*up})
	}
	two.stroke(Line, smooth([]point{{eyeX - 30, mid - 9}, {eyeX - 8, mid - 12}, {eyeX, mid}, {eyeX - 8, mid + 12}, {eyeX - 30, mid + 9}}))
	two.stroke(Line, smooth([]point{{eyeX - 126, mid - 9}, {140, mid}, {6, mid}}))
	two.eye()
	three := sketch()
	three.coil(180, 130, 5, 9, func() { three.standing(200) })
	three.stroke(Line, smooth([]point{{200, mid}, {230, mid - 8}, {eyeX - 8, mid - 12}, {eyeX, mid}, {eyeX - 8, mid + 12}, {230, mid + 8},
		{200, mid}}))
	three.over(Leader, point{130, mid + 9}, point{124, mid + 30})
	three.eye()
	return Knot{"haywire", "Haywire twist", "wire", []Step{
		{"Through the eye, and cross.", *one},
		{"Twist both together, crossing evenly, three and a half times.", *two},
		{"Five close turns about the line; bend the end to and fro until it breaks off.", *three}}}
}
