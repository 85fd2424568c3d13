package playbook

import (
	"math/bits"
	"slices"

	"greypebble/core/conditions"
)

// Spread is what the uncertain measures are when their reading is low and when it is
// high; only their rows are used. A scenario takes one or the other of each reading.
type Spread [measureCount][2]float64

// readingOf an uncertain measure: the light follows the clouds.
var readingOf = map[Measure]conditions.Draw{Secchi: conditions.DrawClarity, WaterTemp: conditions.DrawWaterTemp, WindSpeed: conditions.DrawWindSpeed,
	Cloud: conditions.DrawCloud, SurfaceLight: conditions.DrawCloud, LureLight: conditions.DrawCloud}

// mostStates a rule can have: every reading low or high.
const mostStates = 1 << conditions.Draws

// Tables weigh the rules of several targets on the marks of a spot at once, for sweeps
// over many moments. Each rule is weighed once for all targets, only in the states of
// those readings it looks at (over the scenarios these are evenly mixed), and, unless it
// looks at the water over the mark, once for all marks. They are not for several
// goroutines at once.
type Tables struct {
	Marks   []Table
	fixed   []tabled
	varying []tabled
	// common rules are the same on every mark: their places among the above. Bare ones
	// look at one uncertain measure and nothing else, as most do.
	commonFixed, commonVarying []int
	bare                       []bareRule
	// weights of the last moment, by place in fixed and varying.
	wFixed   []float64
	wVarying [][mostStates]float64
	// live says which of the varying rules weigh anything.
	live []bool
	// families, each once: many targets and marks have the same; those at the places in
	// common are the same on every mark. means is what each comes to, over the scenarios.
	families []family
	common   []int
	means    []float64
	// asked are the places of rules by what they ask.
	asked map[int][]askedRule
}

type askedRule struct {
	when        condition
	mark, place int
}

// Table of one mark.
type Table struct {
	*Tables
	// targets' families, by place.
	targets [][]int
	// own rules look at the water over the mark; own families hold one of them.
	ownFixed, ownVarying, own []int
}

// onMark are the measures that differ from mark to mark.
var onMark = map[Measure]bool{Depth: true, LureDepth: true, Clearance: true}

// tabled is a rule's clauses with certain and uncertain ramps apart.
type tabled struct {
	clauses []tabledClause
	// readings it looks at, a bit each, and how many states they have.
	readings uint8
	states   int
}

type tabledClause struct {
	tests  []test
	sure   []ramp
	unsure []unsureRamp
}

type unsureRamp struct {
	ramp
	// bit of the rule's state that says whether its reading is high.
	bit int
}

// bareRule is a varying rule that is one or two ramps on one measure.
type bareRule struct {
	place       int
	of          Measure
	ramps       int
	slope, from [2]float64
}

// bareOf a rule, where it is one.
func bareOf(r *tabled, place int) (bareRule, bool) {
	if len(r.clauses) != 1 {
		return bareRule{}, false
	}
	c := &r.clauses[0]
	if len(c.tests)+len(c.sure) > 0 || len(c.unsure) > 2 || c.unsure[0].of != c.unsure[len(c.unsure)-1].of {
		return bareRule{}, false
	}
	b := bareRule{place: place, of: c.unsure[0].of, ramps: len(c.unsure)}
	for i, u := range c.unsure {
		b.slope[i], b.from[i] = u.slope, u.offset
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

// family of rules of one target: places in the table and the means of their
// coefficients.
type family struct {
	fixed, varying []term
	// own: one of them looks at the water over a mark.
	own    bool
	states int
	// of maps a scenario to the family's state.
	of [conditions.Scenarios]uint8
}

type term struct {
	at   int
	mean float64
	// state of the rule in each state of the family.
	state [mostStates]uint8
}

// Tables of some targets' rules on the marks of a spot: each of marks settles the words
// that are not open, mean is what is believed of each rule's coefficient.
func (b *Book) Tables(targets []string, marks []Facts, open func(Word) bool, mean func(rule int) float64) *Tables {
	all := &Tables{Marks: make([]Table, len(marks)), asked: make(map[int][]askedRule)}
	for m := range marks {
		t := &all.Marks[m]
		t.Tables = all
		for _, target := range targets {
			t.targets = append(t.targets, t.familiesOf(b.Sieve(target, &marks[m], open), m, mean))
		}
	}
	all.wFixed, all.means = make([]float64, len(all.fixed)), make([]float64, len(all.families))
	all.wVarying, all.live = make([][mostStates]float64, len(all.varying)), make([]bool, len(all.varying))
	return all
}

func (t *Table) familiesOf(s *Sieve, mark int, mean func(int) float64) []int {
	of := make([]family, len(families))
	var order []int
	for i := range s.rules {
		r := &s.rules[i]
		coefficient := mean(r.rule)
		if coefficient == 0 {
			continue
		}
		f := &of[r.family]
		if len(f.fixed)+len(f.varying) == 0 {
			order = append(order, r.family)
		}
		place, own := t.place(r, mark, i < s.fixed)
		f.own = f.own || own
		if k := (term{at: place, mean: coefficient}); i < s.fixed {
			f.fixed = append(f.fixed, k)
		} else {
			f.varying = append(f.varying, k)
		}
	}
	out := make([]int, len(order))
	for i, id := range order {
		out[i] = t.keep(&of[id])
	}
	return out
}

// keep a family, once.
func (t *Table) keep(f *family) int {
	t.settle(f)
	for i := range t.families {
		if k := &t.families[i]; k.own == f.own && slices.Equal(k.fixed, f.fixed) && slices.Equal(k.varying, f.varying) {
			return i
		}
	}
	t.families = append(t.families, *f)
	at := len(t.families) - 1
	if f.own {
		t.own = append(t.own, at)
	} else {
		t.common = append(t.common, at)
	}
	return at
}

// place of a rule among those weighed, taken anew where it asks something else here;
// and whether it looks at the water over the mark.
func (t *Table) place(r *sieved, mark int, fixed bool) (place int, own bool) {
	if own = r.when.reads(onMark); !own {
		mark = -1
	}
	for _, k := range t.asked[r.rule] {
		if k.mark == mark && same(k.when, r.when) {
			return k.place, own
		}
	}
	list, common, mine := &t.varying, &t.commonVarying, &t.ownVarying
	if fixed {
		list, common, mine = &t.fixed, &t.commonFixed, &t.ownFixed
	}
	place = len(*list)
	t.asked[r.rule] = append(t.asked[r.rule], askedRule{r.when, mark, place})
	*list = append(*list, tabledOf(r.when))
	bare, isBare := bareRule{}, false
	if !fixed && !own {
		bare, isBare = bareOf(&t.varying[place], place)
	}
	switch {
	case own:
		*mine = append(*mine, place)
	case isBare:
		t.bare = append(t.bare, bare)
	default:
		*common = append(*common, place)
	}
	return place, own
}

// settle which states a family has, and which of them each rule and scenario is in.
func (t *Tables) settle(f *family) {
	var readings uint8
	for _, v := range f.varying {
		readings |= t.varying[v.at].readings
	}
	f.states = 1 << bits.OnesCount8(readings)
	for k := range f.of {
		f.of[k] = pack(conditions.High(k), readings)
	}
	for i := range f.varying {
		v := &f.varying[i]
		for s := range f.states {
			v.state[s] = pack(unpack(uint8(s), readings), t.varying[v.at].readings) //nolint:gosec // fewer than 16
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

func tabledOf(c condition) tabled {
	out := tabled{clauses: make([]tabledClause, len(c))}
	for _, k := range c {
		for _, r := range k.ramps {
			if uncertain[r.of] {
				out.readings |= 1 << readingOf[r.of]
			}
		}
	}
	out.states = 1 << bits.OnesCount8(out.readings)
	for i, k := range c {
		out.clauses[i].tests = k.tests
		for _, r := range k.ramps {
			if !uncertain[r.of] {
				out.clauses[i].sure = append(out.clauses[i].sure, r)
				continue
			}
			below := out.readings & (1<<readingOf[r.of] - 1)
			out.clauses[i].unsure = append(out.clauses[i].unsure, unsureRamp{r, bits.OnesCount8(below)})
		}
	}
	return out
}

func (c *tabledClause) certain(f *Facts) float64 {
	for i := range c.tests {
		if !c.tests[i].holds(f) {
			return 0
		}
	}
	w := 1.0
	for i := range c.sure {
		if v := c.sure[i].weight(f); v < w {
			if w = v; w == 0 {
				return 0
			}
		}
	}
	return w
}

// Weigh the rules that are the same on every mark at a moment.
func (t *Tables) Weigh(f *Facts, spread *Spread) {
	t.weigh(t.commonFixed, t.commonVarying, f, spread)
	for i := range t.bare {
		b := &t.bare[i]
		x, row := &spread[b.of], &t.wVarying[b.place]
		row[0], row[1] = b.weight(x[0]), b.weight(x[1])
		t.live[b.place] = row[0] > 0 || row[1] > 0
	}
	for _, i := range t.common {
		t.means[i] = t.meanOf(&t.families[i])
	}
}

// Weigh the rules that look at the water over the mark; Means and Etas then tell what
// all come to.
func (t *Table) Weigh(f *Facts, spread *Spread) {
	t.weigh(t.ownFixed, t.ownVarying, f, spread)
	for _, i := range t.own {
		t.means[i] = t.meanOf(&t.families[i])
	}
}

func (t *Tables) weigh(fixed, varying []int, f *Facts, spread *Spread) {
	for _, i := range fixed {
		w := 0.0
		for j := range t.fixed[i].clauses {
			w = max(w, t.fixed[i].clauses[j].certain(f))
		}
		t.wFixed[i] = w
	}
	for _, i := range varying {
		rule, row := &t.varying[i], &t.wVarying[i]
		for s := range rule.states {
			row[s] = 0
		}
		live := false
		for j := range rule.clauses {
			live = rule.clauses[j].add(f, spread, row[:rule.states]) || live
		}
		t.live[i] = live
	}
}

// add the clause's weight in each state where it is more than what is there; false where
// it weighs nothing.
func (c *tabledClause) add(f *Facts, spread *Spread, row []float64) bool {
	base := c.certain(f)
	if base == 0 {
		return false
	}
	if len(row) == 2 { // one reading, as in most rules
		low, high := base, base
		for i := range c.unsure {
			r := &c.unsure[i]
			x := &spread[r.of]
			low, high = min(low, max(x[0]*r.slope+r.offset, 0)), min(high, max(x[1]*r.slope+r.offset, 0))
		}
		row[0], row[1] = max(row[0], low), max(row[1], high)
		return low > 0 || high > 0
	}
	live := false
	for s := range row {
		w := base
		for i := range c.unsure {
			r := &c.unsure[i]
			w = min(w, spread[r.of][s>>r.bit&1]*r.slope+r.offset)
		}
		row[s] = max(row[s], w)
		live = live || w > 0
	}
	return live
}

// certain part of a family: what its rules that are the same in every scenario weigh
// and come to.
func (t *Tables) certain(f *family) (weight, worth float64) {
	for i := range f.fixed {
		w := t.wFixed[f.fixed[i].at]
		weight += w
		worth += w * f.fixed[i].mean
	}
	return weight, worth
}

// shared is what a family comes to once its rules have shared.
func shared(weight, worth float64) float64 {
	if weight > 1 {
		return worth / weight
	}
	return worth
}

// in one of its states, what a family comes to.
func (t *Tables) in(f *family, s int, weight, worth float64) float64 {
	for i := range f.varying {
		v := &f.varying[i]
		if !t.live[v.at] {
			continue
		}
		w := t.wVarying[v.at][v.state[s]]
		weight += w
		worth += w * v.mean
	}
	return shared(weight, worth)
}

// certainNow says that none of a family's varying rules weighs anything.
func (t *Tables) certainNow(f *family) bool {
	for i := range f.varying {
		if t.live[f.varying[i].at] {
			return false
		}
	}
	return true
}

// meanOf a family over the scenarios.
func (t *Tables) meanOf(f *family) float64 {
	weight, worth := t.certain(f)
	if t.certainNow(f) {
		return shared(weight, worth)
	}
	if f.states == 2 {
		weightHigh, worthHigh := weight, worth
		for n := range f.varying {
			v := &f.varying[n]
			row := &t.wVarying[v.at]
			weight += row[0]
			worth += row[0] * v.mean
			weightHigh += row[1]
			worthHigh += row[1] * v.mean
		}
		return (shared(weight, worth) + shared(weightHigh, worthHigh)) / 2
	}
	all := 0.0
	for s := range f.states {
		all += t.in(f, s, weight, worth)
	}
	return all / float64(f.states)
}

// Means writes, for each target, the sum of its rules' weights times their
// coefficients, mean over the scenarios, families sharing as ever.
func (t *Table) Means(out []float64) {
	for i := range out {
		sum := 0.0
		for _, k := range t.targets[i] {
			sum += t.means[k]
		}
		out[i] = sum
	}
}

// Etas writes the same sum for each scenario.
func (t *Table) Etas(out [][conditions.Scenarios]float64) {
	var states [mostStates]float64
	for i := range out {
		out[i] = [conditions.Scenarios]float64{}
		for _, j := range t.targets[i] {
			f := &t.families[j]
			weight, worth := t.certain(f)
			if t.certainNow(f) {
				for k := range out[i] {
					out[i][k] += shared(weight, worth)
				}
				continue
			}
			for s := range f.states {
				states[s] = t.in(f, s, weight, worth)
			}
			for k := range out[i] {
				out[i][k] += states[f.of[k]]
			}
		}
	}
}
