package words

// Said by advise/advise.
const (
	NothingMayBeTakenHereNow = "Nothing may be taken here now. %s"
	ItMayNotBeFishedForHere  = "%s may not be fished for here now. %s"
	CatchAndReleaseOnly      = "%s: catch and release only, none may be kept. %s"
	NothingInYourKitCanBe    = "Nothing in your kit can be fished for %s here now. Allow what you do not own, or move the time " +
		"along the ribbon."
	NothingThePlaybookHasForCan = "Nothing the playbook has for %s can be fished here now. Try another target, or move the time " +
		"along the ribbon."
	NothingIsKnownOfTheGround = "Nothing is known of the ground at %s: put a mark on it, with its depth, and it can be advised " +
		"on."
	ThereIsNoFishableWaterOn = "There is no fishable water on any mark of %s at this level of tide. Move the time along the " +
		"ribbon."
)

// Said by advise/card.
const (
	WithACircleHookDoNot      = "With a circle hook do not strike: when the line tightens, wind."
	StrikeWhenTheLineTightens = "Strike when the line tightens."
	NearestYouHave            = "%s (nearest you have: %s)"
	Head                      = "%s head"
	Sinker                    = "%s %s sinker"
	Hook                      = "%s %s hook"
)

// Said by advise/caution.
const (
	ShellCutsLineCheckTheLeader  = "Shell cuts line: check the leader after every fish."
	BarnaclesCutLineTurnTheFish  = "Barnacles cut line: turn the fish away from the wood at once."
	TheCutIsWhereTheRip          = "The cut is where the rip runs: do not wade it."
	GlassesAgainstAHookThatComes = "Glasses against a hook that comes flying back."
)

// Said by advise/depth.
const (
	ItRunsToAndWouldPlough = "it runs to %s and would plough the bottom in %s"
)

// Said by advise/describe.
const (
	Of                     = "%s of %s %s"
	OnInOfWater            = "%s on %s, %s %s in %s of water."
	CrimpedOrAHaywireTwist = "crimped, or a haywire twist"
	Turns                  = "%s, %d turns"
	HeadWithItsSoftBody    = "head with its soft body"
	PauseBetween           = "Pause %s between."
	ATurnIsThatOfYour      = "A turn is that of your reel. With a wave pushing toward you, wind faster by as much."
	ATurnIsThatOfA         = "A turn is that of a common fixed-spool reel; measure yours. With a wave pushing toward " +
		"you, wind faster by as much."
	TurnsIn10S                      = "%s turns in 10 s"
	ThroughTheWater10SA             = "%s through the water × 10 s ÷ %s a turn"
	Pause                           = "%s, pause %s."
	RunsToOver                      = "runs to %s over %s"
	ItRunsTo                        = "It runs to"
	ItsRatedOnACastOf               = "its rated %s on a cast of %s"
	GoodToAThirdTheDepth            = "Good to a third; the depth where it first knocks tells you yours."
	BelowTheFloat                   = "Below the float"
	TheLeaderAndAtLeastClear        = "the leader, and at least %s clear of the bottom in %s of water"
	WhatOnThinBraidInOf             = "what %s on thin braid in %s of run and %s of water, as it is sold"
	ThickerLineWantsMoreTheBench    = "Thicker line wants more; the bench works it out for yours."
	ForWaterOfTheColderThe          = "for water of %s: the colder, the longer"
	AndLongerThanUsualFor           = "; and longer than usual for %s"
	CommonPracticeLetTheFishCorrect = "Common practice; let the fish correct it."
	HalfWayDownFirstAt              = "Half-way down first, at %s."
	DepthToFish                     = "Depth to fish"
	HalfOfThenLowerUntilIt          = "half of %s; then lower until it is taken"
	ATurnIsThatOfYour2              = "A turn is that of your reel."
	ATurnIsThatOfA2                 = "A turn is that of a common fixed-spool reel; measure yours."
	ThenTheNextLevel                = " Then the next level, %s."
	ALittleAboveTheFishAt           = "a little above the fish at %s: they look up"
	SetTheStopKnotAboveThe          = "Set the stop knot %s above the bait.%s"
	ATurn                           = "; (%s − %s) ÷ %s a turn"
	OrCountSDownFromThe             = ", or count %s s down from the surface"
	ToTheBottomAndTurnsUp           = "To the bottom and %s turns up, to %s%s.%s"
	FallOfOf                        = "%s fall of %s of %s"
	FallSpeedIsFromTheDrag          = "Fall speed is from the drag equation with a drag coefficient set to common practice; time " +
		"your own lure once."
	AsYouTimedIt           = "%s as you timed it"
	Then                   = ", then "
	LetItFallToTheStep     = "Let it fall %s to the step."
	FallsOfFromStepToStep  = "Falls of %s from step to step, none shorter than the one before."
	FallsOfFromStepToStep2 = "Falls of %s from step to step."
	FallToEachStep         = "Fall to each step"
	ToAfterAHopOfAt        = "to %s after a hop of %s, at %s"
	CountDown              = "Count %s down."
	FallToTheBottom        = "Fall to the bottom"
	KeepsTheLineUpright    = "keeps the line upright"
)

// Said by advise/fit.
const (
	TrollingWantsABoat          = "trolling wants a boat"
	IsNotForA                   = "%s is not for a %s"
	WantsOfWaterTheHas          = "%s wants %s of water; the %s has %s"
	IsForLessThanOfWater        = "%s is for less than %s of water; the %s has %s"
	WhatHangsBelowTheFloatWould = "what hangs below the float would drag in %s"
	AnOpenHookIsSoonLost        = "an open hook is soon lost on the %s"
	StraightDownWantsABoatA     = "straight down wants a boat, a pier or a wall over the %s"
	IsHeldBesideWoodRockOr      = "%s is held beside wood, rock or shell close by; at the %s there is none"
)

// Said by advise/mine.
const (
	ItWouldNotBeAdvised = "It would not be advised: %s."
)

// Said by advise/reason.
const (
	NothingMakesUpForFishThat = "Nothing makes up for fish that are not here"
	AllElseGoodThingsOfOther  = "All else: good things of other places and days that are not here"
	AllElseBadThingsOfOther   = "All else: bad things of other places and days that are not here"
	AllElseNearEnoughAsUsual  = "All else, near enough as usual"
)

// Said by advise/stay.
const (
	DolphinsAFewMinutesAtThe  = "Dolphins: a few minutes at the nearest structure, where they jam the fish, then go."
	TheLastOneWasColdTo       = "The last one was cold to the hand: go down to deeper water, and stay with them there."
	SmallOnesOnlyStayOnThis   = " Small ones only: stay on this flat, but move along it."
	SmallOnesOnlyLeaveTheFlat = " Small ones only: leave the flat."
)

// Said by advise/threshold.
const (
	IfItClearsPast       = "If it clears past %s"
	IfItColoursBelow     = "If it colours below %s"
	IfTheWaterWarmsPast  = "If the water warms past %s"
	IfTheWaterCoolsBelow = "If the water cools below %s"
	IfTheWindGetsUpPast  = "If the wind gets up past %s"
	IfTheWindDropsBelow  = "If the wind drops below %s"
	IfItCloudsOverPast   = "If it clouds over past %s"
	IfTheSkyClearsBelow  = "If the sky clears below %s"
	In                   = "In %s, %s: %s, %s %s."
)

// Said by advise/weight.
const (
	IsTooHeavyForItWould        = "%s is too heavy for %s: it would sink into the bottom before it worked"
	NoWeightKeepsTheLineUpright = "no weight keeps the line upright here"
	IsTooLightKeepsTheLine      = "%s is too light: %s keeps the line upright in this run"
	ToKeepItUnderTheRod         = "to keep it under the rod"
	ToHoldInThisRun             = "to hold in this run"
	ToFindTheBottomAndStill     = "to find the bottom and still trot"
	ToKeepRollingAlongTheBottom = "to keep rolling along the bottom"
	ItWouldTakeMoreThanIt       = "it would take %s %s, more than it carries"
	IsMoreThanYourRodsCast      = "%s is more than your rods cast"
	ItLiesOutThisFliesAbout     = "it lies %s out; this flies about %s"
	ThereIsNoTideToSpeakOf      = "There is no tide to speak of here, and none is weighed."
	Holds                       = "holds"
	FindsTheBottomAndTrots      = "finds the bottom and still trots"
	RollsAlongTheBottom         = "rolls along the bottom"
	HangsUnderTheRod            = "hangs under the rod"
	HalfAnHourWithoutABite      = "Half an hour without a bite: move."
	StayWhileAnythingBites      = "Stay while anything bites; recast the same place at once when one came."
	GoWhenAnotherSpotIsBetter   = "Go when another spot's edge is better with the way there counted; recast the same place at " +
		"once when one came."
)
