package tackle

import (
	"fmt"
	"math"
)

// Sinker shape on the bottom, and how well it holds there.
type Sinker string

// Sinkers.
const (
	EggSinker Sinker = "egg"
	BankLead  Sinker = "bank"
	Pyramid   Sinker = "pyramid"
	GripLead  Sinker = "grip"
)

// hold is the share of its weight in water a sinker resists with before it drags
// (common practice, no source: an egg rolls, wires dig in).
var hold = map[Sinker]float64{EggSinker: 0.45, BankLead: 0.6, Pyramid: 0.9, GripLead: 2.2}

const leadDensity = 11340.0

// LeadPlace is where a lead is to hold.
type LeadPlace struct {
	CurrentMS     float64
	LineDiameterM float64
	LineLengthM   float64
	// DepthM, if 0, is taken for a third of the line out.
	DepthM float64
	Sinker Sinker
}

// Lead that holds and lead that trots, kilograms, with the drag of the line in
// newtons.
type Lead struct{ HoldKg, TrotKg, LineDragN float64 }

// How much less lead than would hold lets a bait trot: 2 to 3 oz (common
// practice, no source), but never less than a third of it, so that it still
// finds the bottom.
const (
	// slackMS and less is still water: the drag curves end there.
	slackMS   = 0.005
	trotLess  = 0.071
	trotLeast = 1.0 / 3
	lightest  = 0.005
)

// bedShare of the surface's current runs along the line on its way down: the
// mean of a seventh-root profile.
const bedShare = 7.0 / 8

// Lead works out what holds bottom. The current drags the line across its length
// in water (cylinder drag, White 1991); half of that pull comes to the sinker,
// which also stands in the slower water of the bottom itself, and the slope of
// the line lifts part of its weight. It is solved for the weight at which the
// sinker's hold equals the pull.
func (p LeadPlace) Lead() (Lead, error) {
	if p.Sinker == "" {
		p.Sinker = BankLead
	}
	switch {
	case !(p.CurrentMS >= 0 && p.CurrentMS < 5):
		return Lead{}, fmt.Errorf("tackle: the current must be between 0 and 5 m/s, not %v", p.CurrentMS)
	case !(p.LineDiameterM > 0.00002 && p.LineDiameterM < 0.005):
		return Lead{}, fmt.Errorf("tackle: the line must be between 0.02 and 5 mm thick, not %v mm", p.LineDiameterM*1000)
	case !(p.LineLengthM > 0 && p.LineLengthM <= 400):
		return Lead{}, fmt.Errorf("tackle: the line out must be between 0 and 400 m, not %v", p.LineLengthM)
	case !(p.DepthM >= 0 && p.DepthM <= p.LineLengthM):
		return Lead{}, fmt.Errorf("tackle: the depth must be between 0 and the line out, not %v", p.DepthM)
	case hold[p.Sinker] == 0:
		return Lead{}, fmt.Errorf("tackle: unknown sinker %q; known are egg, bank, pyramid, grip", p.Sinker)
	}
	depth := p.DepthM
	if depth == 0 {
		depth = p.LineLengthM / 3
	}
	u := p.CurrentMS * bedShare
	if u < slackMS {
		u = 0
	}
	// Only the part of the flow across the line drags; the rest slides along it.
	slope := depth / p.LineLengthM
	line := 0.0
	if u > 0 {
		across := u * math.Sqrt(slope)
		line = 0.5 * seawater * CylinderDrag(u*p.LineDiameterM/viscosity) * p.LineDiameterM * p.LineLengthM * across * across
	}
	excess := func(kg float64) float64 {
		wet := kg * (1 - seawater/leadDensity) * gravity
		d := math.Cbrt(6 * kg / leadDensity / math.Pi)
		own := 0.0
		if u > 0 {
			// A third of the surface's speed a hand's breadth over the bottom.
			v := p.CurrentMS / 3
			own = 0.5 * seawater * SphereDrag(v*d/viscosity) * math.Pi / 4 * d * d * v * v
		}
		pull := line/2 + own
		return hold[p.Sinker]*(wet-line/2*slope) - pull
	}
	lo, hi := lightest, 20.0
	if excess(lo) < 0 {
		for range 80 {
			mid := math.Sqrt(lo * hi)
			if excess(mid) < 0 {
				lo = mid
			} else {
				hi = mid
			}
		}
		lo = hi
	}
	return Lead{lo, math.Max(lo-trotLess, lo*trotLeast), line}, nil
}
