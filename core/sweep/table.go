package sweep

import (
	"slices"

	"greypebble/core/ordinary"
	"greypebble/core/playbook"
)

// Tables weigh the rules of several targets on the marks of a spot at once, for sweeps
// over many moments, whatever is on the hook. Each rule is weighed once for all targets, only in
// the states of those readings it looks at, and, unless it looks at the water over the mark, once
// for all marks. They are not for several goroutines at once.
type Tables struct {
	Marks []Table
	rules []tabled
	// common rules are the same on every mark: their places among the above, by how often they
	// change; and families of them.
	common
	// weights of the last moment.
	weights [][mostStates]float64
	// families, each once: many targets and marks have the same. means is what each comes to, over
	// the scenarios.
	families []family
	means    []float64
	// stale families have a rule that has changed since.
	stale []bool
	// settled are the places of rules by what they ask.
	settled map[int][]settledRule
}

// How often a rule is weighed.
type How int

const (
	// Hourly rules look only at what changes from hour to hour.
	Hourly How = iota
	// EachStep rules look at tide, sun or depth.
	EachStep
	howMany
)

// common rules and families by how often they are weighed. Awake are those of each step that may
// weigh anything in the hour.
type common struct {
	rulesBy, familiesBy [howMany][]int
	awake               []int
}

// quick measures change from step to step.
var quick = [playbook.MeasureCount]bool{playbook.Level: true, playbook.RiseRate: true, playbook.Flow: true, playbook.Elapsed: true,
	playbook.TideRange: true, playbook.LevelShare: true, playbook.FlowShare: true, playbook.SinceLow: true, playbook.SinceHigh: true,
	playbook.SunAltitude: true, playbook.SurfaceLight: true, playbook.LureLight: true, playbook.MidLight: true, playbook.BedLight: true,
	playbook.Depth: true, playbook.CrestDepth: true, playbook.Current: true}

var quickly = func() map[playbook.Measure]bool {
	out := map[playbook.Measure]bool{}
	for m, is := range quick {
		out[playbook.Measure(m)] = is
	}
	return out
}()

func howOften(w playbook.When) How {
	if w.Reads(quickly) || w.Says(func(w playbook.Word) bool { return w == playbook.Stage }) {
		return EachStep
	}
	return Hourly
}

type settledRule struct {
	when        playbook.When
	mark, place int
}

// Table of one mark.
type Table struct {
	*Tables
	targets []onTable
	// own rules look at the water over the mark; own families hold one of them.
	own common
}

// onTable are a target's families and presence rules by place, and what an ordinary spell comes
// to.
type onTable struct {
	families, presence []int
	ordinary           float64
}

// onMark are the measures that differ from mark to mark.
var onMark = map[playbook.Measure]bool{playbook.Depth: true, playbook.WaterTemp: true, playbook.Warmer: true, playbook.MidLight: true,
	playbook.BedLight: true}

// NewTables of some targets' rules on the marks of a spot: each of marks settles the words
// that are not open, targets are measured by their ordinary spells, mean is what is believed of each
// rule's coefficient.
//
// Water without a tide weighs nothing of it.
func NewTables(b *playbook.Book, targets []ordinary.Yardstick, marks []playbook.Facts, mean func(rule int) float64,
	tideless bool) *Tables {
	all := &Tables{Marks: make([]Table, len(marks)), settled: make(map[int][]settledRule)}
	for m := range marks {
		t := &all.Marks[m]
		t.Tables = all
		for i := range targets {
			f := &marks[m]
			name := applicable{targets[i].Target, f.Word[playbook.Place], f.Word[playbook.MarkKind], f.Word[playbook.Bottom]}
			a := b.Once(name, func() any { return b.Applicable(name.target, f, unseen, playbook.Untaken) }).(*playbook.Applicable)
			t.targets = append(t.targets, t.target(b, a, m, mean, &targets[i], tideless))
		}
	}
	all.means = make([]float64, len(all.families))
	all.weights, all.stale = make([][mostStates]float64, len(all.rules)), make([]bool, len(all.families))
	return all
}

// applicable rules of a target on a kind of mark at a kind of place.
type applicable struct {
	target              string
	place, mark, bottom playbook.Set
}

// unseen leaves open what changes with time; of days to come no sign is seen.
func unseen(w playbook.Word) bool { return w != playbook.Sign && playbook.Plain(w) }

// target on a mark: its rules in their families.
func (t *Table) target(b *playbook.Book, a *playbook.Applicable, mark int, mean func(int) float64, by *ordinary.Yardstick,
	tideless bool) onTable {
	out := onTable{ordinary: by.Log}
	if tideless {
		for _, r := range b.About(by.Target) {
			if k := &b.Rules[r]; k.Part != playbook.Taken && k.OfTide() {
				out.ordinary -= mean(r) * by.Rules[r]
			}
		}
	}
	var f *family
	keep := func() {
		if f != nil {
			out.families = append(out.families, t.keep(f))
		}
	}
	group := -1
	for i := range a.Rules {
		r := &a.Rules[i]
		if tideless && b.Rules[r.Rule].OfTide() {
			continue
		}
		place, own := t.place(r, mark)
		if b.Rules[r.Rule].Presence() {
			out.presence = append(out.presence, place)
		}
		if f == nil || group != r.Group || f.whole != r.Whole {
			keep()
			f, group = &family{whole: r.Whole}, r.Group
		}
		f.own = f.own || own
		f.terms = append(f.terms, term{at: place, mean: mean(r.Rule), ordinary: by.Rules[r.Rule]})
	}
	keep()
	return out
}

// keep a family, once.
func (t *Table) keep(f *family) int {
	t.settle(f)
	for i := range t.families {
		if k := &t.families[i]; k.own == f.own && k.whole == f.whole && slices.Equal(k.terms, f.terms) {
			return i
		}
	}
	t.families = append(t.families, *f)
	at, how := len(t.families)-1, Hourly
	for _, k := range f.terms {
		r := &t.rules[k.at]
		how = max(how, r.how)
		r.families = append(r.families, at)
	}
	in := t.where(f.own)
	in.familiesBy[how] = append(in.familiesBy[how], at)
	return at
}

// where rules and families are kept: the mark's own, or those common to all.
func (t *Table) where(own bool) *common {
	if own {
		return &t.own
	}
	return &t.common
}

// place of a rule among those weighed, taken anew where it asks something else here;
// and whether it looks at the water over the mark.
func (t *Table) place(r *playbook.Settled, mark int) (place int, own bool) {
	if own = r.When.Reads(onMark); !own {
		mark = -1
	}
	for _, k := range t.settled[r.Rule] {
		if k.mark == mark && k.when.Equal(r.When) {
			return k.place, own
		}
	}
	place = len(t.rules)
	t.settled[r.Rule] = append(t.settled[r.Rule], settledRule{r.When, mark, place})
	t.rules = append(t.rules, tabledOf(r.When))
	in, how := t.where(own), t.rules[place].how
	in.rulesBy[how] = append(in.rulesBy[how], place)
	return place, own
}

// Weigh the rules that are the same on every mark at a moment.
func (t *Tables) Weigh(f *playbook.Facts, spread *Spread, how How) {
	t.weigh(&t.common, how, f, spread)
}

// Weigh the rules that look at the water over the mark; Logs then tells what all come to.
func (t *Table) Weigh(f *playbook.Facts, spread *Spread, how How) { t.weigh(&t.own, how, f, spread) }

func (t *Tables) weigh(c *common, how How, f *playbook.Facts, spread *Spread) {
	rules := c.awake
	if how == Hourly {
		rules = c.rulesBy[Hourly]
		t.wake(c, f, spread)
	}
	for _, i := range rules {
		r := &t.rules[i]
		if r.weigh(f, spread, t.weights[i][:r.states]) {
			t.spoil(r)
		}
	}
	for _, i := range c.familiesBy[how] {
		if t.stale[i] {
			t.stale[i], t.means[i] = false, t.meanOf(&t.families[i])
		}
	}
}

// spoil the families of a rule that has changed.
func (t *Tables) spoil(r *tabled) {
	r.spoke = true
	for _, k := range r.families {
		t.stale[k] = true
	}
}

// wake the rules of each step that may weigh anything in the hour; the others weigh nothing.
func (t *Tables) wake(c *common, f *playbook.Facts, spread *Spread) {
	c.awake = c.awake[:0]
	for _, i := range c.rulesBy[EachStep] {
		r := &t.rules[i]
		if !r.asleep(f, spread) {
			c.awake = append(c.awake, i)
			continue
		}
		for s := range r.states {
			if w := &t.weights[i][s]; *w != 0 {
				*w = 0
				t.spoil(r)
			}
		}
	}
}
