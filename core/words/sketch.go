package words

// Said by sketch/plan.
const (
	FromAbove = "From above: %s"
)

// Said by sketch/side.
const (
	DarkBelow                  = "dark below %s"
	At2                        = "at %s"
	InOfWaterOverThe           = "%s, %s, in %s of water over the %s. %s"
	TheWaterIsDarkBelow        = "The water is dark below %s."
	WavesBreakWithinTheDrawing = "Waves break within the drawing."
	FromTheSide                = "From the side: %s"
)
