package growth

import (
	"math"
	"slices"

	"gonum.org/v1/gonum/stat/distuv"

	"greypebble/core/tackle"
)

// Measured fish: length in metres, weight in kilograms.
type Measured struct{ LengthM, MassKg float64 }

// Fewest fish an own relation is fitted to.
const Fewest = 15

// Relation of weight to length, of one's own fish.
type Relation struct {
	tackle.Curve
	Fish int
	// BLow and BHigh hold the exponent nineteen times in twenty; Spread is that of the logarithm of weights of one length.
	BLow, BHigh, Spread float64
	// Shortest and Longest it was fitted to, metres.
	ShortestM, LongestM float64
}

// Fit a relation to fish; false for fewer than [Fewest], or where all are of one length.
func Fit(fish []Measured) (Relation, bool) {
	list := slices.DeleteFunc(slices.Clone(fish), func(f Measured) bool { return !(f.LengthM > 0) || !(f.MassKg > 0) })
	n := float64(len(list))
	if len(list) < Fewest {
		return Relation{}, false
	}
	var mx, my float64
	out := Relation{Fish: len(list), ShortestM: math.Inf(1)}
	for _, f := range list {
		x, y := logs(f)
		mx, my = mx+x/n, my+y/n
		out.ShortestM, out.LongestM = math.Min(out.ShortestM, f.LengthM), math.Max(out.LongestM, f.LengthM)
	}
	var sxx, sxy float64
	for _, f := range list {
		x, y := logs(f)
		sxx, sxy = sxx+(x-mx)*(x-mx), sxy+(x-mx)*(y-my)
	}
	if sxx < 1e-9 {
		return Relation{}, false
	}
	b := sxy / sxx
	a := my - b*mx
	rest := 0.0
	for _, f := range list {
		x, y := logs(f)
		rest += (y - a - b*x) * (y - a - b*x)
	}
	out.Spread = math.Sqrt(rest / (n - 2))
	half := distuv.StudentsT{Sigma: 1, Nu: n - 2}.Quantile(0.975) * out.Spread / math.Sqrt(sxx)
	out.Curve, out.BLow, out.BHigh = tackle.Curve{A: math.Exp(a), B: b}, b-half, b+half
	return out, true
}

// logs of centimetres and grams, as the trade writes the relation.
func logs(f Measured) (x, y float64) { return math.Log(100 * f.LengthM), math.Log(1000 * f.MassKg) }

// Fat is the relative condition of a fish, its weight by that of its length (Le Cren 1951): 1 is usual.
func Fat(f Measured, usual tackle.Curve) (float64, error) {
	kg, err := usual.Mass(f.LengthM)
	if err != nil {
		return 0, err
	}
	return f.MassKg / kg, nil
}

// quite fat or lean is a fish whose relative condition is beyond these (the house's judgement: about one in seven).
const quite = 0.12

// Build of a fish for its length.
type Build int

// Builds.
const (
	Usual Build = iota
	FatForIt
	LeanForIt
)

// BuildOf a relative condition.
func BuildOf(fat float64) Build {
	switch {
	case math.Log(fat) > quite:
		return FatForIt
	case math.Log(fat) < -quite:
		return LeanForIt
	}
	return Usual
}
