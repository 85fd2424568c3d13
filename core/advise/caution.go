package advise

import (
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/words"
)

// choiceCautions belong to what is tied on and what it may catch.
func choiceCautions(q *Question, r *rankedOption) []going.Caution {
	out := going.Notes("fish", q.Target.Cautions)
	add := func(id, says string) { out = append(out, going.Caution{ID: id, Says: says}) }
	if r.mark.Bottom == "shell" {
		add("shell", words.ShellCutsLineCheckTheLeader)
	}
	if r.mark.Kind == ground.Piling {
		add("barnacles", words.BarnaclesCutLineTurnTheFish)
	}
	if r.mark.Kind == ground.Cut {
		add("cut", words.TheCutIsWhereTheRip)
	}
	if r.offering.Approach == "lure" && r.rig.Head || r.rig.HookPattern == "treble" {
		add("hooks", words.GlassesAgainstAHookThatComes)
	}
	return out
}
