package sketch

import (
	"fmt"
	"math"
	"slices"

	"greypebble/core/drawing"
	"greypebble/core/ground"
	"greypebble/core/method"
	"greypebble/core/tackle"
)

// trailM is how far behind the boat a trolled lure is drawn, metres.
const trailM = 30.0

// cast of a presentation, from the rod's tip on; ink is that of its run, of a second choice another.
func (f *frame) cast(p *Presented, tip point, ink drawing.Ink) {
	c := &p.Cast
	land := point{f.x(c.ToM), f.waterY}
	switch c.Kind {
	case method.Trolled:
		f.trolling(p, tip, ink)
		return
	case method.Down:
		f.down(p, tip, ink)
		return
	}
	if !c.LetDown() {
		f.flight(tip, land, c.Kind == method.Under)
	}
	switch {
	case p.Rig.FloatM > 0:
		f.floats(p, tip, land, ink)
	case c.Kind == method.To && (c.Lies || !c.Falls) || c.Kind == method.Drift || c.Kind == method.Trot:
		f.lies(p, tip, land, ink)
	default:
		f.swims(p, land, ink)
	}
}

// flight of the cast, an arc; low and flat where it is to go in under something.
func (f *frame) flight(tip, land point, flat bool) {
	rise := math.Min(math.Abs(land[0]-tip[0])*0.16, 34)
	if flat {
		rise = -6
	}
	mid := point{(tip[0] + land[0]) / 2, math.Max((tip[1]+land[1])/2-rise, 8)}
	f.Stroke(drawing.Flight, drawing.Smooth([]point{tip, mid, land}))
}

// down: the line straight down to the offering, and how it is worked there.
func (f *frame) down(p *Presented, tip point, ink drawing.Ink) {
	x := tip[0]
	y := math.Min(f.yAt(p.DepthM), f.bedY(x)-4)
	f.Stroke(drawing.Line, drawing.Straight(tip, point{x, y}))
	f.offering(p, point{x, y}, ink)
	if p.Cast.Falls {
		top := math.Max(y-22, f.waterY+6)
		f.Stroke(ink, drawing.Straight(point{x + 12, y}, point{x + 12, top}))
		f.Stroke(ink, drawing.Straight(point{x + 9, top + 5}, point{x + 12, top}, point{x + 15, top + 5}))
		f.Stroke(ink, drawing.Straight(point{x + 9, y - 5}, point{x + 12, y}, point{x + 15, y - 5}))
	}
	at := point{x - 10, y}
	if y > f.bedY(x)-18 { // the mark's name stands there
		at[1] -= 14
	}
	f.depth(at, p.DepthM, "end")
}

// floats: a float on the water and the bait below it; an arrow where the run carries it past.
func (f *frame) floats(p *Presented, tip, land point, ink drawing.Ink) {
	y := math.Min(f.yAt(p.DepthM), f.bedY(land[0])-4)
	f.Stroke(drawing.Line, drawing.Smooth([]point{tip, {(tip[0] + land[0]) / 2, (tip[1]+land[1])/2 + 3}, {land[0], f.waterY - 3}}))
	f.Stroke(drawing.Leader, drawing.Straight(point{land[0], f.waterY + 4}, point{land[0], y}))
	f.Fill(ink, drawing.Ellipse(land[0], f.waterY-1, 4, 6))
	f.offering(p, point{land[0], y}, ink)
	f.beside(point{land[0], y}, 11, p.DepthM, ink)
}

// lies: a lead on the bottom and its bait; where the run rolls or trots it, its hops down-tide.
func (f *frame) lies(p *Presented, tip, land point, ink drawing.Ink) {
	away := math.Copysign(1, land[0]-tip[0])
	lead := point{land[0], f.bedY(land[0]) - 3}
	if p.Rig.Column != "bottom" && p.Rig.Lead == "" {
		lead = point{land[0], math.Min(f.yAt(p.DepthM), f.bedY(land[0])-4)}
	}
	f.Stroke(drawing.Line, drawing.Smooth([]point{tip, {(tip[0] + lead[0]) / 2, (tip[1]+lead[1])/2 + 6}, lead}))
	at := lead
	if p.Rig.Lead != "" {
		f.Fill(drawing.Metal, drawing.Ellipse(lead[0], lead[1], 4, 3.4))
		at = point{lead[0] + away*18, math.Min(f.bedY(lead[0]+away*18)-5, lead[1]-2)}
		f.Stroke(drawing.Leader, drawing.Smooth([]point{lead, {lead[0] + away*9, lead[1] - 5}, at}))
	}
	f.offering(p, at, ink)
	if p.Cast.Kind == method.Trot {
		f.trots(tip[0]+away*6, lead[0]-away*6, ink)
	}
	f.depth(point{at[0] + away*10, at[1] - 6}, p.DepthM, anchorOf(away))
}

// trots: the hops by which the run carried it there, each further than the one before.
func (f *frame) trots(from, to float64, ink drawing.Ink) {
	const hops = 4
	x, y := from, f.bedY(from)-4
	for i := 1; i <= hops; i++ {
		share := float64(i*(i+3)) / (hops * (hops + 3))
		next := from + (to-from)*share
		down := f.bedY(next) - 4
		f.Stroke(ink, drawing.Smooth([]point{{x, y}, {(x + next) / 2, math.Max(math.Min(y, down)-15, f.waterY+3)}, {next, down}}))
		x, y = next, down
	}
	f.arrow(ink, point{x, y}, math.Copysign(1, to-from))
}

// swims: a lure's way back, as its bill, its weight or the hand makes it run.
func (f *frame) swims(p *Presented, land point, ink drawing.Ink) {
	c := &p.Cast
	if c.Kind == method.Along || c.Kind == method.Shown {
		f.alongside(p, land, ink)
		return
	}
	end := land[0] + (f.x(c.AtM)-land[0])*0.62
	var way []point
	switch {
	case c.Kind == method.Steps:
		way = f.steps(land[0], end)
	case c.Falls:
		way = f.hops(land[0], end)
	case p.Offering.RatedM > 0:
		way = f.dives(p, land[0], end)
	default:
		way = f.level(p, land[0], end)
	}
	f.Stroke(ink, drawing.Smooth(way))
	f.arrow(ink, way[len(way)-1], math.Copysign(1, end-land[0]))
	at := way[len(way)*2/5]
	f.offering(p, at, ink)
	f.depth(point{at[0], at[1] - 9}, p.DepthM, "middle")
}

// alongside: a lure that runs along the lane, out of the sheet, is drawn where it does.
func (f *frame) alongside(p *Presented, land point, ink drawing.Ink) {
	y := math.Max(math.Min(f.yAt(p.DepthM), f.bedY(land[0])-5), f.waterY)
	f.Stroke(drawing.Line, drawing.Straight(land, point{land[0], y}))
	f.Stroke(ink, drawing.Ellipse(land[0], y, 10, 10))
	f.offering(p, point{land[0], y}, ink)
	f.beside(point{land[0], y + 4}, 15, p.DepthM, ink)
}

// hops along the bottom from one place on the sheet to another.
func (f *frame) hops(from, to float64) []point {
	way := []point{{from, f.waterY}}
	away := math.Copysign(1, to-from)
	n := max(int(math.Abs(to-from)/26), 2)
	for i := 0; i <= n; i++ {
		x := from + away*4 + (to-from-away*4)*float64(i)/float64(n)
		if i > 0 {
			up := x - (to-from)/float64(n)/2
			way = append(way, point{up, math.Max(f.bedY(up)-15, f.waterY+2)})
		}
		way = append(way, point{x, math.Max(f.bedY(x)-4, f.waterY+1)})
	}
	return way
}

// steps down a bank: on each, then a little up and down to the next.
func (f *frame) steps(from, to float64) []point {
	way := []point{{from, f.waterY}, {from + math.Copysign(3, to-from), f.bedY(from) - 4}}
	var at []float64
	for i := range f.Moment.Spot.Marks {
		if k := &f.Moment.Spot.Marks[i]; k.Kind == ground.Step {
			at = append(at, f.x(k.DistanceM))
		}
	}
	slices.Sort(at)
	if to < from {
		slices.Reverse(at)
	}
	before := from
	for _, x := range append(at, to) {
		if (x-before)*(to-from) <= 0 {
			continue
		}
		up := before + (x-before)*0.3
		way = append(way, point{up, math.Max(f.bedY(before)-14, f.waterY+3)}, point{x, f.bedY(x) - 4})
		before = x
	}
	return way
}

// dives as a bill takes it down over the ground there (the bench's model).
func (f *frame) dives(p *Presented, from, to float64) []point {
	c := &p.Cast
	far := math.Abs(c.ToM - c.AtM)
	toward := math.Copysign(1, c.ToM-c.AtM)
	swim, err := tackle.Plug{RatedM: p.Offering.RatedM}.Swim(math.Max(far, 2), tackle.UsualLine, tackle.UsualPace, func(d float64) float64 {
		return f.Moment.LevelM - f.bed(c.AtM+toward*d)
	}, 0, 0)
	if err != nil {
		return f.level(p, from, to)
	}
	var way []point
	for i := 0; i < len(swim.Path); i += max(len(swim.Path)/24, 1) {
		at := swim.Path[i]
		x := f.x(c.AtM + toward*at.DistanceM)
		if (x-to)*(from-to) < 0 {
			break
		}
		way = append(way, point{x, f.yAt(at.DepthM)})
	}
	if len(way) < 2 {
		return f.level(p, from, to)
	}
	return way
}

// level run at the depth it is fished, down to it first.
func (f *frame) level(p *Presented, from, to float64) []point {
	way := []point{{from, f.waterY}}
	for i := 1; i <= 8; i++ {
		x := from + (to-from)*float64(i)/8
		y := math.Min(f.yAt(p.DepthM*math.Min(float64(i)/2, 1)), f.bedY(x)-4)
		if p.DepthM == 0 {
			y = f.waterY - float64(i%2)*3
		}
		way = append(way, point{x, math.Max(y, f.waterY-3)})
	}
	return way
}

// trolling: the line astern, the lure at its depth.
func (f *frame) trolling(p *Presented, tip point, ink drawing.Ink) {
	x := f.x(p.Cast.ToM - trailM*0.8)
	y := f.yAt(p.DepthM)
	f.Stroke(drawing.Line, drawing.Smooth([]point{tip, {(tip[0] + x) / 2, (tip[1]+y)/2 + 5}, {x, y}}))
	f.offering(p, point{x, y}, ink)
	f.Stroke(ink, drawing.Straight(point{x + 14, y + 12}, point{x + 50, y + 12}))
	f.arrow(ink, point{x + 50, y + 12}, 1)
	f.depth(point{x, y + 26}, p.DepthM, "middle")
}

// offering at a place: a lure by its shape, a bait on its hook.
func (f *frame) offering(p *Presented, at point, ink drawing.Ink) {
	x, y := at[0], at[1]
	if p.Offering.Approach == "lure" {
		f.Fill(ink, drawing.Smooth([]point{{x - 8, y}, {x - 2, y - 3.4}, {x + 6, y - 0.6}, {x + 9, y - 3}, {x + 9, y + 3}, {x + 6, y + 0.6},
			{x - 2, y + 3.4}, {x - 8, y}})+"Z")
		return
	}
	f.Fill(ink, drawing.Ellipse(x, y, 5.5, 3.2))
	f.Stroke(drawing.Metal, fmt.Sprintf("M%.1f %.1f q1 7 5 4", x+2, y+2))
}

// arrow head at the end of a run.
func (f *frame) arrow(ink drawing.Ink, at point, toward float64) {
	f.Stroke(ink, drawing.Straight(point{at[0] - toward*6, at[1] - 4}, at, point{at[0] - toward*6, at[1] + 4}))
}

// beside an offering its depth: a second one's on the other side, so that both can be read.
func (f *frame) beside(at point, off, m float64, ink drawing.Ink) {
	if ink == drawing.Other {
		f.depth(point{at[0] - off, at[1]}, m, "end")
		return
	}
	f.depth(point{at[0] + off, at[1]}, m, "start")
}

// depth of the offering, in words beside it.
func (f *frame) depth(at point, m float64, anchor string) {
	if m == 0 {
		return
	}
	y := math.Min(math.Max(at[1]+4, f.waterY+11), f.bottomY-6)
	text := f.Units.ShowWater(m)
	f.Word(f.within(at[0], anchor, text), y, anchor, text, true)
}

// letter is how wide a small one is, in points.
const letter = 6.3

// within the sheet: where a word may stand.
func (f *frame) within(x float64, anchor, text string) float64 {
	long := letter * float64(len([]rune(text)))
	before, after := 0.0, long
	switch anchor {
	case "middle":
		before, after = long/2, long/2
	case "end":
		before, after = long, 0
	}
	return math.Max(math.Min(x, f.Width-after-4), before+4)
}

func anchorOf(away float64) string {
	if away < 0 {
		return "end"
	}
	return "start"
}
