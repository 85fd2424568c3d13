package playbook

import "slices"

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
	// School is the position this rule belongs to where anglers disagree.
	School string
	// targets it speaks of; none means all.
	targets []string
	when    expression
	family  int
	// off: an angler does not believe it.
	off bool
}

// Off says that an angler has switched it off.
func (r *Rule) Off() bool { return r.off }

// Targets it speaks of; none means all.
func (r *Rule) Targets() []string { return slices.Clone(r.targets) }

// Concerns says whether the rule speaks of a target; switched off, of none.
func (r *Rule) Concerns(target string) bool {
	return !r.off && (len(r.targets) == 0 || slices.Contains(r.targets, target))
}

// Weight is how far the rule applies to the facts, 0…1, before it shares with
// its family.
func (r *Rule) Weight(f *Facts) float64 { return r.when.weight(f) }

// Weights writes how far each rule of the book applies for a target. dst must
// have one place a rule.
func (b *Book) Weights(target string, f *Facts, dst []float64) {
	var sums [16]float64
	clear(dst)
	about := b.about[target]
	for _, i := range about {
		r := &b.Rules[i]
		dst[i] = r.Weight(f)
		sums[r.family] += dst[i]
	}
	for _, i := range about {
		if s := sums[b.Rules[i].family]; s > 1 {
			dst[i] /= s
		}
	}
}

// index the rules by the targets they speak of.
func (b *Book) index() {
	b.about = make(map[string][]int, len(b.Targets))
	for _, t := range b.Targets {
		for i := range b.Rules {
			if b.Rules[i].Concerns(t.ID) {
				b.about[t.ID] = append(b.about[t.ID], i)
			}
		}
	}
}
