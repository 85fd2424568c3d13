package ground

import "math"

// Line on the ground; a closed one joins its last point to its first.
type Line struct {
	Points []LatLon
	Closed bool
}

// Contours of a grid at a level: where the ground stands exactly so high, by
// marching squares with straight lines between the centres of cells. Higher
// ground lies to the left. Squares with a corner that is not known are left out.
func (g *Grid) Contours(level float64) []Line {
	return g.contours(level, func(r, c int) float64 { return g.Cell(r, c) }, 0, 0, g.Rows-1, g.Cols-1)
}

// Land of a grid at a level as an outline: closed rings around everything that
// stands higher. What is not known, and the world outside, counts as water.
func (g *Grid) Land(level float64) Outline {
	z := func(r, c int) float64 {
		if r < 0 || c < 0 || r >= g.Rows || c >= g.Cols {
			return level - 1
		}
		v := g.Cell(r, c)
		if math.IsNaN(v) {
			return level - 1
		}
		return v
	}
	var o Outline
	for _, l := range g.contours(level, z, -1, -1, g.Rows, g.Cols) {
		if len(l.Points) >= 3 {
			o.Rings = append(o.Rings, Ring(l.Points))
		}
	}
	return o
}

// edge between two neighbouring cell centres: from (r, c) to the east or to the
// north.
type edge struct {
	r, c  int
	north bool
}

// marcher follows the contour from square to square.
type marcher struct {
	g     *Grid
	level float64
	z     func(r, c int) float64
	next  map[edge]edge
	order []edge
}

func (g *Grid) contours(level float64, z func(r, c int) float64, r0, c0, r1, c1 int) []Line {
	m := marcher{g: g, level: level, z: z, next: make(map[edge]edge)}
	for r := r0; r < r1; r++ {
		for c := c0; c < c1; c++ {
			m.square(r, c)
		}
	}
	return m.join()
}

// square adds the stretches of contour in a square of four centres.
func (m *marcher) square(r, c int) {
	sw, se, ne, nw := m.z(r, c), m.z(r, c+1), m.z(r+1, c+1), m.z(r+1, c)
	sum := sw + se + ne + nw
	if math.IsNaN(sum) {
		return
	}
	south, east, north, west := edge{r, c, false}, edge{r, c + 1, true}, edge{r + 1, c, false}, edge{r, c, true}
	code := 0
	for i, v := range [...]float64{sw, se, ne, nw} {
		if v >= m.level {
			code |= 1 << i
		}
	}
	// From an edge to another, higher ground on the left.
	add := func(from, to edge) {
		m.next[from] = to
		m.order = append(m.order, from)
	}
	switch code {
	case 1:
		add(south, west)
	case 2:
		add(east, south)
	case 3:
		add(east, west)
	case 4:
		add(north, east)
	case 6:
		add(north, south)
	case 7:
		add(north, west)
	case 8:
		add(west, north)
	case 9:
		add(south, north)
	case 11:
		add(east, north)
	case 12:
		add(west, east)
	case 13:
		add(south, east)
	case 14:
		add(west, south)
	case 5, 10:
		// A saddle: its middle says which corners hang together.
		joined := sum/4 >= m.level
		switch {
		case code == 5 && joined:
			add(south, east)
			add(north, west)
		case code == 5:
			add(south, west)
			add(north, east)
		case joined:
			add(east, north)
			add(west, south)
		default:
			add(east, south)
			add(west, north)
		}
	}
}

// join the stretches into lines, open ones from their beginning.
func (m *marcher) join() []Line {
	begins := make(map[edge]bool, len(m.next))
	for from := range m.next {
		begins[from] = true
	}
	for _, to := range m.next {
		delete(begins, to)
	}
	var out []Line
	follow := func(start edge, closed bool) {
		l := Line{Closed: closed}
		for e := start; ; {
			l.Points = append(l.Points, m.point(e))
			to, more := m.next[e]
			if !more {
				break
			}
			delete(m.next, e)
			if e = to; closed && e == start {
				break
			}
		}
		out = append(out, l)
	}
	for _, e := range m.order { // in the order found, so that the result is the same every time
		if begins[e] {
			follow(e, false)
		}
	}
	for _, e := range m.order {
		if _, left := m.next[e]; left {
			follow(e, true)
		}
	}
	return out
}

// point of an edge at which the level is met.
func (m *marcher) point(e edge) LatLon {
	r2, c2 := e.r, e.c+1
	if e.north {
		r2, c2 = e.r+1, e.c
	}
	a, b := m.z(e.r, e.c), m.z(r2, c2)
	share := 0.5
	if a != b {
		share = min(max((m.level-a)/(b-a), 0), 1)
	}
	p, q := m.g.Centre(e.r, e.c), m.g.Centre(r2, c2)
	return LatLon{p.Lat + share*(q.Lat-p.Lat), p.Lon + share*(q.Lon-p.Lon)}
}
