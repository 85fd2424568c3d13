package words

// Said by plan/say.
const (
	AtBest                       = "%s at %s, %s: best %s–%s"
	InTheDark                    = " in the dark"
	BeOutBy                      = ", be out by %s"
	NobodyHasToldThatDaysWeather = "; nobody has told that day's weather yet"
	WaitingForTheWater           = "waiting for the water"
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
