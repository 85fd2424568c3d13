package plan

import (
	"cmp"
	"errors"
	"slices"
	"time"

	"greypebble/core/ground"
	"greypebble/core/outing"
)

// Travel is how one gets about in a day.
type Travel struct {
	// By what one has; as each spot is usually reached if left out.
	By ground.Means
	// Home, or where one sets out; nil where it is not told: then only the packing counts.
	Home *ground.LatLon
	// Pack is what it takes to pack up, unpack and rig, for each leg.
	Pack time.Duration
}

// UsualPack of a leg (common practice, no source).
const UsualPack = outing.Packing

// Ways of the outlook's spots for a day, guessed from bee lines: the ground between is not asked.
// A spot that these means do not reach has none.
func (o *Outlook) Ways(t Travel) func(from, to int) (time.Duration, bool) {
	return func(from, to int) (time.Duration, bool) {
		var ends [2]*ground.LatLon
		var access *ground.Access
		for i, at := range []int{from, to} {
			if at == Home {
				ends[i] = t.Home
				continue
			}
			sp := o.Asked.Spots[at]
			by, there := sp.Access.ByMeans(t.By)
			if !there {
				return 0, false
			}
			ends[i], access = &sp.LatLon, &by
		}
		if ends[0] == nil || ends[1] == nil || access == nil {
			return t.Pack, true
		}
		if t.By == ground.ByCar {
			return t.Pack + ground.Drive(*ends[0], *ends[1]), true
		}
		return t.Pack + access.Straight(*ends[0], *ends[1]), true
	}
}

// Itineraries of a day, best first, that differ by place: each leaves out a spot of every one before
// it. At most so many.
func (o *Outlook) Itineraries(d Day, most int) ([]Itinerary, error) {
	var out []Itinerary
	for len(out) < most {
		best, found, err := o.without(d, out, nil)
		if err != nil && (len(out) == 0 || !errors.Is(err, ErrPins)) {
			return nil, err
		}
		if !found {
			break
		}
		out = append(out, best)
	}
	return out, nil
}

// without a spot of each of some itineraries: the best of all choices of which.
func (o *Outlook) without(d Day, others []Itinerary, banned []int) (best Itinerary, found bool, err error) {
	for i := range others {
		if others[i].lacksOne(banned) {
			continue
		}
		for _, leg := range others[i].Legs {
			// What was set stays; others differ by the rest.
			if slices.ContainsFunc(d.Pins, func(p Pin) bool { return p.Spot == leg.Spot }) {
				continue
			}
			one, any, err := o.without(d, others[i+1:], append(banned[:len(banned):len(banned)], leg.Spot))
			if err != nil && !errors.Is(err, ErrPins) {
				return best, false, err
			}
			if any && (!found || one.Worth > best.Worth) {
				best, found = one, true
			}
		}
		return best, found, nil
	}
	left := d
	left.Spots = nil
	for _, at := range d.Spots {
		if !slices.Contains(banned, at) {
			left.Spots = append(left.Spots, at)
		}
	}
	if len(left.Spots) == 0 {
		return best, false, nil
	}
	return o.Itinerary(left)
}

// lacksOne says whether one of its spots is banned already.
func (i *Itinerary) lacksOne(banned []int) bool {
	for _, leg := range i.Legs {
		if slices.Contains(banned, leg.Spot) {
			return true
		}
	}
	return false
}

// Candidates for a day: the spots that these means reach and that are worth most in it, best first, at
// most [MostSpots].
func (o *Outlook) Candidates(d Day, by ground.Means) []int {
	type worth struct {
		at   int
		most float64
	}
	var list []worth
	for at, sp := range o.Asked.Spots {
		if _, there := sp.Access.ByMeans(by); !there {
			continue
		}
		d.Spots = []int{at}
		p := o.prepare(d)
		sum := 0.0
		for _, g := range p.gain[0] {
			sum += max(g, 0)
		}
		if sum > 0 {
			list = append(list, worth{at, sum})
		}
	}
	slices.SortStableFunc(list, func(a, b worth) int { return cmp.Compare(b.most, a.most) })
	var out []int
	for _, w := range list[:min(len(list), MostSpots)] {
		out = append(out, w.at)
	}
	return out
}
