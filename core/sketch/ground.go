package sketch

import (
	"fmt"
	"math"

	"greypebble/core/drawing"
	"greypebble/core/ground"
)

// scenery: water with its dark, the bed with what stands on it, the surface and where it breaks.
func (f *frame) scenery(marks []*ground.Mark) {
	f.Fill(drawing.Water, rect(0, f.waterY, f.Width, f.bottomY))
	if dark := f.Moment.DarkBelow(); f.yAt(dark) < f.bottomY-3 {
		f.Fill(drawing.Dark, rect(0, f.yAt(math.Max(dark, 0)), f.Width, f.bottomY))
	}
	for _, m := range marks {
		f.growth(m)
	}
	outline := []point{{0, f.bottomY}}
	for x := 0.0; x <= f.Width; x += 4 {
		outline = append(outline, point{x, math.Min(f.bedY(x), f.bottomY)})
	}
	outline = append(outline, point{f.Width, f.bottomY})
	f.Fill(drawing.Bed, drawing.Straight(outline...)+"Z")
	f.surface()
}

func rect(x, y, toX, toY float64) string {
	return drawing.Straight(point{x, y}, point{toX, y}, point{toX, toY}, point{x, toY}) + "Z"
}

// surface line where there is water, and froth where waves break.
func (f *frame) surface() {
	begin := -1.0
	for x := 0.0; x <= f.Width+4; x += 4 {
		wet := x <= f.Width && f.bedY(x) > f.waterY+0.5
		switch {
		case wet && begin < 0:
			begin = x
		case !wet && begin >= 0:
			f.Stroke(drawing.Surface, drawing.Straight(point{begin, f.waterY}, point{math.Min(x, f.Width), f.waterY}))
			begin = -1
		}
	}
	for _, s := range f.Moment.White(f.Section) {
		for x := math.Max(f.x(s.FromM), 4); x < math.Min(f.x(s.ToM), f.Width-8); x += 11 {
			f.Stroke(drawing.White, fmt.Sprintf("M%.1f %.1f q4 -7 8 -1 q3 4 -3 3", x, f.waterY))
		}
	}
}

// growth on a mark: what makes it one.
func (f *frame) growth(m *ground.Mark) {
	mid := f.x(m.DistanceM)
	if mid < -20 || mid > f.Width+20 {
		return
	}
	switch {
	case m.Kind == ground.Piling:
		for _, dx := range []float64{-14, 20} {
			f.Fill(drawing.Growth, rect(mid+dx-3, f.deckY(), mid+dx+3, f.bedY(mid+dx)+4))
		}
	case m.Kind == ground.Timber || m.Bottom == "timber":
		y := f.bedY(mid) - 5
		f.Stroke(drawing.Growth, drawing.Straight(point{mid - 30, y + 7}, point{mid + 26, y - 9}))
		f.Stroke(drawing.Growth, drawing.Straight(point{mid - 4, y}, point{mid + 8, y - 22}))
		f.Stroke(drawing.Growth, drawing.Straight(point{mid + 10, y - 5}, point{mid + 26, y - 24}))
	case m.Bottom == "grass":
		for i := -9; i <= 9; i++ {
			x := mid + float64(i)*7
			y := f.bedY(x)
			f.Stroke(drawing.Growth, fmt.Sprintf("M%.1f %.1f q%.0f -6 %.0f -%.0f", x, y+1, float64(i%3)-1, float64(i%3)*2,
				9+math.Abs(float64(i*5%4))))
		}
	case m.Bottom == "shell":
		for i := -6; i <= 6; i++ {
			x := mid + float64(i)*8
			f.Stroke(drawing.Growth, fmt.Sprintf("M%.1f %.1f q3 -8 7 -1", x, f.bedY(x)))
		}
	case m.Kind == ground.Rock || m.Bottom == "rock":
		for i := -3; i <= 3; i++ {
			x := mid + float64(i)*15
			y := f.bedY(x)
			f.Fill(drawing.Growth, drawing.Straight(point{x - 9, y + 4}, point{x - 6, y - 5 - float64(i*i%3)*2}, point{x + 2, y - 8},
				point{x + 9, y + 4})+"Z")
		}
	case m.Kind == ground.Pocket && f.Moment.Spot.Place == "overhung bank":
		f.branches(mid)
	}
}

// branches over a pocket, from the bank it lies under.
func (f *frame) branches(mid float64) {
	for i, x := 0, mid-58.0; x < mid+16; i, x = i+1, x+14 {
		y := f.waterY - 30 + float64(i*i)*0.9
		f.Stroke(drawing.Growth, fmt.Sprintf("M%.1f %.1f q7 -14 14 -1", x, y))
		f.Stroke(drawing.Growth, fmt.Sprintf("M%.1f %.1f q4 9 10 %.1f", x+4, y, 15.0))
	}
}

// deckY is where a pier's deck is drawn.
func (f *frame) deckY() float64 { return f.waterY - 30 }
