package playbook

import (
	"fmt"
	"slices"
)

// Rule is one rule of thumb.
type Rule struct {
	ID string
	// Says is the reason as an angler would give it.
	Says string
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
	family  int
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

// Weight is how far the rule applies to the facts, 0…1, before it shares with
// its family.
func (r *Rule) Weight(f *Facts) float64 { return r.when.weight(f) }

// When it applies, in a written form of its own: two rules that apply in the same
// conditions, written in the same order, have the same.
func (r *Rule) When() string { return r.written }

// Weights writes how far each rule of the book applies for a target. dst must
// have one place a rule.
func (b *Book) Weights(target string, f *Facts, dst []float64) {
	clear(dst)
	about := b.about[target]
	for _, i := range about {
		dst[i] = b.Rules[i].Weight(f)
	}
	b.share(about, dst)
}

// share a family's weight where it adds to more than one.
func (b *Book) share(about []int, dst []float64) {
	var sums [len(families)]float64
	for _, i := range about {
		sums[b.Rules[i].family] += dst[i]
	}
	for _, i := range about {
		if s := sums[b.Rules[i].family]; s > 1 {
			dst[i] /= s
		}
	}
}

// uncertain measures differ between the scenarios of one moment; all others are
// the same in each.
var uncertain = map[Measure]bool{Secchi: true, WaterTemp: true, WindSpeed: true, Cloud: true, SurfaceLight: true, LureLight: true}

// Uncertain says whether a measure differs between the scenarios of one moment.
func (m Measure) Uncertain() bool { return uncertain[m] }

// About lists the rules that speak of a target, by their places in the book.
func (b *Book) About(target string) []int { return b.about[target] }

// index the rules by the targets they speak of.
func (b *Book) index() {
	b.about = make(map[string][]int, len(b.Targets))
	for _, t := range b.Targets {
		for i := range b.Rules {
			if r := &b.Rules[i]; r.Concerns(t.ID) && (r.School == "" || b.Takes(r.School)) {
				b.about[t.ID] = append(b.about[t.ID], i)
			}
		}
	}
}

func (b *Book) readRule(n node) error {
	r := n.reader("id", "says", "idea", "origin", "family", "effect", "certainty", "school", "targets", "when")
	rule := Rule{ID: r.text("id"), Says: r.text("says"), Idea: r.text("idea"), Origin: r.text("origin"),
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
	if r.err != nil {
		return r.err
	}
	return b.addRule(rule, n)
}

func (b *Book) addRule(rule Rule, n node) error {
	if slices.ContainsFunc(b.Rules, func(r Rule) bool { return r.ID == rule.ID }) {
		return n.errorf("%q is defined twice", rule.ID)
	}
	rule.Prior = prior(rule.Effect, rule.Certainty)
	rule.written = fmt.Sprint(rule.when)
	rule.family = slices.Index(families[:], rule.Family)
	b.Rules = append(b.Rules, rule)
	return nil
}
