package ground

import (
	"fmt"
	"math"
	"sort"

	"greypebble/core/words"
)

// Find is a feature suggested from a grid, to accept or reject.
type Find struct {
	Kind       MarkKind
	At         LatLon
	ElevationM float64
	// Why says in words what was seen.
	Why string
	// Weight ranks finds of one kind, larger first.
	Weight float64
}

// What makes a feature. The house's judgement on common practice.
const (
	ringRadius    = 45.0 // metres around a cell that are looked at
	ringPoints    = 24
	leastRelief   = 0.4  // metres a hole, crest or cut must stand out
	dropReach     = 30.0 // metres over which a step must fall
	leastDrop     = 1.2  // metres
	shallowTop    = 1.2  // metres of water at the level over the top of a step
	apartM        = 90.0 // between two finds of one kind
	mostFinds     = 12   // of one kind
	straightLeast = 500.0
	straightOff   = 10.0 // metres off a straight line, root mean square
)

// LookEvery so many cells features are looked for, so that a large grid takes no longer
// than a small one.
func (g *Grid) LookEvery() int { return 1 + len(g.Z)/1_500_000 }

// FindFeatures looks a grid over for what anglers look for at a tide level: steep
// steps near shallow ground, cuts through bars, holes beside flats, and straight
// dug channels, which nature does not draw. step says how many cells are passed
// over between two that are looked at, 1 for all.
func (g *Grid) FindFeatures(levelM float64, step int) []Find {
	f := finder{Grid: g, level: levelM}
	f.north, f.east = g.DLat*perDegree, g.DLon*perDegree*math.Cos(g.South*math.Pi/180)
	for r := 0; r < g.Rows; r += max(step, 1) {
		for c := 0; c < g.Cols; c += max(step, 1) {
			f.look(r, c)
		}
	}
	var out []Find
	for _, k := range []MarkKind{Step, Cut, Hole} {
		out = append(out, thinned(f.found[k])...)
	}
	return append(out, f.straights()...)
}

type finder struct {
	*Grid
	level       float64
	north, east float64 // metres a cell
	found       map[MarkKind][]Find
}

func (f *finder) add(k MarkKind, r, c int, weight float64, why string) {
	if f.found == nil {
		f.found = make(map[MarkKind][]Find)
	}
	f.found[k] = append(f.found[k], Find{k, f.Centre(r, c), f.Cell(r, c), why, weight})
}

// ring of elevations around a cell less its own; false at an edge or a gap.
func (f *finder) ring(r, c int, radius float64, out *[ringPoints]float64) bool {
	z := f.Cell(r, c)
	for i := range out {
		s, co := math.Sincos(2 * math.Pi * float64(i) / ringPoints)
		rr, cc := r+int(math.Round(co*radius/f.north)), c+int(math.Round(s*radius/f.east))
		if rr < 0 || cc < 0 || rr >= f.Rows || cc >= f.Cols {
			return false
		}
		d := f.Cell(rr, cc) - z
		if math.IsNaN(d) {
			return false
		}
		out[i] = d
	}
	return true
}

func (f *finder) look(r, c int) {
	z := f.Cell(r, c)
	depth := f.level - z
	if math.IsNaN(z) || depth <= 0 {
		return
	}
	var ring [ringPoints]float64
	if !f.ring(r, c, ringRadius, &ring) {
		return
	}
	rises, shallow := 0, 0
	least := math.Inf(1)
	for _, d := range ring {
		least = math.Min(least, d)
		if d > leastRelief {
			rises++
		}
		if depth-d > 0 && depth-d < shallowTop {
			shallow++
		}
	}
	if rises == ringPoints && shallow > ringPoints/2 {
		f.add(Hole, r, c, least, fmt.Sprintf(words.MDeeperThanTheFlatAround, least))
	}
	if gap := f.gap(depth, &ring); gap > 0 && gap < highestBar {
		f.add(Cut, r, c, gap, fmt.Sprintf(words.AGapBetweenBarsMHigher, gap))
	}
	if depth < shallowTop {
		f.step(r, c, depth)
	}
}

// deepestBar is how deep a bar may lie to have cuts worth the name, metres.
const (
	deepestBar = 2.5
	highestBar = 1.4 // above the gap: more is a bank
)

// gap is how far bars rise on both sides of a cell that falls away across them;
// nil where there is none. Land on a side makes it a creek, not a cut.
func (f *finder) gap(depth float64, ring *[ringPoints]float64) float64 {
	const half, quarter = ringPoints / 2, ringPoints / 4
	bar := func(d float64) bool { return d > leastRelief && depth-d > -0.2 && depth-d < deepestBar }
	best := 0.0
	for i := range half {
		a, b := ring[i], ring[i+half]
		across, back := ring[(i+quarter)%ringPoints], ring[(i+half+quarter)%ringPoints]
		if bar(a) && bar(b) && math.Min(across, back) < -leastRelief/2 {
			best = math.Max(best, math.Min(a, b))
		}
	}
	return best
}

// step looks for a steep fall from shallow ground.
func (f *finder) step(r, c int, depth float64) {
	var ring [ringPoints]float64
	if !f.ring(r, c, dropReach, &ring) {
		return
	}
	drop := 0.0
	for _, d := range ring {
		drop = math.Max(drop, -d)
	}
	if drop >= leastDrop {
		f.add(Step, r, c, drop, fmt.Sprintf(words.FallsMWithinMFromWater, drop, dropReach, depth))
	}
}

// thinned keeps the best finds, none near a better one.
func thinned(list []Find) []Find {
	sort.SliceStable(list, func(i, j int) bool { return list[i].Weight > list[j].Weight })
	var out []Find
	for _, f := range list {
		if len(out) == mostFinds {
			break
		}
		m, free := planeAt(f.At), true
		for _, o := range out {
			if x, y := m.xy(o.At); math.Hypot(x, y) < apartM {
				free = false
				break
			}
		}
		if free {
			out = append(out, f)
		}
	}
	return out
}
