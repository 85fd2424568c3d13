package water

// Beaufort force of a wind, with its word.
type Beaufort struct {
	Force int
	Word  string
}

// beaufort lists the lower limit of each force in m/s, the mean speed over ten
// minutes at 10 m (WMO, Manual on Codes, No. 306, code table 1100).
var beaufort = [...]struct {
	from float64
	word string
}{
	{0, "calm"}, {0.3, "light air"}, {1.6, "light breeze"}, {3.4, "gentle breeze"}, {5.5, "moderate breeze"}, {8, "fresh breeze"},
	{10.8, "strong breeze"}, {13.9, "near gale"}, {17.2, "gale"}, {20.8, "strong gale"}, {24.5, "storm"}, {28.5, "violent storm"}, {32.7, "hurricane"},
}

// BeaufortOf a wind speed in m/s. The table gives tenths; what lies between two
// of them counts to the force below.
func BeaufortOf(speedMS float64) Beaufort {
	force := 0
	for i, b := range beaufort {
		if speedMS >= b.from {
			force = i
		}
	}
	return Beaufort{force, beaufort[force].word}
}
