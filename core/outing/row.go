package outing

import (
	"cmp"
	"math"
	"slices"
	"time"
)

// Set is how one rod of a row is out.
type Set struct {
	DistanceM float64 `json:"distance_m"`
	Offering  string  `json:"offering,omitempty"`
	RigID     string  `json:"rig_id,omitempty"`
}

// RodOut is a rod of the row as it stands.
type RodOut struct {
	Rod string
	Set
	// Since it soaks; CheckBait when its bait wants a look.
	Since, CheckBait time.Time
	// Fish and Bites since it was set so.
	Fish, Bites int
}

// Zone of distances that rods were out at.
type Zone struct {
	FromM, ToM  float64
	RodHours    float64
	Fish, Bites int
	// Rate there, as it is believed now.
	Rate Rate
}

// Move of a rod that is proposed.
type Move struct {
	Rod string
	// ToM out from where one stands.
	ToM float64
	// Scouts: it looks where none is, instead of going where it pays.
	Scouts bool
}

// Row of rods, each with its distance.
type Row struct {
	Rods  []RodOut
	Zones []Zone
	Moves []Move
}

const (
	// MostInARow of rods.
	MostInARow = 6
	// zoneM is how wide a zone is: casts no farther apart are to the same water.
	zoneM = 10.0
	// baitLasts so long on the hook before it wants a look (common practice, no source).
	baitLasts = 20 * time.Minute
)

func zoneOf(distanceM float64) int { return int(math.Floor(distanceM / zoneM)) }

// RowOf rods at a moment. Each zone is a bandit of its own: gamma, from what is believed of the spot, with the
// fish and the rod-hours it had. After a fish all rods are brought to the zone that is believed best but
// one, which scouts (common practice, no source).
func (o *Outing) RowOf(t time.Time, prior Rate) Row {
	var out Row
	zones := map[int]*Zone{}
	zone := func(distanceM float64) *Zone {
		n := zoneOf(distanceM)
		if zones[n] == nil {
			zones[n] = &Zone{FromM: float64(n) * zoneM, ToM: float64(n+1) * zoneM}
		}
		return zones[n]
	}
	at := func(rod string) int { return slices.IndexFunc(out.Rods, func(r RodOut) bool { return r.Rod == rod }) }
	soaked := func(r *RodOut, until time.Time) { zone(r.DistanceM).RodHours += max(until.Sub(r.Since), 0).Hours() }
	for i := range o.told {
		k := &o.told[i]
		switch n := at(k.Rod); {
		case k.Kind == RodSet:
			now := RodOut{Rod: k.Rod, Set: *k.Set, Since: k.Time, CheckBait: k.Time.Add(baitLasts)}
			if n < 0 {
				out.Rods = append(out.Rods, now)
				continue
			}
			soaked(&out.Rods[n], k.Time)
			out.Rods[n] = now
		case k.Kind == End:
			for r := range out.Rods {
				soaked(&out.Rods[r], k.Time)
			}
			out.Rods = nil
		case n < 0 || k.Rod == "":
		case k.Kind == Landed:
			out.Rods[n].Fish++
			zone(out.Rods[n].DistanceM).Fish++
		case k.Kind == Bite, k.Kind == Missed, k.Kind == Robbed, k.Kind == Lost:
			out.Rods[n].Bites++
			zone(out.Rods[n].DistanceM).Bites++
		}
	}
	for r := range out.Rods {
		soaked(&out.Rods[r], t)
	}
	for _, z := range zones {
		z.Rate = prior.Seen(z.Fish, z.RodHours)
		out.Zones = append(out.Zones, *z)
	}
	slices.SortFunc(out.Zones, func(a, b Zone) int { return cmp.Compare(a.FromM, b.FromM) })
	slices.SortFunc(out.Rods, func(a, b RodOut) int { return cmp.Compare(a.Rod, b.Rod) })
	out.move()
	return out
}

// move the rods, once a zone has brought a fish.
func (r *Row) move() {
	best := -1
	for i := range r.Zones {
		if z := &r.Zones[i]; z.Fish > 0 && (best < 0 || z.Rate.Mean() > r.Zones[best].Rate.Mean()) {
			best = i
		}
	}
	if best < 0 || len(r.Rods) == 0 {
		return
	}
	there := zoneOf(r.Zones[best].FromM)
	middle := r.Zones[best].FromM + zoneM/2
	for i := range r.Rods {
		// What paid is cast to as it was, not to the middle of its zone.
		if k := &r.Rods[i]; zoneOf(k.DistanceM) == there && k.Fish > 0 {
			middle = k.DistanceM
		}
	}
	scout := -1
	for i := range r.Rods {
		// The scout is the one that has been out longest without a sign, of those elsewhere if there are any.
		k := &r.Rods[i]
		switch {
		case scout < 0:
			scout = i
		case (zoneOf(k.DistanceM) != there) != (zoneOf(r.Rods[scout].DistanceM) != there):
			if zoneOf(k.DistanceM) != there {
				scout = i
			}
		case k.Fish+k.Bites < r.Rods[scout].Fish+r.Rods[scout].Bites:
			scout = i
		}
	}
	for i := range r.Rods {
		k := &r.Rods[i]
		in := zoneOf(k.DistanceM) == there
		switch {
		case i == scout && in && len(r.Rods) > 1:
			// All are there: one looks next door, where least is known.
			r.Moves = append(r.Moves, Move{k.Rod, r.unknown(middle), true})
		case i != scout && !in:
			r.Moves = append(r.Moves, Move{k.Rod, middle, false})
		}
	}
}

// unknown water beside a distance: a zone farther out or nearer in, whichever had less of the rods' time.
func (r *Row) unknown(distanceM float64) float64 {
	had := func(m float64) float64 {
		for i := range r.Zones {
			if zoneOf(r.Zones[i].FromM) == zoneOf(m) {
				return r.Zones[i].RodHours
			}
		}
		return 0
	}
	out, in := distanceM+zoneM, distanceM-zoneM
	if in > 0 && had(in) < had(out) {
		return in
	}
	return out
}
