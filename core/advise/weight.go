package advise

import (
	"fmt"
	"math"

	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/tackle"
	"greypebble/core/words"
)

// tooLight is how much less than what the water asks for a lure may weigh and still be used; smallestOf
// the usual weight a lure is commonly sold in, as a share of it.
const (
	tooLight   = 0.6
	smallestOf = 1.0 / 3
)

// swings is how far off the run a line streams from a boat that swings at anchor, degrees.
const swings = 25

// thinBraid is the line leads and jigs are reckoned on, metres thick; offUpright, how far a jig's line may
// lean, and offPlumb, that of a bait that hangs, degrees.
const (
	thinBraid  = tackle.UsualLine
	offUpright = 15
	offPlumb   = 45
)

// lies is how a lead lies as the current runs, see [tackle.LeadPlace]: a boat lets it stream, the shore
// casts it across.
func (o *options) lies() float64 {
	switch o.m.Spot.Access.Manner {
	case ground.Boat, ground.Kayak:
		return 90 - swings
	}
	return 0
}

// weight of head, sinker or jig by depth and current, as it is sold; why it cannot be had.
func (o *options) weight(p *presentation, depth float64) (kg float64, why string) {
	switch {
	case p.rig.Head:
		return o.head(p, depth)
	case p.rig.Vertical && o.stands[p.at].Over:
		return o.jig(p, depth)
	case p.rig.Lead != "":
		return o.lead(p, depth)
	case p.owned != nil && p.owned.WeightKg > 0:
		return p.owned.WeightKg, ""
	case p.offering.WeightKg > 0:
		return p.offering.WeightKg, ""
	}
	return p.rig.WeightKg, ""
}

// head of a soft lure: by depth, cold and run, or the nearest in the kit.
func (o *options) head(p *presentation, depth float64) (kg float64, why string) {
	want, most := tackle.HeadFor(depth, o.temp, o.m.Stage.RateMPerH), tackle.HeaviestHead(depth)
	if p.rig.HeadKg > 0 {
		want = p.rig.HeadKg
	}
	if p.owned != nil && p.owned.WeightKg > 0 {
		want = p.owned.WeightKg
		if want > most*1.05 {
			return 0, fmt.Sprintf(words.IsTooHeavyForItWould, o.q.Units.ShowWeight(want),
				o.q.Units.ShowDepth(depth))
		}
		return want, ""
	}
	if h, fit := o.q.Kit.HeadFor(want, most*1.05); fit != kit.Missing {
		return h.WeightKg, ""
	}
	return want, ""
}

// jig straight down: what keeps the line upright at the depth it is fished.
func (o *options) jig(p *presentation, depth float64) (kg float64, why string) {
	need, err := tackle.VerticalJig(o.jigged(p.rig, depth), o.current, thinBraid, offUpright)
	if err != nil {
		return 0, words.NoWeightKeepsTheLineUpright
	}
	if p.owned != nil && p.owned.WeightKg > 0 {
		if p.owned.WeightKg < need*tooLight {
			return 0, fmt.Sprintf(words.IsTooLightKeepsTheLine, o.q.Units.ShowWeight(p.owned.WeightKg),
				o.q.Units.ShowWeight(need))
		}
		return p.owned.WeightKg, ""
	}
	if p.rig.HeaviestKg > 0 && need > p.rig.HeaviestKg {
		return 0, o.tooMuch(need, words.ToKeepItUnderTheRod)
	}
	return tackle.Sold(math.Max(math.Max(need, p.rig.WeightKg), p.offering.WeightKg*smallestOf)), ""
}

// lead by what it does in the run.
func (o *options) lead(p *presentation, depth float64) (kg float64, why string) {
	need, to := 0.0, words.ToHoldInThisRun
	switch {
	case o.current == 0:
	case p.rig.Lead == "hangs":
		need, to = tackle.Plumb(depth, o.current, thinBraid, offPlumb), words.ToKeepItUnderTheRod
	default:
		l, err := tackle.LeadPlace{CurrentMS: o.current, LineDiameterM: thinBraid, LineLengthM: math.Max(depth*3, 30), DepthM: depth,
			FromAcrossDeg: o.lies(), Sinker: tackle.Sinker(p.rig.Sinker)}.Lead()
		if err != nil {
			return 0, "nothing holds here"
		}
		switch need = l.HoldKg; p.rig.Lead {
		case "trots":
			need, to = l.TrotKg, words.ToFindTheBottomAndStill
		case "rolls":
			need, to = l.HoldKg*rollsAt, words.ToKeepRollingAlongTheBottom
		}
	}
	need = tackle.Sold(math.Max(need, p.rig.WeightKg))
	if need > p.rig.HeaviestKg {
		return 0, o.tooMuch(need, to)
	}
	return need, ""
}

// rollsAt is the share of what holds with which a lead rolls along (common practice, no source).
const rollsAt = 0.5

func (o *options) tooMuch(kg float64, to string) string {
	return fmt.Sprintf(words.ItWouldTakeMoreThanIt, o.q.Units.ShowWeight(tackle.Sold(kg)), to)
}

// What a bait, a float and a lure of no told weight weigh, as they are thrown (common practice, no
// source).
const (
	baitKg  = 0.008 // of 8 cm
	floatKg = 0.02
	lureKg  = 0.012 // of 9 cm
)

// thrown says how far a presentation flies, and why it cannot be brought to its mark.
func (o *options) thrown(p *presentation) (why string) {
	s := &o.stands[p.at]
	p.offM = math.Abs(p.mark.DistanceM - s.WaterM)
	kg := p.weightKg
	switch {
	case p.rig.Head:
		kg = tackle.OnHead(p.weightKg).MassKg
	case p.offering.Approach != "lure":
		kg += baitKg * math.Pow(p.offering.LengthM/0.08, 2)
	case p.weightKg == 0:
		kg = lureKg * math.Pow(p.offering.LengthM/0.09, 3)
	}
	if p.rig.FloatM > 0 {
		kg += floatKg
	}
	if p.rig.Trolled() || s.Over && (p.rig.Vertical || p.rig.Lead == "hangs") {
		return ""
	}
	if most := o.q.Kit.HeaviestCast(); most > 0 && kg > most*castOver {
		return fmt.Sprintf(words.IsMoreThanYourRodsCast, o.q.Units.ShowWeight(kg))
	}
	p.reachM = tackle.Reach(kg, o.headwind, p.offering.Soft())
	if off := p.offM - tackle.ZoneHalf; off > p.reachM && !s.Over {
		return fmt.Sprintf(words.ItLiesOutThisFliesAbout, o.q.Units.ShowDistance(off), o.q.Units.ShowDistance(p.reachM))
	}
	return ""
}

// castOver is how much over a rod's casting weight is still lobbed, gently (common practice, no source).
const castOver = 1.8
