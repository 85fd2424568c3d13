package ground

import (
	"fmt"
	"math"
)

// Sounding is an elevation above chart datum at a place, metres.
type Sounding struct {
	LatLon
	ElevationM float64
}

const (
	mostSoundings = 2_000_000
	// enough soundings around a cell to lay a plane through.
	enough = 3
	// leastSpread of the soundings about a cell across their line, as a share of all their spread (of
	// squares): with less, the slope that way is mostly the noise of one track, and is damped.
	leastSpread = 0.02
)

// GridSoundings lays a grid of cells of a size in metres through scattered
// soundings: each cell takes the plane fitted to the soundings within reach,
// nearer ones counting more (1/d²; moving least squares: planes come back
// exactly). Where too few lie near it is their weighted mean, where they lie in a line
// it slopes along that only, and it is never outside what they measured; where none
// lies near, the cell is not known.
func GridSoundings(list []Sounding, cellM, reachM float64) (*Grid, error) {
	if len(list) < enough || len(list) > mostSoundings {
		return nil, fmt.Errorf("ground: expected %d to %d soundings, not %d", enough, mostSoundings, len(list))
	}
	if !(cellM >= 0.5 && cellM <= 1000) || !(reachM >= cellM && reachM <= 20*cellM) {
		return nil, fmt.Errorf("ground: cells must be 0.5 to 1000 m and the reach 1 to 20 cells, not %v and %v m", cellM, reachM)
	}
	lo, hi := list[0].LatLon, list[0].LatLon
	for i, s := range list {
		if err := s.LatLon.Validate(); err != nil {
			return nil, fmt.Errorf("ground: sounding %d: %w", i+1, err)
		}
		if !(math.Abs(s.ElevationM) <= 12_000) {
			return nil, fmt.Errorf("ground: sounding %d: %v m is no depth on Earth", i+1, s.ElevationM)
		}
		lo, hi = LatLon{min(lo.Lat, s.Lat), min(lo.Lon, s.Lon)}, LatLon{max(hi.Lat, s.Lat), max(hi.Lon, s.Lon)}
	}
	m := planeAt(lo)
	width, height := m.xy(hi)
	cols, rows := int(math.Ceil(width/cellM))+1, int(math.Ceil(height/cellM))+1
	g, err := NewGrid(lo.Lat, lo.Lon, cellM/perDegree, cellM/m.east, max(rows, 2), max(cols, 2))
	if err != nil {
		return nil, err
	}
	b := bucketed(m, list, reachM)
	for r := range g.Rows {
		for c := range g.Cols {
			if z, ok := b.at(float64(c)*cellM, float64(r)*cellM); ok {
				g.Set(r, c, z)
			}
		}
	}
	return g, nil
}

type spotHeight struct{ x, y, z float64 }

// buckets of soundings a reach wide, so that those near a cell are at hand.
type buckets struct {
	reach float64
	cells map[[2]int][]spotHeight
}

func bucketed(m plane, list []Sounding, reach float64) buckets {
	b := buckets{reach, make(map[[2]int][]spotHeight)}
	for _, s := range list {
		x, y := m.xy(s.LatLon)
		k := [2]int{int(math.Floor(x / reach)), int(math.Floor(y / reach))}
		b.cells[k] = append(b.cells[k], spotHeight{x, y, s.ElevationM})
	}
	return b
}

func (b buckets) at(x, y float64) (z float64, known bool) {
	var n int
	least, most := math.Inf(1), math.Inf(-1)
	var w, wx, wy, wxx, wxy, wyy, wz, wxz, wyz float64
	cx, cy := int(math.Floor(x/b.reach)), int(math.Floor(y/b.reach))
	for i := cx - 1; i <= cx+1; i++ {
		for j := cy - 1; j <= cy+1; j++ {
			for _, s := range b.cells[[2]int{i, j}] {
				dx, dy := s.x-x, s.y-y
				d2 := dx*dx + dy*dy
				if d2 > b.reach*b.reach {
					continue
				}
				k := 1 / (d2 + 1e-4*b.reach*b.reach)
				n++
				least, most = min(least, s.z), max(most, s.z)
				w, wx, wy, wxx, wxy, wyy = w+k, wx+k*dx, wy+k*dy, wxx+k*dx*dx, wxy+k*dx*dy, wyy+k*dy*dy
				wz, wxz, wyz = wz+k*s.z, wxz+k*dx*s.z, wyz+k*dy*s.z
			}
		}
	}
	if n == 0 {
		return 0, false
	}
	mean := wz / w
	// The plane z = a + b·dx + c·dy, whose value here is a.
	mx, my := wx/w, wy/w
	sxx, sxy, syy := wxx/w-mx*mx, wxy/w-mx*my, wyy/w-my*my
	sxz, syz := wxz/w-mx*mean, wyz/w-my*mean
	all := sxx + syy
	if n < enough || all == 0 {
		return mean, true
	}
	across := (all - math.Hypot(sxx-syy, 2*sxy)) / 2
	if ridge := leastSpread*all - across; ridge > 0 {
		sxx, syy = sxx+ridge, syy+ridge
	}
	det := sxx*syy - sxy*sxy
	slopeX, slopeY := (sxz*syy-syz*sxy)/det, (syz*sxx-sxz*sxy)/det
	return min(max(mean-slopeX*mx-slopeY*my, least), most), true
}
