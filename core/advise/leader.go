package advise

import (
	"math"

	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/tackle"
)

// leaderOf a rig, its material: the rig's own, wire against teeth where that school is chosen, floating
// mono for surface lures, fluorocarbon otherwise. Empty without one.
func (q *Question) leaderOf(rig *playbook.Rig) string {
	switch {
	case rig.LeaderM == 0:
		return ""
	case rig.LeaderOf != "":
		return rig.LeaderOf
	case q.Target.Hazard == tackle.Teeth && q.Book.Takes("Q11/wire"):
		return "wire"
	case rig.Column == "top" && !rig.Trolled():
		return "mono"
	}
	return "fluorocarbon"
}

// How much stronger than the main line a leader may be: thin braid carries one of thrice its strength,
// mono not (common practice, no source).
const (
	overBraid = 3
	overMono  = 2
)

// leaderN is the leader's strength in newtons, as it is sold: by the worse of what the fish's mouth and
// the mark do to it, but no more than the lure, the hook and the main line suffer.
func leaderN(q *Question, r *presentation, hookSize string) float64 {
	if r.rig.LeaderBreakN > 0 {
		return tackle.SoldLine(r.rig.LeaderBreakN)
	}
	need := 0.0
	for _, h := range []tackle.Hazard{q.Target.Hazard, hazardOf(r.mark)} {
		if least, most, err := tackle.Leader(h); err == nil {
			// Between the two: what is at hand will be one or the other.
			need = math.Max(need, (least+most)/2)
		}
	}
	if r.offering.Approach == "lure" && r.weightKg > 0 && r.rig.Lead == "" {
		need = math.Min(need, tackle.LeaderOn(r.weightKg))
	}
	if n := kit.HookNumber(hookSize); !math.IsNaN(n) {
		need = math.Min(need, tackle.LeaderThrough(n))
	}
	if _, largest := hookRange(q.Target.Hooks); largest != "" { // its mouth
		need = math.Min(need, tackle.LeaderThrough(kit.HookNumber(largest)))
	}
	if main, ok := q.Kit.Main(); ok {
		over := overMono
		if main.Material == string(tackle.Braid) {
			over = overBraid
		}
		need = math.Min(need, main.BreakN*float64(over))
	}
	return tackle.SoldLine(need)
}

func hazardOf(m *ground.Mark) tackle.Hazard {
	switch {
	case m.Kind == ground.Piling || m.Kind == ground.Timber || m.Bottom == "timber":
		return tackle.Pilings
	case m.Bottom == "shell":
		return tackle.Shell
	case m.Kind == ground.Rock || m.Bottom == "rock":
		return tackle.Rocks
	}
	return tackle.OpenSand
}
