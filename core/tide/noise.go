package tide

import (
	"math"
	"slices"
)

// Around each tidal species the residual's spectrum is looked at within half a band, at no more than so
// many frequencies; those within a cycle of the record of a fitted constituent are left out, for there the
// fit has eaten the noise.
const (
	halfBand       = 0.35 // cycles a day
	mostPerBand    = 32
	leastPerBand   = 5
	leastInflation = 0.15
)

// noise is how much stronger the residual is about a frequency (cycles a day) than white noise of its
// variance would be: the mean of its periodogram there,
//
//	P(f) = |Σ w·r·e^(−2πi·f·t)|² / Σ w²,
//
// which for white noise is the variance itself. The sea is not white: weather stirs the day and longer far
// more than the half day, and so the errors of K1 more than those of M2.
func (f *fit) noise(cyclesADay float64, fitted []float64, variance float64) float64 {
	days := f.record[len(f.record)-1].Time.Sub(f.record[0].Time).Hours() / 24
	step := 1 / days
	var at []float64
	for k := cyclesADay - halfBand; k <= cyclesADay+halfBand; k += step {
		// Within a cycle of the record of what was fitted the fit has eaten the noise.
		if k > step && !slices.ContainsFunc(fitted, func(c float64) bool { return math.Abs(c-k) < step }) {
			at = append(at, k)
		}
	}
	if len(at) < leastPerBand {
		return f.inflation() * f.robustness()
	}
	every := 1 + (len(at)-1)/mostPerBand
	sum, n, weights := 0.0, 0, 0.0
	for _, w := range f.weight {
		weights += w * w
	}
	begin := f.record[0].Time
	for i := 0; i < len(at); i += every {
		var re, im float64
		turn := 2 * math.Pi * at[i] / 24
		for k, r := range f.resid {
			if w := f.weight[k]; w > 0 {
				s, c := math.Sincos(turn * f.record[k].Time.Sub(begin).Hours())
				re += w * r * c
				im += w * r * s
			}
		}
		sum += (re*re + im*im) / weights
		n++
	}
	// Of a few frequencies the mean is itself unsure.
	sure := 1 + 3/float64(n)
	return math.Max(sum/float64(n)/variance, leastInflation) * sure * f.robustness()
}

// robustness is what the weights cost: the variance of a robust estimate is E[ψ²]/E[ψ′]² (Huber 1981), with
// ψ = w·r; the weighted fit's own, whose residual is measured by Σw², has it as E[ψ²]/(E[w²]·E[w]).
func (f *fit) robustness() float64 {
	var w, squares, slopes float64
	for i, r := range f.resid {
		w += f.weight[i]
		squares += f.weight[i] * f.weight[i]
		if u := r / (biweight * f.scale); math.Abs(u) < 1 {
			slopes += (1 - u*u) * (1 - 5*u*u)
		}
	}
	return math.Max(squares*w/(slopes*slopes), 1)
}

// inflations of the variance about each of some frequencies, band by band.
func (f *fit) inflations(cyclesADay []float64, variance float64) []float64 {
	byBand := map[int]float64{}
	out := make([]float64, len(cyclesADay))
	for i, k := range cyclesADay {
		band := int(math.Round(k))
		v, known := byBand[band]
		if !known {
			middle := float64(band)
			if band == 0 {
				middle = halfBand // what is slower than that is not resolved well
			}
			v = f.noise(middle, cyclesADay, variance)
			byBand[band] = v
		}
		out[i] = v
	}
	return out
}
