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
	// LineLengthM from rod tip to lead, measured straight.
	LineLengthM float64
	// DepthM, if 0, is taken for a third of the line out.
	DepthM float64
	// TipM of the rod above the water, 2.5 m if 0.
	TipM float64
	// FromAcrossDeg is where the lead lies as the current runs: 0 straight across from the rod, 90 down
	// it, −90 up it.
	FromAcrossDeg float64
	Sinker        Sinker
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

const (
	// usualTip of a rod in the hands over the water, metres.
	usualTip = 2.5
	// belly is the angle by which the line leaves the lead to the side of the rod, once it has been let
	// settle into its bow, radians (fitted: so the leads come within a tenth of those of a cable worked out
	// in three dimensions; a tighter line pulls harder, one with half its length more out about half as hard).
	belly = 1.0
)

// streams is the mean square of the current over the depth, in the surface's: of a seventh-root profile,
// whose square is the 2/7th power.
const streams = 7.0 / 9

// Lead works out what holds bottom. The current drags the part of the line that is in the water across
// its length (cylinder drag, White 1991) and bows it; the tension along such a line is the same
// everywhere and is what the sinker feels, with its own drag in the slower water of the bottom and less
// what the line lifts of its weight. It is solved for the weight at which the sinker's hold equals the
// pull.
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
	case !(p.TipM >= 0 && p.TipM <= 30):
		return Lead{}, fmt.Errorf("tackle: the rod tip must be between 0 and 30 m above the water, not %v", p.TipM)
	case !(math.Abs(p.FromAcrossDeg) <= 90):
		return Lead{}, fmt.Errorf("tackle: the lead must lie between 90° down the current and −90° up it, not %v°", p.FromAcrossDeg)
	case !(p.DepthM >= 0 && p.DepthM <= p.LineLengthM):
		return Lead{}, fmt.Errorf("tackle: the depth must be between 0 and the line out, not %v", p.DepthM)
	case hold[p.Sinker] == 0:
		return Lead{}, fmt.Errorf("tackle: unknown sinker %q; known are egg, bank, pyramid, grip", p.Sinker)
	}
	depth := p.DepthM
	if depth == 0 {
		depth = p.LineLengthM / 3
	}
	if p.TipM == 0 {
		p.TipM = usualTip
	}
	pull, lift, line := p.bow(depth)
	excess := func(kg float64) float64 {
		wet := kg * (1 - seawater/leadDensity) * gravity
		d := math.Cbrt(6 * kg / leadDensity / math.Pi)
		own := 0.0
		if p.CurrentMS >= slackMS {
			// A third of the surface's speed a hand's breadth over the bottom.
			v := p.CurrentMS / 3
			own = 0.5 * seawater * SphereDrag(v*d/viscosity) * math.Pi / 4 * d * d * v * v
		}
		return hold[p.Sinker]*(wet-lift) - pull - own
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

// bow of the line: how hard it pulls the lead along the bottom and lifts it, and all the current's drag
// on it, newtons. The line lies in the plane of the straight way to the rod and of the current's part
// across that way. In water the cotangent of its angle to the current changes evenly along it; in air it
// is straight.
func (p LeadPlace) bow(depth float64) (pull, lift, drag float64) {
	if p.CurrentMS < slackMS {
		return 0, 0, 0
	}
	height := depth + p.TipM
	straight := math.Max(p.LineLengthM, height)
	rise := height / straight
	level := math.Sqrt(1 - rise*rise)
	// c is the current's part along the straight way from lead to rod, n its part across.
	c := -math.Sin(p.FromAcrossDeg*math.Pi/180) * level
	n := math.Sqrt(1 - c*c)
	u := p.CurrentMS * n * math.Sqrt(streams)
	if u < slackMS {
		return 0, 0, 0
	}
	load := 0.5 * seawater * CylinderDrag(u*p.LineDiameterM/viscosity) * p.LineDiameterM * u * u
	wet := straight * depth / height
	a := math.Tan(belly)
	// b is the tangent at the surface: less there than at the lead, by what the air's line spans.
	b := solve(0, a, func(b float64) float64 {
		return (math.Hypot(1, a)-math.Hypot(1, b))*wet - b*(straight-wet)*(math.Asinh(a)+math.Asinh(b))
	})
	tension := load * wet / (math.Asinh(a) + math.Asinh(b))
	lift = tension * (math.Cos(belly)*rise - math.Sin(belly)*c*rise/n)
	return math.Sqrt(math.Max(tension*tension-lift*lift, 0)), lift, tension * (a + b)
}

// solve f = 0 between two values, f falling from one to the other.
func solve(lo, hi float64, f func(float64) float64) float64 {
	for range 60 {
		if mid := (lo + hi) / 2; f(mid) > 0 {
			lo = mid
		} else {
			hi = mid
		}
	}
	return lo
}
