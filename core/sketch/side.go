package sketch

import (
	"fmt"
	"math"
	"strings"

	"greypebble/core/drawing"
	"greypebble/core/ground"
	"greypebble/core/method"
	"greypebble/core/prose"
	"greypebble/core/words"
)

// Side view of presentations on one spot at one moment: usually one; two that are compared share the sheet.
func Side(a Asked, list ...Presented) drawing.Drawing {
	f := newFrame(a, list)
	var marks []*ground.Mark
	for i := range a.Moment.Spot.Marks {
		marks = append(marks, &a.Moment.Spot.Marks[i])
	}
	if f.trolled {
		marks = nil
	}
	f.scenery(marks)
	if a.OtherLevelM != nil {
		y := math.Min(f.waterY-(*a.OtherLevelM-a.Moment.LevelM)*f.perM, f.bottomY)
		f.Stroke(drawing.Level, drawing.Straight(point{0, y}, point{f.Width, y}))
	}
	inks := []drawing.Ink{drawing.Run, drawing.Other}
	for i := range list {
		f.fish(&list[i])
	}
	for i := range list {
		tip := f.who(&list[i].Cast)
		f.cast(&list[i], tip, inks[i%2])
	}
	f.named(list)
	f.measure(&list[0].Cast)
	f.Says = says(a, list)
	return *f.Drawing
}

// named marks, under the bed where they lie, those fished first; what has no room is left out.
func (f *frame) named(list []Presented) {
	type span struct{ from, to float64 }
	var taken []span
	put := func(k *ground.Mark) {
		x := f.x(k.DistanceM)
		half := float64(len([]rune(k.Name))) * 3.2
		x = math.Min(math.Max(x, half+4), f.Width-half-4)
		if f.x(k.DistanceM) < 0 || f.x(k.DistanceM) > f.Width {
			return
		}
		for _, t := range taken {
			if x+half > t.from && x-half < t.to {
				return
			}
		}
		taken = append(taken, span{x - half, x + half})
		f.Word(x, math.Min(f.bedY(f.x(k.DistanceM))+16, f.bottomY-4), "middle", k.Name, true)
	}
	for i := range list {
		put(list[i].Mark)
	}
	if !f.trolled {
		for i := range f.Moment.Spot.Marks {
			put(&f.Moment.Spot.Marks[i])
		}
	}
	if dark := f.Moment.DarkBelow(); dark > 0 && f.yAt(dark) < f.bottomY-24 && f.yAt(dark) < f.bedY(f.Width-50)-8 {
		f.Word(f.Width-6, f.yAt(dark)+13, "end", fmt.Sprintf(words.DarkBelow, f.Units.ShowWater(dark)), true)
	}
}

// measure how far out it lands, under the ground.
func (f *frame) measure(c *method.Cast) {
	if c.Kind == method.Down || c.Kind == method.Trolled || c.OffM < 1 {
		return
	}
	y := f.Height - 9
	from, to := f.x(c.WaterM), f.x(c.ToM)
	if from > to {
		from, to = to, from
	}
	text := c.Off(f.Units)
	half := float64(len([]rune(text))) * 3.1
	mid := math.Min(math.Max((from+to)/2, half+6), f.Width-half-6)
	f.Stroke(drawing.Rule, drawing.Straight(point{from, y - 12}, point{to, y - 12}))
	for _, x := range []float64{from, to} {
		f.Stroke(drawing.Rule, drawing.Straight(point{x, y - 15.5}, point{x, y - 8.5}))
	}
	f.Word(mid, y+4, "middle", text, true)
}

// says what is drawn.
func says(a Asked, list []Presented) string {
	var out []string
	for i := range list {
		p := &list[i]
		c := &p.Cast
		depth := fmt.Sprintf(words.At2, a.Units.ShowWater(p.DepthM))
		if p.DepthM == 0 {
			depth = "on the surface"
		}
		out = append(out, fmt.Sprintf(words.InOfWaterOverThe, prose.Capital(p.Offering.Name), depth,
			a.Units.ShowWater(p.Mark.Depth(a.Moment.LevelM)), prose.LowerFirst(p.Mark.Name), c.Says(a.Units)))
	}
	if dark := a.Moment.DarkBelow(); dark > 0 {
		out = append(out, fmt.Sprintf(words.TheWaterIsDarkBelow, a.Units.ShowWater(dark)))
	}
	if len(a.Moment.White(a.Section)) > 0 {
		out = append(out, words.WavesBreakWithinTheDrawing)
	}
	return fmt.Sprintf(words.FromTheSide, strings.Join(out, " "))
}
