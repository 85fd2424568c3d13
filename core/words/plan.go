package words

// Said by plan/say.
const (
	AtBest                       = "%s at %s, %s: best %s–%s"
	InTheDark                    = " in the dark"
	BeOutBy                      = ", be out by %s"
	NobodyHasToldThatDaysWeather = "; nobody has told that day's weather yet"
	ToSpareFromTo                = "; to spare from %s to %s"
	WaitingForTheWater           = "waiting for the water"
	NoFishingThen                = "no fishing then"
	LeaveAtBackByAsGood          = "Leave at %s, back by %s: as good as %.0f ordinary hours."
	Now                          = "Now: %s"
	Next                         = "Next, %s: %s"
	NothingIsWorthItBefore       = "Nothing is worth it before %s: %s"
	NothingIsBetterThanThatIn    = "Nothing is better than that in these days. Ask for less, or for another fish."
	EverythingIsShutTheFirstTo   = "Everything is shut. The first to open is %s, %s."
	EverythingIsShutAsFarAs      = "Everything is shut as far as these days go."
	At                           = " at %s"
	Today                        = "today%s"
	Tomorrow                     = "tomorrow%s"
)

// Said by plan/assess.
const (
	CannotBeFishedFromTo    = "%s cannot be fished from %s to %s: %s"
	IsNotReachedThatWay     = "%s is not reached by what you have."
	LeaveBeforeTheDayBegins = "You would have to leave at %s, before %s."
	BackAfterTheDayEnds     = "You would be back at %s, after %s."
	TheWayTakesLonger       = "From %s to %s takes %s, packing included; there are %s."
	ThatIsNotLookedInto     = "that lies beyond the days looked over."
	ItsHoursCloseIt         = "its hours close it."
	ClosesIt                = "%s closes it."
	ForbidsIt               = "%s forbids to fish for %s then."
	ClosedThen              = "%s is closed then: %s."
	NotForItThen            = "At %s nobody may fish for %s then: %s."
	TheWaterShutsTheWay     = "the water shuts the way there or back."
	ItIsDark                = "it is dark."
	MinutesLong             = "%d min"
	WhatYouSetCannotBeKept  = "What you set cannot be kept: %s"
	TheHoursDoNotAllowIt    = "What you set cannot be kept: the ways between or the hours of the day do not allow it."

	NothingCanBeFishedAndLeftInTime = "Nothing can be fished and left in time in those hours. " +
		"Allow more of them, another way to go, or other spots."
)

// Said by plan/spoil.
const (
	SpoiltByMoreWind   = "Wind from %s on: %s"
	SpoiltByMoreSwell  = "Swell from %s on: %s"
	SpoiltByMurk       = "Water clear to %s or less: %s"
	SpoiltByClearness  = "Water clear to %s or more: %s"
	NoLongerWorthIt    = "no longer worth it."
	ANearGale          = "a near gale; nobody casts or stands well in it."
	NothingAloneSpoils = "Neither wind nor swell nor clarity alone would spoil it."
)

// Said by plan/robust.
const (
	WithMoreWind     = "with %s more wind"
	WithTheWaterLate = "with the water an hour late"
)

// Said by plan/sheet.
const (
	BeOutByAtItIs     = "Be out by %s: at %s it is %s."
	BaitForAt         = "%s for %s, %s"
	FirstLight        = "first light"
	Sunrise           = "sunrise"
	Sunset            = "sunset"
	LastLight         = "last light"
	ForWhom           = "For %s"
	IAmOffFishing     = "I am off fishing on %s: I leave at %s and mean to be back by %s."
	AtPlaceFromTo     = "%s to %s: %s, %.4f, %.4f, %s."
	IfYouHaveNotHeard = "If you have not heard of me by %s, call me, and then whoever watches over that coast."
	WindOf            = "wind %s"
	SwellOf           = "swell %s"
	WaterOf           = "water %s"
	AirOf             = "air %s"
	ClarityOf         = "clear to %s"
	AsUsual           = "%s (as usual; nobody told)"
)

// Said by plan/season.
const (
	IsThereByTheBook  = "%s: there, by the book; say how warm the water usually is, and more can be told."
	StaysSo           = "%s: %s, and so it stays."
	TheWaterWarmsTo   = "%s: %s until the water warms to what it feeds in, usually about %s."
	GoesFromTo        = "%s: now %s; in four weeks %s."
	TheRunComesAbout  = "%s: not in the river yet; by its warmth the spring run comes about %s, to the first bend."
	TheRunIsNotYet    = "%s: not in the river yet, by its warmth."
	TheRunIsAtNow     = "%s: the spring run is most likely %s now."
	TheRunIsAtAndThen = "%s: the spring run is most likely %s now, %s in a week."
	TheRunStaysAt     = "%s: the spring run is most likely %s, now and in a week."
	AtBend            = "at bend %d"
	BetweenBends      = "between bends %d and %d"
	IsAway            = "away"
	IsSlow            = "there, but slow"
	IsFeeding         = "feeding"
	IsAtItsBest       = "at its best"
	IsThere           = "there"
)

// Said by plan/sheet of the place itself.
const (
	CheckCleanDry = "Check, clean, dry: weed, mud and water off boots, waders, nets, boat and trailer before another water, two days dry " +
		"where you can; bait and bait water never from one water into another."
	KeepOffNests    = "Keep off nesting birds and hauled-out seals, and turn round where they look up: how far is a rule of the place."
	TakeItHome      = "Line, bait packs and litter go home, found line too, cut short."
	NoteWhatWasLost = "Tackle that was lost is noted on its mark as a snag when the outing ends."
)
