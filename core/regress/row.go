package regress

import (
	"math"
	"slices"
)

// Row of the data: a count, the effort it took, and the covariates that are not nought.
type Row struct {
	Count  float64
	Effort float64
	Terms  []Term
	// Cases of which one holds, nobody knows which: each brings terms of its own, of coefficients not among the above.
	// None: nothing is open.
	Cases []Case
}

// Case that holds with a chance.
type Case struct {
	Chance float64
	Terms  []Term
}

// steepest a logarithm of a mean may be: e⁵⁰ fish are none.
const steepest = 50.0

// eta is a row's logarithm of the rate, in a case that brings terms of its own.
func (r *Row) eta(beta []float64, in []Term) float64 {
	sum := 0.0
	for _, t := range r.Terms {
		sum += t.Value * beta[t.At]
	}
	for _, t := range in {
		sum += t.Value * beta[t.At]
	}
	return math.Max(-steepest, math.Min(steepest, sum))
}

// logLikelihood of the count, but for what does not depend on the coefficients; what it adds to gradient and curvature
// of its negative is added where they are given room. Of a row with cases the curvature is that of the cases as they are
// likely now, which has a Cholesky factor wherever one stands; what not knowing the case takes off it is [Row.missing].
func (r *Row) logLikelihood(beta, gradient []float64, curvature *Curvature) float64 {
	if len(r.Cases) == 0 {
		l := r.eta(beta, nil)
		mu := r.Effort * math.Exp(l)
		r.add(r.Terms, mu-r.Count, mu, gradient, curvature)
		return r.Count*l - mu
	}
	chances, whole := r.chances(beta)
	for k, c := range r.Cases {
		mu := r.Effort * math.Exp(r.eta(beta, c.Terms))
		r.add(r.within(k), chances[k]*(mu-r.Count), chances[k]*mu, gradient, curvature)
	}
	return whole
}

// within a case are a row's terms and its own.
func (r *Row) within(k int) []Term {
	return slices.Concat(r.Terms, r.Cases[k].Terms)
}

// chances of the cases after the count was seen, and the logarithm of its likelihood over all of them.
func (r *Row) chances(beta []float64) (chances []float64, whole float64) {
	chances = make([]float64, len(r.Cases))
	most := math.Inf(-1)
	for k, c := range r.Cases {
		l := r.eta(beta, c.Terms)
		chances[k] = math.Log(c.Chance) + r.Count*l - r.Effort*math.Exp(l)
		most = math.Max(most, chances[k])
	}
	sum := 0.0
	for k := range chances {
		chances[k] = math.Exp(chances[k] - most)
		sum += chances[k]
	}
	for k := range chances {
		chances[k] /= sum
	}
	return chances, most + math.Log(sum)
}

func (r *Row) add(terms []Term, slope, weight float64, gradient []float64, curvature *Curvature) {
	if gradient != nil {
		for _, t := range terms {
			gradient[t.At] += slope * t.Value
		}
	}
	if curvature != nil {
		curvature.add(terms, weight)
	}
}

// missing takes off the curvature what is not known of the case: the covariance of the cases' slopes (Louis 1982).
func (r *Row) missing(beta []float64, curvature *Curvature) {
	if len(r.Cases) == 0 {
		return
	}
	chances, _ := r.chances(beta)
	var mean []Term
	for k, c := range r.Cases {
		slope := r.Effort*math.Exp(r.eta(beta, c.Terms)) - r.Count
		in := r.within(k)
		for i := range in {
			in[i].Value *= slope
			mean = append(mean, Term{in[i].At, chances[k] * in[i].Value})
		}
		curvature.add(in, -chances[k])
	}
	curvature.add(merged(mean), 1)
}

// merged terms, one a coefficient.
func merged(terms []Term) (out []Term) {
	at := map[int]int{}
	for _, t := range terms {
		i, there := at[t.At]
		if !there {
			i = len(out)
			at[t.At], out = i, append(out, Term{At: t.At})
		}
		out[i].Value += t.Value
	}
	return out
}
