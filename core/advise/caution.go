package advise

import (
	"greypebble/core/going"
	"greypebble/core/ground"
)

// choiceCautions belong to what is tied on and what it may catch.
func choiceCautions(q *Question, r *rankedOption) []going.Caution {
	out := going.Notes("fish", q.Target.Cautions)
	add := func(id, says string) { out = append(out, going.Caution{ID: id, Says: says}) }
	if r.mark.Bottom == "shell" {
		add("shell", "Shell cuts line: check the leader after every fish.")
	}
	if r.mark.Kind == ground.Piling {
		add("barnacles", "Barnacles cut line: turn the fish away from the wood at once.")
	}
	if r.mark.Kind == ground.Cut {
		add("cut", "The cut is where the rip runs: do not wade it.")
	}
	if r.offering.Approach == "lure" && r.rig.Head || r.rig.HookPattern == "treble" {
		add("hooks", "Glasses against a hook that comes flying back.")
	}
	return out
}
