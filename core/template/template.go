// Package template holds sections of common kinds of place, each with its marks, which are
// bent to one's own by a few depths: "how deep at the end of the pier at low water?"
//
// A template is drawn between two levels of the tide, low and high water of an ordinary
// spring, so that what lies between them (a crest, a bank) lies there on any coast. Each of
// its asks holds a point of the section; what lies between two of them moves with both, in
// proportion. All shapes are common practice, no source: they are to begin with.
package template

import (
	"fmt"
	"math"
	"slices"

	"greypebble/core/ground"
)

// Tide levels a section is bent to: mean low and high water of springs, metres above chart
// datum.
// Depths are told over AboveLowM: 0 where they are those at low water, more where the water
// stands higher as they are measured.
type Tide struct{ LowM, HighM, AboveLowM float64 }

// Height of a point: a share of the way from low to high water, and metres beyond it.
type Height struct{ Share, M float64 }

func (h Height) at(t Tide) float64 { return t.LowM + h.Share*(t.HighM-t.LowM) + h.M }

// Kind of answer an ask wants.
type Kind string

// Answers are depths at low water, heights above high water, or distances.
const (
	// Deep is how deep it is there at low water; dry ground is less than nothing.
	Deep Kind = "depth at low water"
	// Out is how far out it lies.
	Out Kind = "distance"
)

// Ask for what bends a template.
type Ask struct {
	ID, Says string
	Kind     Kind
	// Point of the section it is about, by its place in it.
	Point int
}

type point struct {
	m float64
	h Height
}

type mark struct {
	name   string
	kind   ground.MarkKind
	point  int
	bottom string
	deep   ground.Depths
	line   string
	snag   bool
}

// Template of a kind of place.
type Template struct {
	ID, Name, Says string
	// Place is the kind of place it is, Manner how one usually goes there.
	Place  string
	Manner ground.Manner
	Bottom string
	// Hazards one usually meets there.
	Hazards string
	Asks    []Ask

	points []point
	marks  []mark
}

// All templates, in the order they are offered.
func All() []Template { return slices.Clone(templates) }

// ByID of a template; false for none.
func ByID(id string) (Template, bool) {
	i := slices.IndexFunc(templates, func(t Template) bool { return t.ID == id })
	if i < 0 {
		return Template{}, false
	}
	return templates[i], true
}

// Bent is a template as a spot has it.
type Bent struct {
	Section []ground.Point
	Marks   []ground.Mark
	// Answers are what each ask stands at, answered or not, in metres.
	Answers map[string]float64
}

// Bend a template to a tide and to answers by their asks, in metres; what is not answered
// stays as it is drawn. An answer that turns the section over is an error that says which.
func (t Template) Bend(tide Tide, answers map[string]float64) (Bent, error) {
	if !(tide.HighM >= tide.LowM) || math.IsInf(tide.HighM-tide.LowM, 0) {
		return Bent{}, fmt.Errorf("template: high water must not lie under low water")
	}
	for id := range answers {
		if !slices.ContainsFunc(t.Asks, func(a Ask) bool { return a.ID == id }) {
			return Bent{}, fmt.Errorf("template: %s does not ask for %q", t.Name, id)
		}
	}
	out := Bent{Answers: map[string]float64{}}
	drawnM, drawnZ := make([]float64, len(t.points)), make([]float64, len(t.points))
	for i, p := range t.points {
		drawnM[i], drawnZ[i] = p.m, p.h.at(tide)
	}
	shiftM, shiftZ := map[int]float64{0: 0}, map[int]float64{}
	for _, a := range t.Asks {
		is := drawnM[a.Point]
		if a.Kind == Deep {
			is = tide.LowM + tide.AboveLowM - drawnZ[a.Point]
		}
		v, given := answers[a.ID]
		if !given {
			out.Answers[a.ID] = round(is)
			v = is
		} else {
			out.Answers[a.ID] = v
		}
		if math.IsNaN(v) || math.Abs(v) > 2000 {
			return Bent{}, fmt.Errorf("template: %s must be a number of metres, not %v", a.Says, v)
		}
		switch {
		case a.Kind == Out:
			shiftM[a.Point] = v - is
		case given:
			shiftZ[a.Point] = is - v
		default:
			shiftZ[a.Point] = 0
		}
	}
	for i := range t.points {
		m, z := drawnM[i]+between(drawnM, shiftM, i), drawnZ[i]+between(drawnM, shiftZ, i)
		if i > 0 && m <= out.Section[i-1].DistanceM {
			return Bent{}, fmt.Errorf("template: what lies further out must be asked further: at %.0f m it comes after %.0f m", m,
				out.Section[i-1].DistanceM)
		}
		out.Section = append(out.Section, ground.Point{DistanceM: round(m), ElevationM: round(z)})
	}
	for _, k := range t.marks {
		p := out.Section[k.point]
		out.Marks = append(out.Marks, ground.Mark{Name: k.name, Kind: k.kind, DistanceM: p.DistanceM, ElevationM: p.ElevationM,
			Bottom:   k.bottom,
			Fishable: k.deep, Line: k.line, Snag: k.snag})
	}
	return out, nil
}

// between is by how much a point is shifted: in proportion between the held points either
// side of it, and as the last one beyond.
func between(at []float64, held map[int]float64, i int) float64 {
	lo, hi := -1, -1
	for k := range held {
		if k <= i && k > lo {
			lo = k
		}
		if k >= i && (hi < 0 || k < hi) {
			hi = k
		}
	}
	switch {
	case lo < 0 && hi < 0:
		return 0
	case lo < 0:
		return held[hi]
	case hi < 0 || lo == hi:
		return held[lo]
	}
	f := (at[i] - at[lo]) / (at[hi] - at[lo])
	return held[lo] + f*(held[hi]-held[lo])
}

func round(m float64) float64 { return math.Round(m*100) / 100 }
