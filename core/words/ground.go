package words

// Said by ground/access.
const (
	TooLittleWaterOverOnThe = "too little water over %s on the way %s"
	TooDeepAtOnTheWay       = "too deep at %s on the way %s"
)

// Said by ground/find.
const (
	MDeeperThanTheFlatAround = "%.1f m deeper than the flat around it"
	AGapBetweenBarsMHigher   = "a gap between bars %.1f m higher on both sides; water, food and rip currents leave by it"
	FallsMWithinMFromWater   = "falls %.1f m within %.0f m from water %.1f m deep"
)

// Said by ground/straight.
const (
	MOfChannelWithinMOf = "%.0f m of channel within %.0f m of a straight line: dug, not grown"
	CreeksJoinIt        = "; %d creeks join it"
)

// Said by ground/visit.
const (
	Opens                    = "opens %s"
	Best                     = "best %s–%s"
	BestFrom                 = "best from %s"
	BestUntil                = "best until %s"
	StaysOpenAsFarAsWas      = "stays open as far as was asked"
	BeOutByAt                = "be out by %s: at %s %s"
	AndTheFloodComesInBehind = "and the flood comes in behind you"
)

// Said by ground/zone.
const (
	FromTo                        = "from %s to %s"
	SourceCheckedAskYourAuthority = "%s (%s): %s Source: %s, checked %s; ask your authority."
	ThatIsMoreThanAYear           = " That is more than a year ago: look it up again."
)
