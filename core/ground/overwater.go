package ground

import (
	"container/heap"
	"math"
	"slices"
)

const (
	// latticeSide is how many cells the longer side of the lattice has that ways over water are looked for on.
	latticeSide = 140
	// aroundM is how far a way may lead around beyond both places, besides half of what lies between them.
	aroundM = 3000.0
	// ashoreM is how far from the water a place may lie that is said to be in it: a pier's foot, a bar drawn as land.
	ashoreM = 600.0
)

// OverWater is the length in metres of the shortest way over water from one place to another; false where the shore lets
// none through within reach. It goes from cell to cell of a lattice, sixteen ways from each, and is then drawn taut past
// the shores: it is a few parts in a hundred longer than the shortest there is, and never shorter than a bee line.
func (o *Outline) OverWater(from, to LatLon) (float64, bool) {
	l := o.lattice(from, to)
	a, okA := l.nearest(from)
	b, okB := l.nearest(to)
	if !okA || !okB {
		return 0, false
	}
	way, ok := l.way(a, b)
	if !ok {
		return 0, false
	}
	places := []LatLon{from}
	for _, cell := range way {
		places = append(places, l.place(cell))
	}
	return o.taut(append(places, to)), true
}

// lattice of water and land about two places.
type lattice struct {
	south, west, dLat, dLon float64
	rows, cols              int
	metres                  float64 // of a cell
	water                   []bool
}

func (o *Outline) lattice(a, b LatLon) *lattice {
	around := aroundM + Distance(a, b)/2
	north, south := math.Max(a.Lat, b.Lat)+around/perDegree, math.Min(a.Lat, b.Lat)-around/perDegree
	east := planeAt(a).east
	dLon, _ := planeAt(a).xy(b)
	west, width := math.Min(0, dLon)-around, math.Abs(dLon)+2*around
	height := (north - south) * perDegree
	l := &lattice{south: south, west: a.Lon + west/east, metres: math.Max(width, height) / latticeSide}
	l.dLat, l.dLon = l.metres/perDegree, l.metres/east
	l.rows, l.cols = int(height/l.metres)+1, int(width/l.metres)+1
	l.water = make([]bool, l.rows*l.cols)
	for r := range l.rows {
		// Along a row, land begins and ends where shores cross it.
		lat := l.south + float64(r)*l.dLat
		var at []float64
		for _, ring := range o.Rings {
			p := ring[len(ring)-1]
			for _, q := range ring {
				if (p.Lat > lat) != (q.Lat > lat) {
					lon := p.Lon + math.Remainder(q.Lon-p.Lon, 360)*(lat-p.Lat)/(q.Lat-p.Lat)
					at = append(at, math.Remainder(lon-l.west, 360)/l.dLon)
				}
				p = q
			}
		}
		slices.Sort(at)
		k := 0
		for c := range l.cols {
			for k < len(at) && at[k] <= float64(c) {
				k++
			}
			l.water[r*l.cols+c] = k%2 == 0
		}
	}
	return l
}

func (l *lattice) place(cell int) LatLon {
	return LatLon{l.south + float64(cell/l.cols)*l.dLat, l.west + float64(cell%l.cols)*l.dLon}
}

// nearest cell of water to a place.
func (l *lattice) nearest(p LatLon) (cell int, ok bool) {
	best := math.Max(ashoreM, 1.5*l.metres)
	for i, wet := range l.water {
		if wet {
			if d := Distance(p, l.place(i)); d <= best {
				cell, best, ok = i, d, true
			}
		}
	}
	return cell, ok
}

// leaps from a cell: to those beside it, and a knight's moves.
var leaps = [][2]int{{0, 1}, {1, 1}, {1, 0}, {1, -1}, {0, -1}, {-1, -1}, {-1, 0}, {-1, 1},
	{1, 2}, {2, 1}, {2, -1}, {1, -2}, {-1, -2}, {-2, -1}, {-2, 1}, {-1, 2}}

// way between two cells (A*, Hart, Nilsson and Raphael 1968).
func (l *lattice) way(from, to int) ([]int, bool) {
	far, before := make([]float64, len(l.water)), make([]int, len(l.water))
	for i := range far {
		far[i], before[i] = math.Inf(1), -1
	}
	apart := func(a, b int) float64 {
		return l.metres * math.Hypot(float64(a/l.cols-b/l.cols), float64(a%l.cols-b%l.cols))
	}
	far[from] = 0
	open := &cells{{from, apart(from, to)}}
	for open.Len() > 0 {
		at := heap.Pop(open).(openCell).cell
		if at == to {
			var out []int
			for c := to; c >= 0; c = before[c] {
				out = append(out, c)
			}
			slices.Reverse(out)
			return out, true
		}
		r, c := at/l.cols, at%l.cols
		for _, leap := range leaps {
			nr, nc := r+leap[0], c+leap[1]
			if nr < 0 || nc < 0 || nr >= l.rows || nc >= l.cols || !l.free(r, c, leap) {
				continue
			}
			next := nr*l.cols + nc
			if d := far[at] + apart(at, next); d < far[next]-1e-6 {
				far[next], before[next] = d, at
				heap.Push(open, openCell{next, d + apart(next, to)})
			}
		}
	}
	return nil, false
}

// free is a leap over water alone: no cell it goes through is land.
func (l *lattice) free(r, c int, leap [2]int) bool {
	wet := func(dr, dc int) bool { return l.water[(r+dr)*l.cols+c+dc] }
	dr, dc := leap[0], leap[1]
	half := func(v int) int { return v / 2 }
	switch {
	case !wet(dr, dc):
		return false
	case dr == 0 || dc == 0:
		return true
	case max(dr, -dr) == max(dc, -dc):
		return wet(dr, 0) && wet(0, dc)
	}
	return wet(half(dr), half(dc)) && wet(dr-half(dr), dc-half(dc))
}

// taut is the length of a way once it is drawn straight wherever no shore is in between.
func (o *Outline) taut(way []LatLon) (metres float64) {
	for i := 0; i < len(way)-1; {
		k := i + 1
		for next := len(way) - 1; next > k; next-- {
			if !o.shoreBetween(way[i], way[next]) {
				k = next
				break
			}
		}
		metres += Distance(way[i], way[k])
		i = k
	}
	return metres
}

// shoreBetween two places: the straight line meets one.
func (o *Outline) shoreBetween(a, b LatLon) bool {
	m := planeAt(a)
	bx, by := m.xy(b)
	side := func(x1, y1, x2, y2, x, y float64) float64 { return (x2-x1)*(y-y1) - (y2-y1)*(x-x1) }
	for _, r := range o.Rings {
		x1, y1 := m.xy(r[len(r)-1])
		for _, p := range r {
			x2, y2 := m.xy(p)
			if side(0, 0, bx, by, x1, y1)*side(0, 0, bx, by, x2, y2) < 0 && side(x1, y1, x2, y2, 0, 0)*side(x1, y1, x2, y2, bx, by) < 0 {
				return true
			}
			x1, y1 = x2, y2
		}
	}
	return false
}

type openCell struct {
	cell int
	good float64
}

type cells []openCell

func (h cells) Len() int           { return len(h) }
func (h cells) Less(i, j int) bool { return h[i].good < h[j].good }
func (h cells) Swap(i, j int)      { h[i], h[j] = h[j], h[i] }
func (h *cells) Push(x any)        { *h = append(*h, x.(openCell)) }
func (h *cells) Pop() any {
	old := *h
	last := old[len(old)-1]
	*h = old[:len(old)-1]
	return last
}
