package playbook

import (
	"math"
	"slices"
)

// When says how far something applies, 0…1. It is kept as alternatives, the
// greatest of which counts: all, any and not are rewritten so when it is read.
// Least and greatest distribute over each other, and 1 − min(a, b) is
// max(1 − a, 1 − b), so nothing is lost by it.
type When []Clause

// Clause is the least of its parts.
type Clause struct {
	Tests []Test
	Ramps []Ramp
}

// Ramp is a soft threshold on a measure: 0 on one side, 1 on the other, straight in
// between: slope·x + offset, cut off. What is not known weighs nothing.
type Ramp struct {
	Of            Measure
	Slope, Offset float64
}

// rising from 0 at one value to 1 at another; falling where the second is less. The
// two differ.
func rising(of Measure, from, to float64) Ramp {
	s := 1 / (to - from)
	return Ramp{of, s, -from * s}
}

// ends are where the ramp is 0 and where it is 1.
func (r Ramp) ends() (zero, one float64) { return -r.Offset / r.Slope, (1 - r.Offset) / r.Slope }

// Weight of the ramp, 0…1; NaN where the measure is not known.
func (r Ramp) Weight(f *Facts) float64 { return r.weigh(f.Measure[r.Of]) }

func (r Ramp) weigh(x float64) float64 {
	w := x*r.Slope + r.Offset
	switch {
	case w >= 1:
		return 1
	case w <= 0:
		return 0
	}
	return w // or NaN
}

func (r Ramp) not() Ramp { return Ramp{r.Of, -r.Slope, 1 - r.Offset} }

// Test of a word: one of these holds, or, turned round, something is said and none
// of these is.
type Test struct {
	Of  Word
	Any Set
	No  bool
}

// Holds says whether the test does, of a word that does not fade. Nothing seen on the water
// is no sign; of any other word, nothing said matches nothing.
func (t Test) Holds(f *Facts) bool {
	w := f.Word[t.Of]
	if w == 0 {
		return t.No && t.Of == Sign
	}
	return (w&t.Any != 0) != t.No
}

// Weight of the test: 0 or 1; in between where a season or a stage passes into the next, and
// NaN for the stage of water that has none.
func (t Test) Weight(f *Facts) float64 {
	if !t.Of.fades() {
		if t.Holds(f) {
			return 1
		}
		return 0
	}
	if f.Word[t.Of] == 0 {
		return math.NaN()
	}
	next := f.Next[t.Of]
	w := 0.0
	if f.Word[t.Of]&t.Any != 0 {
		w = 1 - next.Share
	}
	if next.Word&t.Any != 0 {
		w += next.Share
	}
	if t.No {
		return 1 - w
	}
	return w
}

// weight of a clause; NaN where what is known does not settle it.
func (c *Clause) weight(f *Facts) float64 {
	w, unknown := 1.0, false
	for i := range c.Tests {
		v := c.Tests[i].Weight(f)
		if v == 0 {
			return 0
		}
		unknown = unknown || v != v
		w = least(w, v)
	}
	for i := range c.Ramps {
		v := c.Ramps[i].Weight(f)
		if v == 0 {
			return 0
		}
		unknown = unknown || v != v
		w = least(w, v)
	}
	if unknown {
		return math.NaN()
	}
	return w
}

// least of two, the first where the second is not known.
func least(w, v float64) float64 {
	if v < w {
		return v
	}
	return w
}

// weight of the greatest clause; NaN where what is known does not settle it.
func (c When) weight(f *Facts) float64 {
	w, unknown := 0.0, false
	for i := range c {
		switch v := c[i].weight(f); {
		case v == 1:
			return 1
		case v != v:
			unknown = true
		case v > w:
			w = v
		}
	}
	if unknown {
		return math.NaN()
	}
	return w
}

// Says whether it looks at one of some words.
func (c When) Says(some func(Word) bool) bool {
	return slices.ContainsFunc(c, func(k Clause) bool {
		return slices.ContainsFunc(k.Tests, func(t Test) bool { return some(t.Of) })
	})
}

// Reads says whether it looks at one of some measures.
func (c When) Reads(some map[Measure]bool) bool {
	for _, k := range c {
		for _, r := range k.Ramps {
			if some[r.Of] {
				return true
			}
		}
	}
	return false
}

func isRamp(r Ramp) When { return When{{Ramps: []Ramp{r}}} }
func isTest(t Test) When { return When{{Tests: []Test{t}}} }

// mostAlternatives a condition may unfold into.
const mostAlternatives = 64

// both conditions: every alternative of one with every one of the other.
func both(a, b When) When {
	out := make(When, 0, len(a)*len(b))
	for _, x := range a {
		for _, y := range b {
			out = append(out, Clause{append(x.Tests[:len(x.Tests):len(x.Tests)], y.Tests...),
				append(x.Ramps[:len(x.Ramps):len(x.Ramps)], y.Ramps...)})
		}
	}
	return out
}

// not turns a condition round: in every alternative one part must fail. An unknown
// reading fails both ways.
func (c When) not() When {
	out := When{{}}
	for _, k := range c {
		var fails When
		for _, t := range k.Tests {
			fails = append(fails, isTest(Test{t.Of, t.Any, !t.No})...)
		}
		for _, r := range k.Ramps {
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
func (c When) within(f *Facts, open func(Word) bool) When {
	var out When
next:
	for _, k := range c {
		left := Clause{Ramps: k.Ramps}
		for _, t := range k.Tests {
			switch {
			case open(t.Of) || t.Of.fades():
				left.Tests = append(left.Tests, t)
			case !t.Holds(f):
				continue next
			}
		}
		out = append(out, left)
	}
	return out
}

// Equal says whether two ask the same in the same order.
func (c When) Equal(o When) bool {
	return slices.EqualFunc(c, o, func(x, y Clause) bool { return slices.Equal(x.Tests, y.Tests) && slices.Equal(x.Ramps, y.Ramps) })
}
