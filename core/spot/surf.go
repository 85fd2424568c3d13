package spot

import (
	"fmt"

	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/words"
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
		How:  words.MarkWhereTheWavesBreakAnd,
		Cuts: words.AGapInTheWhiteDarker}
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
	return fmt.Sprintf(words.BarOut, u.ShowDistance(b.DistanceM)),
		fmt.Sprintf(words.TopAtStopsBreakingWhenThe, u.ShowDepth(b.ElevationM), u.ShowDepth(b.StopsBreakingLevelM),
			reached(b.DistanceM, castM, "", words.BeyondYourCast))
}

// SayTrough between two lines of white.
func SayTrough(t ground.SeenTrough, castM float64, u quantity.Units) (name, says string) {
	return fmt.Sprintf(words.TroughToOut, u.ShowDistance(t.FromM), u.ShowDistance(t.ToM)),
		fmt.Sprintf(words.DeepAtLeastTheRoadFish, u.ShowDepth(t.DepthM),
			reached(t.FromM, castM, words.WithinYourCast, fmt.Sprintf(words.BeyondYour, u.ShowDistance(castM))))
}
