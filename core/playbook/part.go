package playbook

import "slices"

// Part of the question a rule answers. An edge is the product of the three.
type Part int

// Parts of an edge.
const (
	// There: are they here? Place, mark, season, the warmth they live in, level, run, signs.
	There Part = iota
	// Feeding: are they eating? Flow, light, moon, warmth as vigour, disturbance, wind.
	Feeding
	// Taken: do they take this? What is offered, or the light at the lure, its depth, its
	// clearance.
	Taken
	// PartCount is how many there are.
	PartCount
)

// Parts by name, in their order.
var Parts = []string{"there", "feeding", "taken"}

func (p Part) String() string { return Parts[p] }

// feedingFamilies speak of whether fish eat; of the rest what reads nothing of the offering
// says whether they are there. Warmth is told apart by what it reads.
var feedingFamilies = []string{"flow", "light", "clarity", "disturbance", "moon"}

// ofPlace are the facts that make a rule of warmth one of where they are.
var ofPlace = map[Word]bool{Place: true, MarkKind: true, Bottom: true}

// ofLure are the measures only a presentation has.
var ofLure = map[Measure]bool{LureLight: true, LureDepth: true, Clearance: true, UnderFish: true}

// depthOfMark is the water over the mark: where, not how.
var depthOfMark = map[Measure]bool{Depth: true, CrestDepth: true, Warmer: true}

// partOf a rule by what it reads: taken exactly when it reads what is offered, or the
// lure's light, depth or clearance.
func partOf(family string, when When) Part {
	switch {
	case when.Says(Offered) || when.Reads(ofLure):
		return Taken
	case slices.Contains(feedingFamilies, family):
		return Feeding
	case family == "warmth" && !when.Says(func(w Word) bool { return ofPlace[w] }) && !when.Reads(depthOfMark):
		return Feeding
	}
	return There
}
