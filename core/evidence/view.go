package evidence

import (
	"math"

	"greypebble/core/regress"
)

// view of a target: what of the posterior belongs to it, so that a contrast of a few dozen rules costs a few hundred
// multiplications.
type view struct {
	// usual is the logarithm of the book's usual catch.
	usual float64
	// means of the rules' coefficients.
	means []float64
	// base, spots and at are places in the covariance: of the usual catch (−1: never fished for), of spots, of rules
	// that spoke (−1: did not).
	base       int
	spots      map[string]int
	at         []int
	covariance [][]float64
	// prior and unknown variance of a rule's coefficient: what the log speaks to, and what it does not.
	prior, unknown []float64
	of             *Evidence
}

func (e *Evidence) viewOf(target string) *view {
	n := len(e.book.Rules)
	v := &view{usual: math.NaN(), means: make([]float64, n), base: -1, spots: map[string]int{}, at: make([]int, n),
		prior: make([]float64, n), unknown: make([]float64, n), of: e}
	if t, err := e.book.Target(target); err == nil {
		v.usual = math.Log(t.UsualCatch())
	}
	var terms [][]regress.Term
	add := func(of ...regress.Term) int {
		terms = append(terms, of)
		return len(terms) - 1
	}
	if at, fished := e.base[target]; fished {
		v.base = add(regress.Term{At: at, Value: 1})
	}
	for k, at := range e.spots {
		if k[0] == target {
			v.spots[k[1]] = add(regress.Term{At: at, Value: 1})
		}
	}
	for r := range e.book.Rules {
		v.rule(e, target, r, add)
	}
	v.covariance = e.post.Covariances(terms)
	return v
}

// rule of the book, as the posterior has it for a target.
func (v *view) rule(e *Evidence, target string, r int, add func(...regress.Term) int) {
	p := e.book.Rules[r].Prior
	whole := p.SD * p.SD
	v.means[r], v.at[r], v.unknown[r] = p.Mean, -1, whole
	at, spoke := e.rules[r]
	if !spoke {
		return
	}
	mean := e.post.Mode[at]
	only := e.only[r]
	ours, there := e.ours[ofTarget{r, target}]
	switch {
	case there:
		v.means[r], v.at[r] = mean+e.post.Mode[ours], add(regress.Term{At: at, Value: 1}, regress.Term{At: ours, Value: 1})
		v.prior[r], v.unknown[r] = whole, 0
	case only == target:
		v.means[r], v.at[r] = mean, add(regress.Term{At: at, Value: 1})
		v.prior[r], v.unknown[r] = whole, 0
	case only != "":
		// Of what one fish taught, so much is taken to hold for another: the common part given the whole, and this one's
		// own.
		v.means[r], v.at[r] = p.Mean+(1-own)*(mean-p.Mean), add(regress.Term{At: at, Value: 1 - own})
		v.prior[r], v.unknown[r] = (1-own)*(1-own)*whole, own*(2-own)*whole
	default:
		v.means[r], v.at[r] = mean, add(regress.Term{At: at, Value: 1})
		v.prior[r], v.unknown[r] = (1-own)*whole, own*whole
	}
}

// sum of coefficients whose variance is asked for.
type sum struct {
	at             []int
	by             []float64
	prior, unknown float64
}

func (s *sum) add(at int, by, prior float64) {
	s.at, s.by = append(s.at, at), append(s.by, by)
	s.prior += by * by * prior
}

func (s *sum) rules(v *view, rules []float64) {
	for r, c := range rules {
		if c == 0 {
			continue
		}
		s.unknown += c * c * v.unknown[r]
		if v.at[r] >= 0 {
			s.add(v.at[r], c, v.prior[r])
		}
	}
}

// variance under the log, held more loosely where the counts scatter, never more loosely than the book.
func (s *sum) variance(v *view) float64 {
	known := 0.0
	for i, a := range s.at {
		for j, b := range s.at {
			known += s.by[i] * s.by[j] * v.covariance[a][b]
		}
	}
	return s.unknown + math.Min(s.prior, v.of.Dispersion*known)
}
