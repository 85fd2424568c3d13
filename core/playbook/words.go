package playbook

import "math"

// effects are the strengths a rule may claim: multipliers on the catch rate.
// They are the house's judgement, not measurements.
var effects = map[string]float64{
	"slight plus": 1.1, "slight minus": 0.91,
	"clear plus": 1.25, "clear minus": 0.8,
	"strong plus": 1.6, "strong minus": 0.62,
	hopeless: 0.15,
}

// hopeless is the effect that takes a place, a month or a temperature away from a fish.
const hopeless = "hopeless"

// certainties are how the standard deviation of a coefficient grows with its size: who
// claims little can only be wrong by little.
var certainties = map[string]float64{"firm": 0.4, "usual": 0.8, "disputed": 1.3}

// Bounds of the standard deviation: s = min(mostSD, leastSD + k·|ln m|).
const (
	leastSD = 0.1
	mostSD  = 0.6
)

// Prior of a rule's coefficient: normal with mean ln m and standard deviation s.
type Prior struct{ Mean, SD float64 }

func prior(effect, certainty string) Prior {
	mean := math.Log(effects[effect])
	return Prior{mean, math.Min(mostSD, leastSD+certainties[certainty]*math.Abs(mean))}
}

// families group rules that speak of the same thing; see [Book.share].
var families = [...]string{"presence", "flow", "level", "light", "clarity", "warmth", "season", "disturbance", "signs", "place", "mark",
	"approach", "offering", "bait", "size", "finish", "pace", "retrieve", "depth", "rig", "moon"}

// Families in the order they are spoken of.
func Families() []string { return families[:] }

// Basis is said wherever an edge is shown.
const Basis = "From rules of thumb alone: the strengths are this program's judgement, not measurements, and your log does not correct " +
	"them yet. ×1 is an ordinary spell for that fish, fished as well as the playbook knows."
