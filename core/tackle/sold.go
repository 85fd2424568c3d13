package tackle

import "math"

// sold weights of leads and heads, kilograms: by the ounce and its parts, whichever unit they are
// written in.
var sold = []float64{0.0009, 0.0018, 0.0035, 0.0053, 0.007, 0.0106, 0.014, 0.021, 0.028, 0.042, 0.056, 0.085, 0.112, 0.14, 0.17, 0.225,
	0.28, 0.34, 0.45, 0.56, 0.68, 0.9}

// nearlySold: what a lead falls short by and is still taken.
const nearlySold = 0.93

// Sold is the weight to buy where so much is needed: the least that is sold and not markedly less.
func Sold(needKg float64) float64 {
	for _, kg := range sold {
		if kg >= needKg*nearlySold {
			return kg
		}
	}
	return needKg
}

// soldLb are the strengths leaders are sold in, pounds.
var soldLb = []float64{2, 4, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100}

// SoldLine is the strength to buy where a line should break at so many newtons: the nearest that is sold.
func SoldLine(breakN float64) float64 {
	best := soldLb[0]
	for _, lb := range soldLb {
		if math.Abs(math.Log(lb*newton/breakN)) < math.Abs(math.Log(best*newton/breakN)) {
			best = lb
		}
	}
	return best * newton
}
