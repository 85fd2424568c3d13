package sweep

import (
	"math/bits"

	"greypebble/core/conditions"
	"greypebble/core/ordinary"
)

// family of rules of one target that share, strongest first: places in the table and the means of
// their coefficients.
type family struct {
	terms []term
	// whole ones do not share.
	whole bool
	// own: one of them looks at the water over a mark.
	own bool
	// states in which it is weighed: over the scenarios they are evenly mixed.
	states int
}

type term struct {
	at int
	// mean of the coefficient, and what an ordinary spell has of the rule.
	mean, ordinary float64
	// state of the rule in each state of the family.
	state [mostStates]uint8
}

// settle which states a family has, and which of them each rule is in. Any three readings take
// each combination equally often over the scenarios; four do not, and the scenarios themselves are
// taken.
func (t *Tables) settle(f *family) {
	var readings uint8
	for _, k := range f.terms {
		readings |= t.rules[k.at].readings
	}
	high := func(s int) uint8 { return unpack(uint8(s), readings) } //nolint:gosec // fewer than 16
	if f.states = 1 << bits.OnesCount8(readings); f.states == mostStates {
		f.states, high = conditions.Scenarios, conditions.High
	}
	for i := range f.terms {
		k := &f.terms[i]
		for s := range f.states {
			k.state[s] = pack(high(s), t.rules[k.at].readings)
		}
	}
}

// pack the bits of all readings into those of some, side by side; unpack them again.
func pack(all, some uint8) (out uint8) {
	n := 0
	for i := range conditions.Draws {
		if some>>i&1 == 1 {
			out |= all >> i & 1 << n
			n++
		}
	}
	return out
}

func unpack(packed, some uint8) (out uint8) {
	n := 0
	for i := range conditions.Draws {
		if some>>i&1 == 1 {
			out |= packed >> n & 1 << i
			n++
		}
	}
	return out
}

// in one of its states, what a family comes to.
func (t *Tables) in(f *family, s int) float64 {
	sum, left := 0.0, 1.0
	for i := range f.terms {
		k := &f.terms[i]
		switch w := t.weights[k.at][k.state[s]]; {
		case w == 0:
		case w != w:
			sum += k.ordinary * k.mean
		case f.whole:
			sum += w * k.mean
		default:
			sum += w * left * k.mean
			left *= 1 - w/2
		}
	}
	return sum
}

// meanOf a family over the scenarios.
func (t *Tables) meanOf(f *family) float64 {
	sum := 0.0
	for s := range f.states {
		sum += t.in(f, s)
	}
	return sum / float64(f.states)
}

// absence is how far a presence rule applies, mean over its states.
func (t *Tables) absence(at int) float64 {
	r, sum := &t.rules[at], 0.0
	if !r.spoke {
		return 0
	}
	for _, w := range t.weights[at][:r.states] {
		if w == w {
			sum += w
		}
	}
	return sum / float64(r.states)
}

// Logs writes, for each target, the logarithm of there × feeding on the mark: its rules' weights
// times their coefficients less those of an ordinary spell, mean over the scenarios, families
// sharing and absence bounding as ever.
func (t *Table) Logs(out []float64) {
	for i := range out {
		on := &t.targets[i]
		sum := on.rest
		for _, k := range on.moving {
			sum += t.means[k]
		}
		absence := on.absent
		for _, k := range on.here {
			absence = max(absence, t.absence(k))
		}
		if absence > 0 {
			sum = min(sum, ordinary.MostAbsent(absence))
		}
		out[i] = sum
	}
}
