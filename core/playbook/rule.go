package playbook

import (
	"cmp"
	"fmt"
	"math"
	"slices"
)

// Rule is one rule of thumb.
type Rule struct {
	ID string
	// Part of the question it answers.
	Part Part
	// Says is the reason as an angler would give it. Lacks says what it means that it does
	// not hold, where an ordinary spell has it; LacksHigh the same where what it asks for is
	// passed and not yet reached. Note is told beside the choices while the rule holds.
	Says, Lacks, LacksHigh, Note string
	// Idea is the id of the fact of the trade behind it.
	Idea string
	// Origin is "common practice", "from memory" or "published: …".
	Origin            string
	Family            string
	Effect, Certainty string
	Prior             Prior
	// School is the position, "Q1/low-light", this rule belongs to where anglers
	// disagree; it speaks only while that is the one taken.
	School string
	// targets it speaks of; none means all.
	targets []string
	when    When
	// written is when as text.
	written string
	// group it shares with: its part, family and sign.
	group int
	// off: an angler does not believe it. custom: an angler wrote it.
	off, custom bool
}

// Off says that an angler has switched it off; Own, that an angler wrote it.
func (r *Rule) Off() bool { return r.off }

// Custom says that an angler wrote it.
func (r *Rule) Custom() bool { return r.custom }

// Targets it speaks of; none means all.
func (r *Rule) Targets() []string { return slices.Clone(r.targets) }

// Concerns says whether the rule speaks of a target; switched off, of none.
func (r *Rule) Concerns(target string) bool {
	return !r.off && (len(r.targets) == 0 || slices.Contains(r.targets, target))
}

// Weight is how far the rule applies to the facts, 0…1, before it shares with its family;
// NaN where it looks at what is not known.
func (r *Rule) Weight(f *Facts) float64 { return r.when.weight(f) }

// When it applies, in a written form of its own: two rules that apply in the same
// conditions, written in the same order, have the same.
func (r *Rule) When() string { return r.written }

// whole rules do not share.
func (r *Rule) whole() bool { return r.Effect == hopeless }

// Presence says that the rule takes a kind of place, a month or a temperature away from a
// fish: it stands absolute.
func (r *Rule) Presence() bool { return r.Family == "presence" && r.whole() }

// ofTide are the measures a water without tide has none of.
var ofTide = map[Measure]bool{Level: true, RiseRate: true, Flow: true, Elapsed: true, TideRange: true, LevelShare: true, FlowShare: true,
	SinceLow: true, SinceHigh: true}

// OfTide says that the rule looks at the tide.
func (r *Rule) OfTide() bool {
	return r.when.Reads(ofTide) || r.when.Says(func(w Word) bool { return w == Stage })
}

// elsewhere says that the rule speaks of kinds of place this is none of; one about what is on the
// hook, of another kind of mark or bottom.
func (r *Rule) elsewhere(f *Facts) bool {
	fails := func(t Test) bool {
		about := t.Of == Place || r.Part == Taken && (t.Of == MarkKind || t.Of == Bottom)
		return about && !t.Holds(f)
	}
	for i := range r.when {
		if !slices.ContainsFunc(r.when[i].Tests, fails) {
			return false
		}
	}
	return true
}

// Missing says what it means that the rule holds less here than in an ordinary spell, by the
// scenarios of a moment; empty where nothing is said of that, and where it speaks of another kind
// of place: a bar lacks nothing by not being a beach.
func (r *Rule) Missing(facts []Facts) string {
	if r.elsewhere(&facts[0]) {
		return ""
	}
	if r.LacksHigh == "" {
		return r.Lacks
	}
	low, high := 0.0, 0.0
	for i := range r.when {
		for _, k := range r.when[i].Ramps {
			by := &low
			if k.Slope < 0 {
				by = &high
			}
			for f := range facts {
				if w := k.Weight(&facts[f]); w == w {
					*by += 1 - w
				}
			}
		}
	}
	if high > low {
		return r.LacksHigh
	}
	return r.Lacks
}

// Weights writes how far each rule of the book applies for a target, once each family has
// shared; NaN where it looks at what is not known. dst must have one place a rule.
//
// Within a part, a family and a sign the strongest rule counts whole, and each takes as much
// from those weaker than it as half its own weight: w′ = w·Π(1 − w/2 of the stronger). So one
// more good sign never lowers a rate and one more bad sign never raises it. Strength is
// |ln m| and not what a rule comes to: an order by that would jump.
func (b *Book) Weights(target string, f *Facts, dst []float64) {
	clear(dst)
	group, left := -1, 1.0
	for _, i := range b.about[target] {
		r := &b.Rules[i]
		if r.group != group {
			group, left = r.group, 1
		}
		w := r.Weight(f)
		dst[i] = w
		if w != w || r.whole() {
			continue
		}
		dst[i] = w * left
		left *= 1 - w/2
	}
}

// uncertain measures differ between the scenarios of one moment; all others are
// the same in each.
var uncertain = map[Measure]bool{Secchi: true, WaterTemp: true, WindSpeed: true, Cloud: true, SurfaceLight: true, LureLight: true,
	MidLight: true, BedLight: true}

// Uncertain says whether a measure differs between the scenarios of one moment.
func (m Measure) Uncertain() bool { return uncertain[m] }

// About lists the rules that speak of a target, by their places in the book.
func (b *Book) About(target string) []int { return b.about[target] }

// index the rules by the targets they speak of: those of one part, family and sign together,
// strongest first.
func (b *Book) index() {
	for i := range b.Rules {
		r := &b.Rules[i]
		r.group = (int(r.Part)*len(families) + slices.Index(families[:], r.Family)) * 2
		if r.Prior.Mean < 0 {
			r.group++
		}
	}
	b.about = make(map[string][]int, len(b.Targets))
	for _, t := range b.Targets {
		for i := range b.Rules {
			if r := &b.Rules[i]; r.Concerns(t.ID) && (r.School == "" || b.Takes(r.School)) {
				b.about[t.ID] = append(b.about[t.ID], i)
			}
		}
		slices.SortStableFunc(b.about[t.ID], func(i, j int) int {
			x, y := &b.Rules[i], &b.Rules[j]
			return cmp.Or(cmp.Compare(x.group, y.group), cmp.Compare(math.Abs(y.Prior.Mean), math.Abs(x.Prior.Mean)))
		})
	}
}

func (b *Book) readRule(n node) error {
	r := n.reader("id", "says", "lacks", "lacks_high", "note", "idea", "origin", "family", "effect", "certainty", "school", "targets",
		"part", "when")
	rule := Rule{ID: r.text("id"), Says: r.text("says"), Lacks: r.maybe("lacks"), LacksHigh: r.maybe("lacks_high"),
		Note: r.maybe("note"), Idea: r.text("idea"), Origin: r.text("origin"),
		Family: r.word("family", "family", families[:]), Effect: r.word("effect", "effect", sortedKeys(effects)),
		Certainty: r.word("certainty", "certainty", sortedKeys(certainties)),
		targets:   r.words("targets", "target", b.targetIDs(), false), custom: n.custom}
	rule.School = read(r, "school", false, func(n node) (string, error) {
		s, err := n.text()
		if err == nil {
			if _, _, wrong := b.position(s); wrong != nil {
				err = n.errorf("%s", wrong)
			}
		}
		return s, err
	})
	rule.when = read(r, "when", true, b.condition)
	part := r.maybeWord("part", "part", Parts)
	if r.err != nil {
		return r.err
	}
	if rule.Part = partOf(rule.Family, rule.when); part != "" {
		rule.Part = Part(slices.Index(Parts, part))
	}
	return b.addRule(rule, n)
}

func (b *Book) addRule(rule Rule, n node) error {
	if slices.ContainsFunc(b.Rules, func(r Rule) bool { return r.ID == rule.ID }) {
		return n.errorf("%q is defined twice", rule.ID)
	}
	rule.Prior = prior(rule.Effect, rule.Certainty)
	rule.written = fmt.Sprint(rule.when)
	b.Rules = append(b.Rules, rule)
	return nil
}
