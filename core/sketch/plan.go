package sketch

import (
	"fmt"
	"math"

	"greypebble/core/drawing"
	"greypebble/core/method"
	"greypebble/core/words"
)

// plans are the casts that are seen from above better than told.
var plans = map[method.Kind]bool{method.Along: true, method.Slant: true, method.Through: true, method.Drift: true, method.Fan: true,
	method.Shown: true, method.Trolled: true, method.Under: true}

// plan from above: the shore or the bank on the left, the lane or the mark up and down the sheet.
type plan struct {
	*drawing.Drawing
	p *Presented
	// shore is where the land ends, lane the middle of what is fished, from the left.
	shore, lane float64
	afloat      bool
}

// Plan view of a presentation, which way it is thrown and drawn; false where there is nothing to see from
// above. Nothing in it is to scale.
func Plan(a Asked, p Presented) (drawing.Drawing, bool) {
	if !plans[p.Cast.Kind] {
		return drawing.Drawing{}, false
	}
	w := math.Max(math.Round(a.WidthPx*0.32), 150)
	d := &plan{Drawing: &drawing.Drawing{Width: w, Height: math.Round(w * 0.86)}, p: &p, shore: w * 0.16, lane: w * 0.6}
	d.afloat = !p.Cast.Ashore()
	d.Fill(drawing.Water, rect(0, 0, w, d.Height))
	if !d.afloat || p.Cast.Kind == method.Under {
		d.Fill(drawing.Bed, drawing.Smooth([]point{{0, 0}, {d.shore, -8}, {d.shore - 4, d.Height * 0.3}, {d.shore + 5, d.Height * 0.65},
			{d.shore - 2, d.Height + 8}, {0, d.Height}})+"Z")
	}
	tip := d.draw()
	d.Says = fmt.Sprintf(words.FromAbove, p.Cast.Says(a.Units))
	if p.Cast.Moving && p.Cast.Kind != method.Trolled {
		x := w - 16
		d.Stroke(drawing.Current, drawing.Straight(point{x, d.Height * 0.2}, point{x, d.Height * 0.72}))
		d.head(drawing.Current, point{x, d.Height * 0.2}, point{x, d.Height * 0.72})
		d.Word(x-6, d.Height*0.72+16, "middle", "run", true)
	}
	d.Fill(drawing.Person, drawing.Ellipse(tip[0], tip[1], 5, 5))
	return *d.Drawing, true
}

// draw the cast and its way back; where the angler stands.
func (d *plan) draw() (stand point) {
	h := d.Height
	switch d.p.Cast.Kind {
	case method.Along:
		d.strip()
		stand = point{d.lane, h - 14}
		if !d.afloat {
			stand = point{d.shore + 2, h - 18}
		}
		land := point{d.lane, 16}
		if !d.afloat {
			land = point{d.lane * 0.78, 16}
		}
		d.throw(stand, land)
		d.back(land, point{land[0], h * 0.5}, point{(land[0] + stand[0]) / 2, h - 30})
	case method.Slant:
		d.strip()
		stand = point{d.shore + 2, h - 22}
		land := point{d.lane + 8, 22}
		d.throw(stand, land)
		d.back(land, point{d.lane - 2, h * 0.4}, point{(d.lane + d.shore) / 2, h * 0.68})
	case method.Through:
		stand = d.beside()
		land := point{d.lane + 18, 20}
		d.throw(stand, land)
		d.back(land, point{d.lane + 14, h * 0.45}, point{d.lane - 6, h * 0.74}, point{stand[0] + 22, h * 0.84})
	case method.Drift:
		d.strip()
		stand = d.beside()
		land := point{d.lane, 20}
		d.throw(stand, land)
		d.back(land, point{d.lane + 2, h * 0.45}, point{d.lane, h * 0.82})
	case method.Fan:
		stand = d.beside()
		for _, to := range []point{{d.lane - 18, h * 0.55}, {d.lane + 6, h * 0.32}, {d.lane + 16, h * 0.72}} {
			d.throw(stand, to)
			d.back(to, point{stand[0] + (to[0]-stand[0])*0.55, stand[1] + (to[1]-stand[1])*0.55})
		}
	case method.Under:
		for i := range 7 {
			y := h * (0.14 + 0.12*float64(i))
			d.Stroke(drawing.Growth, drawing.Smooth([]point{{d.shore, y - 8}, {d.shore + 16, y - 5}, {d.shore + 14, y + 5}, {d.shore, y +
				8}}))
		}
		stand = point{d.Width * 0.72, h * 0.62}
		land := point{d.shore + 9, h * 0.46}
		d.throw(stand, land)
		d.back(land, point{d.shore + 34, h * 0.5})
	case method.Shown:
		stand = d.beside()
		fish := point{d.lane - 4, h * 0.46}
		land := point{d.lane + 24, h * 0.2}
		d.oneFish(fish)
		d.throw(stand, land)
		d.back(land, point{d.lane + 4, fish[1] - 16}, point{d.lane - 26, h * 0.5})
	case method.Trolled:
		d.strip()
		stand = point{d.lane, 22}
		d.Stroke(drawing.Line, drawing.Straight(stand, point{d.lane, h * 0.62}))
		d.back(point{d.lane, h * 0.62}, point{d.lane, h * 0.44})
		d.Stroke(drawing.Flight, drawing.Smooth([]point{{d.lane, 18}, {d.lane + 22, 10}, {d.lane + 30, h * 0.5}, {d.lane + 20, h - 12},
			{d.lane, h - 10}}))
	case method.Down, method.To, method.Trot, method.Steps, method.Past:
	}
	return stand
}

// strip that is fished.
func (d *plan) strip() {
	d.Fill(drawing.Lane, rect(d.lane-12, 0, d.lane+12, d.Height))
}

// beside the water, or floating off the mark.
func (d *plan) beside() point {
	if d.afloat {
		return point{d.Width * 0.2, d.Height * 0.62}
	}
	return point{d.shore + 2, d.Height * 0.62}
}

func (d *plan) throw(from, to point) {
	d.Stroke(drawing.Flight, drawing.Straight(from, to))
}

// back is the lure's way, through these places.
func (d *plan) back(way ...point) {
	d.Stroke(drawing.Run, drawing.Smooth(way))
	d.head(drawing.Run, way[len(way)-2], way[len(way)-1])
	d.Fill(drawing.Run, drawing.Ellipse(way[0][0], way[0][1], 3.2, 3.2))
}

// head of an arrow that comes from a place.
func (d *plan) head(ink drawing.Ink, from, at point) {
	dx, dy := at[0]-from[0], at[1]-from[1]
	n := math.Max(math.Hypot(dx, dy), 1e-9)
	dx, dy = dx/n*7, dy/n*7
	d.Stroke(ink, drawing.Straight(point{at[0] - dx + dy*0.6, at[1] - dy - dx*0.6}, at, point{at[0] - dx - dy*0.6, at[1] - dy + dx*0.6}))
}

// oneFish from above, its head up the sheet.
func (d *plan) oneFish(at point) {
	x, y := at[0], at[1]
	d.Fill(drawing.Fish, drawing.Smooth([]point{{x, y - 12}, {x + 4.5, y - 4}, {x + 1.5, y + 7}, {x + 5, y + 13}, {x - 5, y + 13}, {x - 1.5,
		y + 7}, {x - 4.5, y - 4}, {x, y - 12}})+"Z")
}
