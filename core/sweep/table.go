package sweep

import (
	"slices"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
)

// Spread is what the uncertain measures are when their reading is low and when it is
// high; only their rows are used. A scenario takes one or the other of each reading.
type Spread [playbook.MeasureCount][2]float64

// readingOf an uncertain measure: the light follows the clouds.
var readingOf = map[playbook.Measure]conditions.Draw{playbook.Secchi: conditions.DrawClarity, playbook.WaterTemp: conditions.DrawWaterTemp,
	playbook.WindSpeed: conditions.DrawWindSpeed, playbook.Cloud: conditions.DrawCloud, playbook.SurfaceLight: conditions.DrawCloud,
	playbook.LureLight: conditions.DrawCloud}

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
	// settled are the places of rules by what they ask.
	settled map[int][]settledRule
}

type settledRule struct {
	when        playbook.When
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
var onMark = map[playbook.Measure]bool{playbook.Depth: true, playbook.LureDepth: true, playbook.Clearance: true}

// NewTables of some targets' rules on the marks of a spot: each of marks settles the words
// that are not open, mean is what is believed of each rule's coefficient.
func NewTables(b *playbook.Book, targets []string, marks []playbook.Facts, open func(playbook.Word) bool,
	mean func(rule int) float64) *Tables {
	all := &Tables{Marks: make([]Table, len(marks)), settled: make(map[int][]settledRule)}
	for m := range marks {
		t := &all.Marks[m]
		t.Tables = all
		for _, target := range targets {
			t.targets = append(t.targets, t.familiesOf(b.Applicable(target, &marks[m], open), m, mean))
		}
	}
	all.wFixed, all.means = make([]float64, len(all.fixed)), make([]float64, len(all.families))
	all.wVarying, all.live = make([][mostStates]float64, len(all.varying)), make([]bool, len(all.varying))
	return all
}

func (t *Table) familiesOf(s *playbook.Applicable, mark int, mean func(int) float64) []int {
	of := make([]family, len(playbook.Families()))
	var order []int
	add := func(list []playbook.Settled, fixed bool) {
		for i := range list {
			r := &list[i]
			coefficient := mean(r.Rule)
			if coefficient == 0 {
				continue
			}
			f := &of[r.Family]
			if len(f.fixed)+len(f.varying) == 0 {
				order = append(order, r.Family)
			}
			place, own := t.place(r, mark, fixed)
			f.own = f.own || own
			if k := (term{at: place, mean: coefficient}); fixed {
				f.fixed = append(f.fixed, k)
			} else {
				f.varying = append(f.varying, k)
			}
		}
	}
	add(s.Fixed(), true)
	add(s.Varying(), false)
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
func (t *Table) place(r *playbook.Settled, mark int, fixed bool) (place int, own bool) {
	if own = r.When.Reads(onMark); !own {
		mark = -1
	}
	for _, k := range t.settled[r.Rule] {
		if k.mark == mark && k.when.Equal(r.When) {
			return k.place, own
		}
	}
	list, common, mine := &t.varying, &t.commonVarying, &t.ownVarying
	if fixed {
		list, common, mine = &t.fixed, &t.commonFixed, &t.ownFixed
	}
	place = len(*list)
	t.settled[r.Rule] = append(t.settled[r.Rule], settledRule{r.When, mark, place})
	*list = append(*list, tabledOf(r.When))
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

// Weigh the rules that are the same on every mark at a moment.
func (t *Tables) Weigh(f *playbook.Facts, spread *Spread) {
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
func (t *Table) Weigh(f *playbook.Facts, spread *Spread) {
	t.weigh(t.ownFixed, t.ownVarying, f, spread)
	for _, i := range t.own {
		t.means[i] = t.meanOf(&t.families[i])
	}
}

func (t *Tables) weigh(fixed, varying []int, f *playbook.Facts, spread *Spread) {
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
