package sweep

import (
	"slices"

	"greypebble/core/ordinary"
	"greypebble/core/playbook"
	"greypebble/core/rate"
)

// Tables weigh the rules of several targets on the marks of a spot at once, for sweeps
// over many moments, whatever is on the hook. Each rule is weighed once for all targets, only in
// the states of those readings it looks at, and, unless it looks at the water over the mark, once
// for all marks. They are not for several goroutines at once.
type Tables struct {
	Marks []Table
	rules []tabled
	// common rules are the same on every mark: their places among the above; and families of them.
	common
	// weights of the last moment.
	weights [][mostStates]float64
	// families, each once: many targets and marks have the same. means is what each comes to, over
	// the scenarios.
	families []family
	means    []float64
	// stale families have a rule that has changed since; moving ones, one that may within the hour.
	stale, moves []bool
	// settled are the places of rules by what they ask.
	settled map[int][]settledRule
	water   Waters
}

// Waters of a spot.
type Waters struct {
	// Tideless: nothing of the tide is weighed.
	Tideless bool
	// Mixed: no mark is warmer than another.
	Mixed bool
	// Months that come, none if any may.
	Months playbook.Set
}

// common rules and families, and those of them that may change within the hour.
type common struct {
	rules, families []int
	awake, moving   []int
}

// quick measures change from step to step.
var quick = [playbook.MeasureCount]bool{playbook.Level: true, playbook.RiseRate: true, playbook.Flow: true, playbook.Elapsed: true,
	playbook.TideRange: true, playbook.LevelShare: true, playbook.FlowShare: true, playbook.SinceLow: true, playbook.SinceHigh: true,
	playbook.SunAltitude: true, playbook.SurfaceLight: true, playbook.LureLight: true, playbook.MidLight: true, playbook.BedLight: true,
	playbook.Depth: true, playbook.CrestDepth: true, playbook.Current: true}

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
	// moving are the families that may change within the hour, and here the presence rules that may;
	// the others come to rest, and to absent.
	moving, here []int
	rest, absent float64
}

// onMark are the measures that differ from mark to mark, and warmthOfMark those that do unless
// waves and run mix the water.
var (
	onMark       = map[playbook.Measure]bool{playbook.Depth: true, playbook.MidLight: true, playbook.BedLight: true}
	warmthOfMark = map[playbook.Measure]bool{playbook.WaterTemp: true, playbook.Warmer: true}
)

// never says that a rule weighs nothing in any of the months.
func (w Waters) never(when playbook.When) bool {
	return w.Months != 0 && !slices.ContainsFunc(when, func(c playbook.Clause) bool {
		return !slices.ContainsFunc(c.Tests, func(t playbook.Test) bool {
			return t.Of == playbook.Month && (t.No && w.Months&^t.Any == 0 || !t.No && w.Months&t.Any == 0)
		})
	})
}

// NewTables of some targets' rules on the marks of a spot: each of marks settles the words
// that are not open, targets are measured by their ordinary spells, belief is what is thought of the
// rules' coefficients.
func NewTables(b *playbook.Book, targets []ordinary.Yardstick, marks []playbook.Facts, belief rate.Belief, w Waters) *Tables {
	all := &Tables{Marks: make([]Table, len(marks)), settled: make(map[int][]settledRule), water: w}
	means := make([]func(rule int) float64, len(targets))
	for i := range targets {
		means[i] = belief.For(targets[i].Target).Mean
	}
	for m := range marks {
		t := &all.Marks[m]
		t.Tables = all
		for i := range targets {
			f := &marks[m]
			name := applicable{targets[i].Target, f.Word[playbook.Place], f.Word[playbook.MarkKind], f.Word[playbook.Bottom]}
			a := b.Once(name, func() any { return b.Applicable(name.target, f, unseen, playbook.Untaken) }).(*playbook.Applicable)
			t.targets = append(t.targets, t.target(b, a, m, means[i], &targets[i]))
		}
	}
	all.means = make([]float64, len(all.families))
	all.weights = make([][mostStates]float64, len(all.rules))
	all.stale, all.moves = make([]bool, len(all.families)), make([]bool, len(all.families))
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
func (t *Table) target(b *playbook.Book, a *playbook.Applicable, mark int, mean func(int) float64, by *ordinary.Yardstick) onTable {
	out := onTable{ordinary: by.Log, families: make([]int, 0, len(a.Rules))}
	if t.water.Tideless {
		for _, r := range b.About(by.Target) {
			if k := &b.Rules[r]; k.Part != playbook.Taken && k.OfTide() {
				out.ordinary -= mean(r) * by.Rules[r]
			}
		}
	}
	var f family // each in turn
	keep := func() {
		if len(f.terms) > 0 {
			out.families = append(out.families, t.keep(&f))
		}
	}
	group := -1
	for i := range a.Rules {
		r := &a.Rules[i]
		if t.water.Tideless && b.Rules[r.Rule].OfTide() || t.water.never(r.When) {
			continue
		}
		place, own := t.place(r, mark)
		if b.Rules[r.Rule].Presence() {
			out.presence = append(out.presence, place)
		}
		if group != r.Group || f.whole != r.Whole {
			keep()
			f, group = family{whole: r.Whole, terms: f.terms[:0]}, r.Group
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
	fresh := *f
	fresh.terms = slices.Clone(f.terms)
	t.families = append(t.families, fresh)
	at := len(t.families) - 1
	for _, k := range f.terms {
		r := &t.rules[k.at]
		r.families = append(r.families, at)
	}
	in := t.where(f.own)
	in.families = append(in.families, at)
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
	if own = r.When.Reads(onMark) || !t.water.Mixed && r.When.Reads(warmthOfMark); !own {
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
	in := t.where(own)
	in.rules = append(in.rules, place)
	return place, own
}

// Hour begins an hour for the rules that are the same on every mark: by the facts of its first
// step, and what the span says of the others.
func (t *Tables) Hour(f *playbook.Facts, spread *Spread, span *Span) {
	clear(t.moves)
	t.hour(&t.common, f, spread, span)
}

// Hour begins an hour for the rules that look at the water over the mark, once it has begun for
// the others.
func (t *Table) Hour(f *playbook.Facts, spread *Spread, span *Span) {
	t.hour(&t.own, f, spread, span)
	for i := range t.targets {
		on := &t.targets[i]
		on.rest, on.moving = -on.ordinary, on.moving[:0]
		for _, k := range on.families {
			if t.moves[k] {
				on.moving = append(on.moving, k)
			} else {
				on.rest += t.means[k]
			}
		}
		on.absent, on.here = 0, on.here[:0]
		for _, k := range on.presence {
			if t.rules[k].awake {
				on.here = append(on.here, k)
			} else {
				on.absent = max(on.absent, t.absence(k))
			}
		}
	}
}

// Step weighs what may have changed since the hour began.
func (t *Tables) Step(f *playbook.Facts, spread *Spread) { t.step(&t.common, f, spread) }

// Step weighs what may have changed over the mark; Logs then tells what all come to.
func (t *Table) Step(f *playbook.Facts, spread *Spread) { t.step(&t.own, f, spread) }

func (t *Tables) hour(c *common, f *playbook.Facts, spread *Spread, span *Span) {
	c.awake, c.moving = c.awake[:0], c.moving[:0]
	for _, i := range c.rules {
		r := &t.rules[i]
		of := r.over(f, span)
		r.awake = of == awake
		switch row := t.weights[i][:r.states]; of {
		case idle:
			if r.silence(row) {
				t.spoil(r)
			}
		case steady:
			if r.weigh(f, spread, row) {
				t.spoil(r)
			}
		case awake:
			c.awake = append(c.awake, i)
			for _, k := range r.families {
				t.moves[k] = true
			}
		}
	}
	for _, i := range c.families {
		if t.moves[i] {
			c.moving = append(c.moving, i)
		} else {
			t.freshen(i)
		}
	}
}

func (t *Tables) step(c *common, f *playbook.Facts, spread *Spread) {
	for _, i := range c.awake {
		if r := &t.rules[i]; r.weigh(f, spread, t.weights[i][:r.states]) {
			t.spoil(r)
		}
	}
	for _, i := range c.moving {
		t.freshen(i)
	}
}

// freshen what a family comes to where one of its rules has changed.
func (t *Tables) freshen(family int) {
	if t.stale[family] {
		t.stale[family], t.means[family] = false, t.meanOf(&t.families[family])
	}
}

// spoil the families of a rule that has changed.
func (t *Tables) spoil(r *tabled) {
	r.spoke = true
	for _, k := range r.families {
		t.stale[k] = true
	}
}
