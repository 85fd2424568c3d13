package advise

import (
	"fmt"
	"math"
	"slices"

	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/prose"
	"greypebble/core/words"
)

// misfit of a rig and a mark.
type misfit int

const (
	fits misfit = iota
	noBoat
	otherPlace
	tooShallow
	tooDeep
	drags
	snagged
	notOver
	nothingToHold
)

// holdBeside are marks beside which a bait is held, where one is not over it.
var holdBeside = []ground.MarkKind{ground.EdgeMark, ground.Rock, ground.Timber, ground.Piling}

// holdWithin so many metres: further off nobody holds a bait beside anything.
const holdWithin = 12.0

// misfit says whether a rig cannot be used on a mark: the wrong depth or place, an open hook where it
// snags.
func (o *options) misfit(rig *playbook.Rig, at int, depthM float64) misfit {
	mark := &o.m.Spot.Marks[at]
	switch {
	case rig.Trolled() && o.m.Spot.Access.Manner != ground.Boat:
		return noBoat
	case !rig.UsedAt(o.m.Spot.Place):
		return otherPlace
	case depthM < rig.MinDepthM:
		return tooShallow
	case depthM > rig.MaxDepthM:
		return tooDeep
	case rig.FloatM > 0 && depthM < math.Min(rig.FloatM, rig.LeaderM)+clearance:
		return drags
	case rig.Vertical && rig.Lead == "" && !o.stands[at].Over:
		return notOver
	case rig.Lead == "hangs" && !o.stands[at].Over && (!slices.Contains(holdBeside, mark.Kind) ||
		math.Abs(mark.DistanceM-o.stands[at].WaterM) > holdWithin):
		return nothingToHold
	case o.snags(rig, mark):
		return snagged
	}
	return fits
}

// says why in words; empty where it fits.
func (k misfit) says(o *options, rig *playbook.Rig, mark *ground.Mark, depthM float64) string {
	sys, name, where := o.q.Units, prose.LowerFirst(rig.Name), prose.LowerFirst(mark.Name)
	switch k {
	case noBoat:
		return words.TrollingWantsABoat
	case otherPlace:
		return fmt.Sprintf(words.IsNotForA, name, o.m.Spot.Place)
	case tooShallow:
		return fmt.Sprintf(words.WantsOfWaterTheHas, name, sys.ShowDepth(rig.MinDepthM), where, sys.ShowDepth(depthM))
	case tooDeep:
		return fmt.Sprintf(words.IsForLessThanOfWater, name, sys.ShowDepth(rig.MaxDepthM), where,
			sys.ShowDepth(depthM))
	case drags:
		return fmt.Sprintf(words.WhatHangsBelowTheFloatWould, sys.ShowDepth(depthM))
	case snagged:
		return fmt.Sprintf(words.AnOpenHookIsSoonLost, where)
	case notOver:
		return fmt.Sprintf(words.StraightDownWantsABoatA, where)
	case nothingToHold:
		return fmt.Sprintf(words.IsHeldBesideWoodRockOr, name, where)
	case fits:
	}
	return ""
}

// snags says where a hook is soon lost: an open one over shell and in timber and branches; one that is
// dragged over rock.
func (o *options) snags(rig *playbook.Rig, mark *ground.Mark) bool {
	open := rig.Point == "open" && !rig.SnagSafe
	switch {
	case mark.Kind == ground.Timber || mark.Bottom == "timber":
		return open
	case mark.Kind == ground.Pocket && o.m.Spot.Place == "overhung bank":
		return open
	case mark.Bottom == "shell":
		// Bait lies beside the shell, not on it; a head is bounced into it, a rolling lead rolled.
		return open && (mark.Kind == ground.Crest || rig.Head && rig.Column == "bottom" || rig.Lead == "rolls")
	case mark.Kind == ground.Rock || mark.Bottom == "rock":
		return open && rig.Head && rig.Column == "bottom"
	}
	return false
}

// wound ways pass a piling at a pace; beside the wood a thing hangs, falls or drifts.
var wound = map[string]bool{"steady": true, "stop and go": true, "roll": true, "jerk": true, "drag": true}

// suits says whether a way can be fished on the presentation's mark now.
func (o *options) suits(w *playbook.Way, p *presentation) bool {
	rolls := p.rig.Lead == "rolls" || p.rig.Lead == "trots"
	switch {
	case p.mark.Kind == ground.Piling && (wound[w.Style] || w.Style == "twitch" && p.offering.WeightKg > 0):
		return false
	case rolls && w.Style == "drift":
		return o.moving
	case rolls && w.Style == "still":
		return !o.moving
	}
	return true
}
