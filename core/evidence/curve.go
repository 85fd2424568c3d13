package evidence

import (
	"math"

	"gonum.org/v1/gonum/mathext"
)

// Fished is a spell by one condition: where it stood on that, and what it brought.
type Fished struct {
	X, RodHours, Fish float64
}

// Axis of a curve: from where to where, and whether it closes on itself, as the hours of a day do.
type Axis struct {
	From, To float64
	Closed   bool
}

// CurvePoint is the catch a rod-hour about a place on an axis, four times in five within Low and High, and the rod-hours
// that speak to it.
type CurvePoint struct{ X, Median, Low, High, RodHours float64 }

const (
	// curvePoints of a curve, and the share of its axis a spell speaks to about itself (the house's judgement).
	curvePoints = 49
	width       = 1.0 / 12
)

// Curve of the catch a rod-hour against one condition: at each place the spells about it count by how near they stand
// (a normal kernel), and their fish and hours go onto a prior of one fish at the mean of all: a gamma, which is what is
// drawn (Gelman and others, Bayesian Data Analysis, 2.6). Where nobody fished it falls back to the mean, as wide as that
// one fish. Counts that scatter by a factor more than chance count for that much less.
func Curve(spells []Fished, axis Axis, dispersion float64) []CurvePoint {
	var fish, hours float64
	for _, s := range spells {
		fish, hours = fish+s.Fish, hours+s.RodHours
	}
	if hours <= 0 || !(axis.To > axis.From) {
		return nil
	}
	// Half a fish where none was caught: the mean is not nought for that.
	mean := math.Max(fish, 0.5) / hours
	span := axis.To - axis.From
	out := make([]CurvePoint, curvePoints)
	for i := range out {
		x := axis.From + span*float64(i)/(curvePoints-1)
		f, h := 1.0, 1/mean
		for _, s := range spells {
			d := math.Abs(s.X - x)
			if axis.Closed {
				d = math.Min(math.Mod(d, span), span-math.Mod(d, span))
			}
			near := math.Exp(-d * d / (2 * width * width * span * span))
			out[i].RodHours += near * s.RodHours
			f, h = f+near*s.Fish/dispersion, h+near*s.RodHours/dispersion
		}
		out[i].X = x
		out[i].Median = mathext.GammaIncRegInv(f, 0.5) / h
		out[i].Low, out[i].High = mathext.GammaIncRegInv(f, 0.1)/h, mathext.GammaIncRegInv(f, 0.9)/h
	}
	return out
}

// AxisOf spells: from one end to the other, where they are said; else as far as was fished, and a little more.
func AxisOf(spells []Fished, from, to float64, closed bool) Axis {
	low, high := math.Inf(1), math.Inf(-1)
	for _, s := range spells {
		low, high = math.Min(low, s.X), math.Max(high, s.X)
	}
	if low > high {
		low, high = 0, 1
	}
	room := math.Max((high-low)/20, 1e-3)
	if math.IsNaN(from) {
		from = low - room
	}
	if math.IsNaN(to) {
		to = high + room
	}
	return Axis{from, to, closed}
}

// spoken of is a place on a curve with this share of the effort of where most was fished.
const spoken = 0.1

// Ends of a curve, of where it was fished: where the catch is highest and lowest, and whether they are told apart, the
// one's four times in five above the other's. False where nothing was fished.
func Ends(points []CurvePoint) (most, least CurvePoint, differ, told bool) {
	effort := 0.0
	for _, p := range points {
		effort = math.Max(effort, p.RodHours)
	}
	for _, p := range points {
		if p.RodHours <= 0 || p.RodHours < spoken*effort {
			continue
		}
		if !told || p.Median > most.Median {
			most = p
		}
		if !told || p.Median < least.Median {
			least = p
		}
		told = true
	}
	return most, least, told && most.Low > least.High, told
}
