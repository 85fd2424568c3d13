package sketch

import (
	"math"
	"sort"

	"greypebble/core/drawing"
	"greypebble/core/ground"
	"greypebble/core/method"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/spot"
)

// Asked is what is drawn.
type Asked struct {
	Moment  *spot.Moment
	Section *ground.Section // nil: the ground is laid through the marks
	// WidthPx of the sheet, in its own points.
	WidthPx float64
	Units   quantity.Units
	// OtherLevelM is where the water stands at another moment; nil for none.
	OtherLevelM *float64
}

// Presented is a presentation to be drawn.
type Presented struct {
	Cast     method.Cast
	Target   *playbook.Target
	Offering *playbook.Offering
	Rig      *playbook.Rig
	Way      *playbook.Way
	Mark     *ground.Mark
	// DepthM of the offering below the surface.
	DepthM float64
}

type point = drawing.Point

// frame of the side view: metres along and above datum on to the sheet.
type frame struct {
	*drawing.Drawing
	Asked
	fromM, toM   float64
	left, right  float64
	waterY, perM float64
	bottomY      float64
	bed          func(alongM float64) float64
	trolled      bool
}

// Room left on the sheet.
const (
	skyPx    = 78.0 // over the water
	stripPx  = 38.0 // under the deepest bed, for measures
	sidePx   = 30.0
	leastM   = 14.0 // shown along
	leastCol = 0.8  // shown of depth, metres
)

// newFrame about some presentations.
func newFrame(a Asked, list []Presented) *frame {
	f := &frame{Drawing: &drawing.Drawing{Width: a.WidthPx, Height: math.Round(118 + 0.29*a.WidthPx)}, Asked: a, left: sidePx,
		right: a.WidthPx - sidePx, fromM: math.Inf(1), toM: math.Inf(-1)}
	f.bed = a.ground(list[0].Mark)
	for i := range list {
		c := &list[i].Cast
		for _, at := range []float64{c.AtM, c.WaterM, c.ToM, list[i].Mark.DistanceM} {
			f.fromM, f.toM = math.Min(f.fromM, at), math.Max(f.toM, at)
		}
		// Room beyond where it lands.
		beyond := c.ToM + (c.ToM-c.AtM)*0.2
		f.fromM, f.toM = math.Min(f.fromM, beyond), math.Max(f.toM, beyond)
		if c.Kind == method.Trolled {
			f.trolled = true
			f.fromM, f.toM = c.ToM-trailM, c.ToM+trailM/3
			level := list[i].Mark.ElevationM
			f.bed = func(float64) float64 { return level }
		}
	}
	if span := f.toM - f.fromM; span < leastM {
		f.fromM, f.toM = f.fromM-(leastM-span)/2, f.toM+(leastM-span)/2
	}
	deepest := leastCol
	for k := 0; k <= 60; k++ {
		at := f.fromM + (f.toM-f.fromM)*float64(k)/60
		deepest = math.Max(deepest, a.Moment.LevelM-f.bed(at))
	}
	f.waterY = skyPx
	// Thin water is drawn thinner.
	room := (f.Height - skyPx - stripPx) * math.Min(0.5+deepest/4, 1)
	f.perM = room / deepest
	f.bottomY = f.Height - 26
	return f
}

// x on the sheet of a place along the section, y of an elevation.
func (f *frame) x(alongM float64) float64 {
	return f.left + (alongM-f.fromM)/(f.toM-f.fromM)*(f.right-f.left)
}

func (f *frame) along(x float64) float64 {
	return f.fromM + (x-f.left)/(f.right-f.left)*(f.toM-f.fromM)
}

func (f *frame) y(elevationM float64) float64 {
	return math.Max(f.waterY-(elevationM-f.Moment.LevelM)*f.perM, f.waterY-30)
}

// yAt a depth below the surface.
func (f *frame) yAt(depthM float64) float64 { return f.waterY + depthM*f.perM }

// bedY under a place on the sheet.
func (f *frame) bedY(x float64) float64 { return math.Min(f.y(f.bed(f.along(x))), f.bottomY) }

// ground under the spot: its section, or what its marks tell.
func (a Asked) ground(mark *ground.Mark) func(float64) float64 {
	if a.Section != nil {
		return a.Section.Elevation
	}
	s := a.Moment.Spot
	points := []ground.Point{}
	if shore := s.Access.Manner == ground.OnFoot || s.Access.Manner == ground.Wading; shore && s.Place != "pier" {
		points = append(points, ground.Point{DistanceM: -6, ElevationM: a.Moment.LevelM + 0.8},
			ground.Point{DistanceM: 0, ElevationM: a.Moment.LevelM})
	}
	for i := range s.Marks {
		points = append(points, ground.Point{DistanceM: s.Marks[i].DistanceM, ElevationM: s.Marks[i].ElevationM})
	}
	sort.SliceStable(points, func(i, j int) bool { return points[i].DistanceM < points[j].DistanceM })
	if len(points) == 0 {
		return func(float64) float64 { return mark.ElevationM }
	}
	return func(at float64) float64 {
		i := sort.Search(len(points), func(i int) bool { return points[i].DistanceM > at })
		switch {
		case i == 0:
			return points[0].ElevationM
		case i == len(points):
			return points[i-1].ElevationM
		}
		p, q := points[i-1], points[i]
		return p.ElevationM + (q.ElevationM-p.ElevationM)*(at-p.DistanceM)/math.Max(q.DistanceM-p.DistanceM, 1e-9)
	}
}
