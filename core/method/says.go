package method

import (
	"fmt"
	"slices"

	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/tackle"
	"greypebble/core/words"
)

// flick is a throw of the wrist, metres.
const flick = 12.0

// Says the cast: from where, which way, how far.
func (c *Cast) Says(u quantity.Units) string {
	far := u.ShowDistance(c.OffM)
	switch c.Kind {
	case Trolled:
		return fmt.Sprintf(words.AlongItBehindTheBoatOut, u.ShowDistance(trailing))
	case Down:
		return c.down()
	case To:
		return c.to(u, far)
	case Drift:
		return c.drift(far)
	case Trot:
		if afloat(c.Manner) {
			return words.DownTideOfTheBoatWith
		}
		return fmt.Sprintf(words.UpTideAndAcrossWithEvery, c.out(far))
	case Steps:
		if afloat(c.Manner) {
			return fmt.Sprintf(words.FromOffUpToTheBank, far)
		}
		return fmt.Sprintf(words.AcrossToTheFarBankThen, far)
	case Along:
		return c.along(u, far)
	case Slant:
		return fmt.Sprintf(words.OnASlantAlongItThe, c.out(far))
	case Under:
		return words.LowAndFlatSkippedInUnder
	case Through:
		if !c.Moving {
			return fmt.Sprintf(words.AcrossItAndBackOverIts, c.out(far))
		}
		return fmt.Sprintf(words.UpTideAndAcrossSoThat, c.out(far))
	case Past:
		return c.past(far)
	case Shown:
		return c.shown(u)
	case Fan:
	}
	near, then := words.ShortCastsFirstTheFishMay, words.ThenFurtherInAFan
	if afloat(c.Manner) {
		near = words.ShortCastsFirst
	}
	if c.Moving {
		then = words.ThenFurtherAcrossAndDownTide
	}
	return near + then
}

// trailing is how far behind the boat a lure is trolled, metres (common practice, no source).
const trailing = 25.0

// out says how far from where.
func (c *Cast) out(far string) string {
	switch {
	case afloat(c.Manner):
		return fmt.Sprintf(words.FromTheBoat, far)
	case deck(c.place):
		return fmt.Sprintf(words.FromTheRail, far)
	case c.Manner == ground.Wading:
		return fmt.Sprintf(words.FromWhereYouStand, far)
	}
	return fmt.Sprintf(words.FromTheWatersEdge, far)
}

func (c *Cast) down() string {
	switch {
	case c.mark.Kind == ground.Piling || c.mark.Kind == ground.Timber:
		return words.StraightDownCloseToTheWood
	case afloat(c.Manner) && c.Lies:
		return words.StraightDownTheBoatHeldOver
	case afloat(c.Manner):
		return words.StraightDownOverItWhenIt
	case deck(c.place):
		return words.StraightDownFromTheRail
	}
	return words.StraightDownAtYourFeet
}

func (c *Cast) to(u quantity.Units, far string) string {
	then := words.AndLeaveItLyingThere
	if !c.Lies {
		then = words.AndDrawItALittleWay
	}
	switch {
	case c.hangs && (c.mark.Kind == ground.Piling || c.mark.Kind == ground.Timber || c.mark.Kind == ground.Pocket):
		return words.CloseToTheWoodAndLet
	case c.Falls || !c.Lies && (c.mark.Kind == ground.Timber || c.mark.Kind == ground.Rock):
		return fmt.Sprintf(words.ToItsDownTideSideOut, c.out(far))
	case c.mark.Kind == ground.Step && c.Lies:
		return fmt.Sprintf(words.OnToTheStepItself, c.out(far), then)
	case afloat(c.Manner) && c.Lies && c.Moving:
		return fmt.Sprintf(words.AnchorUpTideOfItAnd, u.ShowDistance(c.OffM), then[4:])
	case c.OffM <= flick && !afloat(c.Manner) && !deck(c.place):
		return fmt.Sprintf(words.AFlickOfTheWristNo, c.out(far), then)
	case deck(c.place):
		return fmt.Sprintf(words.OverTheRailIntoIt, then)
	case slices.Contains(lanes, c.mark.Kind) && c.place == "surf beach":
		return fmt.Sprintf(words.IntoItAndNoFurther, c.out(far), then)
	}
	return fmt.Sprintf(words.ToIt, c.out(far), then)
}

func (c *Cast) drift(far string) string {
	switch {
	case c.mark.Kind == ground.Piling:
		return words.UpTideOfThePilesAnd
	case c.mark.Kind == ground.Pocket:
		return words.UpTideCloseUnderTheBranches
	case c.mark.Kind == ground.Timber || c.mark.Kind == ground.Rock:
		return words.UpTideOfItAndLet
	case slices.Contains(lanes, c.mark.Kind):
		return fmt.Sprintf(words.UpTideAndLetItDrift, c.out(far))
	case slices.Contains(passages, c.mark.Kind) || c.mark.Kind == ground.Hole:
		return fmt.Sprintf(words.UpTideAndAcrossAndLet, c.out(far))
	}
	return words.UpTideAndLetItDrift2
}

// besides are what a lane runs beside.
var besides = map[string]string{"surf beach": "the beach", "seawall": "the wall", "jetty": "the stones", "pier": "the pier",
	"rocky shore": "the rock", "oyster bar": "the bar"}

func (c *Cast) along(u quantity.Units, far string) string {
	const longer = "it stays in the good strip many times longer."
	if afloat(c.Manner) {
		return fmt.Sprintf(words.InLineWithItFromOff, far, longer)
	}
	beside := besides[c.place]
	if beside == "" {
		beside = "the bank"
	}
	if c.mark.Kind == ground.Piling {
		return words.AlongTheRowOfPilesAnd
	}
	if deck(c.place) {
		return fmt.Sprintf(words.AlongItNotAcross, longer)
	}
	if c.white {
		return fmt.Sprintf(words.AlongAndThroughTheWhiteWater, beside, u.ShowDistance(c.OffM), longer)
	}
	return fmt.Sprintf(words.AlongItParallelToOut, beside, u.ShowDistance(c.OffM), longer)
}

// nearNose is a window that begins at the nose, metres.
const nearNose = 0.05

// shown says how to bring it to a fish that is seen.
func (c *Cast) shown(u quantity.Units) string {
	clear := u.ShowShort(tackle.UsualSplash)
	window := fmt.Sprintf(words.ToBeforeItsNose, u.ShowShort(c.strikes.From), u.ShowShort(c.strikes.To))
	if c.strikes.From < nearNose {
		window = fmt.Sprintf(words.WithinOfItsNose, u.ShowShort(c.strikes.To))
	}
	if c.coming {
		return fmt.Sprintf(words.ToTheFishOnItsPath, clear, window)
	}
	return fmt.Sprintf(words.ToTheFishBeyondItAnd, clear, window)
}

func (c *Cast) past(far string) string {
	switch {
	case c.mark.Kind == ground.Rock && c.white:
		return fmt.Sprintf(words.PastItAndBackCloseAlong, c.out(far))
	case c.mark.Kind == ground.Rock:
		return fmt.Sprintf(words.PastItAndBackCloseAlong2, c.out(far))
	}
	return fmt.Sprintf(words.FromAsFarOffAsYou, c.out(far))
}

// Off says how far it lands from where.
func (c *Cast) Off(u quantity.Units) string { return c.out(u.ShowDistance(c.OffM)) }
