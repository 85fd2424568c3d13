package words

// Said by going/assess.
const (
	RodsDownAndOffTheBeach    = "rods down and off the beach, pier and water; back half an hour after the last"
	DoNotFishInThunder        = "Do not fish in thunder: %s."
	AtTheFirstThunder         = "At the first thunder %s."
	DoNotGoTheWayThere        = "Do not go: the way there or back is shut now."
	TheFloodComesInBehindYou  = " The flood comes in behind you."
	TideCutOffInItIs          = "Tide cut-off: in %s it is %s. Be out before.%s"
	WaterOfTakesTheBreathAway = "Water of %s takes the breath away: dress for the water and not for the air, flotation on, and " +
		"not alone."
	WaterOfTakesTheBreathAway2  = "Water of %s takes the breath away: waders with a belt, flotation, and not alone."
	ColdWaterTakesTheBreathAway = "Cold water (%s) takes the breath away: wear flotation, and do not fish alone."
	NobodyHasToldTheWindLook    = "Nobody has told the wind: look before you launch."
	WindOfOffTheLandCarries     = "Wind of %s off the land carries a kayak out, and the way home is against it."
	DoNotLaunchWindOfOff        = "Do not launch: wind of %s off the land carries a kayak out faster than one paddles home."
	WindOfIsALotFor             = "Wind of %s is a lot for a kayak."
	DoNotLaunchWindOfIs         = "Do not launch: wind of %s is too much for a kayak."
	WavesOfAreALotFor           = "Waves of %s are a lot for a kayak."
	DoNotLaunchWavesOfAre       = "Do not launch: waves of %s are too much for a kayak."
	DoNotLaunchInFogNobody      = "Do not launch: in fog nobody sees a kayak."
	NotWithoutAWhiteLightThat   = "Not without a white light that shows all round: nobody sees a kayak at dusk."
	FlotationOnWhistleAtHandAnd = "Flotation on, whistle at hand, and somebody who knows when you are due back."
	WindOfIsALotFor2            = "Wind of %s is a lot for a small open boat."
	DoNotGoOutWindOf            = "Do not go out: wind of %s is too much for a small open boat."
	NobodyHasToldTheWindLook2   = "Nobody has told the wind: look before you cast off."
	WavesOfAreALotFor2          = "Waves of %s are a lot for a small open boat."
	DoNotGoOutWavesOf           = "Do not go out: waves of %s are too much for a small open boat."
	FogSlowASoundSignalAnd      = "Fog: slow, a sound signal, and not across a channel."
	OffRockOnePersonStaysAt     = "Off rock one person stays at the controls with the engine running; kill-cord on, lights at " +
		"dusk."
	KillCordOnWhenYouMove       = "Kill-cord on when you move, lights at dusk."
	DoNotCrossTheEbbAgainst     = "Do not cross: the ebb against %s of swell breaks in the inlet."
	TheEbbRunsOutAgainstOf      = "The ebb runs out against %s of swell: steep in the inlet."
	OfWaterOnTheWayIs           = "%s of water on the way is over mid-thigh."
	DoNotWadeOfWaterOn          = "Do not wade: %s of water on the way is over the hip."
	TheWaterRunsAtItTakes       = "The water runs at %s: it takes the legs from under you."
	DoNotWadeTheWaterRuns       = "Do not wade: the water runs at %s."
	DoNotWadeInSurfAt           = "Do not wade in surf at night."
	WadeNoDeeperThanTheThigh    = "Wade no deeper than the thigh, shuffle your feet for rays, and wear boots: shell and soft mud."
	BreakersOfAreHeavyToStand   = "Breakers of %s are heavy to stand and fish in."
	DoNotStandOrFishIn          = "Do not stand or fish in this surf: breakers of %s are too heavy."
	WavesRunUpToWithinOf        = "Waves run up to within %[1]s of your feet: watch the sets."
	DoNotGoOutOnIt              = "Do not go out on it: waves wash over. You stand %[2]s above the water and they run up %[3]s."
	RipCurrentsRunOutThroughThe = "Rip currents run out through the cuts. If caught, float, signal, and move along the shore, " +
		"not against it. Heed lifeguards."
	WetPlanksAndRailsAreSlippery = "Wet planks and rails are slippery; look behind you before you cast."
	StandBackFromTheEdgeWhen     = "Stand back from the edge when you lift a fish, and mind other people's lines."
	NeverTurnYourBackToThe       = "Never turn your back to the sea; wet rock is slippery: studs and flotation, and not alone."
	SoftMudAndHiddenHolesTest    = "Soft mud and hidden holes: test before you step. Heed what lives there, alligators and snakes " +
		"included."
	CrowdedLookBehindYouKeepYour = "Crowded: look behind you, keep your line off others', and leave room."
	FogMindTheWayBackBefore      = "Fog: mind the way back before you lose sight of it."
	ItIsDarkCarryTwoLights       = "It is dark: carry two lights and know the way back."
)

// Said by going/limits.
const (
	OnRockJettyLedgeOrWall      = "on rock, jetty, ledge or wall"
	RunUpOfTheSwellBelow        = "Run-up of the swell below one's feet"
	HeightOfBreakers            = "Height of breakers"
	DepthOnTheWay               = "Depth on the way"
	RunOfTheWater               = "Run of the water"
	WadingOrInAKayak            = "wading or in a kayak"
	WindOffTheLand              = "Wind off the land"
	WhereTheTideShutsTheWay     = "where the tide shuts the way"
	MinutesUntilTheWayBackShuts = "Minutes until the way back shuts"
)

// Said by going/company.
const (
	NotWadingOrInAKayakWithAChild = "With a child: not wading, and not in a kayak."
	NotOntoRockWithAChild         = "With a child: not onto rock the sea washes."
	TheWayIsWaded                 = "The way there is waded."
)
