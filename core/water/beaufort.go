package water

import "math"

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
	{10.8, "strong breeze"}, {13.9, "near gale"}, {17.2, "gale"}, {20.8, "strong gale"}, {24.5, "storm"}, {28.5, "violent storm"},
	{32.7, "hurricane"},
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

// WindWord is what a wind is called, and the speeds it stands for.
type WindWord struct {
	Word         string
	FromMS, ToMS float64
}

// WindWords from calm to hurricane; the last has no upper end.
func WindWords() []WindWord {
	out := make([]WindWord, len(beaufort))
	for i, b := range beaufort {
		out[i] = WindWord{b.word, b.from, math.Inf(1)}
		if i+1 < len(beaufort) {
			out[i].ToMS = beaufort[i+1].from
		}
	}
	return out
}
