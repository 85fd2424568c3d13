package advise

import (
	"fmt"
	"math"
	"strings"

	"greypebble/core/kit"
	"greypebble/core/prose"
	"greypebble/core/quantity"
	"greypebble/core/words"
)

// Card is a presentation written out: what to tie, where to throw it, how to move it.
// Lines that do not apply are empty.
type Card struct {
	// KitID is the thing owned it takes, by whose name the offering goes; empty for none.
	KitID                                                string
	OfferingID, Offering, Approach, Size, Finish, Hooked string
	RigID, Rig, Weight, Hook, Leader, LeaderOf, Knot     string
	Mark, Cast                                           string
	Depth, Pace, Cadence, Pause, Tip                     string
	Retrieve, Bite, Refused, Groundbait                  string
	Style                                                string
	WeightKg, LeaderN, SpeedMS                           float64
}

// hookOf a rig for a target: the pattern by the school on hooks for bait, which yields to a rule, the size
// the rig's own, or the target's where it wants smaller.
func hookOf(q *Question, r *rankedOption) (pattern, size string) {
	pattern, size = r.rig.HookPattern, r.rig.HookSize
	if size == "" {
		return "", ""
	}
	if r.offering.Approach != "lure" && pattern == "circle" && q.Book.Takes("Q10/j") {
		pattern = "J"
	}
	if r.offering.Approach != "lure" && pattern == "J" && q.asks().CircleHooks != "" {
		pattern = "circle"
	}
	smallest, largest := hookRange(q.Target.Hooks)
	n := kit.HookNumber(size)
	switch {
	case smallest != "" && n < kit.HookNumber(smallest):
		size = smallest
	case largest != "" && n > kit.HookNumber(largest):
		size = largest
	}
	return pattern, size
}

// hookRange reads "1/0 to 3/0".
func hookRange(text string) (smallest, largest string) {
	sizes := strings.FieldsFunc(text, func(r rune) bool { return r == ' ' || r == ',' })
	for _, s := range sizes {
		if math.IsNaN(kit.HookNumber(s)) {
			continue
		}
		if smallest == "" {
			smallest = s
		}
		largest = s
	}
	return smallest, largest
}

// strike is what to do at a bite.
func strike(pattern string) string {
	if pattern == "circle" {
		return words.WithACircleHookDoNot
	}
	return words.StrikeWhenTheLineTightens
}

// weighed is what a thing is called, with what it weighs as the reader speaks of it where its name does not say.
func weighed(item kit.Item, sys quantity.Units) string {
	shown := sys.ShowWeight(item.WeightKg)
	if item.WeightKg == 0 || strings.Contains(item.Name, shown) {
		return item.Name
	}
	return item.Name + ", " + shown
}

// fitOut finds in the kit what the rig takes, and says what is missing.
func fitOut(q *Question, r *rankedOption, pattern, size string, leader float64) (uses, lacks []string) {
	sys := q.Units
	if r.owned != nil {
		uses = append(uses, r.owned.Name)
	} else {
		lacks = append(lacks, prose.LowerFirst(r.offering.Name))
	}
	want := func(item kit.Item, fit kit.Fit, what string) {
		switch fit {
		case kit.Fits:
			uses = append(uses, item.Name)
		case kit.Near:
			lacks = append(lacks, fmt.Sprintf(words.NearestYouHave, what, weighed(item, sys)))
		case kit.Missing:
			lacks = append(lacks, what)
		}
	}
	if r.rig.Head {
		item, fit := q.Kit.HeadFor(r.weightKg, math.Inf(1))
		if r.rig.HookPattern != "weedless" {
			want(item, fit, fmt.Sprintf(words.Head, sys.ShowWeight(r.weightKg)))
		}
	}
	if r.rig.Sinker != "" {
		item, fit := q.Kit.SinkerFor(r.rig.Sinker, r.weightKg)
		want(item, fit, fmt.Sprintf(words.Sinker, sys.ShowWeight(r.weightKg), r.rig.Sinker))
	}
	if size != "" && (!r.rig.Head || pattern == "weedless") {
		item, fit := q.Kit.HookFor(pattern, size)
		want(item, fit, fmt.Sprintf(words.Hook, size, pattern))
	}
	if r.leader != "" {
		item, fit := q.Kit.LeaderFor(r.leader, leader)
		want(item, fit, sys.ShowLine(leader)+" "+r.leader)
	}
	return uses, lacks
}
