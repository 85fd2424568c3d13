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
	OnceInMore          = "many thousands"
	AboutOnceIn         = "%.0f"
)
