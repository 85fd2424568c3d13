package ground

import (
	"fmt"
	"math"

	"greypebble/core/words"
)

// narrowM is how wide a dug channel is at most, metres.
const narrowM = 70.0

// straights finds channels that run straighter than nature makes them: connected
// narrow water whose cells lie on one line, and how many side creeks join it.
func (f *finder) straights() []Find {
	narrow := make([]bool, len(f.Z))
	for r := range f.Rows {
		for c := range f.Cols {
			narrow[r*f.Cols+c] = f.narrow(r, c)
		}
	}
	seen := make([]bool, len(f.Z))
	var out []Find
	for i := range narrow {
		if !narrow[i] || seen[i] {
			continue
		}
		cells := f.flood(i, narrow, seen)
		if s, ok := f.straight(cells); ok {
			out = append(out, s)
		}
	}
	return thinned(out)
}

// narrow says that a cell is water with land near on two opposite sides.
func (f *finder) narrow(r, c int) bool {
	if !(f.Cell(r, c) < f.level-0.8) {
		return false
	}
	for _, d := range [][2]int{{0, 1}, {1, 0}, {1, 1}, {1, -1}} {
		if f.bank(r, c, d[0], d[1]) && f.bank(r, c, -d[0], -d[1]) {
			return true
		}
	}
	return false
}

func (f *finder) bank(r, c, dr, dc int) bool {
	step := math.Hypot(float64(dr)*f.north, float64(dc)*f.east)
	for n := 1; float64(n)*step <= narrowM/2; n++ {
		rr, cc := r+n*dr, c+n*dc
		if rr < 0 || cc < 0 || rr >= f.Rows || cc >= f.Cols {
			return false
		}
		if f.Cell(rr, cc) > f.level {
			return true
		}
	}
	return false
}

// flood collects the cells that hang together with one.
func (f *finder) flood(start int, in, seen []bool) []int {
	stack, out := []int{start}, []int{}
	seen[start] = true
	for len(stack) > 0 {
		i := stack[len(stack)-1]
		stack = stack[:len(stack)-1]
		out = append(out, i)
		r, c := i/f.Cols, i%f.Cols
		for dr := -1; dr <= 1; dr++ {
			for dc := -1; dc <= 1; dc++ {
				rr, cc := r+dr, c+dc
				if rr < 0 || cc < 0 || rr >= f.Rows || cc >= f.Cols {
					continue
				}
				if j := rr*f.Cols + cc; in[j] && !seen[j] {
					seen[j] = true
					stack = append(stack, j)
				}
			}
		}
	}
	return out
}

// straight fits a line through cells. Side creeks hang on a channel, so that cells
// off its line are taken out before the fit is judged, and counted by where they
// leave it.
func (f *finder) straight(cells []int) (Find, bool) {
	if float64(len(cells))*math.Min(f.north, f.east) < straightLeast {
		return Find{}, false
	}
	keep := cells
	var x0, y0, sin, cos, off float64
	for range 6 {
		x0, y0, sin, cos, off = f.axis(keep)
		next := keep[:0:0]
		for _, i := range cells {
			x, y := float64(i%f.Cols)*f.east-x0, float64(i/f.Cols)*f.north-y0
			if math.Abs(x*cos-y*sin) <= 2*straightOff {
				next = append(next, i)
			}
		}
		if len(next) == len(keep) || len(next) == 0 {
			break
		}
		keep = next
	}
	lo, hi := math.Inf(1), math.Inf(-1)
	for _, i := range keep {
		u := (float64(i%f.Cols)*f.east-x0)*sin + (float64(i/f.Cols)*f.north-y0)*cos
		lo, hi = math.Min(lo, u), math.Max(hi, u)
	}
	// Most of it must lie on the line, all along.
	if hi-lo < straightLeast || off > straightOff || float64(len(keep)) < 0.6*float64(len(cells)) ||
		float64(len(keep))*math.Max(f.north, f.east) < (hi-lo) {
		return Find{}, false
	}
	creeks := f.joining(cells, x0, y0, sin, cos)
	at := LatLon{f.South + (y0+(lo+hi)/2*cos)/f.north*f.DLat, f.West + (x0+(lo+hi)/2*sin)/f.east*f.DLon}
	why := fmt.Sprintf(words.MOfChannelWithinMOf, hi-lo, 2*straightOff)
	if creeks > 0 {
		why += fmt.Sprintf(words.CreeksJoinIt, creeks)
	}
	return Find{Channel, at, f.Elevation(at), why, (hi - lo) * (1 + float64(creeks)/4)}, true
}

// axis of cells: their middle, their direction, and how far they lie off it.
func (f *finder) axis(cells []int) (x0, y0, sin, cos, off float64) {
	n := float64(len(cells))
	for _, i := range cells {
		x0, y0 = x0+float64(i%f.Cols)*f.east/n, y0+float64(i/f.Cols)*f.north/n
	}
	var xx, yy, xy float64
	for _, i := range cells {
		x, y := float64(i%f.Cols)*f.east-x0, float64(i/f.Cols)*f.north-y0
		xx, yy, xy = xx+x*x/n, yy+y*y/n, xy+x*y/n
	}
	a := 0.5 * math.Atan2(2*xy, xx-yy) // from east
	sin, cos = math.Cos(a), math.Sin(a)
	off = math.Sqrt(math.Max((xx+yy)/2-math.Hypot((xx-yy)/2, xy), 0))
	return x0, y0, sin, cos, off
}

// joining counts places where water leaves the line: runs along it of water just
// beyond its banks.
func (f *finder) joining(cells []int, x0, y0, sin, cos float64) int {
	taken := map[int]bool{}
	for _, i := range cells {
		x, y := float64(i%f.Cols)*f.east-x0, float64(i/f.Cols)*f.north-y0
		if off := x*cos - y*sin; math.Abs(off) > 2*straightOff && math.Abs(off) < 5*straightOff {
			side := 0
			if off > 0 {
				side = 1
			}
			taken[2*int(math.Floor((x*sin+y*cos)/60))+side] = true
		}
	}
	return len(taken)
}
