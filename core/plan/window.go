package plan

import (
	"cmp"
	"math"
	"slices"
	"time"

	"greypebble/core/ground"
	"greypebble/core/sweep"
)

// Wish narrows down what one goes for. Its zero value wants anything that is on, at any hour.
type Wish struct {
	// Targets by their place in the outlook; none: any.
	Targets []int
	// Spots by their place in the outlook; none: any.
	Spots []int
	// Least edge that is worth going for; 1 is an ordinary spell.
	Least float64
	// ByDay only, between civil dawn and dusk.
	ByDay bool
	// Free, if not nil, are the times one could go.
	Free []ground.Window
	// Margin to be out before the way shuts.
	Margin time.Duration
}

// Window is a time that is worth going for.
type Window struct {
	// Spot and Target by their place in the outlook.
	Spot, Target int
	// From and To bound it; zero are the ends of the outlook.
	From, To time.Time
	// BestFrom is where its best hour begins, or itself where it is shorter; BestUntil where that ends.
	BestFrom, BestUntil time.Time
	// Opens is when the way opened and Shuts when it shuts; zero where that lies beyond the outlook.
	Opens, Shuts time.Time
	// BeOutBy is the margin before it shuts; zero where it does not.
	BeOutBy time.Time
	// Edge is the mean over the best hour, and Catch what it makes of the target's usual catch, fish a
	// rod-hour.
	Edge, Catch float64
	// Others are further targets worth it in the best hour, best first.
	Others []Other
	// Dark: the best hour lies in the dark. Told: its weather was told by somebody.
	Dark, Told bool
}

// Other target of a window.
type Other struct {
	Target int
	Edge   float64
}

// What makes a window of a peak. The house's judgement.
const (
	// share of its peak down to which it reaches.
	share = 0.75
	// shortest one is worth the way, steps.
	shortest = 4
)

// Windows of the outlook, best first; of the same worth, the sooner.
func (o *Outlook) Windows(w Wish) []Window {
	targets := w.Targets
	if len(targets) == 0 {
		targets = upTo(len(o.Edges))
	}
	spots := w.Spots
	if len(spots) == 0 {
		spots = upTo(len(o.Places))
	}
	found := make([][]Window, len(spots))
	sweep.Parallel(len(spots), func(i int) { found[i] = o.windowsAt(spots[i], targets, w) })
	return Ranked(slices.Concat(append(found, []Window{})...))
}

// Ranked windows: best first; of the same worth, the sooner, then in the order of their spots.
func Ranked(list []Window) []Window {
	slices.SortFunc(list, func(a, b Window) int {
		return cmp.Or(cmp.Compare(b.Edge, a.Edge), a.BestFrom.Compare(b.BestFrom), cmp.Compare(a.Spot, b.Spot))
	})
	return list
}

func upTo(n int) []int {
	out := make([]int, n)
	for i := range out {
		out[i] = i
	}
	return out
}

// windowsAt a spot: around one peak after another, the highest first, of the time nobody has taken.
func (o *Outlook) windowsAt(at int, targets []int, w Wish) []Window {
	worth := o.worth(at, targets, w)
	taken := make([]bool, len(worth))
	var peaks []int
	for i, v := range worth {
		if v >= w.Least && !math.IsInf(v, -1) {
			peaks = append(peaks, i)
		}
	}
	slices.SortStableFunc(peaks, func(a, b int) int { return cmp.Compare(worth[b], worth[a]) })
	var out []Window
	for _, peak := range peaks {
		if taken[peak] {
			continue
		}
		from, to := peak, peak+1
		floor := max(w.Least, share*worth[peak])
		for from > 0 && !taken[from-1] && worth[from-1] >= floor {
			from--
		}
		for to < len(worth) && !taken[to] && worth[to] >= floor {
			to++
		}
		// What leans on a window that was taken is its shoulder, not a window.
		shoulder := peak == from && from > 0 && taken[from-1] || peak == to-1 && to < len(worth) && taken[to]
		for i := from; i < to; i++ {
			taken[i] = true
		}
		if to-from >= shortest && !shoulder {
			if found, ok := o.window(at, targets, worth, from, to, w); ok {
				out = append(out, found)
			}
		}
	}
	return out
}

// worth of a spot at each step for the best of some targets; −∞ where one cannot or will not go.
func (o *Outlook) worth(at int, targets []int, w Wish) []float64 {
	p := &o.Places[at]
	out := make([]float64, o.Hours*perHour)
	ways := ground.Onward(p.way)
	for i := range out {
		out[i] = math.Inf(-1)
		t := o.From.Add(time.Duration(i) * Step)
		if p.State[i/perHour] != Open || w.ByDay && !holds(p.day, t) || w.Free != nil && !holds(w.Free, t) {
			continue
		}
		if way, open := ways.At(t); !open || !way.Closes.IsZero() && way.Closes.Sub(t) <= w.Margin {
			continue
		}
		for _, k := range targets {
			if v := float64(o.Edges[k][at][i]); v > out[i] {
				out[i] = v
			}
		}
	}
	return out
}

// window of some steps; false where its way is not open at its best.
func (o *Outlook) window(at int, targets []int, worth []float64, from, to int, w Wish) (Window, bool) {
	p := &o.Places[at]
	when := func(i int) time.Time { return o.From.Add(time.Duration(i) * Step) }
	best, length := bestHour(worth, from, to)
	out := Window{Spot: at, From: when(from), To: when(to), BestFrom: when(best), BestUntil: when(best + length)}
	middle := best + length/2
	way, open := ground.NextClose(p.way, when(best))
	if !open {
		return out, false
	}
	out.Opens, out.Shuts = way.Opens, way.Closes
	if !out.Shuts.IsZero() {
		out.BeOutBy = out.Shuts.Add(-w.Margin)
		out.To = earlier(out.To, out.BeOutBy)
		out.BestUntil = earlier(out.BestUntil, out.BeOutBy)
	}
	if out.From.Before(out.Opens) {
		out.From = out.Opens
	}
	if from == 0 {
		out.From = time.Time{}
	}
	if to == len(worth) {
		out.To = time.Time{}
	}
	for _, k := range targets {
		e := o.mean(k, at, best, length)
		if e >= w.Least {
			out.Others = append(out.Others, Other{k, e})
		}
	}
	if len(out.Others) == 0 {
		return out, false
	}
	slices.SortStableFunc(out.Others, func(a, b Other) int { return cmp.Compare(b.Edge, a.Edge) })
	out.Target, out.Edge, out.Others = out.Others[0].Target, out.Others[0].Edge, out.Others[1:]
	out.Catch = out.Edge * o.Asked.Targets[out.Target].UsualCatch()
	out.Dark, out.Told = !holds(p.day, when(middle)), p.Told[middle/perHour]
	return out, true
}

// bestHour of some steps: where it begins and how many it has.
func bestHour(worth []float64, from, to int) (begins, length int) {
	length = min(perHour, to-from)
	best := math.Inf(-1)
	for i := from; i+length <= to; i++ {
		sum := 0.0
		for _, v := range worth[i : i+length] {
			sum += v
		}
		if sum > best {
			best, begins = sum, i
		}
	}
	return begins, length
}

// mean edge for a target over some steps; NaN where one of them cannot be fished.
func (o *Outlook) mean(target, at, from, steps int) float64 {
	sum := 0.0
	for _, e := range o.Edges[target][at][from : from+steps] {
		sum += float64(e)
	}
	return sum / float64(steps)
}

func earlier(a, b time.Time) time.Time {
	if b.Before(a) {
		return b
	}
	return a
}
