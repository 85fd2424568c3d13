package playbook

// condition says how far something applies, 0…1. It is kept as alternatives, the
// greatest of which counts: all, any and not are rewritten so when it is read.
// Least and greatest distribute over each other, and 1 − min(a, b) is
// max(1 − a, 1 − b), so nothing is lost by it.
type condition []clause

// clause is the least of its parts.
type clause struct {
	tests []test
	ramps []ramp
}

// ramp is a soft threshold on a measure: 0 on one side, 1 on the other, straight in
// between: slope·x + offset, cut off. What is not known weighs nothing.
type ramp struct {
	of            Measure
	slope, offset float64
}

// rising from 0 at one value to 1 at another; falling where the second is less. The
// two differ.
func rising(of Measure, from, to float64) ramp {
	s := 1 / (to - from)
	return ramp{of, s, -from * s}
}

// ends are where the ramp is 0 and where it is 1.
func (r ramp) ends() (zero, one float64) { return -r.offset / r.slope, (1 - r.offset) / r.slope }

func (r ramp) weight(f *Facts) float64 {
	w := f.Measure[r.of]*r.slope + r.offset
	switch {
	case w >= 1:
		return 1
	case w > 0: // not for NaN
		return w
	}
	return 0
}

func (r ramp) not() ramp { return ramp{r.of, -r.slope, 1 - r.offset} }

// test of a word: one of these holds, or, turned round, something is said and none
// of these is.
type test struct {
	of  Word
	any Set
	no  bool
}

func (t test) holds(f *Facts) bool {
	w := f.Word[t.of]
	return w != 0 && (w&t.any != 0) != t.no
}

func (c *clause) weight(f *Facts) float64 {
	for _, t := range c.tests {
		if !t.holds(f) {
			return 0
		}
	}
	w := 1.0
	for _, r := range c.ramps {
		if w = min(w, r.weight(f)); w == 0 {
			return 0
		}
	}
	return w
}

func (c condition) weight(f *Facts) float64 {
	w := 0.0
	for i := range c {
		w = max(w, c[i].weight(f))
	}
	return w
}

// reads says whether it looks at one of some measures.
func (c condition) reads(some map[Measure]bool) bool {
	for _, k := range c {
		for _, r := range k.ramps {
			if some[r.of] {
				return true
			}
		}
	}
	return false
}

func isRamp(r ramp) condition { return condition{{ramps: []ramp{r}}} }
func isTest(t test) condition { return condition{{tests: []test{t}}} }

// mostAlternatives a condition may unfold into.
const mostAlternatives = 64

// both conditions: every alternative of one with every one of the other.
func both(a, b condition) condition {
	out := make(condition, 0, len(a)*len(b))
	for _, x := range a {
		for _, y := range b {
			out = append(out, clause{append(x.tests[:len(x.tests):len(x.tests)], y.tests...), append(x.ramps[:len(x.ramps):len(x.ramps)], y.ramps...)})
		}
	}
	return out
}

// not turns a condition round: in every alternative one part must fail. An unknown
// reading fails both ways.
func (c condition) not() condition {
	out := condition{{}}
	for _, k := range c {
		var fails condition
		for _, t := range k.tests {
			fails = append(fails, isTest(test{t.of, t.any, !t.no})...)
		}
		for _, r := range k.ramps {
			fails = append(fails, isRamp(r.not())...)
		}
		if out = both(out, fails); len(out) > mostAlternatives {
			return out
		}
	}
	return out
}

// within keeps what can still hold once some words are settled, and forgets their
// tests; open words are those not settled. Settled words that say nothing match
// nothing.
func (c condition) within(f *Facts, open func(Word) bool) condition {
	var out condition
next:
	for _, k := range c {
		left := clause{ramps: k.ramps}
		for _, t := range k.tests {
			switch {
			case open(t.of):
				left.tests = append(left.tests, t)
			case !t.holds(f):
				continue next
			}
		}
		out = append(out, left)
	}
	return out
}
