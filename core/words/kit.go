package words

// Said by kit/item.
const (
	MustBeBetween0AndNot    = "%s must be between 0 and %v %s, not %v"
	UnknownMaterialKnownAre = "unknown material %q; known are %s"
	UnknownPatternKnownAre  = "unknown pattern %q; known are %s"
	NeedsIts                = "needs its %s"
)
