package words

// Said by rate/edge.
const (
	AsGoodAsEvenWithThe           = "as good as even with the next"
	RatherBetterThanTheNext       = "rather better than the next"
	VeryLikelyBetterThanTheNext   = "very likely better than the next"
	AlmostSurelyBetterThanTheNext = "almost surely better than the next"
)
