package advise

import "greypebble/core/ground"

// choiceCautions belong to what is tied on and what it may catch.
func choiceCautions(q *Question, r *rankedOption) []string {
	out := append([]string(nil), q.Target.Cautions...)
	if r.mark.Bottom == "shell" {
		out = append(out, "Shell cuts line: check the leader after every fish.")
	}
	if r.mark.Kind == ground.Piling {
		out = append(out, "Barnacles cut line: turn the fish away from the wood at once.")
	}
	if r.mark.Kind == ground.Cut {
		out = append(out, "The cut is where the rip runs: do not wade it.")
	}
	if r.offering.Approach == "lure" && r.rig.Head || r.rig.HookPattern == "treble" {
		out = append(out, "Glasses against a hook that comes flying back.")
	}
	return out
}
