package playbook

import "math"

// effects are the strengths a rule may claim: multipliers on the catch rate.
// They are the house's judgement, not measurements.
var effects = map[string]float64{
	"slight plus": 1.1, "slight minus": 0.91,
	"clear plus": 1.25, "clear minus": 0.8,
	"strong plus": 1.6, "strong minus": 0.62,
	"hopeless": 0.15,
}

// certainties are standard deviations of the logarithm of the multiplier.
var certainties = map[string]float64{"firm": 0.15, "usual": 0.3, "disputed": 0.5}

// Prior of a rule's coefficient: normal with mean ln m and standard deviation s.
type Prior struct{ Mean, SD float64 }

func prior(effect, certainty string) Prior {
	return Prior{math.Log(effects[effect]), certainties[certainty]}
}

// families group rules that speak of the same thing; within one, weights that
// add to more than one are divided by their sum.
var families = [...]string{"presence", "flow", "level", "light", "clarity", "warmth", "season", "disturbance", "signs", "place", "mark",
	"approach", "offering", "bait", "size", "finish", "pace", "retrieve", "depth", "rig", "moon"}

// Families in the order they are spoken of.
func Families() []string { return families[:] }

// Basis is said wherever an edge is shown.
const Basis = "From rules of thumb alone: the strengths are this program's judgement, not measurements, and your log does not correct " +
	"them yet."
