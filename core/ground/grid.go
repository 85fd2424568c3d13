package ground

import (
	"fmt"
	"math"
)

// Grid of elevations above chart datum, metres, on a lattice of latitude and
// longitude: the value of a cell stands for its centre. NaN is not known.
type Grid struct {
	// South and West are the centre of the first cell, degrees; DLat and DLon are
	// the steps to the next.
	South, West, DLat, DLon float64
	Rows, Cols              int
	// Z holds rows from south to north, each from west to east.
	Z []float32
}

// Limits of a grid.
const mostCells = 16_000_000

// NewGrid of unknown elevations.
func NewGrid(south, west, dLat, dLon float64, rows, cols int) (*Grid, error) {
	switch {
	case rows < 2 || cols < 2 || rows > mostCells/cols:
		return nil, fmt.Errorf("ground: a grid needs 2 × 2 to %d cells, not %d × %d", mostCells, rows, cols)
	case !(dLat > 0 && dLat < 1) || !(dLon > 0 && dLon < 1):
		return nil, fmt.Errorf("ground: cells of a grid must be between 0 and 1 degree, not %v × %v", dLat, dLon)
	case !(south >= -90 && south+dLat*float64(rows-1) <= 90) || !(west >= -180 && west+dLon*float64(cols-1) <= 360):
		return nil, fmt.Errorf("ground: a grid from %v, %v with %d × %d cells of %v × %v degrees leaves the Earth", south, west, rows,
			cols, dLat, dLon)
	}
	g := &Grid{south, west, dLat, dLon, rows, cols, make([]float32, rows*cols)}
	for i := range g.Z {
		g.Z[i] = float32(math.NaN())
	}
	return g, nil
}

// Cell is the elevation of a row and column.
func (g *Grid) Cell(row, col int) float64 { return float64(g.Z[row*g.Cols+col]) }

// Set the elevation of a cell.
func (g *Grid) Set(row, col int, z float64) { g.Z[row*g.Cols+col] = float32(z) }

// Centre of a cell.
func (g *Grid) Centre(row, col int) LatLon {
	return LatLon{g.South + float64(row)*g.DLat, g.West + float64(col)*g.DLon}
}

// at is a place in rows and columns.
func (g *Grid) at(p LatLon) (row, col float64) {
	return (p.Lat - g.South) / g.DLat, (p.Lon - g.West) / g.DLon
}

// Elevation at a place, between the four cells around it (bilinear: exact on
// planes). NaN outside, or where one of them is not known.
func (g *Grid) Elevation(p LatLon) float64 {
	r, c := g.at(p)
	// A hair outside is a rounding error.
	const hair = 1e-9
	if !(r >= -hair && c >= -hair && r <= float64(g.Rows-1)+hair && c <= float64(g.Cols-1)+hair) {
		return math.NaN()
	}
	i, j := min(int(math.Max(r, 0)), g.Rows-2), min(int(math.Max(c, 0)), g.Cols-2)
	y, x := r-float64(i), c-float64(j)
	return (g.Cell(i, j)*(1-x)+g.Cell(i, j+1)*x)*(1-y) + (g.Cell(i+1, j)*(1-x)+g.Cell(i+1, j+1)*x)*y
}

// Range of the elevations that are known; NaN when none is.
func (g *Grid) Range() (lo, hi float64) {
	lo, hi = math.NaN(), math.NaN()
	for _, z := range g.Z {
		v := float64(z)
		if math.IsNaN(v) {
			continue
		}
		if !(lo <= v) {
			lo = v
		}
		if !(hi >= v) {
			hi = v
		}
	}
	return lo, hi
}

// Cut through the grid from one place to another: n points evenly along the
// way, those of known elevation only, distances in metres from the first place.
func (g *Grid) Cut(from, to LatLon, n int) []Point {
	m := planeAt(from)
	x, y := m.xy(to)
	length := math.Hypot(x, y)
	var out []Point
	for i := range n {
		share := float64(i) / float64(n-1)
		p := LatLon{from.Lat + share*(to.Lat-from.Lat), from.Lon + share*(to.Lon-from.Lon)}
		if z := g.Elevation(p); !math.IsNaN(z) {
			out = append(out, Point{share * length, z})
		}
	}
	return out
}

// CellM is the height of a cell, metres.
func (g *Grid) CellM() float64 { return g.DLat * perDegree }
