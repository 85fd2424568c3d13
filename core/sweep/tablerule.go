package sweep

import (
	"greypebble/core/playbook"
	"math/bits"
)

// tabled is a rule's clauses with certain and uncertain ramps apart.
type tabled struct {
	clauses []tabledClause
	// readings it looks at, a bit each, and how many states they have.
	readings uint8
	states   int
}

type tabledClause struct {
	tests  []playbook.Test
	sure   []playbook.Ramp
	unsure []unsureRamp
}

type unsureRamp struct {
	playbook.Ramp
	// bit of the rule's state that says whether its reading is high.
	bit int
}

// bareRule is a varying rule that is one or two ramps on one measure.
type bareRule struct {
	place       int
	of          playbook.Measure
	ramps       int
	slope, from [2]float64
}

// bareOf a rule, where it is one.
func bareOf(r *tabled, place int) (bareRule, bool) {
	if len(r.clauses) != 1 {
		return bareRule{}, false
	}
	c := &r.clauses[0]
	if len(c.tests)+len(c.sure) > 0 || len(c.unsure) > 2 || c.unsure[0].Of != c.unsure[len(c.unsure)-1].Of {
		return bareRule{}, false
	}
	b := bareRule{place: place, of: c.unsure[0].Of, ramps: len(c.unsure)}
	for i, u := range c.unsure {
		b.slope[i], b.from[i] = u.Slope, u.Offset
	}
	return b, true
}

func (b *bareRule) weight(x float64) float64 {
	w := x*b.slope[0] + b.from[0]
	if b.ramps == 2 {
		w = min(w, x*b.slope[1]+b.from[1])
	}
	return min(max(w, 0), 1)
}

func tabledOf(c playbook.When) tabled {
	out := tabled{clauses: make([]tabledClause, len(c))}
	for _, k := range c {
		for _, r := range k.Ramps {
			if r.Of.Uncertain() {
				out.readings |= 1 << readingOf[r.Of]
			}
		}
	}
	out.states = 1 << bits.OnesCount8(out.readings)
	for i, k := range c {
		out.clauses[i].tests = k.Tests
		for _, r := range k.Ramps {
			if !r.Of.Uncertain() {
				out.clauses[i].sure = append(out.clauses[i].sure, r)
				continue
			}
			below := out.readings & (1<<readingOf[r.Of] - 1)
			out.clauses[i].unsure = append(out.clauses[i].unsure, unsureRamp{r, bits.OnesCount8(below)})
		}
	}
	return out
}

func (c *tabledClause) certain(f *playbook.Facts) float64 {
	for i := range c.tests {
		if !c.tests[i].Holds(f) {
			return 0
		}
	}
	w := 1.0
	for i := range c.sure {
		if v := c.sure[i].Weight(f); v < w {
			if w = v; w == 0 {
				return 0
			}
		}
	}
	return w
}

// add the clause's weight in each state where it is more than what is there; false where
// it weighs nothing.
func (c *tabledClause) add(f *playbook.Facts, spread *Spread, row []float64) bool {
	base := c.certain(f)
	if base == 0 {
		return false
	}
	if len(row) == 2 { // one reading, as in most rules
		low, high := base, base
		for i := range c.unsure {
			r := &c.unsure[i]
			x := &spread[r.Of]
			low, high = min(low, max(x[0]*r.Slope+r.Offset, 0)), min(high, max(x[1]*r.Slope+r.Offset, 0))
		}
		row[0], row[1] = max(row[0], low), max(row[1], high)
		return low > 0 || high > 0
	}
	live := false
	for s := range row {
		w := base
		for i := range c.unsure {
			r := &c.unsure[i]
			w = min(w, spread[r.Of][s>>r.bit&1]*r.Slope+r.Offset)
		}
		row[s] = max(row[s], w)
		live = live || w > 0
	}
	return live
}
