package rigcard

import (
	"fmt"

	"greypebble/core/drawing"
	"greypebble/core/words"
)

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
	Drawing drawing.Drawing
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

// sheet a knot is drawn on.
type sheet struct{ drawing.Drawing }

// sketch of a step.
func sketch() *sheet { return &sheet{drawing.Drawing{Width: Width, Height: knotHeight}} }

// eye of a hook at the right.
func (d *sheet) eye() {
	d.Stroke(drawing.Metal, drawing.Ellipse(eyeX, mid, 10, 10))
	d.Stroke(drawing.Metal, drawing.Straight(point{eyeX + 10, mid}, point{Width - 4, mid}))
}

// over draws a line that passes over what is there.
func (d *sheet) over(ink drawing.Ink, p ...point) {
	path := drawing.Smooth(p)
	d.Stroke(drawing.Gap, path)
	d.Stroke(ink, path)
}

// coil wraps the end about what lies along the middle.
func (d *sheet) coil(fromX, toX float64, n int, height float64, along func()) {
	behind, before := wraps(mid, fromX, toX, n, height)
	for _, run := range behind {
		d.Stroke(drawing.Behind, drawing.Smooth(run))
	}
	along()
	for _, run := range before {
		d.over(drawing.Leader, run...)
	}
}

func (d *sheet) standing(toX float64) {
	d.Stroke(drawing.Line, drawing.Straight(point{6, mid}, point{toX, mid}))
}

// tight coil at the right, the standing line out of it.
func tight(turns int, atX float64) *sheet {
	d := sketch()
	width := float64(turns) * 7
	d.coil(atX, atX-width, turns, 9, func() { d.standing(atX) })
	d.over(drawing.Leader, point{atX - width, mid + 9}, point{atX - width - 6, mid + 16}, point{atX - width - 4, mid + 24})
	return d
}

// Knots of the book.
func Knots() []Knot {
	return []Knot{clinch(), reversed(), loop(), doubled(), leaderToLoop(), stop(), dropper(), haywire()}
}

func clinch() Knot {
	through := func(d *sheet) {
		d.standing(eyeX)
		d.eye()
	}
	one := sketch()
	through(one)
	one.over(drawing.Leader, point{eyeX, mid}, point{eyeX - 8, mid + 20}, point{eyeX - 60, mid + 26}, point{eyeX - 140, mid + 24})
	two := sketch()
	two.coil(eyeX-44, eyeX-44-clinchTurns*22, clinchTurns, 15, func() { through(two) })
	two.over(drawing.Leader, point{eyeX, mid}, point{eyeX - 12, mid + 17}, point{eyeX - 44, mid + 15})
	three := sketch()
	three.coil(eyeX-44, eyeX-44-clinchTurns*22, clinchTurns, 15, func() { through(three) })
	three.over(drawing.Leader, point{eyeX, mid}, point{eyeX - 12, mid + 17}, point{eyeX - 44, mid + 15})
	end := eyeX - 44 - clinchTurns*22.0
	three.over(drawing.Leader, point{end, mid + 15}, point{end - 10, mid + 34}, point{end + 60, mid + 44}, point{eyeX - 40, mid + 36},
		point{eyeX - 20, mid + 6}, point{eyeX - 26, mid - 24})
	four := tight(clinchTurns, eyeX-11)
	four.eye()
	return Knot{"clinch", "Clinch", words.AHookOrLureOnFluorocarbon, []Step{
		{words.ThroughTheEyeAndBack, one.Drawing},
		{fmt.Sprintf(words.TurnsAboutTheStandingLineAway, clinchTurns), two.Drawing},
		{words.TheEndBackThroughTheSmall, three.Drawing},
		{words.WetItAndDrawTightTrim, four.Drawing}}}
}

func reversed() Knot {
	through := func(d *sheet) {
		d.standing(eyeX)
		d.eye()
	}
	from := eyeX - 40 - reversedTurns*20.0
	one := sketch()
	through(one)
	one.over(drawing.Leader, point{eyeX, mid}, point{eyeX - 10, mid + 22}, point{from + 30, mid + 28}, point{from - 6, mid + 22},
		point{from, mid + 14})
	two := sketch()
	two.coil(from, eyeX-40, reversedTurns, 14, func() {
		through(two)
		two.over(drawing.Leader, point{eyeX, mid}, point{eyeX - 10, mid + 24}, point{from + 30, mid + 32}, point{from - 8, mid + 26},
			point{from, mid + 14})
	})
	three := sketch()
	three.coil(from, eyeX-40, reversedTurns, 14, func() {
		through(three)
		three.over(drawing.Leader, point{eyeX, mid}, point{eyeX - 10, mid + 24}, point{from + 30, mid + 32}, point{from - 8, mid + 26},
			point{from, mid + 14})
	})
	three.over(drawing.Leader, point{eyeX - 40, mid + 14}, point{eyeX - 24, mid + 20}, point{eyeX - 22, mid + 40})
	four := tight(reversedTurns, eyeX-11)
	four.eye()
	return Knot{"reversed-clinch", words.ReversedClinch, words.AHookOrLureOnMonofilament, []Step{
		{words.ThroughTheEyeAndLayThe, one.Drawing},
		{fmt.Sprintf(words.TurnsBackTowardsTheEyeOver, reversedTurns), two.Drawing},
		{words.TheEndOutThroughTheLoop, three.Drawing},
		{words.WetItAndDrawTightTrim, four.Drawing}}}
}

func loop() Knot {
	overhand := func(d *sheet) {
		d.Stroke(drawing.Line, drawing.Straight(point{6, mid}, point{150, mid}))
		d.over(drawing.Line, point{150, mid}, point{176, mid - 4}, point{184, mid - 22}, point{166, mid - 26}, point{158, mid - 8},
			point{172, mid + 14}, point{196, mid + 10})
	}
	one := sketch()
	overhand(one)
	one.over(drawing.Line, point{196, mid + 10}, point{250, mid + 4}, point{eyeX, mid})
	one.eye()
	two := sketch()
	overhand(two)
	two.over(drawing.Line, point{196, mid + 10}, point{250, mid + 20}, point{eyeX, mid})
	two.eye()
	two.over(drawing.Leader, point{eyeX, mid}, point{eyeX - 30, mid - 22}, point{220, mid - 24}, point{176, mid - 12}, point{140, mid + 16})
	three := sketch()
	three.coil(138, 138-loopTurns*20, loopTurns, 13, func() {
		overhand(three)
		three.over(drawing.Line, point{196, mid + 10}, point{250, mid + 20}, point{eyeX, mid})
		three.eye()
	})
	three.over(drawing.Leader, point{eyeX, mid}, point{eyeX - 30, mid - 22}, point{220, mid - 24}, point{176, mid - 12}, point{138, mid +
		13})
	four := sketch()
	four.coil(200, 200-loopTurns*8, loopTurns, 9, func() { four.standing(200) })
	four.Stroke(drawing.Leader, drawing.Smooth([]point{{200, mid}, {236, mid - 20}, {eyeX - 4, mid - 6}, {eyeX, mid}, {eyeX - 4, mid + 6},
		{236, mid + 20},
		{200, mid}}))
	four.eye()
	return Knot{"loop", words.LoopKnot, words.ALureThatIsToMove, []Step{
		{words.ALooseOverhandAHandsBreadth, one.Drawing},
		{words.BackThroughTheOverhandTheWay, two.Drawing},
		{fmt.Sprintf(words.TurnsAboutTheStandingLineAnd, loopTurns), three.Drawing},
		{words.WetItDrawTightWithThe, four.Drawing}}}
}

func doubled() Knot {
	one := sketch()
	one.Stroke(drawing.Line, drawing.Smooth([]point{{6, mid - 8}, {180, mid - 8}, {296, mid - 8}, {318, mid}, {296, mid + 8}, {180, mid +
		8},
		{60, mid + 8}}))
	one.Word(240, mid+34, "middle", words.N30To40Cm, true)
	two := sketch()
	two.Stroke(drawing.Line, drawing.Straight(point{6, mid - 4}, point{110, mid - 4}))
	two.Stroke(drawing.Line, drawing.Straight(point{40, mid + 4}, point{110, mid + 4}))
	for _, off := range []float64{-4, 4} {
		two.over(drawing.Leader, point{110, mid + off}, point{150, mid + off}, point{176, mid - 20 + off}, point{150, mid - 34 + off},
			point{130, mid - 10 + off}, point{150, mid + 22 + off}, point{200, mid + 16 + off}, point{320, mid + 12 + off})
	}
	three := sketch()
	three.coil(120, 120+doubledWraps*26, doubledWraps, 17, func() {
		for _, off := range []float64{-4, 4} {
			three.Stroke(drawing.Line, drawing.Straight(point{6, mid + off}, point{210, mid + off}))
		}
	})
	for _, off := range []float64{-5, 5} {
		three.over(drawing.Leader, point{198, mid + 17}, point{230, mid + 8 + off}, point{322, mid + off})
	}
	four := sketch()
	four.coil(150, 150+doubledWraps*10, doubledWraps, 10, func() { four.standing(150) })
	four.Stroke(drawing.Line, drawing.Smooth([]point{{180, mid - 4}, {240, mid - 9}, {316, mid - 6}, {324, mid}, {316, mid + 6}, {240,
		mid + 9},
		{180, mid + 4}}))
	four.over(drawing.Leader, point{150, mid + 8}, point{140, mid + 18}, point{132, mid + 20})
	return Knot{"doubled-line", words.DoubledLine, words.ALoopInBraidOrMono, []Step{
		{words.FoldTheLineBackOnItself, one.Drawing},
		{words.AnOverhandWithTheDoubledPart, two.Drawing},
		{fmt.Sprintf(words.ThroughAgainUntilThereAreWraps, doubledWraps), three.Drawing},
		{words.WetItAndDrawAllFour, four.Drawing}}}
}

func leaderToLoop() Knot {
	strands := func(d *sheet) {
		d.Stroke(drawing.Line, drawing.Smooth([]point{{6, mid - 7}, {200, mid - 7}, {286, mid - 7}, {300, mid}, {286, mid + 7}, {200,
			mid + 7},
			{6, mid + 7}}))
	}
	one := sketch()
	strands(one)
	one.over(drawing.Leader, point{334, mid + 30}, point{290, mid + 20}, point{270, mid}, point{220, mid - 26})
	two := sketch()
	two.coil(250, 250-leaderTwists*22, leaderTwists, 17, func() { strands(two) })
	two.over(drawing.Leader, point{334, mid + 30}, point{290, mid + 20}, point{272, mid + 2}, point{250, mid + 17})
	three := sketch()
	three.coil(250, 250-leaderTwists*22, leaderTwists, 17, func() { strands(three) })
	three.over(drawing.Leader, point{334, mid + 30}, point{290, mid + 20}, point{272, mid + 2}, point{250, mid + 17})
	end := 250 - leaderTwists*22.0
	three.over(drawing.Leader, point{end, mid + 17}, point{end - 8, mid + 38}, point{180, mid + 46}, point{286, mid + 34}, point{284,
		mid + 2},
		point{266, mid - 26})
	four := tight(leaderTwists, 230)
	four.over(drawing.Leader, point{230, mid}, point{280, mid + 2}, point{334, mid})
	return Knot{"leader-to-loop", words.LeaderToLoop, words.ALeaderOnDoubledLine, []Step{
		{words.TheLeaderUpThroughTheLoop, one.Drawing},
		{fmt.Sprintf(words.TwistsAboutBothStrandsBackAlong, leaderTwists), two.Drawing},
		{words.OutOfTheLoopOnThe, three.Drawing},
		{words.WetItAndDrawSlowlyTight, four.Drawing}}}
}

func stop() Knot {
	one := sketch()
	one.Stroke(drawing.Line, drawing.Straight(point{6, mid}, point{334, mid}))
	one.over(drawing.Leader, point{80, mid + 26}, point{150, mid + 8}, point{230, mid + 8}, point{254, mid + 22}, point{230, mid + 34},
		point{150, mid + 34})
	two := sketch()
	two.coil(216, 216-stopWraps*20, stopWraps, 15, func() {
		two.Stroke(drawing.Line, drawing.Straight(point{6, mid}, point{334, mid}))
		two.Stroke(drawing.Leader, drawing.Straight(point{96, mid + 4}, point{240, mid + 4}))
	})
	two.over(drawing.Leader, point{240, mid + 4}, point{256, mid + 18}, point{236, mid + 26}, point{216, mid + 15})
	three := sketch()
	three.coil(190, 190-stopWraps*8, stopWraps, 8, func() { three.Stroke(drawing.Line, drawing.Straight(point{6, mid}, point{334, mid})) })
	three.over(drawing.Leader, point{190, mid + 8}, point{206, mid + 12})
	three.over(drawing.Leader, point{150, mid + 8}, point{134, mid + 12})
	return Knot{"stop", words.StopKnot, words.ASlidingFloatItSlipsThrough, []Step{
		{words.AShortPieceOfLineAlong, one.Drawing},
		{fmt.Sprintf(words.TurnsAboutBothAndThroughIts, stopWraps), two.Drawing},
		{words.WetItAndDrawTightIt, three.Drawing}}}
}

func dropper() Knot {
	one := sketch()
	one.Stroke(drawing.Line, drawing.Smooth([]point{{6, mid - 10}, {120, mid - 10}, {210, mid + 4}, {222, mid + 40}, {170, mid + 52},
		{118, mid + 40},
		{130, mid + 4}, {220, mid - 10}, {334, mid - 10}}))
	two := sketch()
	for _, side := range [][2]float64{{170, 170 - dropperTurns*20}, {182, 182 + dropperTurns*20}} {
		two.coil(side[0], side[1], dropperTurns, 12, func() { two.Stroke(drawing.Line, drawing.Straight(point{6, mid}, point{334, mid})) })
	}
	two.Stroke(drawing.Leader, drawing.Smooth([]point{{110, mid + 12}, {130, mid + 46}, {176, mid + 56}, {222, mid + 46}, {242, mid + 12}}))
	three := sketch()
	for _, side := range [][2]float64{{170, 170 - dropperTurns*14}, {182, 182 + dropperTurns*14}} {
		three.coil(side[0], side[1], dropperTurns, 9, func() {
			three.Stroke(drawing.Line, drawing.Straight(point{6, mid}, point{334,
				mid}))
		})
	}
	three.over(drawing.Leader, point{172, mid}, point{160, mid + 30}, point{176, mid + 54}, point{192, mid + 30}, point{180, mid})
	return Knot{"dropper-loop", words.DropperLoop, words.AHookStandingOffTheLine, []Step{
		{words.ALoopInTheMiddleOf, one.Drawing},
		{fmt.Sprintf(words.TwistTurnsOnEachSideOf, dropperTurns), two.Drawing},
		{words.PullTheLoopThroughTheMiddle, three.Drawing}}}
}

func haywire() Knot {
	one := sketch()
	one.Stroke(drawing.Line, drawing.Straight(point{6, mid}, point{eyeX, mid}))
	one.eye()
	one.over(drawing.Leader, point{eyeX, mid}, point{eyeX - 20, mid + 20}, point{eyeX - 80, mid + 40})
	two := sketch()
	for i := range 4 {
		x := eyeX - 30 - float64(i)*24
		up := float64(1 - 2*(i%2))
		two.over(drawing.Line, point{x, mid - 9*up}, point{x - 12, mid}, point{x - 24, mid + 9*up})
		two.over(drawing.Leader, point{x, mid + 9*up}, point{x - 12, mid}, point{x - 24, mid - 9*up})
	}
	two.Stroke(drawing.Line, drawing.Smooth([]point{{eyeX - 30, mid - 9}, {eyeX - 8, mid - 12}, {eyeX, mid}, {eyeX - 8, mid + 12},
		{eyeX - 30, mid + 9}}))
	two.Stroke(drawing.Line, drawing.Smooth([]point{{eyeX - 126, mid - 9}, {140, mid}, {6, mid}}))
	two.eye()
	three := sketch()
	three.coil(180, 130, 5, 9, func() { three.standing(200) })
	three.Stroke(drawing.Line, drawing.Smooth([]point{{200, mid}, {230, mid - 8}, {eyeX - 8, mid - 12}, {eyeX, mid}, {eyeX - 8, mid + 12},
		{230, mid + 8},
		{200, mid}}))
	three.over(drawing.Leader, point{130, mid + 9}, point{124, mid + 30})
	three.eye()
	return Knot{"haywire", words.HaywireTwist, "wire", []Step{
		{words.ThroughTheEyeAndCross, one.Drawing},
		{words.TwistBothTogetherCrossingEvenlyThree, two.Drawing},
		{words.FiveCloseTurnsAboutTheLine, three.Drawing}}}
}
