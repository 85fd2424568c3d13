package words

// Said by tackle/interception.
const (
	WatchItForThreeOrFour = "watch it for three or four seconds first: it darts and returns to its bearing"
)

// Said by tackle/line.
const (
	DoubledLineThenALeaderWith = "doubled line, then a leader with seven twists"
)

// Said by tackle/practice.
const (
	MIsBeyondYourReachOf     = "%.0f m is beyond your reach of %.0f m. Wait until it is nearer."
	ItBoltedTheLureFellM     = "It bolted: the lure fell %.1f m from it. Land it %.1f m clear, beyond and ahead."
	StrikeItCrossedCmAheadOf = "Strike: it crossed %.0f cm ahead of its nose."
	ItBoltedTheLineLayOver   = "It bolted: the line lay over its back. Land it so that the line falls ahead of its path."
	ItNeverSawItTheLure      = "It never saw it: the lure crossed %.1f m ahead. Throw later, or nearer to it."
	TooLateTheLureCrossedM   = "Too late: the lure crossed %.1f m behind its nose. Throw sooner, or further ahead."
	CloseMOffItDartedOr      = "Close: %.1f m off. It darted, or the pace was not right for the distance."
)
