package words

// Said by ordinary/ordinary.
const (
	Ordinary = "ordinary %s"
)
