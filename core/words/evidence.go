package words

// Said by evidence/belief.
const (
	SaidYourSpellsSay = "Said ×%.2g; your %d spells say ×%.2g, %.2g to %.2g."
	SaidYourSpellSays = "Said ×%.2g; your one spell says ×%.2g, %.2g to %.2g."
)

// Said by evidence/apart.
const (
	ItAppliedInAllOfThemAlike  = "It applied in all of them alike: of what it does by itself they say next to nothing."
	ItHardlyAppliedInAnyOfThem = "It hardly applied in any of them: they say next to nothing of it."
	YouHadItOnlyAt             = "You had it only at %s: it is not told from that spot."
	ItWentTogetherWith         = "It always went with another, and is not told from: %s"
)

// Said by evidence/calibration.
const (
	YourPlainAverageDidBetter = "Your plain average did better than this advice so far: go by that."
	TheBookAloneDidBetter     = "The bare book did better than your log so far."
	TheLogDidBetterThanBoth   = "Your log foretold your spells better than the bare book and than your plain average."
	NothingTellsThemApartYet  = "So far log, book and plain average foretell about as well."
	OfTenIntervalsHeld        = "Of ten counts, %.1f fell where eight were foretold to."
	TooFewSpellsToTell        = "It takes %d spells to tell."
)
