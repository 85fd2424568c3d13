package words

// Said by prose/prose.
const (
	The  = "the %s"
	Min  = "%d min"
	HMin = "%d h %02d min"
	And  = "%s and %s"
	No   = "no %s"
)
