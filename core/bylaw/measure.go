package bylaw

import "math"

// Measure is how a fish is measured, mouth closed.
type Measure string

// Ways of measuring. A fish's fork length is at most its total length, and that at most its length with the tail
// pinched together.
const (
	Total   Measure = "total"
	Fork    Measure = "fork"
	Pinched Measure = "pinched"
)

// Measures there are, the shortest first.
var Measures = []Measure{Fork, Total, Pinched}

// or the total length, where it was not said which.
func (m Measure) or() Measure {
	if m == "" {
		return Total
	}
	return m
}

func (m Measure) rank() int {
	for i, k := range Measures {
		if k == m.or() {
			return i
		}
	}
	return 1
}

// span a length may have, metres.
type span struct{ low, high float64 }

// Metres of a limit to the micrometre: what a unit loses there and back.
func Metres(m float64) float64 { return math.Round(m*1e6) / 1e6 }

// exact enough for a limit that is inclusive, metres: what typing in inches and back loses.
const exact = 5e-5

// as the length of a fish is in the measure of a rule: itself, where it was measured so; at least or at most that,
// where it was measured another way, since no conversion is sure; anything, where it was not measured.
func (f *Fish) as(m Measure) span {
	if f.LengthM <= 0 {
		return span{0, math.Inf(1)}
	}
	s := span{f.LengthM - f.ErrorM, f.LengthM + f.ErrorM}
	taken := f.Measure
	if taken == "" {
		return s // as the rule says
	}
	switch a, b := taken.rank(), m.rank(); {
	case a < b:
		s.high = math.Inf(1)
	case a > b:
		s.low = 0
	}
	return s
}

// atLeast a limit, inclusive.
func (s span) atLeast(limit float64) answer { return sure(s.low >= limit-exact, s.high < limit-exact) }

// atMost a limit, inclusive.
func (s span) atMost(limit float64) answer { return sure(s.high <= limit+exact, s.low > limit+exact) }

// answer to a question about what is not known exactly.
type answer int

const (
	unsure answer = iota
	yes
	no
)

func sure(yesIf, noIf bool) answer {
	switch {
	case yesIf:
		return yes
	case noIf:
		return no
	}
	return unsure
}
