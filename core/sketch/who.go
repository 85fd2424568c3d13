package sketch

import (
	"math"

	"greypebble/core/drawing"
	"greypebble/core/ground"
	"greypebble/core/method"
)

// who fishes, where they stand or float; facing is +1 outwards, −1 towards the beginning of the section. It
// gives the rod's tip.
func (f *frame) who(c *method.Cast) (tip point) {
	x, facing := f.x(c.AtM), 1.0
	if c.ToM < c.AtM {
		facing = -1
	}
	switch {
	case c.Kind == method.Trolled:
		x = f.x(c.ToM + trailM/6)
		f.boat(x, 1)
		return f.stands(x-8, f.waterY-4, -1, true)
	case f.Moment.Spot.Place == "pier":
		y := f.deckY()
		f.Fill(drawing.Person, rect(0, y, math.Min(x+46, f.Width), y+5))
		if c.Kind != method.Down && c.Kind != method.To && c.Kind != method.Drift {
			return f.stands(x-14, y, 1, false)
		}
		return f.stands(x-22, y, 1, c.Kind == method.Down)
	case c.Manner == ground.Boat:
		if c.Kind == method.Down {
			x -= 26
		}
		f.boat(x, facing)
		return f.stands(x+facing*4, f.waterY-4, facing, c.Kind == method.Down)
	case c.Manner == ground.Kayak:
		if c.Kind == method.Down {
			x -= 24
		}
		return f.kayak(x, facing)
	case c.Manner == ground.Wading && f.bedY(x) > f.waterY:
		return f.wades(x, facing)
	}
	x = math.Max(x-2, 12)
	return f.stands(x, math.Min(f.bedY(x), f.waterY)-0.5, facing, c.Kind == method.Down)
}

// stands a person with their feet at a place, rod before them; low, for what hangs under it.
func (f *frame) stands(x, y, facing float64, low bool) (tip point) {
	f.Stroke(drawing.Person, drawing.Straight(point{x - 4, y}, point{x, y - 14}, point{x + 5, y}))
	return f.upper(point{x, y - 14}, facing, low)
}

// upper half of a person over the hip.
func (f *frame) upper(hip point, facing float64, low bool) (tip point) {
	neck := point{hip[0] + facing, hip[1] - 13}
	f.Stroke(drawing.Person, drawing.Straight(hip, neck))
	f.Fill(drawing.Person, drawing.Ellipse(neck[0]+facing, neck[1]-5, 4, 4.6))
	hand := point{hip[0] + facing*9, hip[1] - 7}
	f.Stroke(drawing.Person, drawing.Straight(point{neck[0], neck[1] + 4}, hand))
	return f.rod(hand, facing, low)
}

// wades a person: feet on the bed, however deep the sheet makes it.
func (f *frame) wades(x, facing float64) (tip point) {
	hip := math.Min(f.bedY(x)-14, f.waterY-2)
	f.Stroke(drawing.Person, drawing.Straight(point{x - 4, f.bedY(x)}, point{x, hip}, point{x + 5, f.bedY(x)}))
	return f.upper(point{x, hip}, facing, false)
}

// rod from a hand to its tip.
func (f *frame) rod(hand point, facing float64, low bool) (tip point) {
	tip = point{hand[0] + facing*24, hand[1] - 26}
	if low {
		tip = point{hand[0] + facing*30, hand[1] - 5}
	}
	butt := point{hand[0] - facing*6, hand[1] + 5}
	bend := point{(hand[0]+tip[0])/2 - facing*2, (hand[1]+tip[1])/2 - 3}
	f.Stroke(drawing.Person, drawing.Smooth([]point{butt, hand, bend, tip}))
	return tip
}

func (f *frame) kayak(x, facing float64) (tip point) {
	y := f.waterY
	f.Fill(drawing.Person, drawing.Smooth([]point{{x - 30, y - 4}, {x - 14, y + 3}, {x + 14, y + 3}, {x + 30, y - 4}, {x, y - 2}, {x - 30,
		y - 4}})+"Z")
	hip, neck := point{x - facing*4, y - 5}, point{x - facing*2, y - 18}
	f.Stroke(drawing.Person, drawing.Straight(point{x + facing*12, y - 5}, hip, neck))
	f.Fill(drawing.Person, drawing.Ellipse(neck[0]+facing, neck[1]-5, 4, 4.6))
	hand := point{x + facing*7, y - 13}
	f.Stroke(drawing.Person, drawing.Straight(point{neck[0], neck[1] + 4}, hand))
	return f.rod(hand, facing, false)
}

func (f *frame) boat(x, facing float64) {
	y := f.waterY
	f.Fill(drawing.Person, drawing.Straight(point{x - facing*38, y - 8}, point{x - facing*36, y + 5}, point{x + facing*28, y + 5},
		point{x + facing*44, y - 9})+"Z")
	f.Stroke(drawing.Person, drawing.Straight(point{x - facing*14, y - 8}, point{x - facing*14, y - 19}, point{x - facing*22, y - 19}))
}

// fish of the target, where they are taken to be about a mark: at the levels seen, or where they feed.
func (f *frame) fish(p *Presented) {
	x := f.x(p.Mark.DistanceM)
	if levels := f.Moment.FishDepthsM; len(levels) > 0 {
		for _, level := range levels {
			if y := f.yAt(level); y < f.bedY(x) {
				f.Stroke(drawing.Fish, drawing.Straight(point{x - 56, y}, point{x + 56, y}))
				f.oneFish(x+34, y, 1)
				f.oneFish(x+54, y+3, 0.8)
				f.Word(math.Min(x+70, f.Width-4), y+4, anchorAt(x+70, f.Width), f.Units.ShowWater(level), true)
			}
		}
		return
	}
	// Clear of what is written beside the lure.
	toward := 66.0
	if p.Cast.ToM < p.Cast.AtM {
		toward = -66
	}
	if edge := x + toward*1.3; edge < 16 || edge > f.Width-18 {
		toward = -toward
	}
	for _, k := range []struct{ x, scale float64 }{{x + toward, 1}, {x + toward*1.3, 0.8}} {
		if f.bedY(k.x)-f.waterY > finRoom {
			f.oneFish(k.x, f.layer(p, k.x), k.scale)
		}
	}
}

// finRoom is the least water a fish is drawn in, points.
const finRoom = 12.0

// layer at a place in which the target feeds.
func (f *frame) layer(p *Presented, x float64) float64 {
	bed := f.bedY(x)
	switch p.Target.Columns[0] {
	case "mid":
		return (f.waterY + bed) / 2
	case "top":
		return f.waterY + math.Min(14, (bed-f.waterY)/2)
	}
	return math.Max(bed-8, f.waterY+6)
}

// oneFish, its head to the left.
func (f *frame) oneFish(x, y, scale float64) {
	s := scale
	x = math.Min(math.Max(x, 14), f.Width-16)
	f.Fill(drawing.Fish, drawing.Smooth([]point{{x - 11*s, y}, {x - 4*s, y - 4.5*s}, {x + 6*s, y - 1.5*s}, {x + 12*s, y - 5*s}, {x + 11*s,
		y + 0.5*s}, {x + 12*s, y + 5*s}, {x + 6*s, y + 1.5*s}, {x - 4*s, y + 4*s}, {x - 11*s, y}})+"Z")
}

func anchorAt(x, width float64) string {
	if x > width-40 {
		return "end"
	}
	return "start"
}
