package spot

import (
	"fmt"

	"greypebble/core/ground"
	"greypebble/core/quantity"
)

// SurfHelp is what one who reads the surf is told, and what the reading starts from.
type SurfHelp struct {
	// CastM one commonly reaches from a beach, BreakerM a usual height, metres.
	CastM, BreakerM float64
	How, Cuts       string
}

// ReadingTheSurf (W6, common practice; H = 0.78 d, McCowan 1894).
func ReadingTheSurf() SurfHelp {
	return SurfHelp{CastM: 70, BreakerM: 0.6,
		How: "Mark where the waves break and how high they are, and the bars show themselves: a wave breaks where the water is as " +
			"deep as 1.28 times its height.",
		Cuts: "A gap in the white, darker and smoother, is a cut through the bar: fish it from the side. If none breaks anywhere, the " +
			"bars are too deep now; " +
			"look again at low water."}
}

// reached says whether something lies within a cast; nothing where no cast was given.
func reached(distanceM, castM float64, within, beyond string) string {
	switch {
	case castM <= 0:
		return ""
	case distanceM <= castM:
		return within
	}
	return beyond
}

// SayBar that was read from the surf: what it is called, and the rest of the sentence.
// castM is how far one reaches; 0 leaves it out.
func SayBar(b ground.SeenBar, castM float64, u quantity.Units) (name, says string) {
	return fmt.Sprintf("Bar %s out", u.ShowDistance(b.DistanceM)),
		fmt.Sprintf("top at %s: stops breaking when the water reaches %s%s.", u.ShowDepth(b.ElevationM), u.ShowDepth(b.StopsBreakingLevelM),
			reached(b.DistanceM, castM, "", ", beyond your cast"))
}

// SayTrough between two lines of white.
func SayTrough(t ground.SeenTrough, castM float64, u quantity.Units) (name, says string) {
	return fmt.Sprintf("Trough %s to %s out", u.ShowDistance(t.FromM), u.ShowDistance(t.ToM)),
		fmt.Sprintf("%s deep at least: the road fish travel along the beach%s.", u.ShowDepth(t.DepthM),
			reached(t.FromM, castM, ", within your cast", ", beyond your "+u.ShowDistance(castM)))
}
