package words

// Said by playbook/change.
const (
	School = "school %s"
	Rule   = "rule %s"
)

// Said by playbook/doubt.
const (
	ATheLongestKnownMeasuredAbout = "A %s %s? The longest known measured about %s."
	AOfTheLongestKnownWould       = "A %s of %s? The longest known would weigh about %s."
)

// Said by playbook/node.
const (
	FileOfBytesAtMostAre    = "file of %d bytes; at most %d are read"
	NotAYamlDocument        = "not a YAML document: %s"
	MoreThanOneYamlDocument = "more than one YAML document"
)

// Said by playbook/targetrules.
const (
	GoodFeedingTemperatureFor    = "Good feeding temperature for %s"
	ColdForThem                  = "Cold for them"
	WarmForThem                  = "Warm for them"
	TooWarmForToFeedWell         = "Too warm for %s to feed well"
	ColdWaterMovesAndEatsLittle  = "Cold water: %s moves and eats little"
	FeedsAtThisHeightInThe       = "%s feeds at this height in the water"
	NotTheHeightInTheWater       = "Not the height in the water they feed at"
	HardlyAPlaceFor              = "Hardly a place for %s"
	NotWhatIsCaughtOn            = "Not what %s is caught on"
	TooColdForTheyAreGone        = "Too cold for %s: they are gone"
	SoColdThatIsNumb             = "So cold that %s is numb"
	WhatEatsByPreference         = "What %s eats by preference"
	NotWhatTheyEatByPreference   = "Not what they eat by preference"
	ItsBestMonthsHere            = "Its best months here"
	NotTheirBestMonths           = "Not their best months"
	NotHereAtThisTimeOf          = "Not here at this time of year"
	LiesAtSuchMarks              = "%s lies at such marks"
	NotTheKindOfMarkThey         = "Not the kind of mark they lie at"
	ClearEnoughForAFishThat      = "Clear enough for a fish that hunts by sight"
	NotClearOrLightEnoughTo      = "Not clear or light enough to hunt well by sight"
	TooMuddyForAFishThat         = "Too muddy for a fish that hunts by sight"
	NoMudInTheWater              = "No mud in the water"
	StainedOrDarkWaterScentLeads = "Stained or dark water, scent leads"
	StainedOrDarkWaterAndNo      = "Stained or dark water, and no scent to lead them"
)
