package regress

import (
	"errors"
	"fmt"
	"math"
	"slices"
)

// Term of a row: a covariate by its place, and its value.
type Term struct {
	At    int
	Value float64
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
	// of the curvature at the mode, the inverse of which is the covariance.
	factor *Factor
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
		all, chance := slices.Clone(r.Terms), 0.0
		for _, c := range r.Cases {
			all, chance = append(all, c.Terms...), chance+c.Chance
		}
		if len(r.Cases) > 0 && math.Abs(chance-1) > 1e-9 {
			return fmt.Errorf("regress: row %d: one of its cases holds, their chances sum to one, not to %v", i, chance)
		}
		for _, t := range all {
			if t.At < 0 || t.At >= len(m.Priors) || math.IsNaN(t.Value) || math.IsInf(t.Value, 0) {
				return fmt.Errorf("regress: row %d has a term %v at %d of %d", i, t.Value, t.At, len(m.Priors))
			}
		}
	}
	return nil
}

// NegLog of the posterior at some coefficients, and, where they are given room, its gradient and its curvature.
func (m *Model) NegLog(beta, gradient []float64, curvature *Curvature) float64 {
	sum := 0.0
	for i := range gradient {
		gradient[i] = 0
	}
	if curvature != nil {
		curvature.clear()
	}
	for i, p := range m.Priors {
		z := (beta[i] - p.Mean) / p.SD
		sum += z * z / 2
		if gradient != nil {
			gradient[i] = z / p.SD
		}
		if curvature != nil {
			curvature.row(i)[i] = 1 / (p.SD * p.SD)
		}
	}
	for i := range m.Rows {
		r := &m.Rows[i]
		gamma, _ := math.Lgamma(r.Count + 1)
		sum += gamma - r.Count*math.Log(r.Effort) - r.logLikelihood(beta, gradient, curvature)
	}
	return sum
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
	curvature := NewCurvature(n)
	step := make([]float64, n)
	now := m.NegLog(out.Mode, gradient, curvature)
	for out.Steps = 1; out.Steps <= mostSteps; out.Steps++ {
		var steep bool
		if out.factor, steep = curvature.Factor(); !steep {
			return nil, ErrNoMode
		}
		copy(step, gradient)
		out.factor.Solve(step)
		// How far the step goes, in spreads: half of it is what the posterior would gain.
		gain := 0.0
		for i, g := range gradient {
			gain += g * step[i]
		}
		if gain < flat {
			// The last step doubles the digits.
			for i := range out.Mode {
				out.Mode[i] -= step[i]
			}
			out.NegLog = m.NegLog(out.Mode, gradient, curvature)
			return out, m.settle(out, curvature)
		}
		scale := 1.0
		for ; ; scale /= 2 {
			for i := range trial {
				trial[i] = out.Mode[i] - scale*step[i]
			}
			if next := m.NegLog(trial, nil, nil); next <= now-1e-4*scale*gain || scale < 1e-9 {
				break
			}
		}
		if scale < 1e-9 {
			// Nothing is gained any more but by the last bits.
			out.NegLog = now
			return out, m.settle(out, curvature)
		}
		copy(out.Mode, trial)
		now = m.NegLog(out.Mode, gradient, curvature)
	}
	return nil, ErrNoMode
}

// settle the covariance at the mode: of all that is known, not knowing the cases included, where that has one.
func (m *Model) settle(p *Posterior, curvature *Curvature) error {
	whole := &Curvature{curvature.n, slices.Clone(curvature.rows)}
	for i := range m.Rows {
		m.Rows[i].missing(p.Mode, whole)
	}
	var there bool
	if p.factor, there = whole.Factor(); there {
		return nil
	}
	if p.factor, there = curvature.Factor(); !there {
		return ErrNoMode
	}
	return nil
}

// Covariance of two combinations of the coefficients.
func (p *Posterior) Covariance(a, b []float64) float64 {
	x := slices.Clone(b)
	if len(x) > 0 {
		p.factor.Solve(x)
	}
	return dot(a, x)
}

// Covariances of sums of coefficients with each other, each Σ value·coefficient over its terms.
func (p *Posterior) Covariances(of [][]Term) [][]float64 {
	out := make([][]float64, len(of))
	x := make([]float64, len(p.Mode))
	for i, a := range of {
		clear(x)
		for _, t := range a {
			x[t.At] += t.Value
		}
		if len(x) > 0 {
			p.factor.Solve(x)
		}
		out[i] = make([]float64, len(of))
		for j, b := range of {
			for _, t := range b {
				out[i][j] += t.Value * x[t.At]
			}
		}
	}
	return out
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
func (p *Posterior) Mean(r *Row) float64 {
	if len(r.Cases) == 0 {
		return r.Effort * math.Exp(r.eta(p.Mode, nil))
	}
	sum := 0.0
	for _, c := range r.Cases {
		sum += c.Chance * r.Effort * math.Exp(r.eta(p.Mode, c.Terms))
	}
	return sum
}

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
