package outing

import (
	"math"

	"greypebble/core/ground"
)

// Aim is where a cast went from where one stands, metres: along the shore to the right, and out.
type Aim struct {
	AlongM float64 `json:"along_m"`
	OutM   float64 `json:"out_m"`
}

// Crumb of a trail: one cast. AlongM is metres along the shore from where the first one stood, OutM how far out
// it went; out is nought where only the angler's place is known.
type Crumb struct {
	Aim
	Feature string
	// Signs are bites, fish missed, hooked, lost and landed on it; Fish were landed.
	Signs, Fish int
	// Aimed says that somebody told where it went.
	Aimed bool
}

// SamePlace is how near to one another two casts go to one place, metres (the house's judgement).
const SamePlace = 5.0

// farthestAim is as far as a cast is aimed, along the shore or out, metres.
const farthestAim = 400.0

// Trail of casts at the spot that is fished, in their order: those whose place the device knew or somebody told.
// What happens belongs to the last cast. Standing is how far along the shore one stands now.
func (o *Outing) Trail() (trail []Crumb, standing float64) {
	var stands []*Place
	last, here := -1, o.cameHere()
	var stood *Place
	for i := here; i < len(o.told); i++ {
		t := &o.told[i]
		switch {
		case t.Kind == Cast && (t.At != nil || t.Aim != nil):
			if t.At != nil {
				stood = t.At
			}
			c := Crumb{Feature: t.Note}
			if t.Aim != nil {
				c.Aim, c.Aimed = *t.Aim, true
			}
			trail, stands, last = append(trail, c), append(stands, stood), len(trail)
		case t.Kind == Cast:
			last = -1 // it went nobody knows where
		case last < 0:
		case t.Kind == Landed:
			trail[last].Fish++
			trail[last].Signs++
		case t.Kind == Bite, t.Kind == Missed, t.Kind == Robbed, t.Kind == On, t.Kind == Lost, t.Kind == FoulHooked:
			trail[last].Signs++
		}
	}
	along := alongOf(stands)
	for i := range trail {
		trail[i].AlongM += along(stands[i])
	}
	return trail, along(stood)
}

// cameHere is the place among the touches of the one that began the stay at the spot that is fished.
func (o *Outing) cameHere() int {
	here := 0
	for i := range o.told {
		if t := &o.told[i]; t.Kind == Fish && t.Doing.SpotID != o.spotBefore(i) {
			here = i
		}
	}
	return here
}

// alongOf the shore: how far from the first place another is along the way walked, which is the line to the
// farthest of them. It is nought where the place is not known.
func alongOf(stands []*Place) func(*Place) float64 {
	var first, far *Place
	most := 0.0
	for _, p := range stands {
		switch {
		case p == nil:
		case first == nil:
			first = p
		default:
			if d := ground.Distance(latLon(first), latLon(p)); d > most {
				far, most = p, d
			}
		}
	}
	return func(p *Place) float64 {
		if p == nil || far == nil || p == first {
			return 0
		}
		turn := (ground.Bearing(latLon(first), latLon(p)) - ground.Bearing(latLon(first), latLon(far))) * math.Pi / 180
		return ground.Distance(latLon(first), latLon(p)) * math.Cos(turn)
	}
}

func latLon(p *Place) ground.LatLon { return ground.LatLon{Lat: p.Lat, Lon: p.Lon} }

// CastThere says that a place along a trail was cast to and showed nothing: another cast there is wasted (common
// practice, no source), unless there is a sign.
func CastThere(trail []Crumb, to Aim) bool {
	there := false
	for i := range trail {
		c := &trail[i]
		if !c.Aimed || math.Hypot(c.AlongM-to.AlongM, c.OutM-to.OutM) > SamePlace {
			continue
		}
		if c.Signs > 0 {
			return false
		}
		there = true
	}
	return there
}
