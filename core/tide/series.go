package tide

import (
	"math"
	"runtime"
	"sync"
	"time"
)

// Series writes the level in metres at from, from+step, from+2·step, … into
// dst. It allocates a fixed handful of buffers, nothing a sample.
//
// It is a cascade. Slow constituents are summed on a coarse net of times, which
// is refined fourfold again and again by interpolation; faster ones join where
// the net has become fine enough for them. On each net a constituent advances
// by recurrence (walker.go) between moments that are worked out exactly.
// Against the plain sum the difference stays below 0.1 mm.
func (h *Harmonics) Series(dst []float64, from time.Time, step time.Duration) {
	pieces := max(min(len(dst)/leastPiece, runtime.GOMAXPROCS(0)), 1)
	size := (len(dst) + pieces - 1) / pieces
	var wg sync.WaitGroup
	for begin := size; begin < len(dst); begin += size {
		wg.Go(func() { h.series(dst[begin:min(begin+size, len(dst))], from.Add(time.Duration(begin)*step), step) })
	}
	h.series(dst[:min(size, len(dst))], from, step)
	wg.Wait()
}

// leastPiece of a series that is worth a processor of its own: a month at six-minute steps.
const leastPiece = 7200

func (h *Harmonics) series(dst []float64, from time.Time, step time.Duration) {
	if len(dst) == 0 {
		return
	}
	start, stepS := secondsSinceJ2000(from), step.Seconds()
	nets := h.nets(stepS)
	// lo and hi are the first and last node of each net, counted from `from`.
	top := len(nets) - 1
	lo, hi := make([]int, len(nets)), make([]int, len(nets))
	hi[0] = len(dst) - 1
	for k := 1; k <= top; k++ {
		lo[k], hi[k] = floorDiv(lo[k-1], refine)-before, floorDiv(hi[k-1], refine)+after
	}
	var coarse []float64
	for k := top; k >= 0; k-- {
		net := dst
		if k > 0 {
			net = make([]float64, hi[k]-lo[k]+1)
		}
		if k == top {
			for i := range net {
				net[i] = h.z0
			}
		} else {
			upsample(net, lo[k], coarse, lo[k+1])
		}
		width := stepS * math.Pow(refine, float64(k))
		sum(net, nets[k], start+float64(lo[k])*width, width)
		coarse = net
	}
}

// refine is how many times finer each net is than the one above it.
const refine = 4

// widest is the angle in radians a constituent may turn between two nodes of a
// net it is interpolated from: at 1 rad the sixteen points around are good to
// 3·10⁻⁶ of the amplitude.
const widest = 1.0

// mostNets bounds the cascade; a fourth net is worth nothing any more.
const mostNets = 4

// nets sorts the terms by the coarsest net they can be interpolated from.
func (h *Harmonics) nets(stepS float64) [][]*term {
	out := make([][]*term, 1, mostNets)
	for i := range h.list {
		k := &h.list[i]
		turn := math.Abs(k.speed) * degree * stepS / 3600
		net := 0
		for net+1 < mostNets && turn*math.Pow(refine, float64(net+1)) <= widest {
			net++
		}
		for len(out) <= net {
			out = append(out, nil)
		}
		out[net] = append(out[net], k)
	}
	return out
}

func floorDiv(a, b int) int {
	q := a / b
	if a%b < 0 {
		q--
	}
	return q
}

// Points on each side of the gap that is interpolated.
const (
	before = 7
	after  = 8
	points = before + after + 1
)

// weights of the points for a quarter, a half and three quarters of a gap
// (Lagrange).
var weights = lagrange()

func lagrange() (w [refine - 1][points]float64) {
	for q := range w {
		x := before + float64(q+1)/refine
		for i := range points {
			c := 1.0
			for j := range points {
				if j != i {
					c *= (x - float64(j)) / float64(i-j)
				}
			}
			w[q][i] = c
		}
	}
	return w
}

// upsample fills fine (whose first node is lo) from coarse (whose first node is
// coarseLo, in its own count) by interpolation.
func upsample(fine []float64, lo int, coarse []float64, coarseLo int) {
	var gap [refine]float64
	for i := 0; i < len(fine); {
		node := floorDiv(lo+i, refine)
		p := (*[points]float64)(coarse[node-before-coarseLo:])
		var a, b, c float64
		for j := range points {
			a += weights[0][j] * p[j]
			b += weights[1][j] * p[j]
			c += weights[2][j] * p[j]
		}
		gap = [refine]float64{p[before], a, b, c}
		phase := lo + i - node*refine
		i += copy(fine[i:], gap[phase:])
	}
}
