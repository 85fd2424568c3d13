package words

// Said by trial/says.
const (
	NeitherBroughtAFish = "Neither brought a fish: that says nothing of which is better."
	BroughtTimesAsMany  = "%s brought ×%.2g as many an hour as %s, %s. With nothing between them, so great a difference comes once in %s."
	NothingYet          = "This shows nothing yet: ×%.2g as many an hour on %s, but anything from %s fits as well."
	OnlyOneBrought      = "This shows nothing yet: only %s brought any, but %s fits as well."
	OnlyOneBroughtShown = "Only %s brought any: %s. With nothing between them, that comes once in %s."
	AnythingBetween     = "×%.2g to ×%.2g"
	AnythingFrom        = "anything from ×%.2g up"
	AsTheRateStands     = "If it is as it looks, about %.0f h each would show it, four times in five."
	NoTrialShowsThat    = "No number of hours one would fish shows a difference so small."
	PartOfTheFishShown  = "%d of %d on %s, %d of %d on %s: the shares differ; by chance that comes once in %s."
	PartOfTheFishNot    = "%d of %d on %s, %d of %d on %s: that may be chance, it comes once in %s."
	PartOfTheFishAlike  = "%d of %d on %s, %d of %d on %s: nothing that tells them apart."
	OnceInMore          = "many thousands"
	AboutOnceIn         = "%.0f"
)

// Said by trial/design.
const (
	TheBaitOrLure    = "the bait or lure"
	TheColour        = "the colour"
	TheRig           = "the rig"
	HowItIsMoved     = "how it is moved"
	TheSize          = "the size"
	TheWeight        = "the weight"
	TheDepth         = "the depth"
	TheDistance      = "the distance"
	TheyAreTheSame   = "%s and %s are the same: nothing is tried."
	TheyDifferInMore = "%s and %s differ in more than one thing: %s. What shows will be all of it together."
)

// Said by trial/design of what was changed.
const (
	QuestionChanged = "After %d blocks the question was changed; it was: %s"
	StoppingChanged = "After %d blocks it was changed when it ends: it was %d rounds of %.0f min."
	ArmJoined       = "%s joined after %d blocks: it is compared in the rounds it was fished in."
	ArmChanged      = "%s was changed after %d blocks: what it brought is of both ways together."
	ArmTakenOut     = "%s was taken out after %d blocks."
)

// Said by trial/result.
const (
	ArmByAction              = "%s, %s"
	NotWhenAllIsCounted      = "Round by round, and among so many comparisons, it is not shown."
	NeverInOneRound          = "They were never fished in one round: nothing compares them."
	FoulHookedIsNotSeen      = "Foul-hooking comes of fish that follow and do not take: %s may not be seen well."
	BlocksDropped            = "Blocks left out, %d: %s."
	LookedBeforeTheEnd       = "Looks at the result before the end, %d: each is a chance to be fooled."
	NotAllFished             = "%d of %d planned blocks were fished."
	SomeBlocksWereNotPlanned = "Some blocks were not planned: whoever adds them may choose when."
)
