package regress

import (
	"errors"
	"fmt"
	"math"

	"gonum.org/v1/gonum/mat"
)

// Term of a row: a covariate by its place, and its value.
type Term struct {
	At    int
	Value float64
}

// Row of the data: a count, the effort it took, and the covariates that are not nought.
type Row struct {
	Count  float64
	Effort float64
	Terms  []Term
}

// Prior of a coefficient: normal.
type Prior struct{ Mean, SD float64 }

// Model of some rows.
type Model struct {
	Priors []Prior
	Rows   []Row
}

// Posterior of a model's coefficients: normal around the mode.
type Posterior struct {
	Mode []float64
	// chol of the curvature at the mode, the inverse of which is the covariance.
	chol mat.Cholesky
	// NegLog of the posterior at the mode, without what does not depend on the coefficients in the priors.
	NegLog float64
	// Steps it took.
	Steps int
}

// Validate says what of a model is no number, or points nowhere.
func (m *Model) Validate() error {
	for i, p := range m.Priors {
		if !(p.SD > 0) || math.IsInf(p.SD, 0) || math.IsNaN(p.Mean) || math.IsInf(p.Mean, 0) {
			return fmt.Errorf("regress: prior %d needs a mean and a spread above nought, not %v and %v", i, p.Mean, p.SD)
		}
	}
	for i, r := range m.Rows {
		if !(r.Count >= 0) || !(r.Effort > 0) || math.IsInf(r.Count, 0) || math.IsInf(r.Effort, 0) {
			return fmt.Errorf("regress: row %d needs a count of nought or more in an effort above it, not %v in %v", i, r.Count, r.Effort)
		}
		for _, t := range r.Terms {
			if t.At < 0 || t.At >= len(m.Priors) || math.IsNaN(t.Value) || math.IsInf(t.Value, 0) {
				return fmt.Errorf("regress: row %d has a term %v at %d of %d", i, t.Value, t.At, len(m.Priors))
			}
		}
	}
	return nil
}

// steepest a logarithm of a mean may be: e⁵⁰ fish are none.
const steepest = 50.0

// eta is a row's logarithm of the rate.
func eta(r *Row, beta []float64) float64 {
	sum := 0.0
	for _, t := range r.Terms {
		sum += t.Value * beta[t.At]
	}
	return math.Max(-steepest, math.Min(steepest, sum))
}

// NegLog of the posterior at some coefficients, and, where they are given room, its gradient and its curvature.
func (m *Model) NegLog(beta, gradient []float64, curvature *mat.SymDense) float64 {
	sum := 0.0
	for i := range gradient {
		gradient[i] = 0
	}
	if curvature != nil {
		curvature.Zero()
	}
	for i, p := range m.Priors {
		z := (beta[i] - p.Mean) / p.SD
		sum += z * z / 2
		if gradient != nil {
			gradient[i] = z / p.SD
		}
		if curvature != nil {
			curvature.SetSym(i, i, 1/(p.SD*p.SD))
		}
	}
	for i := range m.Rows {
		r := &m.Rows[i]
		l := eta(r, beta)
		mu := r.Effort * math.Exp(l)
		gamma, _ := math.Lgamma(r.Count + 1)
		sum += mu - r.Count*(l+math.Log(r.Effort)) + gamma
		if gradient != nil {
			for _, t := range r.Terms {
				gradient[t.At] += (mu - r.Count) * t.Value
			}
		}
		if curvature != nil {
			add(curvature, r.Terms, mu)
		}
	}
	return sum
}

// add a row's share to a curvature: to the triangle above, which is the one that is kept.
func add(c *mat.SymDense, terms []Term, mu float64) {
	raw := c.RawSymmetric()
	for j, a := range terms {
		weighed := mu * a.Value
		for _, b := range terms[:j+1] {
			lo, hi := a.At, b.At
			if lo > hi {
				lo, hi = hi, lo
			}
			raw.Data[lo*raw.Stride+hi] += weighed * b.Value
		}
	}
}

// ErrNoMode says that none was found: the numbers are beyond what can be reckoned with.
var ErrNoMode = errors.New("regress: no mode was found")

const (
	mostSteps = 200
	// flat is how little is to be gained when the next step is the last, in squared spreads of the posterior.
	flat = 1e-8
)

// Fit the posterior, from where to begin; nil: from the priors. Begun from the mode of all but one row, it takes a
// step or two.
func (m *Model) Fit(from []float64) (*Posterior, error) {
	if err := m.Validate(); err != nil {
		return nil, err
	}
	n := len(m.Priors)
	out := &Posterior{Mode: make([]float64, n)}
	if n == 0 {
		out.NegLog = m.NegLog(nil, nil, nil)
		return out, nil
	}
	if len(from) == n {
		copy(out.Mode, from)
	} else {
		for i, p := range m.Priors {
			out.Mode[i] = p.Mean
		}
	}
	gradient, trial := make([]float64, n), make([]float64, n)
	curvature := mat.NewSymDense(n, nil)
	step := mat.NewVecDense(n, nil)
	now := m.NegLog(out.Mode, gradient, curvature)
	for out.Steps = 1; out.Steps <= mostSteps; out.Steps++ {
		if !out.chol.Factorize(curvature) {
			return nil, ErrNoMode
		}
		if err := out.chol.SolveVecTo(step, mat.NewVecDense(n, gradient)); err != nil {
			return nil, fmt.Errorf("%w: %w", ErrNoMode, err)
		}
		// How far the step goes, in spreads: half of it is what the posterior would gain.
		gain := 0.0
		for i, g := range gradient {
			gain += g * step.AtVec(i)
		}
		if gain < flat {
			// The last step doubles the digits.
			for i := range out.Mode {
				out.Mode[i] -= step.AtVec(i)
			}
			out.NegLog = m.NegLog(out.Mode, gradient, curvature)
			if !out.chol.Factorize(curvature) {
				return nil, ErrNoMode
			}
			return out, nil
		}
		scale := 1.0
		for ; ; scale /= 2 {
			for i := range trial {
				trial[i] = out.Mode[i] - scale*step.AtVec(i)
			}
			if next := m.NegLog(trial, nil, nil); next <= now-1e-4*scale*gain || scale < 1e-9 {
				break
			}
		}
		if scale < 1e-9 {
			// Nothing is gained any more but by the last bits.
			out.NegLog = now
			return out, nil
		}
		copy(out.Mode, trial)
		now = m.NegLog(out.Mode, gradient, curvature)
	}
	return nil, ErrNoMode
}

// Covariance of two combinations of the coefficients.
func (p *Posterior) Covariance(a, b []float64) float64 {
	if len(a) == 0 {
		return 0
	}
	x := mat.NewVecDense(len(b), nil)
	if err := p.chol.SolveVecTo(x, mat.NewVecDense(len(b), b)); err != nil {
		return math.NaN()
	}
	sum := 0.0
	for i, v := range a {
		sum += v * x.AtVec(i)
	}
	return sum
}

// SD of each coefficient.
func (p *Posterior) SD() []float64 {
	n := len(p.Mode)
	out := make([]float64, n)
	for i := range out {
		unit := make([]float64, n)
		unit[i] = 1
		out[i] = math.Sqrt(p.Covariance(unit, unit))
	}
	return out
}

// Mean of a row's count under the mode.
func (p *Posterior) Mean(r *Row) float64 { return r.Effort * math.Exp(eta(r, p.Mode)) }

// Dispersion is how much more the counts scatter than Poisson counts do: Pearson's statistic by the rows less the
// coefficients that the data, not the priors, hold. Nought where there are no more rows than those.
func (m *Model) Dispersion(p *Posterior) float64 {
	chi := 0.0
	for i := range m.Rows {
		mu := p.Mean(&m.Rows[i])
		chi += (m.Rows[i].Count - mu) * (m.Rows[i].Count - mu) / mu
	}
	held := 0.0
	for i, sd := range p.SD() {
		held += 1 - sd*sd/(m.Priors[i].SD*m.Priors[i].SD)
	}
	if free := float64(len(m.Rows)) - held; free > 0 {
		return chi / free
	}
	return 0
}
