package kit

import (
	"math"
	"strconv"
	"strings"
)

// Kit is everything an angler owns.
type Kit []Item

// of a kind, with them today.
func (k Kit) of(kind Kind) []Item {
	var out []Item
	for _, i := range k {
		if i.Kind == kind && i.InHand {
			out = append(out, i)
		}
	}
	return out
}

// Empty says that nothing to tie on is in hand: advice then goes by kind.
func (k Kit) Empty() bool { return len(k.of(Lure))+len(k.of(Bait)) == 0 }

// Offered lists the items in hand that are one offering of the playbook.
func (k Kit) Offered(offering string) []Item {
	var out []Item
	for _, i := range k {
		if (i.Kind == Lure || i.Kind == Bait) && i.InHand && i.Offering == offering {
			out = append(out, i)
		}
	}
	return out
}

// nearest item by how far off each is; false where none is at all alike.
func nearest(list []Item, off func(Item) float64) (best Item, by float64, found bool) {
	by = math.Inf(1)
	for _, i := range list {
		if o := off(i); o < by {
			best, by = i, o
		}
	}
	return best, by, !math.IsInf(by, 1)
}

// Fit says how well what is owned fills a want.
type Fit int

// Fits.
const (
	// Missing: nothing like it is owned.
	Missing Fit = iota
	// Near: not what is wanted, but the nearest to it.
	Near
	// Fits as wanted.
	Fits
)

// within a factor, a weight or a strength still counts as the one wanted.
const within = 1.3

func fit(by float64, found bool) Fit {
	switch {
	case !found:
		return Missing
	case by <= math.Log(within):
		return Fits
	}
	return Near
}

func apart(a, b float64) float64 {
	if a <= 0 || b <= 0 {
		return math.Inf(1)
	}
	return math.Abs(math.Log(a / b))
}

// HeadFor is the jig head nearest to a weight, none heavier than most (kilograms).
func (k Kit) HeadFor(wantKg, mostKg float64) (Item, Fit) {
	i, by, found := nearest(k.of(Head), func(i Item) float64 {
		if i.WeightKg > mostKg {
			return math.Inf(1)
		}
		return apart(i.WeightKg, wantKg)
	})
	return i, fit(by, found)
}

// SinkerFor is the sinker of a shape nearest to a weight; one of another shape is
// only near.
func (k Kit) SinkerFor(shape string, wantKg float64) (Item, Fit) {
	const otherShape = 0.7
	i, by, found := nearest(k.of(Sinker), func(i Item) float64 {
		o := apart(i.WeightKg, wantKg)
		if i.Pattern != shape {
			o += otherShape
		}
		return o
	})
	return i, fit(by, found)
}

// HookFor is the hook of a pattern nearest to a size; one of another pattern is only
// near.
func (k Kit) HookFor(pattern, size string) (Item, Fit) {
	const otherPattern = 5
	want := HookNumber(size)
	i, by, found := nearest(k.of(Hook), func(i Item) float64 {
		o := math.Abs(HookNumber(i.Size) - want)
		if i.Pattern != pattern {
			o += otherPattern
		}
		return o
	})
	switch {
	case !found:
		return i, Missing
	case by <= 1:
		return i, Fits
	}
	return i, Near
}

// LeaderFor is the leader of a material nearest to a strength in newtons.
func (k Kit) LeaderFor(material string, wantN float64) (Item, Fit) {
	i, by, found := nearest(k.of(Leader), func(i Item) float64 {
		o := apart(i.BreakN, wantN)
		if i.Material != material {
			o += 0.7
		}
		return o
	})
	return i, fit(by, found)
}

// Turn is what a turn of the first reel in hand brings in, metres; false where there
// is none.
func (k Kit) Turn() (float64, bool) {
	for _, i := range k.of(Reel) {
		if t := i.Turn(); t > 0 {
			return t, true
		}
	}
	return 0, false
}

// Main is the first main line in hand.
func (k Kit) Main() (Item, bool) {
	for _, i := range k.of(Line) {
		return i, true
	}
	return Item{}, false
}

// Plug is the first lure in hand that dives to a rated depth.
func (k Kit) Plug() (Item, bool) { return k.firstLure(func(i Item) bool { return i.RatedM > 0 }) }

// Timed is the first lure in hand whose fall was timed.
func (k Kit) Timed() (Item, bool) { return k.firstLure(func(i Item) bool { return i.FallMS > 0 }) }

func (k Kit) firstLure(suits func(Item) bool) (Item, bool) {
	for _, i := range k.of(Lure) {
		if suits(i) {
			return i, true
		}
	}
	return Item{}, false
}

// HookNumber puts hook sizes in a row: … 4, 2, 1, 1/0, 2/0 … ascending by one from
// small to large. Plain sizes run the other way and skip the odd ones beyond 1; NaN
// for what is no size.
func HookNumber(size string) float64 {
	s := strings.TrimSpace(size)
	if over, ok := strings.CutSuffix(s, "/0"); ok {
		n, err := strconv.ParseFloat(over, 64)
		if err != nil {
			return math.NaN()
		}
		return n
	}
	n, err := strconv.ParseFloat(s, 64)
	if err != nil || n < 1 {
		return math.NaN()
	}
	return -n / 2 // 1 → −½, 2 → −1, 4 → −2
}

// HeaviestCast is the most any rod in hand is made to cast, kilograms; 0 where none says.
func (k Kit) HeaviestCast() float64 {
	most := 0.0
	for _, i := range k.of(Rod) {
		most = math.Max(most, i.RatedKg)
	}
	return most
}
