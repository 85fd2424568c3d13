package words

// Said by tide/analyse.
const (
	ReadingsAreTooFewForUnknowns                 = "%d readings are too few for %d unknowns"
	ItsGapsLeaveTheConstituentsIndistinguishable = "its gaps leave the constituents indistinguishable"
	ItsGapsLeaveTheConstituentsNearly            = "its gaps leave the constituents nearly indistinguishable"
)

// Said by tide/choose.
const (
	TooFastForReadingsHApart  = "too fast for readings %.2g h apart"
	NeedsDaysOfRecordThereAre = "needs %.0f days of record, there are %.1f"
	HasTheSpeedOf             = "has the speed of %s"
	CannotBeToldFromDaysOf    = "cannot be told from %s: %.0f days of record are needed, there are %.1f"
)

// Said by tide/constituents.
const (
	TideUnknownConstituentKnownAreThe = "tide: unknown constituent %q; known are the astronomical ones (M2, K1, SSA …) and " +
		"shallow-water compounds written like 2MS6"
)

// Said by tide/curve.
const (
	SlackWater = "slack, %s water"
	StandOnThe = "stand on the %s"
	Third      = "%s, %s third"
)

// Said by tide/drown.
const (
	LostInTheNoiseCmGive        = "lost in the noise: %.1f cm, give or take %.1f"
	WouldBeInferredFromWhichIs  = "would be inferred from %s, which is lost in the noise"
	NoConstituentStandsOutOfIts = "no constituent stands out of its noise"
)

// Said by tide/record.
const (
	TideRecordCannotBeAnalysed       = "tide: record cannot be analysed: %s"
	DifferentMomentsAtLeastAreNeeded = "%d different moments; at least %d are needed"
	ItCoversDaysAtLeastAre           = "it covers %.1f days; at least %.0f are needed"
	TheHeightHardlyChangesMOver      = "the height hardly changes (%.4f m over the whole record): the gauge was stuck"
	SampleHasAHeightOfM              = "sample %d (%s) has a height of %v m; expected between −%d and %d m"
)

// Said by tide/table.
const (
	HighAndLowWatersAtLeast = "%d high and low waters; at least %d are needed"
	HighAndLowWatersAreToo  = "%d high and low waters are too few for %d unknowns"
	ATableOfLessThanA       = "a table of less than a year does not show it: at high and low water alone it looks like a slower one"
)

// Said by tide/turns.
const (
	TideIntervalEndsBeforeItBegins = "tide: interval ends (%s) before it begins (%s)"
)
