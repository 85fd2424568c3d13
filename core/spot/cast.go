package spot

import (
	"math"

	"greypebble/core/ground"
)

// What a calculation starts from where the spot does not say: common practice, no source.
const (
	usualDepth = 2.0 // m
	usualRun   = 0.3 // m/s
	// shallowest water worth a calculation, metres.
	shallowest = 0.2
)

// CastDepth is the depth over the deepest mark, in metres to the decimetre; a usual one
// where no mark is under water enough to be fished.
func (m *Moment) CastDepth() float64 {
	deepest := 0.0
	for _, k := range m.Spot.Marks {
		deepest = math.Max(deepest, k.Depth(m.LevelM))
	}
	if deepest <= shallowest {
		return usualDepth
	}
	return math.Round(deepest*10) / 10
}

// CastRun is how fast the water runs, m/s either way; a usual run where it is not known.
func (m *Moment) CastRun() float64 {
	if u, known := m.Current(); known {
		return math.Round(math.Abs(u)*100) / 100
	}
	return usualRun
}

// CastsFrom is where one casts from, metres along the section: the crest or bar one wades to,
// else the bank.
func (s *Spot) CastsFrom() float64 {
	if s.Access.Manner == ground.Wading {
		for _, k := range s.Marks {
			if k.Kind == ground.Crest || k.Kind == ground.Bar {
				return k.DistanceM
			}
		}
	}
	return 0
}
