package words

// Said by spot/caution.
const (
	TheWayThereOrBackIs = "The way there or back is shut now."
	TideCutOffInItIs2   = "Tide cut-off: in %s it is %s. Be out before."
)

// Said by spot/closed.
const (
	ClosedBy = "closed by %s"
)

// Said by spot/headline.
const (
	DepthNotKnownHereYet = "Depth not known here yet"
	IsDry                = "%s is dry"
)

// Said by spot/pier.
const (
	StraightDownBesideTheWoodFirst = "Straight down beside the wood first: most people cast away from the best water."
	StandUpTideSoThatThe           = " Stand up-tide, so that the line runs clear of the pilings; the larger fish are often " +
		"further down-tide."
)

// Said by spot/ribbon.
const (
	BreakersAbout      = "Breakers about %s."
	ItIsDarkUnderWater = "It is dark under water."
	DarkBelow2         = "Dark below %s."
)

// Said by spot/shelter.
const (
	QuietInWindFrom            = "Quiet in wind from %s."
	NoWindOfThatStrengthLeaves = "No wind of that strength leaves it quiet."
	QuietWhicheverWayItBlows   = "Quiet whichever way it blows."
	RoughFrom                  = " Rough from %s."
	To                         = "%s to %s"
)

// Said by spot/statement.
const (
	SeenByTheAnglerFading           = "seen by the angler, fading"
	RangeMeanSpringRange            = "range ÷ mean spring range"
	SunMoonAndCloud                 = "sun, moon and cloud"
	LightCloudAndClarity            = "light, cloud and clarity"
	EphemerisNegativeBeforeFullMoon = "ephemeris, negative before full moon"
	EphemerisNegativeBeforeNewMoon  = "ephemeris, negative before new moon"
	WindOverTheFetch                = "wind over the fetch"
	WindOverAnAssumedFetchThe       = "wind over an assumed fetch: the water has no outline"
	TheFastestRunYouHaveSeen        = "the fastest run you have seen, by the rate of the tide"
	WhatMustPassToFillAnd           = "what must pass to fill and drain the water behind"
)

// Said by spot/surf.
const (
	MarkWhereTheWavesBreakAnd = "Mark where the waves break and how high they are, and the bars show themselves: a wave breaks " +
		"where the water is as deep as 1.28 times its height."
	AGapInTheWhiteDarker = "A gap in the white, darker and smoother, is a cut through the bar: fish it from the side. If " +
		"none breaks anywhere, the bars are too deep now; look again at low water."
	BarOut                    = "Bar %s out"
	TopAtStopsBreakingWhenThe = "top at %s: stops breaking when the water reaches %s%s."
	BeyondYourCast            = ", beyond your cast"
	TroughToOut               = "Trough %s to %s out"
	DeepAtLeastTheRoadFish    = "%s deep at least: the road fish travel along the beach%s."
	WithinYourCast            = ", within your cast"
	BeyondYour                = ", beyond your %s"
)

// Said by spot/visit.
const (
	ClosesItAllThatTime   = "%s closes it all that time."
	ThereIsNoGettingInAnd = "There is no getting in and back in all that time."
	TheWayIsOpenOnlyIn    = "The way is open only in the dark."
	ByDayNoTimeIsLong     = "By day no time is long enough for that margin."
	NoTimeIsLongEnoughFor = "No time is long enough for that margin."
)

// Said by spot/words.
const (
	ClosedBy2                  = "Closed by %s"
	ItsRuleHolds               = "Its rule holds %s."
	ForAsLongAsTheRibbon       = "For as long as the ribbon shows."
	UntilInThenItIs            = "Until %s, in %s: then it is %s."
	NotAsFarAsTheRibbon        = "Not as far as the ribbon shows."
	OpensInAt                  = "Opens in %s, at %s"
	YouCannotGetInYet          = "You cannot get in and back yet."
	YouCannotGetInYetThenUntil = "You cannot get in and back yet; then you can until %s."
	OpensAtIn                  = "Opens at %s, in %s."
	OpensAtInUntil             = "Opens at %s, in %s; open until %s."
	UntilThen                  = "until %s, then %s"
	Until2                     = "until %s"
	From                       = "from %s"
	InTheLee                   = "%s, in the lee"
	Exposed                    = "%s, exposed"
	WindAlongTheShore          = "%s, wind along the shore"
)

// Said by spot/closed of hours.
const (
	PastItsHours              = "past its hours"
	ItsHoursShutItAllThatTime = "It is shut by its hours all that time."
)
