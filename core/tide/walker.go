package tide

import "math"

// blockSeconds is how long a recurrence runs before it starts again from exact
// arguments and nodal factors, and mostSteps how many steps: rounding grows
// with both.
const (
	blockSeconds = 4 * secondsPerDay
	mostSteps    = 1000
)

// sum adds the terms to a net of times: the first node at start (seconds since
// J2000), the others width seconds apart.
//
// Between two exact moments each term moves along a logarithmic spiral (its
// amplitude and speed carry the drift of f and u), so that it obeys
// x₊₁ = 2ρ·cosθ·x − ρ²·x₋₁: two multiplications a term and node.
func sum(net []float64, terms []*term, start, width float64) {
	if len(terms) == 0 {
		return
	}
	per := max(1, min(mostSteps, int(blockSeconds/width)))
	walk := make([]walker, len(terms))
	l0 := longitudesAt(start)
	n0 := nodesAt(l0)
	for at := 0; at < len(net); at += per {
		l1 := longitudesAt(start + float64(at+per)*width)
		n1 := nodesAt(l1)
		for i, k := range terms {
			a0, p0 := k.phasor(l0, &n0)
			a1, p1 := k.phasor(l1, &n1)
			turned := k.speed * degree * float64(per) * width / 3600
			walk[i].start(a0, p0, a1, p0+unwrap(p1-p0, turned), per)
		}
		block := net[at:min(at+per, len(net))]
		// Three at a time: as many as the processor's registers hold.
		i := 0
		for ; i+3 <= len(walk); i += 3 {
			advance3(block, (*[3]walker)(walk[i:i+3]))
		}
		for ; i < len(walk); i++ {
			walk[i].advance(block)
		}
		l0, n0 = l1, n1
	}
}

// unwrap adds whole circles to a phase difference (radians) until it is the one
// nearest to what the term's speed makes it: u may jump by a circle on the way.
func unwrap(difference, expected float64) float64 {
	return difference + 2*math.Pi*math.Round((expected-difference)/(2*math.Pi))
}

// walker holds two neighbouring samples of a term and its recurrence.
type walker struct{ now, before, twice, square float64 }

func (w *walker) start(a0, p0, a1, p1 float64, steps int) {
	if a0 == 0 || a1 == 0 {
		*w = walker{}
		return
	}
	theta := (p1 - p0) / float64(steps)
	rho := math.Exp(math.Log(a1/a0) / float64(steps))
	*w = walker{
		now:    a0 * math.Cos(p0),
		before: a0 / rho * math.Cos(p0-theta),
		twice:  2 * rho * math.Cos(theta),
		square: rho * rho,
	}
}

func (w *walker) advance(block []float64) {
	now, before, twice, square := w.now, w.before, w.twice, w.square
	for j := range block {
		block[j] += now
		now, before = twice*now-square*before, now
	}
}

func advance3(block []float64, w *[3]walker) {
	n0, b0, t0, s0 := w[0].now, w[0].before, w[0].twice, w[0].square
	n1, b1, t1, s1 := w[1].now, w[1].before, w[1].twice, w[1].square
	n2, b2, t2, s2 := w[2].now, w[2].before, w[2].twice, w[2].square
	for j := range block {
		block[j] += n0 + n1 + n2
		n0, b0 = t0*n0-s0*b0, n0
		n1, b1 = t1*n1-s1*b1, n1
		n2, b2 = t2*n2-s2*b2, n2
	}
}
