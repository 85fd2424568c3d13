package advise

import (
	"greypebble/core/drawing"
	"greypebble/core/ground"
	"greypebble/core/sketch"
	"greypebble/core/spot"
)

// sectionOf a spot; nil where too few points were drawn to be one.
func sectionOf(s *spot.Spot) *ground.Section {
	section, _ := ground.NewSection(s.Section)
	return section
}

// drawing of the choice's moment on a sheet of a width.
func (c *Choice) drawing(widthPx float64) sketch.Asked {
	return sketch.Asked{Moment: c.moment, Section: sectionOf(c.moment.Spot), WidthPx: widthPx, Units: c.units}
}

// DrawBoth of two choices on one sheet, as wide as that; where they are of two moments, the water of the
// second is a line. False where they are of two spots.
func DrawBoth(a, b *Choice, widthPx float64) (drawing.Drawing, bool) {
	if a.moment.Spot.Name != b.moment.Spot.Name || a.moment.Spot.LatLon != b.moment.Spot.LatLon {
		return drawing.Drawing{}, false
	}
	on := a.drawing(widthPx)
	if !a.moment.Time.Equal(b.moment.Time) {
		on.OtherLevelM = &b.moment.LevelM
	}
	return sketch.Side(on, a.presented, b.presented), true
}
